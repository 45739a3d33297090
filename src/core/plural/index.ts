const rules = new Intl.PluralRules('en');

/**
 * The form of a word that goes with a number: `plural(3, 'line', 'lines')` is `lines`. Another language needs its own
 * forms; `Intl.PluralRules` says which of them a number takes.
 */
export const plural = (n: number, one: string, other: string): string =>
  rules.select(n) === 'one' ? one : other;
