import { costOfProduct, inputCosts, type KitchenCosting } from '../costing';
import { stepsInForce, yieldOn } from '../kitchen-file';
import { ownConstants } from '../kitchen-state';
import { rowCosts } from '../layers';
import {
  levelAt,
  maxFillMl,
  openAreaM2,
  wettedAreaM2,
  type Hob,
  type LedgerRow,
  type ProcessConstants,
  type Vessel,
} from '../pot';
import { usableOf } from '../supply';
import { figuresOfWays, type WayFigures } from './way-figures';
import { SnapshotPots } from './snapshot';
import { waysOf } from './ways';

/** What a centimetre of dip is in a pot at a stage: litres, and the money that is in them. */
export interface CmRule {
  readonly recipe: string;
  readonly vessel: string;
  readonly stage: string;
  readonly litresPerCm: number;
  readonly moneyPerCm: number | null;
}

/** A vessel on its hob, filled as far as it may be: minutes to half at a hard boil, and an hour at a simmer with the lid ajar. */
export interface VesselRule {
  readonly vessel: string;
  readonly hob: string;
  readonly fullL: number;
  readonly toHalfMin: number;
  /** Of that hour: litres that boil away, kWh off the meter and what they cost; null where nobody has said what energy costs. */
  readonly ajarL: number;
  readonly ajarKwh: number;
  readonly ajarMoney: number | null;
}

/** What pressing gives in a pot. */
export interface PressRule {
  readonly recipe: string;
  readonly litres: number;
  readonly perL: number | null;
}

/** What one point of yield is worth on a thing: currency a usable kilo. */
export interface YieldRule {
  readonly ingredient: string;
  readonly usablePct: number;
  readonly perKg: number;
  readonly aPoint: number;
}

export interface Rules {
  readonly cm: readonly CmRule[];
  readonly vessels: readonly VesselRule[];
  readonly press: readonly PressRule[];
  readonly yields: readonly YieldRule[];
}

const MOST_THINGS = 5;
/** Pots that stand on the wall: those that are cooked most often. More nobody could find their own in. */
const MOST_POTS = 40;

const cookedMost = ({ state }: KitchenCosting) =>
  [...state.recipes].sort((a, b) => b.batchesAWeek - a.batchesAWeek).slice(0, MOST_POTS);
const CM_LITRES = 1000;

/** ml of the next centimetre down in a vessel that stands at a volume. */
function mlPerCm(vessel: Vessel, ml: number): number {
  const level = levelAt(vessel, ml);
  const below = Math.max(0, level - 1);
  // By halving: volumes rise with their level, and nobody reads a ruler closer than this.
  let [low, high] = [0, ml];
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    if (levelAt(vessel, mid) < below) low = mid;
    else high = mid;
  }
  return (ml - high) / Math.max(1e-9, level - below);
}

/** The rows that a cook would put a ruler to: at its fullest, once strained, and at the end. */
function stagesOf(rows: readonly LedgerRow[]): (readonly [string, number])[] {
  if (rows.length === 0) return [];
  const fullest = rows.reduce((best, r, i) => (r.standingMl > (rows[best]?.standingMl ?? 0) ? i : best), 0);
  const strained = rows.findLastIndex((r) => r.do === 'strain');
  const last = rows.findLastIndex((r) => r.do !== 'portion');
  const found = new Map<number, string>([[fullest, 'at its fullest']]);
  if (strained >= 0) found.set(strained, 'strained');
  found.set(last, 'at the end');
  return [...found].map(([i, stage]) => [stage, i] as const);
}

function cmRules(costing: KitchenCosting): CmRule[] {
  return cookedMost(costing).flatMap((r): CmRule[] => {
    const run = costing.recipes.get(r.id)?.run;
    if (!run?.product || run.refused) return [];
    const costs = rowCosts(
      run.rows,
      inputCosts(costing, r.id),
      run.unread.map((u) => u.step),
    );
    return stagesOf(run.rows).flatMap(([stage, i]): CmRule[] => {
      const row = run.rows[i];
      if (!row || row.ml < CM_LITRES / 4) return [];
      const litresPerCm = mlPerCm(row.vessel, row.standingMl) / 1000;
      // Of all the money in the pot as much as of all that stands in it, pieces too: every centimetre together is the whole pot.
      const inPot = costs[i]?.inPot ?? null;
      const perL = inPot === null ? null : (inPot / (row.standingMl + row.aside.ml)) * 1000;
      return [
        {
          recipe: r.name,
          vessel: row.vessel.name,
          stage,
          litresPerCm,
          moneyPerCm: perL === null ? null : perL * litresPerCm,
        },
      ];
    });
  });
}

