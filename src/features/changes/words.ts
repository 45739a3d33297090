import type { WrittenPlate, WrittenRecipe } from '@/core/kitchen-file';
import { lineWords, namesIn } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import type { Names } from '@/core/said';

/** What a change is told with: names of everything that is or was there. */
export interface ChangeFacts {
  readonly names: Names;
  readonly called: (id: string) => string | undefined;
}

/** Names as the kitchen has them now; what is put away is called as it was when it was changed. */
export function changeFacts(state: KitchenState): ChangeFacts {
  const byId = new Map<string, string>(
    [
      ...state.ingredients,
      ...state.recipes,
      ...state.plates,
      ...state.vessels,
      ...state.hobs,
      ...state.suppliers,
      ...state.measures,
    ].map((x) => [x.id, x.name]),
  );
  for (const a of state.articles) byId.set(a.id, byId.get(a.ingredient) ?? a.name);
  return { names: namesIn(state), called: (id) => byId.get(id) };
}

/** A change that is told. */
export interface ChangeText {
  readonly what: string;
  readonly subject: string;
  readonly before: unknown;
  readonly after: unknown;
}

type Side = Readonly<Record<string, unknown>> | null;
const sideOf = (value: unknown): Side =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Side) : null;
const textOf = (value: unknown): string =>
  value === null || value === undefined ? 'none' : typeof value === 'object' ? '…' : String(value as string);

/** Of many differences the first few, and how many more. */
const MOST = 4;

function few(all: readonly string[]): string {
  return all.length > MOST
    ? `${all.slice(0, MOST).join('; ')} and ${all.length - MOST} more`
    : all.join('; ');
}

interface Line {
  readonly id: string;
  readonly text: string;
}

/** How lines differ: taken out, put in, said otherwise, or only in another order. */
function linesDiffer(before: readonly Line[], after: readonly Line[]): string[] {
  const [was, is] = [new Map(before.map((l) => [l.id, l.text])), new Map(after.map((l) => [l.id, l.text]))];
  const found = [
    ...before.filter((l) => !is.has(l.id)).map((l) => `“${l.text}” taken out`),
    ...after.flatMap((l) => {
      const old = was.get(l.id);
      return old === undefined ? [`“${l.text}” put in`] : old === l.text ? [] : [`“${old}” → “${l.text}”`];
    }),
  ];
  if (found.length > 0) return found;
  return before.some((l, i) => after[i]?.id !== l.id) ? ['put in another order'] : [];
}

/** How the ways of a sheet differ: which one the house takes, and choices that came or went. */
function choicesWords({ choices: was = [] }: WrittenRecipe, { choices: is = [] }: WrittenRecipe): string[] {
  const before = new Map(was.map((c) => [c.id, c]));
  const now = new Set(is.map((c) => c.id));
  const way = (c: (typeof is)[number]): string => c.ways.find((w) => w.id === c.house)?.name ?? 'none';
  return [
    ...was.filter((c) => !now.has(c.id)).map((c) => `no ways of ${c.name} any more`),
    ...is.flatMap((c) => {
      const old = before.get(c.id);
      if (!old) return [`ways of ${c.name}: ${c.ways.map((w) => w.name).join(' or ')}`];
      return way(old) === way(c) ? [] : [`${c.name}: ${way(old)} → ${way(c)}`];
    }),
  ];
}

function recipeWords(before: WrittenRecipe, after: WrittenRecipe, { names, called }: ChangeFacts): string[] {
  const lines = (r: WrittenRecipe): Line[] =>
    r.steps.map((s, i) => ({
      id: s.id ?? String(i),
      text: lineWords(s, r, { ...names, self: r.id }),
    }));
  const name = (id: string): string => called(id) ?? 'one archived';
  return [
    ...(before.name === after.name ? [] : [`called ${after.name}, not ${before.name}`]),
    ...(before.vessel === after.vessel ? [] : [`in ${name(after.vessel)}, not ${name(before.vessel)}`]),
    ...(before.hob === after.hob ? [] : [`on ${name(after.hob)}, not ${name(before.hob)}`]),
    ...((before.note ?? '') === (after.note ?? '') ? [] : ['another note']),
    ...choicesWords(before, after),
    ...linesDiffer(lines(before), lines(after)),
  ];
}

function plateWords(before: WrittenPlate, after: WrittenPlate, { called }: ChangeFacts): string[] {
  const lines = (p: WrittenPlate): Line[] =>
    p.lines.map(({ id, of, amount, overfillPct, takenPct, packaging }, i) => {
      const named = 'product' in of ? of.product : 'ingredient' in of ? of.ingredient : of.stockTrimOf;
      return {
        id: id ?? String(i),
        text: `${amount} ${called(named) ?? 'of something archived'}${overfillPct ? `, ${overfillPct} % over` : ''}${takenPct === undefined ? '' : `, on the side, ${takenPct} % taken`}${packaging ? ', packaging' : ''}`,
      };
    });
  const handsWords = ({ hands }: WrittenPlate): string | undefined =>
    hands && `${hands.minutes} min for ${hands.plates}`;
  const buts = (p: WrittenPlate): Line[] =>
    (p.follows?.but ?? []).map((b) => ({
      id: b.line,
      text: b.out
        ? 'one thing less than what it follows'
        : `${b.amount ?? 'the portion'} otherwise than what it follows`,
    }));
  const moved = (what: string, a: unknown, b: unknown): string[] =>
    textOf(a) === textOf(b) ? [] : [`${what} ${textOf(a)} → ${textOf(b)}`];
  return [
    ...(before.name === after.name ? [] : [`called ${after.name}, not ${before.name}`]),
    ...moved('price', before.menuPrice, after.menuPrice),
    ...moved('tax %', before.taxPct, after.taxPct),
    ...moved('target %', before.targetFoodCostPct, after.targetFoodCostPct),
    ...moved('served', before.service, after.service),
    ...moved('lost in service %', before.serviceLossPct, after.serviceLossPct),
    ...moved('labour', handsWords(before), handsWords(after)),
    ...moved('size', before.follows?.size, after.follows?.size),
    ...(before.follows && !after.follows ? ['stands by itself'] : []),
    ...linesDiffer(buts(before), buts(after)),
    ...linesDiffer(lines(before), lines(after)),
  ];
}

