import { z } from 'zod';
import * as texts from './texts';

/** Fields that many writes have. */
export const ID = z.uuid();
/** An amount, a price, a share: as typed. */
export const TYPED = z.string().max(80, texts.most80CharactersKept);
/** Something chosen from a list, or nothing yet: an id as ids are written, never any other letters. */
export const CHOSEN = z.string().regex(/^[0-9A-Za-z-]{0,40}$/, texts.chooseFromList);
/** A password that a person chooses: never digits alone, which would be taken for a PIN. */
export const NEW_PASSWORD = z
  .string()
  .min(8, texts.passwordLeast8Characters)
  .max(200, texts.passwordMost200Characters)
  .refine((s) => !/^\d+$/.test(s), texts.passwordNotMadeDigits);
