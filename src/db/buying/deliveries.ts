import { z } from 'zod';
import { id } from '../mapping/rows';
import { many, type Sql } from '../sql';

/** A day on which some of an ingredient came, and from whom. */
export interface Delivery {
  readonly ingredient: string;
  readonly supplier: string;
  readonly supplierName: string;
  readonly on: string;
}

/** Who some ingredients came from since a day, the oldest first: one row a day and supplier. */
export async function deliveriesOf(
  sql: Sql,
  kitchenId: string,
  ingredients: readonly string[],
  since: string,
): Promise<Delivery[]> {
  if (ingredients.length === 0) return [];
  return many(
    sql,
    z.object({ ingredient: id, supplier: id, supplierName: z.string(), on: z.string() }),
    `SELECT DISTINCT COALESCE(i.merged_into, i.id) AS ingredient, s.id AS supplier, s.name AS supplierName, p.effective_on AS \`on\`
       FROM ingredient i
       JOIN supplier_article a ON a.kitchen_id = i.kitchen_id AND a.ingredient_id = i.id
       JOIN purchase_line l ON l.kitchen_id = a.kitchen_id AND l.article_id = a.id
       JOIN purchase p ON p.kitchen_id = l.kitchen_id AND p.id = l.purchase_id
       JOIN supplier s ON s.kitchen_id = p.kitchen_id AND s.id = p.supplier_id
      WHERE i.kitchen_id = ? AND COALESCE(i.merged_into, i.id) IN (${ingredients.map(() => '?').join(', ')}) AND p.kind = 'invoice' AND p.withdrawn_at IS NULL
        AND p.effective_on >= ? AND l.accepted_g > 0
      ORDER BY p.effective_on, supplier`,
    [kitchenId, ...ingredients, since],
  );
}
