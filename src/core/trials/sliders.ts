import { portionsUsed, type KitchenCosting } from '../costing';
import type { WrittenTrial } from '../kitchen-file';
import type { Knife, Source } from '../knife';
import { sourceOf } from '../prices';
import { trimOf, usableOf } from '../supply';
import { thingOf } from '../verbs';
import type { Sliders, SliderPortion } from './slider-costs';
import { ingredientsPriced } from './apply-trials';

/**
 * Trials that only move prices, portions and what stands on the menu: what they do is worked out in the browser while a slider
 * moves, out of a part of the graph. All others run pots, and are worked out where the kitchen is costed.
 */
const SLID: ReadonlySet<WrittenTrial['of']> = new Set([
  'price',
  'group',
  'supplier',
  'portion',
  'menu price',
]);

/** Whether a trial slides: another yield does where nobody counts the thing, for then no pot takes another weight of it. */
export function isSlider({ state }: KitchenCosting, trial: WrittenTrial): boolean {
  if (trial.of !== 'yield') return SLID.has(trial.of);
  const of = state.ingredients.find((i) => i.id === trial.ingredient);
  return of !== undefined && of.eachG === undefined && Object.keys(of.pieceG ?? {}).length === 0;
}

/** What slides of some trials in a kitchen that all the others have been done to. */
export function slidersOf(costing: KitchenCosting, trials: readonly WrittenTrial[]): Sliders {
  const moves = trials.map((t) => ingredientsPriced(costing, t));
  const ids = new Set([...moves.flat(), ...trials.flatMap((t) => (t.of === 'yield' ? [t.ingredient] : []))]);
  const sources = [...ids].flatMap((id): Source[] => {
    const supply = costing.supplies.get(id);
    return supply ? [sourceOf(supply)] : [];
  });
  const keys = sources.flatMap((s) =>
    [s.id, ...cameOffIds(s.knife)].flatMap((id) => [usableOf(id), trimOf(id)]),
  );
  const graph = costing.graph.partAbove(keys);
  const inPart = new Set(graph.map((n) => n.key));
  return {
    graph,
    prices: keys.filter((key) => inPart.has(key)).map((key) => [key, costing.graph.cost(key)]),
    sources,
    moves,
    portions: portionsOf(costing, trials),
  };
}

const cameOffIds = (knife: Knife): string[] =>
  knife.byProducts.flatMap((b) => [b.knife.id, ...cameOffIds(b.knife)]);

/** Portions that trials are of, each once, and after them those of sizes that follow them. */
function portionsOf(costing: KitchenCosting, trials: readonly WrittenTrial[]): SliderPortion[] {
  const found = new Map<string, SliderPortion>();
  const put = (plate: string, line: string, of: string, size: number): void => {
    const key = `${plate} ${line} ${of}`;
    const made = found.has(key) ? undefined : portionOf(costing, plate, line, of, size);
    if (made) found.set(key, made);
  };
  for (const t of trials) {
    // A line that does not stand on the plate moves nothing: neither there nor on a size that has one of that id.
    if (t.of !== 'portion' || !hasLine(costing, t.plate, t.line)) continue;
    put(t.plate, t.line, t.plate, 1);
    for (const { id, follows } of costing.state.plates)
      if (follows?.plate === t.plate && !follows.but.some((b) => b.line === t.line && (b.out || b.amount)))
        put(id, t.line, t.plate, follows.size);
  }
  const own = (p: SliderPortion): boolean => p.of === p.plate;
  const all = [...found.values()];
  return [...all.filter(own), ...all.filter((p) => !own(p))];
}

const hasLine = ({ plates }: KitchenCosting, plate: string, line: string): boolean =>
  plates.get(plate)?.lines.some((l) => l.written.id === line) ?? false;

function portionOf(
  costing: KitchenCosting,
  plateId: string,
  lineId: string,
  of: string,
  size: number,
): SliderPortion | undefined {
  const plate = costing.plates.get(plateId);
  const line = plate?.lines.find((l) => l.written.id === lineId);
  if (!plate || !line) return undefined;
  const thing = thingOf(line.written.of, costing.shelf);
  if (!thing.ok) return undefined;
  const key = thing.value.what.supply;
  return {
    plate: plateId,
    line: lineId,
    of,
    size,
    key,
    perG: costing.graph.cost(key),
    g: line.resolved.ok ? line.resolved.value.g : null,
    times: portionsUsed(line.written, plate.plate),
    packaging: line.written.packaging === true,
    weighable: thing.value.weighable,
  };
}
