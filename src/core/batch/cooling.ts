import type { PLACES, WrittenBatchEvent } from '../kitchen-file';
import { weighted } from './evaporation';

export type Place = (typeof PLACES)[number];

/** A limit of the house: °C that a pot is to be at, and within how many hours of the heat going off. */
export interface Limit {
  readonly toC: number;
  readonly withinH: number;
}

/** What is foretold of one limit. Hours since the heat went off. */
export interface LimitAhead extends Limit {
  /** When it is reached: 10, 50 and 90 %; Infinity where it never is. Undefined where it has been read. */
  readonly at: { readonly low: number; readonly middle: number; readonly high: number } | undefined;
  /** When it was read to be there. */
  readonly read: number | undefined;
  /** Share of what could be in which it comes too late. */
  readonly late: number;
  /** Not there yet, and more likely than not it comes too late. */
  readonly missed: boolean;
  /** Its time is over, and it was not read to be there. */
  readonly passed: boolean;
  /** What surrounds the pot is hardly colder than this: it creeps. */
  readonly creeps: boolean;
}

/** Chance from which it is said that a limit will be missed. */
const WILL = 0.5;

/** How a pot cools. */
export interface Cooling {
  /** When the heat went off, ms. */
  readonly offAt: number;
  /** Hours since then. */
  readonly since: number;
  readonly reads: readonly { readonly id: string; readonly h: number; readonly celsius: number }[];
  readonly limits: readonly LimitAhead[];
  /** °C now: 10, 50 and 90 %. */
  readonly now: { readonly low: number; readonly middle: number; readonly high: number };
  /** Where it stands, if that was told, and how deep. */
  readonly place: { readonly to: Place; readonly depthCm: number } | undefined;
  /** The likeliest course, [h, °C]. */
  readonly course: readonly (readonly [number, number])[];
}

/** °C at which the heat goes off, where no probe was in it then, and how far from that it may be. */
const HOT = { celsius: 95, sd: 4 } as const;
/** A probe’s error, °C, one standard deviation. */
const PROBE = 1;
/**
 * Time constant of a pot that nobody helps, h: the middle and one standard deviation of its logarithm. A deep pot in a kitchen takes
 * four hours and more, a shallow tray in ice some minutes (judgement: `cool_depth` and common cooling times).
 */
const USUAL = { hours: 2.2, sd: 1 } as const;
/** Standard deviations from the middle to the 10 and 90 % points of a normal distribution. */
const Z80 = 1.2816;
/** What may surround a pot, °C: ice water, a cold room, a kitchen; each as likely. */
const AROUND = [0, 2, 4, 8, 14, 20, 25] as const;
/**
 * Of a place, h for each cm of depth (time constants go nearly with depth: still in the air slowest, stirred over ice many times faster), one
 * standard deviation of the logarithm, and what surrounds a pot there, °C (judgement: common cooling times of stock by container).
 */
const IN: Readonly<
  Record<Place, { readonly hPerCm: number; readonly sd: number; readonly around: readonly number[] }>
> = {
  kitchen: { hPerCm: 0.22, sd: 0.5, around: [18, 22, 26] },
  'cold room': { hPerCm: 0.16, sd: 0.5, around: [2, 4, 6] },
  'ice bath': { hPerCm: 0.035, sd: 0.6, around: [0, 2, 4] },
  'blast chiller': { hPerCm: 0.06, sd: 0.5, around: [-12, -4, 1] },
};
const SPEEDS = 25;
const REACH = 2.5;
/** °C below which gelatin sets and a pot stops stirring itself: how fast it cools is then learned again. */
const SETS = 25;
/** A limit within so many °C of what surrounds the pot is crept up to. */
const CREEPS = 2;
/** Points of the course that is drawn, and the hours it is drawn for at least. */
const DRAWN = 40;

/** How fast something may cool, and in what. */
interface Prior {
  readonly hours: number;
  readonly sd: number;
  readonly around: readonly number[];
}

const priorOf = (place: Cooling['place']): Prior =>
  place ? { ...IN[place.to], hours: IN[place.to].hPerCm * place.depthCm } : { ...USUAL, around: AROUND };

interface Course {
  readonly k: number;
  readonly around: number;
  readonly start: number;
  readonly weight: number;
}

/** °C after so many hours: Newton’s law, T = Ta + (T₀ − Ta)·e^(−kt). */
const after = ({ k, around, start }: Course, h: number): number =>
  around + (start - around) * Math.exp(-k * h);

/** Hours until a course is down to a temperature; Infinity where it never is. */
function reaches({ k, around, start }: Course, celsius: number): number {
  if (start <= celsius) return 0;
  return celsius <= around ? Infinity : Math.log((start - around) / (celsius - around)) / k;
}

/**
 * Courses that could be, each with its weight: speeds on a grid, what surrounds the pot, and the temperature it began at in closed form
 * (a normal prior, normal errors).
 */
