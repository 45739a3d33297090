import 'server-only';
import { LRUCache } from 'lru-cache';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import {
  suggestedQuestions,
  cheapest,
  flipOf,
  rulesOfThumb,
  type SuggestedQuestion,
  type BaseWay,
  type CookedWay,
  type WayFigures,
  type Flip,
  type CostSource,
  type Rules,
} from '@/core/compare';
import {
  Asks,
  lineWords,
  namesIn,
  stepsInForce,
  type WrittenAsks,
  type WrittenQuestion,
} from '@/core/kitchen-file';
import { countedIn, type Layer } from '@/core/layers';
import { CONSTANTS } from '@/core/reference';
import type { SimulationSetup } from '@/core/uncertainty';
import type { WrittenStep } from '@/core/verbs';
import { readQuestionRows, type QuestionRow } from '@/db/recipes/questions';
import { kitchenWords } from '@/db/kitchen/read-kitchen';
import { recipeAt, versionRows } from '@/db/recipes/recipe-versions';
import { archivedRows } from '@/server/archived';
import { countedLayers } from '@/server/counted-layers';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { questionChange, listQuestions, type QuestionChange, type QuestionListed } from './saved-questions';
import {
  answerCosts,
  answerQuestion,
  costSourcesOf,
  costPerLitre,
  type QuestionAnswer,
} from './question-answer';
import { firstSimulations, simulationSetup } from './simulations';
import { titleOf } from './words';
import * as texts from './texts';

/** One of the ways on the screen. */
export interface WayShown {
  readonly name: string;
  readonly note: string | undefined;
  readonly figures: WayFigures;
  readonly paid: readonly CostSource[];
  readonly base: BaseWay['base'] | undefined;
}

/** The price of one thing at which a way and the first one cost the same. */
export interface FlipShown extends Flip {
  readonly way: number;
  readonly ingredient: { readonly id: string; readonly name: string };
  /** What a kilo costs as it is bought now. */
  readonly perKg: number;
}

/** A question as it is, and why the answer is another than when somebody last looked. */
export interface SavedQuestionShown {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly moved: QuestionChange | undefined;
}

export interface QuestionPage {
  readonly title: string;
  readonly recipe: { readonly id: string; readonly name: string } | undefined;
  readonly asks: WrittenAsks;
  readonly beside: WrittenQuestion['beside'];
  readonly layers: readonly Layer[];
  /** The layers are the question’s own, not those counted on this device. */
  readonly ownLayers: boolean;
  readonly trouble: string | undefined;
  readonly ways: readonly WayShown[];
  readonly perL: readonly (number | null)[];
  readonly best: number | undefined;
  /** Which ways are an answer: not too thin, and not too salty. */
  readonly meets: readonly boolean[];
  readonly flips: readonly FlipShown[];
  readonly setup: SimulationSetup | undefined;
  /** The first draws of it, trial after trial. */
  readonly first: readonly number[];
  readonly kept: SavedQuestionShown | undefined;
  readonly mayEdit: boolean;
  readonly decimalMark: '.' | ',';
  /** Names of what the question lays beside each other, by what stands in it. */
  readonly names: readonly (readonly [string, string])[];
  /** All vessels of the house, where the question is in which. */
  readonly vessels: readonly { readonly id: string; readonly name: string }[];
}

/** Beside the ingredients what counts: what the question says, or what is counted on this device. */
async function layersFor(question: QuestionRow | undefined): Promise<readonly Layer[]> {
  return question ? countedIn(question.beside.join('.')) : countedLayers();
}

