import { z } from 'zod';
import { checkStuff } from '../larder';
import { Ingredient, stuffOf, type WrittenIngredient } from '../kitchen-file';
import table from './ingredients.json';

/** What an ingredient is like before this kitchen has measured it: physics, allergens, usual trim. */
const physics = Ingredient.pick({
  id: true,
  name: true,
  role: true,
  composition: true,
  fat: true,
  bindingGPerKg: true,
  gelatin: true,
  renderedFatPct: true,
  takesWaterGPerG: true,
  givesWaterGPerG: true,
  givesHalfLifeH: true,
  juice: true,
  pulpPct: true,
  curdlesAtC: true,
  retentionMlPerKg: true,
  retentionPressedMlPerKg: true,
  packing: true,
  densityGPerMl: true,
  eachG: true,
  eachUnit: true,
  allergens: true,
});
const Row = physics.extend({
  group: z.string().min(1),
  /** g/kg, 90 % range. */
  gelatinRange: z.tuple([z.number(), z.number()]).optional(),
  usable: z.object({ pct: z.number(), low: z.number(), high: z.number(), stockTrimPct: z.number() }),
  prep: z.string().optional(),
  cook: z.object({ yieldPct: z.number(), note: z.string() }).optional(),
  shelfDays: z.number().optional(),
  unit: z.string(),
  confidence: z.enum(['low', 'medium', 'high']),
  basis: z.string().min(1),
});
export type ReferenceIngredient = z.infer<typeof Row>;

/** Thrown when the shipped larder is broken: a programmer's mistake. */
export class ReferenceLarderError extends Error {}

/** Reads and checks a reference larder: shapes, ranges around their values, physics that can be. */
export function readReferenceLarder(rows: unknown): ReadonlyMap<string, ReferenceIngredient> {
  const parsed = z.array(Row).safeParse(rows);
  if (!parsed.success) throw new ReferenceLarderError(z.prettifyError(parsed.error));
  const byId = new Map<string, ReferenceIngredient>();
  const names = new Set<string>();
  for (const row of parsed.data) {
    const wrong = (why: string) => new ReferenceLarderError(`${row.name}: ${why}`);
    if (byId.has(row.id) || names.has(row.name.toLowerCase())) throw wrong('stands twice');
    const { pct, low, high, stockTrimPct } = row.usable;
    if (!(low <= pct && pct <= high && high <= 100 && pct + stockTrimPct <= 100.001))
      throw wrong('the usable yield lies outside its range');
    if (row.gelatinRange && row.gelatin) {
      const [from, to] = row.gelatinRange;
      if (!(from <= row.gelatin.gPerKg && row.gelatin.gPerKg <= to))
        throw wrong('gelatin lies outside its range');
    }
    const stuff = stuffOf(adopted(row, row.id, '2000-01-01', '2000-01-01T00:00:00.000Z'));
    if (!stuff.ok) throw wrong(stuff.trouble.message);
    const [trouble] = checkStuff(stuff.value);
    if (trouble) throw wrong(trouble.message);
    byId.set(row.id, row);
    names.add(row.name.toLowerCase());
  }
  return byId;
}

let larder: ReadonlyMap<string, ReferenceIngredient> | undefined;

/** The shipped larder of starting points by id, checked when it is first asked for. */
export const referenceLarder = (): ReadonlyMap<string, ReferenceIngredient> =>
  (larder ??= readReferenceLarder(table));

/**
 * A kitchen's own ingredient taken from a reference: a copy, so that no later edition of the reference changes
 * what a kitchen uses. Its yield is an estimate with its range.
 */
export function adopted(
  row: ReferenceIngredient,
  id: string,
  on: string,
  recordedAt: string,
): WrittenIngredient {
  const {
    group: _g,
    gelatinRange: _r,
    usable,
    prep,
    cook: _c,
    shelfDays: _s,
    unit: _u,
    confidence,
    basis: _b,
    ...own
  } = row;
  return Ingredient.parse({
    ...own,
    id,
    reference: row.id,
    yields: [
      {
        on,
        recordedAt,
        usablePct: usable.pct,
        stockTrimPct: usable.stockTrimPct,
        low: usable.low,
        high: usable.high,
        source: 'estimate',
        basis: `reference, ${confidence} confidence${prep ? `: ${prep}` : ''}`.slice(0, 200),
      },
    ],
  });
}

/** What an ingredient of nobody's starting point counts among. */
const OWN_GROUP = 'the house’s own';

/** The group of the larder that an ingredient is in: that of the starting point it was taken from. */
export const groupOf = ({ reference }: Pick<WrittenIngredient, 'reference'>): string =>
  (reference === undefined ? undefined : referenceLarder().get(reference)?.group) ?? OWN_GROUP;
