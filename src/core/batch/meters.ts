import type { WrittenBatchEvent } from '../kitchen-file';
import { liquidG, type PotState, type ProcessConstants } from '../pot';

type Liquid = PotState['liquid'];
type Gels = Extract<WrittenBatchEvent, { is: 'sets' }>['how'];

/** What a meter says bones and vegetables gave, in times of what the model says, and how sure it is: one standard deviation. */
export interface MeterReading {
  readonly times: number;
  readonly sd: number;
}

/** One standard deviation of how salt a pot is by its lines, as a share and at least in % of the pot, and of a meter, %. */
const SALT = { weighed: 0.1, leastPct: 0.05, meterPct: 0.05 } as const;
/** One standard deviation of what bones give into a pot by its lines, as a share, and of a refractometer, °Bx. */
const BRIX = { given: 0.15, meter: 0.2 } as const;

/** What a refractometer reads, g: all but fat, what is dissolved in it out of bones and vegetables, and what was weighed in. */
function dissolvedIn(l: Liquid): {
  readonly clear: number;
  readonly given: number;
  readonly known: number;
} {
  const given = l.gelatin + l.rest - l.pulp;
  const known = l.salt + l.sugar;
  return { clear: l.water + given + known, given, known };
}

/** What a refractometer should read in a pot, °Bx. */
export function brixOf(pot: PotState): number {
  const { clear, given, known } = dissolvedIn(pot.liquid);
  return clear > 0 ? ((given + known) / clear) * 100 : 0;
}

/** A 90 % range spans so many standard deviations. */
const RANGE_SDS = 3.29;
/** % of gelatin that a chilled spoonful says, and how sure it is: one standard deviation of its logarithm. */
function gelatinBy(gels: Gels, c: ProcessConstants): { readonly pct: number; readonly sd: number } {
  const { low, middle, high } = c.gels[gels === 'stays liquid' ? 'wobbles' : gels];
  const sd = Math.log(high / low) / RANGE_SDS;
  // What stays liquid has at most what just begins to wobble.
  return { pct: gels === 'stays liquid' ? low : middle, sd };
}

/** The meter and the model, each as far as it is to be trusted: salt was weighed by hand, and a meter is read to its last digit. */
export function metered(liquid: Liquid, pct: number): void {
  const all = liquidG(liquid);
  const model = all > 0 ? (liquid.salt / all) * 100 : 0;
  const own = Math.max(SALT.leastPct, model * SALT.weighed);
  const gain = own ** 2 / (own ** 2 + SALT.meterPct ** 2);
  const wanted = (model + gain * (pct - model)) / 100;
  // What is salt instead of something else: the rest of the liquid stays as it is.
  liquid.salt = Math.max(0, (wanted * (all - liquid.salt)) / (1 - wanted));
}

/**
 * The refractometer and the model, each as far as it is to be trusted. Salt and sugar were weighed, so what is more or less of it came out
 * of bones and vegetables: gelatin and the rest, in place of water.
 * @returns what the meter says by itself; nothing of a pot into which nothing was given
 */
export function refracted(liquid: Liquid, bx: number): MeterReading | undefined {
  const { clear, given, known } = dissolvedIn(liquid);
  if (!(clear > 0 && given > 0)) return undefined;
  const foretold = ((given + known) / clear) * 100;
  const own = BRIX.given * (given / clear) * 100;
  const gain = own ** 2 / (own ** 2 + BRIX.meter ** 2);
  const times = Math.max(0, 1 + (gain * (bx - foretold)) / ((given / clear) * 100));
  const rest = liquid.rest - liquid.pulp;
  const more = (liquid.gelatin + rest) * (times - 1);
  liquid.gelatin *= times;
  liquid.rest = liquid.pulp + rest * times;
  liquid.water = Math.max(0, liquid.water - more);
  // By the meter alone: what was believed before does not teach.
  return {
    times: Math.max(0, ((bx / 100) * clear - known) / given),
    sd: BRIX.meter / ((given / clear) * 100),
  };
}

/**
 * A chilled spoonful and the model, each as far as it is to be trusted: it says so many % of gelatin, roughly.
 * @returns what it says by itself; nothing where it says nothing new
 */
export function chilled(liquid: Liquid, gels: Gels, c: ProcessConstants): MeterReading | undefined {
  const all = liquidG(liquid);
  if (!(liquid.gelatin > 0)) return undefined;
  const { pct, sd } = gelatinBy(gels, c);
  const says = pct / ((liquid.gelatin / all) * 100);
  // What stays liquid says that it is little, and nothing of one of which that is known.
  if (gels === 'stays liquid' && says > 1) return undefined;
  const gain = BRIX.given ** 2 / (BRIX.given ** 2 + sd ** 2);
  const more = liquid.gelatin * (says ** gain - 1);
  liquid.gelatin += more;
  liquid.water = Math.max(0, liquid.water - more);
  return { times: says, sd };
}
