import { readAmountOf } from '@/core/quantity';
import type { Warning } from '@/core/pot';
import type { Names } from '@/core/said';
import { amountOfStep, writeStep, type WrittenStep } from '@/core/verbs';
import { newLine, type Draft } from './components/sheet-lines';
import type { LivePot } from './components/use-pot';

/** The sheet a cure is tried out on, and what runs it. */
export interface CureIn {
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
export interface Cured {
  readonly draft: Draft;
  readonly words: string;
}

const litres = (ml: number): string => `${(ml / 1000).toFixed(ml < 995 ? 2 : 1)} l`;
const grams = (g: number): string =>
  g >= 995 ? `${(g / 1000).toFixed(2)} kg` : `${g.toFixed(g < 20 ? 1 : 0)} g`;
/** A little more than what is wanted, so that rounding does not leave it just short. */
const AMPLY = 1.02;

const withStep = ({ draft, names }: CureIn, i: number, step: WrittenStep): Draft => ({
  ...draft,
  lines: draft.lines.map((l, j) => (j === i ? { ...l, text: writeStep(step, names) } : l)),
});
const withLine = ({ draft }: CureIn, i: number, text: string): Draft => ({
  ...draft,
  lines: [...draft.lines.slice(0, i), newLine(text), ...draft.lines.slice(i)],
});

/** The same step with so much less of what it puts in; nothing where it does not say how much that is. */
function lessIn(on: CureIn, i: number, less: number, kind: 'ml' | 'g'): Draft | undefined {
  const step = on.pot.steps[i];
  if (!step || !('amount' in step)) return undefined;
  const was = readAmountOf(kind === 'ml' ? ['volume'] : ['mass'], amountOfStep(step) ?? '');
  if (!was.ok || was.value.value <= less * AMPLY) return undefined;
  const left = was.value.value - less * AMPLY;
  return withStep(on, i, { ...step, amount: kind === 'ml' ? litres(left) : grams(left) } as WrittenStep);
}

/** Sheets that might put a warning right, best first. */
function* tries(w: Warning, at: number, on: CureIn): Generator<Cured> {
  const { cure } = w;
  const { draft, pot, names } = on;
  const i = cure.step ?? at;
  const step = pot.steps[i];
  const as = (next: Draft | undefined, words: string): Cured[] => (next ? [{ draft: next, words }] : []);
  switch (cure.do) {
    case 'fill less':
    case 'draw off':
      yield* as(lessIn(on, i, cure.value, 'ml'), `Put ${litres(cure.value)} less in`);
      for (const v of on.vessels)
        if (v.id !== draft.vessel) yield { draft: { ...draft, vessel: v.id }, words: `Take the ${v.name}` };
      return;
    case 'top up':
      yield {
        draft: withLine(on, i, `water ${litres(cure.value * AMPLY)}`),
        words: `Put ${litres(cure.value)} of water in before it`,
      };
      return;
    case 'leave salt out':
      yield* as(lessIn(on, i, cure.value, 'g'), `Leave ${grams(cure.value)} of it out`);
      return;
    case 'loosen':
    case 'whisk water in':
      yield {
        draft: withLine(on, i + 1, `water ${litres(cure.value * AMPLY)}`),
        words: `Put ${litres(cure.value)} of water in after it`,
      };
      return;
    case 'pour the water off':
      yield { draft: withLine(on, i, 'drain'), words: 'Drain it before' };
      return;
    case 'simmer':
      if (step?.do === 'cook' || step?.do === 'reduce')
        yield { draft: withStep(on, i, { ...step, heat: 'bare simmer' }), words: 'Keep it at a bare simmer' };
      return;
    case 'cook shorter':
      if (step?.do === 'cook') {
        yield { draft: withStep(on, i, { ...step, lid: 'on' }), words: 'Put the lid on' };
        const minutes = Math.floor(cure.value * 60 * 0.9);
        yield {
          draft: withStep(on, i, { ...step, time: `${minutes} min` }),
          words: `Cook it ${minutes} min`,
        };
      }
      return;
    case 'combine': {
      const beside = pot.run.rows[at]?.aside.vessels.map((s) => s.vessel.name) ?? [];
      for (const name of beside)
        yield { draft: withLine(on, i + 1, `combine with ${name}`), words: `Combine with the ${name}` };
      return;
    }
    case 'return':
      yield { draft: withLine(on, i + 1, 'return the pieces'), words: 'Return the pieces' };
      return;
    case 'stronger hob':
      for (const h of on.hobs)
        if (h.id !== draft.hob && (h.netKw ?? Infinity) >= cure.value)
          yield { draft: { ...draft, hob: h.id }, words: `Stand it on ${h.name}` };
      return;
    case 'take the fat off first':
      for (const j of [...pot.steps.keys()].reverse()) {
        const verb = pot.steps[j]?.do;
        if (j < i && (verb === 'puree' || verb === 'mount'))
          yield {
            draft: withLine(on, j, writeStep({ do: 'defat', by: 'ladle' }, names)),
            words: 'Take the fat off before that',
          };
      }
      return;
    // Stirring in off the heat and cooling in smaller pans are a cook's own decisions.
    case 'let it cool':
    case 'cool faster':
      return;
  }
}

/** How many tries a click may take: each is a run of the pot. */
const MOST_TRIES = 12;

/**
 * The first change of a sheet that really puts a warning right: tried out on the pot, it can be done, and neither this warning nor
 * more of others than before are left.
 * @param at the line the warning stands at
 */
export function cureFor(w: Warning, at: number, on: CureIn): Cured | undefined {
  const count = (pot: LivePot, code?: string): number =>
    pot.run.rows.flatMap((r) => r.warnings).filter((x) => code === undefined || x.code === code).length;
  let left = MOST_TRIES;
  for (const cured of tries(w, at, on)) {
    if (left === 0) return undefined;
    left -= 1;
    const pot = on.run(cured.draft);
    if (pot.refusedAt !== undefined || pot.troubles.size > on.pot.troubles.size) continue;
    if (count(pot, w.code) < count(on.pot, w.code) && count(pot) < count(on.pot)) return cured;
  }
  return undefined;
}
