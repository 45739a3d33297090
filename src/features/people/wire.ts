import { z } from 'zod';
import { ID, NEW_PASSWORD, sender, wire } from '@/wire';

/** A password of one's own, changed: whoever is signed in elsewhere by the old one is not any more. */
export const NewPassword = z.object({
  before: z
    .string()
    .min(1, 'Type the password you have now.')
    .max(200, 'A password has at most 200 characters.'),
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

export const changePassword = sender(PASSWORD);
export const endSignedIn = sender(END_SIGNED_IN);
export const endDevice = sender(END_DEVICE);
