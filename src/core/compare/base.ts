import type { WrittenAsks, WrittenRecipe } from '../kitchen-file';
import { crossing, maxFillMl } from '../pot';
import { thingOf, type WrittenStep } from '../verbs';
import { fine, refuse, type Outcome } from '../trouble';
import type { Work } from '../work';
import { finishTo, type FinishResult } from './finish';
import { matterName, formatTyped, withLine, withPot, type SheetContext, type SheetWay } from './sheet-ways';
import * as texts from './texts';

type Ask = Extract<WrittenAsks, { of: 'base' }>;

/** What became of one base, taken to the finished thing. */
export interface BaseWay extends SheetWay {
  readonly base: {
    /** Litres of it that one litre of what the line takes is made of: above 1 it is reduced, below 1 let down with water. */
    readonly strength: number;
    /** Litres of it in one litre finished. */
    readonly perL: number;
    readonly end: FinishResult['end'];
    readonly bodyThen: number;
    readonly saltPct: number;
    readonly mendG: number;
    readonly mend: string | undefined;
  };
}

/** Strongest and weakest that a base is made for a line. */
const STRENGTH = { least: 0.05, most: 14 } as const;
/** Strengths of which the first that makes enough litres is looked below. */
const ENOUGH = [1, 2, 4, 8, STRENGTH.most] as const;
/** How near the litres of every way are to each other, as a share. */
const CLOSE = 0.004;

/**
 * The same finished thing out of other bases, as many litres of it, with as much body and no more salt. Each is first brought to a
 * strength of its own, then goes into the sheet in the place of what stands there: reduced before, as a kitchen does it, because what
 * comes later (wine, butter) is not to be reduced with it.
 */
export function* baseWays(on: SheetContext, asks: Ask): Work<Outcome<readonly BaseWay[]>> {
  const { costing, recipe, at } = on;
  const stands = standsThere(on);
  if (!stands.ok) return stands;
  const { ml, name } = stands.value;
  const own = finishTo(on, recipe, at, asks);
  const litres = own.run.product?.ml ?? 0;
  if (litres === 0)
    return refuse(
      'nothing-made',
      '',
      own.run.refused?.trouble.message ?? texts.makesNothingStands(recipe.name),
    );
  const way = (called: string, strength: number, of: FinishResult, also?: WrittenRecipe): BaseWay => ({
    name: called,
    recipe: of.recipe,
    also,
    base: {
      strength,
      perL: (ml * strength) / (of.run.product?.ml ?? Infinity),
      end: of.end,
      bodyThen: of.bodyThen,
      saltPct: of.saltThen,
      mendG: of.mendG,
      mend: asks.mend && matterName(costing, asks.mend),
    },
  });
  const ways = [way(name, 1, own)];
  for (const [n, base] of asks.bases.entries()) {
    yield;
    const called = matterName(costing, base.of);
    const bought = thingOf(base.of, costing.shelf);
    const pours = bought.ok && litresIn(bought.value) !== undefined;
    if (!bought.ok || !(pours || base.gPerL !== undefined)) {
      const steps = [unread(called)];
      ways.push({ ...way(called, 0, own), recipe: { ...recipe, steps }, note: NO_LITRES });
      continue;
    }
    const id = `base ${n + 1} of ${asks.line}`;
    const at1 = (strength: number) => finishedWith(on, asks, base, id, ml, strength);
    // So weak that no reduction gets it there counts as nothing: the stronger it is, the more litres it is enough for.
    const made = ({ of }: ReturnType<typeof at1>): number =>
      of.end === 'never' ? 0 : (of.run.product?.ml ?? 0);
    // A sheet that need not be reduced makes the same litres however strong its base is: the weakest that does is looked for.
    const goal = litres * (1 - CLOSE / 2);
    const over = (q: number): number => made(at1(q)) - goal;
    // Far more of it than is needed would not fit any pot of the house, and make nothing: the first that is enough ends the search.
    const enough = ENOUGH.find((q) => over(q) >= 0);
    const found =
      enough === undefined ? undefined : crossing(over, STRENGTH.least, enough, (litres * CLOSE) / 2);
    const strength = found?.found ? found.below : STRENGTH.most;
    const { of, also } = at1(strength);
    ways.push(way(called, strength, of, also));
  }
  return fine(ways);
}

