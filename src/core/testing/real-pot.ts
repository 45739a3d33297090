import {
  boiling,
  brixOf,
  dipOf,
  isOnHeat,
  onHeat,
  estimateBatch,
  type OnHeat,
  type RunningBatch,
} from '../batch';
import type { WrittenBatchEvent } from '../kitchen-file';
import {
  copyPot,
  doStep,
  emptyPot,
  isIdle,
  liquidG,
  liquidMl,
  noReport,
  piecesG,
  saltPct,
  servedMl,
  type Heat,
  type Lid,
  type PotState,
  type ProcessConstants,
} from '../pot';
import { VERBS, type Pot, type PotDoing } from '../verbs';

/** Numbers that look like chance, the same every time for a seed: normally distributed, by Box and Muller. */
export function chance(seed: number): () => number {
  let s = seed;
  const uniform = (): number => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return (s + 0.5) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/** What goes wrong with a pot now and then. */
export type Slip =
  'lid forgotten' | 'left to boil' | 'over-reduced' | 'oversalted' | 'slow cooling' | 'misread';

/** A pot as it really is, which nobody knows: how fast it boils away, and what went wrong. */
export interface Truth {
  /** So many times what the table says, of a heat under a lid. */
  readonly times: (heat: Heat, lid: Lid) => number;
  readonly normal: () => number;
  /** How much bones really give and labour really takes, as a multiple of the value in use; left out, nobody measures it. */
  readonly gave?: number | undefined;
  readonly hands?: number | undefined;
  /** What really stays behind in solids, strainers and machines, and how full portions really are, as a multiple of the value in use; and whether both sides of such a line are read. */
  readonly left?: number | undefined;
  readonly over?: number | undefined;
  readonly readsBoth?: boolean | undefined;
  readonly slip?: Slip | undefined;
}

/** A batch that is cooked in earnest. */
export interface CookedPot {
  readonly pot: Pot;
  /** Ids of its lines. */
  readonly lines: readonly string[];
  readonly startedAt: number;
  readonly by: string;
  readonly id: () => string;
}

const leaves = (step: { readonly do: string }): boolean =>
  step.do === 'strain' || step.do === 'puree' || step.do === 'sieve';

const MINUTE = 60_000;
/** min that a line takes that is done at once, and what hands make of it. */
const AT_ONCE = { least: 2, scatter: 2 } as const;
/** min of hands that somebody says of a line, by what it does; of others nobody says anything. */
const AT_ONCE_MIN: Readonly<Partial<Record<string, number>>> = { strain: 9, puree: 12, sieve: 10 };
/** h between two dips of a cook who walks by, and cm by which a ruler is misread. */
const DIPS_APART_H = 1.2;
const RULER_CM = 0.2;
/** One standard deviation of a jug and of a scale, as shares. */
const JUG = 0.01;
const SCALE = 0.004;
/** How many times as long a pot stands that somebody has forgotten. */
const OVER = 1.12;
/** °C of a pot that leaves the heat, of what surrounds it in ice, and 1/h at which it cools: as it should, and left in a corner. */
const COOLS = { from: 94, around: 2, fast: 1.9, slow: 0.42, every: 0.5 } as const;

/** A pot as it really stands at a moment: what a ruler, a jug, a scale, a meter and a probe would say of it if they erred in nothing. */
export interface StandsTruly {
  readonly dipCm: number;
  readonly l: number;
  readonly kg: number;
  readonly celsius: number;
  readonly saltPct: number;
  readonly bx: number;
}

/** What is told of a batch that changes the pot itself; the rest are readings, which it does not listen to. */
const DOES: ReadonlySet<WrittenBatchEvent['is']> = new Set(['done', 'rescue', 'off', 'otherwise', 'night']);
/** h a pot cools with in its place, for each cm of depth. */
const COOLS_IN = { kitchen: 0.26, 'cold room': 0.15, 'ice bath': 0.04, 'blast chiller': 0.05 } as const;
const AROUND_IN = { kitchen: 21, 'cold room': 3, 'ice bath': 1, 'blast chiller': -6 } as const;

/**
 * A running batch as its pot really stands, which boils away so many times as fast as anybody told the model.
 * @returns undefined where a line could not be done
 */
export function standsTruly(
  of: RunningBatch,
  times: number,
  now: number,
  c: ProcessConstants,
): StandsTruly | undefined {
  const boils = of.pot.steps.flatMap((s) =>
    isOnHeat(s) ? [{ heat: s.heat, lid: s.lid, times, sd: 0.001 }] : [],
  );
  const off = of.events.find((e) => e.is === 'off');
  const truly: RunningBatch = {
    ...of,
    pot: { ...of.pot, vessel: { ...of.pot.vessel, boils } },
    events: of.events.filter((e) => DOES.has(e.is)),
  };
  const { pot } = estimateBatch(truly, off ? Math.min(now, Date.parse(off.at)) : now, c);
  if (!pot) return undefined;
  return {
    dipCm: dipOf(pot),
    l: liquidMl(pot.liquid) / 1000,
    kg: (liquidG(pot.liquid) + piecesG(pot)) / 1000,
    celsius: off ? cooled(of.events, Date.parse(off.at), now, pot.celsius) : pot.celsius,
    saltPct: saltPct(pot),
    bx: brixOf(pot),
  };
}

/** °C of a pot since its heat went off, by where it was put. */
function cooled(events: RunningBatch['events'], offAt: number, now: number, from: number): number {
  const moves = events.flatMap((e) =>
    e.is === 'moved' ? [{ ms: Date.parse(e.at), to: e.to, depthCm: e.depthCm }] : [],
  );
  const first = { ms: offAt, to: 'kitchen' as const, depthCm: 15 };
  let celsius = from;
  for (const [i, { ms, to, depthCm }] of [first, ...moves].entries()) {
    const until = Math.min(now, moves[i]?.ms ?? now);
    const h = Math.max(0, until - ms) / 3_600_000;
    celsius = AROUND_IN[to] + (celsius - AROUND_IN[to]) * Math.exp(-h / (COOLS_IN[to] * depthCm));
  }
  return celsius;
}

/** What is told of a batch that is cooked in earnest: by a cook who dips now and then, does lines when they are due, and slips. */
export function cookInEarnest(of: CookedPot, truth: Truth, c: ProcessConstants): WrittenBatchEvent[] {
  const cook = new Cook(of, truth, c);
  return cook.cooks();
}

class Cook {
  private pot: PotState;
  private at: number;
  private readonly events: WrittenBatchEvent[] = [];
  private slipped = false;

  constructor(
    private readonly of: CookedPot,
    private readonly truth: Truth,
    private readonly c: ProcessConstants,
  ) {
    this.pot = emptyPot(of.pot.vessel, of.pot.hob, c.addedCelsius);
    this.at = of.startedAt;
  }

  cooks(): WrittenBatchEvent[] {
    for (const [i, step] of this.of.pot.steps.entries()) {
      if (isIdle(step)) continue;
      if (isOnHeat(step)) this.heats(step);
      else {
        this.at += (AT_ONCE.least + Math.abs(this.truth.normal()) * AT_ONCE.scatter) * MINUTE;
        if (step.do === 'chill') this.at += MINUTE * 45;
        if (step.do === 'puree' || step.do === 'sieve') this.weighs();
        doStep(VERBS, this.pot, this.really(step), this.c, noReport());
      }
      if (this.truth.slip === 'oversalted' && i === this.of.pot.steps.length - 2) this.salts();
      const usual = this.truth.hands === undefined ? undefined : AT_ONCE_MIN[step.do];
      const handsMin =
        usual === undefined
          ? {}
          : {
              handsMin: Math.max(
                0.5,
                Math.round(usual * (this.truth.hands ?? 1) * (1 + 0.2 * this.truth.normal()) * 2) / 2,
              ),
            };
      this.tell({ is: 'done', step: this.of.lines[i] ?? '', ...handsMin });
      if (step.do === 'strain') this.meters();
      if (leaves(step)) this.weighs();
    }
    this.ends();
    return this.events;
  }

  /** A line as it really goes: more or less stays behind than the sheet says. */
  private really(step: PotDoing): PotDoing {
    const { left = 1 } = this.truth;
    const share = (loss: number): number => Math.min(0.9, loss * left);
    if (step.do === 'puree') return { ...step, loss: share(step.loss ?? this.c.puree.loss) };
    if (step.do === 'sieve') return { ...step, loss: share(step.loss ?? this.c.sieveLoss) };
    if (step.do === 'strain')
      this.pot.pieces = this.pot.pieces.map((p) => {
        const { retention, retentionPressed } = p.stuff;
        const stuff = {
          ...p.stuff,
          retention: retention * left,
          retentionPressed: retentionPressed * left,
        };
        return { ...p, stuff };
      });
    return step;
  }

  /** How much there is beside a line at which something stays behind: by a jug, or by the scale while there are pieces in it. */
  private weighs(): void {
    if (this.truth.readsBoth !== true) return;
    const { liquid, pieces } = this.pot;
    this.at += MINUTE;
    if (pieces.length === 0) {
      const l = (liquidMl(liquid) / 1000) * (1 + JUG * this.truth.normal());
      this.tell({ is: 'litres', l: Number(l.toFixed(2)) });
    } else {
      const kg = ((liquidG(liquid) + piecesG(this.pot)) / 1000) * (1 + SCALE * this.truth.normal());
      this.tell({ is: 'kilos', kg: Number(kg.toFixed(2)) });
    }
    this.at += MINUTE;
  }

  private tell(what: object): void {
    const stamp = new Date(Math.round(this.at / 1000) * 1000).toISOString();
    this.events.push({
      ...what,
      id: this.of.id(),
      at: stamp,
      recordedAt: stamp,
      by: this.of.by,
    } as WrittenBatchEvent);
  }

  private dips(off = 0): void {
    const cm = dipOf(this.pot) + this.truth.normal() * RULER_CM + off;
    this.tell({ is: 'dip', cm: Math.max(0, Number(cm.toFixed(1))), with: 'ruler' });
  }

  /** How it really boils in this line: another lid or another flame than anybody thinks, where somebody slipped. */
  private fire(step: OnHeat): { readonly step: OnHeat; readonly times: number; readonly found?: string } {
    const { heat, lid } = step;
    const { slip } = this.truth;
    const times = this.truth.times(heat, lid);
    if (this.slipped) return { step, times };
    if (slip === 'lid forgotten' && step.do === 'cook' && step.hours > 1) {
      this.slipped = true;
      return { step: { ...step, lid: 'on' }, times, found: 'the lid had been on all the time' };
    }
    if (slip === 'left to boil' && step.do === 'cook' && step.hours > 1) {
      this.slipped = true;
      return { step, times: times * 2.4, found: 'found it boiling, turned it down' };
    }
    return { step, times };
  }

  private heats(step: OnHeat): void {
    const { step: real, times, found } = this.fire(step);
    const c = boiling(this.c, real.heat, times);
    const hours =
      real.do === 'reduce'
        ? this.reduces(real, c)
        : real.hours * (1 + 0.03 * this.truth.normal()) + this.upOf(real, c);
    const looks = Math.max(hours > 0.4 ? 2 : 1, Math.floor(hours / DIPS_APART_H));
    const start = copyPot(this.pot);
    const began = this.at;
    for (let n = 1; n <= looks; n += 1) {
      const h = (hours * n) / (looks + 0.5);
      this.pot = onHeat(start, c, real, [h]).at[0] as PotState;
      this.at = began + h * 60 * MINUTE;
      this.dips();
      if (this.truth.slip === 'misread' && !this.slipped) this.misreads();
    }
    this.pot = onHeat(start, c, real, [hours]).at[0] as PotState;
    this.at = began + hours * 60 * MINUTE;
    if (found !== undefined) this.note(found);
    if (step.do === 'reduce' && this.truth.slip === 'over-reduced' && !this.slipped) {
      this.slipped = true;
      this.tell({ is: 'taste', thick: 'thick' });
      this.dips();
      this.note('forgot it, far too thick');
      this.waters('too thick', 0.3);
    }
  }

  /** A dip read from the wrong end of the ruler, and what it was. */
  private misreads(): void {
    this.slipped = true;
    this.at += MINUTE;
    this.dips(-6);
    const reading = this.events.at(-1)?.id;
    this.at += MINUTE;
    this.tell({ is: 'answered', reading, as: 'misread' });
  }

  private note(text: string): void {
    this.tell({ is: 'note', text });
  }

  /** What was strained is read by a refractometer: bones gave more or less than the value in use. */
  private meters(): void {
    const { gave } = this.truth;
    if (gave === undefined) return;
    const bx = brixOf(this.pot) * gave + 0.15 * this.truth.normal();
    this.at += MINUTE;
    this.tell({ is: 'brix', bx: Number(Math.max(0, bx).toFixed(1)) });
  }

  /** Somebody salts it twice. */
  private salts(): void {
    this.pot.liquid.salt += liquidMl(this.pot.liquid) * 0.006;
    this.at += 2 * MINUTE;
    this.tell({ is: 'taste', salt: 'salty' });
    this.tell({ is: 'salt', pct: Number((saltPct(this.pot) + 0.03 * this.truth.normal()).toFixed(2)) });
    this.note('was salted twice');
    this.waters('too salty', 0.25);
  }

  /** Put right with water: a share of what is there. */
  private waters(problem: 'too thick' | 'too salty', share: number): void {
    const ml = Math.round((liquidMl(this.pot.liquid) * share) / 50) * 50;
    this.pot.liquid.water += ml;
    this.at += 3 * MINUTE;
    this.tell({ is: 'rescue', problem, steps: [{ do: 'water', amount: `${ml} ml` }] });
  }

  /** h until it is hot. */
  private upOf(step: OnHeat, c: ProcessConstants): number {
    return onHeat(this.pot, c, step, [0]).upHours;
  }

  /** h of a reduction: till its goal, as a cook finds it, or till somebody thinks of it again. */
  private reduces(step: OnHeat, c: ProcessConstants): number {
    const report = noReport();
    VERBS[step.do].run(copyPot(this.pot), step as never, c, report);
    const over = this.truth.slip === 'over-reduced' && !this.slipped ? OVER : 1;
    return ((report.upHours ?? 0) + report.heatHours) * over * (1 + 0.02 * this.truth.normal());
  }

  /** Whole portions that went out, where the sheet portions it and somebody counts them. */
  private portions(): { readonly portions?: number } {
    const { over } = this.truth;
    const step = this.of.pot.steps.findLast((s) => s.do === 'portion');
    if (over === undefined || step?.do !== 'portion') return {};
    return { portions: Math.floor(servedMl(this.pot) / (step.ml * (1 + step.overfill) * over)) };
  }

  /** The heat goes off, it cools, and somebody says how much there is. */
  private ends(): void {
    const off = this.at;
    this.tell({ is: 'off' });
    const k =
      this.truth.slip === 'slow cooling' ? COOLS.slow : COOLS.fast * Math.exp(0.2 * this.truth.normal());
    this.at += 5 * MINUTE;
    const l = (servedMl(this.pot) / 1000) * (1 + 0.015 * this.truth.normal());
    this.tell({ is: 'ended', l: Number(Math.max(0, l).toFixed(l > 10 ? 1 : 2)), ...this.portions() });
    for (let h: number = COOLS.every; h <= 6; h += COOLS.every) {
      this.at = off + h * 60 * MINUTE;
      const celsius =
        COOLS.around + (COOLS.from - COOLS.around) * Math.exp(-k * h) + 0.4 * this.truth.normal();
      this.tell({ is: 'degrees', celsius: Number(celsius.toFixed(1)) });
      if (celsius < 5) break;
    }
  }
}
