/** Where mass goes when it leaves the pot without being a product. */
export const LOSSES = [
  'browned off',
  'fat run off',
  'evaporated',
  'skimmed',
  'held in solids',
  'clung',
  'solids discarded',
  'fat lifted',
  'dragged with fat',
  'left in the blender',
  'left in the sieve',
  'poured away',
] as const;
export type Loss = (typeof LOSSES)[number];
