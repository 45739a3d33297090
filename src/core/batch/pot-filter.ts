import type { WrittenBatchEvent } from '../kitchen-file';
import {
  copyPot,
  doStep,
  emptyPot,
  liquidG,
  liquidMl,
  noReport,
  scaleLiquid,
  type PotRun,
  type PotState,
  type ProcessConstants,
} from '../pot';
import type { Trouble } from '../trouble';
import { VERBS, type Pot, type PotDoing } from '../verbs';
import {
  beliefOf,
  boiling,
  learnSpeed,
  onHeat,
  speedsOf,
  spreadOf,
  type Belief,
  type SpeedPosterior,
  type OnHeat,
  type Speeds,
} from './evaporation';
import { isPotChange, BatchLog, type PotChange, type AmountReading } from './batch-log';
import { chilled, metered, refracted, type MeterReading } from './meters';
import { measuredAmount, type MeasuredAmount } from './readings';

/** A batch ready to be followed. Instants are ms since 1970. */
export interface RunningBatch {
  readonly pot: Pot;
  /** Ids of its lines, in their order. */
  readonly lines: readonly string[];
  readonly startedAt: number;
  readonly events: readonly WrittenBatchEvent[];
  /** Lines of rescues as the pot can do them, by the id of their event. */
  readonly rescues: Readonly<Record<string, readonly PotDoing[]>>;
}

/** A reading that cannot be, beside what could: ml. */
export interface DoubtfulReading {
  readonly reading: string;
  readonly why: 'rose' | 'fell';
  readonly says: number;
  /** The most, or the least, that could be there. */
  readonly limit: number;
}

/** A reading on the curve: h since the batch began, and ml at 20 °C of what could be poured. */
export interface CurvePoint {
  readonly reading: string;
  readonly h: number;
  readonly ml: number;
  /** One standard deviation of it, ml. */
  readonly sd: number;
}

type Taken = PotRun['inputs'][number] extends infer T ? Omit<T, 'step'> : never;

export const HOUR = 3_600_000;
/** h between two steps on the heat: a forecast need not be told to the minute. */
export const STEP_H = 1 / 30;
/** How far from the model the litres are before anything has been read, as a share of what came in: amounts are poured by eye. */
export const POURED_SD = 0.015;
/** How far what stays behind in solids, strainers, machines and on walls may be from the value in use, as a share of it (judgement; retention is told as a range of a third). */
const LEFT = 0.2;
const LEFT_IN = ['held in solids', 'clung', 'left in the blender', 'left in the sieve'] as const;
/** How far what has stayed behind may be from the value in use, g: one standard deviation. */
export const leftBehindSdG = ({ lost }: { readonly lost: Partial<PotState['lost']> }): number =>
  LEFT * LEFT_IN.reduce((g, loss) => g + (lost[loss] ?? 0), 0);
/** How many standard deviations off a reading is asked about. */
const SURE = 3.5;

/** A stretch on the heat, as far as it has gone: what each speed makes of it. */
export interface FilterStretch {
  readonly speeds: Speeds;
  readonly offG: readonly number[];
  readonly offSd: number;
  /** The pot at its end, for each speed, before the offset. */
  readonly ends: readonly PotState[];
  readonly upHours: number;
  /** The line, at the heat it stands at. */
  readonly step: OnHeat;
}

/**
 * A pot followed through its lines: it stands as the model says, corrected by what was read. A reading corrects water: salt, gelatin
 * and fat stay what they are, so that their shares move.
 */
export class PotFilter {
  pot: PotState;
  readonly heard: BatchLog;
  /** What went in, in its order. */
  readonly inputs: Taken[] = [];
  readonly asked: DoubtfulReading[] = [];
  readonly curve: CurvePoint[] = [];
  readonly c: ProcessConstants;
  /** What came out of bones and vegetables, in times of what is said of them, by the surest that was read of it; undefined where nothing was. */
  gave: number | undefined;
  /** How sure that is: its standard deviation. */
  gaveSd = Infinity;
  /** How far its water may be from what is said, g: one standard deviation. */
  private sd = 0;
  /** What this batch has taught of how fast it boils away, by heat and lid. */
  private readonly beliefs = new Map<string, { readonly of: Pick<OnHeat, 'heat' | 'lid'>; belief: Belief }>();

