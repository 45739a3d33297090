import type { KitchenCosting } from '../costing';
import { inForce, type WrittenAsks, type WrittenRecipe } from '../kitchen-file';
import { maxFillMl } from '../pot';
import { groupOf } from '../reference';
import type { WrittenStep } from '../verbs';
import { matterName } from './sheet-ways';
import { LEAST_BODY } from './thicken';

/** A question that arises at a line of a sheet, or of the sheet as a whole, already filled in. */
export interface SuggestedQuestion {
  /** The line it arises at; undefined where it is of the whole sheet. */
  readonly line: string | undefined;
  readonly words: string;
  readonly asks: WrittenAsks;
}

/** Grams of a bought concentrate in a litre of stock, where its packet has not been read: a tablespoon. */
const USUAL_G_PER_L = 20;
/** Salt from which a bought base is no stock but a concentrate, % (a ready stock has at most one or two). */
const CONCENTRATE_SALT = 8;
/** Share of the litres from which something is what a sheet is made of. */
const BASE_SHARE = 0.25;
/** g of flour equivalent a kilo from which something is a thickener. */
const THICKENS = 150;
const MOST = { bases: 4, thickeners: 3, vessels: 5 } as const;

/** Bought bases of a kitchen, each as it would be taken: as it comes, or so many grams of it in a litre of water. */
const boughtBases = ({ state, supplies }: KitchenCosting): Extract<WrittenAsks, { of: 'base' }>['bases'] =>
  state.ingredients
    .filter((i) => i.role === 'liquid' && supplies.get(i.id)?.price && isBase(i))
    .map((i) => ({
      of: { ingredient: i.id },
      ...((i.composition.salt ?? 0) > CONCENTRATE_SALT ? { gPerL: USUAL_G_PER_L } : {}),
    }))
    .slice(0, MOST.bases);

type Ingredient = KitchenCosting['state']['ingredients'][number];
/** Of the starting values those that are bought bases; of a house’s own what is mostly water with gelatin in it. */
const isBase = (i: Ingredient): boolean =>
  groupOf(i) === 'bought-base' || (i.reference === undefined && (i.composition.gelatin ?? 0) > 0);

/** What a kitchen has to thicken with: roux and kneaded butter it makes, starch it buys. */
export function thickenersOf(costing: KitchenCosting): Extract<WrittenAsks, { of: 'thicken' }>['with'] {
  const made = costing.state.recipes
    .filter(
      (r) =>
        (costing.recipes.get(r.id)?.run.rows.at(-1)?.body ?? 0) > 2.5 &&
        costing.recipes.get(r.id)?.run.product?.liquid.gelatin === 0,
    )
    .map((r) => ({ product: r.id }));
  const bought = costing.state.ingredients
    .filter(
      (i) =>
        i.role === 'liquid' &&
        i.bindingGPerKg >= THICKENS &&
        costing.supplies.get(i.id)?.price &&
        (i.composition.starch ?? 0) > 50,
    )
    .map((i) => ({ ingredient: i.id }));
  return [...made, ...bought].slice(0, MOST.thickeners);
}

/** Every question that arises on a sheet, those of lines in the order of the lines. */
export function suggestedQuestions(costing: KitchenCosting, recipe: WrittenRecipe): SuggestedQuestion[] {
  const done = inForce(recipe);
  const common = { recipe: recipe.id };
  const thickeners = thickenersOf(costing);
  const rows = costing.recipes.get(recipe.id)?.run.rows ?? [];
  const lines = recipe.steps.flatMap((step, at): SuggestedQuestion[] => {
    const line = step.id;
    if (line === undefined || !done(step)) return [];
    const ask = (words: string, asks: object): SuggestedQuestion => ({
      line,
      words,
      asks: { ...common, line, ...asks } as WrittenAsks,
    });
    switch (step.do) {
      case 'strain':
        return [ask('Pressed, or not?', { of: 'press' })];
      case 'sieve':
      case 'second pass':
        return recipe.steps.some((s) => s.do === 'second pass') && step.do === 'sieve'
          ? []
          : [ask('A second pass, or not?', { of: 'second pass' })];
      case 'second wash':
        return [ask('Wash the bones a second time, or not?', { of: 'second wash' })];
      case 'season to':
        return [ask('Salt early, or late?', { of: 'salt' })];
      case 'cook':
        return [ask('Lid off, ajar or on?', { of: 'lid' })];
      case 'reduce':
        return thickeners.length > 0 && (rows[at]?.body ?? 0) >= LEAST_BODY
          ? [ask('Reduce all the way, or stop and thicken?', { of: 'thicken', with: thickeners })]
          : [];
      default:
        return baseAt(costing, recipe, step, at, ask);
    }
  });
  return [...lines, ...ofWhole(costing, recipe)];
}

