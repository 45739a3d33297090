import { plural } from '@/core/plural';

/** What people read in weigh. */

// flipped-mark.tsx
export const answerAnswersChanged = (many: number): string =>
  `▲ ${many} ${plural(many, 'answer', 'answers')} changed`;

// weigh-view.tsx
export const weighUp = 'Weigh up';
export const whichWayHowSure = 'Which way, and how sure: saved questions are asked again as prices move.';
export const savedQuestions = 'Saved questions';
export const noSavedQuestionsYet = 'No saved questions yet. Choose a pot to see what you can ask about it.';
export const question = 'Question';
export const answer = 'the answer';
export const perLitre = 'per litre';
export const lessThanNext = 'less than the next';
export const anotherPotBeside = 'Another pot beside it';
export const anotherPotBesideInline = 'another pot beside it';
export const placeWhichLine = 'In the place of which line';
export const place = (words: string): string => `in the place of ${words}`;
export const replace = 'Replace with';
export const replaceSameAmount = 'replace with (same amount)';
export const askAboutPot = 'Ask about a pot';
export const whichPot = 'Which pot';
export const whichPotInline = 'which pot';

// ask-forms.tsx
export const whatQuestionCalled = 'What is the question called?';
export const saveAnswer = 'Save this answer';
export const saveQuestion = 'Save the question';
export const whatQuestionCalledHeading = 'What the question is called';
export const calculatedAgainWheneverSomebody =
  'It is calculated again whenever somebody looks, at that day’s prices. If the answer changes, managers are told.';
export const compared = 'Compared with';
export const editQuestion = 'Edit the question';
export const minutesBenchKiloTakes = 'Minutes at the bench that a kilo of it takes now';
export const ask = 'Ask';
export const chooseTwoPotsCompare = 'Choose two pots to compare.';
export const chooseSomethingCompare = 'Choose something to compare with.';
export const besideEachOther = 'Beside each other';
export const anotherPot = 'Another pot';
export const anotherPotInline = 'another pot';
export const leaveOutNamed = (name: string): string => `Leave ${name} out`;
export const leaveOut = 'Leave out';
export const bodyLeast = 'Body, at least';
export const saltMost = 'Salt, at most, %';
export const cannotFrom = (figure: number, least: number, most: number): string =>
  `${figure} cannot be: from ${least} to ${most}.`;
export const stirredIntoWaterPaste = 'stirred into water: a paste, powder or cube';
export const gLitreWater = (name: string): string => `g of ${name} in a litre of water`;
export const compareSomethingElse = 'Compare with something else';
export const compareSomethingElseInline = 'compare with something else';

// ask-tools.tsx
export const deleted = (name: string): string => `${name} is deleted.`;
export const history = 'History';
export const deleteText = 'Delete';
export const seen = 'Seen';

// charts.tsx
export const upMiddle = 'up to the middle';
export const above = 'above it';
export const perKilo = (money: string): string => `${money} per kilo`;
export const flips = 'it flips';

// how-sure.tsx
export const howBandsAreDrawn =
  'Cost per litre. 8 of 10 simulations lie inside the bar; half of all lie left of the line in it.';
export const dearer = (money: string, toMoney: string): string => `${money} to ${toMoney} dearer`;
export const cheaper = (money: string, toMoney: string): string => `${money} to ${toMoney} cheaper`;
export const fromCheaperDearer = (money: string, toMoney: string): string =>
  `from ${money} cheaper to ${toMoney} dearer`;
export const howSure = 'How sure';
export const simulatingUncertainFigures = (count: number): string =>
  `Simulating ${count} uncertain figures …`;
export const eightInTenALitre = (first: string): string => `In 8 of 10 cases a litre with ${first} is`;
export const than = (other: string): string => `than with ${other}.`;
export const cheapestAll = 'is the cheapest of all in';
export const partOf = (figure: string, total: number): string => `${figure} of ${total}`;
export const simulations = 'simulations.';
export const simulationsDoneOfValue = (done: number, total: number): string =>
  `${done} of ${total} simulations`;
