import type { KitchenFile } from '../kitchen-file';

/** Which of a list's columns is what, by the words at their heads. */
export type ListColumns = NonNullable<KitchenFile['suppliers'][number]['columns']>;
export type ColumnKey = 'code' | 'name' | 'pack' | 'unit' | 'price';
/** Places of the columns in a row; undefined where the list has none. */
export type Places = Readonly<Partial<Record<ColumnKey, number>>>;

/** Words that suppliers write over their columns, in the order in which they are looked for. */
const HEADS: readonly (readonly [ColumnKey, RegExp])[] = [
  [
    'price',
    /(?<!\p{L})(net price|price|prix|preis|net|rate|cost|tarif)(?!\p{L})|[€$£]|(?<!\p{L})eur(?!\p{L})/iu,
  ],
  [
    'code',
    /(?<!\p{L})(code|art\.|art|art(icle)? ?n[or]|item no|sku|réf(érence)?|ref|no|nr|number|bestell-?nr|artikel-?nr)(?!\p{L})/iu,
  ],
  [
    'pack',
    /(?<!\p{L})(packed|pack|size|contents?|weight|case|packaging|format|gebinde|inhalt|conditionnement)(?!\p{L})/iu,
  ],
  ['unit', /(?<!\p{L})(unit|uom|measure|per|einheit|unité)(?!\p{L})/iu],
  [
    'name',
    /(?<!\p{L})(description|name|article|product|item|goods|what|ware|artikel|bezeichnung|désignation|libellé)(?!\p{L})/iu,
  ],
];

const plain = (text: string): string => text.trim().toLowerCase();

/**
 * Guesses which column is what from the words at the heads; `remembered` columns that the list still
 * has are taken first.
 */
export function guessColumns(
  heads: readonly string[],
  remembered?: ListColumns,
): Partial<Record<ColumnKey, string>> {
  const found: Partial<Record<ColumnKey, string>> = {};
  const free = new Set(heads.map((_, i) => i));
  const take = (key: ColumnKey, i: number): void => {
    if (i < 0 || !free.has(i) || found[key] !== undefined) return;
    found[key] = heads[i] as string;
    free.delete(i);
  };
  if (remembered)
    for (const [key] of HEADS) {
      const word = remembered[key];
      if (word !== undefined)
        take(
          key,
          heads.findIndex((h) => plain(h) === plain(word)),
        );
    }
  for (const [key, words] of HEADS)
    take(
      key,
      heads.findIndex((h, i) => free.has(i) && words.test(h)),
    );
  return found;
}

/** Places of named columns among the heads. Columns the list does not have are left out. */
export function placesOf(heads: readonly string[], columns: Partial<Record<ColumnKey, string>>): Places {
  const places: Partial<Record<ColumnKey, number>> = {};
  for (const [key] of HEADS) {
    const word = columns[key];
    const at = word === undefined ? -1 : heads.findIndex((h) => plain(h) === plain(word));
    if (at >= 0) places[key] = at;
  }
  return places;
}
