import type { PROBLEMS } from '../kitchen-file';
import {
  body,
  capacityMl,
  copyPot,
  crossing,
  doStep,
  gelatinPct,
  liquidMl,
  noReport,
  saltPct,
  standingMl,
  type PotRun,
  type PotState,
  type ProcessConstants,
} from '../pot';
import { refuse, fine, type Outcome } from '../trouble';
import { tryResolve, VERBS, type Shelf, type WrittenStep } from '../verbs';
import type { Of } from '../written';
import * as texts from './texts';

export type Problem = (typeof PROBLEMS)[number];

/** One way to put a pot right: its lines, and what the pot then is. */
export interface RescueWay {
  /** Empty where nothing is added: it is only left on the heat. */
  readonly steps: readonly WrittenStep[];
  readonly ml: number;
  readonly saltPct: number;
  readonly gelatinPct: number;
  readonly body: number;
  /** h on the heat that it takes; undefined where it is done at once. */
  readonly hours: number | undefined;
  /** What comes in: what it is taken from, and g. */
  readonly takes: readonly Pick<PotRun['inputs'][number], 'supply' | 'name' | 'g'>[];
  /** How much less it tastes of itself, as a share: gelatin and what is dissolved, spread over more. */
  readonly thinner: number;
}

/** What a house has to put a pot right with. */
export interface Means {
  readonly shelf: Shelf;
  readonly thickeners: readonly Of[];
  /** Stocks without salt. */
  readonly stocks: readonly Of[];
}

/** How much is tried at most, in times what is in the pot; and how near its goal is near enough, as a share. */
const MOST = 3;
const CLOSE = 0.002;
/** Cold liquid swells as it warms: so much of the room under the brim is filled at most. */
const UNDER_BRIM = 0.95;
/** Under this share of the pot an amount is a trace: nothing is put right by it. */
const TRACE = 1e-5;
const HOT = { heat: 'hard boil', lid: 'off' } as const;

const typed = (n: number, mark: string): string => {
  const digits = n >= 100 ? 0 : n >= 10 ? 1 : 2;
  return n.toFixed(digits).replace('.', mark);
};

/** What is to become of the pot: what is measured, and what it is to be. */
const MEASURES: Readonly<Record<Problem, (pot: PotState, c: ProcessConstants) => number>> = {
  'too thick': body,
  'too thin': body,
  'too salty': saltPct,
  'too little': (pot) => liquidMl(pot.liquid) / 1000,
};

/** Trying lines on a copy of a pot. */
class Trying {
  constructor(
    private readonly pot: PotState,
    private readonly c: ProcessConstants,
    private readonly shelf: Shelf,
  ) {}

  /** The pot after some lines; undefined where one of them cannot be done. */
  after(steps: readonly WrittenStep[]) {
    const pot = copyPot(this.pot);
    const report = noReport();
    for (const written of steps) {
      const step = tryResolve(written, this.shelf);
      if (!step.ok || doStep(VERBS, pot, step.value, this.c, report)) return undefined;
    }
    return { pot, report };
  }

  way(steps: readonly WrittenStep[]): RescueWay | undefined {
    const made = this.after(steps);
    if (!made) return undefined;
    const { pot, report } = made;
    const held = (of: PotState): number => of.liquid.gelatin + of.liquid.rest + of.liquid.sugar;
    const strength = (of: PotState): number => held(of) / Math.max(1, liquidMl(of.liquid));
    const before = strength(this.pot);
    return {
      steps,
      ml: liquidMl(pot.liquid),
      saltPct: saltPct(pot),
      gelatinPct: gelatinPct(pot),
      body: body(pot, this.c),
      hours: report.heatHours > 0 ? report.heatHours + (report.upHours ?? 0) : undefined,
      takes: report.inputs.map(({ supply, name, g }) => ({ supply, name, g })),
      thinner: before > 0 ? Math.max(0, 1 - strength(pot) / before) : 0,
    };
  }
}

/**
 * What can be done about a pot: water or unsalted stock, some of it drawn off and made up with water, something that thickens, or more
 * minutes, each solved for its amount. Salt cannot be taken out: it is only ever spread over more.
 * @param goal what the pot is to have: body, % of salt, or litres
 * @returns ways in the order in which they cost the pot least of its taste; trouble where the goal is on the wrong side
 */
export function rescueWays(
  pot: PotState,
  c: ProcessConstants,
  problem: Problem,
  goal: number,
  { shelf, thickeners, stocks }: Means,
): Outcome<readonly RescueWay[]> {
  const measure = MEASURES[problem];
  const now = measure(pot, c);
  const up = problem === 'too thin' || problem === 'too little';
  if (!(goal > 0) || (up ? goal <= now : goal >= now))
    return refuse('wrong-side', '', texts.standsNowPotSay(now.toFixed(2), problem, up, goal), {
      value: goal,
      limit: now,
    });
  const trying = new Trying(pot, c, shelf);
  const { mark } = shelf.manner;
  const ml = liquidMl(pot.liquid);
  // Nothing is poured in over the brim.
  const room = Math.min(ml * MOST, (capacityMl(pot.vessel) - standingMl(pot)) * UNDER_BRIM);
  const litres = (x: number): string => (x < 1000 ? `${x.toFixed(0)} ml` : `${typed(x / 1000, mark)} l`);
  /** The amount with which some lines reach the goal. */
  const solved = (lines: (x: number) => WrittenStep[], most: number): RescueWay | undefined => {
    const off = (x: number): number => {
      const made = x <= most * TRACE ? pot : trying.after(lines(x))?.pot;
      return made ? (measure(made, c) - goal) * (up ? 1 : -1) : -1;
    };
    const found = crossing(off, 0, most, goal * CLOSE);
    return found.found && found.below > most * TRACE ? trying.way(lines(found.below)) : undefined;
  };
  const add =
    (of: Of) =>
    (x: number): WrittenStep[] => [{ do: 'add', of, amount: litres(x) } as WrittenStep];
  const water = (x: number): WrittenStep[] => [{ do: 'water', amount: litres(x) } as WrittenStep];
  const replaced = (x: number): WrittenStep[] => [
    {
      do: 'draw off',
      amount: litres(x),
      as: 'drawn off',
      liquidOnly: true,
      cost: { by: 'weight' },
    } as WrittenStep,
    ...water(x),
  ];
  const thicken =
    (of: Of) =>
    (x: number): WrittenStep[] => [{ do: 'thicken', of, amount: `${typed(x, mark)} g` } as WrittenStep];
  const reduce = { do: 'reduce', until: 'body', to: typed(goal, mark), ...HOT } as WrittenStep;
  const ways =
    problem === 'too thin'
      ? [trying.way([reduce]), ...thickeners.map((of) => solved(thicken(of), ml))]
      : [
          solved(water, room),
          ...stocks.map((of) => solved(add(of), room)),
          ...(problem === 'too salty' ? [solved(replaced, ml * 0.9)] : []),
        ];
  return fine(ways.flatMap((w) => w ?? []).sort((a, b) => a.thinner - b.thinner));
}
