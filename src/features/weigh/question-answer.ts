import 'server-only';
import { LRUCache } from 'lru-cache';
import {
  waysInSlices,
  cookWays,
  countedPerLitre,
  wayFigures,
  meetsTarget,
  kitchenVariants,
  costSources,
  SnapshotPots,
  summaryOf,
  type QuestionWays,
  type CookedWay,
  type WayFigures,
  type CostSource,
} from '@/core/compare';
import type { KitchenCosting } from '@/core/costing';
import type { WrittenAsks, WrittenTold } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { Layer } from '@/core/layers';
import { CONSTANTS } from '@/core/reference';
import type { Outcome } from '@/core/trouble';
import { runInSlices } from '@/server/run-in-slices';
import { costedKitchen, costedWith } from '@/server/kitchen';

/** Ways compared: what each comes to, and what it was paid for. */
export interface QuestionAnswer extends QuestionWays {
  readonly costing: KitchenCosting;
  readonly pots: SnapshotPots;
  readonly cooked: readonly CookedWay[];
  readonly figures: readonly WayFigures[];
  /** Which ways are an answer: not too thin, and not too salty. */
  readonly meets: readonly boolean[];
}

/** What has been laid, held while its kitchen stands where it stood. */
const held = new LRUCache<string, Promise<Outcome<QuestionAnswer>>>({ max: 40 });

/** Lays the ways of a question beside each other, in the kitchen as it is. */
export async function answerQuestion(kitchenId: string, asks: WrittenAsks): Promise<Outcome<QuestionAnswer>> {
  const kitchen = await costedKitchen(kitchenId);
  const key = JSON.stringify([kitchenId, kitchen.stood, kitchen.costing.day, asks]);
  const known = held.get(key);
  if (known) return known;
  const made = layAnew(kitchen, asks);
  held.set(key, made);
  made.catch(() => held.delete(key));
  return made;
}

async function layAnew(
  kitchen: Awaited<ReturnType<typeof costedKitchen>>,
  asks: WrittenAsks,
): Promise<Outcome<QuestionAnswer>> {
  const { costing } = kitchen;
  const others: KitchenCosting[] = [];
  for (const change of kitchenVariants(asks)) others.push(await costedWith(kitchen, change));
  const made = await runInSlices(waysInSlices(costing, others, asks, CONSTANTS));
  if (!made.ok) return made;
  const { apart, ways } = made.value;
  const pots = new SnapshotPots(apart);
  const cooked = cookWays(pots, ways, ownConstants(costing.state.kitchen, CONSTANTS));
  const figures = ways.map((way, i) => wayFigures(way, cooked[i] as CookedWay, pots.wage(way)));
  return {
    ok: true,
    value: { ...made.value, costing, pots, cooked, figures, meets: figures.map((f) => meetsTarget(asks, f)) },
  };
}

/** What each way was paid for, by name. */
export const costSourcesOf = (
  { ways, pots, cooked }: QuestionAnswer,
  layers: readonly Layer[],
): CostSource[][] => ways.map((way, i) => costSources(pots, way, cooked[i] as CookedWay, layers));

/** What a litre of each way costs in some layers; null where it is not known. */
export const costPerLitre = (
  { figures }: Pick<QuestionAnswer, 'figures'>,
  layers: readonly Layer[],
): (number | null)[] => figures.map((f) => countedPerLitre(f.perL, layers));

/** The same of those ways that are an answer. */
export const answerCosts = (laid: QuestionAnswer, layers: readonly Layer[]): (number | null)[] =>
  costPerLitre(laid, layers).map((cost, i) => (laid.meets[i] ? cost : null));

/** What a question comes to now, as it is kept to be held against later. */
export const currentSummary = (
  laid: QuestionAnswer,
  asks: WrittenAsks,
  layers: readonly Layer[],
): WrittenTold | undefined => summaryOf(laid.costing, laid.apart, asks, answerCosts(laid, layers));