/** A question laid out: one that is kept, or one that is asked now. */
export async function questionPage(
  who: Worker,
  of: { readonly id: string } | { readonly asks: WrittenAsks; readonly keptAs?: string | undefined },
): Promise<QuestionPage> {
  const rows = await readQuestionRows(database(), who.kitchenId);
  const id = 'id' in of ? of.id : of.keptAs;
  const row = rows.find((q) => q.id === id);
  if ('id' in of && !row) notFound();
  const asks = 'asks' in of ? of.asks : (row as QuestionRow).asks;
  const layers = await layersFor('asks' in of ? undefined : row);
  const { costing } = await costedKitchen(who.kitchenId);
  const laid = await answerQuestion(who.kitchenId, asks);
  const recipe = costing.state.recipes.find((r) => r.id === asks.recipe);
  const page = {
    title: row?.name ?? titleOf(costing, asks),
    recipe: recipe && { id: recipe.id, name: recipe.name },
    asks,
    beside: layers.filter((l) => l !== 'ingredients'),
    layers,
    ownLayers: 'id' in of,
    mayEdit: may(who.role, 'changer'),
    decimalMark: costing.state.kitchen.decimalMark,
    names: namesOf(costing.state, asks),
    vessels: asks.of === 'pot' ? costing.state.vessels.map(({ id: v, name }) => ({ id: v, name })) : [],
  };
  const kept = (moved: QuestionChange | undefined): SavedQuestionShown | undefined =>
    row && { id: row.id, name: row.name, version: row.version, moved };
  if (!laid.ok)
    return {
      ...page,
      trouble: laid.trouble.message,
      ways: [],
      perL: [],
      best: undefined,
      meets: [],
      flips: [],
      setup: undefined,
      first: [],
      kept: kept(undefined),
    };
  const perL = costPerLitre(laid.value, layers);
  const setup = await simulationSetup(who.kitchenId, laid.value, layers);
  return {
    ...page,
    trouble: undefined,
    ways: waysShown(laid.value, layers),
    perL,
    best: cheapest(answerCosts(laid.value, layers)),
    meets: laid.value.meets,
    flips: flipsOf(laid.value, asks, layers),
    setup,
    first: await firstSimulations(laid.value, setup),
    kept: kept(row && 'id' in of ? await questionChange(who.kitchenId, row, laid.value) : undefined),
  };
}

function waysShown(laid: QuestionAnswer, layers: readonly Layer[]): WayShown[] {
  const paid = costSourcesOf(laid, layers);
  return laid.ways.map((way, i) => ({
    name: way.name,
    note: laid.notes[i],
    figures: laid.figures[i] as WayFigures,
    paid: paid[i] ?? [],
    base: laid.bases?.[i],
  }));
}

/** What a question lays beside each other, by the id that stands in it. */
function namesOf(
  { ingredients, recipes, vessels, articles }: QuestionAnswer['costing']['state'],
  asks: WrittenAsks,
): (readonly [string, string])[] {
  const text = JSON.stringify(asks);
  return [...ingredients, ...recipes, ...vessels, ...articles]
    .filter((x) => text.includes(x.id))
    .map((x) => [x.id, x.name] as const);
}

/** For each way against the first: the price at which it flips, of what it is made of, or of the dearest thing in the first. */
function flipsOf(laid: QuestionAnswer, asks: WrittenAsks, layers: readonly Layer[]): FlipShown[] {
  const { ways, pots, cooked, costing } = laid;
  const [first, firstCooked] = [ways[0], cooked[0]];
  if (!first || !firstCooked) return [];
  const bought = (id: string | undefined) => {
    const supply = id === undefined ? undefined : costing.supplies.get(id);
    return supply?.price
      ? { id: supply.ingredient.id, name: supply.ingredient.name, perKg: supply.price.perKg.toNumber() }
      : undefined;
  };
  const own = (i: number): string | undefined => {
    if (asks.of !== 'base' && asks.of !== 'instead') return undefined;
    const of = (asks.of === 'base' ? asks.bases : asks.with)[i - 1]?.of;
    return of && 'ingredient' in of ? of.ingredient : undefined;
  };
  return ways.flatMap((way, i): FlipShown[] => {
    if (i === 0) return [];
    const pair = [first, way] as const;
    const both = [firstCooked, cooked[i] as CookedWay] as const;
    const candidates = [bought(own(i)), ...laid.apart.stuffs.map(([id]) => bought(id))].flatMap(
      (b) => b ?? [],
    );
    let best: FlipShown | undefined;
    for (const { perKg, ...ingredient } of candidates) {
      const flip = flipOf(pots, pair, both, ingredient.id, layers);
      if (!flip) continue;
      const shown = { ...flip, way: i, ingredient, perKg };
      if (ingredient.id === own(i)) return [shown];
      const weight = (f: Flip): number => Math.abs(f.lines[0].paid - f.lines[1].paid);
      if (!best || weight(shown) > weight(best)) best = shown;
    }
    return best && Math.abs(best.lines[0].paid - best.lines[1].paid) > 1e-6 ? [best] : [];
  });
}

