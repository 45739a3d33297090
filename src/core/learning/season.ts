export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof SEASONS)[number];

/**
 * The season a business day lies in, by whole months (March to May is spring): what a test is offered, not what it must be.
 * @example seasonOf('2026-03-14') // spring
 */
export const seasonOf = (day: string): Season =>
  SEASONS[Math.floor(((Number(day.slice(5, 7)) + 9) % 12) / 3)] as Season;
