/** What people read in core/said. */

// names.ts
export const noCalled = (kind: string, said: string): string => `There is no ${kind} called “${said}”.`;

// read.ts
export const sayWhatHappensSuch = 'Say what happens, such as “8 kg venison bones” or “reduce by half”.';
export const notUnderstoodSayLike = (part: string): string =>
  `“${part}” is not understood: say it like “8 kg venison bones”, “simmer 4 h” or “reduce by half”.`;
export const nameUnclear = (said: string, which: string): string => `“${said}” ${which}.`;
