/** What people read in pour/what-if. */

// queries.ts
export const somethingMadeFromNo = 'Something it is made from has no cost then.';
export const wouldNoCostAny = (name: string, lost: string): string =>
  `${name} would have no cost any more. ${lost}`;
export const somethingArchived = 'something archived';
export const oneThing = 'one thing';
export const things = (n: number): string => `${n} things`;
export const price = (name: string): string => `${name}, price`;
export const allPrices = (group: string): string => `All of ${group}, prices`;
export const allFromPrices = (name: string): string => `All from ${name}, prices`;
export const usable = (name: string): string => `${name}, usable`;
export const line = (name: string): string => `A line of ${name}`;
export const on = (called: string, name: string): string => `${called} on ${name}`;
export const menu = (name: string): string => `${name}, on the menu`;
export const howTrimCosted = 'How trim is costed';
export const labourPerHour = 'Labour per hour';
export const energyAll = 'Energy, all of it';
export const place = (name: string, usual: string): string => `${name} in place of ${usual}`;
export const trimFree = 'trim is free';
export const trimSetValue = 'trim at a set value';
export const sharedWeight = 'shared by weight';

// wire.ts
export const whatWhatIfCalled = 'What is the what-if called?';
export const whatIfHoldsMost = (mostOnATray: number): string =>
  `A what-if holds at most ${mostOnATray} trials.`;

// applying.ts
export const costedNewQuoteWould = (name: string, by: string): string =>
  `${name} is costed by ${by === 'fixed' ? 'a price agreed on' : 'what was paid for it'}: a new quote would not change that. Say in the price book what it is costed by, or remove it from the what-if.`;
export const set = (name: string): string => `set by ${name}`;
export const removeFirstWhatIf = (message: string): string =>
  `${message} Remove it first: a what-if is applied as a whole.`;
export const whatIfDeletedOr = 'This what-if is deleted or applied already.';
export const removeFromWhatIf = (lost: string): string => `${lost} Remove it from the what-if first.`;
export const onlyManagerCanChange =
  'Only a manager can change who pays for trim, the wage or the price of energy.';
export const nothingWhatIfWould = 'Nothing in this what-if would change the price book.';

// commands.ts
export const whatIfAlreadyChoose = (twin: string): string =>
  `“${twin}” is a what-if already: choose another name.`;
export const whatIfDeletedAlready = 'This what-if is deleted already.';
export const whatIfAlreadyHere = 'This what-if is already here.';
export const noSuchWhatIf = 'There is no such what-if.';

// actions.ts
export const notReadable = 'not readable';
