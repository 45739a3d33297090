import type { Heat, Lid, ProcessConstants } from './constants';
import { crossing } from './root';
import { liquidG, type EthanolSource, type Liquid } from './liquid';
import { ownPassing, passAll, passing, type OwnPassing, type Passing } from './piece';
import { becomePot, copyForHeat, levelCm, piecesG, type PotState } from './state';
import { boilsIn, openAreaM2, wettedAreaM2, type Vessel } from './vessel';

/** Steps of at most a minute (docs/model.md, "Evaporation"), but for runs that say themselves how coarse theirs may be. */
export const MINUTE_H = 1 / 60;
const stepOf = (c: ProcessConstants): number => c.stepH ?? MINUTE_H;

/** The longest a single step may stay on the heat, h: a week. */
export const LONGEST_H = 168;

/** How a pot stands on the heat. `rate` is kg per m² and hour open, `lid` the share that gets past it. */
export interface Fire {
  readonly rate: number;
  readonly celsius: number;
  readonly lid: number;
}

/** The fire under a pot at a heat with a lid: by the table, or as its vessel has taught. */
export function fireOf(c: ProcessConstants, heat: Heat, lid: Lid, vessel: Pick<Vessel, 'boils'>): Fire {
  const { rate, celsius } = c.heats[heat];
  return { rate: rate * (boilsIn(vessel, heat, lid)?.times ?? 1), celsius, lid: c.lids[lid] };
}

/** Share of an addition's ethanol left after some minutes at the heat, from the table, linear between. */
export function ethanolLeftByMinutes(c: ProcessConstants, minutes: number): number {
  let [m0, s0] = c.ethanolByMinutes[0] as readonly [number, number];
  for (const [m1, s1] of c.ethanolByMinutes) {
    if (minutes <= m1) return m1 === m0 ? s1 : s0 + ((s1 - s0) * (minutes - m0)) / (m1 - m0);
    [m0, s0] = [m1, s1];
  }
  return s0;
}

/**
 * Lets the pot stand on the heat for at most a minute: pools pass, then water and ethanol leave.
 *
 * Evaporation is rate × open area × lid × hours, never more than the hob can drive off and never
 * more than is there. Ethanol's own loss is part of it, or all of it where the lid holds back less.
 *
 * @param by what passes in `hours`, made once for many minutes
 */
export function heatFor(
  s: PotState,
  c: ProcessConstants,
  fire: Fire,
  { hours, by, own, fades }: HeatStretch,
): void {
  const { liquid } = s;
  passAll(s.pieces, liquid, by, own);
  fadeGelatin(liquid, fades);
  const mass = liquidG(liquid);
  const level = levelCm(s);
  if (mass > 0) {
    const draught = s.hob.draught ? c.factors.draught : 1;
    let driven = fire.rate * draught * openAreaM2(s.vessel, level) * fire.lid * hours * 1000;
    if (s.hob.netKw !== null) driven = Math.min(driven, ((s.hob.netKw * hours * 3600) / c.latentKj) * 1000);
    let ethanolThere = 0;
    for (const source of liquid.sources) ethanolThere += source.left;
    // What boils dry loses all of its alcohol too: the table is of a liquid that still stands.
    const dry = driven >= liquid.water + ethanolThere;
    driven = Math.min(driven, liquid.water + ethanolThere);
    let ethanolGone = 0;
    const left = liquid.sources.map((source) => {
      const then = dry ? 0 : leftAfter(source, c, hours, 1 - driven / mass);
      ethanolGone += source.left - then;
      return then;
    });
    // What the vapour takes beyond the ethanol is water, as far as there is any.
    const water = Math.min(Math.max(0, driven - ethanolGone), liquid.water);
    for (const [i, source] of liquid.sources.entries()) {
      source.left = left[i]!;
      source.minutes += hours * 60;
      source.phi *= 1 - (water + ethanolGone) / mass;
    }
    liquid.water -= water;
    s.lost.evaporated += water + ethanolGone;
    s.netKj += ((water + ethanolGone) / 1000) * c.latentKj;
  }
  loseThroughWall(s, c, hours, level);
  s.hobHours += hours;
  s.elapsedHours += hours;
}

function leftAfter(source: EthanolSource, c: ProcessConstants, hours: number, phiStep: number): number {
  const byTime = ethanolLeftByMinutes(c, source.minutes + hours * 60);
  const byBoiling = Math.max(0, source.phi * phiStep) ** c.boilOffExponent;
  return Math.min(source.left, source.added * Math.min(byTime, byBoiling));
}

/** Books what a hot vessel gives to the air through its wetted wall and base: kW per m² of it. */
export function loseThroughWall(s: PotState, c: ProcessConstants, hours: number, level = levelCm(s)): void {
  s.netKj += c.wallLossKwPerM2 * wettedAreaM2(s.vessel, level) * hours * 3600;
}

/** What passes in one stretch of time at a temperature, for all pieces then in the pot. */
export interface HeatStretch {
  readonly hours: number;
  readonly by: Passing;
  /** Of each piece its own, in the pot's order. */
  readonly own: readonly OwnPassing[];
  /** Share of the dissolved gelatin that is cut too short to set. */
  readonly fades: number;
}

