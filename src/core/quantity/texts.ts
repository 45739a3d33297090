/** What people read in core/quantity. */

// number.ts
export const divides0 = (text: string): string => `“${text}” divides by 0.`;
export const notNumber = (text: string): string => `“${text}” is not a number.`;
export const canMeanOrWrite = (typed: string, fraction: string, thousands: string): string =>
  `“${typed}” can mean ${fraction} or ${thousands}: write one of these.`;

// arithmetic.ts
export const cannotCalculated = (typed: string): string => `“${typed}” cannot be calculated.`;

// amount.ts
export const amountMissingWriteNumber = 'An amount is missing: write a number and a unit, such as 2.5 kg.';
export const mixes = (text: string, kind: string, otherKind: string): string =>
  `“${text}” mixes ${kind} and ${otherKind}.`;
export const below0 = (text: string): string => `“${text}” is below 0.`;
export const notAmountWriteNumber = (text: string): string =>
  `“${text}” is not an amount: write a number and a unit, such as 2.5 kg.`;
export const noUnitWriteExample = (text: string, likelyUnit: string): string =>
  `“${text}” has no unit: write, for example, ${text} ${likelyUnit}.`;
export const differsBetweenCountriesWrite = (wordTyped: string, doubt: string): string =>
  `“${wordTyped}” differs between countries: write ${doubt}.`;
export const notUnitKnownHere = (wordTyped: string): string => `“${wordTyped}” is not a unit known here.`;

// measures.ts
export const cannotMeasureOneWord = (name: string): string =>
  `“${name}” cannot be a measure: one word of 2 to 24 letters is wanted.`;
export const unitAlready = (name: string): string => `“${name}” is a unit already.`;
export const holdsNothingMeasureHolds = (amount: string): string =>
  `“${amount}” holds nothing: a measure holds more than 0.`;

// shown.ts
export const usQt = 'US qt';
export const usFlOz = 'US fl oz';
export const impPt = 'imp pt';
export const impFlOz = 'imp fl oz';

// convert.ts
export const askedVolumeButWhat = (name: string): string =>
  `${name} is asked for by volume, but what a litre of it weighs is not known.`;
export const askedPieceButWhat = (name: string): string =>
  `${name} is asked for by the piece, but what one weighs is not known.`;
export const askedButWhatWeighs = (name: string, unit: string): string =>
  `${name} is asked for by the ${unit}, but what a ${unit} of it weighs is not known.`;
export const notMassVolumeOr = (typed: string): string => `“${typed}” is not a mass, volume or count.`;
export const kindWanted = (typed: string, kind: string, wanted: string): string =>
  `“${typed}” is a ${kind}; a ${wanted} is wanted here.`;
