import { plural } from '@/core/plural';

/** What people read in trim/bench. */

// use-scale.ts
export const scaleDidNotSettle = 'The scale did not settle: use what it shows, or type the weight.';
export const gMinute = (grams: number): string => `${grams} g a minute`;
export const moreThanScaleCan = 'That is more than the scale can weigh: weigh it in two parts.';
export const scaleDriftsSomethingTouching = (speed: string): string =>
  `The scale drifts by ${speed}: is something touching it?`;
export const scaleSwingsGWill = (grams: number): string =>
  `The scale swings by ${grams} g and will not settle.`;
export const scaleShowsGTare = (grams: number): string =>
  `The scale shows ${grams} g: tare it before something is put on it.`;
export const nothingScalePutThen = 'There is nothing on the scale: put it on, then take the weight.';
export const typeWeightIntoField = 'type the weight into the field';
export const kitchenNoScaleType = 'This kitchen has no scale: type the weight.';

// use-test.ts
export const whatYouWeighedKept = 'what you weighed is kept here and can be saved again';

// three-schools.tsx
export const usableKiloThreeMethods = 'A usable kilo by the three methods';
export const usableKiloWhoPays = (currencySign: string): string =>
  `${currencySign} a usable kilo, by who pays for what came off`;
export const kitchenCosts = 'as this kitchen costs it';
export const cannot = 'cannot be';
export const trim = (figure: string): string => `trim ${figure}`;
export const noPotTakesWhat =
  'No pot takes what comes off: it carries no money away, so all three cost the same.';

// bench-index-view.tsx
export const yieldTests = 'Yield tests';
export const whatLeftAfterTrimming =
  'What is left after trimming. Weigh what matters most; results wait until you accept them.';
export const whatYouWeighing = 'What are you weighing?';
export const nothingLarderFits = (wanted: string): string => `Nothing in the larder fits “${wanted}”.`;
export const noIngredientsYetTake = 'There are no ingredients yet: take some from the larder first.';
export const estimateNotMeasuredHere = 'An estimate: not measured here yet';
export const measuredHereOrNothing = 'Measured here, or nothing comes off';
export const testsSay = 'tests say';
export const more = (count: number): string => ` and ${count} more`;
export const oneTestTestsUnusual = (outliers: number): string =>
  `${plural(outliers, 'one test', `${outliers} tests`)} unusual`;
export const putBench = (name: string): string => `Put ${name} on the bench`;
export const weigh = 'Weigh it';
export const benchNow = 'On the bench now';
export const noStartWeightYet = 'no start weight yet';
export const somebody = 'somebody';
export const continueWeighing = 'Continue weighing';
export const ingredient = 'Ingredient';
export const usableNow = 'usable now';
export const likely = 'likely';
export const ownTests = 'own tests';
export const last = 'last';
export const uncertaintyPerWeek = (currencySign: string): string => `${currencySign} uncertainty per week`;
export const whatWaits = 'What waits';
export const startTest = 'Start a test';

// both-tests.tsx
export const went = 'went in';
export const wentThroughAgain = 'went through again';
export const whatYouWeighedStill = 'what you weighed is still here';
export const yoursNotSaved = 'Yours, not saved';
export const theirsFinished = 'Theirs, finished';
export const theirs = 'Theirs';
export const saveMineSeparateTest = 'Save mine as a separate test';
export const keepMine = 'Keep mine';
export const takeTheirs = 'Take theirs';

// weight-field.tsx
export const example52Kg = '5.2 kg';
export const stopWaiting = (label: string): string => `Stop waiting for ${label}`;
export const useScaleOf = (label: string): string => `Use scale for ${label}`;
export const settling = 'settling …';
export const useScale = 'Use scale';
export const useShown = (written: string): string => `Use ${written} as shown`;

// second-pass.tsx
export const secondPass = 'second pass';
export const secondPassHeading = 'A second pass';
export const secondPassWaste = 'Second pass of the waste';
export const withThe = 'with the';
export const millPress = 'mill, press';
export const whatWentThroughAgain = 'What went through again';
export const usable = 'usable of it';
export const usableSecondPass = 'Usable of the second pass';
export const example10Min = '10 min';
export const noSecondPass = 'No second pass';
export const secondPassLabel = (label: string): string => `Second pass: ${label}`;
export const moreKilos = (kilos: string): string => `${kilos} more`;
export const whichWouldCostBuy = (money: string): string => `, which would cost ${money} to buy.`;
export const takesLabourPerKilo = (money: string, otherMoney: string): string =>
  `It takes ${money} of labour, ${otherMoney} per kilo:`;
export const pays = 'it pays';
export const doesNotPay = 'it does not pay';
export const paysWhileHourLabour = (money: string): string =>
  `It pays while an hour of labour costs less than ${money}.`;
export const enterHowLongTook = 'Enter how long it took to see whether it pays.';

