import { z } from 'zod';
import {
  BANDS,
  body,
  copyPot,
  crossing,
  liquidG,
  mustJoin,
  noReport,
  putIn,
  trouble,
  type BodyBand,
  type Doing,
  type Matter,
  type PotState,
  type ProcessConstants,
  type StepReport,
} from '../../pot';
import { matchAt, findMatter } from '../../said';
import type { Trouble } from '../../trouble';
import { doing, idsOfMatter, Of, type Written } from '../../written';
import { then, thingOf } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

/** Thickened or loosened until it is of a band: the amount is found, not told. */
export interface BandStep<Do extends string> extends Doing {
  readonly do: Do;
  readonly what: Matter;
  readonly band: BodyBand;
}
export interface WrittenBand<Do extends string> extends Written {
  readonly do: Do;
  readonly of: Of;
  readonly band: BodyBand;
}

export const bandForm = <Do extends string>(verb: Do) => doing(verb, { of: Of, band: z.enum(BANDS) });

/** A band in body, whatever makes it: flour equivalent over what coats. */
export function bodies(c: ProcessConstants, band: BodyBand): { low: number; middle: number; high: number } {
  const { low, middle, high } = c.bands[band];
  const coat = c.coating.flourGPerL;
  return { low: low / coat, middle: middle / coat, high: high / coat };
}

/** More than this many times the pot's own weight is never meant. */
export const MOST_TIMES = 50;

/**
 * g that bring the pot to a body, the litres they bring counted; undefined where however much would not.
 * @param thickens whether adding raises the body; fat that comes in is then held
 */
export function gramsTo(
  pot: PotState,
  what: Matter,
  target: number,
  c: ProcessConstants,
  thickens: boolean,
): number | undefined {
  const bodyWith = (g: number): number => {
    const tried = copyPot(pot);
    putIn(tried, what, g, c, noReport(), thickens);
    return body(tried, c);
  };
  const rising = (g: number): number => (bodyWith(g) - target) * (thickens ? 1 : -1);
  const most = liquidG(pot.liquid) * MOST_TIMES;
  let high = liquidG(pot.liquid) * 0.01;
  while (rising(high) < 0) {
    high *= 2;
    if (high > most) return undefined;
  }
  const found = crossing(rising, 0, high, 0);
  return found.found ? found.above : undefined;
}

/** A verb of that idea, said `VERB BAND with NAME`; how far, and what stands in its way, is its own. */
export function toBand<Do extends 'thicken to' | 'loosen to'>(
  verb: Do,
  written: Verb<WrittenBand<Do>, BandStep<Do>>['written'],
  called: string,
  bring: (pot: PotState, step: BandStep<Do>, c: ProcessConstants, report: StepReport) => Trouble | undefined,
): Verb<WrittenBand<Do>, BandStep<Do>> {
  return {
    written,
    ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
    takes: (step) => step.of,
    parts: nothing,
    amount: noAmount,
    flaw: nothing,
    says: (step, name) => `${verb} ${step.band} with ${name.matter(step.of)}`,
    reads: [
      [
        new RegExp(
          String.raw`^${verb.replace(' ', String.raw`\s+`)}\s+(?:a\s+)?(${BANDS.join('|')})(?:\s+consistency)?\s+with\s+(.+)$`,
          'i',
        ),
        (m, names) =>
          then(findMatter(matchAt(m, 2), names), (of) => ({
            do: verb,
            of,
            band: matchAt(m, 1).toLowerCase() as BodyBand,
          })),
      ],
    ],
    everyday: [],
    turn: 'in turn',
    resolve: (step, shelf) =>
      then(thingOf(step.of, shelf), ({ what }) => ({ do: verb, what, band: step.band })),
    run(pot, step, c, report) {
      const cannot = mustJoin(called, step.what, 1);
      if (cannot) return cannot;
      if (liquidG(pot.liquid) === 0)
        return trouble('empty', `${called}: there is no liquid in the pot.`, 0, 0);
      return bring(pot, step, c, report);
    },
    scale: asItIs,
    hands: usually(verb),
    warns: noWarnings,
    heats: false,
    seasons: false,
    filling: 'no',
    caution: nothing,
    mark: 'in',
  };
}
