import { LAYERS, type Layer } from '../layers';
import type { CookedWay, SnapshotPots, Way } from './snapshot';
import { countedPerLitre, wayFigures } from './way-figures';

/** What a litre of two ways costs as the price of one thing moves: two straight lines, and where they cross. */
export interface Flip {
  /** Times its present price at which both cost the same; undefined where they never do at a price above 0. */
  readonly times: number | undefined;
  /** Of each way: what a litre costs without what is paid for it, and what is paid for it now. */
  readonly lines: readonly [Line, Line];
}
export interface Line {
  readonly rest: number;
  readonly paid: number;
}

/** What two ways cost at so many times the present price of a thing. */
export const valueAt = ({ rest, paid }: Line, times: number): number => rest + paid * times;

/**
 * The price of one thing at which two ways cost the same a litre. A cost is affine in a price once the pots have been cooked, so two
 * costings say all there is to say.
 * @returns undefined where one of the two has no cost, or neither is made from the thing
 */
export function flipOf(
  pots: SnapshotPots,
  ways: readonly [Way, Way],
  cooked: readonly [CookedWay, CookedWay],
  ingredient: string,
  layers: readonly Layer[] = LAYERS,
): Flip | undefined {
  const line = (i: 0 | 1): Line | undefined => {
    const at = (times: number): number | null => {
      const costs = pots.costs(ways[i], cooked[i].runs, new Map([[ingredient, { times }]]));
      return countedPerLitre(wayFigures(ways[i], { ...cooked[i], costs }, pots.wage(ways[i])).perL, layers);
    };
    const [once, twice] = [at(1), at(2)];
    return once === null || twice === null ? undefined : { paid: twice - once, rest: 2 * once - twice };
  };
  const [a, b] = [line(0), line(1)];
  if (!a || !b || Math.abs(a.paid) + Math.abs(b.paid) < 1e-9) return undefined;
  const steeper = a.paid - b.paid;
  const times = Math.abs(steeper) < 1e-9 ? undefined : (b.rest - a.rest) / steeper;
  return { times: times !== undefined && times > 0 ? times : undefined, lines: [a, b] };
}
