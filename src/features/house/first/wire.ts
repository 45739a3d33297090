import { z } from 'zod';
import { NEW_PASSWORD } from '@/wire';
import { CUPS_OF, type Cups } from '../cups';

/** Characters of a kitchen file that is taken in: a house of thousands of recipes. */
const LONGEST_FILE = 16_000_000;

const asIntl = (make: () => unknown): boolean => {
  try {
    make();
    return true;
  } catch {
    return false;
  }
};
const name = (none: string) =>
  z
    .string()
    .trim()
    .min(1, none)
    .max(120, {
      error: ({ input }) => `A name has at most 120 characters; this has ${String(input).length}.`,
    });

/** What a kitchen is begun with. */
export const FirstTyped = z.object({
  word: z.string().trim().min(1, 'Type the word that the command printed.').max(40),
  name: name('What is the kitchen called?'),
  currency: z
    .string()
    .refine(
      (code) => Intl.supportedValuesOf('currency').includes(code),
      'Choose the currency from the list.',
    ),
  zone: z
    .string()
    .max(60)
    .refine((zone) => zone !== '' && asIntl(() => new Intl.DateTimeFormat('en', { timeZone: zone })), {
      error: 'Choose the time zone from the list.',
    }),
  locale: z
    .string()
    .min(2, 'Choose how figures are written.')
    .max(20)
    .refine((locale) => asIntl(() => Intl.getCanonicalLocales(locale)), 'Choose how figures are written.'),
  units: z.enum(Object.keys(CUPS_OF) as [Cups, ...Cups[]]),
  begins: z.enum(['empty', 'demo', 'file']),
  file: z.string().max(LONGEST_FILE, 'A kitchen file has at most 16 million characters.'),
  manager: name('Who manages it?'),
  password: NEW_PASSWORD,
});
export type FirstTyped = z.infer<typeof FirstTyped>;
