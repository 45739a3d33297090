/** What people read in stove/batch. */

// curve.tsx
export const nothingYet = 'nothing yet';

// use-answer.ts
export const notKnownHere = 'not known here';
export const whatHouseNotDevice =
  'What this house has is not on this device yet, and the server does not answer: write a note for now.';

// done-differently.tsx
export const doneDifferently = 'Done differently';
export const lineDone = 'The line as it was done';
export const differentWeightDifferentIngredient =
  'A different weight, a different ingredient, or so much to taste. It counts for this batch only; the sheet stays as it is.';
export const save = 'Save';

// mishaps.tsx
export const doNotStirDo =
  'Do not stir and do not scrape. Pour what is clear into a clean pot and taste it: what tastes burnt does not get better.';
export const litresCleanPot = 'Litres in the clean pot';
export const turnDownWipeBurner =
  'Turn it down and wipe the burner. What was lost took its share of everything, salt and gelatin too.';
export const litresLeft = 'Litres that are left';
export const whatLostTookShare = 'What was lost took its share of everything.';
export const drawSomeOffBefore =
  'Draw some off before it boils over, and label it: it is this batch’s, and has its share of everything.';
export const litresStayPot = 'Litres that stay in the pot';
export const litresOutOfRange = (typed: string): string => `${typed} l cannot be: from 0 up.`;
export const lMoreThanL = (typed: string, stood: string): string =>
  `${typed} l is more than there was: ${stood} l.`;
export const standsShouldStandMost = (percent: number, name: string, otherPercent: number): string =>
  `The ${name} is ${percent} % full; ${otherPercent} % is the most.`;
export const lDrawnOffGone = (litres: string, drawnOff: boolean, percent: number): string =>
  `${litres} l ${drawnOff ? 'are drawn off' : 'are gone'}, ${percent} % of all that went in; salt and body stay as they are.`;
export const readingsL = (litres: string): string => `By the readings there were ${litres} l.`;
export const soItIs = 'Save';
export const whatWentHowMuch = 'What went in, and how much';
export const whatPotAlreadyHow = 'What was in that pot already, and how much of it';
export const example200MlCream = '200 ml cream';
export const example15LFish = '1.5 l fish fumet';
export const becomeSaltBodyWhat = (
  litres: string,
  otherLitres: string,
  saltPct: string,
  saltPctAfter: string,
  body: string,
  bodyAfter: string,
  cost: null | number,
  money: string,
): string =>
  `${litres} become ${otherLitres}; salt ${saltPct} → ${saltPctAfter} %, body ${body} → ${bodyAfter}; ${cost === null ? 'what it cost is not known' : `it cost ${money}`}.`;
export const itIsIn = 'Save';

// rescue.tsx
export const targetBody = 'Target body';
export const targetSalt = 'Target salt, %';
export const targetLitres = 'Target litres';
export const caught = 'it has caught';
export const tooMuchPot = 'too much for this pot';
export const strainedIntoWrongPot = 'strained into the wrong pot';
export const wrongThingWent = 'the wrong thing went in';
export const whatWrong = 'What is wrong?';
export const whatWrongHeading = 'What is wrong';
export const calculating = 'Calculating …';
export const standsNow = (now: string): string => `It stands at ${now} now.`;
export const nothingKitchenGets = 'Nothing in the kitchen gets it there.';
export const tastesDoes = 'tastes as it does';
export const tastesLittleThinner = 'tastes a little thinner';
export const tastesThinner = 'tastes thinner';
export const tastesLittle = 'tastes of little';
export const saltBody = (litres: string, saltPct: string, body: string): string =>
  `${litres}, salt ${saltPct} %, body ${body}`;
export const moreHeat = (hours: string): string => `, ${hours} more on the heat`;
export const whatCostsNotKnown = 'what it costs is not known';
export const costs = (money: string): string => `costs ${money}`;
export const doText = 'Do this';
export const nothingAddedLeaveHeat = 'Nothing is added: leave it on the heat, and read it again.';

