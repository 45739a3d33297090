import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import type { Of } from '../written';
import { isQuoted, plain, quoted } from './quotes';
import * as texts from './texts';

/** Names a step can say, and the ids behind them. */
export interface Names {
  readonly ingredients: readonly { readonly id: string; readonly name: string }[];
  readonly recipes: readonly { readonly id: string; readonly name: string }[];
  /** What parts from recipes: `picked mutton` of the recipe with that id. */
  readonly parts?: readonly { readonly id: string; readonly part: string }[] | undefined;
  readonly vessels: readonly { readonly id: string; readonly name: string }[];
  readonly hobs: readonly { readonly id: string; readonly name: string }[];
  /** The recipe whose sheet is being written: a word of it never means the recipe itself. */
  readonly self?: string | undefined;
  /** Names of the house's own measures: single words. */
  readonly measures?: readonly { readonly name: string }[] | undefined;
  /** What the house calls its own strainers, in small letters. */
  readonly strainers?: readonly string[] | undefined;
}

type Named = { readonly id: string; readonly name: string };

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** Words that are said with a thing and change nothing of which one it is. */
const SAID_BESIDE = new Set(
  [
    'the a an some of cold hot warm boiling fresh freshly chopped grated diced sliced minced peeled finely roughly coarsely thinly',
    'large small medium big crushed melted softened washed trimmed rinsed good ripe more',
  ].flatMap((line) => line.split(' ')),
);

const LEAVES: Readonly<Record<string, string>> = {
  leaves: 'leaf',
  loaves: 'loaf',
  halves: 'half',
  knives: 'knife',
};

/** A word as one of it is called: onions, tomatoes, berries, leaves. */
export function singular(word: string): string {
  const known = LEAVES[word];
  if (known !== undefined) return known;
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && /(?:o|x|ch|sh|ss)es$/.test(word)) return word.slice(0, -2);
  return word.length > 3 && /[^su]s$/.test(word) ? word.slice(0, -1) : word;
}

/** What some words say, whatever their order and number. */
const sayingOf = (some: readonly string[]): string => [...new Set(some.map(singular))].sort().join(' ');

/** What a name says. Every word of it counts: “Hot-smoked trout” is not any smoked trout. */
const gist = (name: string): string => sayingOf(words(name));

/** What was typed says, as it is and without what changes nothing: “cold butter”, then “butter”. */
function gistsTyped(text: string): string[] {
  const all = words(text);
  const both = [sayingOf(all), sayingOf(all.filter((w) => !SAID_BESIDE.has(w)))];
  return [...new Set(both)].filter((g) => g !== '');
}

/** Of a thing with a comma in its name, what stands before it: “Onion” of “Onion, yellow”. */
const headOf = (name: string): string => name.split(',')[0] ?? name;

/** A list of things as it is looked through: by name, by what names say, and by what they say before a comma. */
class Index<T extends Named> {
  readonly exact = new Map<string, T>();
  private made: { readonly gists: readonly ReadonlyMap<string, readonly T[]>[] } | undefined;
  private said: readonly (readonly [T, readonly string[]])[] | undefined;

  constructor(private readonly things: readonly T[]) {
    for (const thing of things) {
      const name = thing.name.toLowerCase();
      if (!this.exact.has(name)) this.exact.set(name, thing);
    }
  }

  /** By what whole names say, and by what stands before a comma; made when first a name is not called exactly. */
  get gists(): readonly ReadonlyMap<string, readonly T[]>[] {
    if (this.made) return this.made.gists;
    const [whole, head] = [new Map<string, T[]>(), new Map<string, T[]>()];
    const put = (into: Map<string, T[]>, key: string, thing: T): void => {
      const there = into.get(key);
      if (there) there.push(thing);
      else into.set(key, [thing]);
    };
    for (const thing of this.things) {
      const all = gist(thing.name);
      put(whole, all, thing);
      put(head, thing.name.includes(',') ? gist(headOf(thing.name)) : all, thing);
    }
    this.made = { gists: [whole, head] };
    return this.made.gists;
  }

  get words(): readonly (readonly [T, readonly string[]])[] {
    return (this.said ??= this.things.map((t) => [t, words(t.name)] as const));
  }
}
const indexes = new WeakMap<object, Index<Named>>();

