/**
 * What is left of a name when everything that people do not tell names apart by is taken away: capitals, accents, ligatures,
 * the width of letters, and how many spaces stand where. Two names with one key are one name: *Zoé* is *zoe*, *Jus  gras* is
 * *jus gras*.
 *
 * The database compares what people write in the same sense (`utf8mb4_unicode_ci`). Where it has the last word, on who works
 * here, it is asked (`db/people.ts`): no two tables of letters agree on all of them.
 */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[æǽ]/g, 'ae')
    .replace(/œ/g, 'oe')
    .replace(/[øð]/g, (letter) => (letter === 'ø' ? 'o' : 'd'))
    .replace(/\s+/gu, ' ')
    .trim();

/** Whether two names are one. */
export const isSameName = (a: string, b: string): boolean => nameKey(a) === nameKey(b);
