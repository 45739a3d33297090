import { z } from 'zod';
import { NEW_PASSWORD } from '@/wire/fields';
import { CUPS_OF, type Cups } from '../cups';
import { Naming } from '../settings/wire';
import * as texts from './texts';

/** Characters of a kitchen file that is taken in: a house of thousands of recipes. */
const LONGEST_FILE = 16_000_000;

/** What a kitchen is begun with. */
export const FirstTyped = z.object({
  word: z.string().trim().min(1, texts.typeWordCommandPrinted).max(40),
  ...Naming,
  units: z.enum(Object.keys(CUPS_OF) as [Cups, ...Cups[]]),
  begins: z.enum(['empty', 'demo', 'file']),
  file: z.string().max(LONGEST_FILE, texts.kitchenFileMost16),
  manager: z
    .string()
    .trim()
    .min(1, texts.whoManages)
    .max(120, {
      error: ({ input }) => texts.nameMost120Characters(String(input).length),
    }),
  password: NEW_PASSWORD,
});
export type FirstTyped = z.infer<typeof FirstTyped>;
