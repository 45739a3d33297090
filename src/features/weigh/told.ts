import {
  bandOf,
  drawsOf,
  figureIn,
  importance,
  TOLD,
  wins,
  type Band,
  type Setup,
  type Told,
  type Uncertain,
} from '@/core/uncertainty';

/** What trials have told of some ways. */
export interface Sure {
  readonly bands: readonly Readonly<Record<Told, Band | undefined>>[];
  /** Share of trials in which each way is the cheapest. */
  readonly wins: readonly number[];
}

export function sureOf(values: Float64Array, ways: number, may: readonly boolean[]): Sure {
  const costs = Array.from({ length: ways }, (_, w) => figureIn(values, ways, w, 'perL'));
  return {
    wins: wins(costs, may),
    bands: costs.map(
      (_, w) =>
        Object.fromEntries(
          TOLD.map((t) => [t, bandOf(figureIn(values, ways, w, t))]),
        ) as Sure['bands'][number],
    ),
  };
}

/** How much dearer one way is than another in each trial, with the same draw for both. */
export function dearer(values: Float64Array, ways: number, a: number, b: number): Float64Array {
  const of = figureIn(values, ways, b, 'perL');
  return figureIn(values, ways, a, 'perL').map((cost, n) => cost - (of[n] ?? NaN));
}

/** What to weigh next: a figure, its share of the spread, and what one more test of it would take off the band. */
export interface Next {
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
export function weighNext(setup: Setup, values: Float64Array, a: number, b: number): Next[] {
  const of = dearer(values, setup.ways.length, a, b);
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
