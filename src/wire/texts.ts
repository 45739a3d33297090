/** What people read in wire. */

// send.ts
export const serverDoesNotAnswer = (so: string): string => `The server does not answer; ${so}.`;
export const whatYouTypedStands = 'what you typed is still here and can be saved again';
export const tryAgain = 'try again';
export const noConnectionSavedDevice = 'No connection: saved on this device, and sent when it is back.';
export const serverDoesNotAnswerOrBrought =
  'The server does not answer, or was brought up to date since this page was opened; what you typed is still here. Try again, or reload the page.';

// fields.ts
export const most80CharactersKept = 'At most 80 characters are kept.';
export const chooseFromList = 'Choose it from the list.';
export const passwordLeast8Characters = 'A password has at least 8 characters.';
export const passwordMost200Characters = 'A password has at most 200 characters.';
export const passwordNotMadeDigits = 'A password is not made of digits alone.';
