/** What people read in core/uncertainty. */

// ranges.ts
export const doesNotLieBetween = (name: string, value: number, low: number, high: number): string =>
  `${name}: ${value} does not lie between its own ${low} and ${high}.`;
