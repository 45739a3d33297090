import { z } from 'zod';
import { SHOWN_IN } from '@/core/quantity';
import { sender, wire } from '@/wire';
import { TYPED } from '@/wire/fields';
import * as texts from './texts';

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
    .min(1, texts.whatKitchenCalled)
    .max(120, {
      error: ({ input }) => texts.nameMost120Characters(String(input).length),
    }),
  currency: z
    .string()
    .refine((code) => Intl.supportedValuesOf('currency').includes(code), texts.chooseCurrencyFromList),
  zone: z
    .string()
    .max(60)
    .refine((zone) => zone !== '' && asIntl(() => new Intl.DateTimeFormat('en', { timeZone: zone })), {
      error: texts.chooseTimeZoneFrom,
    }),
  locale: z
    .string()
    .min(2, texts.chooseHowFiguresWritten)
    .max(20)
    .refine((locale) => asIntl(() => Intl.getCanonicalLocales(locale)), texts.chooseHowFiguresWritten),
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
  strainers: z.string().max(1200, texts.mostTwentyStrainersKept),
  /** What stays on the walls of a pot that is poured out, in times of what is usual; empty for once. */
  walls: TYPED.optional(),
  /** Limits for cooling: “21 °C in 2 h; 5 °C in 6 h”; empty for none. */
  cooling: z.string().max(200, texts.mostFourLimitsCooling),
  /** What is asked of hot food: “reheated to 75 °C in 1 h; held at 63 °C”; empty for nothing. */
  warm: z.string().max(120, texts.oneRuleReheatingOne).optional(),
  /** What may stand on the heat for the night: “electricity at bare simmer; back at 06:00”. */
  night: z.string().max(80, texts.oneRuleNightKept).optional(),
  /** Where the stove’s probe answers; empty where there is none. */
  probe: z
    .union([
      z.literal(''),
      z
        .url({
          protocol: /^https?$/,
          error: texts.whereProbeAnswersBegins,
        })
        .max(300),
    ])
    .optional(),
  /** What is lost in each way of serving: “banquet 6 %; staff 10 %”; empty for nothing. */
  losses: z.string().max(300, texts.shareEachWayServing).optional(),
  /** Weekdays on which it is closed, 1 is Monday; and single days. */
  weekdays: z.array(z.enum(['1', '2', '3', '4', '5', '6', '7'])).max(6, texts.houseClosedEveryDay),
  days: z.string().max(6000, texts.most400ClosedDays),
});
export type SettingsTyped = z.infer<typeof SettingsTyped>;
export const SETTINGS = wire<null, SettingsTyped>()({
  kind: 'kitchen.settings',
  version: 2,
  body: SettingsTyped,
});
export const saveSettings = sender(SETTINGS);
