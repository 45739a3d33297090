import type { Layer } from '../layers';
import { levelAt, maxFillMl, type PotRun, type ProcessConstants } from '../pot';
import { productOf } from '../supply';
import { byLayer, together, type CookedWay, type Overrides, type SnapshotPots, type Way } from './snapshot';

/** What a way comes to. Litres of 20 °C; shares in %; h; money a litre by layer, null where it is not known. */
export interface WayFigures {
  /** Why nothing comes of it: a step that cannot be done, or a line that cannot be read. */
  readonly trouble?: string | undefined;
  readonly litres: number;
  readonly perL: Readonly<Record<Layer, number | null>>;
  /** One portion at what really leaves the ladle; null where the sheet has none. */
  readonly perPortion: Readonly<Record<Layer, number | null>> | null;
  readonly saltPct: number;
  readonly gelatinPct: number;
  readonly body: number;
  readonly fatPct: number;
  readonly ethanolPct: number;
  /** Of the pots that the way is about, one after the other. */
  readonly hobHours: number;
  readonly elapsedHours: number;
  readonly handsHours: number;
  readonly allergens: readonly string[];
  readonly vessel: string;
  /** How full its vessel ever stands, of its maximum fill. */
  readonly fullest: number;
  /** mm that the ruler reads for one litre more, at the level it ends with. */
  readonly mmPerL: number;
  readonly warnings: readonly string[];
}

const NOTHING: Readonly<Record<Layer, null>> = {
  ingredients: null,
  packaging: null,
  energy: null,
  hands: null,
};

function troubleOf(run: PotRun | undefined): string | undefined {
  if (!run) return 'This pot is not here any more.';
  const [unread] = run.unread;
  return (
    run.refused?.trouble.message ?? unread?.trouble.message ?? (run.product ? undefined : 'Nothing is made.')
  );
}

/** What a cooked way comes to. */
export function wayFigures(way: Way, { runs, costs }: CookedWay, wage: number | null): WayFigures {
  const run = runs.get(way.product);
  const row = run?.rows.at(-1);
  const trouble = troubleOf(run);
  const ml = trouble === undefined ? (run?.product?.ml ?? 0) : 0;
  const g = run?.product?.g ?? 0;
  const bench = (way.benchHours ?? 0) * (wage ?? 0);
  const perL = (layer: Layer): number | null => {
    const perG = costs[layer].get(productOf(way.product)) ?? null;
    return perG === null || ml === 0 ? null : ((perG * g + (layer === 'hands' ? bench : 0)) / ml) * 1000;
  };
  const aLitre = ml === 0 ? NOTHING : byLayer(perL);
  const poured = row?.portions?.pouredMl;
  return {
    trouble,
    litres: (ml / 1000) * (way.batches ?? 1),
    perL: aLitre,
    perPortion: poured === undefined ? null : byLayer((layer) => times(aLitre[layer], poured / 1000)),
    saltPct: row?.saltPct ?? 0,
    gelatinPct: row?.gelatinPct ?? 0,
    body: row?.body ?? 0,
    fatPct: row?.fatPct ?? 0,
    ethanolPct: row?.ethanolPct ?? 0,
    ...hoursOf(way, runs),
    allergens: run?.product?.allergens ?? [],
    ...standing(run),
    warnings: [...new Set(run?.rows.flatMap((r) => r.warnings.map((w) => w.message)) ?? [])],
  };
}

const times = (money: number | null, n: number): number | null => (money === null ? null : money * n);

/** Hours of the pots that a way is about: its product's, and those that it brings along (a base being brought to strength). */
function hoursOf(
  way: Way,
  runs: ReadonlyMap<string, PotRun>,
): Pick<WayFigures, 'hobHours' | 'elapsedHours' | 'handsHours'> {
  const own = [...new Set([way.product, ...way.recipes.map((r) => r.id)])];
  const batches = (id: string): number => (id === way.product ? (way.batches ?? 1) : 1);
  const sum = (of: (run: PotRun) => number, times = batches): number =>
    own.reduce((n, id) => {
      const run = runs.get(id);
      return n + (run ? of(run) * times(id) : 0);
    }, 0);
  return {
    hobHours: sum((run) => run.rows.at(-1)?.hobHours ?? 0),
    // Small pans stand beside each other while others eat: one of them is waited for.
    elapsedHours: sum(
      (run) => run.rows.at(-1)?.elapsedHours ?? 0,
      () => 1,
    ),
    handsHours: sum((run) => run.rows.reduce((n, r) => n + r.handsHours, 0)) + (way.benchHours ?? 0),
  };
}

/** How a run stands in its vessel: how full at most, and what a litre is on the ruler at its end. */
function standing(run: PotRun | undefined): Pick<WayFigures, 'vessel' | 'fullest' | 'mmPerL'> {
  const row = run?.rows.at(-1);
  if (!run || !row) return { vessel: '', fullest: 0, mmPerL: 0 };
  const ml = row.standingMl;
  const rise = levelAt(row.vessel, ml + 1000) - levelAt(row.vessel, ml);
  return {
    vessel: row.vessel.name,
    fullest: Math.max(...run.rows.map((r) => r.standingMl / maxFillMl(r.vessel))),
    mmPerL: rise * 10,
  };
}

/** Ways cooked with the same constants and draws; what stands alike in several is cooked once. */
export function cookWays(
  pots: SnapshotPots,
  ways: readonly Way[],
  c: ProcessConstants,
  other: Overrides = {},
): CookedWay[] {
  const also = together(ways);
  return ways.map((way) => pots.cook(way, c, other, also));
}

/** What ways come to, cooked and costed with the same constants and draws. */
export const figuresOfWays = (
  pots: SnapshotPots,
  ways: readonly Way[],
  c: ProcessConstants,
  other: Overrides = {},
): WayFigures[] =>
  cookWays(pots, ways, c, other).map((cooked, i) =>
    wayFigures(ways[i] as Way, cooked, pots.wage(ways[i] as Way)),
  );

/** Money a litre in the layers that are counted; null while one of them is not known. */
export const countedPerLitre = (
  of: Readonly<Record<Layer, number | null>>,
  layers: readonly Layer[],
): number | null =>
  layers.reduce<number | null>((sum, l) => {
    const money = of[l];
    return sum === null || money === null ? null : sum + money;
  }, 0);
