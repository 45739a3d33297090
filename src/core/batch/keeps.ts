import { copyPot, doStep, liquidMl, noReport, type PotState, type ProcessConstants } from '../pot';
import { VERBS } from '../verbs';
import { isOnHeat } from './evaporation';
import { HOUR, type Running } from './follow';
import { followed } from './whereabouts';

/** What one batch says of what drained solids keep back. */
export interface KeptLesson {
  /** The ingredient that keeps most of it, by its id. */
  readonly of: string;
  /** So many times what is reckoned with. */
  readonly times: number;
  /** How sure that is: its standard deviation. */
  readonly sd: number;
}

/** A reading taken so long before or after a strain is one of it, h. */
const BESIDE_H = 0.75;
/** One standard deviation of litres read before and after, as a share: a dip in a wide pot, a jug. */
const READ = 0.015;
/** Readings that say less than this of what is kept say nothing of it. */
const MOST_SD = 0.8;

/**
 * What a batch says of what its solids keep, at every strain that was read on both sides: litres before less litres after, in times of what
 * the model has them keep. What clings to strainer and pot is in both, and taken to be right. Of a strain with which it ended, the litres that
 * were told then are the reading after it; where none were told there is none.
 */
export function keptToldOf(of: Running, c: ProcessConstants): KeptLesson[] {
  const whole = followed(of, c);
  if (whole.trouble) return [];
  const hand = of.pot.steps[whole.at];
  if (!hand || !isOnHeat(hand)) whole.follow.rests(whole.since, Infinity);
  const done = new Map(
    of.events.flatMap((e) => (e.is === 'done' ? [[e.step, Date.parse(e.at)] as const] : [])),
  );
  const gotL = of.events.flatMap((e) => (e.is === 'ended' && e.l !== undefined ? [e.l] : []))[0];
  return of.pot.steps.flatMap((step, at): KeptLesson[] => {
    const ms = done.get(of.lines[at] ?? '');
    if (step.do !== 'strain' || ms === undefined) return [];
    const h = (ms - of.startedAt) / HOUR;
    const { curve } = whole.follow;
    const before = curve.filter((r) => r.h <= h && r.h > h - BESIDE_H).at(-1);
    const next = done.get(of.lines[at + 1] ?? '') ?? Infinity;
    const after =
      curve.find((r) => r.h > h && r.h < h + BESIDE_H && r.h <= (next - of.startedAt) / HOUR)?.ml ??
      (at === of.lines.length - 1 && gotL !== undefined ? gotL * 1000 : undefined);
    if (!before || after === undefined) return [];
    const told = keptAt(of, at, ms, c);
    if (!told) return [];
    const sd = (Math.hypot(told.beforeMl, after) * READ) / told.bySolidsMl;
    const times = 1 + (told.afterMl - after) / told.bySolidsMl;
    return sd < MOST_SD && times > 0 ? [{ of: told.of, times, sd }] : [];
  });
}

/** A strain by the model, from the pot as it had been read to stand: ml before and after, and what of it its solids keep. */
function keptAt(of: Running, at: number, ms: number, c: ProcessConstants) {
  const { follow, since, trouble } = followed(
    { ...of, lines: of.lines.slice(0, at), pot: { ...of.pot, steps: of.pot.steps.slice(0, at) } },
    c,
  );
  const step = of.pot.steps[at];
  if (trouble || step?.do !== 'strain') return undefined;
  follow.rests(since, ms);
  const after = copyPot(follow.pot);
  if (doStep(VERBS, after, step, c, noReport())) return undefined;
  const [beforeMl, afterMl] = [liquidMl(follow.pot.liquid), liquidMl(after.liquid)];
  const most = keeper(follow.pot, after);
  const dry = copyPot(follow.pot);
  const without = dry.pieces.map((p) => ({ ...p, stuff: { ...p.stuff, retention: 0, retentionPressed: 0 } }));
  dry.pieces.splice(0, dry.pieces.length, ...without);
  if (doStep(VERBS, dry, step, c, noReport())) return undefined;
  const bySolidsMl = liquidMl(dry.liquid) - afterMl;
  return most !== undefined && bySolidsMl > 1 ? { of: most, beforeMl, afterMl, bySolidsMl } : undefined;
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