  constructor(
    private readonly of: RunningBatch,
    c: ProcessConstants,
  ) {
    this.c = { ...c, stepH: STEP_H };
    this.heard = new BatchLog(of);
    this.pot = emptyPot(of.pot.vessel, of.pot.hob, c.addedCelsius);
  }

  /** One standard deviation of how much is there, ml. */
  get spreadMl(): number {
    return this.sd;
  }

  hours(ms: number): number {
    return (ms - this.of.startedAt) / HOUR;
  }

  /** A line that is not left on the heat, done as it is written. What came in was weighed or poured. */
  do(step: PotDoing): Trouble | undefined {
    const before = liquidG(this.pot.liquid);
    const left = leftBehindSdG(this.pot);
    const report = noReport();
    const cannot = doStep(VERBS, this.pot, step, this.c, report);
    if (cannot) return cannot;
    this.inputs.push(...report.inputs);
    const after = liquidG(this.pot.liquid);
    const stays = before > 0 ? Math.min(1, after / before) : 1;
    this.sd = Math.hypot(
      this.sd * stays,
      Math.max(0, after - before) * POURED_SD,
      leftBehindSdG(this.pot) - left,
    );
    return undefined;
  }

  /** Readings of a pot that nothing is done to: each moves its water to where both are most likely right. */
  dependsOn(from: number, to: number): void {
    for (const read of this.heard.between(from, to)) {
      if (isPotChange(read)) {
        this.change(read);
        continue;
      }
      const m = measuredAmount(read, this.pot);
      if (this.asks(read, m, Math.hypot(m.sd, this.sd * m.perG), 0)) continue;
      this.take(read, m);
      this.draw(read, this.pot);
    }
  }

  /** What changes the pot at once: a salt meter’s word, or the lines of a rescue; one that cannot be done changes nothing. */
  private change(next: PotChange): void {
    const { liquid } = this.pot;
    if ('pct' in next) return metered(liquid, next.pct);
    if ('bx' in next) return this.teaches(refracted(liquid, next.bx));
    if ('gels' in next) return this.teaches(chilled(liquid, next.gels, this.c));
    // A flame under a pot that stands on none changes nothing.
    if ('heat' in next) return;
    for (const step of next.steps) {
      const before = copyPot(this.pot);
      if (this.do(step)) this.pot = before;
    }
  }

  /** What one reading says by itself; a surer one before it stands. */
  private teaches(gave: MeterReading | undefined): void {
    if (!gave || gave.sd > this.gaveSd) return;
    this.gave = gave.times;
    this.gaveSd = gave.sd;
  }

  /** Takes a reading of a pot at rest, as it was answered where it was asked about. */
  private take(read: AmountReading, m: MeasuredAmount): void {
    const as = this.heard.answers.get(read.id);
    const off = (m.value - m.foretold) / m.perG;
    const error = m.sd / m.perG;
    if (as === 'lost') this.lose(off);
    else if (as !== undefined) this.shift(off);
    else {
      const gain = this.sd ** 2 / (this.sd ** 2 + error ** 2 || 1);
      this.shift(off * gain);
      this.sd *= Math.sqrt(1 - gain);
      return;
    }
    this.sd = error;
  }

  private shift(g: number): void {
    this.pot.liquid.water = Math.max(0, this.pot.liquid.water + g);
  }

  /** Something drawn off, spilled or boiled over: its share of everything in the liquid. */
  private lose(g: number): void {
    const all = liquidG(this.pot.liquid);
    if (all > 0 && g < 0) scaleLiquid(this.pot.liquid, Math.max(0, 1 + g / all));
  }

