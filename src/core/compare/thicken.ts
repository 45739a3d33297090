import type { WrittenAsks, WrittenRecipe } from '../kitchen-file';
import { crossing, maxFillMl, type LedgerRow } from '../pot';
import { potOf } from '../shelf';
import { fine, refuse, type Outcome } from '../trouble';
import { runPot, scaledLine, type WrittenStep } from '../verbs';
import {
  matterName,
  cookTrial,
  formatTyped,
  withLine,
  withPot,
  withSteps,
  type SheetContext,
  type SheetWay,
} from './sheet-ways';
import * as texts from './texts';

type Ask = Extract<WrittenAsks, { of: 'thicken' }>;

/** How far a pot is reduced that is thickened instead: three quarters of the way, as many kitchens stop it. */
const STOPS_AT = 0.75;
const CLOSE = 0.003;
/** Body below which a reduction is one of wine or vinegar, for its taste: water has none, and nothing could stand for it. */
export const LEAST_BODY = 0.05;

/** What is done to a pan as it is to a pot, and what is not done to what is served at once; anything else belongs to a pot. */
const IN_A_PAN = new Set(['season to', 'to taste', 'mount', 'enrich', 'loosen', 'loosen to', 'portion']);
const NOT_AT_ONCE = new Set(['chill', 'hold']);
/** Shares of the portions of one pot that small pans are tried for: what clings to each of them is lacking in the ladle. */
const FEWER = [1, 0.97, 0.93, 0.87, 0.8] as const;
/** ml of an order where the sheet pours no portions of its own: a sauce for one. */
const AN_ORDER_ML = 60;

/** Reduce all the way; stop at three quarters of it and thicken to the same body, with each of some things; or stop there and finish each order. */
export function thicken(on: SheetContext, asks: Ask): Outcome<readonly SheetWay[]> {
  const { recipe, at, costing } = on;
  const step = recipe.steps[at] as WrittenStep;
  const { rows } = cookTrial(on, recipe);
  const [before, after, end] = [rows[at - 1], rows[at], rows.at(-1)];
  if (step.do !== 'reduce' || !before || !after || !end)
    return refuse('not-that-line', '', texts.lineReducesNothingAny);
  if (after.body < LEAST_BODY) return refuse('no-body', '', texts.whatReducedHereNot);
  const { mark } = costing.shelf.manner;
  const stopsMl = before.ml - STOPS_AT * (before.ml - after.ml);
  const stop = { ...step, until: 'volume', to: `${formatTyped(stopsMl / 1000, mark)} l` } as WrittenStep;
  const thickened = (of: Ask['with'][number], g: number) =>
    withLine(recipe, at, [
      stop,
      ...(g > 0 ? [{ do: 'thicken', of, amount: `${formatTyped(g, mark)} g` } as WrittenStep] : []),
    ]);
  return fine([
    { name: 'reduced all the way', recipe },
    ...asks.with.map((of): SheetWay => {
      const name = `stopped at three quarters, ${matterName(costing, of)}`;
      const bodyWith = (g: number): number => cookTrial(on, thickened(of, g)).rows.at(-1)?.body ?? 0;
      if (bodyWith(0) >= end.body) return { name, recipe: thickened(of, 0), note: 'thick enough without' };
      const found = crossing((g) => bodyWith(g) - end.body, 0, stopsMl, end.body * CLOSE);
      return found.found
        ? { name, recipe: thickened(of, found.below), note: `${formatTyped(found.below, mark, 3)} g of it` }
        : { name, recipe: thickened(of, 0), note: 'however much of it goes in, it does not get as thick' };
    }),
    ...toOrder(on, stop, after.body, end),
  ]);
}

/**
 * Stopped, and each order taken to the body in a small pan of its own: what was done to the whole pot after the reduction is then done to
 * every pan. Nothing where what comes after is done to a whole pot, and where the house has no vessel.
 * @param body what the pan is reduced to
 * @param end how the sheet ends when it is reduced all the way
 */
function toOrder(on: SheetContext, stop: WrittenStep, body: number, end: LedgerRow): SheetWay[] {
  const { recipe, at, costing, c } = on;
  const { manner } = costing.shelf;
  const later = recipe.steps.slice(at + 1).filter((s) => !NOT_AT_ONCE.has(s.do));
  // What is filled into jars or bags waits for nobody's order.
  if (!later.every((s) => IN_A_PAN.has(s.do) && !('container' in s && s.container))) return [];
  const held: WrittenRecipe = {
    ...withSteps(recipe, (steps) => [...steps.slice(0, at), stop]),
    id: `held ${recipe.steps[at]?.id}`,
    name: `${recipe.name}, to be finished to order`,
  };
  const { product } = runPot(potOf(held, costing.shelf), c);
  if (!product) return [];
  const whole = end.portions?.whole ?? Math.round(end.standingMl / AN_ORDER_ML);
  const inPans = (orders: number): SheetWay | undefined => {
    const ml = product.ml / orders;
    const pan = smallestFor(costing, ml);
    return (
      pan && {
        name: 'stopped at three quarters, finished to order',
        recipe: {
          ...recipe,
          vessel: pan.id,
          steps: [
            {
              do: 'add',
              of: { product: held.id },
              amount: `${formatTyped(ml, manner.mark)} ml`,
            } as WrittenStep,
            { ...stop, until: 'body', to: formatTyped(body, manner.mark) } as WrittenStep,
            ...later.map((s) => scaledLine(s, 1 / orders, manner)),
          ],
        },
        also: held,
        batches: orders,
        note: `${orders} ${orders === 1 ? 'order' : 'orders, each'} in the ${pan.name}`,
      }
    );
  };
  const shelf = withPot(on, held);
  const can = (way: SheetWay | undefined): boolean =>
    way !== undefined && cookTrial({ ...shelf, last: {} }, way.recipe).refused === undefined;
  const ways = FEWER.map((share) => inPans(Math.max(1, Math.floor(whole * share))));
  const way = ways.find(can) ?? ways[0];
  return way ? [way] : [];
}

/** The smallest vessel of a house that holds so much. */
const smallestFor = ({ state, shelf }: SheetContext['costing'], ml: number) =>
  state.vessels
    .flatMap(({ id, name }) => {
      const vessel = shelf.vessel(id);
      return vessel && maxFillMl(vessel) >= ml ? [{ id, name, size: maxFillMl(vessel) }] : [];
    })
    .sort((a, b) => a.size - b.size)[0];
