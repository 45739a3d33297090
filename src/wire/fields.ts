import { z } from 'zod';

/** Fields that many writes have. */
export const ID = z.uuid();
/** An amount, a price, a share: as typed. */
export const TYPED = z.string().max(80, 'At most 80 characters are kept.');
/** Something chosen from a list, or nothing yet: an id as ids are written, never any other letters. */
export const CHOSEN = z.string().regex(/^[0-9A-Za-z-]{0,40}$/, 'Choose it from the list.');
/** A password that a person chooses: never digits alone, which would be taken for a PIN. */
export const NEW_PASSWORD = z
  .string()
  .min(8, 'A password has at least 8 characters.')
  .max(200, 'A password has at most 200 characters.')
  .refine((s) => !/^\d+$/.test(s), 'A password is not made of digits alone.');
