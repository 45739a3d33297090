/** What people read in server. */

// pdf.ts
export const partOf = (title: string, page: number, pages: number): string => `${title}, ${page} of ${pages}`;

// outbound-fetch.ts
export const notHttpAddress = 'it is not an http address';
export const carriesNameOrPassword = 'it carries a name or password';
export const nameCannotFound = 'the name cannot be found';
export const serverItself = 'it is this server itself';
export const notAllowedNetwork = 'it is not on an allowed network';

// instruments.ts
export const scaleDoesNotAnswer =
  'The scale does not answer: is it plugged in? The weight can be typed into the field.';
export const whatAnswersScalesAddress =
  'What answers at the scale’s address shows no weight: type the weight into the field.';
export const whatAnswersProbesAddress = 'What answers at the probe’s address shows no degrees: type them.';
export const probeDoesNotAnswer = 'The probe does not answer: is it plugged in? The degrees can be typed.';

// disk.ts
export const onlyMbFreeDisk = (megabytes: number, leastMb: number): string =>
  `Only ${megabytes} MB are free on the disk, and ${leastMb} MB are kept in reserve: nothing can be written until there is room. What you typed is still here.`;

// unique-name.ts
export const nameMostCharacters = (longest: number, count: number): string =>
  `A name has at most ${longest} characters; this has ${count}.`;
export const and = (first: string, second: string): string => `${first} and ${second}`;
export const more = (first: string, second: string, count: number): string =>
  `${first}, ${second} and ${count} more`;

// start-session.ts
export const browser = 'a browser';
export const on = (part: string, otherPart: string): string => `${part} on ${otherPart}`;
