import type { SupplyKey } from '../supply';
import { liquidG } from './liquid';
import type { Loss } from './losses';
import type { Product } from './product';
import type { PotState } from './state';

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

/** Something that came in, or was packed around what goes out. */
export interface JointTaken {
  readonly supply: SupplyKey;
  readonly name: string;
  readonly g: number;
}

export interface Portions {
  readonly ml: number;
  /** ml that really leave the ladle for one portion. */
  readonly pouredMl: number;
  readonly whole: number;
  readonly remainderMl: number;
}

/** What a step reports besides the state it leaves behind. */
export interface StepReport {
  /** Things that came in, in the order they did. */
  readonly inputs: JointTaken[];
  /** What was packed around portions: bought, but no part of what is eaten. */
  readonly packed: JointTaken[];
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
  /** Whether what went on the heat was pieces in fat, or all but dry: that fries, and boils nothing dry. */
  fries?: boolean | undefined;
  /** % of held fat, where free fat was to be taken off and there was none. */
  onlyHeldFatPct?: number | undefined;
}

export const noReport = (): StepReport => ({
  inputs: [],
  packed: [],
  shares: [],
  heatHours: 0,
  upHours: 0,
  joints: [],
});

/**
 * Books that a share of the liquid at work is about to be lost, as a share of the liquid in all vessels: the money is
 * spread over all of it. To be called before the liquid goes.
 */
export function bookLoss(s: PotState, report: StepReport, loss: Loss, share: number): void {
  let aside = 0;
  for (const other of s.aside) aside += liquidG(other.liquid);
  const here = liquidG(s.liquid);
  report.shares.push({ loss, share: aside > 0 ? (share * here) / (here + aside) : share });
}
