import { z } from 'zod';
import { BANDS, DEFATS, HEATS, LIDS, ROUX, STRAINERS } from '../pot';
import { Id, Name, Price, Typed } from './schema-parts';

const SOURCES = [
  z.strictObject({ ingredient: Id }).describe('the usable part of an ingredient'),
  z.strictObject({ stockTrimOf: Id }).describe('the stock trim of an ingredient'),
  z
    .strictObject({
      product: Id,
      part: Name.optional().describe('a joint product of it, by the name it parts under'),
    })
    .describe('what another recipe makes'),
] as const;

/** What stands on a plate: an ingredient's usable part, its stock trim, or a recipe's product. */
export const PlateOf = z.union(SOURCES);

/** What a line takes: any of these, or what an earlier batch has left. */
export const Of = z.union([
  ...SOURCES,
  z
    .strictObject({
      lastBatchOf: Id,
      part: Name.optional().describe('a joint product of it, by the name it parts under'),
      perLitre: Price.optional().describe('a fixed value; left out, what the last batch cost'),
    })
    .describe('what an earlier batch of a recipe has left: that is no loop'),
]);
export type Of = z.infer<typeof Of>;

/** How a joint product shares the cost up to where it parts. */
const Cost = z.union([
  z.strictObject({ by: z.literal('credit'), perKg: Price }).describe('a credit at a set value'),
  z.strictObject({ by: z.literal('weight') }),
  z
    .strictObject({ by: z.literal('market'), perKg: Price, restPerKg: Price })
    .describe('by what it and what stays would fetch'),
]);
export type WrittenCost = z.infer<typeof Cost>;

/** A step of a kind, with the active work in it where that is told. */
const doing = <Do extends string, Shape extends z.ZodRawShape>(verb: Do, shape: Shape) =>
  z.strictObject({
    do: z.literal(verb),
    ...shape,
    hands: Typed.optional().describe('active work; left out, what is usual for such a step'),
  });

const Add = doing('add', { of: Of, amount: Typed });
const Brown = doing('brown', {
  loss: Typed,
  fatRunOff: Typed.optional(),
  fatKept: z.boolean().optional().describe('the fat stays in the pot; else it is poured off'),
  as: Name.optional().describe('the name under which the fat goes on to another use'),
  cost: Cost.optional().describe('of that fat; nothing where it is left out'),
  time: Typed.optional(),
});
const WaterAmount = doing('water', { amount: Typed });
const WaterLevel = doing('water', { level: Typed });
const WaterCover = doing('water', { cover: Typed });
const Bring = doing('bring', { to: Typed });
const Cook = doing('cook', {
  heat: z.enum(HEATS),
  time: Typed,
  lid: z.enum(LIDS),
  underFat: z.boolean().optional().describe('under the layer of its own fat, which slows what boils away'),
});
const Skim = doing('skim', { amount: Typed, from: z.enum(['body', 'surface']) });
const Strain = doing('strain', {
  pressed: z.boolean(),
  through: z.enum(STRAINERS),
  keep: z.array(Id).max(10).optional().describe('ingredients whose pieces stay in the pot'),
});

const Pick = doing('pick', {
  piece: Id.optional().describe('the one ingredient picked; else all the strainer holds'),
  share: Typed,
  as: Name.optional().describe('a joint product of that name; left out, it goes back into the pot'),
  cost: Cost.default({ by: 'weight' }),
});
const SecondWash = doing('second wash', {
  as: Name.describe('what the strainer still holds, for another pot'),
  cost: Cost.default({ by: 'credit', perKg: '0' }),
});
const DrawOff = doing('draw off', {
  amount: Typed,
  as: Name,
  liquidOnly: z.boolean().default(false),
  cost: Cost.default({ by: 'weight' }),
});
const Into = doing('into', { vessel: Id, hob: Id });
const TakeFat = doing('defat', {
  by: z.enum(DEFATS),
  as: Name.optional().describe('the name under which the fat goes on to another use'),
  cost: Cost.optional().describe('of that fat; nothing where it is left out'),
});
const Split = doing('split', {
  amount: Typed.describe('what goes into the other vessel: "2 l", "1/3", "40 %"'),
  liquidOnly: z.boolean().default(false),
  vessel: Id,
  hob: Id,
});
const TurnTo = doing('turn to', { vessel: Id }).describe('goes on in a vessel that stands aside');
const Combine = doing('combine', { vessel: Id }).describe('what stands aside comes back');
const Reduce = doing('reduce', {
  until: z.enum(['share', 'volume', 'dip', 'gelatin', 'salt', 'body', 'time']),
  to: Typed.describe('what is left: "1/4", "3 l", "33 cm" from the rim, "8 %", "1" (body), "20 min"'),
  heat: z.enum(HEATS),
  lid: z.enum(LIDS),
});
const Thicken = doing('thicken', { of: Of, amount: Typed });
const Deglaze = doing('deglaze', { of: Of, amount: Typed });
const ToTaste = doing('to taste', {
  of: Of,
  usual: Typed.describe('what it usually comes to: to taste still costs something'),
});
const TopUp = doing('top up', {}).describe('to the litres before the heat');
const ThickenTo = doing('thicken to', { of: Of, band: z.enum(BANDS) });
const RouxOf = doing('roux', { to: z.enum(ROUX), time: Typed.optional() });
const Loosen = doing('loosen', { of: Of, amount: Typed });
const LoosenTo = doing('loosen to', { of: Of, band: z.enum(BANDS) });
const Enrich = doing('enrich', { of: Of, amount: Typed });
const Puree = doing('puree', { loss: Typed.optional() });
const Sieve = doing('sieve', { loss: Typed.optional() });
const SecondPass = doing('second pass', {
  back: Typed.describe('share of what the sieve kept that comes back'),
});
const Chill = doing('chill', { to: Typed, time: Typed.optional() });
const Hold = doing('hold', {
  time: Typed,
  loss: Typed.optional().describe('share of its water that leaves in an hour'),
});
const Mount = doing('mount', { of: Of, amount: Typed });
const Season = doing('season', { of: Of, amount: Typed });
const SeasonTo = doing('season to', { of: Of, salt: Typed });
const Portion = doing('portion', {
  size: Typed,
  overfill: Typed.optional(),
  container: Id.optional().describe(
    'the jar, tub or carton each is packed in: an ingredient bought by the piece',
  ),
});
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
  Split,
  TurnTo,
  Combine,
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
