import type { LEARNED_TIMES } from '../kitchen-file';
import { learn, outliers, typicalSd, type Learned, type Prior } from '../learning';
import type { Heat, Lid, ProcessConstants } from '../pot';
import { isOnHeat, spreadOf, type Belief } from './evaporation';
import { runDoneLines } from './estimate';
import type { RunningBatch } from './pot-filter';

/** What one batch says of how fast its vessel boils away at a heat under a lid, by its readings alone. */
export interface Lesson {
  readonly heat: Heat;
  readonly lid: Lid;
  /** So many times what the table says. */
  readonly times: number;
  /** How sure that is: standard deviation of its logarithm. */
  readonly sd: number;
}

/** A lesson of a batch that is over, and whether a person has left it out. */
export interface LessonOf extends Lesson {
  readonly batch: string;
  readonly vessel: string;
  /** What a person told that leaves it out; nothing where it counts. */
  readonly leftOut: string | undefined;
}

/** A lesson beside the others of its kind. */
interface Weighed extends LessonOf {
  /** How much it counts: 1 read often, less by few or rough readings, 0 where it was left out. */
  readonly weight: number;
  /** Further from what the others say than chance explains: for a person to look at. */
  readonly outlier: boolean;
}

/** What batches together say of a vessel at a heat under a lid. */
export interface BoilsTaught {
  readonly vessel: string;
  readonly heat: Heat;
  readonly lid: Lid;
  /** By the table, in times of its middle. */
  readonly prior: Prior;
  readonly lessons: readonly Weighed[];
  /** Nothing where every lesson was left out. */
  readonly learned: Learned | undefined;
  /** How far one batch scatters from it: standard deviation of the logarithm. */
  readonly scatter: number;
}

/** Readings that narrow the table’s band by less than this share teach nothing. */
const TEACHES = 0.15;
/** How far batches of one vessel scatter before three of them have been read: wind, burner, how often somebody stirs (judgement). */
const USUAL_SCATTER = 0.12;
const LEAST_SCATTER = 0.03;
/** 5 % lie beyond on each side. */
const Z90 = 1.645;

/** What the readings of a batch say by themselves, when what was believed before them is taken off again. */
function alone({ mu, sd }: Belief, before: number): { readonly mu: number; readonly sd: number } | undefined {
  const precision = 1 / sd ** 2 - 1 / before ** 2;
  if (sd > before * (1 - TEACHES)) return undefined;
  return { mu: mu / sd ** 2 / precision, sd: 1 / Math.sqrt(precision) };
}

/**
 * What a batch teaches of evaporation: for each heat and lid it stood at, how fast it boiled away by its readings, in times of what the
 * table says. What the vessel had taught before does not count, so that no batch is counted twice.
 */
export function lessonsOf(of: RunningBatch, c: ProcessConstants): Lesson[] {
  const { boils: _taught, ...vessel } = of.pot.vessel;
  const { follow } = runDoneLines({ ...of, pot: { ...of.pot, vessel } }, c);
  return [...follow.learned()].flatMap(([{ heat, lid }, belief]) => {
    const said = alone(belief, spreadOf(heat, lid));
    return said ? [{ heat, lid, times: Math.exp(said.mu), sd: said.sd }] : [];
  });
}

const keyOf = ({ vessel, heat, lid }: Pick<LessonOf, 'vessel' | 'heat' | 'lid'>): string =>
  `${vessel} ${heat} ${lid}`;

/** How far counted lessons of a vessel scatter, drawn towards what is usual while there are few. */
function scatterOf(lessons: readonly LessonOf[]): number {
  const logs = lessons.map((l) => Math.log(l.times));
  const mean = logs.reduce((a, b) => a + b, 0) / Math.max(1, logs.length);
  const squares = logs.reduce((sum, x) => sum + (x - mean) ** 2, 0);
  // As if three batches had scattered as is usual.
  const all = squares + 3 * USUAL_SCATTER ** 2;
  return Math.max(LEAST_SCATTER, Math.sqrt(all / (Math.max(0, logs.length - 1) + 3)));
}

/**
 * What batches teach of each vessel, heat and lid, as tests do of an ingredient: the table is believed first, each batch counts by how well it
 * was read, and one that lies far off is flagged for a person and left out by nobody else.
 */
export function boilsTaught(lessons: readonly LessonOf[]): BoilsTaught[] {
  const groups = new Map<string, LessonOf[]>();
  for (const lesson of lessons) {
    const of = groups.get(keyOf(lesson)) ?? [];
    of.push(lesson);
    groups.set(keyOf(lesson), of);
  }
  const typical = typicalSd([...groups.values()].map((of) => of.map((l) => l.times))) ?? USUAL_SCATTER;
  return [...groups.values()].map((of) => taughtBy(of, typical));
}

function taughtBy(of: readonly LessonOf[], typical: number): BoilsTaught {
  const { vessel, heat, lid } = of[0] as LessonOf;
  const spread = spreadOf(heat, lid);
  const prior = { value: 1, low: Math.exp(-Z90 * spread), high: Math.exp(Z90 * spread) };
  const weightOf = (l: LessonOf): number =>
    l.leftOut !== undefined ? 0 : USUAL_SCATTER ** 2 / (USUAL_SCATTER ** 2 + l.sd ** 2);
  const counted = of.filter((l) => l.leftOut === undefined);
  const samples = counted.map((l) => ({ value: l.times, weight: weightOf(l) }));
  const far = new Set(outliers(prior, samples, typical).map((i) => counted[i]));
  return {
    vessel,
    heat,
    lid,
    prior,
    lessons: of.map((l) => ({ ...l, weight: weightOf(l), outlier: far.has(l) })),
    learned: samples.length > 0 ? learn(prior, samples, typical) : undefined,
    scatter: scatterOf(counted),
  };
}

