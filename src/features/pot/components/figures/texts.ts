import { plural } from '@/core/plural';

/** What people read in pot/figures. */

// use-pot.ts
export const partOf = (part: string, name: string): string => `${part} of ${name}`;
export const recipeNotKitchen = 'This recipe is not in this kitchen.';
export const lastBatch = (part: undefined | string, name: string): string =>
  `last batch of ${part === undefined ? name : `${part} of ${name}`}`;
export const noBatchCanMade = 'No batch of it can be made yet, so none has left anything.';

// columns.ts
export const belowRim = 'below rim';
export const perLitreWithSign = (sign: string): string => `${sign} per litre`;
export const pot = (sign: string): string => `${sign} in the pot`;
export const bindsGL = 'binds g/l';
export const step = 'this step';
export const hob = 'on the hob';
export const sinceStart = 'since the start';
export const standsL = 'stands, l';
export const roomL = 'room, l';
export const coldDip = 'cold dip';
export const boiledOffKg = 'boiled off kg';
export const elseLostKg = 'else lost kg';

// time-chart.tsx
export const hoursSinceStart = 'hours since the start';
export const perLitre = 'per litre';
export const after = (step: string, hours: string): string => `${step}, after ${hours}`;
export const perLitreIngredients = 'per litre, ingredients';
export const alongTime = 'Along the time';
export const hideChart = 'Hide the chart';
export const litresCostAlongTime = 'Litres and cost along the time';
export const litresPotWhatLitre = 'Litres in the pot and what a litre costs, along the time';

// allergens-of-pot.tsx
export const runsLikeWater = 'runs like water';
export const thinLikeSoup = 'thin, like a soup';
export const coatsSpoon = 'coats a spoon';
export const standsLikePaste = 'stands like a paste';
export const whatBringsIntoEvery = 'What it brings into every dish';
export const bindsLikeGFlour = (grams: string): string => `binds like ${grams} g of flour per litre`;
export const alcoholLeft = 'alcohol left';
export const liquid = 'liquid';
export const spoonful = 'spoonful';
export const bodyHot = 'body hot,';
export const served = 'served at';
export const servedC = 'Served at, °C';
export const c = '°C';

// drawing.tsx
export const potEmptyDrawnHere =
  'The pot is empty. It is drawn here, to scale, as soon as something is in it.';
export const afterStep = (step: number): string => `After step ${step} in the`;
export const cmBelowRimStands = (celsius: number, draggable: boolean): string =>
  `, cm below the rim${celsius > 30 ? `, as it stands hot at ${Math.round(celsius)} °C` : ''}${draggable ? '. Drag the copper line to where it should stop, or say the dip: ' : '.'}`;
export const setAsideTray = (kilos: string): string => `Set aside on a tray, ${kilos}.`;
export const beside = (litres: string): string => `Beside it, ${litres} in the`;
export const stopDipCm = 'Stop at a dip of, cm';

// layers.tsx
export const costPerLitre = 'Cost per litre';
export const ingredients = 'ingredients';
export const noPrice = 'no price';
export const perLitreFar = 'per litre, so far';
export const totalPerLitre = 'total per litre';

// ledger.tsx
export const whatNoPriceYet = 'What has no price yet';
export const moreAfter = (more: number): string => `${more} more after it.`;
export const nothingPotYetStart =
  'Nothing in the pot yet. Start with what goes in, such as “8 kg venison bones”.';
export const starts = 'Starts in';
export const startsNow = (name: string): string => `It starts in the ${name} now.`;
export const stands = 'Stands on';
export const standsNow = (name: string): string => `It stands on ${name} now.`;
export const nextStepSimmer20 = 'next step: simmer 20 min, reduce by half';
export const add = 'Add';
export const useForm = 'Use a form';
export const whatColumnsShow = 'What the columns show';
export const standardColumns = 'standard columns';
export const stepHeading = 'Step';

// loss-table.tsx
export const whereWeightMoneyWent = 'Where weight and money went';
export const losses = 'Losses';
export const weight = 'weight';
export const money = 'money';
export const trimLoss = 'trim loss';
export const product = (money: string): string => `in the product, of ${money}`;

// litre-cost.tsx
export const oneLitreDrawnHere = 'One litre is drawn here once its cost is whole.';
export const oneLitre = 'One litre';
export const oneLitreHeading = 'One litre at';
export const allLayersKnown = 'all layers that are known';
export const whatLitreShows = 'What the litre shows';
export const allLayers = 'all layers';

// opened-packs-list.tsx
export const partUsedPackPacks = (count: number): string =>
  `${count} part-used ${plural(count, 'pack', 'packs')} left over`;
export const chargedWholeWithCount = (count: number): string => `, ${count} charged whole`;
export const chargedWhole = 'charged whole';
export const left = (kilos: string, totalKilos: string): string => `${kilos} of ${totalKilos} left`;

// evidence-list.tsx
export const whatRestsIngredientIngredients = (count: number, guesses: number): string =>
  `What this rests on: ${count} ${plural(count, 'ingredient', 'ingredients')}${guesses > 0 ? `, ${guesses} with an estimate in it` : ', all measured'}`;
export const estimate = 'an estimate';
export const measured = 'measured';
export const usable = 'usable';
export const keeps = 'keeps';
export const mlKg = 'ml/kg';
export const ownBrowning = (percent: string): string => `own browning ${percent} %`;
export const fat = (percent: string): string => `, fat ${percent} %`;
export const litres = 'litres';
export const body = 'body';
export const saltPercent = 'salt %';
export const gelatinPercent = 'gelatin %';
export const fatPercent = 'fat %';
export const alcoholPercent = 'alcohol %';
export const filled = (litres: string): string => `filled · ${litres}`;
export const strained = (litres: string): string => `strained · ${litres}`;
export const half = (litres: string): string => `half · ${litres}`;
