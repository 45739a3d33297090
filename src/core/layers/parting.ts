import type { Joint, LedgerRow } from '../pot';

/** A joint product with its part of the cost at the point where it parted: so much money, or so much of what was there. */
export interface PartShare {
  readonly name: string;
  readonly g: number;
  /** Row in which it left. */
  readonly row: number;
  /** Money that it is credited with; undefined where it takes a share. */
  readonly credit?: number | undefined;
  /** Of what is left of the cost after the credits. */
  readonly share: number;
}

/** One point at which products part: steps that follow each other part together. */
export interface Parting {
  /** How many inputs have gone in by then. */
  readonly inputs: number;
  /** The last row of the point. */
  readonly row: number;
  readonly parts: readonly PartShare[];
}

interface Weighed {
  readonly g: number;
  readonly cost: Joint['cost'];
}

/**
 * Shares a cost out over things that part, and what stays: credits come off first; then by weight, g over all g that are not
 * credited; what is left over by market value, value over all values. Shares of all parts and of what stays add up to 1.
 * @param stayingG g of what stays
 * @returns the share of each part, 0 for a credited one
 */
export function sharesAt(parts: readonly Weighed[], stayingG: number): number[] {
  const open = parts.filter((p) => p.cost.by !== 'credit');
  const allG = open.reduce((sum, p) => sum + p.g, stayingG);
  const byWeight = open.filter((p) => p.cost.by === 'weight').reduce((sum, p) => sum + p.g / allG, 0);
  const rest = parts.reduce((last, p) => (p.cost.by === 'market' ? p.cost.restPerG : last), 0);
  const values = parts.map((p) => (p.cost.by === 'market' ? p.cost.perG * p.g : 0));
  const allValue = values.reduce((a, b) => a + b, rest * stayingG);
  return parts.map((p, i) => {
    if (p.cost.by === 'weight') return allG > 0 ? p.g / allG : 0;
    if (p.cost.by === 'credit' || !(allValue > 0)) return 0;
    return ((values[i] as number) / allValue) * (1 - byWeight);
  });
}

/** Where products part in a run's rows, in order. */
export function partingsOf(rowsOf: readonly LedgerRow[]): Parting[] {
  const found: Parting[] = [];
  for (let i = 0; i < rowsOf.length; i += 1) {
    if (rowsOf[i]?.parted.length === 0) continue;
    let last = i;
    while ((rowsOf[last + 1]?.parted.length ?? 0) > 0) last += 1;
    const rows = rowsOf.slice(i, last + 1);
    const joints = rows.flatMap((row, k) => row.parted.map((joint) => ({ joint, row: i + k })));
    const end = rows[rows.length - 1] as (typeof rows)[number];
    const weighed = joints.map(({ joint }) => ({ g: joint.product.g, cost: joint.cost }));
    const shares = sharesAt(weighed, end.g + end.piecesG + end.aside.g);
    found.push({
      inputs: end.inputsSoFar,
      row: last,
      parts: joints.map(({ joint, row }, k) => ({
        name: joint.name,
        g: joint.product.g,
        row,
        credit: joint.cost.by === 'credit' ? joint.cost.perG * joint.product.g : undefined,
        share: shares[k] as number,
      })),
    });
    i = last;
  }
  return found;
}
