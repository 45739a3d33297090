/**
 * A figure that is not known for sure: a beta-PERT distribution (λ = 4) with its value as the mode and its low and high as the
 * points below and above which one time in twenty lies. Fitted by where between them the value stands.
 */
export interface Pert {
  readonly least: number;
  readonly most: number;
  /** Values at equal steps of probability, from 0 to 1. */
  readonly quantiles: Float64Array;
}

const LAMBDA = 4;
/** Steps of the density that is summed up, and of the table of quantiles. */
const STEPS = 480;
const TABLE = 512;

/** Sums up the density of a PERT on 0 … 1 with its mode at `t`: the share below each of so many equal steps. */
function cumulative(t: number): Float64Array {
  const a = LAMBDA * t;
  const b = LAMBDA * (1 - t);
  const density = (x: number): number => x ** a * (1 - x) ** b;
  const sums = new Float64Array(STEPS + 1);
  const h = 1 / STEPS;
  let before = density(0);
  // Simpson over each step.
  for (let i = 1; i <= STEPS; i += 1) {
    const next = density(Math.min(1, i * h));
    sums[i] = sums[i - 1]! + (before + 4 * density((i - 0.5) * h) + next) / 6;
    before = next;
  }
  const all = sums[STEPS]!;
  for (let i = 0; i <= STEPS; i += 1) sums[i] = sums[i]! / all;
  return sums;
}

/** Where a share `p` lies below, on 0 … 1. */
function quantileIn(sums: Float64Array, p: number): number {
  let low = 0;
  let high = STEPS;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (sums[mid]! <= p) low = mid;
    else high = mid;
  }
  const width = sums[high]! - sums[low]!;
  return (low + (width > 0 ? (p - sums[low]!) / width : 0)) / STEPS;
}

/** A PERT on 0 … 1: its mode, its 5 and 95 % points, and its values at equal steps of probability. */
interface Shape {
  readonly t: number;
  readonly q05: number;
  readonly q95: number;
  readonly quantiles: Float64Array;
}

const shapes = new Map<number, Shape>();

/** Halvings by which the mode is found, to a millionth. */
const HALVINGS = 20;

/** The shape whose mode stands at a share of the way from its 5 % to its 95 % point: it alone decides, so it is found once. */
function shapeOf(share: number): Shape {
  const known = shapes.get(share);
  if (known) return known;
  let [below, above] = [0, 1];
  // Where between its 5 and 95 % points the mode stands rises with where it stands between the ends.
  for (let i = 0; i < HALVINGS; i += 1) {
    const t = (below + above) / 2;
    const sums = cumulative(t);
    const [q05, q95] = [quantileIn(sums, 0.05), quantileIn(sums, 0.95)];
    if ((t - q05) / (q95 - q05) < share) below = t;
    else above = t;
  }
  const t = (below + above) / 2;
  const sums = cumulative(t);
  const made: Shape = {
    t,
    q05: quantileIn(sums, 0.05),
    q95: quantileIn(sums, 0.95),
    quantiles: Float64Array.from({ length: TABLE + 1 }, (_, i) => quantileIn(sums, i / TABLE)),
  };
  if (shapes.size > 2000) shapes.clear();
  shapes.set(share, made);
  return made;
}

/**
 * Fits a PERT.
 * @param low at most `value`; @param high at least `value`
 * @throws RangeError where the value lies outside its own range: anyone who asks checks that (`checkRange`)
 */
export function pertOf(value: number, low: number, high: number): Pert {
  if (!(low <= value && value <= high))
    throw new RangeError(`${value} does not lie between ${low} and ${high}`);
  if (low === high) return { least: value, most: value, quantiles: new Float64Array(2).fill(value) };
  const { t, q05, q95, quantiles } = shapeOf(Number(((value - low) / (high - low)).toFixed(6)));
  const width = (high - low) / (q95 - q05);
  const least = value - t * width;
  return { least, most: least + width, quantiles: quantiles.map((q) => least + q * width) };
}

/** The value below which a share `u` of 0 … 1 lies. */
export function drawn({ quantiles }: Pert, u: number): number {
  const at = Math.min(1, Math.max(0, u)) * (quantiles.length - 1);
  const i = Math.min(Math.floor(at), quantiles.length - 2);
  return quantiles[i]! + (at - i) * (quantiles[i + 1]! - quantiles[i]!);
}
