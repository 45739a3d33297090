import type { ProcessConstants } from './constants';
import { liquidG, liquidMl } from './liquid';
import {
  heapLevelCm,
  levelCm,
  piecesG,
  piecesMl,
  saltPct,
  standingMl,
  type PotState,
  type Standing,
} from './state';
import { kilos, litres, percent, type PotStep, type StepReport } from './step';
import { maxFillMl, openAreaM2, volumeAt } from './vessel';

/** What would put a warning right. `step` is where to do it, if not at the warning's own; values in `unit`. */
export interface Cure {
  readonly do:
    | 'fill less'
    | 'draw off'
    | 'top up'
    | 'leave salt out'
    | 'loosen'
    | 'pour the water off'
    | 'simmer'
    | 'cook shorter'
    | 'combine'
    | 'stronger hob';
  readonly message: string;
  readonly step?: number | undefined;
  readonly value: number;
  readonly unit: Unit;
}

type Unit = 'ml' | 'cm' | '%' | 'g' | '°C' | 'h' | 'kg/h' | 'kW';

/** Something a cook should know about a step that can nevertheless be done: what, which number beside which limit, what cures it. */
export interface Warning {
  readonly code:
    | 'over-max-fill'
    | 'no-room-ahead'
    | 'not-covered'
    | 'oversalted'
    | 'water-stops-browning'
    | 'boiled-with-bones'
    | 'boils-dry'
    | 'burner-limits'
    | 'stands-aside';
  /** What is wrong, as a sentence. */
  readonly message: string;
  readonly value: number;
  readonly limit: number;
  readonly unit: Unit;
  readonly cure: Cure;
}

/** A warning as it is read out: what is wrong and what cures it. */
export const warningWords = (w: Warning): string => `${w.message} ${w.cure.message}`;

/** Share of the gaps in a heap that must be wet before it is a pot of liquid and not something that sweats. */
const SWEATS = 1 / 3;
/** min of hard boiling that bones are spared no cloud by. */
const BRIEF_H = 0.25;
/** Below this share of what a heat would drive off, the burner decides. */
const WEAK = 2 / 3;

/** What a step leaves behind that should be known, looking no further than the step. */
export function warningsOf(pot: PotState, step: PotStep, c: ProcessConstants, report: StepReport): Warning[] {
  return [
    ...[pot, ...pot.aside].flatMap(overfilled),
    ...(step.do === 'cook' ? [...uncovered(pot, step.lid), ...clouded(pot, step, c)] : []),
    ...(step.do === 'cook' || step.do === 'reduce'
      ? [...boiledDry(step, report), ...burnerLimits(pot, step, c)]
      : []),
    ...oversalted(pot, step, c),
    ...(step.do === 'brown' ? tooWetToBrown(pot) : []),
  ];
}

function overfilled(s: Standing): Warning[] {
  const standing = standingMl(s);
  const most = maxFillMl(s.vessel);
  if (standing <= most * (1 + 1e-9)) return [];
  return [
    {
      code: 'over-max-fill',
      message: `Stands at ${litres(standing)}, ${litres(standing - most)} above the ${litres(most)} to which the ${s.vessel.name} should be filled: it cannot be stirred or skimmed.`,
      value: standing,
      limit: most,
      unit: 'ml',
      cure: {
        do: 'draw off',
        message: `Put ${litres(standing - most)} less in, or take a larger vessel.`,
        value: standing - most,
        unit: 'ml',
      },
    },
  ];
}

/** Pieces that stand out of an open liquid dry out; under a lid the steam cooks them, and a sweat has no liquid to speak of. */
function uncovered(pot: PotState, lid: string): Warning[] {
  if (lid !== 'off' || pot.pieces.length === 0) return [];
  const heap = heapLevelCm(pot);
  const level = levelCm(pot);
  const gaps = volumeAt(pot.vessel, heap) - piecesMl(pot);
  if (heap <= level + 0.05 || liquidMl(pot.liquid) < gaps * SWEATS) return [];
  const short = ((heap - level) / level) * standingMl(pot);
  return [
    {
      code: 'not-covered',
      message: `The pieces stand ${(heap - level).toFixed(1)} cm out of the liquid at ${level.toFixed(1)} cm.`,
      value: heap,
      limit: level,
      unit: 'cm',
      cure: {
        do: 'top up',
        message: `Top up with ${litres(short)} or use a narrower pot.`,
        value: short,
        unit: 'ml',
      },
    },
  ];
}

