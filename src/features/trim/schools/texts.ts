/** What people read in trim/schools. */

// wire.ts
export const addressMost400Characters = 'An address has at most 400 characters.';

// commands.ts
export const notAddressScaleShould = (part: string): string =>
  `“${part}” is not the address of a scale: it should look like http://127.0.0.1:4191/.`;
export const cannotBear = (name: string, message: string): string => `${name} cannot bear it. ${message}`;
