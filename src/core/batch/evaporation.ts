import { REFERENCE } from '../reference';
import {
  boilsIn,
  bringTo,
  copyPot,
  fireOf,
  heatForHours,
  type Fire,
  type Heat,
  type Lid,
  type PotState,
  type ProcessConstants,
  type Vessel,
} from '../pot';
import type { PotDoing } from '../verbs';
import { measuredAmount, type AmountRead } from './readings';

/** Steps that stand on the heat for as long as somebody lets them. */
export type OnHeat = Extract<PotDoing, { do: 'cook' | 'reduce' }>;
export const isOnHeat = (step: { readonly do: string }): step is OnHeat =>
  step.do === 'cook' || step.do === 'reduce';

/** What is believed of how fast a pot boils away: the logarithm of so many times what the model says, its middle and how far it scatters. */
export interface Belief {
  readonly mu: number;
  readonly sd: number;
}

/** So many times what the model says, and what that weighs; weights add up to 1. */
export type Speeds = readonly { readonly times: number; readonly weight: number }[];

/** Speeds that are tried out, and how far out they lie, in standard deviations. */
const POINTS = 13;
const REACH = 2.6;
/** 90 % of what a table's range holds lie between its ends. */
const SD_OF_RANGE = 2 * 1.645;
/** Nobody knows a flame to better than this. */
const LEAST_SD = 0.004;
/** A table that says nothing of how a heat scatters is not trusted further than this. */
const LEAST_SPREAD = 0.05;

const EVAPORATION: Readonly<Record<Heat, string>> = {
  'bare simmer': 'evap_bare_simmer',
  simmer: 'evap_simmer',
  'brisk boil': 'evap_brisk_boil',
  'hard boil': 'evap_hard_boil',
  'wide pan': 'evap_wide_pan_reduction',
};
const LID: Readonly<Partial<Record<Lid, string>>> = {
  ajar: 'lid_factor_ajar',
  on: 'lid_factor_closed',
  paper: 'lid_factor_cartouche',
};

/**
 * How far evaporation at a heat under a lid scatters, as the standard deviation of its logarithm: what the vessel’s own batches have
 * taught, else the ranges of the table, taken as log-normal.
 */
export function spreadOf(heat: Heat, lid: Lid, vessel?: Pick<Vessel, 'boils'>): number {
  const own = vessel && boilsIn(vessel, heat, lid);
  if (own) return Math.max(LEAST_SPREAD, own.sd);
  const of = (key: string | undefined): number => {
    const row = key === undefined ? undefined : REFERENCE.get(key);
    return row && row.low > 0 ? Math.log(row.high / row.low) / SD_OF_RANGE : 0;
  };
  return Math.max(LEAST_SPREAD, Math.hypot(of(EVAPORATION[heat]), of(LID[lid])));
}

/**
 * Speeds that stand for a belief.
 * @param near where they lie, if not where the belief does: what readings have made likely
 */
export function speedsOf(belief: Belief, near: Belief = belief): Speeds {
  const { mu, sd } = near;
  const wide = Math.max(sd, LEAST_SD);
  const logs = Array.from({ length: POINTS }, (_, i) => mu + ((i / (POINTS - 1)) * 2 - 1) * REACH * wide);
  const weights = logs.map((x) => Math.exp(-0.5 * ((x - belief.mu) / belief.sd) ** 2));
  const sum = weights.reduce((a, b) => a + b, 0);
  return logs.map((x, i) => ({ times: Math.exp(x), weight: (weights[i] ?? 0) / sum }));
}

/** The belief that weighted speeds come to. */
export function beliefOf(speeds: Speeds): Belief {
  let [mu, square] = [0, 0];
  for (const { times, weight } of speeds) {
    mu += weight * Math.log(times);
    square += weight * Math.log(times) ** 2;
  }
  return { mu, sd: Math.max(LEAST_SD, Math.sqrt(Math.max(0, square - mu * mu))) };
}