function coursesOf(
  reads: readonly { readonly h: number; readonly celsius: number }[],
  begin: { readonly celsius: number; readonly sd: number },
  prior: Prior,
): Course[] {
  const found: { k: number; around: number; start: number; log: number }[] = [];
  for (let i = 0; i < SPEEDS; i += 1) {
    const x = ((i / (SPEEDS - 1)) * 2 - 1) * REACH;
    const k = Math.exp(-x * prior.sd) / prior.hours;
    for (const around of prior.around) {
      let [p, pull, misfit] = [1 / begin.sd ** 2, 0, 0];
      for (const { h, celsius } of reads) {
        const e = Math.exp(-k * h);
        const off = celsius - (around + (begin.celsius - around) * e);
        p += (e / PROBE) ** 2;
        pull += (e * off) / PROBE ** 2;
        misfit += (off / PROBE) ** 2;
      }
      const shift = pull / p;
      const log = -0.5 * x * x - 0.5 * (misfit - p * shift * shift + Math.log(p * begin.sd ** 2));
      found.push({ k, around, start: begin.celsius + shift, log });
    }
  }
  const most = Math.max(...found.map((f) => f.log));
  const weights = found.map((f) => Math.exp(f.log - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return found.map((f, i) => ({ ...f, weight: (weights[i] ?? 0) / sum }));
}

/** 10, 50 and 90 % of something of every course; what never comes is Infinity. */
function spanOf(courses: readonly Course[], of: (course: Course) => number) {
  const values = courses.map((course) => ({ value: of(course), weight: course.weight }));
  const never = values.reduce((sum, v) => sum + (v.value === Infinity ? v.weight : 0), 0);
  const finite = values.filter((v) => v.value !== Infinity);
  const at = (share: number): number =>
    share > 1 - never || finite.length === 0 ? Infinity : weighted(finite, share / (1 - never));
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}

type Read = Cooling['reads'][number];

/** Below so many °C what is left to cool does so by another law; from the last reading above it on, or the first below. */
function setsAt(
  reads: readonly Read[],
  from: number,
): { readonly h: number; readonly celsius: number } | undefined {
  const set = reads.findIndex((r) => r.celsius < SETS);
  const first = set < 0 ? undefined : reads[Math.max(0, set - 1)];
  return first && first.h > from ? first : undefined;
}

/**
 * The stretch that a pot cools in now: since it was moved last, or since it has set. Each begins where the one before is believed to have
 * ended.
 */
function lastStretch(
  reads: readonly Read[],
  moves: readonly { readonly h: number; readonly place: NonNullable<Cooling['place']> }[],
): { readonly from: number; readonly courses: readonly Course[]; readonly place: Cooling['place'] } {
  let from = 0;
  let begin: { celsius: number; sd: number } = { ...HOT };
  let place: Cooling['place'];
  const within = (to: number) =>
    reads.filter((r) => r.h > from && r.h <= to).map((r) => ({ ...r, h: r.h - from }));
  for (const move of moves) {
    const courses = coursesOf(within(move.h), begin, priorOf(place));
    const { low, middle, high } = spanOf(courses, (course) => after(course, move.h - from));
    begin = { celsius: middle, sd: Math.max(PROBE, (high - low) / (2 * Z80)) };
    [from, place] = [move.h, move.place];
  }
  const set = setsAt(reads, from);
  if (set) [from, begin] = [set.h, { celsius: set.celsius, sd: PROBE }];
  return { from, place, courses: coursesOf(within(Infinity), begin, priorOf(place)) };
}

/**
 * How a pot cools since its heat went off: the clock starts then, not when the probe goes in.
 * @param now ms
 * @returns undefined while the heat is on
 */
export function coolingOf(
  events: readonly WrittenBatchEvent[],
  limits: readonly Limit[],
  now: number,
): Cooling | undefined {
  const off = events.find((e) => e.is === 'off');
  if (!off) return undefined;
  const offAt = Date.parse(off.at);
  const hours = (ms: number): number => (ms - offAt) / 3_600_000;
  const reads = events
    .flatMap((e) =>
      e.is === 'degrees' && Date.parse(e.at) >= offAt
        ? [{ id: e.id, h: hours(Date.parse(e.at)), celsius: e.celsius }]
        : [],
    )
    .sort((a, b) => a.h - b.h);
  const moves = events
    .flatMap((e) =>
      e.is === 'moved' && Date.parse(e.at) >= offAt
        ? [{ h: hours(Date.parse(e.at)), place: { to: e.to, depthCm: e.depthCm } }]
        : [],
    )
    .sort((a, b) => a.h - b.h);
  const { from, courses, place } = lastStretch(reads, moves);
  const since = Math.max(hours(now), reads.at(-1)?.h ?? 0);
  const until = Math.max(since * 1.2, ...limits.map((l) => l.withinH), 1);
  const mean = (h: number): number => spanOf(courses, (course) => after(course, h - from)).middle;
  return {
    offAt,
    since,
    reads,
    now: spanOf(courses, (course) => after(course, since - from)),
    limits: limits.map((limit) => {
      const read = reads.find((r) => r.celsius <= limit.toC)?.h;
      const at = spanOf(courses, (course) => from + reaches(course, limit.toC));
      const late = courses.reduce(
        (sum, course) => sum + (from + reaches(course, limit.toC) > limit.withinH ? course.weight : 0),
        0,
      );
      const around = weighted(
        courses.map((course) => ({ value: course.around, weight: course.weight })),
        0.5,
      );
      const passed = since > limit.withinH && (read === undefined || read > limit.withinH);
      return {
        ...limit,
        read,
        at: read === undefined ? at : undefined,
        late: read === undefined ? late : read > limit.withinH ? 1 : 0,
        missed: read === undefined && !passed && late >= WILL,
        passed,
        creeps: limit.toC - around < CREEPS,
      };
    }),
    place,
    course: Array.from({ length: DRAWN + 1 }, (_, i) => (i / DRAWN) * until)
      .filter((h) => h >= from)
      .map((h) => [h, mean(h)]),
  };
}