// leave-overnight.tsx
export const leftOvernight = 'Left overnight';
export const staffBack = 'Staff back at';
export const kitchenNoOvernightRule =
  'This kitchen has no overnight rule yet; a manager sets it under This kitchen.';
export const leaveAnyway = 'Leave it anyway';
export const turnedDownLeft = (heat: string): string => `Turned down to ${heat} and left`;
export const leave = 'Leave it';
export const flame = 'The flame';
export const turnDown = (to: string): string => `Turn it down to ${to}`;
export const stands = 'As it stands';
export const kitchensRuleDoesNot =
  'This kitchen’s rule does not allow this overnight: turn it down, or take it off the heat and cool it.';
export const shouldStand = (clock: string): string => `At ${clock} it should stand at`;
export const litresEightInTen = (figure: string, toLitres: string): string =>
  ` (${figure} to ${toLitres} l, 8 in 10)`;
export const cmBelowRimWithDipCm = (dipCm: string): string => `, ${dipCm} cm below the rim.`;
export const lineWillFinished = (hours: string): string => `Its line will have been finished for ${hours}.`;
export const whatWillStickOut = 'What is in it will stick out of the liquid: it browns there, then burns.';
export const withText = 'With';
export const waterPouredNowWill =
  'of water poured in now, it will then have what it should have at the end of its line.';

// heat-off.tsx
export const heatOff = 'Heat off';

// finish-batch.tsx
export const litresGotOutOfRange = (text: string): string => `${text} l cannot be: from 0 to 2000.`;
export const hand = 'At hand';
export const allStepsDoneHow = 'All steps done. How much is there?';
export const litresMadeJugScale = 'Litres made, by jug, scale or dip';
export const readingsLCountsUnless = (should: string): string =>
  `By the readings it is ${should} l. That counts unless you type another figure.`;
export const finishBatch = 'Finish batch';
export const portionsCannotWholeOnes = (said: string, mostPortions: number): string =>
  `${said} portions cannot be: whole ones, from 1 to ${mostPortions}.`;
export const portionsServedIfCounted = 'Portions served, if counted';
export const plannedSizeMl = (figure: number, ml: string): string =>
  `At the planned size: ${figure} of ${ml} ml`;
export const thatIs = '; that is';
export const mlEach = (ml: string): string => `${ml} ml each`;
export const countedRight = ': was it counted right?';

// current-line.tsx
export const partOf = (at: number, count: number): string => `${at} of ${count}`;
export const eightInTen = '(8 in 10)';
export const done = 'Done';
export const then = 'then';
export const lastStepFinishBatch = 'last step: finish batch';
export const leftOvernightUntil = (clockIn: string): string => `Left overnight, until ${clockIn}.`;
export const stop = 'Stop at';
export const cm = (dipCm: string): string => `${dipCm} cm`;
export const belowRim = (litres: string): string => `below the rim, ${litres}`;
export const nowShouldReadCm = (dipCm: string): string => `Now it should read ${dipCm} cm below the rim.`;
export const reportProblem = 'Report a problem';
export const leaveOvernight = 'Leave overnight';

// event-details.tsx
export const whenHappened = 'When it happened';
export const enteredLive = 'entered live';
export const ago = (hours: string): string => `it was ${hours} ago`;
export const whoSaw = 'Who saw it';
export const by = (name: string): string => `by ${name}`;
export const labour = 'Labour';
export const usualLabour = 'usual labour';
export const minLabour = (minutes: number): string => `${minutes} min labour`;

// batch-tables.tsx
export const steps = 'Steps';
export const notVerified = ' (not verified)';
export const note = 'A note';
export const noteNextShift = 'a note for the next shift';
export const saveNote = 'Save note';
export const log = 'Log';
export const nothingYetHeading = 'Nothing yet.';
export const undo = 'Undo';