/** What one batch says about a figure, as a multiple of the value in use. */
export interface TimesLesson {
  readonly batch: string;
  /** What it is of: an ingredient, a kind of step. */
  readonly of: string;
  readonly times: number;
  /** How sure that is, beside how batches scatter: its standard deviation; nothing where that is small. */
  readonly sd?: number;
  /** What a person told that leaves it out; nothing where it counts. */
  readonly leftOut: string | undefined;
}

/** What batches together say of a figure, as a multiple of the value in use now. */
export interface TimesTaught {
  readonly of: string;
  readonly prior: Prior;
  readonly lessons: readonly (TimesLesson & { readonly weight: number; readonly outlier: boolean })[];
  readonly learned: Learned | undefined;
}

/** How far the value in use may be off before any batch, as the standard deviation of its logarithm, and how far one batch scatters (judgement). */
const TIMES = {
  gives: { spread: 0.3, scatter: 0.12 },
  hands: { spread: 0.5, scatter: 0.3 },
  keeps: { spread: 0.35, scatter: 0.25 },
  clings: { spread: 0.4, scatter: 0.3 },
  loses: { spread: 0.35, scatter: 0.2 },
  pours: { spread: 0.06, scatter: 0.03 },
} as const satisfies Record<(typeof LEARNED_TIMES)[number], { spread: number; scatter: number }>;
export type TimesKind = keyof typeof TIMES;

/** What batches teach of figures that are told or metered once in each: what bones give and keep, what stays behind, minutes of hands. */
export function timesTaught(kind: TimesKind, lessons: readonly TimesLesson[]): TimesTaught[] {
  const { spread, scatter } = TIMES[kind];
  const prior = { value: 1, low: Math.exp(-Z90 * spread), high: Math.exp(Z90 * spread) };
  const groups = new Map<string, TimesLesson[]>();
  for (const lesson of lessons) {
    const found = groups.get(lesson.of);
    if (found) found.push(lesson);
    else groups.set(lesson.of, [lesson]);
  }
  return [...groups].map(([of, all]): TimesTaught => {
    const counted = all.filter((l) => l.leftOut === undefined);
    const weightOf = ({ sd = 0 }: TimesLesson): number => scatter ** 2 / (scatter ** 2 + sd ** 2);
    const samples = counted.map((l) => ({ value: l.times, weight: weightOf(l) }));
    const far = farOff(prior, counted, scatter);
    return {
      of,
      prior,
      lessons: all.map((l) => ({
        ...l,
        weight: l.leftOut === undefined ? weightOf(l) : 0,
        outlier: far.has(l),
      })),
      learned: samples.length > 0 ? learn(prior, samples, scatter) : undefined,
    };
  });
}

/** How many standard deviations off a lesson is for a person to look at. */
const FAR = 3;
/** As if so many batches had scattered as is usual: two that happen to agree do not make a third one wrong. */
const AS_IF = 3;

/** Lessons that lie further from what the others say than chance and their own reading explain. */
function farOff(prior: Prior, lessons: readonly TimesLesson[], scatter: number): Set<TimesLesson> {
  const far = lessons.filter(({ times, sd = 0 }, i) => {
    const others = lessons.filter((_, j) => j !== i);
    const said = learn(
      prior,
      others.map((l) => ({ value: l.times, weight: 1 })),
      scatter,
    );
    const mean = others.reduce((sum, l) => sum + l.times, 0) / Math.max(1, others.length);
    const squares = others.reduce((sum, l) => sum + (l.times - mean) ** 2, AS_IF * scatter ** 2);
    const s = Math.sqrt(squares / (Math.max(0, others.length - 1) + AS_IF));
    return said !== undefined && Math.abs(times - said.mean) > FAR * Math.hypot(said.sd, s, sd);
  });
  return new Set(far);
}

/** How long hands really were at a batch’s lines, in times of what is usual, by kind of step; lines that nobody said it of are left out. */
export function handsToldOf(
  { events, lines, pot }: RunningBatch,
  rows: readonly { readonly handsHours: number }[],
): { readonly kind: string; readonly times: number }[] {
  const told = new Map<string, { was: number; usual: number }>();
  for (const e of events) {
    if (e.is !== 'done' || e.handsMin === undefined) continue;
    const at = lines.indexOf(e.step);
    const [kind, usual] = [pot.steps[at]?.do, rows[at]?.handsHours ?? 0];
    if (kind === undefined || !(usual > 0)) continue;
    const of = told.get(kind) ?? { was: 0, usual: 0 };
    of.was += e.handsMin / 60;
    of.usual += usual;
    told.set(kind, of);
  }
  return [...told].flatMap(([kind, { was, usual }]) => (was > 0 ? [{ kind, times: was / usual }] : []));
}

/** How far the next batch may be from what was learned: what is not known of the middle, and how batches scatter about it. */
export const nextSd = ({ learned, scatter }: Pick<BoilsTaught, 'learned' | 'scatter'>): number =>
  learned ? Math.hypot(learned.sd / learned.mean, scatter) : scatter;

/** Heats and lids that lines of a pot stand at, each once. */
export const fires = (steps: RunningBatch['pot']['steps']): { readonly heat: Heat; readonly lid: Lid }[] => [
  ...new Map(
    steps.flatMap((s) =>
      isOnHeat(s) ? [[`${s.heat} ${s.lid}`, { heat: s.heat, lid: s.lid }] as const] : [],
    ),
  ).values(),
];
