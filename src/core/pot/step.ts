import type { Stuff } from '../larder';
import type { Trouble } from '../trouble';
import type { Band, Defat, Heat, Lid, ProcessConstants, Roux, Strainer } from './constants';
import type { Product } from './product';
import type { Hob, Loss, PotState } from './state';
import type { Vessel } from './vessel';

/** Which priced thing an addition came from: `usable:ID`, `trim:ID` or `product:ID`; `free` has no price. */
export type SupplyKey =
  `usable:${string}` | `trim:${string}` | `product:${string}` | `last:${string}` | 'free';

/** Something that can go into a pot: an ingredient, or another recipe's product. */
export type Matter =
  | { readonly is: 'stuff'; readonly supply: SupplyKey; readonly stuff: Stuff }
  | { readonly is: 'product'; readonly supply: SupplyKey; readonly name: string; readonly product: Product };

/**
 * How a joint product shares the cost up to where it parts: a credit at a set value, by weight, or by market value beside what
 * stays in the pot. Money per g.
 */
export type JointCost =
  | { readonly by: 'credit'; readonly perG: number }
  | { readonly by: 'weight' }
  | { readonly by: 'market'; readonly perG: number; readonly restPerG: number };

/** Something that has left a pot for another use. */
export interface Joint {
  readonly name: string;
  readonly product: Product;
  readonly cost: JointCost;
}

/** What a reduction is taken down (or up) to. Volumes at 20 °C, dips read hot, times in h. */
export type ReduceTo =
  | { readonly until: 'share'; readonly value: number }
  | { readonly until: 'ml'; readonly value: number }
  | { readonly until: 'dip'; readonly value: number }
  | { readonly until: 'gelatin'; readonly value: number }
  | { readonly until: 'salt'; readonly value: number }
  | { readonly until: 'body'; readonly value: number }
  | { readonly until: 'hours'; readonly value: number };

export type WaterTo =
  | { readonly by: 'ml'; readonly value: number }
  | { readonly by: 'level'; readonly value: number }
  | { readonly by: 'cover'; readonly value: number };

type Doing =
  | { readonly do: 'add'; readonly what: Matter; readonly g: number }
  | { readonly do: 'deglaze'; readonly what: Matter; readonly g: number }
  | { readonly do: 'to taste'; readonly what: Matter; readonly g: number }
  | {
      readonly do: 'brown';
      readonly vapour: number;
      readonly fatRunOff: number;
      readonly hours: number;
      /** Whether the fat that runs off stays in the pot; else it is poured off, for another use where it has a name. */
      readonly fatKept?: boolean | undefined;
      readonly as?: string | undefined;
      readonly cost?: JointCost | undefined;
    }
  | { readonly do: 'water'; readonly to: WaterTo }
  | { readonly do: 'top up' }
  | { readonly do: 'bring'; readonly celsius: number }
  | {
      readonly do: 'cook';
      readonly heat: Heat;
      readonly hours: number;
      readonly lid: Lid;
      /** Under the layer of its own fat, which slows what boils away. */
      readonly underFat?: boolean | undefined;
    }
  | { readonly do: 'skim'; readonly ml: number; readonly from: 'body' | 'surface' }
  | {
      readonly do: 'strain';
      readonly pressed: boolean;
      readonly through: Strainer;
      /** Ids of what stays in the pot. */
      readonly keep?: readonly string[] | undefined;
    }
  /** A share of what the strainer holds: back into the pot, or a joint product of its own. */
  | {
      readonly do: 'pick';
      readonly share: number;
      /** Id of the one thing picked; everything in the strainer where it is left out. */
      readonly of?: string | undefined;
      readonly as?: string | undefined;
      readonly cost: JointCost;
    }
  /** What the strainer still holds, wet as it is, goes on to another pot. */
  | { readonly do: 'second wash'; readonly as: string; readonly cost: JointCost }
  /** Some of what is in the pot leaves it as a joint product. */
  | {
      readonly do: 'draw off';
      readonly ml: number;
      readonly as: string;
      readonly liquidOnly: boolean;
      readonly cost: JointCost;
    }
  | { readonly do: 'into'; readonly vessel: Vessel; readonly hob: Hob; readonly clingMl?: number | undefined }
  | {
      readonly do: 'defat';
      readonly by: Defat;
      /** The name under which the fat goes on to another use. */
      readonly as?: string | undefined;
      readonly cost?: JointCost | undefined;
    }
  /** Some of the pot goes into another vessel and stands there. */
  | {
      readonly do: 'split';
      readonly part: { readonly by: 'share' | 'ml'; readonly value: number };
      readonly liquidOnly: boolean;
      readonly vessel: Vessel;
      readonly hob: Hob;
    }
  /** What follows is done in a vessel that stands aside; the one at work stands aside for it. */
  | { readonly do: 'turn to'; readonly vessel: Vessel }
  /** What stands aside in a vessel comes back into the pot. */
  | { readonly do: 'combine'; readonly vessel: Vessel }
  | { readonly do: 'reduce'; readonly heat: Heat; readonly lid: Lid; readonly to: ReduceTo }
  | { readonly do: 'thicken'; readonly what: Matter; readonly g: number }
  | { readonly do: 'thicken to'; readonly what: Matter; readonly band: Band }
  | { readonly do: 'roux'; readonly to: Roux; readonly hours: number }
  | { readonly do: 'loosen'; readonly what: Matter; readonly g: number }
  | { readonly do: 'loosen to'; readonly what: Matter; readonly band: Band }
  | { readonly do: 'enrich'; readonly what: Matter; readonly g: number }
  | { readonly do: 'puree'; readonly loss?: number | undefined }
  | { readonly do: 'sieve'; readonly loss?: number | undefined }
  | { readonly do: 'second pass'; readonly share: number }
  | { readonly do: 'chill'; readonly celsius: number; readonly hours?: number | undefined }
  | { readonly do: 'hold'; readonly hours: number; readonly lossPerHour?: number | undefined }
  | { readonly do: 'mount'; readonly what: Matter; readonly g: number }
  | { readonly do: 'season'; readonly what: Matter; readonly g: number }
  | { readonly do: 'season to'; readonly what: Matter; readonly saltPct: number }
  | {
      readonly do: 'portion';
      readonly ml: number;
      readonly overfill: number;
      /** What each portion is packed in, and what one of them weighs. */
      readonly container?:
        { readonly supply: SupplyKey; readonly name: string; readonly g: number } | undefined;
    }
  | { readonly do: 'unread'; readonly said: string; readonly why: Trouble };

