import type { ProcessConstants } from './constants';
import { runPot, type Pot, type PotRun } from './run';
import { litres, trouble, type PotStep } from './step';
import type { Hob } from './state';
import { maxFillMl, type Vessel } from './vessel';
import { fine, type Outcome } from '../trouble';

/**
 * The same steps for another amount: every stated mass and volume times `factor`; shares, levels, covers, bands and times
 * stay, and so does what clings to strainers and walls.
 */
export function scaledSteps(steps: readonly PotStep[], factor: number): PotStep[] {
  return steps.map((step): PotStep => {
    switch (step.do) {
      case 'add':
      case 'deglaze':
      case 'to taste':
      case 'thicken':
      case 'loosen':
      case 'enrich':
      case 'mount':
      case 'season':
        return { ...step, g: step.g * factor };
      case 'water':
        return step.to.by === 'ml' ? { ...step, to: { by: 'ml', value: step.to.value * factor } } : step;
      case 'skim':
      case 'draw off':
        return { ...step, ml: step.ml * factor };
      case 'split':
        return step.part.by === 'ml'
          ? { ...step, part: { by: 'ml', value: step.part.value * factor } }
          : step;
      case 'reduce':
        return step.to.until === 'ml'
          ? { ...step, to: { until: 'ml', value: step.to.value * factor } }
          : step;
      default:
        return step;
    }
  });
}

/** A recipe scaled to an amount in a vessel. */
export interface Scaled {
  readonly vessel: Vessel;
  /** How many equal batches it takes so that no vessel stands above its maximum fill. */
  readonly batches: number;
  /** What the list is multiplied with for one batch. */
  readonly factor: number;
  /** One batch. */
  readonly run: PotRun;
  /** Plain multiplication by the litres asked for: what it would really give here, and by how much that is off. */
  readonly multiplied: {
    readonly factor: number;
    readonly ml: number | undefined;
    readonly offBy: number | undefined;
  };
}

const MOST_BATCHES = 40;
/** Factors looked at: a thousandth to a thousand times the recipe. */
const SMALLEST = 0.001;
const LARGEST = 1000;

const mlOf = (run: PotRun): number | undefined => (run.refused ? undefined : run.product?.ml);

/** Whether a run stands above a maximum fill anywhere. */
const overfilled = (run: PotRun): boolean =>
  run.rows.some((row) => row.standingMl > maxFillMl(row.vessel) * (1 + 1e-9));

/** Halvings of a factor: finer than any scale. */
const HALVINGS = 44;

/** The largest factor, of those looked at, for which something holds that larger ones break; undefined where the smallest breaks it. */
function largest(holds: (factor: number) => boolean): number | undefined {
  if (!holds(SMALLEST)) return undefined;
  let low = SMALLEST;
  let high = SMALLEST;
  while (high < LARGEST && holds(high)) {
    low = high;
    high *= 2;
  }
  if (high >= LARGEST) return low;
  for (let i = 0; i < HALVINGS; i += 1) {
    const mid = (low + high) / 2;
    if (holds(mid)) low = mid;
    else high = mid;
  }
  return low;
}

/**
 * Scales a recipe to an amount of product in a chosen vessel, equal batches where one would stand above the maximum fill.
 * @param ml what all batches together should give
 * @returns trouble `scale-out-of-range`, `cannot-be-scaled` (the recipe itself cannot be made), `too-many-batches`
 */
export function scaleTo(
  pot: Pot,
  ml: number,
  c: ProcessConstants,
  vessel: Vessel = pot.vessel,
  hob: Hob = pot.hob,
): Outcome<Scaled> {
  if (!(ml > 0))
    return {
      ok: false,
      trouble: trouble('scale-out-of-range', `Scale to ${litres(ml)}: more than 0 l is made.`, ml, 0),
    };
  const original = runPot(pot, c);
  const own = mlOf(original);
  if (own === undefined || own <= 0)
    return {
      ok: false,
      trouble:
        original.refused?.trouble ??
        trouble('cannot-be-scaled', 'The recipe makes nothing that could be scaled.', 0, 0),
    };
  const run = (factor: number): PotRun => runPot({ vessel, hob, steps: scaledSteps(pot.steps, factor) }, c);
  const plain = run(ml / own);
  const plainMl = mlOf(plain);
  const multiplied = {
    factor: ml / own,
    ml: plainMl,
    offBy: plainMl === undefined ? undefined : plainMl / ml - 1,
  };
  // As much as one pot can take; what is asked for is then so many equal pots, each a little less full.
  const fullest = largest((factor) => {
    const tried = run(factor);
    return tried.refused?.trouble.code !== 'runs-over' && !overfilled(tried);
  });
  const most = fullest === undefined ? 0 : (mlOf(run(fullest)) ?? 0);
  const batches = most > 0 ? Math.ceil(ml / most - 1e-6) : Infinity;
  if (batches <= MOST_BATCHES) {
    const factor = Math.min(
      fullest as number,
      largest((f) => (mlOf(run(f)) ?? 0) <= ml / batches) ?? SMALLEST,
    );
    const found = run(factor);
    if (Math.abs((mlOf(found) ?? 0) - ml / batches) <= (ml / batches) * 1e-6)
      return fine({ vessel, batches, factor, run: found, multiplied });
  }
  return {
    ok: false,
    trouble: trouble(
      'too-many-batches',
      `${litres(ml)} cannot be made in the ${vessel.name}, ${litres(maxFillMl(vessel))} to its maximum fill, in ${MOST_BATCHES} batches or fewer.`,
      ml,
      maxFillMl(vessel),
    ),
  };
}

/**
 * The vessels of a kitchen for an amount, best first: fewest batches, then least time on the hob, then the fuller pot, which
 * loses less to the air.
 */
export function vesselsFor(
  pot: Pot,
  ml: number,
  c: ProcessConstants,
  vessels: readonly Vessel[],
  hob: Hob = pot.hob,
): Scaled[] {
  const hours = (s: Scaled): number => (s.run.rows[s.run.rows.length - 1]?.hobHours ?? 0) * s.batches;
  const fill = (s: Scaled): number =>
    Math.max(...s.run.rows.filter((r) => r.vessel === s.vessel).map((r) => r.standingMl)) /
    maxFillMl(s.vessel);
  return vessels
    .flatMap((vessel) => {
      const scaled = scaleTo(pot, ml, c, vessel, hob);
      return scaled.ok ? [scaled.value] : [];
    })
    .sort((a, b) => a.batches - b.batches || hours(a) - hours(b) || fill(b) - fill(a));
}