// keypad.tsx
export const cmBelowRim = 'cm below the rim';
export const cmBelowRimHandle = 'cm below the rim, by its handle';
export const jug = 'by the jug';
export const withoutPot = 'without the pot';
export const meter = 'by the meter';
export const strainedWithoutFat = 'strained, without its fat';
export const probe = 'by the probe';
export const readings = 'Readings';
export const deleteLastDigit = 'Delete the last digit';
export const typedFar = 'Typed so far';
export const outOfRange = (typed: string, unit: string, most: number): string =>
  `${typed} ${unit} cannot be: from 0 to ${most}.`;
export const reading = 'A reading';
export const saveReading = 'Save reading';
export const cold = 'it is cold';
export const cooledC = (celsius: number): string => `cooled to ${celsius} °C`;
export const serverDoesNotAnswer = 'The server does not answer: type what the instrument shows.';
export const useProbe = 'Use probe';
export const useScale = 'Use scale';
export const staysLiquid = 'stays liquid';
export const orSpoonfulChilled = 'Or a spoonful, chilled:';
export const spoonfulChilled = 'A spoonful, chilled';
export const taste = 'A taste';
export const too = (thick: string): string => `too ${thick}`;
export const right = 'right';

// finished-batch.tsx
export const finishedResultCalculatedWhen = 'Finished. The result is calculated when the server answers.';
export const finishedOneStepsCould =
  'Finished. One of its steps could not be calculated, so there is no result.';
export const howEnded = 'How it ended';
export const l = (litres: string): string => `${litres} l`;
export const planned = 'as planned';
export const lThanPlanned = (litres: string, got: number, should: number): string =>
  `${litres} l ${got < should ? 'less' : 'more'} than planned`;
export const thinLWater = (litres: string): string => `thin, by ${litres} l of water`;
export const perLitre = 'per litre';
export const fullStrength = ' at full strength';
export const plannedMoney = (money: string): string => `; planned ${money}`;
export const amountsUsed = 'amounts used';
export const totalDifference = 'total difference';
export const costNotKnownPrice = 'Cost not known: a price is missing.';
export const whereDifferenceLitresComes = 'Where the difference in litres comes from:';
export const betweenLastReadingLitres = 'between the last reading and the litres at the end';
export const moneyAndPlanned = (money: string, plannedMoney: string): string =>
  `, ${money} (planned ${plannedMoney})`;
export const hobPlannedEnergyKwh = (
  hours: string,
  plannedHours: string,
  kWh: string,
  both: string,
  otherHours: string,
  plannedHoursToo: string,
  otherBoth: string,
): string =>
  `On the hob ${hours}, planned ${plannedHours}: energy ${kWh} kWh${both}. Labour ${otherHours}, planned ${plannedHoursToo}${otherBoth}. Neither is in the cost per litre above.`;

// batch-view.tsx
export const howCooled = 'How it cooled';
export const reheated = 'It is reheated';
export const heldHot = 'It is held hot';
export const deleted = (name: string): string => `${name} is deleted.`;
export const started = (hob: string, clockIn: string): string => `on ${hob}, started ${clockIn}`;
export const finished = ', finished';
export const allBatches = 'all batches';
export const sheet = 'its sheet';
export const sheetArchived = ' · its sheet has been archived';
export const deleteBatchStartedMistake = 'Delete batch (started by mistake)';
export const readingNotPossible = 'This reading is not possible';
export const roseCanMostLevel = (litres: string, why: string, limitLitres: string): string =>
  `is ${litres}. ${why === 'rose' ? `There can be at most ${limitLitres}: a level does not rise by itself. What was it?` : `There must be at least ${limitLitres}: this burner cannot boil away more. What was it?`}`;
export const toppedUpWater = 'Topped up with water';
export const drawnOffSpilledOr = 'Drawn off, spilled or boiled over';
export const misread = 'Misread';
export const rightHeading = 'It is right';
export const forecastSaltGelatinBody = (
  saltPct: string,
  gelatinPct: string,
  body: string,
  celsius: number,
): string => `Forecast. Salt ${saltPct} %, gelatin ${gelatinPct} %, body ${body}, ${celsius} °C.`;
export const thenLitres = (litres: string): string => `then ${litres}`;
