import { fine, refuse, type Outcome } from '../trouble';
import type { Of } from '../written';
import { isQuoted, plain, quoted } from './quotes';

/** Names a step can say, and the ids behind them. */
export interface Names {
  readonly ingredients: readonly { readonly id: string; readonly name: string }[];
  readonly recipes: readonly { readonly id: string; readonly name: string }[];
  /** What parts from recipes: `picked mutton` of the recipe with that id. */
  readonly parts?: readonly { readonly id: string; readonly part: string }[] | undefined;
  readonly vessels: readonly { readonly id: string; readonly name: string }[];
  readonly hobs: readonly { readonly id: string; readonly name: string }[];
  /** Names of the house's own measures: single words. */
  readonly measures?: readonly { readonly name: string }[] | undefined;
}

type Named = { readonly id: string; readonly name: string };

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/**
 * The one thing a text means: its whole name, or else the only one all of whose typed words begin
 * some word of its name. Two that fit equally are asked, not guessed. A name in quotes is meant whole.
 */
export function findNamed<T extends Named>(text: string, things: readonly T[], kind: string): Outcome<T> {
  const said = plain(text.trim());
  const exact = things.find((t) => t.name.toLowerCase() === said.toLowerCase());
  if (exact) return fine(exact);
  const typed = isQuoted(text) ? [] : words(said);
  const fits =
    typed.length === 0
      ? []
      : onceEach(things.filter((t) => typed.every((w) => words(t.name).some((n) => n.startsWith(w)))));
  const [only, second] = fits;
  if (only && !second) return fine(only);
  if (only)
    return refuse(
      'name-unclear',
      '',
      `“${said}” could be ${fits
        .slice(0, 4)
        .map((t) => t.name)
        .join(' or ')}: say which.`,
    );
  return refuse('name-unknown', '', `There is no ${kind} called “${said}”.`);
}

/** Two spellings of one thing are one thing. */
const onceEach = <T extends Named>(things: readonly T[]): T[] =>
  things.filter((t, i) => things.findIndex((other) => other.id === t.id) === i);

const LAST_BATCH = /^(?:the )?last batch of\s+(?:the )?(.+?)(?:,\s*at\s+(\d+(?:\.\d{1,4})?)\s+a litre)?$/i;
/** Behind a name: a count is of trimmed pieces, as older sheets meant it. */
const COUNTED = /,\s*counted trimmed$/i;
const STOCK_TRIM = /^(?:stock )?trim of\s+/i;

/**
 * What can go into a pot, by name: an ingredient, its stock trim, another recipe's product, or what a last batch left. A thing
 * that is called so is meant before anything is read into its words: there are ingredients called “Stock trim of leeks”.
 */
export function findMatter(text: string, names: Names): Outcome<Of> {
  const all = [
    ...names.ingredients.map((x) => ({ ...x, of: { ingredient: x.id } as Of })),
    ...names.recipes.map((x) => ({ ...x, of: { product: x.id } as Of })),
  ];
  const whole = all.find((x) => x.name.toLowerCase() === plain(text.trim()).toLowerCase());
  if (whole && !mixed(text)) return fine(whole.of);
  if (COUNTED.test(text.trim())) {
    const found = findNamed(text.trim().replace(COUNTED, ''), names.ingredients, 'ingredient');
    return found.ok ? fine({ ingredient: found.value.id, counted: 'trimmed' }) : found;
  }
  const last = LAST_BATCH.exec(text.trim());
  if (last) return findLastBatch(last[1] ?? '', last[2], names);
  if (STOCK_TRIM.test(text)) {
    const found = findNamed(text.replace(STOCK_TRIM, ''), names.ingredients, 'ingredient');
    return found.ok ? fine({ stockTrimOf: found.value.id }) : found;
  }
  const part = findPart(text, names);
  if (part) return fine({ product: part.id, part: part.part });
  const found = findNamed(text, all, 'ingredient or recipe');
  return found.ok ? fine(found.value.of) : found;
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

/** A name as it stands inside a sentence: “Venison bones” is said “venison bones”. Reading minds no case. */
const inSentence = (name: string): string =>
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
