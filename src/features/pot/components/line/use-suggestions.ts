import { createContext, useEffect, useMemo, useState } from 'react';
import { useDebounced } from '@/ui/hooks/use-debounced';
import { matterFor } from '../../actions';
import type { PotSheetData } from '../../queries';
import type { Reach } from '../../reach';
import { suggestions } from '../../suggest';
import { newLine, readLine, stepsOf, type Draft } from '../sheet/sheet-lines';
import { namesInDraft, mergeNames } from '../sheet/use-book';
import { potFor } from '../figures/use-pot';
import * as texts from './texts';

/** A line that is offered, and what the pot would come to with it. */
export interface LineSuggestion {
  readonly text: string;
  /** ml in the end, and what a litre then costs; left out while not known, or where it cannot be. */
  readonly ml?: number | undefined;
  readonly perL?: number | undefined;
  /** Why it cannot be done here, in a few words. */
  readonly cannot?: string | undefined;
}

/** The line being typed: which one it is, or where it will stand. */
export interface TypedLine {
  readonly text: string;
  /** Its place among the lines; for a new one the place it will take. */
  readonly at: number;
  readonly isNew: boolean;
}

export const NO_SUGGESTIONS: readonly LineSuggestion[] = [];

/** What is offered for one of the lines: read by the line in hand alone, so that no other is drawn again for it. */
export const SuggestionsContext = createContext<
  { readonly at: number; readonly offers: readonly LineSuggestion[] } | undefined
>(undefined);
export const SuggestionsProvider = SuggestionsContext.Provider;

/** The draft with an offered line in its place. */
const withOffer = (draft: Draft, { at, isNew }: TypedLine, text: string): Draft => {
  const line = draft.lines[at];
  const lines = isNew
    ? [...draft.lines.slice(0, at), newLine(text), ...draft.lines.slice(at)]
    : draft.lines.map((l) => (l === line ? { ...l, text } : l));
  return { ...draft, lines };
};

/** ms after a key at which lines are looked for that it may be the beginning of: the key has been painted by then. */
const PAUSE_MS = 50;

/** ms of rest after which it is worked out what offered lines would come to. */
const REST_MS = 150;

/** What the pot would be with an offered line. */
function comesTo(
  run: ReturnType<typeof potFor>,
  draft: Draft,
  typing: TypedLine,
  text: string,
): LineSuggestion {
  const pot = run(withOffer(draft, typing, text));
  const refused = pot.refusedAt ?? pot.run.refused?.step;
  if (refused === typing.at) return { text, cannot: texts.cannotDoneHere };
  if (refused !== undefined) return { text, cannot: texts.leavesStepUndone(refused + 1) };
  const perL = pot.money.at(-1)?.perL;
  return { text, ml: pot.run.product?.ml, perL: perL ?? undefined };
}

/** What was worked out for lines offered in one draft. */
interface Worked {
  readonly lines: readonly string[];
  readonly offers: readonly LineSuggestion[];
}

/**
 * What a line that is being typed may be on the way to, and what each of those would make of the pot. Both are worked out after the
 * line itself has been drawn, and the pots only once the fingers rest, one at a time: no key waits for them. What offered lines take
 * of things the sheet has not been told of is asked for, and their figures come with the answer.
 */
export function useSuggestions(
  data: PotSheetData,
  draft: Draft,
  inHand: TypedLine | undefined,
): readonly LineSuggestion[] {
  const rested = useDebounced(inHand, PAUSE_MS);
  // What rested of another line is nothing to this one.
  const typing =
    inHand && rested && rested.at === inHand.at && rested.isNew === inHand.isNew ? rested : undefined;
  const lines = useMemo(
    () => (typing ? suggestions(typing.text, data.names, readLine) : []),
    [typing, data.names],
  );
  const known = useToldOf(data, lines);
  const [worked, setWorked] = useState<Worked>();
  useEffect(() => {
    if (!typing || lines.length === 0) return;
    const there = new Set([...known.standsOn.map((s) => s.id), ...known.products.map((p) => p.id)]);
    const run = potFor(known);
    const offers: LineSuggestion[] = [];
    let waits = setTimeout(next, REST_MS);
    function next(): void {
      const text = lines[offers.length];
      if (text === undefined || !typing) return setWorked({ lines, offers });
      const { ingredients, recipes } = namesInDraft(stepsOf([newLine(text)], known.names));
      const unknown = [...ingredients, ...recipes].some((id) => !there.has(id));
      offers.push(unknown ? { text } : comesTo(run, draft, typing, text));
      waits = setTimeout(next, 0);
    }
    return () => clearTimeout(waits);
  }, [typing, lines, known, draft]);
  return useMemo(
    () =>
      lines.length === 0
        ? NO_SUGGESTIONS
        : worked?.lines === lines
          ? worked.offers
          : lines.map((text) => ({ text })),
    [lines, worked],
  );
}

/** The sheet with what offered lines would take, as far as anybody has answered. */
function useToldOf(data: PotSheetData, lines: readonly string[]): PotSheetData {
  const [told, setTold] = useState<Reach>();
  const known = useMemo(() => (told ? { ...data, ...mergeNames(data, told) } : data), [data, told]);
  const missing = useMemo(() => {
    const there = new Set([...known.standsOn.map((s) => s.id), ...known.products.map((p) => p.id)]);
    const named = namesInDraft(
      stepsOf(
        lines.map((text) => newLine(text)),
        known.names,
      ),
    );
    const not = (ids: readonly string[]): string[] => ids.filter((id) => !there.has(id));
    return JSON.stringify([not(named.ingredients), not(named.recipes)]);
  }, [lines, known]);
  useEffect(() => {
    const [ingredients, recipes] = JSON.parse(missing) as [string[], string[]];
    if (ingredients.length + recipes.length === 0) return;
    // Somebody typing fast is told of what he comes to rest on.
    const soon = setTimeout(() => {
      void matterFor(data.recipe.id, ingredients, recipes)
        .catch(() => undefined)
        .then((found) => found && setTold((before) => (before ? mergeNames(before, found) : found)));
    }, 150);
    return () => clearTimeout(soon);
  }, [missing, data.recipe.id]);
  return known;
}
