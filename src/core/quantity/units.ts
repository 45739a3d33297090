/** What a unit measures; amounts of different kinds meet only through a density or a piece weight. */
export type Kind = 'mass' | 'volume' | 'count' | 'length' | 'time' | 'share' | 'temperature';

/** What things are counted in; each may weigh something else. */
export const COUNT_UNITS = [
  'each',
  'bunch',
  'bottle',
  'can',
  'box',
  'clove',
  'sprig',
  'stick',
  'slice',
  'batch',
] as const;
export type CountUnit = (typeof COUNT_UNITS)[number];

export interface Unit {
  readonly kind: Kind;
  /** The word written back. */
  readonly name: string;
  /** How much of the base unit one of these is: g, ml, each, cm, h, a share of 1. */
  readonly factor: number;
}

const unit = (kind: Kind, name: string, factor: number, ...others: string[]): [string, Unit][] =>
  [name, ...others].map((word) => [word.toLowerCase(), { kind, name, factor }]);

/**
 * Definitions, exact: pound 453.59237 g, US gallon 231 cubic inches, imperial gallon 4.54609 l; quarts, pints, cups and spoons are
 * parts of their gallon,
 * US bushel 35.2390704 l, inch 2.54 cm. Plain pints, quarts, gallons and fluid ounces differ
 * between countries and are left out on purpose: they are asked for (see `doubtfulUnits`).
 */
const table = new Map<string, Unit>([
  ...unit('mass', 'g', 1, 'gram', 'grams', 'gr'),
  ...unit('mass', 'kg', 1000, 'kilo', 'kilos', 'kilogram', 'kilograms'),
  ...unit('mass', 'mg', 0.001),
  ...unit('mass', 'lb', 453.59237, 'lbs', 'pound', 'pounds'),
  ...unit('mass', 'oz', 28.349523125, 'ounce', 'ounces'),
  ...unit('volume', 'ml', 1, 'millilitre', 'millilitres', 'cc'),
  ...unit('volume', 'cl', 10),
  ...unit('volume', 'dl', 100),
  ...unit('volume', 'l', 1000, 'litre', 'litres', 'liter', 'liters', 'lt', 'ltr'),
  ...unit('volume', 'us fl oz', 29.5735295625),
  ...unit('volume', 'us pint', 473.176473, 'us pints', 'us pt'),
  ...unit('volume', 'us quart', 946.352946, 'us quarts', 'us qt', 'us qts'),
  ...unit('volume', 'us gallon', 3785.411784, 'us gallons', 'us gal', 'us gals'),
  ...unit('volume', 'us cup', 236.5882365, 'us cups'),
  ...unit('volume', 'us tbsp', 14.78676478125),
  ...unit('volume', 'us tsp', 4.92892159375),
  ...unit('volume', 'imp fl oz', 28.4130625),
  ...unit('volume', 'imp pint', 568.26125, 'imp pints', 'imp pt'),
  ...unit('volume', 'imp quart', 1136.5225, 'imp quarts', 'imp qt'),
  ...unit('volume', 'imp gallon', 4546.09, 'imp gallons', 'imp gal'),
  ...unit('volume', 'bushel', 35239.0704, 'bushels', 'us bushel'),
  ...unit('count', 'each', 1, 'ea', 'piece', 'pieces', 'pc', 'pcs', 'head', 'heads'),
  ...unit('count', 'dozen', 12, 'dozens'),
  ...unit('count', 'bunch', 1, 'bunches'),
  ...unit('count', 'bottle', 1, 'bottles'),
  ...unit('count', 'clove', 1, 'cloves'),
  ...unit('count', 'sprig', 1, 'sprigs'),
  ...unit('count', 'stick', 1, 'sticks', 'stalk', 'stalks', 'rib', 'ribs'),
  ...unit('count', 'slice', 1, 'slices', 'rasher', 'rashers'),
  ...unit('count', 'box', 1, 'boxes'),
  ...unit('count', 'batch', 1, 'batches'),
  ...unit('count', 'can', 1, 'cans', 'tin', 'tins'),
  ...unit('length', 'cm', 1, 'centimetre', 'centimetres'),
  ...unit('length', 'mm', 0.1),
  ...unit('length', 'in', 2.54, 'inch', 'inches'),
  ...unit('time', 'h', 1, 'hr', 'hrs', 'hour', 'hours'),
  ...unit('time', 'min', 1 / 60, 'mins', 'minute', 'minutes'),
  ...unit('share', '%', 0.01, 'percent', 'per cent'),
  ...unit('temperature', '°C', 1, 'c', 'celsius'),
  ...unit('temperature', '°F', 1, 'f', 'fahrenheit'),
]);

/** Units that mean different amounts in different countries, with what to write instead. */
export const doubtfulUnits: Readonly<Record<string, string>> = {
  pint: 'us pint (473 ml) or imp pint (568 ml)',
  pints: 'us pints (473 ml) or imp pints (568 ml)',
  pt: 'us pt (473 ml) or imp pt (568 ml)',
  quart: 'us quart (946 ml) or imp quart (1.137 l)',
  quarts: 'us quarts (946 ml) or imp quarts (1.137 l)',
  qt: 'us qt (946 ml) or imp qt (1.137 l)',
  gal: 'us gal (3.785 l) or imp gal (4.546 l)',
  cup: 'us cup (237 ml) or 250 ml',
  cups: 'us cups (237 ml) or 250 ml each',
  tbsp: 'us tbsp (14.8 ml) or 15 ml',
  tsp: 'us tsp (4.9 ml) or 5 ml',
  tablespoon: 'us tbsp (14.8 ml) or 15 ml',
  tablespoons: 'us tbsp (14.8 ml) or 15 ml each',
  teaspoon: 'us tsp (4.9 ml) or 5 ml',
  teaspoons: 'us tsp (4.9 ml) or 5 ml each',
  gallon: 'us gallon (3.785 l) or imp gallon (4.546 l)',
  gallons: 'us gallons (3.785 l) or imp gallons (4.546 l)',
  'fl oz': 'us fl oz (29.6 ml) or imp fl oz (28.4 ml)',
};

/** The unit behind a word, in any case and with or without a full stop; undefined if there is none. */
export const unitOf = (word: string): Unit | undefined =>
  table.get(word.trim().toLowerCase().replace(/\.$/, ''));
