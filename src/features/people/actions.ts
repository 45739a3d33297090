'use server';

import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { may, currentDevice, currentWorker } from '@/server/session';
import { registerThisDevice, signInWith, signOutHere } from './service';
import { OUT } from './out';

const Entry = z.object({
  person: z.string().min(1, 'Choose your name first.').max(60, 'Choose your name first.'),
  secret: z.string().min(1, 'Type your password or PIN.').max(200, 'A password has at most 200 characters.'),
});

/** Tries a name and a password or PIN; comes back with a sentence, or goes to the first station. */
export async function signIn(_before: string | null, form: FormData): Promise<string | null> {
  const typed = (field: string): unknown => (form instanceof FormData ? form.get(field) : undefined) ?? '';
  const entry = Entry.safeParse({ person: typed('person'), secret: typed('secret') });
  if (!entry.success)
    return entry.error.issues[0]?.message ?? 'Choose your name and type your password or PIN.';
  const trouble = await signInWith(entry.data.person, entry.data.secret);
  if (trouble) return trouble.message;
  (await cookies()).delete(OUT);
  redirect('/buy');
}

export async function signOut(): Promise<void> {
  await signOutHere();
  // The demo lets nobody in again by itself who has gone out of it.
  (await cookies()).set(OUT, '1', { httpOnly: true, sameSite: 'lax' });
  redirect('/sign-in?out');
}

const Name = z
  .string()
  .trim()
  .min(1, 'Give the device a name, such as “Tablet at the stove”.')
  .max(60, 'A name has at most 60 characters.');

type Answer = { readonly ok: true } | { readonly ok: false; readonly message: string };

/** Lets the device somebody sits at in, so that PINs open on it. */
export async function registerDevice(name: string): Promise<Answer> {
  const who = await currentWorker();
  if (!who || !may(who.role, 'manager'))
    return { ok: false, message: 'Only a manager, signed in by password, lets a device in.' };
  const read = Name.safeParse(name);
  if (!read.success) return { ok: false, message: read.error.issues[0]?.message ?? '' };
  const known = await currentDevice(who.kitchenId);
  if (known) return { ok: false, message: `This device is let in already, as “${known.name}”.` };
  await registerThisDevice(who.kitchenId, who.person.id, read.data);
  return { ok: true };
}
