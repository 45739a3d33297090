import { plural } from '@/core/plural';

/** What people read in house/stove. */

// wire.ts
export const whatCalled = 'What is it called?';

// typed.ts
export const kg = (typed: string): string => `${typed} kg`;

// commands.ts
export const cannotFrom = (value: number, unit: string, low: number, high: number): string =>
  `${value} ${unit} cannot be: from ${low} to ${high} ${unit}.`;
export const cm = (typed: string): string => `${typed} cm`;
export const missingMeasureInsideCm = 'This is missing: measure it inside, in cm.';
export const alreadyHereChooseAnother = (twin: string): string =>
  `“${twin}” is already here: choose another name.`;
export const rimTimesBaseCannot = (taper: string, tapers: number, toTapers: number): string =>
  `A rim ${taper} times the base cannot be: from ${tapers} to ${toTapers} times. Were the two mixed up?`;
export const vesselArchivedAlready = 'This vessel is archived already.';
export const hobArchivedAlready = 'This hob is archived already.';
export const alreadyKitchen = 'This is already in the kitchen.';
export const archivedAlready = 'This is archived already.';
export const cookedChooseWhatTakes = (names: string, count: number, what: string): string =>
  `${names} ${plural(count, 'is', 'are')} cooked ${what === 'vessel' ? 'in' : 'on'} it: choose what takes its place.`;
export const whatTakePlaceNo = 'What is to take its place is no longer here.';

// queries.ts
export const cmAcross = (typed: string): string => `${typed} cm across`;
export const cmBaseRim = (typed: string, otherTyped: string): string =>
  `${typed} cm at the base, ${otherTyped} at the rim`;
export const cmByCm = (typed: string, otherTyped: string): string => `${typed} × ${otherTyped} cm`;
export const high = (across: string, typed: string): string => `${across}, ${typed} high`;