const NO_LITRES = 'it has no litres, and nobody has said how much of it makes a litre';

type Thing = Extract<ReturnType<typeof thingOf>, { ok: true }>['value'];

/** g of a ml of what pours; pieces have litres only as a heap. */
const litresIn = ({ what, weighable }: Thing): number | undefined =>
  what.is === 'stuff' && what.stuff.role === 'piece' ? undefined : weighable.densityGPerMl;

/** What stands in the line now, and ml of it. */
function standsThere({ costing, recipe, at }: SheetContext): Outcome<{ ml: number; name: string }> {
  const step = recipe.steps[at] as WrittenStep;
  if (!('of' in step) || !('amount' in step) || !step.of)
    return refuse('not-that-line', '', texts.lineTakesNothingAny);
  const took = costing.recipes.get(recipe.id)?.run.inputs.find((i) => i.step === at);
  const thing = thingOf(step.of, costing.shelf);
  const name = matterName(costing, step.of);
  if (!took || !thing.ok) return refuse('no-base', '', texts.cannotCookedFarLine(recipe.name));
  const density = litresIn(thing.value);
  return density === undefined
    ? refuse('no-litres', '', texts.noLitresOnlyWhat(name))
    : fine({ ml: took.g / density, name });
}

const unread = (name: string): WrittenStep => ({ do: 'unread', said: `${name}, in litres` });

/** The sheet with so strong a base in it, taken to what is wanted, and the pot in which that is made. */
function finishedWith(
  on: SheetContext,
  asks: Ask,
  base: Ask['bases'][number],
  id: string,
  ml: number,
  strength: number,
): { of: FinishResult; also: WrittenRecipe } {
  const { recipe, at, costing } = on;
  const { mark } = costing.shelf.manner;
  const l = (amount: number): string => `${formatTyped(amount / 1000, mark)} l`;
  const into = Math.min(1, strength) * ml;
  const from = strength * ml;
  const poured: WrittenStep[] =
    base.gPerL === undefined
      ? [{ do: 'add', of: base.of, amount: l(from) } as WrittenStep]
      : [
          { do: 'water', amount: l(from) } as WrittenStep,
          {
            do: 'add',
            of: base.of,
            amount: `${formatTyped((base.gPerL * from) / 1000, mark)} g`,
          } as WrittenStep,
        ];
  const brought: WrittenStep[] =
    strength > 1
      ? [{ do: 'reduce', until: 'volume', to: l(ml), heat: 'hard boil', lid: 'off' } as WrittenStep]
      : [];
  const also: WrittenRecipe = {
    id,
    name: `${matterName(costing, base.of)}, brought to strength`,
    ...standsOn(on, from),
    batchesAWeek: 0,
    steps: [...poured, ...brought],
  };
  // Lines are cooked on a shelf where the base at its strength stands beside everything else.
  const line = recipe.steps[at] as WrittenStep;
  const next = withLine(recipe, at, [
    { ...line, of: { product: id }, amount: l(into) } as WrittenStep,
    ...(strength < 1 ? [{ do: 'water', amount: l(ml - into) } as WrittenStep] : []),
  ]);
  return { of: finishTo(withPot(on, also), next, at, asks), also };
}

/** Where it is reduced: in the pot of what it takes the place of, or the smallest of the house that holds it. */
function standsOn({ recipe, at, costing }: SheetContext, ml: number): Pick<WrittenRecipe, 'vessel' | 'hob'> {
  const step = recipe.steps[at];
  const of = step && 'of' in step ? step.of : undefined;
  const mother = of && 'product' in of ? costing.state.recipes.find((r) => r.id === of.product) : undefined;
  const stands = mother ?? recipe;
  const holds = (id: string): boolean => {
    const vessel = costing.shelf.vessel(id);
    return vessel !== undefined && maxFillMl(vessel) >= ml;
  };
  const { vessel, hob } = stands;
  if (holds(vessel)) return { vessel, hob };
  const size = (id: string): number => {
    const vessel = costing.shelf.vessel(id);
    return vessel ? maxFillMl(vessel) : 0;
  };
  const bySize = costing.state.vessels.map((v) => v.id).sort((a, b) => size(a) - size(b));
  return { vessel: bySize.find(holds) ?? bySize.at(-1) ?? vessel, hob };
}
