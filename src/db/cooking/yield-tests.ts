import { z } from 'zod';
import type { WrittenTest } from '@/core/bench';
import { FATES, SEASONS, TEST_KINDS } from '@/core/learning';
import { readAmountOf, type Manner } from '@/core/quantity';
import { figure, groupBy, id, instant, nullable, type Reader } from '../mapping/rows';
import { insertAll, many, run, type Sql, insertRows } from '../sql';

/** What a weight came to; null while it cannot be read. */
function gramsOf(typed: string | undefined, manner: Manner): string | null {
  const read = typed ? readAmountOf(['mass'], typed, manner) : undefined;
  return read?.ok ? read.value.value.toFixed(6) : null;
}

type Values = (string | number | Date | null)[];

/** Columns of a test's own row, and their values in the same order. */
const COLUMNS = [
  'ingredient_id',
  'kind',
  'state',
  'effective_on',
  'recorded_at',
  'person_id',
  'purchase_id',
  'supplier_id',
  'season',
  'note',
  'start_typed',
  'start_g',
  'into_water_typed',
  'time_typed',
  'second_how',
  'second_start_typed',
  'second_start_g',
  'second_time_typed',
  'left_out_at',
  'left_out_by',
  'left_out_why',
] as const;

const valuesOf = (t: WrittenTest, manner: Manner): Values => [
  t.ingredient,
  t.kind,
  t.state,
  t.on,
  new Date(t.recordedAt),
  t.by ?? null,
  t.purchase ?? null,
  t.supplier ?? null,
  t.season,
  t.note ?? null,
  t.start,
  gramsOf(t.start, manner),
  t.intoWater ?? null,
  t.time ?? null,
  t.second?.how ?? null,
  t.second?.start ?? null,
  gramsOf(t.second?.start, manner),
  t.second?.time ?? null,
  t.leftOut ? new Date(t.leftOut.at) : null,
  t.leftOut?.by ?? null,
  t.leftOut?.why ?? null,
];

/** Writes tests that are not there yet, with their parts. */
export async function insertTests(
  sql: Sql,
  kitchenId: string,
  tests: readonly WrittenTest[],
  manner: Manner,
): Promise<void> {
  await insertAll(
    sql,
    'yield_test',
    ['kitchen_id', 'id', ...COLUMNS],
    tests.map((t) => [kitchenId, t.id, ...valuesOf(t, manner)]),
  );
  await insertParts(sql, kitchenId, tests, manner);
}

/** Writes a test over that is there and whose version has been taken. */
export async function writeTest(
  sql: Sql,
  kitchenId: string,
  test: WrittenTest,
  manner: Manner,
): Promise<void> {
  await run(
    sql,
    `UPDATE yield_test SET ${COLUMNS.map((c) => `${c} = ?`).join(', ')} WHERE kitchen_id = ? AND id = ?`,
    [...valuesOf(test, manner), kitchenId, test.id],
  );
  await run(sql, 'DELETE FROM yield_test_part WHERE kitchen_id = ? AND test_id = ?', [kitchenId, test.id]);
  await insertParts(sql, kitchenId, [test], manner);
}

async function insertParts(
  sql: Sql,
  kitchenId: string,
  tests: readonly WrittenTest[],
  manner: Manner,
): Promise<void> {
  const passes = tests.flatMap((t) => [
    { test: t.id, pass: 1, parts: t.parts },
    { test: t.id, pass: 2, parts: t.second?.parts ?? [] },
  ]);
  await insertRows(
    sql,
    'yield_test_part',
    passes.flatMap(({ test, pass, parts }) =>
      parts.map((p, i) => ({
        kitchen_id: kitchenId,
        test_id: test,
        pass,
        position: i,
        name: p.name,
        fate: p.fate,
        product_id: p.product ?? null,
        amount_typed: p.amount,
        g: gramsOf(p.amount, manner),
      })),
    ),
  );
}

/** An open test that nobody wants any more (`at`), or that is wanted again after all (null). */
export const dropTest = (sql: Sql, kitchenId: string, testId: string, at: Date | null): Promise<number> =>
  run(sql, 'UPDATE yield_test SET archived_at = ? WHERE kitchen_id = ? AND id = ?', [at, kitchenId, testId]);

/** Says that a test does not count, or that it does again. */
export const leaveOut = (
  sql: Sql,
  kitchenId: string,
  testId: string,
  leftOut: { readonly at: Date; readonly by: string; readonly why: string } | null,
): Promise<number> =>
  run(
    sql,
    'UPDATE yield_test SET left_out_at = ?, left_out_by = ?, left_out_why = ? WHERE kitchen_id = ? AND id = ?',
    [leftOut?.at ?? null, leftOut?.by ?? null, leftOut?.why ?? null, kitchenId, testId],
  );

