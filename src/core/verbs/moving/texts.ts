/** What people read in core/verbs/moving. */

// portion.ts
export const whatPackedNotKnown = 'What this is packed in is not known.';
export const whatOneWeighsNot = (name: string): string =>
  `What one ${name} weighs is not known: it cannot be counted out.`;
