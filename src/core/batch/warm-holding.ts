import type { WrittenBatchEvent } from '../kitchen-file';

/** What a house asks of what is reheated, and of what is held hot; left out where it has said nothing. */
export interface WarmRules {
  readonly reheat?: { readonly toC: number; readonly withinH: number } | undefined;
  readonly holdAtC?: number | undefined;
}

/** How something that is warmed again, or held hot, stands beside the house’s rule. Hours since that began. */
export interface WarmHolding {
  readonly is: 'reheating' | 'holding';
  readonly since: number;
  readonly reads: readonly { readonly id: string; readonly h: number; readonly celsius: number }[];
  /** °C that it is to come to, or not to fall below; undefined where the house has said nothing. */
  readonly limitC: number | undefined;
  readonly withinH: number | undefined;
  /** h until it is there, or falls below: 10, 50 and 90 %; undefined where fewer than two readings say nothing of it. */
  readonly at: { readonly low: number; readonly middle: number; readonly high: number } | undefined;
  /** It was read to be hot enough (reheating). */
  readonly there: boolean;
  /** Past the rule: not hot enough in its time, or read below what it is held at. */
  readonly broken: boolean;
}

const HOUR = 3_600_000;
/** A probe’s error, °C, one standard deviation. */
const PROBE = 1;
const Z80 = 1.2816;
/** Readings that say where it is going: the last few. */
const LAST = 4;

/** A straight line through the last readings: °C an hour, and how sure that is. */
function slopeOf(reads: WarmHolding['reads']): { readonly perH: number; readonly sd: number } | undefined {
  const last = reads.slice(-LAST);
  if (last.length < 2) return undefined;
  const meanH = last.reduce((sum, r) => sum + r.h, 0) / last.length;
  const meanC = last.reduce((sum, r) => sum + r.celsius, 0) / last.length;
  const squares = last.reduce((sum, r) => sum + (r.h - meanH) ** 2, 0);
  if (!(squares > 0)) return undefined;
  const perH = last.reduce((sum, r) => sum + (r.h - meanH) * (r.celsius - meanC), 0) / squares;
  return { perH, sd: PROBE / Math.sqrt(squares) };
}

/** When a line through the last readings is at a limit, h from the last of them; undefined where it does not go there for sure. */
function crosses(reads: WarmHolding['reads'], limitC: number, up: boolean): WarmHolding['at'] {
  const slope = slopeOf(reads);
  const last = reads.at(-1);
  if (!slope || !last) return undefined;
  const toGo = limitC - last.celsius;
  const sign = up ? 1 : -1;
  const at = (perH: number): number => (perH * sign > 0 ? Math.max(0, toGo / perH) : Infinity);
  const fast = at(slope.perH + sign * Z80 * slope.sd);
  const slow = at(slope.perH - sign * Z80 * slope.sd);
  const middle = at(slope.perH);
  return middle === Infinity && fast === Infinity
    ? undefined
    : { low: last.h + fast, middle: last.h + middle, high: last.h + slow };
}

/**
 * How what is warmed again, or held hot, stands: since somebody last said so. It says what was read and what the house asks; it never says that
 * food is safe.
 * @param now ms
 * @returns undefined where it is neither
 */
export function warmHolding(
  events: readonly WrittenBatchEvent[],
  rules: WarmRules,
  now: number,
): WarmHolding | undefined {
  const begun = [...events]
    .filter((e) => e.is === 'reheating' || e.is === 'holding')
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1);
  if (begun?.is !== 'reheating' && begun?.is !== 'holding') return undefined;
  const from = Date.parse(begun.at);
  const reads = events
    .flatMap((e) =>
      e.is === 'degrees' && Date.parse(e.at) >= from
        ? [{ id: e.id, h: (Date.parse(e.at) - from) / HOUR, celsius: e.celsius }]
        : [],
    )
    .sort((a, b) => a.h - b.h);
  const since = Math.max((now - from) / HOUR, reads.at(-1)?.h ?? 0);
  const up = begun.is === 'reheating';
  const limitC = up ? rules.reheat?.toC : rules.holdAtC;
  const withinH = up ? rules.reheat?.withinH : undefined;
  const first = limitC === undefined ? undefined : reads.find((r) => r.celsius >= limitC);
  const there = up && first !== undefined;
  const late = withinH !== undefined && (first?.h ?? since) > withinH;
  const fell = limitC !== undefined && reads.some((r) => r.celsius < limitC);
  return {
    is: begun.is,
    since,
    reads,
    limitC,
    withinH,
    at: limitC === undefined || there ? undefined : crosses(reads, limitC, up),
    there,
    broken: up ? late : fell,
  };
}
