/**
 * What is weighed on the bench: trimming; browning, sweating, wilting and clarifying (raw → cooked); and the drained weight
 * of spent solids, left to drain or pressed.
 */
export const TEST_KINDS = ['trim', 'brown', 'sweat', 'wilt', 'clarify', 'drain', 'press'] as const;
export type TestKind = (typeof TEST_KINDS)[number];

/** What cooking tests teach: shares of the raw weight in %, or ml kept per kg raw. */
export const COOKED = [
  'browned off',
  'fat run off',
  'sweated off',
  'wilted off',
  'clear fat',
  'retention',
  'retention pressed',
] as const;
export type Cooked = (typeof COOKED)[number];

/** The unit a cooked figure is written in. */
export const figureUnit = (figure: Cooked): '%' | 'ml/kg' => (figure.startsWith('retention') ? 'ml/kg' : '%');
