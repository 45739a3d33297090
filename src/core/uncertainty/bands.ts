/** What four out of five trials lie between, and the middle one. */
export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** The value that a share `p` of sorted values lies below, between two of them where it falls between. */
export function quantile(sorted: Float64Array, p: number): number {
  const at = p * (sorted.length - 1);
  const i = Math.floor(at);
  const next = Math.min(i + 1, sorted.length - 1);
  return sorted[i]! + (at - i) * (sorted[next]! - sorted[i]!);
}

/** 10, 50 and 90 % points of some trials; those that came to nothing (NaN) are left out, undefined where all did. */
export function bandOf(values: Float64Array): Band | undefined {
  const sorted = values.filter((v) => !Number.isNaN(v)).sort();
  if (sorted.length === 0) return undefined;
  return { low: quantile(sorted, 0.1), middle: quantile(sorted, 0.5), high: quantile(sorted, 0.9) };
}

/** Ranks of values, 0 the smallest; equal ones share the middle of theirs. */
function ranks(values: Float64Array): Float64Array {
  const order = Array.from(values.keys()).sort((a, b) => values[a]! - values[b]!);
  const found = new Float64Array(values.length);
  for (let i = 0; i < order.length;) {
    // Whatever compares to nothing, itself included, is a rank of its own.
    let j = i + 1;
    while (j < order.length && values[order[j]!] === values[order[i]!]) j += 1;
    for (let k = i; k < j; k += 1) found[order[k]!] = (i + j - 1) / 2;
    i = j;
  }
  return found;
}

function correlation(a: Float64Array, b: Float64Array): number {
  const n = a.length;
  const mean = (n - 1) / 2;
  let [ab, aa, bb] = [0, 0, 0];
  for (let i = 0; i < n; i += 1) {
    const [x, y] = [a[i]! - mean, b[i]! - mean];
    ab += x * y;
    aa += x * x;
    bb += y * y;
  }
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
}

/**
 * How much of the spread of something each of what was drawn accounts for: squared rank correlations, shared to 1.
 * @param draws of each, one for every trial
 * @param of what came of each trial; a trial that came to nothing, or in which something was no number, is left out of what
 *   compares with it
 */
export function importance(draws: readonly Float64Array[], of: Float64Array): number[] {
  const squares = draws.map((drawn) => {
    const there = (_: number, i: number): boolean => !Number.isNaN(of[i]!) && !Number.isNaN(drawn[i]!);
    return correlation(ranks(drawn.filter(there)), ranks(of.filter(there))) ** 2;
  });
  const all = squares.reduce((a, b) => a + b, 0);
  return squares.map((s) => (all > 0 ? s / all : 0));
}

/**
 * Which of several ways is the cheapest in each trial, as the share of trials in which it is.
 * @param may which of them may win at all; all where it is left out
 */
export function wins(costs: readonly Float64Array[], may?: readonly boolean[]): number[] {
  const won = costs.map(() => 0);
  let trials = 0;
  for (let n = 0; n < (costs[0]?.length ?? 0); n += 1) {
    let best = -1;
    for (let w = 0; w < costs.length; w += 1) {
      const cost = costs[w]![n]!;
      if (may?.[w] !== false && !Number.isNaN(cost) && (best < 0 || cost < costs[best]![n]!)) best = w;
    }
    if (best < 0) continue;
    won[best]! += 1;
    trials += 1;
  }
  return won.map((n) => (trials > 0 ? n / trials : 0));
}
