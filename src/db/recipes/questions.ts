import { z } from 'zod';
import type { WrittenQuestion } from '@/core/kitchen-file';
import { ASKS, ANSWER_COLUMN } from '../mapping/json-columns';
import { figure, id } from '../mapping/rows';
import { many, type Sql } from '../sql';

export type QuestionRow = WrittenQuestion & { readonly version: number };

/** Kept questions of a kitchen, without those that were put away. */
export async function readQuestionRows(sql: Sql, kitchenId: string): Promise<QuestionRow[]> {
  const rows = await many(
    sql,
    z.object({ id, name: z.string(), asks: ASKS.read, told: ANSWER_COLUMN.read.nullable(), version: figure }),
    'SELECT id, name, asks, told, version FROM question WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    [kitchenId],
  );
  return rows.map(({ asks, told, ...row }) => ({ ...row, ...asks, ...(told ? { told } : {}) }));
}

/** Tells whether a kitchen's questions are what they were: another number where one was kept, looked at or put away since. */
export async function questionsStand(sql: Sql, kitchenId: string): Promise<number> {
  const [row] = await many(
    sql,
    z.object({ stand: figure }),
    'SELECT COALESCE(SUM(version), 0) AS stand FROM question WHERE kitchen_id = ?',
    [kitchenId],
  );
  return row?.stand ?? 0;
}

export const readQuestions = async (sql: Sql, kitchenId: string): Promise<WrittenQuestion[]> =>
  (await readQuestionRows(sql, kitchenId)).map(({ version: _v, ...question }) => question);
