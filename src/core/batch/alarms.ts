import type { Cooling } from './cooling';
import type { WarmHolding } from './warm-holding';
import type { BatchEstimate } from './estimate';

/** Why somebody is called to a pot. */
export type AlarmKind =
  /** The line at hand is at its end. */
  | 'due'
  /** It will more likely than not be colder or hotter too late. */
  | 'too late'
  /** Most of the time that a limit gives is over, and nobody has read it. */
  | 'unread'
  /** It is past a limit of the house. */
  | 'past';

/** Somebody is wanted at a pot. The same call has the same key however often it is looked at, so that it is heard once. */
export interface Alarm {
  readonly is: AlarmKind;
  readonly key: string;
  /** °C of the limit that it is about. */
  readonly toC?: number | undefined;
}

/** What is looked at. */
interface Looked extends Pick<BatchEstimate, 'at' | 'left'> {
  readonly cooling: Cooling | undefined;
  readonly warm: WarmHolding | undefined;
  readonly leftUntil: number | undefined;
}

/** Share of a limit's time after which a pot that nobody reads calls. */
const UNREAD = 0.75;

/** What calls somebody to a pot, the most urgent first: before it is too late where that can be known. */
export function alarmsOf({ at, left, cooling, warm, leftUntil }: Looked): Alarm[] {
  const calls: Alarm[] = [];
  for (const { toC, withinH, read, missed, passed } of cooling?.limits ?? []) {
    if (read !== undefined) continue;
    const last = cooling?.reads.at(-1)?.h ?? 0;
    const is = passed
      ? 'past'
      : missed
        ? 'too late'
        : (cooling?.since ?? 0) > UNREAD * withinH && last < UNREAD * withinH
          ? 'unread'
          : undefined;
    if (is) calls.push({ is, key: `${is} ${toC}`, toC });
  }
  if (warm?.broken) calls.push({ is: 'past', key: `past ${warm.is}`, toC: warm.limitC });
  else if (warm && warm.at && warm.limitC !== undefined) {
    const limit = warm.is === 'reheating' ? warm.withinH : undefined;
    // What is reheated is there too late; what is held hot is on its way down.
    if (limit === undefined ? warm.is === 'holding' && warm.at.middle < Infinity : warm.at.middle > limit)
      calls.push({ is: 'too late', key: `too late ${warm.is}`, toC: warm.limitC });
  }
  // Anyone who left it for the night, or took it off the heat, knows when its line is at its end.
  if (left && left.middle <= 0 && leftUntil === undefined && !cooling)
    calls.push({ is: 'due', key: `due ${at}` });
  const rank: readonly AlarmKind[] = ['past', 'too late', 'unread', 'due'];
  return calls.sort((a, b) => rank.indexOf(a.is) - rank.indexOf(b.is));
}
