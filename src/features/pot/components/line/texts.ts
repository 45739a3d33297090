/** What people read in pot/line. */

// use-line-actions.ts
export const removed = (text: string): string => `“${text}” removed.`;

// use-suggestions.ts
export const cannotDoneHere = 'cannot be done here';
export const leavesStepUndone = (refused: number): string => `leaves step ${refused} undone`;

// warning-fix.tsx
export const potCannotMade = 'The pot cannot be made with it.';
export const withIt = (litres: string, perL: undefined | null | number, money: string): string =>
  `With it: ${litres}${perL === null || perL === undefined ? '' : `, ${money} per litre`}.`;

// line-input.tsx
export const linesMay = 'Lines it may be';
export const perLitre = (money: string): string => `, ${money} per litre`;

// line-note.tsx
export const noteStep = (index: number): string => `Note on step ${index}`;
export const cookPrintedUnderStep = 'for the cook, printed under the step';
export const noteCharactersMost = (count: number, longestNote: number): string =>
  `This note has ${count} characters: at most ${longestNote}.`;
export const saveNote = 'Save note';

// new-choice.tsx
export const whatAbout = 'What it is about';
export const whatAboutSalt = 'what it is about: the salt';
export const lineWayCalled = 'This line is the way called';
export const lineLate = 'this line: late';
export const otherWayCalled = 'The other way is called';
export const otherWayEarly = 'the other way: early';
export const addOtherWayBelow = 'Add the other way below';
export const notNow = 'Not now';

// step-menu.tsx
export const weighUpWhatCould = 'Weigh up what could be done here';
export const moreStep = (index: number): string => `More for step ${index}`;
export const lineBelow = 'A line below';
export const shiftEnter = 'Shift Enter';
export const lineAbove = 'A line above';
export const duplicateLine = 'Duplicate line';
export const altShift = 'Alt Shift ↓';
export const moveUp = 'Move up';
export const alt = 'Alt ↑';
export const moveDown = 'Move down';
export const altHeading = 'Alt ↓';
export const switchAgain = 'Switch it on again';
export const switchOff = 'Switch it off';
export const ctrl = 'Ctrl /';
export const note = 'Its note';
export const noteCook = 'A note for the cook';
export const editForm = 'Edit in a form';
export const anotherWayDoing = 'Another way of doing this';
export const useEveryVariant = 'Use in every variant';
export const onlyWhere = (name: string, otherName: string): string => `Only where ${name} is ${otherName}`;
export const removeStep = (index: number): string => `Remove step ${index}`;

// line-conflict.tsx
export const takenOut = 'taken out';
export const switchedOff = ', switched off';
export const noted = (note: string): string => `, noted “${note}”`;
export const somebodyElse = 'somebody else';
export const changedHereTheirsYours = (by: string, said: string, otherSaid: string): string =>
  `Changed here and by ${by}. Theirs: ${said}. Yours: ${otherSaid}.`;
export const keepMine = 'Keep mine';
export const takeTheirs = 'Take theirs';

// step-notes.tsx
export const comeUpHeat = 'to come up to heat';
export const switchedOffStaysHere = 'Switched off: it stays here and is not done.';
export const notPartVariantUse = 'Not part of the variant in use.';
export const labour = (hours: string, shared: number, value: number, otherHours: string): string =>
  `${hours} of labour${shared > value ? `, ${otherHours} of it setting up and washing up` : ''}`;
export const meansBatchesOneGives = (
  kilos: string,
  name: string,
  batches: number,
  otherKilos: string,
): string => `${kilos} of ${name} means ${batches} batches: one gives ${otherKilos}`;
export const usableBought = (kilos: string, totalKilos: string): string =>
  `usable ${kilos} of ${totalKilos} as bought`;
export const countedTrimmedPiecesSheet = (kilos: string, otherKilos: string): string =>
  `Counted as trimmed pieces, as this sheet was first written: ${kilos} go in. As bought it would be ${otherKilos} of ${kilos}.`;
export const countBought = 'Count as bought';

// step-row.tsx
export const somethingComes = 'something comes in';
export const heat = 'on the heat';
export const somethingLeaves = 'something leaves';
export const notUnderstood = 'not understood';
export const ourWay = ', our way';

// ways.tsx
export const variants = 'Variants';
export const onlyOurWayLeft = (name: string): string => `Only our way of ${name} is left.`;
export const ourWayNow = (name: string, otherName: string): string => `${name}: ${otherName} is our way now.`;
export const keepOnlyOurOwn = 'Keep only our own way';
export const ourWayWhatOthers = (name: string): string => `${name}: our way, and what the others would cost`;
export const hob = 'on the hob';
export const perLitreCurrencySign = (currencySign: string): string => `${currencySign} per litre`;
export const oneMoreWayCalled = 'One more way is called';
export const oneMoreWay = 'one more way';
export const add = 'Add';
export const withoutAnyLineOwn = ', without any line of its own';
export const nothingMade = 'nothing is made';
export const stepCannotDone = (refusedAt: number): string => `step ${refusedAt} cannot be done`;
export const incomplete = 'incomplete';

// step-fields.tsx
export const choose = 'choose';
export const notSaid = 'not said';
export const usual = 'as usual';
export const shareWeight = 'its share by weight';
export const setValuePerKilo = 'a set value per kilo';
export const setValuePerKiloHeading = 'Set value per kilo';
export const partOf = (part: string, name: string): string => `${part} of ${name}`;
export const lastBatch = (name: string): string => `last batch of ${name}`;
export const stockTrim = (name: string): string => `stock trim of ${name}`;

// step-form.tsx
export const somethingNeededNotFilled = 'Something that is needed is not filled in yet.';
export const oneMoreLine = 'One more line';
export const line = (at: number): string => `Line ${at}`;
export const addStep = 'Add step';
export const saveStep = 'Save step';
export const whatDone = 'What is done';
export const step = 'Step';
export const finishedLineAppearsHere = 'The finished line appears here.';
export const stepCouldNotDone = (refusedAt: number): string => `: step ${refusedAt} could not be done`;
