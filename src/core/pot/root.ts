/** Where something crosses 0: `below` is at or below it and as near as was asked for, `above` at or above, which may be further off. */
export type Crossing =
  | { readonly found: true; readonly below: number; readonly above: number }
  | { readonly found: false; readonly why: 'not between' | 'does not converge' };

const MOST_TRIES = 200;

/**
 * Finds where a rising function crosses 0, by false position with the end that stands still weakened (Illinois), and by halving
 * whenever three tries have not halved the bracket: litres go nearly straight with an amount, so it takes a run or six where
 * halving alone takes forty, and never many more.
 *
 * @param rising may jump or stand still, but must not fall
 * @param low where it is at or below 0
 * @param high where it is at or above 0
 * @param close how near 0 is near enough for `below`; 0 goes on to neighbouring doubles
 * @returns `not between` where the ends are not on both sides of 0; `does not converge` if it was still apart after 200 tries
 */
export function crossing(rising: (x: number) => number, low: number, high: number, close: number): Crossing {
  let [a, fa] = [low, rising(low)];
  let [b, fb] = [high, rising(high)];
  if (!(fa <= 0 && fb >= 0)) return { found: false, why: 'not between' };
  // What the ends weigh in the next guess: their own values until one of them has stood still.
  let [wa, wb] = [fa, fb];
  let side = 0;
  let [lastWidth, since] = [b - a, 0];
  for (let i = 0; i < MOST_TRIES; i += 1) {
    if (fb === 0) return { found: true, below: b, above: b };
    if (fa >= -close || b - a <= Math.abs(b) * 1e-15)
      return { found: true, below: a, above: fa === 0 ? a : b };
    const between = (a * wb - b * wa) / (wb - wa);
    const halve = since >= 3 || !(between > a && between < b);
    const mid = halve ? a + (b - a) / 2 : between;
    // Two doubles with none between them are as near as it gets.
    if (mid <= a || mid >= b) return { found: true, below: a, above: b };
    const f = rising(mid);
    if (f > 0) {
      [b, fb, wb] = [mid, f, f];
      if (side === 1) wa /= 2;
      side = 1;
    } else {
      [a, fa, wa] = [mid, f, f];
      if (side === -1) wb /= 2;
      side = -1;
    }
    since += 1;
    if (b - a > lastWidth / 2) continue;
    [lastWidth, since] = [b - a, 0];
  }
  return { found: false, why: 'does not converge' };
}
