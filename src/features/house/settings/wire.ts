import { z } from 'zod';
import { sender, TYPED, wire } from '@/wire';

const asIntl = (make: () => unknown): boolean => {
  try {
    make();
    return true;
  } catch {
    return false;
  }
};

/** What a kitchen is called, what it counts in, and how its figures and days are written. */
export const Naming = {
  name: z
    .string()
    .trim()
    .min(1, 'What is the kitchen called?')
    .max(120, {
      error: ({ input }) => `A name has at most 120 characters; this has ${String(input).length}.`,
    }),
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
};

export const SettingsTyped = z.object({
  ...Naming,
  /** Tax in the menu price and target food cost of a new plate, %; empty for none. */
  tax: TYPED,
  target: TYPED,
  cooks: z.enum(['own work', 'recipes and prices']),
});
export type SettingsTyped = z.infer<typeof SettingsTyped>;
export const SETTINGS = wire()({ kind: 'kitchen.settings', version: 1, body: SettingsTyped });
export const keepSettings = sender(SETTINGS);
