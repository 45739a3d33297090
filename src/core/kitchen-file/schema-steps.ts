import { z } from 'zod';
import { BANDS, DEFATS, HEATS, LIDS, ROUX, STRAINERS } from '../pot';
import { Id, Name, Price, Typed } from './schema-parts';

/** What a line takes: an ingredient's usable part, its stock trim, or another recipe's product. */
export const Of = z.union([
  z.strictObject({ ingredient: Id }).describe('the usable part of an ingredient'),
  z.strictObject({ stockTrimOf: Id }).describe('the stock trim of an ingredient'),
  z
    .strictObject({
      product: Id,
      part: Name.optional().describe('a joint product of it, by the name it parts under'),
    })
    .describe('what another recipe makes'),
]);
export type Of = z.infer<typeof Of>;

const Add = z.strictObject({ do: z.literal('add'), of: Of, amount: Typed });
const Brown = z.strictObject({
  do: z.literal('brown'),
  loss: Typed,
  fatRunOff: Typed.optional(),
  time: Typed.optional(),
});
const WaterAmount = z.strictObject({ do: z.literal('water'), amount: Typed });
const WaterLevel = z.strictObject({ do: z.literal('water'), level: Typed });
const WaterCover = z.strictObject({ do: z.literal('water'), cover: Typed });
const Bring = z.strictObject({ do: z.literal('bring'), to: Typed });
const Cook = z.strictObject({ do: z.literal('cook'), heat: z.enum(HEATS), time: Typed, lid: z.enum(LIDS) });
const Skim = z.strictObject({ do: z.literal('skim'), amount: Typed, from: z.enum(['body', 'surface']) });
const Strain = z.strictObject({
  do: z.literal('strain'),
  pressed: z.boolean(),
  through: z.enum(STRAINERS),
  keep: z.array(Id).max(10).optional().describe('ingredients whose pieces stay in the pot'),
});

/** How a joint product shares the cost up to where it parts. */
const Cost = z.union([
  z.strictObject({ by: z.literal('credit'), perKg: Price }).describe('a credit at a set value'),
  z.strictObject({ by: z.literal('weight') }),
  z
    .strictObject({ by: z.literal('market'), perKg: Price, restPerKg: Price })
    .describe('by what it and what stays would fetch'),
]);
export type WrittenCost = z.infer<typeof Cost>;
const Pick = z.strictObject({
  do: z.literal('pick'),
  piece: Id.optional().describe('the one ingredient picked; else all the strainer holds'),
  share: Typed,
  as: Name.optional().describe('a joint product of that name; left out, it goes back into the pot'),
  cost: Cost.default({ by: 'weight' }),
});
const SecondWash = z.strictObject({
  do: z.literal('second wash'),
  as: Name.describe('what the strainer still holds, for another pot'),
  cost: Cost.default({ by: 'credit', perKg: '0' }),
});
const DrawOff = z.strictObject({
  do: z.literal('draw off'),
  amount: Typed,
  as: Name,
  liquidOnly: z.boolean().default(false),
  cost: Cost.default({ by: 'weight' }),
});
const Into = z.strictObject({ do: z.literal('into'), vessel: Id, hob: Id });
const TakeFat = z.strictObject({ do: z.literal('defat'), by: z.enum(DEFATS) });
const Reduce = z.strictObject({
  do: z.literal('reduce'),
  until: z.enum(['share', 'volume', 'dip', 'gelatin', 'salt', 'body', 'time']),
  to: Typed.describe('what is left: "1/4", "3 l", "33 cm" from the rim, "8 %", "1" (body), "20 min"'),
  heat: z.enum(HEATS),
  lid: z.enum(LIDS),
});
const Thicken = z.strictObject({ do: z.literal('thicken'), of: Of, amount: Typed });
const Deglaze = z.strictObject({ do: z.literal('deglaze'), of: Of, amount: Typed });
const ToTaste = z.strictObject({
  do: z.literal('to taste'),
  of: Of,
  usual: Typed.describe('what it usually comes to: to taste still costs something'),
});
const TopUp = z.strictObject({ do: z.literal('top up') }).describe('to the litres before the heat');
const ThickenTo = z.strictObject({ do: z.literal('thicken to'), of: Of, band: z.enum(BANDS) });
const RouxOf = z.strictObject({ do: z.literal('roux'), to: z.enum(ROUX), time: Typed.optional() });
const Loosen = z.strictObject({ do: z.literal('loosen'), of: Of, amount: Typed });
const LoosenTo = z.strictObject({ do: z.literal('loosen to'), of: Of, band: z.enum(BANDS) });
const Enrich = z.strictObject({ do: z.literal('enrich'), of: Of, amount: Typed });
const Puree = z.strictObject({ do: z.literal('puree'), loss: Typed.optional() });
const Sieve = z.strictObject({ do: z.literal('sieve'), loss: Typed.optional() });
const SecondPass = z.strictObject({
  do: z.literal('second pass'),
  back: Typed.describe('share of what the sieve kept that comes back'),
});
const Chill = z.strictObject({ do: z.literal('chill'), to: Typed, time: Typed.optional() });
const Hold = z.strictObject({
  do: z.literal('hold'),
  time: Typed,
  loss: Typed.optional().describe('share of its water that leaves in an hour'),
});
const Mount = z.strictObject({ do: z.literal('mount'), of: Of, amount: Typed });
const Season = z.strictObject({ do: z.literal('season'), of: Of, amount: Typed });
const SeasonTo = z.strictObject({ do: z.literal('season to'), of: Of, salt: Typed });
const Portion = z.strictObject({ do: z.literal('portion'), size: Typed, overfill: Typed.optional() });
const Unread = z
  .strictObject({ do: z.literal('unread'), said: z.string().max(200) })
  .describe('a line nobody could read yet: it makes the cost incomplete');

export const WrittenStep = z.union([
  Add,
  Brown,
  WaterAmount,
  WaterLevel,
  WaterCover,
  Bring,
  Cook,
  Skim,
  Strain,
  Pick,
  SecondWash,
  DrawOff,
  Into,
  TakeFat,
  Reduce,
  Deglaze,
  ToTaste,
  TopUp,
  ThickenTo,
  RouxOf,
  Loosen,
  LoosenTo,
  Enrich,
  Puree,
  Sieve,
  SecondPass,
  Chill,
  Hold,
  Thicken,
  Mount,
  Season,
  SeasonTo,
  Portion,
  Unread,
]);
export type WrittenStep = z.infer<typeof WrittenStep>;
