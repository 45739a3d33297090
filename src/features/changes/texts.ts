import { plural } from '@/core/plural';

/** What people read in changes. */

// undoing-work.ts
export const whatStoodBeforeNot =
  'What stood there before was not recorded: type the yield that is to count.';
export const noFigureTestBefore =
  'There was no figure of a test before this one to go back to: leave the test out instead, with a reason.';
export const putBack = (name: string): string => `put back by ${name}`;
export const recordedBeforeUndoExisted =
  'This was recorded before undo existed: count or weigh it once more.';
export const noLongerAmongPurchases = 'This is no longer among the purchases.';
export const lastManagerKitchenNobody =
  'This was the last manager: a kitchen that nobody manages could never be changed again. Make somebody else a manager first.';

// undoing.ts
export const builtSinceUndoFirst = (names: string, count: number): string =>
  `${names} ${plural(count, 'has', 'have')} been built on this since: undo that first.`;
export const takesArchivedRestoreFirst = (name: string, kind: string): string =>
  `${name} takes a ${kind} that is archived: restore it first.`;
export const sizeDishArchivedRestore = (name: string): string =>
  `${name} is a size of a dish that is archived: restore it first.`;
export const followUndoFirst = (names: string): string => `${names} follow it: undo that first.`;
export const somethingElseCalledNow = (name: string): string => `Something else is called ${name} now.`;
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const trimNowUsableWould = (usablePct: number): string =>
  `With the trim there is now, ${usablePct} % usable would be more than the whole.`;

// commands.ts
export const you = 'You have';
export const has = (byName: null | string): string => `${byName ?? 'Somebody'} has`;
export const builtSinceComesFirstByClockInChangeText = (
  by: string,
  clockIn: string,
  changeText: string,
): string => `${by} built on this since, at ${clockIn}: ${changeText}. Undo that first.`;
export const youUndoneNothingCould = 'You have undone nothing that could be redone.';
export const youNothingUndo = 'You have nothing to undo.';
export const changeNoLongerLog = 'This change is no longer in the log.';
export const didTheyCanUndo = (byName: null | string): string =>
  `${byName ?? 'Somebody else'} did this: they can undo it, or a manager can.`;
export const alreadyUndone = 'This has already been undone.';
export const cannotUndoneItself = (changeText: string): string =>
  `This cannot be undone by itself: ${changeText}.`;
export const canUndo = (role: string): string => `A ${role} can undo this.`;
export const nothingUndo = 'There is nothing to undo.';
export const onlyPotSheetOr = 'Only a pot sheet or a dish can be restored as it was.';
export const cannotRestored = 'This cannot be restored.';
