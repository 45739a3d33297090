/** What people read in trim/flow. */

// waste-form.tsx
export const noPotTook = 'no pot took it';
export const pastDay = 'past its day';
export const cutTooMuch = 'cut too much';
export const cameOffBad = 'came off bad';
export const waste = 'Waste';
export const fourWeeksWhatHad = 'in four weeks, at what it had cost; trim no pot takes is paid for already';
export const whatWasted = 'What was wasted';
export const what = 'What was it?';
export const whichPart = 'Which part of it';
export const stockTrim = 'its stock trim';
export const bought = 'as bought';
export const amountWasted = 'Amount wasted';
export const howMuch800G = 'How much? 800 g';
export const save = 'Save';
export const nothingFourWeeks = 'Nothing in four weeks.';

// flow-view.tsx
export const whereTrimGoes = 'Where trim goes';
export const whatComesOffFrom = (day: string, toDay: string): string =>
  `What comes off from ${day} to ${toDay}`;
export const week = ', a week of it';
export const againstWhatPotsAsk = ', against what the pots ask for.';
export const whichWeek = 'Which week';
export const averageWeek = 'an average week';
export const lastSevenDays = 'the last seven days';
export const noPotTakesAny =
  'No pot takes any trim yet. Write it on a pot sheet: “700 g stock trim of leek”.';
export const moreSomebodyAsks = (asked: number): string => `${asked} more that somebody asks for.`;
export const showAllThem = 'Show all of them';
export const noPotTakesUsable = 'No pot takes it: the usable part carries all of its cost';
export const and = 'and';
export const more = (more: number): string => `${more} more`;
export const boughtKilos = (kilos: string): string => `of ${kilos} bought`;
export const comesOff = 'comes off';
export const asked = 'asked for';
export const morePots = (moreAsks: number): string => `and ${moreAsks} more pots`;
export const sold = (name: string): string => `${name}, as it is sold`;
export const somebodyBuys = 'somebody buys it';
export const batchesWeek = (name: string): string => `${name}, batches a week`;
export const taken = 'taken';
export const short = (kilos: string): string => `${kilos} short`;
export const weekRestBoughtOr = 'a week: the rest has to be bought or left out';
export const leftOver = (kilos: string): string => `${kilos} left over`;
export const weekTaken = (pct: number): string => `a week: ${pct} % is taken`;
export const costCountsTakenCounting = (
  counted: number,
  pct: number,
  money: string,
  otherMoney: string,
  totalMoney: string,
): string =>
  `Its cost counts as taken by ${counted} %. Counting ${pct} %, ${money} a week returns to the usable part: ${otherMoney} a usable kilo instead of ${totalMoney}.`;
export const use = (pct: number): string => `Use ${pct} %`;
export const costReturnsUsablePart = (percent: string): string =>
  `${percent} % of its cost returns to the usable part.`;
export const countAllTaken = 'Count all of it as taken';
export const freeNothingLost = 'It is free, so nothing of it is lost with it.';
export const whatComesOff = 'What comes off';
export const comesOffAskedWeek = 'comes off / asked for, a week';
export const whoAsks = 'who asks';
export const whatMeans = 'what it means';
export const why = 'Why?';
export const aWeek = 'a week';
export const reason = 'Reason';
