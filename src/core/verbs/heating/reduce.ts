import { z } from 'zod';
import {
  becomePot,
  body,
  bringTo,
  copyPot,
  dipAt,
  fireOf,
  gelatinPct,
  heatForHours,
  HEATS,
  heatUntil,
  levelCm,
  LIDS,
  liquidMl,
  litres,
  LONGEST_H,
  percent,
  saltPct,
  trouble,
  type Doing,
  type Fire,
  type Heat,
  type Lid,
  type PotState,
  type ProcessConstants,
  type StepReport,
} from '../../pot';
import { readNumber, type Kind } from '../../quantity';
import { asks, matchAt } from '../../said';
import { fine, refuse, under, type Outcome, type Trouble } from '../../trouble';
import { doing, Typed } from '../../written';
import { spirits } from '../cautions';
import { boiledDry, burnerLimits } from './heat-warnings';
import { LID_WORDS, takeLid } from './heat-words';
import { then, valueIn } from '../resolving';
import type { Shelf } from '../shelf';
import { asItIs, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const Reduce = doing('reduce', {
  until: z.enum(['share', 'volume', 'dip', 'gelatin', 'salt', 'body', 'time']),
  to: Typed.describe('what is left: "1/4", "3 l", "33 cm" from the rim, "8 %", "1" (body), "20 min"'),
  heat: z.enum(HEATS),
  lid: z.enum(LIDS),
});
type Written = z.infer<typeof Reduce>;

/** What a reduction is taken down (or up) to. Volumes at 20 °C, dips read hot, times in h. */
export interface ReduceTo {
  readonly until: 'share' | 'ml' | 'dip' | 'gelatin' | 'salt' | 'body' | 'hours';
  readonly value: number;
}

export interface ReduceStep extends Doing {
  readonly do: 'reduce';
  readonly heat: Heat;
  readonly lid: Lid;
  readonly to: ReduceTo;
}

/** How a pot is reduced where nobody says: as hard as its burner can. */
const USUALLY = { heat: 'hard boil', lid: 'off' } as const;

/** A target said in everyday words, at the usual heat. */
const reduceTo = (until: Written['until'], to: string): Written => ({ do: 'reduce', until, to, ...USUALLY });

/** What stays when so much goes: two thirds of it after a third. */
function left(share: string): string {
  const [, n, of] = /^(\d+)\/(\d+)$/.exec(share) ?? [];
  if (n !== undefined && of !== undefined) return `${Number(of) - Number(n)}/${of}`;
  return `${100 - Number(share.replace('%', '').trim())} %`;
}

const SHARE_OF: Readonly<Record<string, string>> = {
  'by half': '1/2',
  'to half': '1/2',
  'to a half': '1/2',
  'by two thirds': '1/3',
  'to a third': '1/3',
  'by three quarters': '1/4',
  'to a quarter': '1/4',
  'to an eighth': '1/8',
};
/** Shares that are said rather than counted. */
const SAID_SHARES: Readonly<Record<string, string>> = {
  '1/2': 'by half',
  '1/3': 'by two thirds',
  '1/4': 'to a quarter',
  '1/8': 'to an eighth',
};
const HEAT_WORDS: Readonly<Record<Heat, string>> = {
  'bare simmer': ' at a bare simmer',
  simmer: ' at a simmer',
  'brisk boil': ' at a brisk boil',
  'hard boil': '',
  'wide pan': ' in a wide pan',
};
const HEAT_TAILS: readonly (readonly [RegExp, Heat])[] = [
  [/\s+at a bare simmer$/i, 'bare simmer'],
  [/\s+at a simmer$/i, 'simmer'],
  [/\s+at a brisk boil$/i, 'brisk boil'],
  [/\s+at a hard boil$/i, 'hard boil'],
  [/\s+in a wide pan$/i, 'wide pan'],
];
const TARGETS: readonly (readonly [RegExp, Written['until']])[] = [
  [/^to (.+) of it$/i, 'share'],
  [/^to a dip of (.+)$/i, 'dip'],
  [/^to (.+) gelatin$/i, 'gelatin'],
  [/^to (.+) salt$/i, 'salt'],
  [/^to body (.+)$/i, 'body'],
  [/^for (.+)$/i, 'time'],
  [/^to (.+)$/i, 'volume'],
];

/** `by half at a simmer`, from behind the verb. */
function readReduce(text: string): Outcome<Written> {
  const { rest, lid } = takeLid(text);
  const tail = HEAT_TAILS.find(([pattern]) => pattern.test(rest));
  const said = (tail ? rest.replace(tail[0], '') : rest).trim();
  const heat = tail?.[1] ?? USUALLY.heat;
  const to = (until: Written['until'], value: string): Outcome<Written> =>
    fine({ do: 'reduce', until, to: value.trim(), heat, lid });
  const share = SHARE_OF[said.toLowerCase()];
  if (share) return to('share', share);
  for (const [pattern, until] of TARGETS) {
    const match = pattern.exec(said);
    if (match) return to(until, matchAt(match, 1));
  }
  return refuse('not-understood', '', texts.reduceNeedsTargetHalf(said));
}

function targetWords(step: Written): string {
  switch (step.until) {
    case 'share':
      return SAID_SHARES[step.to] ?? `to ${step.to} of it`;
    case 'volume':
      return `to ${step.to}`;
    case 'dip':
      return `to a dip of ${step.to}`;
    case 'gelatin':
    case 'salt':
      return `to ${step.to} ${step.until}`;
    case 'body':
      return `to body ${step.to}`;
    case 'time':
      return `for ${step.to}`;
  }
}

function targetIn(shelf: Shelf, until: Written['until'], to: string): Outcome<ReduceTo> {
  const amount = (kind: Kind, as: ReduceTo['until'], times = 1): Outcome<ReduceTo> =>
    then(valueIn(shelf, kind, to, 'to'), (value) => ({ until: as, value: value * times }));
  switch (until) {
    case 'volume':
      return amount('volume', 'ml');
    case 'dip':
      return amount('length', 'dip');
    case 'time':
      return amount('time', 'hours');
    case 'gelatin':
    case 'salt':
      return amount('share', until, 100);
    case 'share':
    case 'body': {
      if (until === 'share' && to.trim().endsWith('%')) return amount('share', 'share');
      const read = readNumber(to, shelf.manner.mark);
      return read.ok
        ? fine({ until, value: read.value.toNumber() })
        : { ok: false, trouble: under('to', read.trouble) };
    }
  }
}

/** One way to say when to stop: how far it still is (above 0 until it is reached), and its words. */
interface Target {
  readonly left: (pot: PotState) => number;
  readonly said: string;
  readonly shown: (pot: PotState) => string;
  readonly value: number;
  readonly at: (pot: PotState) => number;
}

/** Targets no pot could have, refused before it goes on the heat. */
function impossible(to: ReduceTo, startMl: number): Trouble | undefined {
  if (to.until === 'share' && !(to.value > 0 && to.value < 1))
    return trouble(
      'share-out-of-range',
      `Reduce to ${(to.value * 100).toFixed(0)} %: a reduction leaves above 0 and less than 100 % of the ${litres(startMl)} there are.`,
      to.value,
      1,
    );
  if (to.until === 'ml' && to.value >= startMl)
    return trouble(
      'reduce-to-more',
      `Reduce to ${litres(to.value)}: there are only ${litres(startMl)} in the pot.`,
      to.value,
      startMl,
    );
  if (!(to.value > 0))
    return trouble(
      'target-out-of-range',
      `A reduction needs a target above 0; it says ${to.value}.`,
      to.value,
      0,
    );
  return undefined;
}

const rising = (
  of: (p: PotState) => number,
  goal: number,
  said: string,
  show: (x: number) => string,
): Target => ({ left: (p) => goal - of(p), said, shown: (p) => show(of(p)), value: goal, at: of });

function targetOf(to: ReduceTo, startMl: number, c: ProcessConstants): Target {
  const goal = to.until === 'share' ? to.value * startMl : to.value;
  const volume = (p: PotState) => liquidMl(p.liquid);
  const dip = (p: PotState) => dipAt(p.vessel, levelCm(p));
  switch (to.until) {
    case 'gelatin':
      return rising(gelatinPct, goal, `Reduce to ${percent(goal)} gelatin`, percent);
    case 'salt':
      return rising(saltPct, goal, `Reduce to ${percent(goal)} salt`, percent);
    case 'body':
      return rising(
        (p) => body(p, c),
        goal,
        `Reduce to body ${goal.toFixed(2)}`,
        (x) => `body ${x.toFixed(2)}`,
      );
    case 'dip':
      return rising(
        dip,
        goal,
        `Reduce to a dip of ${goal.toFixed(1)} cm`,
        (x) => `${x.toFixed(1)} cm from the rim`,
      );
    case 'share':
    case 'ml':
    case 'hours':
      return {
        left: (p) => volume(p) - goal,
        said: `Reduce to ${litres(goal)}`,
        shown: (p) => litres(volume(p)),
        value: goal,
        at: volume,
      };
  }
}

function forHours(
  pot: PotState,
  c: ProcessConstants,
  fire: Fire,
  hours: number,
  report: StepReport,
): Trouble | undefined {
  if (!(hours > 0 && hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `Reduce for ${hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
      hours,
      LONGEST_H,
    );
  report.upHours = bringTo(pot, c, fire.celsius);
  report.dryAfterHours = heatForHours(pot, c, fire, hours);
  report.heatHours = hours;
  return undefined;
}

/** Heats until the target is met; what is out of reach is refused with what boiling dry would give. */
function toTarget(
  pot: PotState,
  c: ProcessConstants,
  fire: Fire,
  to: ReduceTo,
  report: StepReport,
): Trouble | undefined {
  const startMl = liquidMl(pot.liquid);
  const unsound = impossible(to, startMl);
  if (unsound) return unsound;
  const before = copyPot(pot);
  report.upHours = bringTo(pot, c, fire.celsius);
  const target = targetOf(to, startMl, c);
  if (target.left(pot) <= 0) {
    const there = target.shown(pot);
    becomePot(pot, before);
    return trouble(
      'already-there',
      `${target.said}: the pot already stands at ${there}.`,
      target.value,
      target.at(before),
    );
  }
  const hours = heatUntil(pot, c, fire, target.left);
  if (hours === undefined) {
    const dry = target.shown(pot);
    const dryAt = target.at(pot);
    becomePot(pot, before);
    return trouble(
      'out-of-reach',
      `${target.said}: even boiled dry the pot would stand at ${dry}.`,
      target.value,
      dryAt,
    );
  }
  report.heatHours = hours;
  return undefined;
}

/**
 * Reduces at a heat until the target is met, minute by minute, and the last minute by its part.
 * How long it took is in the report.
 */
export const reduce: Verb<Written, ReduceStep> = {
  written: [Reduce],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.to,
  flaw: nothing,
  says: (step) => `reduce ${targetWords(step)}${HEAT_WORDS[step.heat]}${LID_WORDS[step.lid]}`,
  reads: [[/^reduce\s+(.+)$/i, (m) => readReduce(matchAt(m, 1))]],
  everyday: [
    {
      form: '(reduce|boil down|cook down|boil|let reduce|reduce down) [(it|further|again|rapidly)] by <share>',
      means: ({ share }) => reduceTo('share', left(share)),
    },
    {
      form: '[(reduce|boil down|cook down|boil|let reduce|reduce down)] [(it|further|again|rapidly)] to [about] <share> [of it]',
      means: ({ share }) => reduceTo('share', share),
    },
    {
      form: '[(reduce|boil down|cook down|boil|let reduce|reduce down)] [(it|further|again)] (to|until) <litres> [(are left|is left|remain|remains|left)]',
      means: ({ litres }) => reduceTo('volume', litres),
    },
    {
      form: '(reduce|boil down|cook down|boil|let reduce|reduce down) [(it|further)] [for] <time>',
      means: ({ time, said }) => (said.includes('reduce') ? reduceTo('time', time) : undefined),
    },
    {
      form: '[(reduce|boil down|cook down|boil|let reduce|reduce down)] [(it|further)] (until|to) [(it is|a)] (syrupy|syrup|a syrup|glaze|sticky)',
      means: () => reduceTo('body', '1.2'),
    },
    {
      form: '[(reduce|boil down|cook down|boil|let reduce|reduce down)] [(it|further)] until it (coats a spoon|coats the spoon|coats the back of a spoon|coats the back of the spoon)',
      means: () => reduceTo('body', '1'),
    },
    {
      form: 'reduce [(it|the sauce|until thick|until thickened)]',
      means: () => asks('How far?', 'reduce by half', 'reduce to 2 l', 'reduce to body 1'),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(targetIn(shelf, step.until, step.to), (to) => ({
      do: 'reduce',
      heat: step.heat,
      lid: step.lid,
      to,
    })),
  run(pot, step, c, report) {
    if (liquidMl(pot.liquid) === 0)
      return trouble('nothing-to-reduce', 'Reduce: there is no liquid in the pot.', 0, 0);
    const fire = fireOf(c, step.heat, step.lid, pot.vessel);
    return step.to.until === 'hours'
      ? forHours(pot, c, fire, step.to.value, report)
      : toTarget(pot, c, fire, step.to, report);
  },
  scale: (step, factor) =>
    step.to.until === 'ml' ? { ...step, to: { until: 'ml', value: step.to.value * factor } } : step,
  hands: usually('reduce'),
  warns: (pot, step, c, report) => [
    ...boiledDry('Reduce', report),
    ...burnerLimits(pot, step.heat, step.lid, c),
  ],
  heats: true,
  seasons: false,
  filling: 'no',
  caution: (_row, before) => spirits(before),
  mark: 'hot',
};
