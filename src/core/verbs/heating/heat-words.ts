import type { Heat, Lid } from '../../pot';

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

/** The heat that everyday words stand for: a boil nobody calls hard is a brisk one, and gently simmering is the bare simmer of a stock. */
export function heatSaid(said: readonly string[]): Heat {
  const words = new Set(said);
  const any = (...some: readonly string[]): boolean => some.some((w) => words.has(w));
  if (words.has('pan')) return 'wide pan';
  if (words.has('boil') || words.has('bubble'))
    return any('hard', 'fast', 'rolling') ? 'hard boil' : 'brisk boil';
  return any('bare', 'barely', 'poach', 'tremble', 'gently', 'slowly', 'softly', 'gentle')
    ? 'bare simmer'
    : 'simmer';
}

/** The lid that everyday words stand for. */
export function lidSaid(said: readonly string[]): Lid {
  const words = new Set(said);
  if (words.has('paper')) return 'paper';
  if (words.has('ajar') || words.has('half') || words.has('partly')) return 'ajar';
  if (words.has('uncovered') || words.has('open') || words.has('off') || words.has('without')) return 'off';
  return words.has('covered') || words.has('lid') ? 'on' : 'off';
}
