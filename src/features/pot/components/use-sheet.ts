import { useState } from 'react';
import { dipAt } from '@/core/pot';
import { writeStep } from '@/core/verbs';
import type { PotSheetData } from '../queries';
import type { TheirSheet } from '../wire';
import { linesOf, type SheetLine } from './sheet-lines';
import { useBook } from './use-book';
import { useKeeping } from './use-keeping';
import { useLivePot } from './use-pot';
import { useWish } from './use-wish';

/** The step at which the pot holds what it gives: a portioning after it only puts that into jars. */
const lastBeforePortions = (steps: PotSheetData['recipe']['steps']): number =>
  Math.max(
    0,
    steps.findLastIndex((s) => s.do !== 'portion'),
  );

/** A sheet as it is worked on: its lines as typed, where it starts, the pot they make, and what is done to them. */
export function useSheet(data: PotSheetData) {
  const [lines, setLines] = useState(() => linesOf(data.recipe.steps, data.names));
  const [vessel, setVessel] = useState(data.recipe.vessel);
  const [hob, setHob] = useState(data.recipe.hob);
  const [chosen, setChosen] = useState(lastBeforePortions(data.recipe.steps));
  const book = useBook(data, lines);
  const { known, shown, names } = book;
  const pot = useLivePot(known, shown, vessel, hob);
  const keeping = useKeeping(known, lines, vessel, hob);
  const { wish, wishAnew } = useWish(book, lines, keeping);

  const typed = (i: number, text: string): void => {
    void names();
    setLines((all) => all.map((line, j) => (j === i ? { ...line, text } : line)));
  };
  const done = (next: readonly SheetLine[]): void => {
    setLines([...next]);
    wish(next, vessel, hob);
  };
  const setDip = (levelCm: number): string => {
    const step = pot.steps[chosen];
    const row = pot.run.rows[chosen];
    if (step?.do !== 'reduce' || !row) return lines[chosen]?.text ?? '';
    return writeStep(
      { ...step, until: 'dip', to: `${dipAt(row.vessel, levelCm).toFixed(1)} cm` },
      known.names,
    );
  };
  // Whoever takes a line in hand is about to write.
  const choose = (i: number): void => {
    if (data.mayEdit) void names();
    setChosen(i);
  };
  const withLine = (text: string): SheetLine[] =>
    lines.map((line, j) => (j === chosen ? { ...line, text } : line));
  const takeTheirs = (theirs: TheirSheet): void => {
    keeping.settle(theirs);
    setLines(linesOf(theirs.steps, known.names));
    setVessel(theirs.vessel);
    setHob(theirs.hob);
  };
  const keepMine = (theirs: TheirSheet): void => {
    keeping.settle(theirs);
    wish(lines, vessel, hob);
  };

  const stand = (v: string, h: string): void => {
    setVessel(v);
    setHob(h);
    wish(lines, v, h);
  };
  /** Something that the sheet missed has come to be known. */
  const learned = (): void => wishAnew(vessel, hob);
  /** A price has come to be known: nothing on the sheet says anything else for it. */
  const priced = (): void => void book.again();
  const sheet = { known, lines, vessel, hob, chosen, pot, keeping };
  return { ...sheet, learned, priced, choose, typed, done, setDip, withLine, stand, takeTheirs, keepMine };
}