/** Prepares what passes in one stretch of `hours`; made once for many. */
export const stretch = (s: PotState, c: ProcessConstants, hours: number, celsius: number): HeatStretch => ({
  hours,
  by: passing(hours, c.halfLifeH),
  own: s.pieces.map((p) => ownPassing(p, hours, celsius, c.halfLifeH)),
  fades: 1 - 2 ** (-hours / gelatinHalfLife(c, celsius)),
});

/** h in which half of the dissolved gelatin has lost its hold: twice as long for every 10 °C less (docs/model.md, "Passing"). */
const gelatinHalfLife = (c: ProcessConstants, celsius: number): number =>
  c.gelatinFade.halfLifeH * 2 ** ((c.gelatinFade.celsius - celsius) / 10);

/** Gelatin that long heat cuts too short stays in the liquid, but no longer sets or coats. */
function fadeGelatin(liquid: Liquid, share: number): void {
  const g = liquid.gelatin * share;
  liquid.gelatin -= g;
  liquid.rest += g;
}

/** Lets the pot stand for some hours off the fire: what passes between pieces and liquid passes on. */
export function standFor(s: PotState, c: ProcessConstants, hours: number, celsius: number): void {
  const { by, own, fades } = stretch(s, c, hours, celsius);
  passAll(s.pieces, s.liquid, by, own);
  fadeGelatin(s.liquid, fades);
}

const canBoil = (s: PotState): boolean =>
  s.liquid.water > 1e-9 || s.liquid.sources.some((e) => e.left > 1e-9);

/**
 * Heats for any time, minute by minute; the last stretch ends exactly.
 * @returns the hours after which nothing was left to evaporate, if that came to pass
 */
export function heatForHours(
  s: PotState,
  c: ProcessConstants,
  fire: Fire,
  hours: number,
): number | undefined {
  const step = stepOf(c);
  const whole = Math.floor(hours / step + 1e-9);
  const minute = whole > 0 ? stretch(s, c, step, fire.celsius) : undefined;
  let wet = canBoil(s);
  let dryAfter: number | undefined;
  for (let i = 0; minute && i < whole; i += 1) {
    heatFor(s, c, fire, minute);
    if (!wet || canBoil(s)) continue;
    wet = false;
    dryAfter = (i + 1) * step;
  }
  const left = hours - whole * step;
  if (left > 1e-12) {
    heatFor(s, c, fire, stretch(s, c, left, fire.celsius));
    if (wet && !canBoil(s)) dryAfter = hours;
  }
  return dryAfter;
}

/**
 * Brings the pot to a temperature: Σ m·c·ΔT / net kW, in hours of hob. Cooling down takes none here.
 * @returns the hours it took
 */
export function bringTo(s: PotState, c: ProcessConstants, celsius: number): number {
  const rise = Math.max(0, celsius - s.celsius);
  const kj = ((liquidG(s.liquid) * c.heatCapacity.liquid + piecesG(s) * c.heatCapacity.pieces) / 1000) * rise;
  const hours = s.hob.netKw === null ? 0 : kj / s.hob.netKw / 3600;
  s.netKj += kj;
  s.celsius = celsius;
  s.hobHours += hours;
  s.elapsedHours += hours;
  return hours;
}

/**
 * Heats minute by minute until something has been reached, ending inside the minute in which it is.
 * @param left how far it still is: above 0 until it is reached, and never rising
 * @returns the hours it took; undefined when the pot boils dry or a week passes first
 */
export function heatUntil(
  pot: PotState,
  c: ProcessConstants,
  fire: Fire,
  left: (pot: PotState) => number,
): number | undefined {
  const step = stepOf(c);
  const minute = stretch(pot, c, step, fire.celsius);
  const oneMinute = (of: PotState): void => heatFor(of, c, fire, minute);
  let earlier = pot;
  for (let minutes = 0; minutes < LONGEST_H / step; minutes += 1) {
    // The state before the minute in which it is reached is wanted once: copied now and then, and gone through again from there.
    if (minutes % COPIED_EVERY === 0) earlier = copyForHeat(pot);
    const evaporated = pot.lost.evaporated;
    oneMinute(pot);
    if (left(pot) <= 0) {
      for (let again = minutes % COPIED_EVERY; again > 0; again -= 1) oneMinute(earlier);
      const part = withinMinute(earlier, c, fire, left);
      if (part) becomePot(pot, part.pot);
      return minutes * step + (part?.hours ?? step);
    }
    if (pot.lost.evaporated - evaporated < 1e-9) return undefined;
  }
  return undefined;
}

/** Minutes after which a pot that heats until something is reached is copied. */
const COPIED_EVERY = 16;

/** How near what is to be reached is near enough where steps are coarse, as a share of how far it was. */
const COARSE = 1e-6;

/** The part of a minute after which it is reached; undefined where that cannot be told from the whole minute. */
function withinMinute(
  before: PotState,
  c: ProcessConstants,
  fire: Fire,
  left: (pot: PotState) => number,
): { pot: PotState; hours: number } | undefined {
  const after = (hours: number): PotState => {
    const tried = copyForHeat(before);
    heatFor(tried, c, fire, stretch(tried, c, hours, fire.celsius));
    return tried;
  };
  // To the last bit, but where steps are coarse: those are off by more than that anyway.
  const close = c.stepH === undefined ? 0 : COARSE * Math.abs(left(before));
  const at = crossing((hours) => -left(after(hours)), 0, stepOf(c), close);
  if (!at.found) return undefined;
  const hours = c.stepH === undefined ? at.above : at.below;
  return { pot: after(hours), hours };
}
