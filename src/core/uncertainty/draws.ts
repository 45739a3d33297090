/**
 * A low-discrepancy sequence by Kronecker (Richtmyer): point n of dimension j is the fractional part of shift + n·√prime(j).
 * It fills a space far more evenly than chance, point n is the same no matter who asks for it and in which order, and a shift of its own
 * for each dimension and seed makes it unbiased.
 */
export class Draws {
  private readonly step: Float64Array;
  private readonly shift: Float64Array;

  constructor(dimensions: number, seed: number) {
    this.step = Float64Array.from(primes(dimensions), (p) => Math.sqrt(p) % 1);
    this.shift = Float64Array.from({ length: dimensions }, (_, j) => hashed(seed, j));
  }

  /** Point `n` of a dimension, 0 … 1. */
  at(n: number, dimension: number): number {
    return (this.shift[dimension]! + (n + 1) * this.step[dimension]!) % 1;
  }
}

function primes(many: number): number[] {
  const found: number[] = [];
  for (let n = 2; found.length < many; n += 1)
    if (found.every((p) => p * p > n || n % p !== 0)) found.push(n);
  return found;
}

/** A number of 0 … 1 out of two: the finisher of MurmurHash3. */
function hashed(seed: number, j: number): number {
  let h = (Math.imul(seed | 0, 0x9e3779b1) ^ Math.imul(j + 1, 0x85ebca6b)) | 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}
