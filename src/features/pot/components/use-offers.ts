import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { matterFor } from '../actions';
import type { PotSheetData } from '../queries';
import type { Reach } from '../reach';
import { suggestions } from '../suggest';
import { newLine, readLine, stepsOf, type Draft } from './sheet-lines';
import { namedIn, together } from './use-book';
import { potFor } from './use-pot';

/** A line that is offered, and what the pot would come to with it. */
export interface Offered {
  readonly text: string;
  /** ml in the end, and what a litre then costs; left out while not known, or where it cannot be. */
  readonly ml?: number | undefined;
  readonly perL?: number | undefined;
  /** Why it cannot be done here, in a few words. */
  readonly cannot?: string | undefined;
}

/** The line being typed: which one it is, or where it will stand. */
export interface InHand {
  readonly text: string;
  /** Its place among the lines; for a new one the place it will take. */
  readonly at: number;
  readonly isNew: boolean;
}

const NONE: readonly Offered[] = [];

/** The draft with an offered line in its place. */
const withOffer = (draft: Draft, { at, isNew }: InHand, text: string): Draft => {
  const line = draft.lines[at];
  const lines = isNew
    ? [...draft.lines.slice(0, at), newLine(text), ...draft.lines.slice(at)]
    : draft.lines.map((l) => (l === line ? { ...l, text } : l));
  return { ...draft, lines };
};

/**
 * What a line that is being typed may be on the way to, and what each of those would make of the pot. Worked out after the line
 * itself has been drawn; what it takes of things the sheet has not been told of is asked for, and its figures come with the answer.
 */
export function useOffers(data: PotSheetData, draft: Draft, inHand: InHand | undefined): readonly Offered[] {
  const typing = useDeferredValue(inHand);
  const lines = useMemo(
    () => (typing ? suggestions(typing.text, data.names, readLine) : []),
    [typing, data.names],
  );
  const known = useToldOf(data, lines);
  return useMemo(() => {
    if (!typing || lines.length === 0) return NONE;
    const run = potFor(known);
    const there = new Set([...known.standsOn.map((s) => s.id), ...known.products.map((p) => p.id)]);
    return lines.map((text): Offered => {
      const next = withOffer(draft, typing, text);
      const { ingredients, recipes } = namedIn(stepsOf([newLine(text)], known.names));
      if ([...ingredients, ...recipes].some((id) => !there.has(id))) return { text };
      const pot = run(next);
      const refused = pot.refusedAt ?? pot.run.refused?.step;
      if (refused === typing.at) return { text, cannot: 'cannot be done here' };
      if (refused !== undefined) return { text, cannot: `leaves step ${refused + 1} undone` };
      const perL = pot.money.at(-1)?.perL;
      return { text, ml: pot.run.product?.ml, perL: perL ?? undefined };
    });
  }, [typing, lines, known, draft]);
}

/** The sheet with what offered lines would take, as far as anybody has answered. */
function useToldOf(data: PotSheetData, lines: readonly string[]): PotSheetData {
  const [told, setTold] = useState<Reach>();
  const known = useMemo(() => (told ? { ...data, ...together(data, told) } : data), [data, told]);
  const missing = useMemo(() => {
    const there = new Set([...known.standsOn.map((s) => s.id), ...known.products.map((p) => p.id)]);
    const named = namedIn(
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
        .then((found) => found && setTold((before) => (before ? together(before, found) : found)));
    }, 150);
    return () => clearTimeout(soon);
  }, [missing, data.recipe.id]);
  return known;
}
