import { useLayoutEffect, useState } from 'react';
import { v7 } from 'uuid';
import type { WrittenChoice } from '@/core/kitchen-file';
import { useToast } from '@/ui/frame/toasts';
import { linesIn } from '../../lines';
import { newLine, type Draft, type SheetLine } from '../sheet/sheet-lines';
import type { LivePot } from '../figures/use-pot';
import * as texts from './texts';

/** What can be done to a line of a sheet, by its id. */
export interface LineActions {
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
  /** What stands on a line that two had changed, chosen by a person. */
  readonly settle: (id: string, line: SheetLine | undefined) => void;
  /** What a line missed has come to be known. */
  readonly learned: () => void;
  /** The line as a form. */
  readonly fields: (id: string) => void;
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
  readonly onSettle: (id: string, line: SheetLine | undefined) => void;
  readonly onLearned: () => void;
  readonly onFields: (id: string) => void;
}

const focusOn = (id: string): void =>
  document.querySelector<HTMLInputElement>(`[data-line="${id}"]`)?.focus({ preventScroll: false });

/** The sheet as it is whenever something is done to it, and the line to take in hand once it is drawn. */
interface Hand {
  readonly now: () => Sheet & { readonly tell: ReturnType<typeof useToast> };
  readonly want: (id: string | undefined) => void;
}

/** What every act is made of. */
function handling({ now, want }: Hand) {
  const lines = (): readonly SheetLine[] => now().asItStands().lines;
  const at = (id: string): number => lines().findIndex((l) => l.id === id);
  const done = (next: readonly SheetLine[]): void => now().onDone({ ...now().asItStands(), lines: next });
  return {
    lines,
    at,
    done,
    change: (id: string, to: (line: SheetLine) => SheetLine): void =>
      done(lines().map((l) => (l.id === id ? to(l) : l))),
    insert: (i: number, ...added: readonly SheetLine[]): void => {
      done([...lines().slice(0, i), ...added, ...lines().slice(i)]);
      const last = added.at(-1);
      if (!last) return;
      want(last.id);
      now().onChoose(i + added.length - 1);
    },
    take: (id: string): void => {
      const before = now().asItStands();
      const text = before.lines[at(id)]?.text ?? '';
      done(lines().filter((l) => l.id !== id));
      if (text.trim() !== '') now().tell(texts.removed(text), () => now().onDone(before));
    },
    moveTo: (from: number, to: number): void => {
      if (to < 0 || to >= lines().length || to === from) return;
      want(lines()[from]?.id);
      done(moved(lines(), from, to));
      now().onChoose(to);
    },
    endsAt: (): number => beforePortions(lines(), now().pot),
  };
}
type Handling = ReturnType<typeof handling>;

/** What is done to what a line says. */
function sayingActs(hand: Hand, h: Handling) {
  const { now, want } = hand;
  return {
    typed: (id: string, text: string) => now().onTyped(h.at(id), text),
    done: (id: string) => {
      const text = h.lines()[h.at(id)]?.text;
      if (text === undefined) return;
      // A line without a word is none.
      if (text.trim() === '') h.take(id);
      else h.done(h.lines());
    },
    says: (id: string, text: string) => h.change(id, (line) => ({ ...line, text })),
    off: (id: string) => h.change(id, ({ off, ...line }) => (off ? line : { ...line, off: true })),
    note: (id: string, note: string) =>
      h.change(id, ({ note: _was, ...line }) => (note.trim() === '' ? line : { ...line, note: note.trim() })),
    settle: (id: string, line: SheetLine | undefined) => now().onSettle(id, line),
    learned: () => now().onLearned(),
    fields: (id: string) => now().onFields(id),
    way: (id: string, way: string | undefined) =>
      h.change(id, ({ way: _was, ...line }) => (way === undefined ? line : { ...line, way })),
    pasted: (id: string | undefined, text: string) => {
      const said = linesIn(text);
      if (id === undefined) return h.insert(h.endsAt(), ...said.map((t) => newLine(t)));
      const [first = '', ...rest] = said;
      const i = h.at(id);
      const line = h.lines()[i];
      if (!line) return;
      const added = rest.map((t) => newLine(t, wayOf(line)));
      const stays = { ...line, text: `${line.text}${first}` };
      h.done([...h.lines().slice(0, i), stays, ...added, ...h.lines().slice(i + 1)]);
      want((added.at(-1) ?? line).id);
    },
  } satisfies Partial<LineActions>;
}

/** What is done with where a line stands, and which others stand beside it. */
function placingActs({ now, want }: Hand, h: Handling) {
  return {
    choose: (id: string) => now().onChoose(h.at(id)),
    next: (id: string, by: 1 | -1) => {
      const i = h.at(id) + by;
      if (i < 0) return;
      const line = h.lines()[i];
      if (line) focusOn(line.id);
      else document.getElementById('next-step')?.focus();
    },
    put: (id: string, where: 'above' | 'below') =>
      h.insert(h.at(id) + (where === 'below' ? 1 : 0), newLine('', wayOf(h.lines()[h.at(id)]))),
    move: (id: string, by: 1 | -1) => h.moveTo(h.at(id), h.at(id) + by),
    twin: (id: string) => {
      const line = h.lines()[h.at(id)];
      if (line) h.insert(h.at(id) + 1, { ...line, id: v7() });
    },
    remove: h.take,
    otherWay: (id: string, about: string, mine: string, other: string) => {
      const sheet = now().asItStands();
      const i = h.at(id);
      const line = sheet.lines[i];
      if (!line) return;
      const [a, b] = [
        { id: v7(), name: mine },
        { id: v7(), name: other },
      ];
      const choice: WrittenChoice = { id: v7(), name: about, ways: [a, b], house: a.id };
      const twin = newLine(line.text, { way: b.id });
      want(twin.id);
      now().onDone({
        ...sheet,
        choices: [...sheet.choices, choice],
        lines: [...sheet.lines.slice(0, i), { ...line, way: a.id }, twin, ...sheet.lines.slice(i + 1)],
      });
      now().onChoose(i + 1);
    },
  } satisfies Partial<LineActions>;
}

/** Acts that work on the sheet as it is when they are called, told of it whenever it has been drawn. */
function makeActs() {
  let sheet: ReturnType<Hand['now']> | undefined;
  let wanted: string | undefined;
  const hand: Hand = {
    now: () => {
      if (!sheet) throw new Error('something was done to a sheet before it was drawn');
      return sheet;
    },
    want: (id) => {
      wanted = id;
    },
  };
  const h = handling(hand);
  const acts: LineActions = { ...sayingActs(hand, h), ...placingActs(hand, h) };
  return {
    drawn(next: ReturnType<Hand['now']>): void {
      sheet = next;
      if (wanted === undefined) return;
      focusOn(wanted);
      wanted = undefined;
    },
    acts,
    /** One more line, before a portioning, which stays last. */
    add(text: string): void {
      const i = h.endsAt();
      h.done([...h.lines().slice(0, i), newLine(text), ...h.lines().slice(i)]);
      hand.now().onChoose(i);
    },
    dropped: h.moveTo,
  };
}

/** What is done to the lines of a sheet: the same functions from the first drawing to the last, so that a line that has not changed need not be drawn again. */
export function useLineActions(sheet: Sheet) {
  const tell = useToast();
  const [made] = useState(makeActs);
  // Together with what is drawn: an effect that is still waiting from an earlier drawing would look for a line that is not there yet.
  useLayoutEffect(() => made.drawn({ ...sheet, tell }));
  return made;
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
