import {
  bandOf,
  drawsOf,
  simulatedFigure,
  importance,
  SIMULATED,
  wins,
  type Band,
  type SimulationSetup,
  type SimulatedFigure,
  type Uncertain,
} from '@/core/uncertainty';

/** What trials have told of some ways. */
export interface Certainty {
  readonly bands: readonly Readonly<Record<SimulatedFigure, Band | undefined>>[];
  /** Share of trials in which each way is the cheapest. */
  readonly wins: readonly number[];
}

export function certaintyOf(values: Float64Array, ways: number, may: readonly boolean[]): Certainty {
  const costs = Array.from({ length: ways }, (_, w) => simulatedFigure(values, ways, w, 'perL'));
  return {
    wins: wins(costs, may),
    bands: costs.map(
      (_, w) =>
        Object.fromEntries(
          SIMULATED.map((t) => [t, bandOf(simulatedFigure(values, ways, w, t))]),
        ) as Certainty['bands'][number],
    ),
  };
}

/** How much dearer one way is than another in each trial, with the same draw for both. */
export function costDifferences(values: Float64Array, ways: number, a: number, b: number): Float64Array {
  const of = simulatedFigure(values, ways, b, 'perL');
  return simulatedFigure(values, ways, a, 'perL').map((cost, n) => cost - (of[n] ?? NaN));
}

/** What to weigh next: a figure, its share of the spread, and what one more test of it would take off the band. */
export interface MeasureNext {
  readonly of: Uncertain;
  readonly share: number;
  /** Money a litre that the band of the difference would be narrower by. */
  readonly takesOff: number;
}

/** Of its own band a single test leaves so much: the mean of two readings as sure as each other (docs/model.md, “How sure”). */
const A_TEST_LEAVES = Math.SQRT1_2;
const LEAST_SHARE = 0.01;
const MOST = 8;

/** The figures that account for most of how unsure it is how much dearer one way is than another. */
export function measureNext(
  setup: SimulationSetup,
  values: Float64Array,
  a: number,
  b: number,
): MeasureNext[] {
  const of = costDifferences(values, setup.ways.length, a, b);
  const band = bandOf(of);
  const width = band ? band.high - band.low : 0;
  const shares = importance(drawsOf(setup, of.length), of);
  return setup.uncertain
    .map((u, j) => {
      const share = shares[j] ?? 0;
      return { of: u, share, takesOff: width * (1 - Math.sqrt(1 - share * (1 - A_TEST_LEAVES ** 2))) };
    })
    .filter((n) => n.share >= LEAST_SHARE)
    .sort((x, y) => y.share - x.share)
    .slice(0, MOST);
}
