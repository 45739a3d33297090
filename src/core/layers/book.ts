import type { Loss, PotRun } from '../pot';

/**
 * The running book of one pot: where the money went, beside the absorbed cost that the product carries.
 * Money in currency units; `left` is the product's own. `spent` = Σ lost + Σ parted + left.
 */
export interface RunningBook {
  readonly spent: number;
  readonly lost: Readonly<Partial<Record<Loss, number>>>;
  /** What has stayed in joint products, by name. */
  readonly parted: Readonly<Record<string, number>>;
  readonly left: number;
}

/**
 * Follows the money: it comes in with the inputs, and every loss of liquid takes its share of the
 * balance at that moment. Evaporation, browning, lifted fat and spent pieces take nothing.
 *
 * @param costs money of each of the run's inputs, in their order
 * @param parts what joint products carry away, by the row in which they leave
 */
export function runningBook(
  run: PotRun,
  costs: readonly number[],
  parts: readonly { readonly name: string; readonly row: number; readonly money: number }[] = [],
): RunningBook {
  const lost: Partial<Record<Loss, number>> = {};
  let spent = 0;
  let balance = 0;
  let paid = 0;
  /** What the pot has cost so far, less what parted: the absorbed cost beside the balance. */
  let absorbed = 0;
  /** What the last loss of each kind took: a second pass brings its share of that back. */
  const last = new Map<Loss, number>();
  const parted: Record<string, number> = {};
  for (const [i, row] of run.rows.entries()) {
    for (; paid < row.inputsSoFar; paid += 1) {
      spent += costs[paid] ?? 0;
      balance += costs[paid] ?? 0;
      absorbed += costs[paid] ?? 0;
    }
    for (const { loss, share } of row.shares) {
      const money = share >= 0 ? balance * share : share * (last.get(loss) ?? 0);
      last.set(loss, share >= 0 ? money : (last.get(loss) ?? 0) + money);
      lost[loss] = (lost[loss] ?? 0) + money;
      balance -= money;
    }
    for (const { name, money } of parts.filter((p) => p.row === i)) {
      // It pays its part of all that was spent; what of that has been lost on the way stands among the losses.
      const kept = absorbed > 0 ? Math.min(1, money / absorbed) * balance : 0;
      parted[name] = (parted[name] ?? 0) + kept;
      balance -= kept;
      absorbed -= money;
    }
  }
  return { spent, lost, parted, left: balance };
}
