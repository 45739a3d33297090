import { copyPot, doStep, liquidMl, noReport, servedMl, type PotState, type ProcessConstants } from '../pot';
import { VERBS } from '../verbs';
import { isOnHeat } from './evaporation';
import { HOUR, type CurvePoint, type RunningBatch } from './pot-filter';
import { runDoneLines } from './estimate';

/** What one batch says of what stays behind at one of its lines, or goes out with its portions. */
export interface LeftLesson {
  /**
   * keeps: what drained solids keep back; clings: what stays on walls, or in a strainer without solids; loses: what stays in a blender or a
   * sieve; pours: how full portions are.
   */
  readonly kind: 'keeps' | 'clings' | 'loses' | 'pours';
  /** The ingredient that keeps most, by its id; “walls”, or “strainer” and what it is called; else what the line does, and of several such lines which one: “sieve 2”. */
  readonly of: string;
  /** As a multiple of the value in use. */
  readonly times: number;
  /** How sure that is: its standard deviation. */
  readonly sd: number;
  /** Of what is lost or poured over: the share itself, as it was read, and as the line had it. */
  readonly share?: { readonly was: number; readonly line: number };
}

/** A reading taken so long before or after a line is one of it, h. */
const BESIDE_H = 0.75;
/** One standard deviation of litres told in the end, as a share: a jug, a dip in a wide pot. */
const TOLD = 0.015;
/** Readings that say less than this of a loss say nothing of it. */
const MOST_SD = 0.8;
/** ml under which nothing stays behind that could be read. */
const LEAST_ML = 1;
/** The last portion is as likely full as hardly begun: how many more than whole ones went out, and its standard deviation (uniform). */
const LAST = { middle: 0.5, sd: Math.sqrt(1 / 12) } as const;

/**
 * What a batch says of what stayed behind at lines that were read on both sides, and of how full its portions were: litres before less litres
 * after, in times of what the model has stay there. Of a line with which it ended, the litres that were told then are the reading after it; where
 * none were told there is none.
 */
export function leftToldOf(of: RunningBatch, c: ProcessConstants): LeftLesson[] {
  const whole = runDoneLines(of, c);
  if (whole.trouble) return [];
  const hand = of.pot.steps[whole.at];
  if (!hand || !isOnHeat(hand)) whole.follow.dependsOn(whole.since, Infinity);
  const done = new Map(
    of.events.flatMap((e) => (e.is === 'done' ? [[e.step, Date.parse(e.at)] as const] : [])),
  );
  const ended = of.events.find((e) => e.is === 'ended');
  const undisturbed = undisturbedIn(of);
  const told = (l: number) => ({ ml: l * 1000, sd: l * 1000 * TOLD });
  const got = ended?.l === undefined ? undefined : told(ended.l);
  const lessons = of.pot.steps.flatMap((step, at): LeftLesson[] => {
    const ms = done.get(of.lines[at] ?? '');
    if (!leaves(step) || ms === undefined) return [];
    const h = (ms - of.startedAt) / HOUR;
    const next = done.get(of.lines[at + 1] ?? '') ?? Infinity;
    const curve = whole.follow.curve.filter(undisturbed.reading);
    const read = readAfter(curve, h, (next - of.startedAt) / HOUR);
    const last = at === of.lines.length - 1 && undisturbed.between(h, Infinity) ? got : undefined;
    const after = read ? (undisturbed.between(h, read.h) ? read : undefined) : last;
    if (!after || !curve.some((r) => r.h <= h && r.h > h - BESIDE_H)) return [];
    return lessonAt(of, at, ms, after, c);
  });
  const { pot } = whole.follow;
  const there = got ?? { ml: servedMl(pot), sd: whole.follow.spreadMl };
  return [...lessons, ...(ended?.portions === undefined ? [] : pouredOf(of, there, ended.portions))].filter(
    ({ times, sd }) => sd < MOST_SD && times > 0,
  );
}

/** What says nothing of a line: a reading that was drawn off, topped up or misread, and one before which something was poured in or lost. */
function undisturbedIn({ events, startedAt }: RunningBatch) {
  const answered = new Set(
    events.flatMap((e) => (e.is === 'answered' && e.as !== 'read' ? [e.reading] : [])),
  );
  const changed = events.flatMap((e) =>
    e.is === 'rescue' || e.is === 'left' ? [(Date.parse(e.at) - startedAt) / HOUR] : [],
  );
  return {
    reading: (r: CurvePoint): boolean => !answered.has(r.reading),
    between: (from: number, to: number): boolean => !changed.some((h) => h >= from && h <= to),
  };
}

type Line = RunningBatch['pot']['steps'][number];
type Leaving = Extract<Line, { do: 'strain' | 'into' | 'puree' | 'sieve' }>;
const leaves = (step: Line): step is Leaving =>
  step.do === 'strain' || step.do === 'into' || step.do === 'puree' || step.do === 'sieve';

