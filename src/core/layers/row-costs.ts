import type { LedgerRow, Loss, PotRun } from '../pot';
import { runningBook } from './book';
import { partingsOf } from './parting';

/** Money of one ledger row: in the pot, and per litre of what is in it (liquid, or all of it once served). */
export interface RowCost {
  readonly inPot: number | null;
  readonly perL: number | null;
}

/**
 * Cost in the pot after each row: everything that has gone in. Per litre of liquid; on the last row
 * pieces still in the pot are served with it and count.
 */
export function rowCosts(
  rows: readonly LedgerRow[],
  costs: readonly (number | null)[],
  unreadSteps: readonly number[],
): RowCost[] {
  const parted = partedMoney(rows, costs);
  return rows.map((row, i) => {
    const paid = costs.slice(0, row.inputsSoFar);
    const whole = !paid.includes(null) && !unreadSteps.some((step) => step <= row.step);
    if (!whole) return { inPot: null, perL: null };
    const inPot = paid.reduce<number>((sum, cost) => sum + (cost ?? 0), 0) - (parted[i] as number);
    const last = i === rows.length - 1;
    // The money is spread over everything, in whatever vessel it stands.
    const ml = row.ml + (last ? row.piecesMl + row.aside.ml : row.aside.liquidMl);
    // A spoonful of butter under a kilo of leeks is no litre of anything yet.
    const isLiquid = row.ml > 1e-6 && (last || row.ml >= row.piecesMl);
    return { inPot, perL: isLiquid ? (inPot / ml) * 1000 : null };
  });
}

/** Money that has left with joint products by each row; with a price missing it counts as 0 and nobody reads it. */
function partedMoney(rows: readonly LedgerRow[], costs: readonly (number | null)[]): number[] {
  const gone = rows.map(() => 0);
  for (const { row, money } of partsCost(rows, costs))
    for (let i = row; i < rows.length; i += 1) gone[i] = (gone[i] as number) + money;
  return gone;
}

/** What each joint product of a run carries away: its credit, or its share of what is there once the credits are off. */
export function partsCost(
  rows: readonly LedgerRow[],
  costs: readonly (number | null)[],
): { readonly name: string; readonly row: number; readonly g: number; readonly money: number }[] {
  let left = 0;
  let done = 0;
  return partingsOf(rows).flatMap(({ inputs, parts }) => {
    left += costs.slice(done, inputs).reduce<number>((sum, cost) => sum + (cost ?? 0), 0);
    done = inputs;
    const open = left - parts.reduce((sum, p) => sum + (p.credit ?? 0), 0);
    const priced = parts.map((p) => ({
      name: p.name,
      row: p.row,
      g: p.g,
      money: p.credit ?? open * p.share,
    }));
    left -= priced.reduce((sum, p) => sum + p.money, 0);
    return priced;
  });
}

/**
 * What of each input's money is still in the pot at its end: what parts takes its share of everything that had gone in by then.
 * Adds up to the cost in the pot on the last row.
 */
export function moneyStaying(rows: readonly LedgerRow[], costs: readonly (number | null)[]): number[] {
  const staying = costs.map((cost) => cost ?? 0);
  const parts = partsCost(rows, costs);
  for (const { inputs, parts: here } of partingsOf(rows)) {
    const there = staying.slice(0, inputs).reduce((a, b) => a + b, 0);
    const away = parts
      .filter((p) => here.some((h) => h.row === p.row && h.name === p.name))
      .reduce((sum, p) => sum + p.money, 0);
    for (let i = 0; there > 0 && i < inputs; i += 1) {
      const own = staying[i] as number;
      staying[i] = own - away * (own / there);
    }
  }
  return staying;
}

/** Where the money of one pot went, trim of its own ingredients included. `spent` = trimmed + Σ lost + Σ parted + left. */
export interface MoneyWent {
  readonly spent: number;
  /** Paid for with the usable part but cut off before the pot. */
  readonly trimmed: number;
  readonly lost: Readonly<Partial<Record<Loss, number>>>;
  /** What of it has stayed in joint products. */
  readonly parted: Readonly<Record<string, number>>;
  readonly left: number;
}

/**
 * The running book of a run. What its ingredients cost above their as-purchased price went with the
 * trim; the rest follows the liquid.
 *
 * @param costs money of each input, in order
 * @param asPurchased currency per gram as bought, for the supplies that have been trimmed
 * @param factors for supplies whose opened packs are charged whole
 */
export function moneyWentIn(
  run: PotRun,
  costs: readonly number[],
  asPurchased: (supply: string) => number | undefined,
  factors?: ReadonlyMap<string, number>,
): MoneyWent {
  const bought = run.inputs.map(({ supply, g }, i) => {
    const perG = asPurchased(supply);
    return perG === undefined ? (costs[i] as number) : perG * g * (factors?.get(supply) ?? 1);
  });
  const trimmed = costs.reduce((sum, cost, i) => sum + cost - (bought[i] as number), 0);
  const book = runningBook(run, bought, partsCost(run.rows, bought));
  return { spent: book.spent + trimmed, trimmed, lost: book.lost, parted: book.parted, left: book.left };
}
