/** What people read in core/verbs/separating. */

// clarify.ts
export const clarifyNeedsAmountName = (matchAt: string): string =>
  `“clarify with ${matchAt}” needs an amount and a name, such as “clarify with 200 g egg white”.`;

// defat.ts
export const noFatTakeOff = (percent: string, name: string): string =>
  `There is no fat to take off: all ${percent} of it is held${name}.`;
export const takeOffBeforeAnything = 'Take it off before anything is blended or mounted.';

// strain.ts
export const notStrainer = (through: string, there: string): string =>
  `“${through}” is not a strainer: ${there}.`;
