import { gapsOf, type KitchenCosting } from '../costing';

/** One row of an answer to *why*: a figure, the words for how it came about, and the rows behind it. */
export interface Why {
  readonly title: string;
  /** The figure, in currency; null where it is not known. */
  readonly money?: number | null | undefined;
  /** What the money is per: `a litre`, `a kilo`, `in the pot`, `on the plate`, `a pack`. */
  readonly per?: string | undefined;
  readonly detail?: string | undefined;
  readonly estimate?: boolean | undefined;
  /** Where the figure can be changed: `recipe:ID`, `ingredient:ID`, `plate:ID`, or the tests of an ingredient, `tests:ID`. */
  readonly goTo?: string | undefined;
  readonly rows: readonly Why[];
}

export type ShowMoney = (value: number) => string;

export const kg = (g: number): string =>
  g < 1000 ? `${g < 10 ? g.toFixed(1) : Math.round(g)} g` : `${(g / 1000).toFixed(2)} kg`;
export const litre = (ml: number): string =>
  ml < 1000 ? `${Math.round(ml)} ml` : `${(ml / 1000).toFixed(1)} l`;
export const pct = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** Asks *why* of what stands behind a figure. */
export type AskWhy = (key: string) => Why;

export const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** Why there is no figure, a row each. */
export const missing = (costing: KitchenCosting, key: string): Why[] =>
  gapsOf(costing, key).map((t) => ({ title: t.message, rows: [] }));