/** Kinds of which both sides are things, and what such a thing is called. */
const THINGS: Readonly<Record<string, string>> = {
  recipe: 'pot',
  plate: 'dish',
  vessel: 'vessel',
  hob: 'hob',
  supplier: 'supplier',
  menu: 'menu',
  tray: 'tray',
  question: 'question',
  measure: 'measure',
  'ingredient made': 'ingredient',
  'ingredient taken': 'ingredient',
  article: 'price',
  'by-product': 'by-product',
};

/** Kinds that change one figure or setting of a thing, and what is said of that. */
const FIGURES: Readonly<Record<string, readonly [words: string, field: string, unit?: string]>> = {
  price: ['a pack costs', 'price'],
  yield: ['usable', 'usablePct', ' %'],
  name: ['called', 'name'],
  'article called': ['its supplier calls it', 'name'],
  'test left out': ['a test left out', 'why'],
  'version name': ['a version called', 'name'],
};

/** Kinds that are told by a sentence of their own. */
const PLAIN: Readonly<Record<string, string>> = {
  hands: 'the labour minutes',
  settings: 'this kitchen’s settings',
  trimming: 'who pays for trim, wage or energy',
  'usual price basis': 'which price usually counts',
  cups: 'which cups are meant',
  'price basis': 'which price counts',
  ingredient: 'what it is bought as',
  merge: 'merged into another spelling',
  'merge taken apart': 'taken apart from another spelling',
  'one weighs': 'what one weighs',
  allergens: 'what it carries',
  'served at': 'how hot it is served',
  'kept costing': 'a saved costing',
  'starting values': 'better starting values taken',
  'starting values given back': 'starting values given back',
  'trim school': 'who pays for its trim',
  'trim taken': 'how much of its trim the pots take',
  'learn from': 'which tests count',
  'batches a week': 'how often it is cooked',
  'pack weighing': 'a pack weighed',
  count: 'counted',
  waste: 'thrown away',
  invoice: 'invoice saved',
  'credit note': 'credit note saved',
  'test begun': 'a test begun',
  'test weighed': 'a test weighed',
  'test finished': 'a test finished',
  'test dropped': 'a test discarded',
  'test counts again': 'a test counts again',
  'learned yield': 'what its tests have taught',
  password: 'a password changed',
  'signed-in': 'somebody signed out',
  device: 'a device ended',
  batch: 'a pot put on, or archived',
  'batch told': 'what happened to a batch',
  boils: 'what its batches have taught of a vessel',
  gelatin: 'what its bones give, as batches have taught',
  retention: 'what it keeps when it is strained, as batches have taught',
  'model seen': 'an update of the model looked at',
  left: 'has left',
  'came back': 'is back',
  person: 'name, role or password',
};

/** A figure before and after, where that is all there is. */
const movedFrom = (before: unknown, after: unknown): string =>
  typeof before === 'number' && typeof after === 'number' ? ` ${before} → ${after}` : '';

/** What is written down once and then only counts or does not. */
const ENTERED = new Set(['invoice', 'credit note', 'waste', 'count', 'pack weighing', 'test begun', 'cups']);
const takenBack = (what: string, is: Side): string => (ENTERED.has(what) && !is ? ', taken back' : '');

/** What a change did, in words. */
export function changeText(change: ChangeText, telling: ChangeFacts): string {
  const { what, subject, before, after } = change;
  const [was, is] = [sideOf(before), sideOf(after)];
  const known = is?.name ?? was?.name;
  const name = telling.called(subject) ?? (typeof known === 'string' ? known : '');
  const kind = THINGS[what];
  if (kind !== undefined && (!was || !is)) {
    const called = typeof known === 'string' && what !== 'article' ? known : name;
    if (what === 'article' && is) return `New price: ${name}, ${textOf(is.pack)} at ${textOf(is.price)}`;
    return was ? `${called}, ${kind}, archived` : `New ${kind}: ${called}`;
  }
  if (what === 'recipe' || what === 'plate') {
    const all =
      what === 'recipe'
        ? recipeWords(before as WrittenRecipe, after as WrittenRecipe, telling)
        : plateWords(before as WrittenPlate, after as WrittenPlate, telling);
    return `${name}: ${all.length > 0 ? few(all) : 'kept as it was'}`;
  }
  if (what.endsWith(' away')) return `${name} ${is?.away === true ? 'archived' : 'restored'}`;
  const figure = FIGURES[what];
  if (figure && was && is) {
    const [words, field, unit = ''] = figure;
    return `${name}: ${words} ${textOf(was[field])}${unit} → ${textOf(is[field])}${unit}`;
  }
  const plain = `${PLAIN[what] ?? what}${movedFrom(before, after)}${takenBack(what, is)}`;
  return name === '' ? plain.charAt(0).toUpperCase() + plain.slice(1) : `${name}: ${plain}`;
}
