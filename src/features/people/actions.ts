'use server';

import { redirect } from 'next/navigation';
import { z } from 'zod';
import { session } from '@/server/session';
import { signInWith } from './service';

const Entry = z.object({
  person: z.string().min(1, 'Choose your name first.'),
  secret: z.string().min(1, 'Type your password or PIN.').max(200, 'A password has at most 200 characters.'),
});

/** Tries a name and a password or PIN; comes back with a sentence, or goes to the first station. */
export async function signIn(_before: string | null, form: FormData): Promise<string | null> {
  const entry = Entry.safeParse({ person: form.get('person') ?? '', secret: form.get('secret') ?? '' });
  if (!entry.success)
    return entry.error.issues[0]?.message ?? 'Choose your name and type your password or PIN.';
  const trouble = await signInWith(entry.data.person, entry.data.secret);
  if (trouble) return trouble.message;
  redirect('/buy');
}

export async function signOut(): Promise<void> {
  (await session()).destroy();
  redirect('/sign-in?out');
}