export interface WeighPage {
  readonly questions: readonly QuestionListed[];
  readonly pots: readonly { readonly id: string; readonly name: string }[];
  readonly of: { readonly id: string; readonly name: string } | undefined;
  readonly line: string | undefined;
  /** What arises on it: of each line, and of the whole sheet. */
  readonly arising: readonly (SuggestedQuestion & { readonly at: string })[];
  /** Lines of it that take something, in the place of which something else may be laid. */
  readonly takes: readonly { readonly id: string; readonly words: string }[];
  readonly mayEdit: boolean;
  readonly away: Awaited<ReturnType<typeof archivedRows>>;
}

/** Pots that are offered to be asked about at once. */
const MOST_POTS = 400;

/** Kept questions with their answers, and what can be asked of a pot. */
export async function weighPage(
  who: Worker,
  of: string | undefined,
  line: string | undefined,
): Promise<WeighPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { recipes } = costing.state;
  const recipe = recipes.find((r) => r.id === of);
  const names = recipe && { ...namesIn(costing.state), self: recipe.id };
  const at = (id: string | undefined): string => {
    const step = recipe?.steps.find((s) => s.id === id);
    return recipe && step && names ? lineWords(step, recipe, names) : texts.wholePot;
  };
  return {
    questions: await listQuestions(who),
    pots: recipes.slice(0, MOST_POTS).map(({ id, name }) => ({ id, name })),
    of: recipe && { id: recipe.id, name: recipe.name },
    line,
    takes: (recipe?.steps ?? []).flatMap((s) =>
      s.id !== undefined && 'of' in s && 'amount' in s ? [{ id: s.id, words: at(s.id) }] : [],
    ),
    arising: recipe ? suggestedQuestions(costing, recipe).map((a) => ({ ...a, at: at(a.line) })) : [],
    mayEdit: may(who.role, 'changer'),
    away: await archivedRows(who, 'question'),
  };
}

/** A question out of an address; undefined where it is none. */
export function asksIn(text: string | undefined): WrittenAsks | undefined {
  try {
    return Asks.parse(JSON.parse(text ?? ''));
  } catch {
    return undefined;
  }
}

/** Versions compared with the one that stands, and as many as are looked through for what they are called. */
const MOST_VERSIONS = 3;
const MOST_ROWS = 200;

/** Earlier versions of a sheet, by their numbers, as a question; undefined where none of them is there. */
export async function versionsAsked(
  who: Worker,
  recipe: string,
  numbers = '',
): Promise<WrittenAsks | undefined> {
  const id = z.uuid().safeParse(recipe);
  if (!id.success) return undefined;
  const wanted = [...new Set(numbers.split(',').map(Number))].filter((n) => Number.isSafeInteger(n) && n > 0);
  const rows = await versionRows(database(), who.kitchenId, id.data, MOST_ROWS);
  const { locale } = await kitchenWords(database(), who.kitchenId);
  const said = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', year: 'numeric' });
  const found = await Promise.all(
    wanted.slice(0, MOST_VERSIONS).map(async (n) => {
      const was = await recipeAt(database(), who.kitchenId, id.data, n);
      const row = rows.find((r) => r.version === n);
      if (!was) return [];
      const { vessel, hob } = was;
      const steps = stepsInForce(was).map(({ way: _w, ...step }) => step as WrittenStep);
      const name = row?.name ?? `no. ${n}${row ? `, ${said.format(new Date(row.on))}` : ''}`;
      return steps.length > 0 ? [{ name, vessel, hob, steps }] : [];
    }),
  );
  const sheets = found.flat();
  return sheets.length > 0 ? { of: 'versions', recipe: id.data, with: sheets } : undefined;
}

export interface RulesPage {
  readonly day: string;
  readonly rules: Rules;
}

const rulesHeld = new LRUCache<string, Rules>({ max: 12 });

/** Rules of thumb of a kitchen as it is; held while it does. */
export async function rulesPage(who: Worker): Promise<RulesPage> {
  const { costing, stood } = await costedKitchen(who.kitchenId);
  const key = JSON.stringify([who.kitchenId, stood, costing.day]);
  const rules = rulesHeld.get(key) ?? rulesOfThumb(costing, CONSTANTS);
  rulesHeld.set(key, rules);
  return { day: costing.day, rules };
}
