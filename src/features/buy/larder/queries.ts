import 'server-only';
import { isGuess } from '@/core/prices';
import type { Basis } from '@/core/kitchen-file';
import type { HouseMeasure } from '@/core/quantity';
import { referenceLarder } from '@/core/reference';
import { kitchenVersion, mergesOf } from '@/db/larder';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';

/** One thing of the larder: the kitchen's own, or a starting point it could take. */
export interface LarderRow {
  readonly id: string;
  readonly name: string;
  /** What else it is found by. */
  readonly words: string;
  readonly own: boolean;
  readonly version?: number | undefined;
  /** For an own one that was taken: the reference's name. */
  readonly from?: string | undefined;
  readonly usable: string;
  readonly estimate: boolean;
  readonly role: 'liquid' | 'piece';
  readonly confidence?: string | undefined;
  readonly carries: string;
  readonly basis?: string | undefined;
  /** Whether a reference is in the kitchen already. */
  readonly taken: boolean;
}

export interface LarderPage {
  readonly rows: readonly LarderRow[];
  readonly merges: readonly {
    readonly id: string;
    readonly version: number;
    readonly name: string;
    readonly into: string;
  }[];
  readonly measures: readonly (HouseMeasure & { readonly id: string })[];
  readonly mayEdit: boolean;
  /** Which price counts where an ingredient does not say otherwise. */
  readonly basis: Basis;
  readonly kitchenVersion: number;
}

export async function larderPage(who: Worker): Promise<LarderPage> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const reference = referenceLarder();
  const taken = new Set(costing.state.ingredients.map((i) => i.reference));
  const own = [...costing.supplies.values()].map((s): LarderRow => ({
    id: s.ingredient.id,
    name: s.ingredient.name,
    words: costing.state.articles
      .filter((a) => a.ingredient === s.ingredient.id)
      .map((a) => a.name)
      .join(' '),
    own: true,
    version: versions.ingredients.get(s.ingredient.id),
    from: s.ingredient.reference ? reference.get(s.ingredient.reference)?.name : undefined,
    usable: `${Number((s.usable * 100).toFixed(1))} %${s.yieldRange && s.yieldSource === 'estimate' && s.yieldRange[0] !== s.yieldRange[1] ? `, ${s.yieldRange[0]}–${s.yieldRange[1]}` : ''}`,
    estimate: isGuess(s),
    role: s.ingredient.role,
    carries: s.ingredient.allergens.join(', '),
    taken: true,
  }));
  const starting = [...reference.values()].map((r): LarderRow => ({
    id: r.id,
    name: r.name,
    words: r.group.replaceAll('-', ' '),
    own: false,
    usable: `${r.usable.pct} %${r.usable.low === r.usable.high ? '' : `, ${r.usable.low}–${r.usable.high}`}`,
    estimate: r.usable.pct < 100,
    role: r.role,
    confidence: r.confidence,
    carries: r.allergens.join(', '),
    basis: r.basis,
    taken: taken.has(r.id),
  }));
  return {
    rows: [...own.sort((a, b) => a.name.localeCompare(b.name)), ...starting],
    merges: await mergesOf(database(), who.kitchenId),
    measures: costing.state.measures,
    mayEdit: may(who.role, 'manager'),
    basis: costing.state.kitchen.priceBasis,
    kitchenVersion: await kitchenVersion(database(), who.kitchenId),
  };
}
