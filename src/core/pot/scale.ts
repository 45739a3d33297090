import type { ProcessConstants } from './constants';
import { litres, trouble } from './figures';
import { crossing } from './root';
import { runPotWith, type PotOf, type PotRun } from './run';
import type { Hob } from './state';
import { isIdle, potVerb, type Doing, type IdleStep, type PotTable } from './verb';
import { maxFillMl, type Vessel } from './vessel';
import { fine, type Outcome } from '../trouble';

/**
 * The same steps for another amount: every stated mass and volume times `factor`; shares, levels, covers, bands and times
 * stay, and so does what clings to strainers and walls. What grows is each verb's own to say.
 */
export const scaledStepsWith = <S extends Doing>(
  verbs: PotTable<S>,
  steps: readonly (S | IdleStep)[],
  factor: number,
): (S | IdleStep)[] =>
  steps.map((step) => (isIdle(step) ? step : potVerb<S>(verbs, step as S).scale(step as S, factor)));

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

/** ml a recipe makes as it is written. */
function ownMl<S extends Doing>(verbs: PotTable<S>, pot: PotOf<S>, c: ProcessConstants): Outcome<number> {
  const original = runPotWith(verbs, pot, c);
  const own = mlOf(original);
  if (own !== undefined && own > 0) return fine(own);
  const none = trouble('cannot-be-scaled', 'The recipe makes nothing that could be scaled.', 0, 0);
  return { ok: false, trouble: original.refused?.trouble ?? none };
}

/** Refusals of a vessel that is too small for what is wanted of it. */
const TOO_SMALL = new Set(['runs-over', 'over-rim']);

/** How full the fullest vessel of a run ever is, as a share of its maximum fill; infinite where it runs over. */
function fullness(run: PotRun): number {
  // Water that is to cover a heap as high as the pot runs over as well.
  if (run.refused && TOO_SMALL.has(run.refused.trouble.code)) return Infinity;
  return Math.max(
    0,
    ...run.rows.flatMap((row) => [row, ...row.aside.vessels].map((s) => s.standingMl / maxFillMl(s.vessel))),
  );
}

/** Closeness, as a share, at which a factor is found. */
const CLOSE = 1e-9;

/** The largest factor at which something that rises with it stays at or below 0: all of it where it never gets above. */
function lastBelow(rising: (factor: number) => number, low: number, high: number, scale: number): number {
  const at = crossing(rising, low, high, scale * CLOSE);
  if (at.found) return at.below;
  return at.why === 'not between' ? high : low;
}

/** The largest factor at which no vessel stands above its maximum fill; undefined where none is small enough. */
function fullestFactor(run: (factor: number) => PotRun): number | undefined {
  const over = (factor: number): number => fullness(run(factor)) - 1;
  let low = 1;
  while (over(low) > 0) {
    low /= 2;
    if (low < SMALLEST) return undefined;
  }
  let high = low * 2;
  while (over(high) <= 0) {
    low = high;
    high *= 2;
    if (high > LARGEST) return low;
  }
  return lastBelow(over, low, high, 1);
}

/**
 * Scales a recipe to an amount of product in a chosen vessel, equal batches where one would stand above the maximum fill.
 * @param ml what all batches together should give
 * @returns trouble `scale-out-of-range`, `cannot-be-scaled` (the recipe itself cannot be made), `too-many-batches`
 */
