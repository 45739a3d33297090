import { z } from 'zod';
import type { ListColumns } from '@/core/price-list';
import { LIST_COLUMNS } from '../mapping/json-columns';
import { figure, id, instant, nullable } from '../mapping/rows';
import { many, maybeOne, one, run, type Sql } from '../sql';

export const IMPORT_STATES = ['columns', 'preview', 'accepted', 'undone', 'dropped'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

export interface PriceImport {
  readonly id: string;
  readonly supplier: string;
  readonly supplierName: string;
  readonly fileName: string;
  readonly startedAt: string;
  readonly state: ImportState;
  readonly on: string | undefined;
  readonly columns: ListColumns | undefined;
  readonly oddShare: number;
  readonly acceptedAt: string | undefined;
  readonly version: number;
}

const HEAD = `i.id, i.supplier_id AS supplier, s.name AS supplierName, i.file_name AS fileName, i.started_at AS startedAt,
  i.state, i.effective_on AS \`on\`, i.list_columns AS columns, i.odd_share AS oddShare, i.accepted_at AS acceptedAt, i.version`;
const head = z.object({
  id,
  supplier: id,
  supplierName: z.string(),
  fileName: z.string(),
  startedAt: instant,
  state: z.enum(IMPORT_STATES),
  on: nullable(z.string()),
  columns: nullable(LIST_COLUMNS.read),
  oddShare: figure,
  acceptedAt: nullable(instant),
  version: figure,
});
const FROM = 'price_import i JOIN supplier s ON s.kitchen_id = i.kitchen_id AND s.id = i.supplier_id';

export const importsOf = (sql: Sql, kitchenId: string): Promise<PriceImport[]> =>
  many(
    sql,
    head,
    `SELECT ${HEAD} FROM ${FROM} WHERE i.kitchen_id = ? AND i.state <> 'dropped' ORDER BY i.started_at DESC, i.id DESC LIMIT 30`,
    [kitchenId],
  );

export const importById = (sql: Sql, kitchenId: string, importId: string): Promise<PriceImport | undefined> =>
  maybeOne(sql, head, `SELECT ${HEAD} FROM ${FROM} WHERE i.kitchen_id = ? AND i.id = ?`, [
    kitchenId,
    importId,
  ]);

export async function importBody(sql: Sql, kitchenId: string, importId: string): Promise<Buffer> {
  const row = await one(
    sql,
    z.object({ body: z.instanceof(Buffer) }),
    'SELECT body FROM price_import WHERE kitchen_id = ? AND id = ?',
    [kitchenId, importId],
  );
  return row.body;
}

/** Keeps a list's file, so that its columns can be chosen and chosen again. */
export async function insertImport(
  sql: Sql,
  kitchenId: string,
  i: {
    id: string;
    supplier: string;
    fileName: string;
    sha256: string;
    body: Buffer;
    at: Date;
    personId: string;
    oddShare: number;
  },
): Promise<void> {
  await sql.query(
    "INSERT INTO price_import (kitchen_id, id, supplier_id, file_name, file_sha256, body, started_at, person_id, state, odd_share) VALUES (?,?,?,?,?,?,?,?,'columns',?)",
    [kitchenId, i.id, i.supplier, i.fileName, i.sha256, i.body, i.at, i.personId, i.oddShare],
  );
}

/** A list with the very same content that was accepted and still stands. */
export const acceptedTwin = (
  sql: Sql,
  kitchenId: string,
  supplier: string,
  sha256: string,
): Promise<{ id: string; acceptedAt: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ id, acceptedAt: instant }),
    "SELECT id, accepted_at AS acceptedAt FROM price_import WHERE kitchen_id = ? AND supplier_id = ? AND file_sha256 = ? AND state = 'accepted' ORDER BY accepted_at DESC LIMIT 1",
    [kitchenId, supplier, sha256],
  );

export async function setImport(
  sql: Sql,
  kitchenId: string,
  importId: string,
  part: {
    state?: ImportState;
    on?: string;
    columns?: ListColumns;
    oddShare?: number;
    acceptedAt?: Date;
    undoneAt?: Date;
  },
): Promise<void> {
  const sets: [string, string | number | Date][] = [];
  if (part.state) sets.push(['state = ?', part.state]);
  if (part.on) sets.push(['effective_on = ?', part.on]);
  if (part.columns) sets.push(['list_columns = ?', LIST_COLUMNS.write(part.columns)]);
  if (part.oddShare !== undefined) sets.push(['odd_share = ?', part.oddShare]);
  if (part.acceptedAt) sets.push(['accepted_at = ?', part.acceptedAt]);
  if (part.undoneAt) sets.push(['undone_at = ?', part.undoneAt]);
  await run(
    sql,
    `UPDATE price_import SET version = version + 1${sets.map(([set]) => `, ${set}`).join('')} WHERE kitchen_id = ? AND id = ?`,
    [...sets.map(([, v]) => v), kitchenId, importId],
  );
}

export async function rememberColumns(
  sql: Sql,
  kitchenId: string,
  supplier: string,
  columns: ListColumns,
): Promise<void> {
  await run(
    sql,
    'UPDATE supplier SET list_columns = ?, version = version + 1 WHERE kitchen_id = ? AND id = ?',
    [LIST_COLUMNS.write(columns), kitchenId, supplier],
  );
}
