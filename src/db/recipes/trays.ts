import { z } from 'zod';
import type { WrittenTray } from '@/core/kitchen-file';
import { TRIALS } from '../mapping/json-columns';
import { figure, id } from '../mapping/rows';
import { many, type Sql } from '../sql';

export type TrayRow = WrittenTray & { readonly version: number };

/** Trays of a kitchen, without those that were put away. */
export const readTrayRows = (sql: Sql, kitchenId: string): Promise<TrayRow[]> =>
  many(
    sql,
    z.object({ id, name: z.string(), trials: TRIALS.read, version: figure }),
    'SELECT id, name, changes AS trials, version FROM tray WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    [kitchenId],
  );

export const readTrays = async (sql: Sql, kitchenId: string): Promise<WrittenTray[]> =>
  (await readTrayRows(sql, kitchenId)).map(({ version: _v, ...tray }) => tray);
