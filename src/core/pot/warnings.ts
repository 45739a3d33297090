import type { ProcessConstants } from './constants';
import { kilos, litres, percent } from './figures';
import { liquidG, liquidMl, NEVER } from './liquid';
import {
  bindingGPerL,
  fries,
  heldFatShare,
  saltPct,
  standingMl,
  type PotState,
  type StandLevel,
} from './state';
import { maxFillMl } from './vessel';
import * as texts from './texts';

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
    | 'return'
    | 'let it cool'
    | 'cool faster'
    | 'whisk water in'
    | 'take the fat off first'
    | 'stronger hob';
  readonly message: string;
  readonly step?: number | undefined;
  readonly value: number;
  readonly unit: Unit;
}

/** How mounted butter is called among what is delicate. */
export const MOUNTED = 'mounted butter';
/** Flour equivalent, g per litre, from which it is a roux or a paste. */
const ROUX_G_PER_L = 150;

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
    | 'stands-aside'
    | 'curdles'
    | 'splits'
    | 'cools-slowly';
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

function overfilled(s: StandLevel): Warning[] {
  const standing = standingMl(s);
  const most = maxFillMl(s.vessel);
  if (standing <= most * (1 + 1e-9)) return [];
  return [
    {
      code: 'over-max-fill',
      message: texts.standsAboveWhichShould(
        litres(standing),
        litres(standing - most),
        litres(most),
        s.vessel.name,
      ),
      value: standing,
      limit: most,
      unit: 'ml',
      cure: {
        do: 'draw off',
        message: texts.putLessOrTake(litres(standing - most)),
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
      message: texts.saltAboveMostTasters(percent(salt), percent(limit)),
      value: salt,
      limit,
      unit: '%',
      cure: seasons
        ? { do: 'leave salt out', message: texts.leaveSaltOut(kilos(out)), value: out, unit: 'g' }
        : {
            do: 'loosen',
            message: texts.unsaltedStockOrWater(litres(water)),
            value: water,
            unit: 'ml',
          },
    },
  ];
}

/** How a liquid stood before a step: what is told once must be new. */
export interface Delicacy {
  readonly celsius: number;
  readonly curdlesAt: number;
  readonly heldShare: number;
}
export const delicacyOf = (pot: PotState): Delicacy => ({
  celsius: pot.celsius,
  curdlesAt: pot.liquid.curdlesAt,
  heldShare: heldFatShare(pot),
});

/**
 * What a step has curdled or split: something delicate made hotter than it bears where no starch guards it, or fat held closer than
 * it can be. Told once: what has curdled does not curdle again.
 */
export function spoiled(pot: PotState, before: Delicacy, heats: boolean, c: ProcessConstants): Warning[] {
  return [...curdled(pot, before, heats, c), ...closeToSplitting(pot, before, c)];
}

function curdled(pot: PotState, before: Delicacy, heats: boolean, c: ProcessConstants): Warning[] {
  const { liquid, celsius } = pot;
  const butter = liquid.curdler === MOUNTED;
  const limit = butter ? liquid.curdlesAt : toleratedCelsius(pot, c);
  // Butter is mounted off the heat, whatever the pot was at: only heat after that counts.
  const now = heats || celsius > before.celsius + 1 || (!butter && liquid.curdlesAt < before.curdlesAt);
  if (celsius <= limit || !now) return [];
  liquid.curdlesAt = NEVER;
  return [
    {
      code: butter ? 'splits' : 'curdles',
      message: butter
        ? texts.butterMountedIntoLets(limit.toFixed(0), celsius.toFixed(0))
        : texts.curdlesAboveCPot(liquid.curdler, limit.toFixed(0), celsius.toFixed(0)),
      value: celsius,
      limit,
      unit: '°C',
      cure: {
        do: 'let it cool',
        message: butter
          ? texts.mountLastKeepBelow
          : texts.stirOffHeatBelow(limit.toFixed(0), c.delicate.boilGPerL.toFixed(0)),
        value: limit,
        unit: '°C',
      },
    },
  ];
}

/** Share of starch in plain flour, and g of flour that thicken like a gram of yolk (the larder's own figures). */
const STARCH_OF_FLOUR = 0.72;
const FLOUR_PER_YOLK = 0.24;
/** Share of yolk in a liquid up to which it counts as thinned, and from which as thick: twelve in half a litre lie between. */
const THIN_YOLK = 0.2;
const THICK_YOLK = 0.5;

/**
 * °C that the most delicate thing in a liquid bears. Only starch guards it: some of it to about 90 °C, as much as in 40 g of flour
 * a litre through a boil. What yolk itself thickens guards nothing; much of it sets sooner than a little (docs/model.md, "What
 * curdles or splits").
 */
function toleratedCelsius({ liquid }: PotState, { delicate }: ProcessConstants): number {
  const ml = liquidMl(liquid);
  if (liquid.curdlesAt === NEVER || ml <= 0) return liquid.curdlesAt;
  const flour = liquid.starch / STARCH_OF_FLOUR;
  const flourGPerL = (flour / ml) * 1000;
  if (flourGPerL >= delicate.boilGPerL) return NEVER;
  if (flourGPerL >= delicate.guardGPerL) return Math.max(liquid.curdlesAt, delicate.guardedC);
  const yolk = Math.max(0, liquid.binding - flour) / FLOUR_PER_YOLK / liquidG(liquid);
  const thick = Math.min(1, Math.max(0, (yolk - THIN_YOLK) / (THICK_YOLK - THIN_YOLK)));
  return Math.min(liquid.curdlesAt, liquid.curdlesAt + (delicate.thickYolkC - liquid.curdlesAt) * thick);
}

const whole = (share: number): string => `${(share * 100).toFixed(0)} %`;

function closeToSplitting(pot: PotState, before: Delicacy, c: ProcessConstants): Warning[] {
  const share = heldFatShare(pot);
  const limit = c.delicate.heldWarns;
  // Flour in fat is a roux and no sauce.
  if (share <= limit || before.heldShare > limit || bindingGPerL(pot) > ROUX_G_PER_L) return [];
  const ml = liquidMl(pot.liquid) * (share / limit - 1);
  return [
    {
      code: 'splits',
      message: texts.volumeFatHeldAbove(whole(share), whole(limit), whole(c.held.splitsAt)),
      value: share * 100,
      limit: limit * 100,
      unit: '%',
      cure: {
        do: 'whisk water in',
        message: texts.whiskMlWaterOr(Math.ceil(ml)),
        value: ml,
        unit: 'ml',
      },
    },
  ];
}
