import type { Stuff } from '../larder';
import type { Hob, Product, Vessel } from '../pot';
import type { Manner, Weighable } from '../quantity';
import type { Outcome } from '../trouble';

/** An ingredient as the pot reads it, with what is known of its measuring and counting. */
export interface OnShelf extends Omit<Weighable, 'name'> {
  readonly stuff: Stuff;
}

/** Where a written step's names and amounts are looked up. */
export interface Shelf {
  readonly manner: Manner;
  stuff(id: string): OnShelf | undefined;
  /** The product of another recipe; a refusal says why there is none. */
  product(id: string, part?: string): Outcome<{ name: string; product: Product }>;
  /** What the last batch of a recipe left. */
  lastBatch(id: string, part?: string): Outcome<{ name: string; product: Product }>;
  vessel(id: string): Vessel | undefined;
  hob(id: string): Hob | undefined;
}
