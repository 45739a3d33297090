import type { WrittenBatch } from '../kitchen-file';
import { boilsIn, type ProcessConstants } from '../pot';
import { runPot } from '../verbs';
import { fires } from './learning';
import { isOnHeat, spreadOf, weighted } from './evaporation';
import { HOUR, leftBehindSdG, POURED_SD, STEP_H, type RunningBatch } from './pot-filter';
import type { Interval } from './estimate';

/** What was foretold of a batch before it began: h of each reduction that ends when enough has gone, and litres in the end. */
export type Forecast = NonNullable<WrittenBatch['foretold']>;

/** Points of a normal distribution that stand for it: standard deviations, and what each weighs. */
const POINTS = [-2.3, -1.6, -1, -0.5, 0, 0.5, 1, 1.6, 2.3].map((z) => ({
  z,
  weight: Math.exp(-0.5 * z * z),
}));
const Z80 = 1.2816;

/** 10, 50 and 90 % of weighted values, each off by another error that has nothing to do with them. */
function spanOf(
  values: readonly { readonly value: number; readonly weight: number }[],
  sd: number,
): Interval {
  const middle = weighted(values, 0.5);
  const wide = (to: number): number => Math.hypot(to - middle, Z80 * sd);
  return {
    low: middle - wide(weighted(values, 0.1)),
    middle,
    high: middle + wide(weighted(values, 0.9)),
  };
}

/**
 * What is foretold of a batch before anything has been read: its lines run at speeds that stand for what is believed of how fast its vessel boils
 * away. Litres that are poured by eye widen both; what may stay behind in solids, strainers and machines widens those in the end.
 */
export function forecastBatch(
  of: Pick<RunningBatch, 'pot' | 'lines'>,
  constants: ProcessConstants,
): Forecast {
  const { pot, lines } = of;
  const c = { ...constants, stepH: STEP_H };
  const runs = POINTS.map(({ z, weight }) => {
    const boils = fires(pot.steps).map(({ heat, lid }) => ({
      heat,
      lid,
      sd: 0,
      times: (boilsIn(pot.vessel, heat, lid)?.times ?? 1) * Math.exp(z * spreadOf(heat, lid, pot.vessel)),
    }));
    return { weight, run: runPot({ ...pot, vessel: { ...pot.vessel, boils } }, c) };
  });
  const of_ = (value: (run: (typeof runs)[number]['run']) => number | undefined) =>
    runs.flatMap(({ run, weight }) => {
      const found = value(run);
      return found === undefined ? [] : [{ value: found, weight }];
    });
  const litres = of_((run) => run.product && run.product.ml / 1000);
  const [middle] = runs.slice((POINTS.length - 1) / 2);
  const leftL = (middle?.run.rows ?? []).reduce((l, row) => l + leftBehindSdG(row) / 1000, 0);
  return {
    ...(litres.length > 0 ? { l: spanOf(litres, Math.hypot(weighted(litres, 0.5) * POURED_SD, leftL)) } : {}),
    lines: pot.steps.flatMap((step, i) => {
      if (!isOnHeat(step) || step.do !== 'reduce' || step.to.until === 'hours') return [];
      const hours = of_((run) => {
        const row = run.rows[i];
        return row && row.upHours + row.heatHours;
      });
      const [before, after] = [middle?.run.rows[i - 1]?.ml ?? 0, middle?.run.rows[i]?.ml ?? 0];
      if (hours.length === 0 || !(before > after)) return [];
      const sd = (weighted(hours, 0.5) * POURED_SD * before) / (before - after);
      return [{ step: lines[i] ?? '', hours: spanOf(hours, sd) }];
    }),
  };
}

/** Something that was foretold beside what came. */
export interface ForecastCheck {
  readonly of: 'hours' | 'litres';
  readonly step: string | undefined;
  readonly foretold: Interval;
  readonly came: number;
  readonly within: boolean;
}

/** What was foretold of a batch beside what came: told minutes to the minute, litres to the centilitre. */
export function checkForecast(
  foretold: Forecast | undefined,
  { lines, startedAt, events }: Pick<RunningBatch, 'lines' | 'startedAt' | 'events'>,
  gotL: number | undefined,
): ForecastCheck[] {
  if (!foretold) return [];
  const done = new Map(events.flatMap((e) => (e.is === 'done' ? [[e.step, Date.parse(e.at)] as const] : [])));
  const judge = (
    of: ForecastCheck['of'],
    step: string | undefined,
    span: Interval,
    came: number,
    near: number,
  ): ForecastCheck => ({
    of,
    step,
    foretold: span,
    came,
    within: came >= span.low - near && came <= span.high + near,
  });
  const hours = foretold.lines.flatMap(({ step, hours: span }) => {
    const at = lines.indexOf(step);
    const [from, to] = [at > 0 ? done.get(lines[at - 1] ?? '') : startedAt, done.get(step)];
    return from === undefined || to === undefined
      ? []
      : [judge('hours', step, span, (to - from) / HOUR, 0.5 / 60)];
  });
  return [
    ...hours,
    ...(foretold.l && gotL !== undefined ? [judge('litres', undefined, foretold.l, gotL, 0.005)] : []),
  ];
}
