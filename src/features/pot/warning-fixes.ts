import { readAmountOf } from '@/core/quantity';
import type { Warning } from '@/core/pot';
import type { Names } from '@/core/said';
import { amountOfStep, writeStep, type WrittenStep } from '@/core/verbs';
import { newLine, type Draft } from './components/sheet/sheet-lines';
import type { LivePot } from './components/figures/use-pot';
import * as texts from './texts';

/** The sheet a cure is tried out on, and what runs it. */
export interface FixIn {
  readonly draft: Draft;
  readonly names: Names;
  readonly pot: LivePot;
  readonly run: (draft: Draft) => LivePot;
  readonly vessels: readonly { readonly id: string; readonly name: string }[];
  readonly hobs: readonly {
    readonly id: string;
    readonly name: string;
    readonly netKw?: number | null | undefined;
  }[];
}

/** A sheet with a warning put right, and what was done for it, as a button says it. */
export interface FixTried {
  readonly draft: Draft;
  readonly words: string;
}

const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 995 ? 2 : 1)} l`;
const grams = (g: number): string =>
  g >= 995 ? `${(g / 1000).toFixed(2)} kg` : `${g.toFixed(g < 20 ? 1 : 0)} g`;
/** A little more than what is wanted, so that rounding does not leave it just short. */
const AMPLY = 1.02;

const withStep = ({ draft, names }: FixIn, i: number, step: WrittenStep): Draft => ({
  ...draft,
  lines: draft.lines.map((l, j) => (j === i ? { ...l, text: writeStep(step, names) } : l)),
});
const withLine = ({ draft }: FixIn, i: number, text: string): Draft => ({
  ...draft,
  lines: [...draft.lines.slice(0, i), newLine(text), ...draft.lines.slice(i)],
});

/** The same step with so much less of what it puts in; nothing where it does not say how much that is. */
function lessIn(on: FixIn, i: number, less: number, kind: 'ml' | 'g'): Draft | undefined {
  const step = on.pot.steps[i];
  if (!step || !('amount' in step)) return undefined;
  const was = readAmountOf(kind === 'ml' ? ['volume'] : ['mass'], amountOfStep(step) ?? '');
  if (!was.ok || was.value.value <= less * AMPLY) return undefined;
  const left = was.value.value - less * AMPLY;
  return withStep(on, i, { ...step, amount: kind === 'ml' ? litres(left) : grams(left) } as WrittenStep);
}

/** A warning where it stands, with the step its cure is at. */
interface Case extends FixIn {
  readonly value: number;
  readonly i: number;
  readonly at: number;
  readonly step: WrittenStep | undefined;
}
type Tries = (c: Case) => readonly (FixTried | undefined)[];

const as = (draft: Draft | undefined, words: string): FixTried | undefined => draft && { draft, words };
const waterIn = (c: Case, i: number, words: string): FixTried => ({
  draft: withLine(c, i, `water ${litres(c.value * AMPLY)}`),
  words,
});

const lessOrLarger: Tries = (c) => [
  as(lessIn(c, c.i, c.value, 'ml'), texts.putLess(litres(c.value))),
  ...c.vessels
    .filter((v) => v.id !== c.draft.vessel)
    .map((v) => ({ draft: { ...c.draft, vessel: v.id }, words: texts.take(v.name) })),
];
const waterAfter: Tries = (c) => [waterIn(c, c.i + 1, texts.putWaterAfter(litres(c.value)))];
const fatFirst: Tries = (c) =>
  [...c.pot.steps.entries()]
    .filter(([j, s]) => j < c.i && (s.do === 'puree' || s.do === 'mount'))
    .reverse()
    .map(([j]) => ({
      draft: withLine(c, j, writeStep({ do: 'defat', by: 'ladle' }, c.names)),
      words: texts.takeFatOffBefore,
    }));
const shorter: Tries = (c) => {
  if (c.step?.do !== 'cook') return [];
  const minutes = Math.floor(c.value * 60 * 0.9);
  return [
    { draft: withStep(c, c.i, { ...c.step, lid: 'on' }), words: texts.putLid },
    { draft: withStep(c, c.i, { ...c.step, time: `${minutes} min` }), words: texts.cookMin(minutes) },
  ];
};

/** Sheets that might put a warning right, by what its cure says is to be done; best first. */
const TRIES: Readonly<Record<Warning['cure']['do'], Tries>> = {
  'fill less': lessOrLarger,
  'draw off': lessOrLarger,
  'top up': (c) => [waterIn(c, c.i, texts.putWaterBefore(litres(c.value)))],
  'leave salt out': (c) => [as(lessIn(c, c.i, c.value, 'g'), texts.leaveOut(grams(c.value)))],
  loosen: waterAfter,
  'whisk water in': waterAfter,
  'pour the water off': (c) => [{ draft: withLine(c, c.i, 'drain'), words: texts.drainBefore }],
  simmer: (c) =>
    c.step?.do === 'cook' || c.step?.do === 'reduce'
      ? [{ draft: withStep(c, c.i, { ...c.step, heat: 'bare simmer' }), words: texts.keepBareSimmer }]
      : [],
  'cook shorter': shorter,
  combine: (c) =>
    (c.pot.run.rows[c.at]?.aside.vessels ?? []).map(({ vessel: { name } }) => ({
      draft: withLine(c, c.i + 1, `combine with ${name}`),
      words: texts.combineName(name),
    })),
  return: (c) => [{ draft: withLine(c, c.i + 1, 'return the pieces'), words: texts.returnPieces }],
  'stronger hob': (c) =>
    c.hobs
      .filter((h) => h.id !== c.draft.hob && (h.netKw ?? Infinity) >= c.value)
      .map((h) => ({ draft: { ...c.draft, hob: h.id }, words: texts.stand(h.name) })),
  'take the fat off first': fatFirst,
  // Stirring in off the heat and cooling in smaller pans are a cook's own decisions.
  'let it cool': () => [],
  'cool faster': () => [],
};

/** How many tries a click may take: each is a run of the pot. */
const MOST_TRIES = 12;

/**
 * The first change of a sheet that really puts a warning right: tried out on the pot, it can be done, and neither this warning nor
 * more of others than before are left.
 * @param at the line the warning stands at
 */
export function tryFix(w: Warning, at: number, on: FixIn): FixTried | undefined {
  const count = (pot: LivePot, code?: string): number =>
    pot.run.rows.flatMap((r) => r.warnings).filter((x) => code === undefined || x.code === code).length;
  const i = w.cure.step ?? at;
  const found = TRIES[w.cure.do]({ ...on, value: w.cure.value, i, at, step: on.pot.steps[i] });
  for (const cured of found.slice(0, MOST_TRIES)) {
    if (!cured) continue;
    const pot = on.run(cured.draft);
    if (pot.refusedAt !== undefined || pot.troubles.size > on.pot.troubles.size) continue;
    if (count(pot, w.code) < count(on.pot, w.code) && count(pot) < count(on.pot)) return cured;
  }
  return undefined;
}
