/** What people read in stove. */

// queries.ts
export const vesselOrHobArchived =
  'Its vessel or hob is archived: restore it, and the pot can be followed again.';

// learnable.ts
export const whatGives = (name: string): string => `${name}: what it gives`;
export const whatKeeps = (name: string): string => `${name}: what it keeps`;
export const potsPouredOutWhat = 'Pots that are poured out: what stays on their walls';
export const whatStays = (strainer: string): string =>
  `${strainer.charAt(0).toUpperCase()}${strainer.slice(1)}: what stays in it`;
export const whatStaysBlender = 'what stays in the blender';
export const whatStaysSieve = 'what stays in the sieve';
export const howFullPortions = 'how full its portions are';
export const time = (nth: undefined | string, otherNth: string): string =>
  `, the ${nth ?? `${otherNth}th`} time`;

// wire.ts
export const batchLeastTwentiethSheet = 'A batch is at least a twentieth of its sheet.';
export const batchMostFiftyTimes = 'A batch is at most fifty times its sheet.';

// commands.ts
export const wouldMinFromNow = (minutes: number): string =>
  `This would be ${minutes} min from now: check the clock of this tablet.`;
export const wouldBeforeBatchStarted = 'This would be before the batch started.';
export const wouldMoreThan14 = 'This would be more than 14 days ago: no pot stands so long.';
export const potLeftUpH = (nightH: number, hours: string): string =>
  `A pot is left for up to ${nightH} h; this would be ${hours} h.`;
export const holdsSinceChooseAnother = (name: string, otherName: string, since: string): string =>
  `${name} has held ${otherName} since ${since}: choose another vessel, or end that batch first.`;
export const sheetArchivedNothingCook = 'This sheet has been archived: there is nothing to cook by.';
export const vesselOrHobArchivedChooseAnother = 'This vessel or hob has been archived: choose another.';
export const noLinesYetWrite = (name: string): string => `${name} has no lines yet: write them first.`;
export const batchArchived = 'This batch has been archived.';
export const batchFinishedUndoEnd = 'This batch is finished: undo its end first.';
export const lineNotPartBatch = 'This line is not part of this batch.';
export const potPastLimitHouse =
  'This pot is past a limit of this house: nothing can be corrected any more. Its food-safety plan says what becomes of it.';
export const alreadyUndone = 'This has already been undone.';
export const vesselArchived = 'This vessel has been archived.';
export const noBatchCountsRead = 'No batch that counts has been read at this heat: nothing is learned yet.';
export const noBatchCountsReadRefractometerNothing =
  'No batch that counts was read by a refractometer: nothing is learned yet.';
export const noBatchCountsReadBeforeAfter =
  'No batch that counts was read before and after it was strained: nothing is learned yet.';
export const noBatchCountsReadBeforeAfterPouredOver =
  'No batch that counts was read before and after it was poured over: nothing is learned yet.';
export const noBatchCountsReadBeforeAfterMachineNothing =
  'No batch that counts was read before and after the machine: nothing is learned yet.';
export const noBatchCountsPortions = 'No batch that counts has its portions counted: nothing is learned yet.';
export const noLabourMinutesEntered =
  'No labour minutes were entered for this batch: nothing is learned yet.';
export const measuredYieldTestValue =
  'This was measured in a yield test: that value is used, and changes there.';
export const batchArchivedAlready = 'This batch is archived already.';
export const batchHereAlready = 'This batch is here already.';

// instrument-readings.ts
export const kitchenNoProbeYet = 'This kitchen has no probe yet: a manager sets its address in House.';
export const kitchenNoScaleYet = 'This kitchen has no scale yet: a manager sets its address in Trim.';
export const scaleOverloadedWeighParts = 'The scale is overloaded: weigh it in parts, and type the kilos.';
export const nothingScale = 'Nothing is on the scale.';
export const vesselBatchArchived = 'The vessel of this batch is archived.';
export const emptyWeightNotKnown = (name: string): string =>
  `The empty weight of ${name} is not known: a manager enters it in House, under vessels.`;
export const scaleOverloadedPotToo = 'The scale is overloaded: this pot is too heavy for it.';
export const scaleShowsKgAlone = (g: string, name: string, emptyG: string): string =>
  `The scale shows ${g} kg; ${name} alone weighs ${emptyG} kg.`;

// actions.ts
export const onlySomeoneWhoMay = 'Only someone who may write to a batch can take a reading.';
export const entryUndone = 'an entry undone';
export const labourOf = (kind: string): string => `Labour: ${kind}`;
