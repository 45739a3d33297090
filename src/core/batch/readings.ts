import type { WrittenBatchEvent } from '../kitchen-file';
import {
  levelCm,
  liquidG,
  liquidMl,
  openAreaM2,
  piecesG,
  standingMl,
  trouble,
  volumeAt,
  type PotState,
  type Vessel,
} from '../pot';
import { expansion } from '../quantity';
import type { Trouble } from '../trouble';

/** Readings that say how much is in the pot. */
export type AmountRead = Extract<WrittenBatchEvent, { is: 'dip' | 'litres' | 'kilos' }>;
export const saysHowMuch = (e: WrittenBatchEvent): e is AmountRead =>
  e.is === 'dip' || e.is === 'litres' || e.is === 'kilos';

/** Standard deviations of readings: cm of a dip by what it was read with, shares of jugs and scales, g at least. */
const ERRORS = {
  dipCm: { ruler: 0.2, spoon: 0.5 },
  jug: 0.02,
  scale: 0.005,
  scaleG: 10,
} as const;

/** A reading beside a pot: how much it says there is, how sure that is, and what the pot says, in ml or g of whatever it was read in. */
export interface MeasuredAmount {
  readonly value: number;
  readonly sd: number;
  readonly foretold: number;
  /** How much more the pot would say with a g of water more. */
  readonly perG: number;
}

/** What a reading says of a pot as it should stand at that moment. */
export function measuredAmount(read: AmountRead, pot: PotState): MeasuredAmount {
  switch (read.is) {
    case 'dip': {
      // Hot it stands higher: a pot that has cooled meanwhile is read as it stood then.
      const { vessel } = pot;
      const celsius = read.celsius ?? pot.celsius;
      const level = Math.max(0, vessel.heightCm - read.cm);
      const cm2 = openAreaM2(vessel, Math.min(level, vessel.heightCm)) * 1e4;
      return {
        value: volumeAt(vessel, level),
        sd: cm2 * ERRORS.dipCm[read.with],
        foretold: standingMl({ ...pot, celsius }),
        perG: expansion(celsius),
      };
    }
    case 'litres':
      return {
        value: read.l * 1000,
        sd: read.l * 1000 * ERRORS.jug,
        foretold: liquidMl(pot.liquid),
        perG: 1,
      };
    case 'kilos': {
      const g = read.kg * 1000;
      return {
        value: g,
        sd: Math.max(ERRORS.scaleG, g * ERRORS.scale),
        foretold: liquidG(pot.liquid) + piecesG(pot),
        perG: 1,
      };
    }
  }
}

/** The dip a pot is read at now, cm from the rim. */
export const dipOf = (pot: PotState): number => pot.vessel.heightCm - levelCm(pot);

/** Why a dip cannot be read in a vessel: deeper than it is; undefined where it can. */
export const dipFits = (
  { heightCm, name }: Pick<Vessel, 'heightCm' | 'name'>,
  cm: number,
): Trouble | undefined =>
  cm <= heightCm
    ? undefined
    : trouble(
        'dip-below-base',
        `${cm} cm below the rim would be under the base: ${name} is ${heightCm} cm high inside.`,
        cm,
        heightCm,
      );