  private draw(read: AmountReading, pot: PotState): void {
    const m = measuredAmount(read, pot);
    const ml = liquidMl(pot.liquid) + (m.value - m.foretold) / m.perG;
    this.curve.push({ reading: read.id, h: this.hours(read.ms), ml, sd: m.sd / m.perG });
  }

  /**
   * Whether a reading cannot be, and nobody has said yet what it was: it is asked about, and counts for nothing till then.
   * @param sd of the reading and of what is foretold together
   * @param couldGo how much more than foretold could have boiled away
   */
  private asks(read: AmountReading, m: MeasuredAmount, sd: number, couldGo: number): boolean {
    const off = m.value - m.foretold;
    const rose = off > SURE * sd;
    const fell = off < -SURE * sd - couldGo;
    if (this.heard.answers.has(read.id) || !(rose || fell)) return false;
    const ml = liquidMl(this.pot.liquid);
    const limit = ml + (rose ? SURE * sd : -SURE * sd - couldGo);
    this.asked.push({ reading: read.id, why: rose ? 'rose' : 'fell', says: ml + off, limit });
    return true;
  }

  /** A line that stands on the heat from one moment to another, with what was read in it; readings that were answered part it. */
  heats(step: OnHeat, from: number, to: number): FilterStretch {
    const before = this.pot.beforeHeatMl ?? liquidMl(this.pot.liquid);
    let begun = from;
    let on = step;
    let reads: AmountReading[] = [];
    for (const next of this.heard.between(from, to)) {
      if (!isPotChange(next) && !this.heard.answers.has(next.id)) {
        reads.push(next);
        continue;
      }
      this.stands(on, begun, next.ms, reads);
      if ('heat' in next) on = { ...step, heat: next.heat ?? step.heat };
      else if (isPotChange(next)) this.change(next);
      else {
        this.take(next, measuredAmount(next, this.pot));
        this.draw(next, this.pot);
      }
      [begun, reads] = [next.ms, []];
    }
    const stretch = this.stands(on, begun, to, reads);
    this.pot.beforeHeatMl = before;
    return stretch;
  }

  /** What is believed of a heat under a lid: what this batch has taught, else what the table says. */
  belief({ heat, lid }: OnHeat): Belief {
    return (
      this.beliefs.get(`${heat} ${lid}`)?.belief ?? {
        mu: 0,
        sd: spreadOf(heat, lid, this.pot.vessel),
      }
    );
  }

  /** What is believed of each heat and lid it has stood at. */
  *learned(): Generator<readonly [Pick<OnHeat, 'heat' | 'lid'>, Belief]> {
    for (const { of, belief } of this.beliefs.values()) yield [of, belief];
  }

  private stands(step: OnHeat, from: number, to: number, reads: readonly AmountReading[]): FilterStretch {
    const start = this.pot;
    const belief = this.belief(step);
    const hours = (ms: number): number => (ms - from) / HOUR;
    const tell = (speeds: Speeds, of: readonly AmountReading[]) =>
      speeds.map(({ times }) =>
        onHeat(start, boiling(this.c, step.heat, times), step, [...of.map((r) => hours(r.ms)), hours(to)]),
      );
    const wide = speedsOf(belief);
    const told = tell(wide, reads);
    const kept = this.possible(
      reads,
      wide,
      told.map((t) => t.at),
    );
    const near = beliefOf(kept.learned.speeds);
    const speeds = kept.reads.length > 0 ? speedsOf(belief, near) : wide;
    const again = kept.reads.length > 0 ? tell(speeds, kept.reads) : told;
    const learned = learnSpeed(
      speeds,
      kept.reads,
      again.map((t) => t.at),
      this.sd,
    );
    const { heat, lid } = step;
    this.beliefs.set(`${heat} ${lid}`, { of: { heat, lid }, belief: beliefOf(learned.speeds) });
    const ends = again.map((t) => t.at.at(-1) as PotState);
    this.settle(
      step,
      learned,
      ends,
      start,
      hours(to),
      kept.reads,
      again.map((t) => t.at),
    );
    return {
      speeds: learned.speeds,
      offG: learned.offG,
      offSd: learned.offSd,
      ends,
      upHours: told[0]?.upHours ?? 0,
      step,
    };
  }