function clouded(pot: PotState, step: { heat: string; hours: number }, c: ProcessConstants): Warning[] {
  const hard = step.heat === 'brisk boil' || step.heat === 'hard boil' || step.heat === 'wide pan';
  if (!hard || step.hours <= BRIEF_H || !pot.pieces.some((p) => p.stuff.gelatinPool > 0)) return [];
  const limit = c.heats.simmer.celsius;
  return [
    {
      code: 'boiled-with-bones',
      message: `Boils at ${pot.celsius.toFixed(0)} °C with the bones in: above ${limit.toFixed(0)} °C scum and fat are beaten back in and the liquid clouds.`,
      value: pot.celsius,
      limit,
      unit: '°C',
      cure: {
        do: 'simmer',
        message: `Keep it at a bare simmer, ${c.heats['bare simmer'].celsius.toFixed(0)} °C.`,
        value: c.heats['bare simmer'].celsius,
        unit: '°C',
      },
    },
  ];
}

function boiledDry(step: PotStep, report: StepReport): Warning[] {
  const dry = report.dryAfterHours;
  if (dry === undefined) return [];
  const hours = report.heatHours;
  return [
    {
      code: 'boils-dry',
      message: `Boils dry after ${Math.round(dry * 60)} of its ${Math.round(hours * 60)} min: it would burn.`,
      value: hours,
      limit: dry,
      unit: 'h',
      cure: {
        do: 'cook shorter',
        message: `${step.do === 'reduce' ? 'Reduce' : 'Cook'} it less than ${Math.round(dry * 60)} min, or put a lid on.`,
        value: dry,
        unit: 'h',
      },
    },
  ];
}

/** A heat that the burner cannot keep up: the time is the burner's, not the heat's. */
function burnerLimits(
  pot: PotState,
  step: { heat: keyof ProcessConstants['heats']; lid: keyof ProcessConstants['lids'] },
  c: ProcessConstants,
): Warning[] {
  if (pot.hob.netKw === null || liquidG(pot.liquid) === 0) return [];
  const wants = c.heats[step.heat].rate * openAreaM2(pot.vessel, levelCm(pot)) * c.lids[step.lid];
  const gives = (pot.hob.netKw * 3600) / c.latentKj;
  if (gives >= wants * WEAK) return [];
  const kw = (wants * c.latentKj) / 3600;
  return [
    {
      code: 'burner-limits',
      message: `A ${step.heat} in the ${pot.vessel.name} would drive off ${wants.toFixed(1)} kg an hour; the ${pot.hob.netKw.toFixed(1)} kW of the ${pot.hob.name} drive off ${gives.toFixed(1)} at most, so it takes longer.`,
      value: wants,
      limit: gives,
      unit: 'kg/h',
      cure: {
        do: 'stronger hob',
        message: `It needs ${kw.toFixed(1)} kW, or two vessels on two hobs.`,
        value: kw,
        unit: 'kW',
      },
    },
  ];
}

function oversalted(pot: PotState, step: PotStep, c: ProcessConstants): Warning[] {
  const salt = saltPct(pot);
  const limit = c.oversaltedPct;
  if (salt <= limit) return [];
  const g = liquidG(pot.liquid);
  const seasoned = step.do === 'season' || step.do === 'season to';
  // Salt that comes out of the pot takes its own mass along: (s − x)/(g − x) = limit.
  const out = (pot.liquid.salt - (limit / 100) * g) / (1 - limit / 100);
  const water = g * (salt / limit - 1);
  return [
    {
      code: 'oversalted',
      message: `Salt ${percent(salt)}: above ${percent(limit)} most tasters call it too salty.`,
      value: salt,
      limit,
      unit: '%',
      cure: seasoned
        ? { do: 'leave salt out', message: `Leave ${kilos(out)} of salt out.`, value: out, unit: 'g' }
        : {
            do: 'loosen',
            message: `${litres(water)} of unsalted stock or water would bring it back, or less reduction.`,
            value: water,
            unit: 'ml',
          },
    },
  ];
}

function tooWetToBrown(pot: PotState): Warning[] {
  const most = piecesG(pot) * 0.25;
  if (pot.liquid.water <= most) return [];
  return [
    {
      code: 'water-stops-browning',
      message: `There are ${litres(pot.liquid.water)} of water with ${kilos(piecesG(pot))} of pieces: water stops browning.`,
      value: pot.liquid.water,
      limit: most,
      unit: 'g',
      cure: {
        do: 'pour the water off',
        message: 'Brown first, then put the liquid in.',
        value: pot.liquid.water,
        unit: 'g',
      },
    },
  ];
}
