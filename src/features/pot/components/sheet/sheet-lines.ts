import { v7 } from 'uuid';
import type { WrittenChoice } from '@/core/kitchen-file';
import type { Names } from '@/core/said';
import type { Outcome } from '@/core/trouble';
import { besideOf, readStep, writeStep, type WrittenStep } from '@/core/verbs';
import type { Beside } from '@/core/written';

/** A line of a sheet as it is typed: its own id stays with it however it is edited or moved. */
export interface SheetLine extends Beside {
  readonly id: string;
  readonly text: string;
}

/** A whole sheet as it is typed: what stands on it and where it starts. */
export interface Draft {
  readonly lines: readonly SheetLine[];
  readonly choices: readonly WrittenChoice[];
  readonly vessel: string;
  readonly hob: string;
}

/** A sheet as it is kept. */
export interface Sheet {
  readonly steps: readonly WrittenStep[];
  readonly choices?: readonly WrittenChoice[] | undefined;
  readonly vessel: string;
  readonly hob: string;
}

export const newLine = (text: string, beside: Omit<Beside, 'id'> = {}): SheetLine => ({
  id: v7(),
  text,
  ...beside,
});

export const linesOf = (steps: readonly WrittenStep[], names: Names): SheetLine[] =>
  steps.map((step) => ({ ...besideOf(step), id: step.id ?? v7(), text: writeStep(step, names) }));

export const draftOf = ({ steps, choices = [], vessel, hob }: Sheet, names: Names): Draft => ({
  lines: linesOf(steps, names),
  choices,
  vessel,
  hob,
});

/** How many different lines are remembered as read: more than a sheet has, few enough for a day of typing. */
const MOST_READ = 600;
const read = new WeakMap<Names, Map<string, Outcome<WrittenStep>>>();

/** A line read, once for the same words and names: at a keystroke one line of many is another. */
export function readLine(text: string, names: Names): Outcome<WrittenStep> {
  const known = read.get(names) ?? new Map<string, Outcome<WrittenStep>>();
  const was = known.get(text);
  if (was) return was;
  if (known.size >= MOST_READ) known.clear();
  const now = readStep(text, names);
  read.set(names, known.set(text, now));
  return now;
}

/** The steps that lines mean; one that nobody can read stands as it was typed. */
export const stepsOf = (lines: readonly SheetLine[], names: Names): WrittenStep[] =>
  lines.map(({ text, ...beside }) => {
    const found = readLine(text, names);
    return { ...(found.ok ? found.value : { do: 'unread' as const, said: text.slice(0, 200) }), ...beside };
  });
