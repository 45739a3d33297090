import equal from 'fast-deep-equal/es6/index.js';
import type { Shelf } from '../verbs';

type Found = ReturnType<Shelf['product']>;

/** One look at the shelf, and what stood there: what something that was looked up depends on. */
export type Dependency =
  | { readonly at: 'stuff' | 'vessel' | 'hob'; readonly id: string; readonly found: unknown }
  | {
      readonly at: 'product' | 'lastBatch';
      readonly id: string;
      readonly part: string | undefined;
      readonly found: Found;
    };

/** The same shelf, with every look at it noted in order. */
export function trackDependencies(shelf: Shelf): {
  readonly shelf: Shelf;
  readonly looks: readonly Dependency[];
} {
  const looks: Dependency[] = [];
  const noted =
    <T>(at: 'stuff' | 'vessel' | 'hob', look: (id: string) => T) =>
    (id: string): T => {
      const found = look(id);
      looks.push({ at, id, found });
      return found;
    };
  const made =
    (at: 'product' | 'lastBatch', look: (id: string, part?: string) => Found) =>
    (id: string, part?: string): Found => {
      const found = look(id, part);
      looks.push({ at, id, part, found });
      return found;
    };
  return {
    looks,
    shelf: {
      manner: shelf.manner,
      stuff: noted('stuff', (id) => shelf.stuff(id)),
      vessel: noted('vessel', (id) => shelf.vessel(id)),
      hob: noted('hob', (id) => shelf.hob(id)),
      product: made('product', (id, part) => shelf.product(id, part)),
      lastBatch: made('lastBatch', (id, part) => shelf.lastBatch(id, part)),
    },
  };
}

const sameProduct = (a: Found, b: Found): boolean =>
  a.ok && b.ok ? a.value.product === b.value.product && a.value.name === b.value.name : equal(a, b);

/** Whether everything that was looked at still stands there: the very same things, not only such as look alike. */
export const areDependenciesSame = (looks: readonly Dependency[], shelf: Shelf): boolean =>
  looks.every((look) =>
    look.at === 'product' || look.at === 'lastBatch'
      ? sameProduct(look.found, shelf[look.at](look.id, look.part))
      : look.found === shelf[look.at](look.id),
  );
