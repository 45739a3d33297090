import { plural } from '@/core/plural';

/** What people read in pot. */

// wire.ts
export const potSheetMost200 = 'A pot sheet has at most 200 steps.';
export const potSheetMostChoices = (mostChoices: number): string =>
  `A pot sheet has at most ${mostChoices} choices.`;
export const potSheetLines = (count: number): string => `a pot sheet of ${count} lines`;
export const noteMost400Characters = 'A note has at most 400 characters.';
export const nameVersionMostCharacters = (longestVersion: number): string =>
  `The name of a version has at most ${longestVersion} characters.`;

// queries.ts
export const last = (names: string): string => `the last ${names}`;
export const next = (name: string): string => `the next ${name}`;

// making.ts
export const whatPotCalled = 'What is the pot called?';
export const kitchenAlreadyLineCould = (twin: string): string =>
  `“${twin}” is in the kitchen already: a line could mean either. Choose another name.`;
export const chooseWhatStands = 'Choose what it stands in and on.';
export const sheetLikeNoLonger = 'The sheet it is to be like is no longer in this kitchen.';
export const recipeCharactersCannotTaken = (count: number, mostPasted: number): string =>
  `A recipe of ${count} characters cannot be taken in: at most ${mostPasted}.`;
export const theseLinesPotSheet = (count: number, mostSteps: number): string =>
  `These are ${count} lines: a pot sheet has at most ${mostSteps}.`;
export const lineCharactersStepMost = (long: number, count: number, longestLine: number): string =>
  `Line ${long} has ${count} characters: a step has at most ${longestLine}. Put each step on a line of its own.`;
export const potSheetNoLonger = 'This pot sheet is no longer in this kitchen.';
export const potSheetArchivedAlready = 'This pot sheet is archived already.';
export const madeFromChooseWhat = (names: string, count: number): string =>
  `${names} ${plural(count, 'is', 'are')} made from it: choose what takes its place.`;
export const whatTakePlaceNo = 'What is to take its place is no longer in this kitchen.';
export const potSheetAlreadyHere = 'This pot sheet is already here.';
export const usesArchivedRestoreFirst = (name: string, count: number, kind: string): string =>
  `${name} uses ${plural(count, `a ${kind} that is`, `${count} ${kind}s that are`)} archived: restore ${plural(count, 'it', 'them')} first.`;

// commands.ts
export const stepSameIdAnother = (number: number): string =>
  `Step ${number} has the same id as another step.`;
export const kitchenDoesNotVessel = 'This kitchen does not have that vessel or hob.';
export const servedCCannotFrom = (celsius: string, servedFrom: number, servedTo: number): string =>
  `Served at ${celsius} °C cannot be: from ${servedFrom} to ${servedTo} °C.`;
export const sheetNoSuchVersion = 'This sheet has no such version.';

// scaling.ts
export const nothingGoesIntoPot = 'Nothing of that goes into this pot.';
export const kg = (amount: string): string => `${amount} kg`;
export const amountOutOfRange = (amount: string, kind: string, most: number): string =>
  `${amount} ${kind}: from 1 to ${most}.`;
export const noDishTakesAny = 'No dish takes any of this directly: scale to litres or portions.';
export const sheetDoesNotSay =
  'This sheet does not say how large a portion is: end it with a line such as “portion 60 ml”.';
export const stepCannotDoneCorrect = (refusedAt: number): string =>
  `Step ${refusedAt} cannot be done: correct it first.`;

// step-fields.ts
export const putSomething = 'put something in';
export const bringTemperature = 'bring to a temperature';
export const simmerOrBoil = 'simmer or boil';
export const continueVesselSetAside = 'continue in a vessel set aside';
export const pourIntoAnotherVessel = 'pour into another vessel';
export const pourPartIntoAnother = 'pour part into another vessel';
export const combineWhatSetAside = 'combine with what was set aside';
export const takeOffFat = 'take off the fat';
export const somethingTaste = 'something to taste';
export const thickenUntil = 'thicken until';
export const loosenUntil = 'loosen until';
export const seasonSaltContent = 'season to a salt content';
export const keepSolidsSecondWash = 'keep the solids for a second wash';
export const drawSomeOffSomething = 'draw some off as something of its own';
export const returnWhatSetAside = 'return what was set aside';
export const cookRoux = 'cook a roux';
export const clarifyRaft = 'clarify with a raft';
export const howMuch = 'How much';
export const dip = 'To a dip of';
export const cover = 'To cover by';
export const howLong = 'How long';
export const stops = 'Stops by';
export const goes = 'Goes on as';
export const shareCost = 'Its share of the cost';
export const portion = 'A portion';
export const over = 'Over it';
export const packed = 'Packed in';
export const thick = 'As thick as';
export const comesBack = 'Comes back';
export const whichPieces = 'Which pieces';
export const fatRunsOff = 'Fat that runs off';
export const fatStaysPot = 'That fat stays in the pot';
export const onlyLiquid = 'Only the liquid';
export const underOwnFat = 'Under its own fat';
export const onlyJuices = 'Only the juices';
export const labourIfNotUsual = 'Labour, if not as usual';

// warning-fixes.ts
export const putLess = (litres: string): string => `Put ${litres} less in`;
export const take = (name: string): string => `Take the ${name}`;
export const putWaterAfter = (litres: string): string => `Put ${litres} of water in after it`;
export const takeFatOffBefore = 'Take the fat off before that';
export const putLid = 'Put the lid on';
export const cookMin = (minutes: number): string => `Cook it ${minutes} min`;
export const putWaterBefore = (litres: string): string => `Put ${litres} of water in before it`;
export const leaveOut = (grams: string): string => `Leave ${grams} of it out`;
export const drainBefore = 'Drain it before';
export const keepBareSimmer = 'Keep it at a bare simmer';
export const combineName = (name: string): string => `Combine with the ${name}`;
export const returnPieces = 'Return the pieces';
export const stand = (name: string): string => `Stand it on ${name}`;
