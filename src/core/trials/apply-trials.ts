import { namesToRead, type KitchenCosting } from '../costing';
import {
  inOrder,
  loopSentence,
  mannerIn,
  standingPlate,
  writtenOver,
  yieldOn,
  type WrittenIngredient,
  type WrittenPlate,
  type WrittenTrial,
} from '../kitchen-file';
import { insteadOf, type KitchenState } from '../kitchen-state';
import { comesOffShare } from '../knife';
import { checkShares } from '../larder';
import { groupOf } from '../reference';
import { refuse, under, type Outcome, type Trouble } from '../trouble';
import { matterOf, readStep } from '../verbs';
import * as texts from './texts';

/** A kitchen with trials done to it: what would stand in it, and what its prices would be times what they are. */
export interface TrialResult {
  readonly state: KitchenState;
  /** Of ingredients whose price is tried; 1 for all others. */
  readonly times: ReadonlyMap<string, number>;
  /** Of each trial why it does nothing, where it does nothing: what it names is gone, or it cannot be. */
  readonly flaws: readonly (Trouble | undefined)[];
}

type Of<K extends WrittenTrial['of']> = Extract<WrittenTrial, { of: K }>;
const gone = (what: string): { ok: false; trouble: Trouble } =>
  refuse('gone', '', texts.archivedDoesNothingAny(what));

/** Ingredients whose price as bought a trial moves: one, a group of the larder, or all that a supplier is paid for now. */
export function ingredientsPriced(costing: KitchenCosting, trial: WrittenTrial): readonly string[] {
  const bought = [...costing.supplies.values()].filter((s) => s.price);
  if (trial.of === 'price')
    return bought.some((s) => s.ingredient.id === trial.ingredient) ? [trial.ingredient] : [];
  if (trial.of === 'group')
    return bought.filter((s) => groupOf(s.ingredient) === trial.group).map((s) => s.ingredient.id);
  if (trial.of === 'supplier')
    return bought.filter((s) => s.price?.article.supplier === trial.supplier).map((s) => s.ingredient.id);
  return [];
}

/** Does trials to a kitchen, one after the other, in their order. Nothing of the kitchen itself is touched. */
export function applyTrials(costing: KitchenCosting, trials: readonly WrittenTrial[]): TrialResult {
  const times = new Map<string, number>();
  const flaws: (Trouble | undefined)[] = [];
  let state = costing.state;
  for (const trial of trials) {
    if ('times' in trial && trial.of !== 'layer') {
      const ids = ingredientsPriced(costing, trial);
      for (const id of ids) times.set(id, (times.get(id) ?? 1) * trial.times);
      flaws.push(ids.length === 0 ? noPrice(costing, trial).trouble : undefined);
      continue;
    }
    const next = stateWith(costing, state, trial);
    if (next.ok) state = next.value;
    flaws.push(next.ok ? undefined : next.trouble);
  }
  return { state, times, flaws };
}

function noPrice(costing: KitchenCosting, trial: WrittenTrial): { ok: false; trouble: Trouble } {
  if (trial.of === 'price' && !costing.supplies.has(trial.ingredient)) return gone('This ingredient');
  if (trial.of === 'supplier' && !costing.state.suppliers.some((s) => s.id === trial.supplier))
    return gone('This supplier');
  return refuse('no-price', '', texts.nothingPriceDoesNothing);
}

function stateWith(costing: KitchenCosting, state: KitchenState, trial: WrittenTrial): Outcome<KitchenState> {
  switch (trial.of) {
    case 'yield':
      return withYield(costing, state, trial);
    case 'line':
      return withLine(costing, state, trial);
    case 'portion':
      return withPortion(costing, state, trial);
    case 'menu price':
      return withPlate(state, trial.plate, (p) => ({ ...p, menuPrice: trial.price }));
    case 'school':
      return fine(withSchool(state, trial));
    case 'layer':
      return withLayer(state, trial);
    case 'instead':
      return withInstead(state, trial);
    default:
      return fine(state);
  }
}

const fine = <T>(value: T): Outcome<T> => ({ ok: true, value });
/** Recorded after everything else that says a yield. */
const LAST = '9999-12-31T23:59:59.999Z';

function withYield(costing: KitchenCosting, state: KitchenState, { ingredient: id, usablePct }: Of<'yield'>) {
  const supply = costing.supplies.get(id);
  if (!supply) return gone('This ingredient');
  const wrong = checkShares({
    usable: usablePct / 100,
    stockTrim: comesOffShare(supply.stockTrim, supply.knife),
  });
  if (wrong) return wrong;
  const yields = (i: WrittenIngredient): WrittenIngredient['yields'] => {
    const { low: _l, high: _h, ...was } = yieldOn(i, costing.day);
    return [...i.yields, { ...was, usablePct, on: costing.day, recordedAt: LAST }];
  };
  const ingredients = state.ingredients.map((i) => (i.id === id ? { ...i, yields: yields(i) } : i));
  return fine({ ...state, ingredients });
}