/** The first reading after a line and before the next one is done. */
const readAfter = (curve: readonly CurvePoint[], h: number, next: number): CurvePoint | undefined =>
  curve.find((r) => r.h > h && r.h < h + BESIDE_H && r.h <= next);

/** A pot after a line, or undefined where it cannot be done. */
function afterLine(pot: PotState, step: Leaving, c: ProcessConstants): PotState | undefined {
  const after = copyPot(pot);
  return doStep(VERBS, after, step, c, noReport()) ? undefined : after;
}

/** What a line that was read on both sides says: the pot as it had been read to stand, done by the model and with nothing left behind. */
function lessonAt(
  of: RunningBatch,
  at: number,
  ms: number,
  after: Pick<CurvePoint, 'ml' | 'sd'>,
  c: ProcessConstants,
): LeftLesson[] {
  const { follow, since, trouble } = runDoneLines(
    { ...of, lines: of.lines.slice(0, at), pot: { ...of.pot, steps: of.pot.steps.slice(0, at) } },
    c,
  );
  const step = of.pot.steps[at];
  if (trouble || !step || !leaves(step)) return [];
  follow.dependsOn(since, ms);
  const { pot } = follow;
  const model = afterLine(pot, step, c);
  if (!model) return [];
  const sdMl = Math.hypot(follow.spreadMl, after.sd);
  const same = of.pot.steps.slice(0, at).filter((s) => s.do === step.do).length;
  const what = whatLeaves(pot, model, step, c);
  const nothing = what && afterLine(what.pot, what.step, what.c);
  if (!what || !nothing) return [];
  const byModel = liquidMl(nothing.liquid) - liquidMl(model.liquid);
  const byReading = liquidMl(nothing.liquid) - after.ml;
  const all = liquidMl(nothing.liquid);
  if (!(byModel > LEAST_ML)) return [];
  return [
    {
      kind: what.kind,
      of: what.kind === 'loses' && same > 0 ? `${what.of} ${same + 1}` : what.of,
      times: byReading / byModel,
      sd: sdMl / byModel,
      ...(what.kind === 'loses' ? { share: { was: byReading / all, line: byModel / all } } : {}),
    },
  ];
}

/** What it is of that stays behind at a line, and the line as it would be were nothing left; nothing where the line itself says how much clings. */
function whatLeaves(pot: PotState, after: PotState, step: Leaving, c: ProcessConstants) {
  if (step.do === 'puree' || step.do === 'sieve')
    return { kind: 'loses', of: step.do, pot, step: { ...step, loss: 0 }, c } as const;
  if (step.do === 'into')
    return step.clingMl === undefined
      ? ({ kind: 'clings', of: 'walls', pot, step: { ...step, clingMl: 0 }, c } as const)
      : undefined;
  const most = keeper(pot, after);
  if (most !== undefined) {
    const dry = copyPot(pot);
    const pieces = dry.pieces.map((p) => ({
      ...p,
      stuff: { ...p.stuff, retention: 0, retentionPressed: 0 },
    }));
    dry.pieces.splice(0, dry.pieces.length, ...pieces);
    return { kind: 'keeps', of: most, pot: dry, step, c } as const;
  }
  // Without solids, what is missing stayed in the strainer.
  const free = { ...c, strainers: { ...c.strainers, [step.through]: 0 } };
  return { kind: 'clings', of: `strainer ${step.through}`, pot, step, c: free } as const;
}

/** Of the solids that a strain takes out, the one that keeps most. */
function keeper(before: PotState, after: PotState): string | undefined {
  const left = new Map<string, number>();
  for (const p of after.pieces) left.set(p.stuff.id, (left.get(p.stuff.id) ?? 0) + p.rawG);
  const kept = new Map<string, number>();
  for (const { stuff, rawG } of before.pieces)
    kept.set(stuff.id, (kept.get(stuff.id) ?? 0) + rawG * stuff.retention);
  return [...kept].filter(([id, g]) => g > 0 && !left.has(id)).sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** How full portions were: what there was over what went out, beside what a portion is said to be. */
function pouredOf(
  { pot }: RunningBatch,
  there: { readonly ml: number; readonly sd: number },
  portions: number,
): LeftLesson[] {
  const step = pot.steps.findLast((s) => s.do === 'portion');
  if (step?.do !== 'portion' || !(portions > 0) || !(there.ml > 0)) return [];
  const went = portions + LAST.middle;
  const each = there.ml / went / step.ml;
  const line = step.overfill;
  const times = each / (1 + line);
  return [
    {
      kind: 'pours',
      of: step.do,
      times,
      sd: times * Math.hypot(there.sd / there.ml, LAST.sd / went),
      share: { was: each - 1, line },
    },
  ];
}
