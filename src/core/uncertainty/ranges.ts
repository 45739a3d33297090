import type { KitchenCosting } from '../costing';
import { cookedOn, yieldOn, type WrittenIngredient } from '../kitchen-file';
import { ownConstants, type PricePoint } from '../kitchen-state';
import type { Boils, ProcessConstants, Vessel } from '../pot';
import { LEARNING, processConstants, REFERENCE, referenceLarder } from '../reference';
import { shiftDay } from '../day';
import { refuse, type Trouble } from '../trouble';
import { figuresOfWays, SnapshotPots, type Snapshot, type Way } from '../compare';
import * as texts from './texts';

/** Where a range comes from: own tests, own batches, what the starting values state, what has been paid, or a judgement because nobody has said. */
export type RangeFrom = 'tests' | 'batches' | 'starting value' | 'prices paid' | 'judgement';

/** A figure that is not known for sure, in the units it is written in; `low` and `high` are its 5 and 95 % points. */
export interface Uncertain {
  readonly kind:
    | 'constant'
    | 'yield'
    | 'gelatin'
    | 'dissolved'
    | 'retention'
    | 'retention pressed'
    | 'price'
    | 'power'
    | 'boils';
  /** A row of the constants, an ingredient, a hob, or a vessel at a heat under a lid (`boilsId`). */
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly from: RangeFrom;
  /** Of a retention: what is kept when pressed goes with it, because no test says that apart. */
  readonly pressedToo?: boolean | undefined;
}

/** What is wrong with a range. */
export function checkRange({ name, value, low, high }: Uncertain): Trouble | undefined {
  if (low <= value && value <= high) return undefined;
  return refuse('value-outside-range', '', texts.doesNotLieBetween(name, value, low, high), {
    value,
    limit: value < low ? low : high,
  }).trouble;
}

type Tree = { readonly [key: string]: unknown };

/** Places in the constants, as `heats.simmer.rate`. */
function leaves(tree: Tree, path = ''): [string, unknown][] {
  return Object.entries(tree).flatMap(([key, value]): [string, unknown][] =>
    typeof value === 'object' && value !== null
      ? leaves(value as Tree, `${path}${key}.`)
      : [[`${path}${key}`, value]],
  );
}

let rowPaths: ReadonlyMap<string, readonly string[]> | undefined;

/** Which places of the constants each row of the table moves. */
function pathsOfRows(): ReadonlyMap<string, readonly string[]> {
  if (rowPaths) return rowPaths;
  const usual = new Map(leaves(processConstants(REFERENCE) as unknown as Tree));
  const found = new Map<string, readonly string[]>();
  for (const [key, row] of REFERENCE) {
    if (row.low === row.high) continue;
    const value = row.high === row.value ? row.low : row.high;
    const moved = leaves(processConstants(new Map(REFERENCE).set(key, { ...row, value })) as unknown as Tree);
    found.set(
      key,
      moved.filter(([path, v]) => usual.get(path) !== v).map(([path]) => path),
    );
  }
  rowPaths = found;
  return found;
}

/** The same constants, noting which of them are looked at. */
function watched<T extends object>(of: T, seen: Set<string>, path = ''): T {
  return new Proxy(of, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key);
      if (typeof key === 'symbol') return value;
      if (typeof value === 'object' && value !== null) return watched(value, seen, `${path}${key}.`);
      seen.add(`${path}${key}`);
      return value;
    },
  });
}

/** What a vessel has taught of a heat under a lid, among everything that is not known for sure. */
export const boilsId = (vessel: Pick<Vessel, 'id'>, { heat, lid }: Pick<Boils, 'heat' | 'lid'>): string =>
  `${vessel.id} ${heat} ${lid}`;

/** 5 % of a normal lie this many standard deviations below its mean, and above. */
const Z90 = 1.645;

/** A lid in words. */
const UNDER = {
  off: 'no lid',
  ajar: 'lid ajar',
  on: 'lid on',
  paper: 'under paper',
} as const satisfies Record<Boils['lid'], string>;

/** How fast a vessel boils away by its own batches: as far around as one of them scatters. */
const boilsOf = (vessel: Vessel, b: Boils): Uncertain => ({
  kind: 'boils',
  id: boilsId(vessel, b),
  name: `${vessel.name}, ${b.heat}, ${UNDER[b.lid]}`,
  unit: '× the table',
  value: b.times,
  low: b.times * Math.exp(-Z90 * b.sd),
  high: b.times * Math.exp(Z90 * b.sd),
  from: 'batches',
});

/** The same vessels, noting which of what they have taught is looked at. */
function noting(taught: Map<string, Uncertain>): (vessel: Vessel) => Vessel {
  // One and the same each time it is asked for: two that are held against each other would be looked at whole.
  const made = new Map<string, Vessel>();
  return (vessel) => {
    if (!vessel.boils) return vessel;
    const known = made.get(vessel.id) ?? {
      ...vessel,
      boils: vessel.boils.map((b) => ({
        ...b,
        get times() {
          taught.set(boilsId(vessel, b), boilsOf(vessel, b));
          return b.times;
        },
      })),
    };
    made.set(vessel.id, known);
    return known;
  };
}

/** Rows of the table that some ways are cooked with, and what their vessels have taught instead. */
function constantsOf(pots: SnapshotPots, ways: readonly Way[], c: ProcessConstants): Uncertain[] {
  const seen = new Set<string>();
  const taught = new Map<string, Uncertain>();
  figuresOfWays(pots, ways, watched(c, seen), { vessel: noting(taught) });
  const rows = [...pathsOfRows()].flatMap(([key, paths]): Uncertain[] => {
    const row = REFERENCE.get(key);
    if (!row || !paths.some((p) => seen.has(p))) return [];
    const { value, low, high, unit } = row;
    return [{ kind: 'constant', id: key, name: key, unit, value, low, high, from: 'starting value' }];
  });
  return [...rows, ...taught.values()];
}

