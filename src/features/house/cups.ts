import * as texts from './texts';
/** Cups, spoons, pints and gallons by country: what a house measure of each name holds. */
export const CUPS_OF = {
  us: {
    cup: '1 us cup',
    tbsp: '1 us tbsp',
    tablespoon: '1 us tbsp',
    tsp: '1 us tsp',
    teaspoon: '1 us tsp',
    pint: '1 us pint',
    pt: '1 us pint',
    quart: '1 us quart',
    qt: '1 us quart',
    gallon: '1 us gallon',
    gal: '1 us gallon',
  },
  imperial: {
    cup: '284 ml',
    tbsp: '15 ml',
    tablespoon: '15 ml',
    tsp: '5 ml',
    teaspoon: '5 ml',
    pint: '1 imp pint',
    pt: '1 imp pint',
    quart: '1 imp quart',
    qt: '1 imp quart',
    gallon: '1 imp gallon',
    gal: '1 imp gallon',
  },
  metric: { cup: '250 ml', tbsp: '15 ml', tablespoon: '15 ml', tsp: '5 ml', teaspoon: '5 ml' },
} as const satisfies Record<string, Readonly<Record<string, string>>>;

export type Cups = keyof typeof CUPS_OF;

export const CUP_WORDS: Readonly<Record<Cups, string>> = {
  us: texts.americanCup237Ml,
  imperial: texts.imperialCup284Ml,
  metric: texts.metricCup250Ml,
};
