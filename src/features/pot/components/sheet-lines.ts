import { v7 } from 'uuid';
import { lineOf, writeStep, type WrittenStep } from '@/core/verbs';
import type { Names } from '@/core/said';

/** A line of a sheet as it is typed: its own id stays with it however it is edited or moved. */
export interface SheetLine {
  readonly id: string;
  readonly text: string;
}

export const newLine = (text: string): SheetLine => ({ id: v7(), text });

export const linesOf = (steps: readonly WrittenStep[], names: Names): SheetLine[] =>
  steps.map((step) => ({ id: step.id ?? v7(), text: writeStep(step, names) }));

/** The steps that lines mean; one that nobody can read stands as it was typed. */
export const stepsOf = (lines: readonly SheetLine[], names: Names): WrittenStep[] =>
  lines.map(({ id, text }) => ({ ...lineOf(text, names), id }));
