/** What people read in house. */

// cups.ts
export const americanCup237Ml = 'American: a cup is 237 ml, a pint 473 ml, a gallon 3.785 l';
export const imperialCup284Ml = 'Imperial: a cup is 284 ml, a pint 568 ml, a gallon 4.546 l';
export const metricCup250Ml = 'Metric: a cup is 250 ml, a tablespoon 15 ml; pints and gallons are asked for';

// commands.ts
export const minutesOutOfRange = (typed: string, mostMinutes: number): string =>
  `${typed} minutes cannot be: from 0 to ${mostMinutes}.`;
export const notKindStep = (kind: string): string => `“${kind}” is not a kind of step.`;
export const hereAlreadyArchiveMeasure = (other: string, there: string): string =>
  `A ${other} is ${there} here already: archive that measure first, under Buy, Larder.`;
export const notReadable = 'not readable';
export const noLongerKitchen = 'This is no longer in this kitchen.';
export const noCostWhileSomething = (name: string): string =>
  `${name} has no cost while something it is made of has no price: there is nothing to keep yet.`;
export const costingArchivedAlready = 'This costing is archived already.';
export const noSuchCosting = 'There is no such costing.';
export const theseTakenAlready = 'These have been taken already.';
export const theseStartingValuesGiven =
  'These starting values have been given back already, or others taken since.';

// queries.ts
export const juiceGivesUp = 'juice it gives up';
export const pulpThickens = 'pulp that thickens';
export const whereCurdles = 'where it curdles';
export const howFastWilts = 'how fast it wilts';
export const gelatinGives = 'gelatin it gives';
export const betterStartingValuesTaken = 'Better starting values were taken for some ingredients.';
export const perDish = 'per dish';
export const perLitre = 'per litre';

// house-nav.tsx
export const wholeKitchen = 'The whole kitchen';
export const vesselsHobs = 'Vessels and hobs';
export const history = 'History';
export const kitchen = 'This kitchen';
