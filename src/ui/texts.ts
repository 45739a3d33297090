/** What people read in ui. */

// formatters.ts
export const min = (minutes: number): string => `${minutes} min`;

// lazy-part.tsx
export const noConnectionPartScreen =
  'There is no connection, and this part of the screen is not on this device yet: open it again when there is.';
