/** What people read in server/door. */

// perform.ts
export const youSignedOutSign = 'You are signed out: sign in again and you can save what you typed.';
export const signedHereNowTyped = (name: string): string =>
  `${name} is signed in here by now, and this was typed by somebody else: they can save it once they sign in here again.`;
export const writtenAnotherVersionHalf =
  'This was written by another version of Half Pot, which this one does not know: load the page again.';
export const mayLookButNot = (roleWords: string, least: string): string =>
  `A ${roleWords} may look at this but not change it; ${least === 'changer' ? 'a manager may, or a cook where the house lets cooks change recipes and prices' : `a ${least} may`}.`;
export const somebodyChangedWhileYou =
  'Somebody changed this while you were at it: keep yours or take theirs.';
export const changedWhileYouEditing = (byName: null | string, clockIn: string): string =>
  `${byName ?? 'Somebody'} changed this at ${clockIn} while you were editing`;
export const keepYoursOrTake = (by: string, what: string): string =>
  `${by}${what}: keep yours or take theirs.`;
export const halfPotUpdatedWhile = 'Half Pot has been updated while you were at it: load the page again.';
export const underCommandsIdSomething =
  'Under this command’s id something else was done before: it is sent again with an id of its own.';
export const somethingNameOrNumber =
  'Something with this name or number is here already: choose another, or load the page again to see it.';
export const manyPeopleWritingMoment =
  'Many people are writing at this moment: what you typed still stands here; try again.';
export const kitchensRecordsDoNot =
  'The kitchen’s records do not answer at this moment: what you typed still stands here; try again in a little while.';
export const couldNotSavedSomething =
  'This could not be saved: something went wrong on our side. What you typed still stands here; try again.';

// request.ts
export const didNotComeFrom = 'This did not come from a page of this kitchen: nothing was written.';
export const largerThanMbMost = (largest: number): string =>
  `This is larger than ${largest} MB, the most that is taken at once.`;
export const couldNotReadLoad = 'This could not be read: load the page again and try once more.';
