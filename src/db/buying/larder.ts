import { z } from 'zod';
import { figure, id } from '../mapping/rows';
import { many, maybeOne, one, type Sql } from '../sql';

/** The last count of an ingredient. */
export const lastCountOf = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
): Promise<{ on: string; amount: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ on: z.string(), amount: z.string() }),
    'SELECT effective_on AS `on`, typed AS amount FROM stock_count WHERE kitchen_id = ? AND ingredient_id = ? AND withdrawn_at IS NULL ORDER BY effective_on DESC, recorded_at DESC, id DESC LIMIT 1',
    [kitchenId, ingredientId],
  );

/** Other spellings that have been merged into an ingredient. */
export const spellingsOf = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
): Promise<{ id: string; name: string }[]> =>
  many(
    sql,
    z.object({ id, name: z.string() }),
    'SELECT id, name FROM ingredient WHERE kitchen_id = ? AND merged_into = ? ORDER BY name',
    [kitchenId, ingredientId],
  );

/** Every merge in a kitchen: what was merged, and into what. */
export const mergesOf = (
  sql: Sql,
  kitchenId: string,
): Promise<{ id: string; version: number; name: string; into: string }[]> =>
  many(
    sql,
    z.object({ id, version: z.number(), name: z.string(), into: z.string() }),
    'SELECT f.id, f.version, f.name, t.name AS `into` FROM ingredient f JOIN ingredient t ON t.kitchen_id = f.kitchen_id AND t.id = f.merged_into WHERE f.kitchen_id = ? ORDER BY f.name',
    [kitchenId],
  );

/** The version of the kitchen's own settings. */
export const kitchenVersion = async (sql: Sql, kitchenId: string): Promise<number> =>
  (await one(sql, z.object({ version: figure }), 'SELECT version FROM kitchen WHERE id = ?', [kitchenId]))
    .version;
