import { readAmountOf, unitOf, writeAmount, type Manner } from '../quantity';
import type { WrittenStep } from './table';

/** Fields of a written step that say how much, and grow with the batch; what a reduction is taken down to only where that is a volume. */
const growing = (step: WrittenStep): readonly string[] => [
  'amount',
  'usual',
  ...(step.do === 'reduce' && step.until === 'volume' ? ['to'] : []),
];

/** Figures that a scale or a jug can still be read to. */
const rounded = (value: number): number => {
  const digits = 10 ** (2 - Math.floor(Math.log10(value)));
  return Math.round(value * digits) / digits;
};

/**
 * A step as it is written for `factor` times the batch, to three figures: `8 kg` times 1.5 is `12 kg`. Shares, levels, bands, times and
 * portions stay as they are, as they do when the pot is scaled (`scaledSteps`); so does an amount that cannot be read.
 */
export function scaledLine<S extends WrittenStep>(step: S, factor: number, manner: Manner): S {
  const next: Record<string, unknown> = { ...step };
  for (const field of growing(step)) {
    const typed = next[field];
    if (typeof typed !== 'string') continue;
    const read = readAmountOf(['mass', 'volume', 'count'], typed, manner);
    if (!read.ok || !(read.value.value > 0)) continue;
    const { unit, value } = read.value;
    const one = (manner.measures?.get(unit.toLowerCase()) ?? unitOf(unit))?.factor ?? 1;
    const grown = rounded((value * factor) / one) * one;
    next[field] = writeAmount({ unit, value: grown }, manner.mark, manner.measures);
  }
  return next as S;
}
