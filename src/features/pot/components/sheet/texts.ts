import { plural } from '@/core/plural';

/** What people read in pot/sheet. */

// use-sheet.ts
export const cm = (cm: string): string => `${cm} cm`;

// use-view.ts
export const columnsSheet = 'columns of a sheet';

// movable-steps.tsx
export const place = (at: number, count: number): string => `place ${at} of ${count}`;
export const spacePicksStepUp =
  'Space picks the step up, the arrow keys move it, Space drops it, Escape cancels.';
export const pickedUp = (text: string, place: string): string => `“${text}” picked up, at ${place}.`;
export const over = (place: string): string => `Over ${place}.`;
export const dropped = (place: string): string => `Dropped at ${place}.`;
export const cancelled = 'Cancelled.';
export const move = (name: string): string => `Move ${name}`;

// sheet-head.tsx
export const peak = (litres: string): string => `of ${litres} at its peak`;
export const hob = 'on the hob';
export const portionMlThem = (ml: string, whole: number): string => `a portion of ${ml} ml, ${whole} of them`;
export const perKilo = 'per kilo';
export const perLitre = 'per litre';
export const incomplete = 'incomplete';
export const ingredients = (each: string): string => `${each}, ingredients`;
export const perLitreMoney = (money: string): string => `; ${money} per litre`;
export const estimateOneIngredient = 'an estimate in one ingredient';
export const estimatesIngredients = (estimates: number): string => `estimates in ${estimates} ingredients`;
export const notUsedYet = 'not used yet';
export const goesInto = 'goes into ';
export const editsLast = (times: number, day: string): string => `${times} edits, last ${day}`;
export const created = (day: string): string => `created ${day}`;

// sheet-tools.tsx
export const whatPotCalled = 'What is the pot called?';
export const noteMost400Characters = 'A note has at most 400 characters.';
export const startBatch = 'Start a batch';
export const scale = 'Scale';
export const print = 'Print';
export const versions = 'Versions';
export const familyTree = 'Family tree';
export const weighUp = 'Weigh up';
export const history = 'History';
export const nameNote = 'Name and note';
export const duplicate = 'Duplicate';
export const archive = 'Archive';
export const whatCalled = 'What it is called';
export const note = 'A note';

// scale-panel.tsx
export const manyLitres = 'so many litres';
export const manyPortions = 'so many portions';
export const manyCoversDish = 'so many covers of a dish';
export const whatCame = 'what came in';
export const sheetSizeNow = 'The sheet has that size now.';
export const scaleHeading = 'Scale to';
export const whatCameHeading = 'What came in';
export const whichDish = 'Of which dish';
export const howMuch = 'How much';
export const whichVessel = 'In which vessel';
export const vesselSuitsBest = 'in the vessel that suits it best';
export const inThe = (name: string): string => `in the ${name}`;
export const multiplyingListWouldFail =
  'Multiplying the list would fail here: the pot would run over, boil dry, or never get there.';
export const multiplyingListGivesSame = 'Multiplying the list gives the same here.';
export const spent = (money: string, spent: number): string =>
  `, ${money} ${spent > 0 ? 'more' : 'less'} spent`;
export const multiplyingListWouldGiven = (
  litres: string,
  otherLitres: string,
  off: number,
  cost: string,
): string =>
  `Multiplying the list would have given ${litres}: ${otherLitres} too ${off > 0 ? 'much' : 'little'}${cost}.`;
export const hobBatches = (batches: number): string => `on the hob${batches > 1 ? ', each batch' : ''}`;
export const perLitreIngredients = 'per litre, ingredients';
export const sheetStands = 'as the sheet stands';
export const inTheVessel = 'in the';
export const listTimes = ', the list times';
export const eachBatch = ' for each batch';
export const sharesLevelsTimesStay =
  'Shares, levels and times stay as they are; what is weighed and measured grows.';
export const cookOrPrint = 'Cook or print';
export const saveSheetSize = 'Save the sheet at this size';

// pot-sheet.tsx
export const vesselStarts = 'the vessel it starts in';
export const whatStands = 'what it stands on';
export const ways = 'its ways';
export const saving = 'saving …';
export const saved = '✓ saved';
export const noConnectionSavedDevice = 'no connection: saved on this device, sent when it is back';
export const notSavedChooseWhich = 'not saved: choose which version to keep';
export const notSavedFixLine = 'not saved: fix the line marked above first';
export const oneLineLinesCome = (size: number): string =>
  `· ${plural(size, 'one line has', `${size} lines have`)} come in`;
export const from = (by: string): string => ` from ${by}`;
export const somebodyElseChanged = 'Somebody else has changed';
export const tooYoursShownHere = 'too. Yours is shown here.';
export const keepMine = 'Keep mine';
export const leavesUndoneWithoutCost = (name: string, undone: boolean, why: string): string =>
  `This leaves ${name} ${undone ? 'undone' : 'without a cost'}. ${why}`;
