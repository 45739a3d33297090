/** What is believed before any test: a value and the 90 % range it lies in. */
export interface Prior {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What learning takes as given; values come from `reference/process.json`. */
export interface LearningConstants {
  /** Days after which a test counts half. */
  readonly fadeHalfLifeDays: number;
  /** An estimate without a range is taken to lie within so much of its value, share. */
  readonly bareRange: number;
}

/** One test's figure and how much it still counts: 1 fresh, less as it fades. */
export interface Sample {
  readonly value: number;
  readonly weight: number;
}

/** What tests and prior say together. */
export interface Learned {
  readonly mean: number;
  readonly sd: number;
  /** 90 % band. */
  readonly low: number;
  readonly high: number;
  readonly tests: number;
}

/** Standard deviations in a 90 % range, both sides together: 2 × 1.645. */
const SDS_IN_RANGE = 3.29;
/** A test never says more exactly than this share of its mean, however well few of them agree. */
const LEAST_SHARE = 0.02;
const FAR = 3;

/** How sure a prior is of itself: a standard deviation. */
const sdOf = (prior: Prior): number => (prior.high - prior.low) / SDS_IN_RANGE;

/**
 * Learns a figure from own tests: the mean of prior and tests, each weighted by how sure it is.
 *
 * Prior m₀ with s₀ = (high − low)/3.29; n tests with mean x̄ and sample sd s (at least 2 % of x̄; of one test the
 * group's typical sd): mean = (m₀/s₀² + n·x̄/s²)/(1/s₀² + n/s²), sd = (1/s₀² + n/s²)^−½. Where tests have faded, n is the sum
 * of their weights, x̄ and s are weighted. Without tests the prior; with many, their mean. A prior without a range, or none at all,
 * holds only as long as nothing has been weighed.
 *
 * @param typical spread of one test of this kind, for when there is but one
 * @returns undefined where there is neither a prior nor a test
 * @example learn({value: .62, low: .5, high: .72}, [.66, .67, .65].map(fresh), .03) // mean .659487, sd .007572
 */
export function learn(prior: Prior, tests: readonly Sample[], typical: number): Learned;
export function learn(
  prior: Prior | undefined,
  tests: readonly Sample[],
  typical: number,
): Learned | undefined;
export function learn(
  prior: Prior | undefined,
  tests: readonly Sample[],
  typical: number,
): Learned | undefined {
  const n = tests.reduce((sum, t) => sum + t.weight, 0);
  if (!(n > 0)) return prior && { ...band(prior.value, sdOf(prior), 0), low: prior.low, high: prior.high };
  const mean = averageOf(tests);
  const ofTests = n / spread(tests, typical) ** 2;
  const s0 = prior ? sdOf(prior) : 0;
  if (!prior || !(s0 > 0)) return band(mean, ofTests ** -0.5, tests.length);
  const ofPrior = 1 / s0 ** 2;
  return band(
    (prior.value * ofPrior + mean * ofTests) / (ofPrior + ofTests),
    (ofPrior + ofTests) ** -0.5,
    tests.length,
  );
}

/**
 * Tests that are further than 3·√(sd² + s²) from what prior and the other tests say: flagged for a person to leave out,
 * never left out silently.
 * @returns their places in `tests`
 */
export function outliers(prior: Prior | undefined, tests: readonly Sample[], typical: number): number[] {
  return tests.flatMap(({ value }, i) => {
    const others = tests.filter((_, j) => j !== i);
    const said = learn(prior, others, typical);
    if (!said) return [];
    const s = others.length > 0 ? spread(others, typical) : typical;
    return Math.abs(value - said.mean) > FAR * Math.hypot(said.sd, s) ? [i] : [];
  });
}

/**
 * The spread one test of a kind typically has: the pooled standard deviation of groups that have been tested more than once.
 * @returns undefined while no group has
 * @example typicalSd([[.60, .64], [.71, .73, .72]]) // √((.0008 + .0002)/(1 + 2)) = .0183
 */
export function typicalSd(groups: readonly (readonly number[])[]): number | undefined {
  let squares = 0;
  let freedom = 0;
  for (const values of groups) {
    if (values.length < 2) continue;
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    squares += values.reduce((sum, x) => sum + (x - mean) ** 2, 0);
    freedom += values.length - 1;
  }
  return freedom > 0 ? Math.sqrt(squares / freedom) : undefined;
}

const averageOf = (tests: readonly Sample[]): number =>
  tests.reduce((sum, t) => sum + t.weight * t.value, 0) / tests.reduce((sum, t) => sum + t.weight, 0);

/** Sample standard deviation of weighted tests, never below 2 % of their mean; of one test the typical one. */
function spread(tests: readonly Sample[], typical: number): number {
  const mean = averageOf(tests);
  const least = Math.abs(mean) * LEAST_SHARE || Number.EPSILON;
  if (tests.length === 1) return Math.max(typical, least);
  const sum = tests.reduce((all, t) => all + t.weight, 0);
  const squares = tests.reduce((all, t) => all + t.weight * (t.value - mean) ** 2, 0);
  // Bessel's correction for weights that say how reliable a value is: with equal ones it is n − 1.
  const freedom = sum - tests.reduce((all, t) => all + t.weight ** 2, 0) / sum;
  return Math.max(Math.sqrt(squares / freedom), least);
}

const band = (mean: number, sd: number, tests: number): Learned => ({
  mean,
  sd,
  low: mean - (SDS_IN_RANGE / 2) * sd,
  high: mean + (SDS_IN_RANGE / 2) * sd,
  tests,
});
