import { plural } from '@/core/plural';

/** What people read in trim/taught. */

// learn-from.tsx
export const whichTestsCount = 'Which tests count';
export const season = 'season';
export const learnFromTestsWhich = 'Learn from tests of which season';
export const allSeasons = 'of all seasons';
export const seasonNow = 'of the season it is now';
export const only = (what: string): string => `of ${what} only`;
export const supplier = 'supplier';
export const learnFromTestsWhichSupplier = 'Learn from tests of which supplier';
export const allSuppliers = 'of all suppliers';

// tests-table.tsx
export const ownTests = 'Own tests';
export const whatTheySaid = 'what they said';
export const ofWord = 'of';
export const counts = 'counts';
export const farFromWhatOthers = 'far from what the others say';
export const leftOut = 'left out:';
export const countAgain = 'count it again';
export const no = (not: string): string => `no: ${not}`;
export const fades = (percent: number): string => `by ${percent} %, it fades`;
export const leaveTestOut = (day: string): string => `Leave the test of ${day} out`;
export const leaveOut = 'leave out';
export const whyDoesNotCount = 'Why it does not count';
export const leaveOutHeading = 'Leave out';

// trim-method-form.tsx
export const howTrimCosted = 'How trim is costed';
export const stockTrim = 'Stock trim at';
export const stockTrimSetValue = 'Stock trim, set value per kilo';
export const comesOff = 'Comes off';
export const costsPerKiloComes = (money: string, name: string): string =>
  `Costs ${money} per kilo as it comes off, by the trim method of ${name}. Invoices of it are not counted.`;
export const setValue = 'Set value';
export const productSetValuePer = 'By-product, set value per kilo';
export const soldPriceMoneyBack = 'sold at that price: money back, whatever the method';
export const kitchenDoes = (name: string): string => `as the kitchen does: ${name}`;
export const potsTake = 'The pots take';
export const howMuchTrimPots = 'How much of the trim the pots take, per cent';

// taught-view.tsx
export const whatChanged = 'What changed';
export const acceptedWhatChanged = '✓ Accepted: this is what changed';
export const testSavedChangesNothing = (asks: boolean): string =>
  `✓ Test saved. ${asks ? 'It changes nothing that is in use.' : 'What it taught is in use.'}`;
export const notTestedHereYet = (name: string): string =>
  `${name} has not been tested here yet. One test says more than any table.`;
export const howCalculated = 'How it is calculated';
export const usesEstimateSince = (guess: boolean, said: string, day: string): string =>
  `${guess ? 'Uses an estimate' : said}, since ${day}.`;
export const used = ' Used in ';
export const usable = 'usable';
export const noCost = 'no cost';
export const usableKilo = (name: string): string => `${name}, a usable kilo`;
export const usableKiloCurrencySign = (currencySign: string): string => `${currencySign} a usable kilo`;
export const testAgain = 'Test again';
export const waitingYou = 'Waiting for you';
export const testsSay = (waits: string): string => `The tests say ${waits}`;
export const oneTestTestsFar = (odd: number): string =>
  `${plural(odd, 'One test is', `${odd} tests are`)} far from what the others say: look at it before you accept.`;
export const wouldChange = 'would change';
export const useFromToday = 'Use from today';
export const waitsUntilManagerAccepts = 'It waits until a manager accepts it.';
export const untilThenNothingChanges = 'Until then nothing changes.';
export const likely = (figure: string, unit: string, otherFigure: string, toFigure: string): string =>
  `${figure} ${unit}, likely ${otherFigure} to ${toFigure}`;
export const noTestCounts = 'no test counts';
export const valuesUsed = 'Values used';
export const instead = (figure: string): string => ` instead of ${figure}`;
export const why = 'why?';
export const shareOfTrim = '% of it, see ';
export const whereTrimGoes = 'where trim goes';
