import { useEffect, useMemo, useRef } from 'react';
import { v7 } from 'uuid';
import type { WrittenChoice } from '@/core/kitchen-file';
import { useTell } from '@/ui/toasts';
import { linesIn } from '../lines';
import { newLine, type Draft, type SheetLine } from './sheet-lines';
import type { LivePot } from './use-pot';

/** What can be done to a line of a sheet, by its id. */
export interface LineActs {
  readonly typed: (id: string, text: string) => void;
  /** The line is left, or what was typed in it meant: it is kept. */
  readonly done: (id: string) => void;
  readonly choose: (id: string) => void;
  /** On to the line below, or to a new one at the end. */
  readonly next: (id: string, by: 1 | -1) => void;
  /** A line before or behind it. */
  readonly put: (id: string, where: 'above' | 'below') => void;
  readonly move: (id: string, by: 1 | -1) => void;
  readonly twin: (id: string) => void;
  readonly remove: (id: string) => void;
  readonly off: (id: string) => void;
  readonly note: (id: string, note: string) => void;
  readonly way: (id: string, way: string | undefined) => void;
  /** Another way of this line, of which the house takes one. */
  readonly otherWay: (id: string, about: string, mine: string, other: string) => void;
  readonly says: (id: string, text: string) => void;
  /** Several lines pasted into one. */
  readonly pasted: (id: string | undefined, text: string) => void;
}

interface Sheet {
  readonly draft: Draft;
  readonly pot: LivePot;
  readonly asItStands: () => Draft;
  readonly onDone: (draft: Draft) => void;
  readonly onTyped: (i: number, text: string) => void;
  readonly onChoose: (i: number) => void;
}

const focusOn = (id: string): void =>
  document.querySelector<HTMLInputElement>(`[data-line="${id}"]`)?.focus({ preventScroll: false });

/**
 * What is done to the lines of a sheet: the same functions from the first drawing to the last, so that a line that has not changed need not be drawn again. They
 * work on the sheet as it stands when they are called.
 */
export function useActs(sheet: Sheet) {
  const tell = useTell();
  const now = useRef({ ...sheet, tell });
  /** The line to take in hand once it is drawn. */
  const wanted = useRef<string>(undefined);
  useEffect(() => {
    now.current = { ...sheet, tell };
    if (wanted.current === undefined) return;
    focusOn(wanted.current);
    wanted.current = undefined;
  });
  const acts = useMemo(() => {
    const at = (id: string): number => now.current.asItStands().lines.findIndex((l) => l.id === id);
    const lines = (): readonly SheetLine[] => now.current.asItStands().lines;
    const done = (next: readonly SheetLine[]): void =>
      now.current.onDone({ ...now.current.asItStands(), lines: next });
    const change = (id: string, to: (line: SheetLine) => SheetLine): void =>
      done(lines().map((l) => (l.id === id ? to(l) : l)));
    const insert = (i: number, ...added: readonly SheetLine[]): void => {
      done([...lines().slice(0, i), ...added, ...lines().slice(i)]);
      const last = added.at(-1);
      if (!last) return;
      wanted.current = last.id;
      now.current.onChoose(i + added.length - 1);
    };
    const take = (id: string): void => {
      const before = now.current.asItStands();
      const text = before.lines[at(id)]?.text ?? '';
      done(lines().filter((l) => l.id !== id));
      if (text.trim() !== '') now.current.tell(`“${text}” is taken out.`, () => now.current.onDone(before));
    };
    const to = (i: number): void => {
      const line = lines()[i];
      if (line) focusOn(line.id);
      else document.getElementById('next-step')?.focus();
    };
    const acts: LineActs = {
      typed: (id, text) => now.current.onTyped(at(id), text),
      done: (id) => {
        const text = lines()[at(id)]?.text;
        if (text === undefined) return;
        // A line without a word is none.
        if (text.trim() === '') take(id);
        else done(lines());
      },
      choose: (id) => now.current.onChoose(at(id)),
      next: (id, by) => {
        const i = at(id) + by;
        if (i >= 0) to(i);
      },
      put: (id, where) => insert(at(id) + (where === 'below' ? 1 : 0), newLine('', wayOf(lines()[at(id)]))),
      move: (id, by) => {
        const from = at(id);
        const target = from + by;
        if (target < 0 || target >= lines().length) return;
        wanted.current = id;
        done(moved(lines(), from, target));
        now.current.onChoose(target);
      },
      twin: (id) => {
        const line = lines()[at(id)];
        if (line) insert(at(id) + 1, { ...line, id: v7() });
      },
      remove: take,
      off: (id) => change(id, ({ off, ...line }) => (off ? line : { ...line, off: true })),
      note: (id, note) =>
        change(id, ({ note: _was, ...line }) => (note.trim() === '' ? line : { ...line, note: note.trim() })),
      way: (id, way) => change(id, ({ way: _was, ...line }) => (way === undefined ? line : { ...line, way })),
      otherWay: (id, about, mine, other) => {
        const sheet = now.current.asItStands();
        const line = sheet.lines[at(id)];
        if (!line) return;
        const [a, b] = [
          { id: v7(), name: mine },
          { id: v7(), name: other },
        ];
        const choice: WrittenChoice = { id: v7(), name: about, ways: [a, b], house: a.id };
        const twin = newLine(line.text, { way: b.id });
        const i = at(id);
        wanted.current = twin.id;
        now.current.onDone({
          ...sheet,
          choices: [...sheet.choices, choice],
          lines: [...sheet.lines.slice(0, i), { ...line, way: a.id }, twin, ...sheet.lines.slice(i + 1)],
        });
        now.current.onChoose(i + 1);
      },
      says: (id, text) => change(id, (line) => ({ ...line, text })),
      pasted: (id, text) => {
        const said = linesIn(text);
        if (id === undefined)
          return insert(beforePortions(lines(), now.current.pot), ...said.map((t) => newLine(t)));
        const [first = '', ...rest] = said;
        const i = at(id);
        const line = lines()[i];
        if (!line) return;
        const added = rest.map((t) => newLine(t, wayOf(line)));
        done([
          ...lines().slice(0, i),
          { ...line, text: `${line.text}${first}` },
          ...added,
          ...lines().slice(i + 1),
        ]);
        wanted.current = (added.at(-1) ?? line).id;
      },
    };
    return {
      acts,
      /** One more line, before a portioning, which stays last. */
      add: (text: string): void => {
        const i = beforePortions(lines(), now.current.pot);
        done([...lines().slice(0, i), newLine(text), ...lines().slice(i)]);
        now.current.onChoose(i);
      },
      dropped: (from: number, to: number): void => {
        const target = Math.min(lines().length - 1, Math.max(0, to));
        if (target === from) return;
        const id = lines()[from]?.id;
        done(moved(lines(), from, target));
        now.current.onChoose(target);
        wanted.current = id;
      },
    };
  }, []);
  return acts;
}

const wayOf = (line: SheetLine | undefined) => (line?.way === undefined ? {} : { way: line.way });

/** A portioning stays last: what is added goes before it. */
const beforePortions = (lines: readonly SheetLine[], pot: LivePot): number =>
  lines.length - (pot.steps.at(-1)?.do === 'portion' ? 1 : 0);

function moved(lines: readonly SheetLine[], i: number, to: number): SheetLine[] {
  const order = [...lines];
  order.splice(to, 0, ...order.splice(i, 1));
  return order;
}
