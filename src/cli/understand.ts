import { partsOf, readKitchenText, type KitchenFile } from '@/core/kitchen-file';
import type { Names } from '@/core/said';
import { readStep, unsoundness, writeStep } from '@/core/verbs';
import { mistakeWords } from '../core/trouble';

/** What became of one line: how it is written back, or why it is asked or refused, and what would be understood instead. */
export interface Understood {
  readonly line: string;
  readonly as: 'understood' | 'asked' | 'not understood';
  /** In the house's form. */
  readonly written?: string;
  readonly why?: string;
  readonly instead?: readonly string[];
}

/** Troubles in which somebody is asked, and not told that it cannot be read. */
const ASKED = new Set(['asked', 'two-readings', 'name-unclear', 'doubtful-unit']);

/** The words of a kitchen that a line may be made of. */
const namesOf = (file: KitchenFile): Names => ({
  ...file,
  parts: file.recipes.flatMap((r) => partsOf(r).map((part) => ({ id: r.id, part }))),
});

/**
 * What each line of a text is read as in a kitchen. Empty lines, and those that begin with #, are passed over.
 * @returns every mistake of the file where it cannot be read
 */
export function understand(
  kitchen: string,
  text: string,
): { readonly lines: readonly Understood[] } | { readonly mistakes: readonly string[] } {
  const read = readKitchenText(kitchen);
  if (!read.ok) return { mistakes: read.mistakes.map(mistakeWords) };
  const names = namesOf(read.file);
  const lines = text
    .split(/\r?\n/)
    .map((l) => l.trim())
    .filter((l) => l !== '' && !l.startsWith('#'));
  return { lines: lines.map((line) => understoodAs(line, names)) };
}

function understoodAs(line: string, names: Names): Understood {
  const read = readStep(line, names);
  const doubt = read.ok ? unsoundness(read.value, names) : undefined;
  if (read.ok && !doubt) return { line, as: 'understood', written: writeStep(read.value, names) };
  const { code, message, instead } = doubt ?? (read.ok ? { code: '', message: '' } : read.trouble);
  return {
    line,
    as: ASKED.has(code) ? 'asked' : 'not understood',
    why: message,
    ...(instead ? { instead } : {}),
  };
}

/** The same as a table to be read. */
export function understoodWords(lines: readonly Understood[]): string {
  const wide = Math.min(46, Math.max(...lines.map((l) => l.line.length), 10));
  const sign = { understood: '✓', asked: '?', 'not understood': '✗' };
  const said = lines.map(({ line, as, written, why = '', instead = [] }) => {
    const offer = instead.length > 0 ? ` → ${instead.join(' · ')}` : '';
    return `${sign[as]} ${line.padEnd(wide)}  ${written ?? `${why}${offer}`}`;
  });
  const of = (as: Understood['as']): number => lines.filter((l) => l.as === as).length;
  return [
    ...said,
    '',
    `${lines.length} lines: ${of('understood')} understood, ${of('asked')} asked, ${of('not understood')} not understood`,
  ].join('\n');
}