/** The constants of a pot that boils away so many times as fast. */
export const boiling = (c: ProcessConstants, heat: Heat, times: number): ProcessConstants => ({
  ...c,
  heats: { ...c.heats, [heat]: { ...c.heats[heat], rate: c.heats[heat].rate * times } },
});

const fireUnder = (c: ProcessConstants, step: OnHeat, vessel: Vessel): Fire => {
  const open = fireOf(c, step.heat, step.lid, vessel);
  return 'underFat' in step && step.underFat ? { ...open, rate: open.rate * c.factors.fatLayer } : open;
};

/**
 * A pot at some moments after it was put on the heat, or left there.
 * @param hours since then, rising
 */
export function onHeat(
  pot: PotState,
  c: ProcessConstants,
  step: OnHeat,
  hours: readonly number[],
): { readonly at: readonly PotState[]; readonly upHours: number } {
  const fire = fireUnder(c, step, pot.vessel);
  const from = pot.celsius;
  const hot = copyPot(pot);
  const upHours = bringTo(hot, c, Math.max(fire.celsius, from));
  let gone = 0;
  const at = hours.map((h) => {
    if (h < upHours) {
      const warming = copyPot(pot);
      warming.celsius = from + (hot.celsius - from) * (h / upHours);
      warming.elapsedHours += h;
      warming.hobHours += h;
      return warming;
    }
    heatForHours(hot, c, fire, h - upHours - gone);
    gone = h - upHours;
    return copyPot(hot);
  });
  return { at, upHours };
}

/** What speeds weigh after some readings, and by how much the pot then holds more or less water than foretold, g, at each of them. */
export interface SpeedPosterior {
  readonly speeds: Speeds;
  readonly offG: readonly number[];
  readonly offSd: number;
}

/**
 * What readings of a stretch on the heat say of how fast it boils away. How much was in the pot when it began is not known for sure
 * either: for each speed the offset that fits best is found in closed form (a normal prior and normal errors), and the speed is
 * weighed by how likely its readings then are.
 * @param told of each speed, the pot as it would stand at each reading
 * @param startSd how far from the model the litres were when it began, g
 */
export function learnSpeed(
  speeds: Speeds,
  reads: readonly AmountRead[],
  told: readonly (readonly PotState[])[],
  startSd: number,
): SpeedPosterior {
  const prior = 1 / Math.max(1e-6, startSd) ** 2;
  let precision = prior;
  const points = speeds.map(({ weight }, k) => {
    let [p, pull, misfit] = [prior, 0, 0];
    for (const [j, read] of reads.entries()) {
      const { value, sd, foretold, perG } = measuredAmount(read, told[k]?.[j] as PotState);
      p += (perG / sd) ** 2;
      pull += (perG * (value - foretold)) / sd ** 2;
      misfit += ((value - foretold) / sd) ** 2;
    }
    precision = p;
    const off = pull / p;
    return { off, log: Math.log(weight) - 0.5 * (misfit - p * off * off + Math.log(p / prior)) };
  });
  const most = Math.max(...points.map((x) => x.log));
  const weights = points.map((x) => Math.exp(x.log - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return {
    speeds: speeds.map(({ times }, k) => ({ times, weight: (weights[k] ?? 0) / sum })),
    offG: points.map((x) => x.off),
    offSd: 1 / Math.sqrt(precision),
  };
}

/** The value below which a share of weighted values lies, straight between two of them. */
export function weighted(
  values: readonly { readonly value: number; readonly weight: number }[],
  share: number,
): number {
  const sorted = values.filter((v) => v.weight > 0).sort((a, b) => a.value - b.value);
  const all = sorted.reduce((sum, v) => sum + v.weight, 0);
  let below = 0;
  let last: { at: number; value: number } | undefined;
  for (const { value, weight } of sorted) {
    // Each value stands in the middle of its weight.
    const at = (below + weight / 2) / all;
    if (at >= share) {
      if (!last) return value;
      return last.value + ((share - last.at) / (at - last.at)) * (value - last.value);
    }
    last = { at, value };
    below += weight;
  }
  return last?.value ?? NaN;
}