export const stoppedAfterSimulationsWhat = (done: number, total: number): string =>
  `stopped after ${done} of ${total} simulations: this is what they say`;
export const simulationsFiguresSameEvery = (done: number, many: number, seconds: string): string =>
  `${done} simulations of ${many} figures, the same for every way, in ${seconds} s`;
export const stop = 'Stop';
export const runTenThousandSimulations = 'Run ten thousand simulations';
export const allSimulationsTable = 'All simulations as a table';
export const draws = 'Draws';

// weigh-next.tsx
export const whatMeasureNext = 'What to measure next';
export const noneUncertainFiguresMakes = 'None of the uncertain figures makes a difference between the two.';
export const uncertainFigures = 'Uncertain figures';
export const doubt = 'of the doubt';
export const oneMoreTestNarrows = 'one more test narrows it by';
export const perLitreMoney = (money: string): string => `${money} per litre`;

// jugs.tsx
export const twoLitresSideSide = 'Two litres side by side';
export const priceNotKnownYet = 'A price is not known yet.';

// ways-table.tsx
export const lReducedOneFirst = (litres: string): string => `${litres} l of it reduced to one first`;
export const letDownWaterFirst = 'let down with water first';
export const gMends = (grams: string, mend: undefined | string): string =>
  `; ${grams} g of ${mend} mends that`;
export const nothingMendsWhatLacking = '; nothing mends what is lacking';
export const saltStopsBody = (figure: string, mended: string): string =>
  `salt stops it at body ${figure}${mended}`;
export const tooSaltyComes = (percent: string, mended: string): string =>
  `too salty as it comes, ${percent} %${mended}`;
export const noReductionReachesBody = (mended: string): string => `no reduction reaches that body${mended}`;
export const thickEnoughWithoutReducing = 'thick enough without reducing more';
export const min = (minutes: number): string => `${minutes} min`;
export const portion = 'a portion';
export const basePerLitre = 'base per litre';
export const mmPerLitre = 'mm per litre';
export const way = 'Way';
export const showFewerColumns = 'Show fewer columns';
export const showGelatinAlcoholTimes = 'Show gelatin, alcohol, times and fill';
export const doesNotMeetRequest = 'does not meet the request: too thin, or too salty';

// question-view.tsx
export const sheet = (name: string): string => `the sheet of ${name}`;
export const counted = (layerText: string): string => `${layerText} counted`;
export const sameLitresBodyOr = (litres: string, body: number, saltPct: number, counted: string): string =>
  `The same litres (${litres}), at body ${body} or more and ${saltPct} % salt or less; ${counted}`;
export const noneTheseMeetsRequest =
  'None of these meets the request at a known cost: a price or a line is missing, or all are too thin or too salty.';
export const cheapest = 'is the cheapest at';
export const lessThan = 'less than';
export const breakEvenPrice = 'Break-even price';
export const noPriceMakesBoth = (name: string, money: string): string =>
  `No price of ${name} makes both cost the same: it is ${money} per kilo now.`;
export const at = 'At';
export const perKiloBothCost = (name: string, money: string): string =>
  `per kilo of ${name} both cost the same; it is ${money} now.`;

// rules-view.tsx
export const rulesThumb = 'Rules of thumb';
export const fromKitchensOwnPots = (day: string): string =>
  `From this kitchen’s own pots, tests and prices on ${day}. Costs are of the ingredients unless energy is named.`;
export const printWall = 'Print for the wall';
export const notKnownYetPrice = 'Not known yet: a price, a pot or a test is missing.';
export const whatOneCentimetreDip = 'What one centimetre of dip is worth';
export const money = 'money in it';
export const halfHardBoilHour = 'To half at a hard boil, and an hour with the lid ajar';
export const filledMaximum = 'Filled to the maximum';
export const minutesHalf = 'minutes to half';
export const ajarGoes = 'ajar: goes';
export const whatPressingGives = 'What pressing gives';
export const moreLitres = 'more litres';
export const offLitre = 'off a litre';
export const whatOnePointYield = 'What one point of yield is worth';
export const usableKilo = 'a usable kilo';
export const onePointMore = 'one point more';
