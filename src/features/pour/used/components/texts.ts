import { plural } from '@/core/plural';

/** What people read in pour/used. */

// used-view.tsx
export const whereUsedNamed = (name: string): string => `Where ${name} is used`;
export const whereUsed = 'Where is it used?';
export const ingredientArticleSupplierPot = 'An ingredient, an article, a supplier, a pot or a vessel.';
export const noLongerHere = 'This is no longer here.';
export const findWhatUsed = 'Find what is used';
export const bonesSupplierPot = 'bones, a supplier, a pot';
export const nothingCooked = 'Nothing is cooked in it.';
export const nothingTakes = 'Nothing takes it.';
export const cookedUsualWeekOne = (litres: string, count: number): string =>
  `${litres} are cooked in it in a usual week, in ${plural(count, 'one pot', `${count} pots`)}.`;
export const goIntoPotsUsual = 'go into pots in a usual week';
export const forText = ', for';
export const endsUpNoDish = 'It ends up in no dish.';
export const endsUp = (count: number): string =>
  `It ends up in ${plural(count, 'one dish', `${count} dishes`)}.`;
export const notCountedBecauseCosted = (part: string): string =>
  `Not counted, because it is costed from another article now: ${part}`;
export const more = (count: number): string => ` and ${count} more`;
export const whoTakes = 'Who takes it';
export const cooked = 'Cooked in it';
export const dishesEndsUp = 'Dishes it ends up in';
export const notKnown = 'not known';
export const batchGives = 'a batch gives';
export const batchOrDishTakes = 'a batch, or a dish, takes';
export const batchesWeek = 'batches a week';
export const givesWeek = 'gives a week';
export const takesWeek = 'takes a week';
export const figStrong = 'fig strong';
export const whichCosts = 'which costs';
export const costsWeek = 'costs a week';
export const potOrDish = 'Pot or dish';
export const oneDish = 'of it in one dish';
export const dishsCost = 'of the dish’s cost';
export const dish = 'Dish';
