import type { Loss, PotRun } from '../pot';

/**
 * The running book of one pot: where the money went, beside the absorbed cost that the product carries.
 * Money in currency units; `left` is the product's own. `spent` = Σ lost + left.
 */
export interface RunningBook {
  readonly spent: number;
  readonly lost: Readonly<Partial<Record<Loss, number>>>;
  readonly left: number;
}

/**
 * Follows the money: it comes in with the inputs, and every loss of liquid takes its share of the
 * balance at that moment. Evaporation, browning, lifted fat and spent pieces take nothing.
 *
 * @param costs money of each of the run's inputs, in their order
 */
export function runningBook(run: PotRun, costs: readonly number[]): RunningBook {
  const lost: Partial<Record<Loss, number>> = {};
  let spent = 0;
  let balance = 0;
  let paid = 0;
  /** What the last loss of each kind took: a second pass brings its share of that back. */
  const last = new Map<Loss, number>();
  for (const row of run.rows) {
    for (; paid < row.inputsSoFar; paid += 1) {
      spent += costs[paid] ?? 0;
      balance += costs[paid] ?? 0;
    }
    for (const { loss, share } of row.shares) {
      const money = share >= 0 ? balance * share : share * (last.get(loss) ?? 0);
      last.set(loss, share >= 0 ? money : (last.get(loss) ?? 0) + money);
      lost[loss] = (lost[loss] ?? 0) + money;
      balance -= money;
    }
  }
  return { spent, lost, left: balance };
}
