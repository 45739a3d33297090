/** What people read in core/batch. */

// rescue.ts
export const standsNowPotSay = (now: string, problem: string, up: boolean, goal: number): string =>
  `It stands at ${now} now: for a pot that is ${problem} say a figure ${up ? 'above' : 'below'} that, not ${goal}.`;

// pantry.ts
export const recipe = 'A recipe';