  /** Readings that can be, one after the other by what those before have taught; the others are asked about. */
  private possible(
    reads: readonly AmountReading[],
    speeds: Speeds,
    told: readonly (readonly PotState[])[],
  ): { readonly reads: readonly AmountReading[]; readonly learned: SpeedPosterior } {
    const kept: number[] = [];
    const fit = (): SpeedPosterior =>
      learnSpeed(
        speeds,
        kept.map((j) => reads[j] as AmountReading),
        told.map((t) => kept.map((j) => t[j] as PotState)),
        this.sd,
      );
    let learned = fit();
    for (const [j, read] of reads.entries()) {
      const ms = speeds.map((_, k) => measuredAmount(read, told[k]?.[j] as PotState));
      const says = ms.map((m, k) => m.foretold + m.perG * (learned.offG[k] ?? 0));
      const w = learned.speeds.map((s) => s.weight);
      const mean = says.reduce((sum, x, k) => sum + x * (w[k] ?? 0), 0);
      const scatter = says.reduce((sum, x, k) => sum + (x - mean) ** 2 * (w[k] ?? 0), 0);
      const m = ms[0] as MeasuredAmount;
      const sd = Math.hypot(m.sd, learned.offSd * m.perG, Math.sqrt(scatter));
      if (this.asks(read, { ...m, foretold: mean }, sd, this.couldStillGo(read, told, j, says))) continue;
      kept.push(j);
      learned = fit();
    }
    return { reads: kept.map((j) => reads[j] as AmountReading), learned };
  }

  /** How much more than the fastest that is believed the hob could drive off till a reading, g; nothing where it knows no limit. */
  private couldStillGo(
    read: AmountReading,
    told: readonly (readonly PotState[])[],
    j: number,
    says: readonly number[],
  ): number {
    const pot = told[0]?.[j];
    const { netKw } = this.pot.hob;
    if (!pot || netKw === null) return 0;
    const hours = Math.max(0, pot.hobHours - this.pot.hobHours);
    const most = (netKw * hours * 3600 * 1000) / this.c.latentKj;
    const foretold = measuredAmount(read, this.pot).foretold - Math.min(...says);
    return Math.max(0, most - foretold);
  }

  /** The pot at the end of a stretch, at the middle of what is believed, with what was read. */
  private settle(
    step: OnHeat,
    { speeds, offG, offSd }: SpeedPosterior,
    ends: readonly PotState[],
    start: PotState,
    hours: number,
    reads: readonly AmountReading[],
    told: readonly (readonly PotState[])[],
  ): void {
    const mean = (of: (k: number) => number): number =>
      speeds.reduce((sum, { weight }, k) => sum + weight * of(k), 0);
    const ml = (k: number): number => liquidMl((ends[k] as PotState).liquid) + (offG[k] ?? 0);
    const middle = mean(ml);
    this.sd = Math.hypot(offSd, Math.sqrt(mean((k) => (ml(k) - middle) ** 2)));
    const times = Math.exp(beliefOf(speeds).mu);
    const [pot] = onHeat(start, boiling(this.c, step.heat, times), step, [hours]).at;
    this.pot = copyPot(pot as PotState);
    this.shift(mean((k) => offG[k] ?? 0));
    const likely = speeds.reduce((best, s, k) => (s.weight > (speeds[best]?.weight ?? 0) ? k : best), 0);
    for (const [j, read] of reads.entries()) this.draw(read, told[likely]?.[j] as PotState);
  }
}