/** Made once for a list: a line is looked up in many stretches, and a kitchen has thousands of names. */
function indexOf<T extends Named>(things: readonly T[]): Index<T> {
  const known = indexes.get(things);
  if (known) return known as Index<T>;
  const made = new Index(things);
  indexes.set(things, made as unknown as Index<Named>);
  return made;
}

/** What becomes of a text that fits a name only roughly: it is asked; taken where only one fits; or left, as no name at all. */
type Roughly = 'asked' | 'taken' | 'left';

/**
 * The one thing a text means: the one that is called so; or, whatever the order, number and adjectives, the only one whose name
 * says the same, or whose name says it before a comma. What fits only roughly is asked with its candidates, never taken: a cook who
 * says onions is not to get peppers and onions in oil. A name in quotes is meant whole.
 * @param roughly a pan or a hob may be said by some of its words where only one has them: what goes in may not
 * @returns trouble `name-unclear` with the names it could be, `name-unknown`
 */
export function findNamed<T extends Named>(
  text: string,
  things: readonly T[],
  kind: string,
  roughly: Roughly = 'asked',
): Outcome<T> {
  const said = plain(text.trim());
  const index = indexOf(things);
  const exact = index.exact.get(said.toLowerCase());
  if (exact) return fine(exact);
  if (isQuoted(text)) return unknown(said, kind);
  for (const meant of gistsTyped(said))
    for (const gists of index.gists) {
      const same = onceEach(gists.get(meant) ?? []);
      if (same.length === 1) return fine(same[0] as T);
      if (same.length > 1) return unclear(said, same);
    }
  const typed = words(said)
    .map(singular)
    .filter((w) => !SAID_BESIDE.has(w));
  if (roughly === 'left' || typed.length === 0) return unknown(said, kind);
  const rough = onceEach(
    index.words.flatMap(([t, has]) => (typed.every((w) => has.some((n) => n.startsWith(w))) ? [t] : [])),
  );
  if (roughly === 'taken' && rough.length === 1) return fine(rough[0] as T);
  return rough.length > 0 ? unclear(said, rough) : unknown(said, kind);
}

function unknown(said: string, kind: string): { ok: false; trouble: Trouble } {
  const { trouble } = refuse('name-unknown', '', texts.noCalled(kind, said));
  return { ok: false, trouble: { ...trouble, about: said, unknown: { said, kind } } };
}

/** How many names are offered where several could be meant. */
const OFFERED = 4;

function unclear(said: string, could: readonly Named[]): { ok: false; trouble: Trouble } {
  // The shorter a name, the less it says beside what was said.
  const nearest = [...could]
    .sort((a, b) => a.name.length - b.name.length)
    .slice(0, OFFERED)
    .map((t) => t.name);
  const which =
    nearest.length === 1
      ? `is not quite ${nearest[0] ?? ''}: say it whole if that is meant`
      : `could be ${nearest.join(' or ')}: say which`;
  const { trouble } = refuse('name-unclear', '', texts.nameUnclear(said, which));
  return { ok: false, trouble: { ...trouble, about: said, instead: nearest } };
}

/** Two spellings of one thing are one thing. */
function onceEach<T extends Named>(things: readonly T[]): T[] {
  const seen = new Set<string>();
  return things.filter(({ id }) => !seen.has(id) && seen.add(id));
}

const LAST_BATCH = /^(?:the )?last batch of\s+(?:the )?(.+?)(?:,\s*at\s+(\d+(?:\.\d{1,4})?)\s+a litre)?$/i;
/** Behind a name: a count is of trimmed pieces, as older sheets meant it. */
const COUNTED = /,\s*counted trimmed$/i;
const STOCK_TRIM = /^(?:stock )?trim of\s+/i;

/**
 * What can go into a pot, by name: an ingredient, its stock trim, another recipe's product, or what a last batch left. A thing
 * that is called so is meant before anything is read into its words: there are ingredients called “Stock trim of leeks”.
 */
