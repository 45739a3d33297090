/** One reading of a scale. */
export interface ScaleReading {
  readonly atMs: number;
  /** As it shows, tare taken off. Undefined where it shows no weight. */
  readonly g?: number | undefined;
  readonly overload?: boolean | undefined;
}

/**
 * What a row of readings says: still moving; steady; or, when patience has run out, why it will not be.
 * `gPerMin` is how fast it drifts, `spreadG` how far it swings.
 */
export type ScaleState =
  | { readonly is: 'waiting'; readonly g?: number | undefined }
  | { readonly is: 'steady'; readonly g: number }
  | { readonly is: 'drifting'; readonly g: number; readonly gPerMin: number }
  | { readonly is: 'noisy'; readonly g: number; readonly spreadG: number }
  | { readonly is: 'overload' };

/** So long it has to stand still, with so many readings at least, and so long somebody waits for it. */
const WINDOW_MS = 2000;
const LEAST_READINGS = 6;
const PATIENCE_MS = 9000;
/** It stands still when it swings by no more than 2 g or 0.05 % of the weight, and creeps by no more than 30 g a minute. */
const SWING_G = 2;
const SWING_SHARE = 0.0005;
const CREEP_G_PER_MIN = 30;

/** Slope by least squares, g per minute. */
function creepOf(readings: readonly (readonly [number, number])[]): number {
  const n = readings.length;
  const t = readings.reduce((sum, [at]) => sum + at, 0) / n;
  const g = readings.reduce((sum, [, x]) => sum + x, 0) / n;
  const above = readings.reduce((sum, [at, x]) => sum + (at - t) * (x - g), 0);
  const below = readings.reduce((sum, [at]) => sum + (at - t) ** 2, 0);
  return below > 0 ? (above / below) * 60_000 : 0;
}

/**
 * Waits until a scale is steady. The weight is the mean of the last two seconds once they stand still.
 * @param readings oldest first, from when somebody began to wait
 */
export function scaleState(readings: readonly ScaleReading[]): ScaleState {
  const last = readings[readings.length - 1];
  if (!last) return { is: 'waiting' };
  if (last.overload) return { is: 'overload' };
  // Whatever was shown before an overload or a gap belongs to another load.
  const broken = readings.findLastIndex((r) => r.overload || r.g === undefined);
  const sound = readings.slice(broken + 1);
  const shown = sound.map((r) => [r.atMs, r.g as number] as const);
  const recent = shown.filter(([at]) => at > last.atMs - WINDOW_MS);
  if (recent.length === 0) return { is: 'waiting' };
  const [low, high] = [Math.min(...recent.map(([, g]) => g)), Math.max(...recent.map(([, g]) => g))];
  const mean = recent.reduce((sum, [, g]) => sum + g, 0) / recent.length;
  const long = (shown[0]?.[0] ?? last.atMs) <= last.atMs - WINDOW_MS && recent.length >= LEAST_READINGS;
  const still = high - low <= Math.max(SWING_G, Math.abs(mean) * SWING_SHARE);
  const creep = creepOf(recent);
  if (long && still && Math.abs(creep) <= CREEP_G_PER_MIN) return { is: 'steady', g: mean };
  if (last.atMs - (readings[0] as ScaleReading).atMs < PATIENCE_MS) return { is: 'waiting', g: last.g };
  const slow = creepOf(shown.filter(([at]) => at > last.atMs - 2 * WINDOW_MS));
  // A swing with a direction is a drift; one without is noise.
  const drifts = Math.abs(slow) * (WINDOW_MS / 60_000) > (high - low) / 2;
  return drifts
    ? { is: 'drifting', g: last.g as number, gPerMin: slow }
    : { is: 'noisy', g: mean, spreadG: high - low };
}
