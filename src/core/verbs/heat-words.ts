import type { Lid } from '../pot';

const LIDS: readonly (readonly [RegExp, Lid])[] = [
  [/,?\s*lid ajar$/i, 'ajar'],
  [/,?\s*lid on$/i, 'on'],
  [/,?\s*(?:lid off|open)$/i, 'off'],
  [/,?\s*under paper$/i, 'paper'],
];

/** The lid at the end of a line, off where none is said, and the line without it. */
export function takeLid(text: string): { rest: string; lid: Lid } {
  for (const [pattern, lid] of LIDS) if (pattern.test(text)) return { rest: text.replace(pattern, ''), lid };
  return { rest: text, lid: 'off' };
}

export const LID_WORDS: Readonly<Record<Lid, string>> = {
  off: '',
  ajar: ' lid ajar',
  on: ' lid on',
  paper: ' under paper',
};
