import { unitOf } from './units';
import * as texts from './texts';

/** What a house reads amounts in. They are worked out and kept in the same grams and millilitres everywhere. */
export const SHOWN_IN = ['metric', 'us', 'imperial'] as const;
export type ShownIn = (typeof SHOWN_IN)[number];

interface Step {
  /** Shown so from this amount on, g or ml. */
  readonly from: number;
  /** A unit of the table of units, and how it is written on the screen. */
  readonly unit: string;
  readonly says: string;
  readonly digits: number;
}

/** From the large to the small: the first that an amount reaches is the one it is shown in. */
const STEPS: Readonly<Record<'mass' | 'volume', Readonly<Record<ShownIn, readonly Step[]>>>> = {
  volume: {
    metric: [
      { from: 995, unit: 'l', says: 'l', digits: 1 },
      { from: 0, unit: 'ml', says: 'ml', digits: 0 },
    ],
    us: [
      { from: 940, unit: 'us quart', says: texts.usQt, digits: 1 },
      { from: 0, unit: 'us fl oz', says: texts.usFlOz, digits: 1 },
    ],
    imperial: [
      { from: 565, unit: 'imp pint', says: texts.impPt, digits: 1 },
      { from: 0, unit: 'imp fl oz', says: texts.impFlOz, digits: 1 },
    ],
  },
  mass: {
    metric: [
      { from: 995, unit: 'kg', says: 'kg', digits: 2 },
      { from: 0, unit: 'g', says: 'g', digits: 0 },
    ],
    us: [
      { from: 450, unit: 'lb', says: 'lb', digits: 2 },
      { from: 0, unit: 'oz', says: 'oz', digits: 1 },
    ],
    imperial: [
      { from: 450, unit: 'lb', says: 'lb', digits: 2 },
      { from: 0, unit: 'oz', says: 'oz', digits: 1 },
    ],
  },
};

/**
 * An amount as a house reads it.
 * @param amount g or ml
 * @returns how many of which unit, to be written with so many digits
 */
export function shownAs(
  kind: 'mass' | 'volume',
  amount: number,
  house: ShownIn,
): { readonly value: number; readonly says: string; readonly digits: number } {
  const steps = STEPS[kind][house];
  const step = steps.find((s) => Math.abs(amount) >= s.from) ?? (steps.at(-1) as Step);
  const factor = unitOf(step.unit)?.factor ?? 1;
  return { value: amount / factor, says: step.says, digits: step.digits };
}
