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
export const rimTimesBaseCannot = (taper: string, tapers: number, tapers2: number): string =>
  `A rim ${taper} times the base cannot be: from ${tapers} to ${tapers2} times. Were the two mixed up?`;
export const vesselArchivedAlready = 'This vessel is archived already.';
export const hobArchivedAlready = 'This hob is archived already.';
export const alreadyKitchen = 'This is already in the kitchen.';
export const archivedAlready = 'This is archived already.';
export const cookedChooseWhatTakes = (listNames: string, count: number, what: string): string =>
  `${listNames} ${plural(count, 'is', 'are')} cooked ${what === 'vessel' ? 'in' : 'on'} it: choose what takes its place.`;
export const whatTakePlaceNo = 'What is to take its place is no longer here.';

// queries.ts
export const cmAcross = (typed: string): string => `${typed} cm across`;
export const cmBaseRim = (typed: string, typed2: string): string =>
  `${typed} cm at the base, ${typed2} at the rim`;
export const cmTypedTyped2 = (typed: string, typed2: string): string => `${typed} × ${typed2} cm`;
export const high = (across: string, typed: string): string => `${across}, ${typed} high`;