export function scaleToWith<S extends Doing>(
  verbs: PotTable<S>,
  pot: PotOf<S>,
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
  const made = ownMl(verbs, pot, c);
  if (!made.ok) return made;
  const own = made.value;
  const run = (factor: number): PotRun =>
    runPotWith(verbs, { vessel, hob, steps: scaledStepsWith(verbs, pot.steps, factor) }, c);
  const plain = run(ml / own);
  const plainMl = mlOf(plain);
  const multiplied = {
    factor: ml / own,
    ml: plainMl,
    offBy: plainMl === undefined ? undefined : plainMl / ml - 1,
  };
  // As much as one pot can take; what is asked for is then so many equal pots, each a little less full.
  const fullest = fullestFactor(run);
  const most = fullest === undefined ? 0 : (mlOf(run(fullest)) ?? 0);
  const batches = most > 0 ? Math.ceil(ml / most - 1e-6) : Infinity;
  if (fullest !== undefined && batches <= MOST_BATCHES) {
    const each = ml / batches;
    const factor = lastBelow((f) => (mlOf(run(f)) ?? 0) - each, SMALLEST, fullest, each);
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
 * Scales a recipe by what goes in: the whole list times `factor`, in as many equal batches as the vessel takes at its maximum fill.
 * For what came in (*to the bones*): the litres then follow from the pot.
 * @returns trouble `scale-out-of-range`, `cannot-be-scaled`, `too-many-batches`
 */
export function scaleByWith<S extends Doing>(
  verbs: PotTable<S>,
  pot: PotOf<S>,
  factor: number,
  c: ProcessConstants,
  vessel: Vessel = pot.vessel,
  hob: Hob = pot.hob,
): Outcome<Scaled> {
  if (!(factor >= SMALLEST && factor <= LARGEST))
    return {
      ok: false,
      trouble: trouble(
        'scale-out-of-range',
        `${factor.toPrecision(3)} times the sheet: from ${SMALLEST} to ${LARGEST}.`,
        factor,
        factor < SMALLEST ? SMALLEST : LARGEST,
      ),
    };
  const made = ownMl(verbs, pot, c);
  if (!made.ok) return made;
  const own = made.value;
  const run = (f: number): PotRun =>
    runPotWith(verbs, { vessel, hob, steps: scaledStepsWith(verbs, pot.steps, f) }, c);
  for (let batches = 1; batches <= MOST_BATCHES; batches += 1) {
    const found = run(factor / batches);
    const ml = mlOf(found);
    if (ml === undefined || fullness(found) > 1 + 1e-9) continue;
    // Plain multiplication would have promised as many litres as the list is longer.
    const multiplied = { factor, ml: ml * batches, offBy: (ml * batches) / (own * factor) - 1 };
    return fine({ vessel, batches, factor: factor / batches, run: found, multiplied });
  }
  return {
    ok: false,
    trouble: trouble(
      'too-many-batches',
      `${factor.toPrecision(3)} times the sheet cannot be made in the ${vessel.name}, ${litres(maxFillMl(vessel))} to its maximum fill, in ${MOST_BATCHES} batches or fewer.`,
      factor,
      maxFillMl(vessel),
    ),
  };
}

/**
 * The vessels of a kitchen for an amount, best first: those in which it stands deep enough, then fewest batches, then least time on the hob, then the fuller pot, which
 * loses less to the air.
 */
export function vesselsForWith<S extends Doing>(
  verbs: PotTable<S>,
  pot: PotOf<S>,
  ml: number,
  c: ProcessConstants,
  vessels: readonly Vessel[],
  hob: Hob = pot.hob,
): Scaled[] {
  const hours = (s: Scaled): number => (s.run.rows[s.run.rows.length - 1]?.hobHours ?? 0) * s.batches;
  const shallow = (s: Scaled): number => {
    const last = s.run.rows.findLast((r) => r.vessel === s.vessel && r.ml > 0);
    return last && last.levelCm < c.leastDepthCm ? 1 : 0;
  };
  const fill = (s: Scaled): number =>
    Math.max(...s.run.rows.filter((r) => r.vessel === s.vessel).map((r) => r.standingMl)) /
    maxFillMl(s.vessel);
  return vessels
    .flatMap((vessel) => {
      const scaled = scaleToWith(verbs, pot, ml, c, vessel, hob);
      return scaled.ok ? [scaled.value] : [];
    })
    .sort(
      (a, b) => shallow(a) - shallow(b) || a.batches - b.batches || hours(a) - hours(b) || fill(b) - fill(a),
    );
}
