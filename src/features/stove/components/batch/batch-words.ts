import type { BatchFigures, Cooling, LimitAhead, Interval } from '@/core/batch';
import { readNumber } from '@/core/quantity';
import type { Formatters } from '@/ui/formatters-context';

/** A figure as it was typed; NaN where it is none. */
export function figureText(text: string, mark: '.' | ','): number {
  const read = readNumber(text, mark);
  return read.ok ? read.value.toNumber() : NaN;
}

/** Minutes below which something is now. */
const NOW_H = 0.5 / 60;

/** How long it still takes, in words a cook says: `42 min more`, `now`, `5 min over`. */
export function leftWords({ middle }: Interval, hours: Formatters['hours']): string {
  if (middle < -NOW_H) return `${hours(-middle)} over its time`;
  return middle <= NOW_H ? 'now' : `${hours(middle)} left`;
}

/** Four times in five: `36 to 50 min`; nothing where it is known to the minute. */
export function bandWords({ low, high }: Interval, hours: Formatters['hours']): string | undefined {
  return high - low < 1.5 / 60 ? undefined : `${hours(Math.max(0, low))} to ${hours(high)}`;
}

/** Whether the line at hand is over its time. */
export const isLate = ({ left }: Pick<BatchFigures, 'left'>): boolean =>
  left !== undefined && left.high < -NOW_H;

/** The limit of the house that a pot which cools is to be at next; nothing where it has been read at all of them. */
export const nextLimit = (cooling: Cooling | undefined): LimitAhead | undefined =>
  cooling?.limits.find((l) => l.read === undefined);

/** Whether a pot that cools has missed a limit, or will. */
export const coolsLate = (cooling: Cooling | undefined): boolean =>
  cooling?.limits.some((l) => l.passed || l.missed) ?? false;

/** When it is next looked at: pots that say so first, those that are over their time before all others. */
export function nextMoment(figures: BatchFigures | undefined): number {
  if (coolsLate(figures?.cooling)) return -Infinity;
  const limit = nextLimit(figures?.cooling);
  if (figures?.cooling && limit?.at) return limit.at.middle - figures.cooling.since;
  return figures?.left?.middle ?? Infinity;
}
