import { z } from 'zod';
import { SHOWN_IN } from '@/core/quantity';
import { sender, wire } from '@/wire';
import { TYPED } from '@/wire/fields';

/** Layers that may stand beside the ingredients. */
export const BESIDE = ['energy', 'hands', 'packaging'] as const;

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
  shownIn: z.enum(SHOWN_IN),
  /** Layers shown beside the ingredients. */
  layers: z.array(z.enum(BESIDE)),
  /** Strainers of the house's own and what stays in each: “superbag 60 ml; bouillon sieve 120 ml”. */
  strainers: z.string().max(1200, 'At most twenty strainers are kept.'),
  /** What stays on the walls of a pot that is poured out, in times of what is usual; empty for once. */
  walls: TYPED.optional(),
  /** Limits for cooling: “21 °C in 2 h; 5 °C in 6 h”; empty for none. */
  cooling: z.string().max(200, 'At most four limits of cooling are kept.'),
  /** What is asked of hot food: “reheated to 75 °C in 1 h; held at 63 °C”; empty for nothing. */
  warm: z.string().max(120, 'One rule for reheating and one for holding are kept.').optional(),
  /** What may stand on the heat for the night: “electricity at bare simmer; back at 06:00”. */
  night: z.string().max(80, 'One rule for the night is kept.').optional(),
  /** Where the stove’s probe answers; empty where there is none. */
  probe: z
    .union([
      z.literal(''),
      z
        .url({
          protocol: /^https?$/,
          error: 'Where a probe answers begins with http://, like http://127.0.0.1:4192.',
        })
        .max(300),
    ])
    .optional(),
  /** What is lost in each way of serving: “banquet 6 %; staff 10 %”; empty for nothing. */
  losses: z.string().max(300, 'A share for each way of serving is kept.').optional(),
  /** Weekdays on which it is closed, 1 is Monday; and single days. */
  weekdays: z
    .array(z.enum(['1', '2', '3', '4', '5', '6', '7']))
    .max(6, 'A house that is closed every day needs no plan.'),
  days: z.string().max(6000, 'At most 400 closed days are kept.'),
});
export type SettingsTyped = z.infer<typeof SettingsTyped>;
export const SETTINGS = wire<null, SettingsTyped>()({
  kind: 'kitchen.settings',
  version: 2,
  body: SettingsTyped,
});
export const saveSettings = sender(SETTINGS);
