import * as texts from './texts';
/** Cups, spoons, pints and gallons by country: what a house measure of each name holds. */
export const CUPS_OF = {
  us: {
    cup: texts.n1UsCup,
    tbsp: texts.n1UsTbsp,
    tablespoon: texts.n1UsTbsp,
    tsp: texts.n1UsTsp,
    teaspoon: texts.n1UsTsp,
    pint: texts.n1UsPint,
    pt: texts.n1UsPint,
    quart: texts.n1UsQuart,
    qt: texts.n1UsQuart,
    gallon: texts.n1UsGallon,
    gal: texts.n1UsGallon,
  },
  imperial: {
    cup: '284 ml',
    tbsp: '15 ml',
    tablespoon: '15 ml',
    tsp: '5 ml',
    teaspoon: '5 ml',
    pint: texts.n1ImpPint,
    pt: texts.n1ImpPint,
    quart: texts.n1ImpQuart,
    qt: texts.n1ImpQuart,
    gallon: texts.n1ImpGallon,
    gal: texts.n1ImpGallon,
  },
  metric: { cup: '250 ml', tbsp: '15 ml', tablespoon: '15 ml', tsp: '5 ml', teaspoon: '5 ml' },
} as const satisfies Record<string, Readonly<Record<string, string>>>;

export type Cups = keyof typeof CUPS_OF;

export const CUP_WORDS: Readonly<Record<Cups, string>> = {
  us: texts.americanCup237Ml,
  imperial: texts.imperialCup284Ml,
  metric: texts.metricCup250Ml,
};
