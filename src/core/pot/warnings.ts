import type { ProcessConstants } from './constants';
import { kilos, litres, percent } from './figures';
import { liquidG } from './liquid';
import { fries, saltPct, standingMl, type PotState, type Standing } from './state';
import { maxFillMl } from './vessel';

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
    | 'take the fat off first'
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
    | 'no-free-fat'
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

/** What any step may leave behind that should be known, looking no further than the step. */
export const warningsOfAny = (pot: PotState, seasons: boolean, c: ProcessConstants): Warning[] => [
  ...[pot, ...pot.aside].flatMap(overfilled),
  ...oversalted(pot, seasons, c),
];

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

function oversalted(pot: PotState, seasons: boolean, c: ProcessConstants): Warning[] {
  const salt = saltPct(pot);
  const limit = c.oversaltedPct;
  // Salt in a pan of pieces and fat is on the pieces.
  if (salt <= limit || fries(pot)) return [];
  const g = liquidG(pot.liquid);
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
      cure: seasons
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
