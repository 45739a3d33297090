import { useCallback, useEffect, useRef, useState } from 'react';
import { dipAt } from '@/core/pot';
import { writeStep } from '@/core/verbs';
import { merge, type Merged, type Conflict } from '../../merge';
import type { PotSheetData } from '../../queries';
import type { TheirSheet } from '../../wire';
import { draftOf, type Draft, type SheetLine } from './sheet-lines';
import { useRemoteSheet } from './use-remote-sheet';
import { useBook } from './use-book';
import { NO_ANSWER, useAutosave } from './use-autosave';
import { useLivePot, type LivePot } from '../figures/use-pot';
import { useResolvedSave } from './use-resolved-save';
import * as texts from './texts';

/** The step at which the pot holds what it gives: a portioning after it only puts that into jars. */
const lastBeforePortions = (steps: PotSheetData['recipe']['steps']): number =>
  Math.max(
    0,
    steps.findLastIndex((s) => s.do !== 'portion' && s.off !== true),
  );

/** What came from somebody else since the sheet was opened. */
interface Arrived {
  readonly by: string | undefined;
  readonly ids: ReadonlySet<string>;
}

const NOTHING: Arrived = { by: undefined, ids: new Set() };

/** A draft that anyone who is called later reads as it is then, not as it was when it was drawn. */
function useDraft(first: () => Draft) {
  const [draft, setDraft] = useState(first);
  const now = useRef(draft);
  const put = useCallback((next: Draft): void => {
    now.current = next;
    setDraft(next);
  }, []);
  return { draft, now, put };
}

/** A sheet as it is worked on: its lines as typed, where it starts, the pot they make, what is done to them, and what others do meanwhile. */
export function useSheet(data: PotSheetData) {
  const { draft, now, put } = useDraft(() => draftOf(data.recipe, data.names));
  const [chosen, setChosen] = useState(() => lastBeforePortions(data.recipe.steps));
  const book = useBook(data, draft);
  const { known, shown, names } = book;
  const { pot, run } = useLivePot(known, shown);
  const others = useRef<(theirs: TheirSheet) => void>(undefined);
  const keeping = useAutosave(
    known,
    draft,
    useCallback((theirs) => others.current?.(theirs), []),
  );
  const { wish, wishAnew } = useResolvedSave(book, draft, keeping);
  const theirs = useTheirs({ now, put, wish, names, keeping });
  const done = (next: Draft): void => {
    put(next);
    // While it is not chosen what stands, nothing is kept: mine would be written over theirs with it.
    if (theirs.touched.length + theirs.both.length === 0) wish(next);
  };
  useEffect(() => {
    others.current = (sheet) => theirs.arrive(sheet, true);
  });
  useRemoteSheet(data, keeping, theirs.arrive);

  const typed = (i: number, text: string): void => {
    void names();
    const { current } = now;
    put({ ...current, lines: current.lines.map((line, j) => (j === i ? { ...line, text } : line)) });
  };
  // Anyone who takes a line in hand is about to write.
  const choose = (i: number): void => {
    if (data.mayEdit) void names();
    setChosen(i);
  };
  const lines = (next: readonly SheetLine[]): void => done({ ...now.current, lines: next });
  const asItStands = useCallback(() => now.current, [now]);
  const sheet = { known, draft, chosen, pot, run, keeping, names, touched: theirs.touched };
  return {
    ...sheet,
    arrived: theirs.arrived,
    both: theirs.both,
    settle: theirs.settle,
    settleBoth: theirs.settleBoth,
    learned: wishAnew,
    /** A price has come to be known: nothing on the sheet says anything else for it. */
    priced: (): void => void book.again(),
    choose,
    typed,
    done,
    lines,
    dips: dipsIn(draft, pot, chosen, known.names),
    /** The sheet as it is now, whatever has been drawn of it. */
    asItStands,
  };
}

/** What the line in hand becomes where it is a reduction and its level is set: by a dip, cm from the rim, or by the level itself. */
function dipsIn(draft: Draft, pot: LivePot, chosen: number, names: PotSheetData['names']) {
  const step = pot.steps[chosen];
  const row = pot.run.rows[chosen];
  const was = draft.lines[chosen]?.text ?? '';
  const toDip = (cm: number): string =>
    step?.do === 'reduce' ? writeStep({ ...step, until: 'dip', to: texts.cm(cm.toFixed(1)) }, names) : was;
  const withLine = (text: string): SheetLine[] =>
    draft.lines.map((line, j) => (j === chosen ? { ...line, text } : line));
  return {
    atLevel: (cm: number): string => (row ? toDip(dipAt(row.vessel, cm)) : was),
    linesAtLevel: (cm: number): SheetLine[] => withLine(row ? toDip(dipAt(row.vessel, cm)) : was),
    linesAtDip: (cm: number): SheetLine[] => withLine(toDip(cm)),
  };
}

type Parts = Pick<ReturnType<typeof useDraft>, 'now' | 'put'> &
  Pick<ReturnType<typeof useBook>, 'names'> & {
    readonly wish: (next: Draft) => void;
    readonly keeping: ReturnType<typeof useAutosave>;
  };

/** What others leave on the same sheet: put together with what stands here, and where both have touched one line a person chooses. */
function useTheirs({ now, put, wish, names, keeping }: Parts) {
  const [touched, setTouched] = useState<readonly Conflict[]>([]);
  const [both, setBoth] = useState<Merged['both']>([]);
  const [arrived, setArrived] = useState(NOTHING);
  const { common, seen, seenOf, hold } = keeping;
  /** @param refused whether something of mine was on its way meanwhile: it goes again, put together with theirs. What is only typed waits until it is left. */
  const arrive = (theirs: TheirSheet, refused = false): void => {
    void names().then((all) => {
      if (!all) return refused ? keeping.settled(NO_ANSWER) : undefined;
      // Theirs came by another way while mine was refused: mine goes again.
      if (theirs.version <= seen()) return refused ? wish(now.current) : undefined;
      const as = draftOf(theirs, all);
      const merged = merge(common(), now.current, as);
      seenOf(theirs, as);
      put(merged.draft);
      setArrived({ by: theirs.by, ids: new Set(merged.arrived) });
      const open = new Map(
        [...touched, ...merged.touched.map((t) => ({ ...t, by: theirs.by }))].map((t) => [t.id, t]),
      );
      setTouched([...open.values()]);
      setBoth(merged.both);
      if (open.size > 0 || merged.both.length > 0) hold();
      else if (refused && JSON.stringify(merged.draft) !== JSON.stringify(as)) wish(merged.draft);
    });
  };
  /** A person has chosen what stands on a line that both had touched. */
  const settle = (id: string, line: SheetLine | undefined): void => {
    const { current } = now;
    const next = {
      ...current,
      lines: current.lines.flatMap((l) => (l.id === id ? (line ? [line] : []) : [l])),
    };
    const left = touched.filter((t) => t.id !== id);
    setTouched(left);
    put(next);
    if (left.length === 0 && both.length === 0) {
      keeping.forget();
      wish(next);
    }
  };
  /** Where it starts and its ways stay as they are here. */
  const settleBoth = (): void => {
    setBoth([]);
    if (touched.length > 0) return;
    keeping.forget();
    wish(now.current);
  };
  return { touched, both, arrived, arrive, settle, settleBoth };
}
