import 'server-only';
import { LRUCache } from 'lru-cache';
import {
  asking,
  cookedWays,
  counted,
  figuresOf,
  meets,
  otherKitchens,
  paidIn,
  Pots,
  toldOf,
  type Asked,
  type CookedWay,
  type Figures,
  type Paid,
} from '@/core/compare';
import type { KitchenCosting } from '@/core/costing';
import type { WrittenAsks, WrittenTold } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { Layer } from '@/core/layers';
import { CONSTANTS } from '@/core/reference';
import type { Outcome } from '@/core/trouble';
import { inParts } from '@/server/in-parts';
import { costedKitchen, costedWith } from '@/server/kitchen';

/** Ways laid beside each other: what each comes to, and what it was paid for. */
export interface Laid extends Asked {
  readonly costing: KitchenCosting;
  readonly pots: Pots;
  readonly cooked: readonly CookedWay[];
  readonly figures: readonly Figures[];
  /** Which ways are an answer: not too thin, and not too salty. */
  readonly meets: readonly boolean[];
}

/** What has been laid, held while its kitchen stands where it stood. */
const held = new LRUCache<string, Promise<Outcome<Laid>>>({ max: 40 });

/** Lays the ways of a question beside each other, in the kitchen as it stands. */
export async function lay(kitchenId: string, asks: WrittenAsks): Promise<Outcome<Laid>> {
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
): Promise<Outcome<Laid>> {
  const { costing } = kitchen;
  const others: KitchenCosting[] = [];
  for (const change of otherKitchens(asks)) others.push(await costedWith(kitchen, change));
  const made = await inParts(asking(costing, others, asks, CONSTANTS));
  if (!made.ok) return made;
  const { apart, ways } = made.value;
  const pots = new Pots(apart);
  const cooked = cookedWays(pots, ways, ownConstants(costing.state.kitchen, CONSTANTS));
  const figures = ways.map((way, i) => figuresOf(way, cooked[i] as CookedWay, pots.wage(way)));
  return {
    ok: true,
    value: { ...made.value, costing, pots, cooked, figures, meets: figures.map((f) => meets(asks, f)) },
  };
}

/** What each way was paid for, by name. */
export const paidFor = ({ ways, pots, cooked }: Laid, layers: readonly Layer[]): Paid[][] =>
  ways.map((way, i) => paidIn(pots, way, cooked[i] as CookedWay, layers));

/** What a litre of each way costs in some layers; null where it is not known. */
export const perLitre = ({ figures }: Pick<Laid, 'figures'>, layers: readonly Layer[]): (number | null)[] =>
  figures.map((f) => counted(f.perL, layers));

/** The same of those ways that are an answer. */
export const answering = (laid: Laid, layers: readonly Layer[]): (number | null)[] =>
  perLitre(laid, layers).map((cost, i) => (laid.meets[i] ? cost : null));

/** What a question comes to now, as it is kept to be held against later. */
export const toldNow = (laid: Laid, asks: WrittenAsks, layers: readonly Layer[]): WrittenTold | undefined =>
  toldOf(laid.costing, laid.apart, asks, answering(laid, layers));
