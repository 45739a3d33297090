import type { Of } from '../kitchen-file';
import { fine, refuse, type Outcome } from '../trouble';

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
 * some word of its name. Two that fit equally are asked, not guessed.
 */
export function findNamed<T extends Named>(text: string, things: readonly T[], kind: string): Outcome<T> {
  const said = text.trim();
  const exact = things.find((t) => t.name.toLowerCase() === said.toLowerCase());
  if (exact) return fine(exact);
  const typed = words(said);
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
const STOCK_TRIM = /^(?:stock )?trim of\s+/i;

/** What can go into a pot, by name: an ingredient, its stock trim, another recipe's product, or what a last batch left. */
export function findMatter(text: string, names: Names): Outcome<Of> {
  const last = LAST_BATCH.exec(text.trim());
  if (last) return findLastBatch(last[1] ?? '', last[2], names);
  if (STOCK_TRIM.test(text)) {
    const found = findNamed(text.replace(STOCK_TRIM, ''), names.ingredients, 'ingredient');
    return found.ok ? fine({ stockTrimOf: found.value.id }) : found;
  }
  const all = [
    ...names.ingredients.map((x) => ({ ...x, of: { ingredient: x.id } as Of })),
    ...names.recipes.map((x) => ({ ...x, of: { product: x.id } as Of })),
  ];
  const part = findPart(text, names);
  if (part) return fine({ product: part.id, part: part.part });
  const found = findNamed(text, all, 'ingredient or recipe');
  return found.ok ? fine(found.value.of) : found;
}

/** A part is said with where it comes from, and then it is meant. */
const findPart = (text: string, names: Names): { id: string; part: string } | undefined =>
  names.parts?.find(({ id, part }) => {
    const recipe = names.recipes.find((r) => r.id === id)?.name ?? '';
    return text.trim().toLowerCase() === `${part} of ${recipe}`.toLowerCase();
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

/** The words for a thing inside a step; its id in brackets where the name has gone. */
export function nameMatter(of: Of, names: Names): string {
  const name = (id: string, list: readonly Named[]): string =>
    inSentence(list.find((x) => x.id === id)?.name ?? `[${id}]`);
  const made = (id: string, part: string | undefined): string =>
    `${part === undefined ? '' : `${part} of `}${name(id, names.recipes)}`;
  if ('product' in of) return made(of.product, of.part);
  if ('lastBatchOf' in of)
    return `last batch of ${made(of.lastBatchOf, of.part)}${of.perLitre === undefined ? '' : `, at ${of.perLitre} a litre`}`;
  if ('stockTrimOf' in of) return `stock trim of ${name(of.stockTrimOf, names.ingredients)}`;
  return name(of.ingredient, names.ingredients);
}
