import { liquidG, liquidMl } from '../liquid';
import { piecesMl, saltPct, standingMl } from '../state';
import { kilos, litres, percent, trouble, type Matter, type StepRunner } from '../step';
import type { Trouble } from '../../trouble';
import { loseThroughWall } from '../heat';
import { LONGEST_H } from './cook';
import { putIn } from './fill';

/** Butter and flour hold about a sixth of water; twice that is no roux any more. */
const WET = 0.35;

export const nameOf = (what: Matter): string => (what.is === 'stuff' ? what.stuff.name : what.name);

/** Refuses what would stay a piece, and nothing at all. */
export function mustJoin(verb: string, what: Matter, g: number): Trouble | undefined {
  if (what.is === 'stuff' && what.stuff.role === 'piece')
    return trouble(
      'stays-a-piece',
      `${verb} with ${nameOf(what)}: it stays a piece and would not join the liquid.`,
      0,
      0,
    );
  if (!(g > 0))
    return trouble('nothing-added', `${verb} needs more than 0 g; ${kilos(g)} was asked for.`, g, 0);
  return undefined;
}

/** Roux, kneaded butter, slurry: joins the liquid, its fat held and its flour or starch binding. */
export const thicken: StepRunner<'thicken'> = (pot, step, c, report) => {
  const cannot = mustJoin('Thicken', step.what, step.g);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Thicken: there is no liquid in the pot.', 0, 0);
  putIn(pot, step.what, step.g, c, report, true);
  return undefined;
};

/** Butter whisked in off the heat: its fat is held and does not float. */
export const mount: StepRunner<'mount'> = (pot, step, c, report) => {
  const cannot = mustJoin('Mount', step.what, step.g);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Mount: there is no liquid in the pot.', 0, 0);
  putIn(pot, step.what, step.g, c, report, true);
  return undefined;
};

/** Cream, yolk, cheese: joins the liquid, its fat held. */
export const enrich: StepRunner<'enrich'> = (pot, step, c, report) => {
  const cannot = mustJoin('Enrich', step.what, step.g);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Enrich: there is no liquid in the pot.', 0, 0);
  putIn(pot, step.what, step.g, c, report, true);
  return undefined;
};

/** Milk, stock, cooking water: thins what is there. */
export const loosen: StepRunner<'loosen'> = (pot, step, c, report) => {
  const cannot = mustJoin('Loosen', step.what, step.g);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Loosen: there is no liquid in the pot.', 0, 0);
  putIn(pot, step.what, step.g, c, report);
  return undefined;
};

/** Flour cooked in its fat, or kneaded with it cold: the browner, the less of its power is left. */
export const roux: StepRunner<'roux'> = (pot, step, c) => {
  if (!(pot.liquid.binding > 0))
    return trouble('no-flour', `Roux, ${step.to}: there is no flour or starch in the pot.`, 0, 0);
  const water = pot.liquid.water;
  const most = liquidG(pot.liquid) * WET;
  if (water > most)
    return trouble(
      'too-wet-for-roux',
      `Roux, ${step.to}: there are ${kilos(water)} of water in ${kilos(liquidG(pot.liquid))}: flour is cooked in fat, before the liquid goes in.`,
      water,
      most,
    );
  if (!(step.hours >= 0 && step.hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `Roux: ${step.hours.toFixed(1)} h cannot be: from 0 to ${LONGEST_H} h.`,
      step.hours,
      LONGEST_H,
    );
  pot.liquid.binding *= c.roux[step.to];
  if (step.to !== 'kneaded') {
    pot.hobHours += step.hours;
    loseThroughWall(pot, c, step.hours);
  }
  pot.elapsedHours += step.hours;
  return undefined;
};

export const season: StepRunner<'season'> = (pot, step, c, report) => {
  const cannot = mustJoin('Season', step.what, step.g);
  if (cannot) return cannot;
  putIn(pot, step.what, step.g, c, report);
  return undefined;
};

/** Seasons to a salt share of the liquid's mass; the seasoning's own mass counts. */
export const seasonTo: StepRunner<'season to'> = (pot, step, c, report) => {
  const mass = liquidG(pot.liquid);
  const there = saltPct(pot);
  const goal = step.saltPct / 100;
  if (mass === 0) return trouble('empty', 'Season: there is no liquid in the pot.', 0, 0);
  const saltiness = saltShare(step.what);
  if (saltiness <= goal)
    return trouble(
      'not-salty-enough',
      `Season to ${percent(step.saltPct)} with ${nameOf(step.what)}: it holds only ${percent(saltiness * 100)} salt itself.`,
      step.saltPct,
      saltiness * 100,
    );
  if (step.saltPct < there)
    return trouble(
      'already-saltier',
      `Season to ${percent(step.saltPct)} salt: the pot already holds ${percent(there)}.`,
      step.saltPct,
      there,
    );
  const g = (goal * mass - pot.liquid.salt) / (saltiness - goal);
  if (g > 0) putIn(pot, step.what, g, c, report);
  return undefined;
};

const saltShare = (what: Matter): number =>
  what.is === 'stuff' ? what.stuff.parts.salt : what.product.liquid.salt / what.product.g;

/** No ladle pours more than this share beyond what it is meant to. */
const MOST_OVER = 1;

/** Portions what is in the pot, pieces and all; a remainder too small for a portion goes back to store. */
export const portion: StepRunner<'portion'> = (pot, step, _c, report) => {
  const there = liquidMl(pot.liquid) + piecesMl(pot);
  const poured = step.ml * (1 + step.overfill);
  if (!(step.ml > 0))
    return trouble(
      'portion-out-of-range',
      `A portion of ${step.ml.toFixed(0)} ml cannot be: it is above 0 ml.`,
      step.ml,
      0,
    );
  if (!(step.overfill >= 0 && step.overfill <= MOST_OVER))
    return trouble(
      'overfill-out-of-range',
      `Portion: ${percent(step.overfill * 100)} over cannot be: from 0 to ${MOST_OVER * 100} %.`,
      step.overfill * 100,
      MOST_OVER * 100,
    );
  if (poured > there)
    return trouble(
      'portion-too-large',
      `A portion of ${poured.toFixed(0)} ml: there are only ${there.toFixed(0)} ml in the pot.`,
      poured,
      there,
    );
  if (pot.aside.length > 0)
    return trouble(
      'stands-aside',
      `Portion: ${pot.aside.map((s) => `${litres(standingMl(s))} stand in the ${s.vessel.name}`).join(' and ')}: combine them first.`,
      pot.aside.length,
      0,
    );
  // A hair of rounding must not swallow the last whole portion.
  const whole = Math.floor(there / poured + 1e-9);
  report.portions = {
    ml: step.ml,
    pouredMl: poured,
    whole,
    remainderMl: Math.max(0, there - whole * poured),
  };
  if (step.container) report.packed.push({ ...step.container, g: step.container.g * whole });
  return undefined;
};
