import {
  body,
  gelatinPct,
  heapLevelCm,
  levelCm,
  liquidMl,
  saltPct,
  servedMl,
  standingMl,
  type PotState,
  type ProcessConstants,
} from '../pot';
import { coolingOf, type Cooling } from './cooling';
import { dipOf } from './readings';
import { alarmsOf, type Alarm } from './alarms';
import { unattendedUntil } from './unattended';
import { momentOf } from './running';
import { warmHolding, type WarmHolding, type WarmRules } from './warm-holding';
import { estimateBatch, type BatchEstimate } from './estimate';
import type { RunningBatch } from './pot-filter';
import { brixOf } from './meters';

/** A pot at one moment, in figures. cm from the base or down from the rim, ml at 20 °C but for what stands in it, %, °C. */
export interface PotFigures {
  readonly ml: number;
  /** With the pieces, where they are served in it. */
  readonly servedMl: number;
  readonly standingMl: number;
  readonly levelCm: number;
  readonly dipCm: number;
  readonly heapCm: number;
  readonly saltPct: number;
  readonly gelatinPct: number;
  readonly body: number;
  /** What a refractometer should read, °Bx. */
  readonly brix: number;
  readonly celsius: number;
}

/** Where a batch is, as it is shown: plain figures. */
export interface BatchFigures extends Omit<BatchEstimate, 'pot' | 'then' | 'trouble'> {
  /** The moment it is shown at, ms: now, but for one that has been over for a day. */
  readonly moment: number;
  readonly pot: PotFigures | undefined;
  /** At the end of the line at hand. */
  readonly then: PotFigures | undefined;
  /** How it cools, once its heat is off. */
  readonly cooling: Cooling | undefined;
  /** How it is warmed again or held hot, where it is. */
  readonly warm: WarmHolding | undefined;
  /** What somebody is wanted for. */
  readonly calls: readonly Alarm[];
  /** Until when nobody is at it, ms, where it was left for the night. */
  readonly leftUntil: number | undefined;
  /** What cannot be done, and at which line. */
  readonly trouble: { readonly line: number; readonly says: string } | undefined;
}

/** A pot in figures. */
export const potFigures = (pot: PotState, c: ProcessConstants): PotFigures => ({
  ml: liquidMl(pot.liquid),
  servedMl: servedMl(pot),
  standingMl: standingMl(pot),
  levelCm: levelCm(pot),
  dipCm: dipOf(pot),
  heapCm: heapLevelCm(pot),
  saltPct: saltPct(pot),
  gelatinPct: gelatinPct(pot),
  body: body(pot, c),
  brix: brixOf(pot),
  celsius: pot.celsius,
});

/** Where a batch is at a moment, in figures. */
export function batchFigures(
  of: RunningBatch,
  now: number,
  c: ProcessConstants,
  warm: WarmRules = {},
): BatchFigures {
  const moment = momentOf(of, now);
  const { pot, then, trouble, ...where } = estimateBatch(of, moment, c);
  const seen = {
    cooling: coolingOf(of.events, c.coolingLimits ?? [], moment),
    warm: warmHolding(of.events, warm, moment),
    leftUntil: unattendedUntil(of.events, moment),
  };
  return {
    ...where,
    ...seen,
    // Of one that has been over for a day nobody is called any more.
    calls: moment < now ? [] : alarmsOf({ ...where, ...seen }),
    moment,
    pot: pot && potFigures(pot, c),
    then: then && potFigures(then, c),
    trouble: trouble && { line: trouble.line, says: trouble.trouble.message },
  };
}