/** kg of water an hour that leave a vessel at a heat. */
function boilsAway(
  vessel: Vessel,
  hob: Hob,
  ml: number,
  rate: number,
  lid: number,
  c: ProcessConstants,
): number {
  const draught = hob.draught ? c.factors.draught : 1;
  const kg = rate * draught * openAreaM2(vessel, levelAt(vessel, ml)) * lid;
  return hob.netKw === null ? kg : Math.min(kg, (hob.netKw * 3600) / c.latentKj);
}

/** The hob that a vessel stands on most often. */
function usualHob({ state, shelf }: KitchenCosting, vessel: string): Hob | undefined {
  const times = new Map<string, number>();
  for (const r of state.recipes)
    if (r.vessel === vessel) times.set(r.hob, (times.get(r.hob) ?? 0) + r.batchesAWeek);
  const [most] = [...times].sort((a, b) => b[1] - a[1]);
  return most && shelf.hob(most[0]);
}

function vesselRules(costing: KitchenCosting, c: ProcessConstants): VesselRule[] {
  const { state, shelf } = costing;
  return state.vessels.flatMap((v): VesselRule[] => {
    const vessel = shelf.vessel(v.id);
    const hob = usualHob(costing, v.id);
    if (!vessel || !hob) return [];
    const full = maxFillMl(vessel);
    // By steps of a minute: the surface of a tapered pot shrinks as it goes down.
    let [ml, minutes] = [full, 0];
    for (; ml > full / 2 && minutes < 6000; minutes += 1)
      ml -= (boilsAway(vessel, hob, ml, c.heats['hard boil'].rate, 1, c) / 60) * 1000;
    const ajarL = boilsAway(vessel, hob, full, c.heats.simmer.rate, c.lids.ajar, c);
    const wall = c.wallLossKwPerM2 * wettedAreaM2(vessel, levelAt(vessel, full));
    const ajarKwh = (wall + (ajarL * c.latentKj) / 3600) / (hob.efficiency ?? c.efficiency[hob.fuel]);
    const tariff = state.kitchen.energyPerKwh[hob.fuel];
    return [
      {
        vessel: vessel.name,
        hob: hob.name,
        fullL: full / 1000,
        toHalfMin: minutes,
        ajarL,
        ajarKwh,
        ajarMoney: tariff === undefined ? null : ajarKwh * Number(tariff),
      },
    ];
  });
}

function pressRules(costing: KitchenCosting, c: ProcessConstants, shipped: ProcessConstants): PressRule[] {
  return cookedMost(costing).flatMap((r): PressRule[] => {
    const step = stepsInForce(r).findLast((s) => s.do === 'strain');
    if (step?.id === undefined || costOfProduct(costing, r.id).perL === null) return [];
    const made = waysOf(costing, [], { of: 'press', recipe: r.id, line: step.id }, shipped);
    if (!made.ok) return [];
    const [pressed, not] = figuresOfWays(new SnapshotPots(made.value.apart), made.value.ways, c) as [
      WayFigures,
      WayFigures,
    ];
    const [a, b] = [pressed.perL.ingredients, not.perL.ingredients];
    const litres = pressed.litres - not.litres;
    return litres < 0.005 ? [] : [{ recipe: r.name, litres, perL: a === null || b === null ? null : b - a }];
  });
}

/** The five dearest things a usable kilo of which is less than a kilo bought. */
function yieldRules({ state, graph, supplies, day }: KitchenCosting): YieldRule[] {
  return state.ingredients
    .flatMap((i): YieldRule[] => {
      const key = usableOf(i.id);
      const perG = supplies.get(i.id)?.price && graph.has(key) ? graph.cost(key) : null;
      const { usablePct } = yieldOn(i, day);
      if (perG === null || usablePct >= 99.5 || usablePct <= 1) return [];
      const perKg = perG * 1000;
      return [{ ingredient: i.name, usablePct, perKg, aPoint: perKg * (1 - usablePct / (usablePct + 1)) }];
    })
    .sort((a, b) => b.aPoint - a.aPoint)
    .slice(0, MOST_THINGS);
}

/** Rules of thumb out of a kitchen’s own pots, tests and prices. */
export function rulesOfThumb(costing: KitchenCosting, shipped: ProcessConstants): Rules {
  const c = ownConstants(costing.state.kitchen, shipped);
  return {
    cm: cmRules(costing),
    vessels: vesselRules(costing, c),
    press: pressRules(costing, c, shipped),
    yields: yieldRules(costing),
  };
}
