/**
 * Where a gram that goes into a pot came from: what its price is looked up by. `usable:ID` and `trim:ID` of an ingredient,
 * `product:ID` of a recipe or `product:ID#PART` of what parts from it, `last:ID#PART@PRICE` of what its last batch left at a
 * fixed value a litre; `free` has no price. A part's name may hold any character: those that divide a key are written `%XX`.
 */
export type SupplyKey =
  `usable:${string}` | `trim:${string}` | `product:${string}` | `last:${string}` | 'free';

/** A key taken apart. `costPerLitre` is money as written, of 20 °C litres. */
export type Supplied =
  | { readonly is: 'free' }
  | { readonly is: 'usable' | 'trim'; readonly id: string }
  | { readonly is: 'product'; readonly id: string; readonly part?: string | undefined }
  | {
      readonly is: 'last';
      readonly id: string;
      readonly part?: string | undefined;
      readonly perLitre?: string | undefined;
    };

const written = (part: string): string =>
  part.replace(/[%#@/]/g, (c) => `%${c.charCodeAt(0).toString(16).toUpperCase()}`);
const read = (part: string): string =>
  part.replace(/%([0-9A-F]{2})/g, (_, hex: string) => String.fromCharCode(Number.parseInt(hex, 16)));

const made = (id: string, part: string | undefined): string =>
  part === undefined ? id : `${id}#${written(part)}`;

export const usableOf = (id: string): SupplyKey => `usable:${id}`;
export const trimOf = (id: string): SupplyKey => `trim:${id}`;
export const productOf = (id: string, part?: string): SupplyKey => `product:${made(id, part)}`;
export const lastOf = (id: string, part?: string, perLitre?: string): SupplyKey =>
  `last:${made(id, part)}${perLitre === undefined ? '' : `@${perLitre}`}`;

/** The key of the batch that a last batch was: what it costs while nobody has said otherwise. */
export const batchBefore = ({ id, part }: Extract<Supplied, { is: 'last' }>): SupplyKey =>
  productOf(id, part);

const FORM = /^(usable|trim|product|last):([^#@]+)(?:#([^@]*))?(?:@(.*))?$/;

/** Takes a key apart; undefined for what is none, such as a plate or a stage of a recipe. */
export function readSupply(key: string): Supplied | undefined {
  if (key === 'free') return { is: 'free' };
  const found = FORM.exec(key);
  if (!found) return undefined;
  const [, is, id = '', part, perLitre] = found;
  if (is === 'usable' || is === 'trim') return { is, id };
  const named = part === undefined ? {} : { part: read(part) };
  if (is === 'product') return { is, id, ...named };
  return { is: 'last', id, ...named, ...(perLitre === undefined ? {} : { perLitre }) };
}

/** Whether a supply is made, not bought: it carries layers of its own. */
export const isMade = (key: string): boolean => key.startsWith('product:') || key.startsWith('last:');

const keys = new WeakMap<object, readonly [SupplyKey, SupplyKey]>();

/** Keys of an ingredient's usable part and of its trim, made once for each: thousands of them are looked up again and again. */
export function keysOf(ingredient: { readonly id: string }): readonly [usable: SupplyKey, trim: SupplyKey] {
  const known = keys.get(ingredient) ?? ([usableOf(ingredient.id), trimOf(ingredient.id)] as const);
  keys.set(ingredient, known);
  return known;
}
