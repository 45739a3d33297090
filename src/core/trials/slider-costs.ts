import type { CostGraph, GraphNode } from '../graph';
import { portionAt, type WrittenTrial } from '../kitchen-file';
import { mostUsable, pricesAt, type Source } from '../knife';
import { readAmountOf, toGrams, type Manner, type Weighable } from '../quantity';

/** A portion that is tried: what a gram of it costs where no price moves it, and how it is weighed. */
export interface SliderPortion {
  readonly plate: string;
  readonly line: string;
  /** Whose trial it is: the plate's own, or that of the plate it is a size of, which it then follows. */
  readonly of: string;
  readonly size: number;
  readonly key: string;
  readonly perG: number | null;
  /** g as it is, and how many such portions a plate that is sold uses up. */
  readonly g: number | null;
  readonly times: number;
  readonly packaging: boolean;
  readonly weighable: Weighable;
}

/** What a browser needs to answer trials that slide: the part of the graph above what they move, as it is without them. */
export interface Sliders {
  readonly graph: readonly GraphNode[];
  readonly prices: readonly (readonly [string, number | null])[];
  readonly sources: readonly Source[];
  /** Ingredients that each trial moves the price of, in the trials' order. */
  readonly moves: readonly (readonly string[])[];
  readonly portions: readonly SliderPortion[];
}

/** Prices of the sources of trials, as the graph takes them. */
export function sliderPrices(slid: Sliders, trials: readonly WrittenTrial[]): [string, number | null][] {
  const times = new Map<string, number>();
  const yields = new Map<string, number[]>();
  for (const [i, t] of trials.entries()) {
    if (t.of === 'yield') yields.set(t.ingredient, [...(yields.get(t.ingredient) ?? []), t.usablePct / 100]);
    else if ('times' in t)
      for (const id of slid.moves[i] ?? []) times.set(id, (times.get(id) ?? 1) * t.times);
  }
  return slid.sources.flatMap((s) => {
    // More than the whole cannot be: such a yield is told of, and the one tried before it counts.
    const usable = yields.get(s.id)?.findLast((tried) => tried <= mostUsable(s));
    return pricesAt(s, times.get(s.id) ?? 1, usable);
  });
}

/** A plate as it is costed before what slides, and what stands on the menu for it. */
export interface TrialPlate {
  readonly id: string;
  readonly cost: number | null;
  readonly menuPrice: number | undefined;
}

/**
 * What plates cost with the trials that slide, and what stands on the menu for each.
 * @param graph of `slid`, its prices set
 */
export function sliderPlates<P extends TrialPlate>(
  plates: readonly P[],
  slid: Sliders,
  graph: CostGraph,
  trials: readonly WrittenTrial[],
  manner: Manner,
): (P & { readonly then: number | null; readonly priceThen: number | undefined })[] {
  graph.set(sliderPrices(slid, trials).filter(([key]) => graph.has(key)));
  const prices = new Map(
    trials.flatMap((t) => (t.of === 'menu price' ? [[t.plate, Number(t.price)] as const] : [])),
  );
  const more = morePortion(slid, graph, trials, manner);
  return plates.map((plate) => {
    const key = `plate:${plate.id}`;
    const cost = graph.has(key) ? graph.cost(key) : plate.cost;
    const by = more.get(plate.id);
    const then = by === undefined ? cost : cost === null || by === null ? null : cost + by;
    return { ...plate, then, priceThen: prices.get(plate.id) ?? plate.menuPrice };
  });
}

/** What other portions add to each plate; null where that is not known. An amount that cannot be weighed changes nothing. */
function morePortion(slid: Sliders, graph: CostGraph, trials: readonly WrittenTrial[], manner: Manner) {
  const more = new Map<string, number | null>();
  const tried = new Map<string, string[]>();
  for (const t of trials) {
    if (t.of !== 'portion') continue;
    const key = `${t.plate} ${t.line}`;
    tried.set(key, [...(tried.get(key) ?? []), t.amount]);
  }
  // What a size says itself stands first, and what it follows is asked only where it says nothing that can be weighed.
  const settled = new Set<string>();
  for (const p of slid.portions) {
    const amounts = tried.get(`${p.of} ${p.line}`) ?? [];
    const grams = amounts.map((amount) => gramsOf(p, amount, manner)).findLast((g) => g !== undefined);
    const portion = `${p.plate} ${p.line}`;
    if (grams === undefined || settled.has(portion)) continue;
    settled.add(portion);
    if (p.packaging) continue;
    const perG = graph.has(p.key) ? graph.cost(p.key) : p.perG;
    const was = more.get(p.plate);
    const by = perG === null || p.g === null ? null : (grams - p.g) * p.times * perG;
    more.set(p.plate, was === null || by === null ? null : (was ?? 0) + by);
  }
  return more;
}

/** g of a portion as it is typed; undefined where it cannot be weighed. */
function gramsOf({ size, weighable }: SliderPortion, typed: string, manner: Manner): number | undefined {
  const amount = portionAt(typed, size, manner);
  const read = readAmountOf(['mass', 'volume', 'count'], amount, manner);
  const grams = read.ok ? toGrams(read.value, weighable) : undefined;
  return grams?.ok ? grams.value.grams : undefined;
}
