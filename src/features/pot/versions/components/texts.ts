/** What people read in pot/versions. */

// versions-view.tsx
export const versions = (name: string): string => `${name}: versions`;
export const everyChangeSheetKept = (most: number): string =>
  `Every change of a sheet is kept. Choose up to ${most} to compare them with the current one, at today’s prices.`;
export const backSheet = 'Back to the sheet';
export const oneVersionYetCreated = (day: string): string => `There is one version yet, created ${day}.`;
export const chooseVersionLeftCompare = 'Choose a version on the left to compare it with the current one.';
export const weighThemUpEvery = 'Weigh them up: every figure, how sure it is, and where it flips';
export const no = (day: string, version: number): string => `${day}, no. ${version}`;
export const version = 'Version';
export const called = 'Called';
export const stands = 'as it stands';
export const noVersion = (version: number): string => `no. ${version}`;
export const versionCalled = (version: number): string => `Version ${version} is called`;
export const noNameYet = 'no name yet';
export const hob = 'on the hob';
export const perLitreIngredients = 'per litre, ingredients';
export const portion = 'a portion';
export const restoreVersion = 'Restore this version';
export const restored = '✓ restored';
export const thenNowNot = (text: string, has: boolean, now: string): string =>
  `then “${text}”, now ${has ? `“${now}”` : 'not there'}`;
export const notThen = (text: string): string => `not there then: “${text}”`;
export const elseWouldMove = 'else would move';
