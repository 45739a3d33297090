/** The instant every browser test and every picture lives in; the demo is loaded for its day. */
export const HELD_CLOCK = '2026-03-14T12:00:00.000Z';
export const HELD_DAY = HELD_CLOCK.slice(0, 10);
