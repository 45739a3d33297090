import { z } from 'zod';
import { MIXES, type WrittenMenu } from '@/core/kitchen-file';
import { figure, id, nullableFigure } from '../mapping/rows';
import { insertRows, many, run, type Sql } from '../sql';

/** Menus of a kitchen with their plates, without those that were put away. */
export async function readMenus(sql: Sql, kitchenId: string): Promise<WrittenMenu[]> {
  const menus = await many(
    sql,
    z.object({ id, name: z.string(), mixIn: z.enum(MIXES) }),
    'SELECT id, name, mix_in AS mixIn FROM menu WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    [kitchenId],
  );
  const plates = await many(
    sql,
    z.object({ menu: id, plate: id, sold: nullableFigure }),
    'SELECT m.menu_id AS menu, m.plate_id AS plate, m.sold FROM menu_plate m JOIN plate p ON p.kitchen_id = m.kitchen_id AND p.id = m.plate_id WHERE m.kitchen_id = ? AND p.archived_at IS NULL ORDER BY m.menu_id, m.position',
    [kitchenId],
  );
  const on = new Map<string, WrittenMenu['plates']>(menus.map((m) => [m.id, []]));
  for (const { menu, ...plate } of plates) on.get(menu)?.push(plate);
  return menus.map((m) => ({ ...m, plates: on.get(m.id) ?? [] }));
}

/** Makes these the plates of a menu; those that are put away stay on it, and are there again when they are back. */
export async function writeMenuPlates(sql: Sql, kitchenId: string, menu: WrittenMenu): Promise<void> {
  await run(
    sql,
    'DELETE m FROM menu_plate m JOIN plate p ON p.kitchen_id = m.kitchen_id AND p.id = m.plate_id WHERE m.kitchen_id = ? AND m.menu_id = ? AND p.archived_at IS NULL',
    [kitchenId, menu.id],
  );
  await insertRows(
    sql,
    'menu_plate',
    menu.plates.map(({ plate, sold }, i) => ({
      kitchen_id: kitchenId,
      menu_id: menu.id,
      plate_id: plate,
      position: i,
      sold: sold ?? null,
    })),
  );
}

/** The version a menu stands at; undefined where there is none. */
export const menuVersions = async (sql: Sql, kitchenId: string): Promise<ReadonlyMap<string, number>> =>
  new Map(
    (
      await many(
        sql,
        z.object({ id, version: figure }),
        'SELECT id, version FROM menu WHERE kitchen_id = ?',
        [kitchenId],
      )
    ).map((m) => [m.id, m.version]),
  );
