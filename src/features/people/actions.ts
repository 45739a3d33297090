'use server';

import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { may, currentDevice, currentWorker } from '@/server/session';
import { registerThisDevice, signInWith, signOutHere } from './service';
import { OUT } from './out';
import * as texts from './texts';

const Entry = z.object({
  person: z.string().min(1, texts.chooseYourNameFirst).max(60, texts.chooseYourNameFirst),
  secret: z.string().min(1, texts.typeYourPasswordOr).max(200, texts.passwordMost200Characters),
});

/** Tries a name and a password or PIN; comes back with a sentence, or goes to the first station. */
export async function signIn(_before: string | null, form: FormData): Promise<string | null> {
  const typed = (field: string): unknown => (form instanceof FormData ? form.get(field) : undefined) ?? '';
  const entry = Entry.safeParse({ person: typed('person'), secret: typed('secret') });
  if (!entry.success) return entry.error.issues[0]?.message ?? texts.chooseYourNameType;
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

const Name = z.string().trim().min(1, texts.giveDeviceNameSuch).max(60, texts.nameMost60Characters);

type Answer = { readonly ok: true } | { readonly ok: false; readonly message: string };

/** Lets the device somebody sits at in, so that PINs open on it. */
export async function registerDevice(name: string): Promise<Answer> {
  const who = await currentWorker();
  if (!who || !may(who.role, 'manager')) return { ok: false, message: texts.onlyManagerSignedPassword };
  const read = Name.safeParse(name);
  if (!read.success) return { ok: false, message: read.error.issues[0]?.message ?? '' };
  const known = await currentDevice(who.kitchenId);
  if (known) return { ok: false, message: texts.deviceAlreadyAllowed(known.name) };
  await registerThisDevice(who.kitchenId, who.person.id, read.data);
  return { ok: true };
}
