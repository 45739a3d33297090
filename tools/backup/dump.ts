import type { BackupPart, BackupRow } from '@/db/kitchen/backup-rows';

/**
 * Backups of the first version were dumps of a database: SQL. Of such a file only the names of columns and the values of INSERT
 * statements are read; nothing in it is ever run.
 */

/** Thrown where a statement of a dump is none that our own backups have written. */
export class DumpError extends Error {}

const TABLE = /^CREATE TABLE `(\w+)` \($/;
const COLUMN = /^ {2}`(\w+)` (.*)$/;
const INSERT = /^INSERT INTO `(\w+)` VALUES\s*/;
/** A value at this place: NULL, a number, bytes in hex, or text with its escapes. */
const VALUE =
  /NULL|0x(?<hex>[0-9A-Fa-f]*)|(?<figure>-?\d[\d.eE+-]*)|(?:_binary )?'(?<text>(?:[^'\\]|\\.|'')*)'/sy;
const ESCAPES: Readonly<Record<string, string>> = {
  n: '\n',
  r: '\r',
  t: '\t',
  0: '\0',
  Z: '\u001a',
  b: '\b',
};

const unescaped = (text: string): string =>
  text.replace(/\\(.)|''/gs, (_, escaped: string | undefined) =>
    escaped === undefined ? "'" : (ESCAPES[escaped] ?? escaped),
  );

/** The rows of one INSERT statement, from where its values begin. */
function* rowsOf(statement: string, from: number): Generator<BackupRow> {
  let at = from;
  const expect = (letter: string): boolean => {
    if (statement[at] !== letter) return false;
    at += 1;
    return true;
  };
  const odd = (): DumpError =>
    new DumpError(`A statement cannot be read at "${statement.slice(at, at + 40)}".`);
  do {
    while (/\s/.test(statement[at] ?? '')) at += 1;
    if (!expect('(')) throw odd();
    const row: BackupRow = [];
    do {
      VALUE.lastIndex = at;
      const groups = VALUE.exec(statement)?.groups;
      if (!groups) throw odd();
      at = VALUE.lastIndex;
      const { hex, figure, text } = groups;
      row.push(
        hex !== undefined
          ? Buffer.from(hex, 'hex').toString('base64')
          : text !== undefined
            ? unescaped(text)
            : (figure ?? null),
      );
    } while (expect(','));
    if (!expect(')')) throw odd();
    yield row;
  } while (expect(','));
  if (statement.slice(at).trim() !== ';') throw odd();
}

/** What a dump says of each table as its CREATE TABLE lists it: names, and which the database fills in itself. */
interface DumpColumns {
  readonly names: string[];
  readonly generated: boolean[];
}

/**
 * The tables and rows of a dump's lines.
 * @throws DumpError where an INSERT cannot be read
 */
export async function* partsOfDump(lines: AsyncIterable<string>): AsyncGenerator<BackupPart> {
  const tables = new Map<string, DumpColumns>();
  let columns: DumpColumns | undefined;
  let statement = '';
  for await (const line of lines) {
    const create = TABLE.exec(line)?.[1];
    if (create !== undefined) tables.set(create, (columns = { names: [], generated: [] }));
    else if (line.startsWith(')')) columns = undefined;
    else if (columns) {
      const [, name, rest = ''] = COLUMN.exec(line) ?? [];
      if (name === undefined) continue;
      columns.names.push(name);
      columns.generated.push(rest.includes(' GENERATED ALWAYS AS '));
      continue;
    }
    if (statement === '' && !line.startsWith('INSERT INTO ')) continue;
    // No newline stands within a value: a line that ends with one ends its statement.
    statement += `${line}\n`;
    if (!line.endsWith(';')) continue;
    const [head, table] = INSERT.exec(statement) ?? [];
    const of = tables.get(table ?? '');
    if (head === undefined || table === undefined || !of)
      throw new DumpError(`A statement cannot be read: "${statement.slice(0, 40)}".`);
    yield { table, columns: of.names.filter((_, i) => !of.generated[i]) };
    for (const row of rowsOf(statement, head.length)) {
      if (row.length !== of.names.length)
        throw new DumpError(`A row of ${table} has ${row.length} values, its table ${of.names.length}.`);
      yield row.filter((_, i) => !of.generated[i]);
    }
    statement = '';
  }
}