function withLine(costing: KitchenCosting, state: KitchenState, { recipe: id, step, says }: Of<'line'>) {
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe) return gone('This pot');
  if (!recipe.steps.some((s) => s.id === step)) return gone(`This line of ${recipe.name}`);
  const read = readStep(says, { ...namesToRead(costing), self: id });
  if (!read.ok) return { ok: false as const, trouble: under('says', read.trouble) };
  const steps = recipe.steps.map((s) => {
    if (s.id !== step) return s;
    const { id: own, way, off } = s;
    return { ...read.value, id: own, ...(way === undefined ? {} : { way }), ...(off ? { off } : {}) };
  });
  const recipes = state.recipes.map((r) => (r === recipe ? { ...r, steps } : r));
  return looped(recipes) ?? fine({ ...state, recipes });
}

/** Refuses pots that would be made from each other in a circle. */
function looped(recipes: KitchenState['recipes']): { ok: false; trouble: Trouble } | undefined {
  const loop = inOrder(recipes).loops[0];
  const names = new Map(recipes.map((r) => [r.id, r.name]));
  return loop && refuse('recipe-loop', '', loopSentence(loop.map((id) => names.get(id) ?? id)));
}

function withPlate(state: KitchenState, id: string, change: (plate: WrittenPlate) => WrittenPlate) {
  if (!state.plates.some((p) => p.id === id)) return gone('This dish');
  return fine({ ...state, plates: state.plates.map((p) => (p.id === id ? change(p) : p)) });
}

function withPortion(
  costing: KitchenCosting,
  state: KitchenState,
  { plate: id, line, amount }: Of<'portion'>,
) {
  const plate = state.plates.find((p) => p.id === id);
  if (!plate) return gone('This dish');
  const manner = mannerIn(state);
  const parent = plate.follows && state.plates.find((p) => p.id === plate.follows?.plate);
  const stands = standingPlate(plate, parent, manner);
  const own = stands.lines.find((l) => l.id === line);
  if (!own) return gone(`This line of ${plate.name}`);
  const read = matterOf(own.of, amount, costing.shelf);
  if (!read.ok) return { ok: false as const, trouble: under('amount', read.trouble) };
  const lines = stands.lines.map((l) => (l.id === line ? { ...l, amount } : l));
  return withPlate(state, id, (p) => writtenOver(p, parent, lines, manner));
}

const withSchool = (state: KitchenState, { school, setValuePerKg }: Of<'school'>): KitchenState => ({
  ...state,
  kitchen: {
    ...state.kitchen,
    trim: { school, setValuePerKg: setValuePerKg ?? state.kitchen.trim.setValuePerKg },
  },
});

function withLayer(state: KitchenState, { layer, times }: Of<'layer'>): Outcome<KitchenState> {
  const { wagePerHour, energyPerKwh } = state.kitchen;
  const dearer = (price: string): string => String(Number((Number(price) * times).toFixed(4)));
  if (layer === 'hands')
    return wagePerHour === undefined
      ? refuse('no-price', '', texts.noLabourCostPer)
      : fine({ ...state, kitchen: { ...state.kitchen, wagePerHour: dearer(wagePerHour) } });
  const tariffs = Object.entries(energyPerKwh).flatMap(([fuel, price]) =>
    price ? [[fuel, dearer(price)]] : [],
  );
  return tariffs.length === 0
    ? refuse('no-price', '', texts.noEnergyPriceSet)
    : fine({
        ...state,
        kitchen: { ...state.kitchen, energyPerKwh: Object.fromEntries(tariffs) as typeof energyPerKwh },
      });
}

function withInstead(state: KitchenState, { kind, from, to }: Of<'instead'>): Outcome<KitchenState> {
  const list: readonly { readonly id: string; readonly name: string }[] =
    kind === 'ingredient' ? state.ingredients : state.recipes;
  const name = (id: string): string | undefined => list.find((x) => x.id === id)?.name;
  const [a, b] = [name(from), name(to)];
  if (a === undefined || b === undefined)
    return gone(a === undefined ? 'What is replaced' : 'What takes its place');
  const next = insteadOf(state, kind, from, to);
  if (next.recipes.length + next.plates.length === 0)
    return refuse('unused', '', texts.nothingTakesDoesNothing(a));
  const recipe = new Map(next.recipes.map((r) => [r.id, r]));
  const plate = new Map(next.plates.map((p) => [p.id, p]));
  const recipes = state.recipes.map((r) => recipe.get(r.id) ?? r);
  const plates = state.plates.map((p) => plate.get(p.id) ?? p);
  return looped(recipes) ?? fine({ ...state, recipes, plates });
}