/** What a sheet is made of: whether another base would make it as well, or cheaper. */
function baseAt(
  costing: KitchenCosting,
  recipe: WrittenRecipe,
  step: WrittenStep,
  at: number,
  ask: (words: string, asks: object) => SuggestedQuestion,
): SuggestedQuestion[] {
  const of = 'of' in step ? step.of : undefined;
  const run = costing.recipes.get(recipe.id)?.run;
  const took = run?.inputs.find((i) => i.step === at);
  if (step.do !== 'add' || !of || !took || !run?.product || took.g < run.product.g * BASE_SHARE) return [];
  const self = 'ingredient' in of ? costing.state.ingredients.find((i) => i.id === of.ingredient) : undefined;
  if (self && !(self.role === 'liquid' && isBase(self))) return [];
  if ('stockTrimOf' in of) return [];
  const row = run.rows.at(-1);
  const bases = boughtBases(costing).filter((b) => JSON.stringify(b.of) !== JSON.stringify(of));
  // What is thick already, or holds pieces, is no base.
  if (!row || bases.length === 0) return [];
  const [mend] = thickenersOf(costing);
  const salt = recipe.steps.find((s) => s.do === 'season to');
  const most =
    salt && 'salt' in salt ? Number.parseFloat(salt.salt.replace(',', '.')) : Math.max(0.9, row.saltPct);
  return [
    ask(`${matterName(costing, of)}, or a bought base?`, {
      of: 'base',
      bases,
      body: Math.max(0.02, Math.floor(row.body * 100) / 100),
      saltPct: Math.ceil(Math.max(most, row.saltPct) * 100) / 100,
      ...(mend ? { mend } : {}),
    }),
  ];
}

/** Questions of a whole sheet: which pot, which pack of what it takes, and who pays for trim. */
function ofWhole(costing: KitchenCosting, recipe: WrittenRecipe): SuggestedQuestion[] {
  const { state } = costing;
  const run = costing.recipes.get(recipe.id)?.run;
  const found: SuggestedQuestion[] = [];
  const fullest = Math.max(0, ...(run?.rows.map((r) => r.standingMl) ?? []));
  const size = (id: string): number => {
    const vessel = costing.shelf.vessel(id);
    return vessel ? maxFillMl(vessel) : 0;
  };
  const fit = state.vessels
    .filter((v) => v.id !== recipe.vessel && size(v.id) >= fullest)
    .sort((a, b) => size(a.id) - size(b.id))
    .slice(0, MOST.vessels - 1);
  if (fit.length > 0)
    found.push({
      line: undefined,
      words: 'In which pot?',
      asks: { of: 'pot', recipe: recipe.id, vessels: [recipe.vessel, ...fit.map((v) => v.id)] },
    });
  const bought = new Map<string, string[]>();
  for (const a of state.articles) bought.set(a.ingredient, [...(bought.get(a.ingredient) ?? []), a.id]);
  const taken = new Set(
    run?.inputs.flatMap((i) => (i.supply.startsWith('usable:') ? [i.supply.slice(7)] : [])),
  );
  for (const id of taken) {
    const articles = bought.get(id) ?? [];
    const name = state.ingredients.find((i) => i.id === id)?.name ?? '';
    if (articles.length > 1)
      found.push({
        line: undefined,
        words: `${name}: in which pack, from whom?`,
        asks: { of: 'article', recipe: recipe.id, ingredient: id, articles: articles.slice(0, 6) },
      });
  }
  if (
    run?.inputs.some((i) => i.supply.startsWith('trim:')) ||
    [...taken].some((id) => comesOffSome(costing, id))
  )
    found.push({
      line: undefined,
      words: 'Who pays for trim?',
      asks: { of: 'school', recipe: recipe.id, schools: ['free', 'value', 'weight'] },
    });
  return found;
}

const comesOffSome = ({ supplies }: KitchenCosting, id: string): boolean =>
  (supplies.get(id)?.stockTrim ?? 0) > 0;
