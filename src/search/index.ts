import MiniSearch from 'minisearch';

interface Found {
  readonly id: string;
}

/** A search over things with names: any word, in any order, its beginning or a misspelling of it. */
export function searcher<
  T extends { readonly id: string; readonly name: string; readonly words?: string | undefined },
>(things: readonly T[]): (wanted: string) => T[] {
  const byId = new Map(things.map((t) => [t.id, t]));
  const index = new MiniSearch<T>({
    fields: ['name', 'words'],
    processTerm: (term) => plain(term),
    searchOptions: {
      prefix: true,
      // A short word is taken as it is; a longer one may have a letter or two wrong.
      fuzzy: (term) => (term.length < 4 ? 0 : term.length < 7 ? 1 : 2),
      combineWith: 'AND',
      boost: { name: 3 },
      weights: { prefix: 0.9, fuzzy: 0.3 },
    },
  });
  index.addAll(things as T[]);
  const beginnings = things.map(
    (t) => ` ${plain(`${t.name} ${t.words ?? ''}`).replace(/[^\p{L}\p{N}]+/gu, ' ')}`,
  );
  return (wanted) => {
    const typed = plain(wanted.trim());
    if (typed === '') return [...things];
    // One or two letters begin a word of half the larder: no need to weigh those against each other.
    if (typed.length < 3) return things.filter((_, i) => beginnings[i]?.includes(` ${typed}`));
    return (index.search(wanted) as unknown as Found[]).flatMap(({ id }) => byId.get(id) ?? []);
  };
}

/** Lower case, without accents: crème is found by creme. */
const plain = (term: string): string => term.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

/** Made once: comparing by locale again for each pair takes most of a large larder's time. */
const collator = new Intl.Collator('en');

/** The order of names in a list: as a reader looks them up. */
export const byName = (a: { readonly name: string }, b: { readonly name: string }): number =>
  collator.compare(a.name, b.name);
