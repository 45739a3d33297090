/** What people read in changes. */

// undo-key.tsx
export const somethingTypedHereNot =
  'Something typed here is not saved and would be lost: correct or remove it first.';
export const undoYourLastChange = 'Undo your last change (Ctrl Z); redo with Ctrl Shift Z';
export const undoMyLastChange = 'Undo my last change';
export const undo = 'Undo';

// changes-view.tsx
export const whatHappened = (name: string): string => `What happened to ${name}`;
export const history = 'History';
export const whoWhenWhatBefore =
  'Who, when, and what it was before. An undo is a change of its own: nothing is erased.';
export const log = 'Log';
export const noChangesYet = 'No changes yet.';
export const what = 'What';
export const who = 'who';
export const when = 'when';
export const earlier = 'Earlier';
export const undone = 'Undone:';
export const restoredThen = 'Restored as it was then.';
export const after = 'As it was after this';
export const redo = 'Redo';
export const done = (what: string, words: string): string => `${what}: ${words}`;
export const redone = 'Redone';
export const undoneHeading = 'Undone';
