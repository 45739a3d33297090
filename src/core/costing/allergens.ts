import type { WrittenIngredient } from '../kitchen-file';
import { readSupply } from '../supply';
import type { KitchenCosting } from './kitchen';

/** What allergens something carries, each with the ingredients it comes from, and which of its ingredients nobody has read the label of. */
export interface AllergenSet {
  readonly allergens: ReadonlyMap<string, ReadonlySet<string>>;
  readonly unread: ReadonlySet<string>;
  /** Pots it is made from, or itself, with lines that nobody understands or that cannot be done: what those carry is not known. */
  readonly unsure: ReadonlySet<string>;
}

/** Whether it is known what an ingredient carries: read from its label, named, or stated by the starting point it was taken from. */
export const isRead = (i: Pick<WrittenIngredient, 'allergens' | 'allergensRead' | 'reference'>): boolean =>
  i.allergensRead ?? (i.allergens.length > 0 || i.reference !== undefined);

/** Being gathered: the same with sets that grow. */
interface Gathered {
  readonly allergens: Map<string, Set<string>>;
  readonly unread: Set<string>;
  readonly unsure: Set<string>;
}
const nothing = (): Gathered => ({ allergens: new Map(), unread: new Set(), unsure: new Set() });

/** Puts what one carries to what another does. @returns whether that was anything new */
function add(to: Gathered, from: AllergenSet): boolean {
  let grew = false;
  const put = <T>(set: Set<T>, one: T): void => {
    grew ||= !set.has(one);
    set.add(one);
  };
  for (const [allergen, sources] of from.allergens) {
    const known = to.allergens.get(allergen) ?? new Set<string>();
    to.allergens.set(allergen, known);
    for (const one of sources) put(known, one);
  }
  for (const one of from.unread) put(to.unread, one);
  for (const one of from.unsure) put(to.unsure, one);
  return grew;
}

/** What ingredients carry: what is written down of each, and what any label of an article of it adds. */
function ownCarries({ state }: KitchenCosting): ReadonlyMap<string, Gathered> {
  const own = new Map<string, Gathered>();
  for (const i of state.ingredients) {
    const is = nothing();
    for (const allergen of i.allergens) is.allergens.set(allergen, new Set([i.id]));
    if (!isRead(i)) is.unread.add(i.id);
    own.set(i.id, is);
  }
  for (const { ingredient, label } of state.articles)
    for (const allergen of label?.allergens ?? [])
      own.get(ingredient)?.allergens.set(allergen, new Set([ingredient]));
  return own;
}

const made = new WeakMap<KitchenCosting, ReadonlyMap<string, AllergenSet>>();

/**
 * What every pot and plate carries, by `product:ID` and `plate:ID`. Whatever goes into a pot counts for all that comes out of it:
 * nobody can say what a strainer leaves behind. What a last batch left carries on round after round, until nothing new comes.
 */
export function carriedIn(costing: KitchenCosting): ReadonlyMap<string, AllergenSet> {
  const known = made.get(costing);
  if (known) return known;
  const own = ownCarries(costing);
  const pots = new Map<string, Gathered>();
  const of = (supply: string): AllergenSet | undefined => {
    const from = readSupply(supply);
    if (!from || from.is === 'free') return undefined;
    return from.is === 'usable' || from.is === 'trim' ? own.get(from.id) : pots.get(from.id);
  };
  for (let grows = true; grows;) {
    grows = false;
    // Mothers before daughters: a second round is only needed where a last batch closes a ring.
    for (const id of costing.workings.parts.order) {
      const pot = pots.get(id) ?? nothing();
      const isNew = !pots.has(id);
      pots.set(id, pot);
      const run = costing.recipes.get(id)?.run;
      if (!run || run.unread.length > 0 || run.refused) pot.unsure.add(id);
      for (const { supply } of run?.inputs ?? []) {
        const from = of(supply);
        if (from && add(pot, from) && !isNew) grows = true;
      }
      if (isNew && costing.workings.parts.lastBatches.length > 0) grows = true;
    }
  }
  const all = new Map<string, AllergenSet>([...pots].map(([id, is]) => [`product:${id}`, is]));
  for (const [id, { lines }] of costing.plates) {
    const plate = nothing();
    for (const { resolved, written } of lines) {
      // What is not eaten carries nothing.
      if (written.packaging) continue;
      const from = resolved.ok ? of(resolved.value.what.supply) : undefined;
      if (from) add(plate, from);
    }
    all.set(`plate:${id}`, plate);
  }
  made.set(costing, all);
  return all;
}
