/** What people read in house/settings. */

// wire.ts
export const whatKitchenCalled = 'What is the kitchen called?';
export const nameMost120Characters = (count: number): string =>
  `A name has at most 120 characters; this has ${count}.`;
export const chooseCurrencyFromList = 'Choose the currency from the list.';
export const chooseTimeZoneFrom = 'Choose the time zone from the list.';
export const chooseHowFiguresWritten = 'Choose how figures are written.';
export const mostTwentyStrainersKept = 'At most twenty strainers are kept.';
export const mostFourLimitsCooling = 'At most four limits of cooling are kept.';
export const oneRuleReheatingOne = 'One rule for reheating and one for holding are kept.';
export const oneRuleNightKept = 'One rule for the night is kept.';
export const whereProbeAnswersBegins =
  'Where a probe answers begins with http://, like http://127.0.0.1:4192.';
export const shareEachWayServing = 'A share for each way of serving is kept.';
export const houseClosedEveryDay = 'A house that is closed every day needs no plan.';
export const most400ClosedDays = 'At most 400 closed days are kept.';

// typed.ts
export const ml = (name: string, typed: string): string => `${name} ${typed} ml`;
export const cH = (typed: string, otherTyped: string): string => `${typed} °C in ${otherTyped} h`;
export const reheatedCH = (typed: string, otherTyped: string): string =>
  `reheated to ${typed} °C in ${otherTyped} h`;
export const heldC = (typed: string): string => `held at ${typed} °C`;

// rules.ts
export const notCoolingLimitWrite = (part: string): string =>
  `“${part}” is not a cooling limit: write it like “21 °C in 2 h”, several with ; between them.`;
export const potCooledBetweenC = (lowC: number, highC: number, toC: number): string =>
  `A pot is cooled to between ${lowC} and ${highC} °C, not to ${toC}.`;
export const potCooledWithinH = (lowH: number, highH: number, withinH: number): string =>
  `A pot is cooled within ${lowH} to ${highH} h, not ${withinH}.`;
export const most4LimitsKept = (count: number): string => `At most 4 limits are kept; these are ${count}.`;
export const cWithinHWould = (toC: number, withinH: number): string =>
  `${toC} °C within ${withinH} h would be reached before a warmer limit: it takes longer to get colder.`;
export const notRuleHotFood = (part: string): string =>
  `“${part}” is not a rule for hot food: write it like “reheated to 75 °C in 1 h; held at 63 °C”.`;
export const hotFoodBetweenC = (hot: number, toHot: number, toC: number): string =>
  `Hot food is between ${hot} and ${toHot} °C, not ${toC}.`;
export const foodReheatedWithinH = (lowH: number, highH: number, withinH: number): string =>
  `Food is reheated within ${lowH} to ${highH} h, not ${withinH}.`;
export const notOvernightRuleWrite = (typed: string, heats: string): string =>
  `“${typed}” is not an overnight rule: write it like “electricity at bare simmer; back at 06:00”, or “nothing; back at 06:00”. Heats are ${heats}.`;
export const notServiceLossWrite = (part: string, services: string): string =>
  `“${part}” is not a service loss: write it like “banquet 6 %”, of ${services}, several with ; between them.`;
export const cannotLostServiceFrom = (value: number, mostLost: number): string =>
  `${value} % cannot be lost in service: from 0 to ${mostLost} %.`;
export const twice = (service: string): string => `${service} is there twice.`;
export const notStrainerWriteWhat = (part: string): string =>
  `“${part}” is not a strainer: write what it is called and what stays in it, like “superbag 60 ml”, several with ; between them.`;
export const strainersNameMost40 = (count: number): string =>
  `A strainer’s name has at most 40 characters; this has ${count}.`;
export const cannotStayStrainerMost = (held: string): string =>
  `${held} cannot stay in a strainer: at most 5 l.`;
export const standsTwiceName = (name: string): string => `The ${name} is there twice.`;
export const mostStrainersKeptThese = (mostStrainers: number, count: number): string =>
  `At most ${mostStrainers} strainers are kept; these are ${count}.`;
export const notNumberTimesWrite = (typed: string): string =>
  `“${typed}” is not a number of times: write it like 1.3.`;
export const timesWhatUsualCannot = (value: number): string =>
  `${value} times what is usual cannot stay on walls: from 0 to 10.`;
export const notDateWriteClosed = (bad: string): string =>
  `“${bad}” is not a date: write closed days like 2026-12-25, with commas between them.`;
export const most400ClosedDaysKeptThese = (count: number): string =>
  `At most 400 closed days are kept; these are ${count}.`;

// commands.ts
export const percentOutOfRange = (value: number): string => `${value} % cannot be: from 0 to 100 %.`;
export const strainedThroughWriteDifferently = (names: string, one: boolean, name: string): string =>
  `${names} ${one ? 'is' : 'are'} strained through the ${name}: write ${one ? 'that line' : 'those lines'} differently first.`;
