import { plural } from '@/core/plural';

/** What people read in house. */

// backup-notice.tsx
export const backups = 'Backups';
export const noBackupYet = 'There is no backup of this kitchen.';
export const lastBackupOld = (day: string, clock: string): string =>
  `The last backup was made on ${day} at ${clock}, more than two days ago.`;
export const diskFull = 'A backup is made every night while the program runs: is the disk full?';
export const firstBackupSoon = 'None yet: the first is made within ten minutes.';
export const lastBackup = (day: string, clock: string): string => `The last good one: ${day} at ${clock}.`;
export const whenBackupsAreMade =
  'A backup is made every night and before every update. Seven days, four weeks and six months are kept.';

// model-change.tsx
export const oneCostCostsMoved = (count: number, byModel: boolean): string =>
  `${plural(count, 'One cost', `${count} costs`)} moved because ${byModel ? 'the model did' : 'better starting values were taken'}`;
export const foundCostedModelBefore = (said: string, day: string, byModel: boolean, exact: boolean): string =>
  `Found ${said}, costed for ${day}${byModel ? ' by the model before and by this one' : ' before and after'}. ${exact ? 'Nothing else had changed between the two.' : 'Something else was changed between the two as well, so not all of it is the model’s.'} Saved costings stay as they were.`;
export const showAll = (count: number): string => `Show all ${count}`;
export const got = 'Got it';
export const notKnown = 'not known';
export const what = 'What';
export const ofWord = 'of';
export const before = 'before';
export const now = 'now';
export const by = 'by';
export const calculationImprovedSomeCosts = 'The calculation has been improved, and some costs changed.';
export const seeWhichOnes = 'See which ones';

// kitchen-file-transfer.tsx
export const kitchenFile = 'Kitchen file';
export const everythingHerePricesInvoices =
  'Everything here (prices, invoices, tests, recipes, dishes) as one open file, without anybody’s password. Another kitchen can be started from it. With its history it also has every change, every version, the lists as they came and what is archived: for a house that moves.';
export const downloadKitchenFile = 'Download the kitchen file';
export const downloadHistory = 'Download with history';

// tablets.tsx
export const tabletsPhones = 'Tablets and phones';
export const onlyComputerReachesKitchen = 'Only this computer reaches the kitchen. Started with';
export const halfpotStartHost0 = './halfpot start --host 0.0.0.0';
export const openTabletsNetworkHttps = 'it is open to the tablets of its network, by https.';
export const kitchensNetwork = 'In the kitchen’s network it is at';
export const newTabletOpensOnce = 'A new tablet opens this once, and is told how to trust this computer:';
export const addressScanned = (at: string): string => `The address ${at} to be scanned`;
export const sha256CertificateGiven = 'SHA-256 of the certificate it is given:';

// cups-choice.tsx
export const cupsSpoonsPints = 'Cups, spoons, pints';
export const theyStandAmongHouses = (cupWords: string): string =>
  `${cupWords}. They stand among the house’s own measures under Buy, Larder, where each can be archived.`;
export const theyDifferBetweenCountries =
  'They differ between countries, so a line that says one is asked about each time. Say once which are meant here.';
export const useThese = 'Use these';

// labour-table.tsx
export const howeverLittle = 'however little there is';
export const eachKilo = 'for each kilo';
export const eachLitre = 'for each litre';
export const labourMinutes = 'Labour minutes';
export const labourMinutesStepWhose =
  'Labour minutes for a step whose line does not say: fixed minutes for any amount, and more for each kilo and each litre. Usual values are in grey. Type your own over them.';
export const step = 'Step';
export const saveTheseMinutes = 'Save these minutes';
export const pureE = 'purée';
export const minutes = (kind: string, words: string): string => `${kind}, minutes ${words}`;
export const settingUpWashingUp = 'setting up and washing up, shared with what is made beside it';
export const settingUpWashingUpMinutesBatch = 'Setting up and washing up, minutes a batch at most';
export const mostOr = 'at most, or';
export const settingUpWashingUpMinutesEach = 'Setting up and washing up, minutes for each litre';

// starting-values.tsx
export const betterStartingValues = 'Better starting values';
export const startingValuesLearnedSomething = (count: number): string =>
  `The starting values have learned something of ${count} ${plural(count, 'ingredient', 'ingredients')} since they were taken in here. Nothing of it counts until you take it; what this kitchen has written itself stays.`;
export const takeAll = (count: number): string => `Take ${plural(count, 'it', `all ${count}`)}`;
export const takenIngredientIngredients = (day: string, count: number): string =>
  `Taken on ${day} for ${count} ${plural(count, 'ingredient', 'ingredients')}`;
export const moved = (moved: number): string => `; ${plural(moved, 'one cost', `${moved} costs`)} moved`;
export const undo = 'Undo';

// house-view.tsx
export const kitchen = 'This kitchen';
export const whatHoldsEveryPot = 'What holds for every pot and dish here.';

// saved-costings.tsx
export const savedCostings = 'Saved costings';
export const saveTodaysCost = 'Save today’s cost';
export const oneArchived = 'One archived';
export const archived = (count: number): string => `${count} archived`;
export const restore = 'Restore';
export const kept = 'Kept';
export const ingredientsSince = 'ingredients since';
export const whatCanDone = 'What can be done';
export const nowInline = 'as now';
export const nowValueSmall = (value: string, small: string): string => `${value}${small} now`;
export const foldUp = 'Fold up';
export const whatHeading = 'What was in it';
export const archive = 'Archive';
export const perKilo = (money: string): string => `${money} per kilo`;
