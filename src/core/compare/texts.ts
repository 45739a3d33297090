/** What people read in core/compare. */

// snapshot.ts
export const cannotMadeNothingCan = (name: string): string =>
  `${name} cannot be made, so nothing can be taken from it.`;
export const noBatchCanMade = 'No batch of it can be made yet, so none has left anything.';

// sheet-ways.ts
export const sheetAskedArchived = 'The sheet this was asked of has been archived.';
export const lineAskedRemovedSince = (name: string): string =>
  `The line of ${name} that this was asked of has been removed since.`;
export const cannotMade = (name: string): string => `${name} cannot be made.`;

// base.ts
export const makesNothingStands = (name: string): string => `${name} makes nothing as it stands.`;
export const lineTakesNothingAny = 'This line takes nothing any more: there is no base to weigh up.';
export const cannotCookedFarLine = (name: string): string =>
  `${name} cannot be cooked as far as this line, so nothing is known of its base.`;
export const noLitresOnlyWhat = (name: string): string =>
  `${name} has no litres: only what pours is weighed up as a base.`;

// simple.ts
export const anyMoreNothingWeigh = (what: string): string =>
  `${what} any more: there is nothing to weigh up.`;
export const fewerThanTwoThese = 'Fewer than two of these vessels are here any more.';
export const otherSheetArchived = 'The other sheet has been archived.';

// thicken.ts
export const lineReducesNothingAny = 'This line reduces nothing any more: there is nothing to weigh up.';
export const whatReducedHereNot =
  'What is reduced here is not reduced to be thick, but for its taste: there is no body that something else could give.';

// ways.ts
export const oneThesePacksArchived = 'One of these packs has been archived.';
export const noPriceYetNothing = (name: string): string =>
  `${name} has no price yet: there is nothing to compare.`;