// test-result.tsx
export const rawWeightWentUp = 'of the raw weight went up as vapour';
export const rawWeightRanOff = 'of the raw weight ran off as fat';
export const rawWeightSweatedOff = 'of the raw weight was sweated off';
export const rawWeightGivenUp = 'of the raw weight was given up in wilting';
export const butterClearFat = 'of the butter is clear fat';
export const mlKeptBackRaw = 'ml kept back by a raw kilo, left to drain';
export const mlKeptBackRawKiloPressed = 'ml kept back by a raw kilo, pressed';
export const usableInline = 'usable';
export const usableKilo = (currencySign: string): string => `${currencySign} a usable kilo`;
export const useNow = 'In use now';
export const useUntilNow = 'In use until now';
export const estimate = 'an estimate';
export const measured = 'measured';
export const boughtPerKilo = (figure: string): string => `Bought at ${figure} per kilo.`;
export const resultAppearsSoonWeights = 'The result appears as soon as the weights add up.';
export const weighThenWeighEach =
  'Weigh in, then weigh each part as it comes off: what a usable kilo costs stands here at once.';

// weigh-bar.tsx
export const fateSecond = (fateClass: string): string => `${fateClass} fate-second`;
export const lostSecondPass = 'lost in the second pass';
export const enterStartWeightFirst = 'Enter the start weight first.';
export const unaccounted = (kilos: string): string => `unaccounted for ${kilos}`;
export const wentKilosWords = (kilos: string, words: string): string => `${kilos} went in: ${words}`;
export const noStartWeightYetHeading = 'No start weight yet.';
export const unaccountedWhatWent = (kilos: string, pct: string): string =>
  `${kilos} unaccounted for, ${pct} of what went in`;
export const moreThanWent = (kilos: string): string => `${kilos} more than went in`;

// saved-test.tsx
export const finished = 'Finished';
export const by = (by: string): string => ` by ${by}`;
export const ofWhat = (said: string): string => `, of ${said}`;
export const leftOut = (why: string): string => `Left out: ${why}`;
export const startWeightWithKilos = (kilos: string): string => `${kilos} start weight`;
export const secondPassHow = (how: string): string => `The second pass, with the ${how}`;
export const whatTestSays = 'What this test says';

// new-by-product.tsx
export const newProduct = 'A new by-product';
export const called = 'called';
export const newProductName = 'New by-product, its name';
export const potLikeEmptyLike = 'in the pot it is like (empty: like what it comes off)';
export const newProductWhatLike = 'New by-product, what it is like';
export const create = 'Create';
export const cancel = 'Cancel';

// parts-table.tsx
export const addPart = 'Add part';
export const thawDrip = 'thaw drip';
export const cameFrozenThawedDrained = 'Came frozen? Thawed and drained it weighs';
export const thawedDrainedWeighs = 'Thawed and drained it weighs';
export const example18Kg = '1.8 kg';
export const partWhat = (number: number): string => `Part ${number}, what it is`;
export const peelRoots = 'peel, roots …';
export const partWeight = (number: number): string => `Part ${number}, weight`;
export const removePart = (number: number): string => `Remove part ${number}`;
export const removed = (name: string, fateWords: string, amount: string): string =>
  `${name || fateWords}, ${amount}, removed.`;
export const partWhatBecomes = (number: number): string => `Part ${number}, what becomes of it`;
export const partProduct = (number: number): string => `Part ${number}, product`;
export const whichProduct = 'which product?';
export const newOne = 'a new one …';
export const whatBecomes = 'What becomes of it';
export const what = 'What it is';
export const weight = 'Weight';
export const all = '% of it all';
export const removeLine = 'Remove line';

// test-head.tsx
export const ofText = 'of';
export const delivery = 'Delivery';
export const noDeliveryParticular = 'no delivery in particular';
export const season = 'season';
export const seasonHeading = 'Season';
export const whatTested = 'What is tested';

// test-side.tsx
export const note = 'Note';
export const finishTest = 'Finish the test';
export const rightFinish = 'It is right: finish it';
export const discardTest = 'Discard test';
export const saving = 'saving …';
export const everyWeightSaved = '✓ every weight saved';

// start-weight.tsx
export const raw = 'Raw';
export const startWeight = 'Start weight';
export const rawWeight = 'Raw weight';
export const wentIntoWaterIf = 'went into the water, if browned';
export const weightWentIntoWater = 'Weight that went into the water';
export const cooked = 'cooked for';
export const howLongCooked = 'How long it cooked';
export const scaleShows0 = '✓ the scale shows 0';
export const tareScale = 'Tare the scale';

// test-view.tsx
export const secondPassWasteMill = 'A second pass of the waste (mill, press)';
export const finishedCalculatingResult = '✓ Finished. Calculating the result.';
export const labour = 'labour';
