import type { HouseRules, WrittenBatchEvent } from '../kitchen-file';
import { capacityMl, crossing, HEATS, standingMl, type ProcessConstants } from '../pot';
import type { PotDoing } from '../verbs';
import { isOnHeat } from './evaporation';
import type { RunningBatch } from './pot-filter';
import { potFigures, type PotFigures } from './batch-figures';
import { estimateBatch } from './estimate';

/** What may stand on the heat while nobody is there, and when somebody is there again; left out where the house has said nothing. */
export type OvernightRule = NonNullable<HouseRules['night']>;

/** A pot that is to be left alone: how it will stand when somebody is back. */
export interface OvernightForecast {
  /** Whether the house leaves such a pot alone; undefined where it has said nothing, or the pot is not on the heat. */
  readonly allowed: boolean | undefined;
  /** The pot when somebody is back, if nothing is done to it; undefined where it cannot be followed. */
  readonly pot: PotFigures | undefined;
  /** ml of what could be poured then, of four pots in five. */
  readonly ml: { readonly low: number; readonly high: number } | undefined;
  /** h for which it will have been past the end of its line; 0 where somebody is back before. */
  readonly overH: number;
  /** Its pieces will stand out of the liquid: they brown, and then burn. */
  readonly bare: boolean;
  /** ml of water that, poured in now, leave it when somebody is back with what it should have at the end of its line; undefined where none is wanted, or none is enough. */
  readonly waterMl: number | undefined;
  /** The most that the house lets it stand at, where it stands at more and its fuel may be left alone. */
  readonly turnTo: OvernightRule['heat'] | undefined;
}

/** How near the water is found, as a share of what is wanted; and how much of the room under the brim is filled at most: it swells as it warms. */
const CLOSE = 0.005;
const UNDER_BRIM = 0.95;

/**
 * How a pot will stand that is left alone.
 * @param now ms
 * @param back when somebody is there again, ms
 * @param turned what it is turned down to; left out, as it is
 */
export function overnightForecast(
  of: RunningBatch,
  now: number,
  back: number,
  c: ProcessConstants,
  rule: OvernightRule | undefined,
  turned?: OvernightRule['heat'],
): OvernightForecast {
  const here = estimateBatch(of, now, c);
  const left = turned ? turnedDown(of, now, back, turned) : of;
  const then = estimateBatch(left, back, c);
  const step = of.pot.steps[here.at];
  const stands = step && 'heat' in step && isOnHeat(step) ? step.heat : undefined;
  const heat = stands && (turned ?? stands);
  const pot = then.pot && potFigures(then.pot, c);
  const goalMl = here.then && potFigures(here.then, c).ml;
  const overH = Math.max(0, -(then.left?.middle ?? 0));
  return {
    allowed: rule && heat ? mayStand(rule, of.pot.hob.fuel, heat) : undefined,
    pot,
    ml: then.ml,
    overH: heat ? overH : 0,
    bare: heat !== undefined && pot !== undefined && pot.heapCm > pot.levelCm,
    waterMl:
      heat && overH > 0 && goalMl !== undefined && here.pot
        ? waterFor(
            left,
            now,
            back,
            c,
            goalMl,
            (capacityMl(here.pot.vessel) - standingMl(here.pot)) * UNDER_BRIM,
          )
        : undefined,
    turnTo:
      rule && stands && rule.fuels.includes(of.pot.hob.fuel) && isMore(stands, rule.heat)
        ? rule.heat
        : undefined,
  };
}

const isMore = (a: OvernightRule['heat'], b: OvernightRule['heat']): boolean =>
  HEATS.indexOf(a) > HEATS.indexOf(b);

/** A pot that is turned down now, till somebody is back. */
const turnedDown = (
  of: RunningBatch,
  now: number,
  back: number,
  heat: OvernightRule['heat'],
): RunningBatch => {
  const [at, until] = [new Date(now).toISOString(), new Date(back).toISOString()];
  const event: WrittenBatchEvent = { id: 'for the night', at, recordedAt: at, is: 'night', until, heat };
  return { ...of, events: [...of.events, event] };
};

const mayStand = (
  { fuels, heat: most }: OvernightRule,
  fuel: OvernightRule['fuels'][number],
  heat: OvernightRule['heat'],
): boolean => fuels.includes(fuel) && !isMore(heat, most);

/** Water that is poured in now so that so much is there when somebody is back. */
function waterFor(
  of: RunningBatch,
  now: number,
  back: number,
  c: ProcessConstants,
  goalMl: number,
  roomMl: number,
): number | undefined {
  const stamp = new Date(now).toISOString();
  const id = 'water for the night';
  const with_ = (ml: number): number => {
    const event: WrittenBatchEvent = {
      id,
      at: stamp,
      recordedAt: stamp,
      is: 'rescue',
      problem: 'too little',
      steps: [],
    };
    const pour = { do: 'water', to: { by: 'ml', value: ml } } as PotDoing;
    const wet: RunningBatch = {
      ...of,
      events: [...of.events, event],
      rescues: { ...of.rescues, [id]: [pour] },
    };
    const { pot } = estimateBatch(wet, back, c);
    return pot ? potFigures(pot, c).ml : NaN;
  };
  const found = crossing((ml) => with_(ml) - goalMl, 0, roomMl, goalMl * CLOSE);
  // What lies below the goal is near it; what lies above may be far.
  return found.found ? found.below : undefined;
}