/** A step ready to be run: every amount in base units, every name resolved. `hands`: h of active work, where they are told. */
export type PotStep = Doing & { readonly hands?: number | undefined };

export type StepOf<Do extends PotStep['do']> = Extract<PotStep, { do: Do }>;

/** What a step reports besides the state it leaves behind. */
export interface StepReport {
  /** Things that came in, in the order they did. */
  readonly inputs: { readonly supply: SupplyKey; readonly name: string; readonly g: number }[];
  /** What was packed around portions: bought, but no part of what is eaten. */
  readonly packed: { readonly supply: SupplyKey; readonly name: string; readonly g: number }[];
  /**
   * Shares of the pot's liquid that were lost, in order: they take their share of the running book. Below 0: so much of the last
   * loss of that kind came back, money and all.
   */
  readonly shares: { readonly loss: Loss; readonly share: number }[];
  /** Time at the heat itself, h; heating up not counted. */
  heatHours: number;
  /** Time to come up to the heat, h. */
  upHours: number;
  portions?: Portions;
  readonly joints: Joint[];
  /** Hours at the heat after which nothing was left to evaporate, where that came to pass. */
  dryAfterHours?: number | undefined;
}

export interface Portions {
  readonly ml: number;
  /** ml that really leave the ladle for one portion. */
  readonly pouredMl: number;
  readonly whole: number;
  readonly remainderMl: number;
}

/** Runs one step on a pot, in place. Returns the trouble if it cannot be done. */
export type StepRunner<Do extends PotStep['do']> = (
  pot: PotState,
  step: StepOf<Do>,
  constants: ProcessConstants,
  report: StepReport,
) => Trouble | undefined;

export const trouble = (code: string, message: string, value: number, limit: number): Trouble => ({
  code,
  path: '',
  message,
  numbers: { value, limit },
});

/** Figures as sentences carry them. */
export const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 995 ? 2 : 1)} l`;
export const kilos = (g: number): string => (g < 1000 ? `${Math.round(g)} g` : `${(g / 1000).toFixed(2)} kg`);
export const percent = (pct: number): string => `${pct.toFixed(2)} %`;

export const noReport = (): StepReport => ({
  inputs: [],
  packed: [],
  shares: [],
  heatHours: 0,
  upHours: 0,
  joints: [],
});
