import { plural } from '@/core/plural';

/** What people read in stove/board. */

// start-batch.tsx
export const startBatch = 'Start a batch';
export const whichSheet = 'Which sheet';
export const whichSheetInline = 'which sheet';
export const holds = (name: string, holds: string): string => `${name}, holds ${holds}`;
export const whichVessel = 'In which vessel';
export const whichHob = 'On which hob';
export const sinceWhen = 'Since when';
export const start = 'Start';
export const litresMade = 'Litres to be made';
export const sheetMakesLEvery = (litres: string): string =>
  `The sheet makes ${litres} l; every amount scales with it.`;
export const serverDoesNotAnswer = 'The server does not answer: type the kilos.';
export const cameKg = (name: string): string => `${name} that came in, kg`;
export const sheet = (figure: string): string => `${figure} on the sheet`;
export const useScale = 'Use scale';

// alarm-panel.tsx
export const timeOver = (line: undefined | string): string =>
  `${line ?? 'the line at hand'}: its time is over`;
export const courseMissC = (toC: undefined | number): string => `on course to miss ${toC} °C`;
export const notMeasuredCTime = (toC: undefined | number): string =>
  `not measured for ${toC} °C, and its time is nearly over`;
export const pastLimitHouseC = (toC: undefined | number): string => `past the limit of this house, ${toC} °C`;
export const alarms = 'Alarms';
export const browserMakesNoSound = 'This browser makes no sound until the page is touched once.';
export const sound = 'Sound on';
export const muteHere = 'Mute here';
export const heard = 'Heard';

// offline-pages.tsx
export const browserCannotStorePages =
  'This browser cannot store pages at this address. Without the network an open pot keeps working, but do not reload it. Over https it can.';

// board-view.tsx
export const stove = 'Stove';
export const noBatch = 'No batch is on.';
export const drawnOneScaleDashed = (howMany: string): string =>
  `${howMany}, drawn to one scale; the dashed line is where each should stop, the dark part is solids.`;
export const learnedFromBatches = 'Learned from batches';
export const startBatchFromSheet =
  'Start a batch from its sheet. From then on a dip, a scale or a jug tells how far it is, and Half Pot says how long it still takes.';
export const batches = 'Batches on';
export const on = (on: number): string => `${on} ${plural(on, 'batch', 'batches')} on`;
export const needsYou = 'needs you';
export const ended = 'to be ended';
export const eightInTen = (band: string): string => `${band} (8 in 10) · `;
export const allLinesDone = 'all lines done';
export const c = (celsius: number): string => `${celsius} °C`;
export const coolsC = (toC: number, by: undefined | string): string => `cools: ${toC} °C by ${by}`;
export const cools = 'cools';
export const pastLimitHouse = ', past a limit of this house';
export const tooLate = ', too late';
export const notKnownHowMuch = 'not known how much';
export const cmBelowRim = (dipCm: string): string => `· ${dipCm} cm below the rim`;
export const onHob = (hob: string): string => `on ${hob}`;
export const readingNotPossibleWhat = 'a reading that is not possible: what was it?';
export const recentBatches = 'Recent batches';
export const batch = 'Batch';
export const litresGot = 'litres made';
export const planned = 'planned';
export const costPerLitre = 'cost per litre';
export const thin = 'thin';