const around = (value: number, most = Infinity) => ({
  value,
  low: value * (1 - LEARNING.bareRange),
  high: Math.min(most, value * (1 + LEARNING.bareRange)),
  from: 'judgement' as const,
});

function yieldOf(i: WrittenIngredient, day: string): Uncertain[] {
  const y = yieldOn(i, day);
  const { usablePct: value, low, high } = y;
  if (low === undefined || high === undefined || low >= high || low > value || high < value) return [];
  const from = y.source === 'measured' ? 'tests' : 'starting value';
  // What comes off beside it is known: more than the rest is never usable.
  const most = Math.max(value, 100 - y.stockTrimPct - y.byProducts.reduce((sum, b) => sum + b.pct, 0));
  return [{ kind: 'yield', id: i.id, name: i.name, unit: '%', value, low, high: Math.min(most, high), from }];
}

/** Gelatin of bones: as far around its value as the starting value’s own range reaches; of a liquid, a judgement. */
function gelatinOf(i: WrittenIngredient): Uncertain[] {
  const value = i.gelatin?.gPerKg ?? 0;
  const common = { id: i.id, name: i.name };
  const found: Uncertain[] = [];
  if (value > 0) {
    const row = i.reference === undefined ? undefined : referenceLarder().get(i.reference);
    const [low, high] = row?.gelatinRange ?? [];
    const usual = row?.gelatin?.gPerKg;
    found.push({
      ...common,
      kind: 'gelatin',
      unit: 'g/kg',
      ...(low !== undefined && high !== undefined && usual !== undefined
        ? { value, low: (value * low) / usual, high: (value * high) / usual, from: 'starting value' as const }
        : around(value)),
    });
  }
  const dissolved = i.role === 'liquid' ? (i.composition.gelatin ?? 0) : 0;
  if (dissolved > 0) found.push({ ...common, kind: 'dissolved', unit: '%', ...around(dissolved) });
  return found;
}

/** What pieces keep when they are strained; what they keep when pressed goes with that unless own tests tell it apart. */
function retentionOf(i: WrittenIngredient, day: string): Uncertain[] {
  if (i.role !== 'piece') return [];
  const pressed = cookedOn(i, 'retention pressed', day);
  const of = (
    kind: 'retention' | 'retention pressed',
    tested: ReturnType<typeof cookedOn>,
    usual: number,
  ): Uncertain[] => {
    const value = tested?.value ?? usual;
    if (value <= 0) return [];
    const { low, high } = tested ?? {};
    const range =
      low !== undefined && high !== undefined && low <= value && value <= high
        ? { value, low, high, from: 'tests' as const }
        : around(value);
    const pressedToo = kind === 'retention' && !pressed;
    return [{ kind, id: i.id, name: i.name, unit: 'ml/kg', ...range, ...(pressedToo ? { pressedToo } : {}) }];
  };
  return [
    ...of('retention', cookedOn(i, 'retention', day), i.retentionMlPerKg),
    ...(pressed ? of('retention pressed', pressed, i.retentionPressedMlPerKg) : []),
  ];
}

/** How far back prices are looked at, in days. */
const PRICES_DAYS = 365;

type Points = (article: string) => readonly PricePoint[];

/** What has been paid for a thing in a year, in times its present price; nothing where it was paid but once. */
function priceOf({ supplies, day }: KitchenCosting, i: WrittenIngredient, points: Points): Uncertain[] {
  const price = supplies.get(i.id)?.price;
  if (!price || price.basis.by === 'fixed') return [];
  const since = shiftDay(day, -PRICES_DAYS);
  const now = price.packPrice.toNumber();
  const paid = points(price.article.id)
    .filter((p) => p.on > since && p.on <= day)
    .map((p) => p.price.toNumber() / now);
  if (paid.length < 2 || !(now > 0)) return [];
  const [low, high] = [Math.min(1, ...paid), Math.max(1, ...paid)];
  return low === high
    ? []
    : [{ kind: 'price', id: i.id, name: i.name, unit: '× now', value: 1, low, high, from: 'prices paid' }];
}

/**
 * Everything that some ways are made from and that is not known for sure.
 * @param points every dated price of an article: the one in force alone would say that it never moves
 */
export function rangesOf(
  costing: KitchenCosting,
  points: Points,
  apart: Snapshot,
  ways: readonly Way[],
  shipped: ProcessConstants,
): Uncertain[] {
  const ids = new Set(apart.stuffs.map(([id]) => id));
  const pots = new SnapshotPots(apart);
  const { state, day } = costing;
  const hobs = new Set(apart.recipes.map((r) => r.hob));
  const found = [
    ...constantsOf(pots, ways, ownConstants(state.kitchen, shipped)),
    ...state.ingredients
      .filter((i) => ids.has(i.id))
      .flatMap((i) => [
        ...yieldOf(i, day),
        ...gelatinOf(i),
        ...retentionOf(i, day),
        ...priceOf(costing, i, points),
      ]),
    ...state.hobs
      .filter((h) => hobs.has(h.id))
      .flatMap((h): Uncertain[] =>
        h.netKw === null ? [] : [{ kind: 'power', id: h.id, name: h.name, unit: 'kW', ...around(h.netKw) }],
      ),
  ];
  return found.filter((u) => u.low < u.high);
}