const Row = z.object({
  id,
  ingredient: id,
  kind: z.enum(TEST_KINDS),
  state: z.enum(['open', 'kept']),
  on: z.string(),
  recordedAt: instant,
  by: nullable(id),
  purchase: nullable(id),
  supplier: nullable(id),
  season: z.enum(SEASONS),
  note: nullable(z.string()),
  start: z.string(),
  intoWater: nullable(z.string()),
  time: nullable(z.string()),
  second_how: nullable(z.string()),
  second_start: nullable(z.string()),
  second_time: nullable(z.string()),
  left_out_at: nullable(instant),
  left_out_by: nullable(id),
  left_out_why: nullable(z.string()),
  version: figure,
});
const Part = z.object({
  test_id: id,
  pass: figure,
  name: z.string(),
  fate: z.enum(FATES),
  product: nullable(id),
  amount: z.string(),
});

/** Every test of a kitchen, oldest first, with the versions they were read at. */
export async function readTests(
  of: Reader,
): Promise<{ tests: WrittenTest[]; versions: ReadonlyMap<string, number> }> {
  const rows = await of(
    Row,
    'SELECT id, ingredient_id AS ingredient, kind, state, effective_on AS `on`, recorded_at AS recordedAt, person_id AS `by`, purchase_id AS purchase, supplier_id AS supplier, season, note, start_typed AS start, into_water_typed AS intoWater, time_typed AS time, second_how, second_start_typed AS second_start, second_time_typed AS second_time, left_out_at, left_out_by, left_out_why, version FROM yield_test WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY effective_on, recorded_at, id',
  );
  const parts = await of(
    Part,
    'SELECT test_id, pass, name, fate, product_id AS product, amount_typed AS amount FROM yield_test_part WHERE kitchen_id = ? ORDER BY test_id, pass, position',
  );
  const partsOf = groupBy(parts, (p) => `${p.test_id} ${p.pass}`);
  const listed = (testId: string, pass: number) =>
    (partsOf.get(`${testId} ${pass}`) ?? []).map(({ test_id: _t, pass: _p, ...part }) => part);
  const tests = rows.map(
    ({
      version: _v,
      second_how,
      second_start,
      second_time,
      left_out_at,
      left_out_by,
      left_out_why,
      ...t
    }) => ({
      ...t,
      parts: listed(t.id, 1),
      ...(second_how === undefined
        ? {}
        : {
            second: {
              how: second_how,
              start: second_start ?? '',
              time: second_time,
              parts: listed(t.id, 2),
            },
          }),
      ...(left_out_at === undefined
        ? {}
        : { leftOut: { at: left_out_at, by: left_out_by, why: left_out_why ?? '' } }),
    }),
  );
  return { tests, versions: new Map(rows.map((r) => [r.id, r.version])) };
}

/** Deliveries of an ingredient that a test can be of, newest first. */
export const testDeliveries = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
  most: number,
): Promise<
  {
    purchase: string;
    on: string;
    number: string;
    supplier: string;
    supplierName: string;
    g: number;
    money: number;
  }[]
> =>
  many(
    sql,
    z.object({
      purchase: id,
      on: z.string(),
      number: z.string(),
      supplier: id,
      supplierName: z.string(),
      g: figure,
      money: figure,
    }),
    `SELECT p.id AS purchase, p.effective_on AS \`on\`, p.number, s.id AS supplier, s.name AS supplierName,
            SUM(l.accepted_g) AS g, SUM(l.money) AS money
       FROM purchase_line l
       JOIN purchase p ON p.kitchen_id = l.kitchen_id AND p.id = l.purchase_id
       JOIN supplier s ON s.kitchen_id = p.kitchen_id AND s.id = p.supplier_id
       JOIN supplier_article a ON a.kitchen_id = l.kitchen_id AND a.id = l.article_id
       JOIN ingredient i ON i.kitchen_id = a.kitchen_id AND i.id = a.ingredient_id
      WHERE l.kitchen_id = ? AND (i.id = ? OR i.merged_into = ?) AND p.kind = 'invoice' AND p.withdrawn_at IS NULL AND l.accepted_g > 0
      GROUP BY p.id, p.effective_on, p.number, s.id, s.name
      ORDER BY p.effective_on DESC, p.id DESC LIMIT ${most}`,
    [kitchenId, ingredientId, ingredientId],
  );