export function findMatter(
  text: string,
  names: Names,
  roughly: Exclude<Roughly, 'taken'> = 'asked',
): Outcome<Of> {
  const { all, others } = matterIn(names);
  const whole = indexOf(all).exact.get(plain(text.trim()).toLowerCase());
  if (whole && !mixed(text)) return fine(whole.of);
  if (COUNTED.test(text.trim())) {
    const found = findNamed(text.trim().replace(COUNTED, ''), names.ingredients, 'ingredient', roughly);
    return found.ok ? fine({ ingredient: found.value.id, counted: 'trimmed' }) : found;
  }
  const last = LAST_BATCH.exec(text.trim());
  if (last) return findLastBatch(last[1] ?? '', last[2], names);
  if (STOCK_TRIM.test(text)) {
    const found = findNamed(text.replace(STOCK_TRIM, ''), names.ingredients, 'ingredient', roughly);
    return found.ok ? fine({ stockTrimOf: found.value.id }) : found;
  }
  const part = findPart(text, names);
  if (part) return fine({ product: part.id, part: part.part });
  const found = findNamed(text, others, 'ingredient or recipe', roughly);
  return found.ok ? fine(found.value.of) : found;
}

type Matter = Named & { readonly of: Of };
const matters = new WeakMap<Names, { readonly all: readonly Matter[]; readonly others: readonly Matter[] }>();

/** Everything of a kitchen's names that can go into a pot; and without the recipe whose sheet is being written. */
function matterIn(names: Names) {
  const known = matters.get(names);
  if (known) return known;
  const all: Matter[] = [
    ...names.ingredients.map(({ id, name }) => ({ id, name, of: { ingredient: id } })),
    ...names.recipes.map(({ id, name }) => ({ id, name, of: { product: id } })),
  ];
  const others = names.self === undefined ? all : all.filter((x) => x.id !== names.self);
  const made = { all, others };
  matters.set(names, made);
  return made;
}

/** Whether only some of it stands in quotes: then the words around them are no part of a name. */
const mixed = (text: string): boolean => text !== plain(text) && !isQuoted(text);

/** A part is said with where it comes from, and then it is meant. */
const findPart = (text: string, names: Names): { id: string; part: string } | undefined =>
  names.parts?.find(({ id, part }) => {
    const recipe = names.recipes.find((r) => r.id === id)?.name ?? '';
    return plain(text.trim()).toLowerCase() === `${part} of ${recipe}`.toLowerCase();
  });

function findLastBatch(text: string, perLitre: string | undefined, names: Names): Outcome<Of> {
  const value = perLitre === undefined ? {} : { perLitre };
  const part = findPart(text, names);
  if (part) return fine({ lastBatchOf: part.id, part: part.part, ...value });
  const found = findNamed(text, names.recipes, 'recipe');
  return found.ok ? fine({ lastBatchOf: found.value.id, ...value }) : found;
}

/** A name as it is inside a sentence: “Venison bones” is said “venison bones”. Reading minds no case. */
export const inSentence = (name: string): string =>
  /^\p{Lu}\p{Ll}/u.test(name) ? `${name.charAt(0).toLowerCase()}${name.slice(1)}` : name;

/** How things are called inside a line. */
export interface Namer {
  matter(of: Of): string;
  ingredient(id: string): string;
  vessel(id: string): string;
  hob(id: string): string;
  /** The name under which something parts. */
  part(name: string): string;
}

/**
 * How a kitchen's things are called inside a line; an id in brackets where the name has gone.
 * @param inQuotes every name in quotes, for a line that would else be read as something other
 */
export function namerOf(names: Names, inQuotes: boolean): Namer {
  const said = (name: string): string => (inQuotes ? quoted(name) : inSentence(name));
  const whole = (name: string): string => (inQuotes ? quoted(name) : name);
  const find = (id: string, list: readonly Named[], how: (name: string) => string): string => {
    const found = list.find((x) => x.id === id);
    return found ? how(found.name) : `[${id}]`;
  };
  const ingredient = (id: string): string => find(id, names.ingredients, said);
  const made = (id: string, part: string | undefined): string =>
    `${part === undefined ? '' : `${whole(part)} of `}${find(id, names.recipes, said)}`;
  return {
    ingredient,
    vessel: (id) => find(id, names.vessels, whole),
    hob: (id) => find(id, names.hobs, whole),
    part: whole,
    matter(of) {
      if ('product' in of) return made(of.product, of.part);
      if ('lastBatchOf' in of)
        return `last batch of ${made(of.lastBatchOf, of.part)}${of.perLitre === undefined ? '' : `, at ${of.perLitre} a litre`}`;
      return 'stockTrimOf' in of
        ? `stock trim of ${ingredient(of.stockTrimOf)}`
        : `${ingredient(of.ingredient)}${of.counted === undefined ? '' : ', counted trimmed'}`;
    },
  };
}
