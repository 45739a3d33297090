import { plural } from '@/core/plural';

/** What people read in stove. */

// learned-view.tsx
export const learnedFromBatches = 'Learned from batches';
export const nothingYetFinishBatch =
  'Nothing yet. Finish a batch with dips read while it cooked, and what it shows appears here.';
export const fromFinishedBatches = (batches: number, waits: number): string =>
  `From ${batches} finished batches. ${waits === 0 ? 'Nothing to accept.' : `${waits} ${plural(waits, 'figure', 'figures')} to accept.`}`;
export const allBatches = 'all batches';
export const nothingChangesUntilYou = 'Nothing changes until you accept it.';
export const partOf = (count: number, totalCount: number): string => `${count} of ${totalCount}`;
export const howOftenForecastRight = 'How often the forecast was right';
export const forecastsGiveRangeShould =
  'Forecasts give a range that should hold in 8 of 10 batches. The time of reductions was inside it in';
export const finalLitres = ', the final litres in';
export const outsideRange = (count: number): string => `Outside the range (${count})`;
export const batch = 'Batch';
export const forecast = 'forecast';
export const came = 'came';
export const litresEnd = 'litres in the end';
export const to = (figure: string, toFigure: string): string => `${figure} to ${toFigure}`;
export const boilsAwayTimesFast = (mean: string): string =>
  `boils away ${mean} times as fast as the table says`;
export const use = (figure: string): string => `In use: ${figure}.`;
export const useStandardValue = 'In use: the standard value.';
export const leftBoil = 'was it left to boil?';
export const lidForgotten = 'was a lid forgotten?';
export const timesValueUseRefractometer = (mean: string): string =>
  `${mean} times the value in use, by the refractometer or a chilled spoonful`;
export const timesValueUseLitres = (mean: string): string =>
  `${mean} times the value in use, by litres before and after the strainer`;
export const timesValueUseLitresBeforeAfter = (mean: string): string =>
  `${mean} times the value in use, by litres before and after`;
export const timesWhatLineSays = (mean: string): string =>
  `${mean} times what its line says, by litres before and after the machine`;
export const timesWhatLineSaysLitresOver = (mean: string): string =>
  `${mean} times what its line says, by litres over portions`;
export const timesMinutesUsual = (mean: string): string => `${mean} times the minutes that are usual`;
export const useResultYieldTest = 'In use: the result of a yield test.';
export const misread = 'was it misread?';
export const supplier = 'By supplier';
export const oneBatch = 'one batch';
export const batches = (batches: number): string => `${batches} batches`;
export const useTheirsGives = (text: string): string => `Use ${text}, as theirs gives`;
export const timesValueUse = (title: string): string => `${title}: times the value in use`;
export const leftOut = 'left out';
export const useBecomes = (becomes: string): string => `Use ${becomes}`;
export const useStandardValueHeading = 'Use the standard value';
export const likely = (says: string, figure: string, toFigure: string): string =>
  `${says}, likely ${figure} to ${toFigure}`;
export const noBatchCounts = 'no batch counts';
export const oneBatchHeading = 'One batch';
export const batchesCount = (count: number): string => `${count} batches`;
export const whatWouldChange = ' and what would change';
export const oneFarOff = (far: string): string => `· one is far off: ${far}`;
export const hob = 'on the hob';
export const labourMinutes = 'labour minutes';
export const gelatinGPerLitre = 'gelatin, g per litre';
export const perLitre = 'per litre';
export const portion = 'a portion';
export const whatWouldMove = 'What it would change';
export const wouldMove = 'It would move';
export const sheetSheetsMore = (moreMoves: number): string =>
  `and ${moreMoves} ${plural(moreMoves, 'sheet', 'sheets')} more`;
export const farFromOthers = 'far from the others';
export const leaveOut = 'Leave out';
export const countAgain = 'Count it again';
