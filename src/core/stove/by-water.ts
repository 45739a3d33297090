import { capacityMl, levelAt, type VesselShape } from '../pot';
import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** All the water that is in a vessel, ml, and the dip that is read then, cm from the rim down to the surface. */
export interface Poured {
  readonly ml: number;
  readonly dipCm: number;
}

type Round = Extract<VesselShape, { shape: 'round' }>;

/** A round vessel as its water tells it. */
export interface ByWater {
  readonly shape: Round;
  /** To the brim, ml. */
  readonly brimMl: number;
  /** How far the worst reading is from what the vessel would show, cm; undefined where two readings leave nothing over to check. */
  readonly offCm: number | undefined;
}

/** A ruler in hand is read to about 2 mm: what is further off is a slip, not a reading. */
const MOST_OFF_CM = 0.5;
/** Rim over base of what is still called a pot or pan. */
const TAPERS = [0.6, 1.7] as const;
const ROUNDS = 60;

/**
 * The taper and volume of a round vessel from known litres and the dips read with them: the frustum that lies nearest to the
 * readings (Gauss-Newton on base radius and slope, least squares of volume).
 * @param heightCm inside, from base to rim
 * @param readings two or more, each with all the water that is in by then
 * @returns trouble `too-few`, `dip-over-height`, `not-rising`, `cannot-be` or `does-not-fit`, with the number and the limit
 */
export function vesselByWater(heightCm: number, readings: readonly Poured[]): Outcome<ByWater> {
  const sorted = [...readings].sort((a, b) => a.ml - b.ml);
  const wrong = flawIn(heightCm, sorted);
  if (wrong) return wrong;
  const levels = sorted.map(({ ml, dipCm }) => ({ ml, level: heightCm - dipCm }));
  const shape = nearest(heightCm, levels);
  const taper = shape ? shape.topCm / shape.baseCm : NaN;
  if (!shape || !(taper >= TAPERS[0] && taper <= TAPERS[1]))
    return refuse(
      'cannot-be',
      'readings',
      shape && shape.baseCm > 0 && shape.topCm > 0
        ? texts.theseReadingsWouldCm(shape.baseCm.toFixed(1), shape.topCm.toFixed(1), TAPERS[0], TAPERS[1])
        : texts.noPotTheseReadings,
      Number.isFinite(taper) ? { value: taper, limit: taper > TAPERS[1] ? TAPERS[1] : TAPERS[0] } : undefined,
    );
  const offCm =
    levels.length === 2
      ? undefined
      : Math.max(...levels.map(({ ml, level }) => Math.abs(levelAt(shape, ml) - level)));
  if (offCm !== undefined && offCm > MOST_OFF_CM)
    return refuse('does-not-fit', 'readings', texts.noPotFitsThese(offCm.toFixed(1), MOST_OFF_CM), {
      value: offCm,
      limit: MOST_OFF_CM,
    });
  return fine({ shape, brimMl: capacityMl(shape), offCm });
}

function flawIn(heightCm: number, sorted: readonly Poured[]): ReturnType<typeof refuse> | undefined {
  if (sorted.length < 2) return refuse('too-few', 'readings', texts.twoReadingsNeededPour);
  for (const [i, { ml, dipCm }] of sorted.entries()) {
    if (!(dipCm >= 0 && dipCm < heightCm))
      return refuse('dip-over-height', 'readings', texts.dipCmCannotVessel(dipCm, heightCm), {
        value: dipCm,
        limit: heightCm,
      });
    const before = sorted[i - 1];
    if (before && !(ml > before.ml && dipCm < before.dipCm))
      return refuse(
        'not-rising',
        'readings',
        texts.lWaterMustStand(ml / 1000, before.ml / 1000, before.dipCm, dipCm),
        { value: dipCm, limit: before.dipCm },
      );
  }
  return undefined;
}

/** Base radius and slope that leave the least squares of volume; undefined where no vessel comes of it. */
function nearest(
  heightCm: number,
  levels: readonly { readonly ml: number; readonly level: number }[],
): Round | undefined {
  const last = levels[levels.length - 1];
  if (!last) return undefined;
  let r0 = Math.sqrt(last.ml / (Math.PI * last.level));
  let k = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    // V = π (r₀² h + r₀ k h² + k² h³ / 3)
    const sums = { aa: 0, ab: 0, bb: 0, ae: 0, be: 0 };
    for (const { ml, level: h } of levels) {
      const off = ml - Math.PI * (r0 * r0 * h + r0 * k * h * h + (k * k * h ** 3) / 3);
      const byR = Math.PI * (2 * r0 * h + k * h * h);
      const byK = Math.PI * (r0 * h * h + (2 * k * h ** 3) / 3);
      sums.aa += byR * byR;
      sums.ab += byR * byK;
      sums.bb += byK * byK;
      sums.ae += byR * off;
      sums.be += byK * off;
    }
    const det = sums.aa * sums.bb - sums.ab * sums.ab;
    if (!(Math.abs(det) > 1e-9 * sums.aa * sums.bb)) return undefined;
    const dr = (sums.ae * sums.bb - sums.be * sums.ab) / det;
    const dk = (sums.be * sums.aa - sums.ae * sums.ab) / det;
    r0 += dr;
    k += dk;
    if (Math.abs(dr) < 1e-10 && Math.abs(dk) < 1e-12) break;
  }
  const [baseCm, topCm] = [2 * r0, 2 * (r0 + k * heightCm)];
  return Number.isFinite(baseCm) && Number.isFinite(topCm) && baseCm > 0 && topCm > 0
    ? { shape: 'round', baseCm, topCm, heightCm }
    : undefined;
}
