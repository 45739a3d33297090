import { z } from 'zod';
import { wire } from '@/wire';
import { ID, NEW_PASSWORD } from '@/wire/fields';
import * as texts from './texts';

/** A password of one's own, changed: anyone who is signed in elsewhere by the old one is not any more. */
export const NewPassword = z.object({
  before: z.string().min(1, texts.typeYourCurrentPassword).max(200, texts.passwordMost200Characters),
  next: NEW_PASSWORD,
});
export const PASSWORD = wire<{ readonly ended: number }, null>()({
  kind: 'person.password',
  version: 1,
  body: NewPassword,
});

/** Ends a place where somebody is signed in. */
export const END_SIGNED_IN = wire<null, null>()({
  kind: 'signed-in.end',
  version: 1,
  body: z.object({ id: ID }),
});

/** Ends a device: no PIN opens on it any more. */
export const END_DEVICE = wire<null, null>()({ kind: 'device.end', version: 1, body: z.object({ id: ID }) });

const ROLE = z.enum(['manager', 'cook', 'reader']);
const PIN = z.union([z.literal(''), z.string().regex(/^\d{4,6}$/, texts.pinFourSixDigits)]);
/** Somebody who works here: new where there is no id. A password or PIN that is empty stays as it is. */
export const PersonTyped = z.object({
  name: z
    .string()
    .trim()
    .min(1, texts.whatTheirName)
    .max(120, {
      error: ({ input }) => texts.nameMost120Characters(String(input).length),
    }),
  role: ROLE,
  password: z.union([z.literal(''), NEW_PASSWORD]),
  pin: PIN,
});
export type PersonTyped = z.infer<typeof PersonTyped>;
export const PERSON = wire<{ readonly id: string }, PersonTyped>()({
  kind: 'person.keep',
  version: 1,
  body: PersonTyped.extend({ id: ID.nullable() }),
});
/** Somebody leaves, or comes back. */
export const PERSON_AWAY = wire<null, null>()({
  kind: 'person.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});
