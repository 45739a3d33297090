import 'server-only';
import { createHash } from 'node:crypto';
import { shiftDay } from '@/core/kitchen-file';
import { guessColumns, listMark, placesOf, type ListColumns, type Verdict } from '@/core/price-list';
import type { DecimalMark } from '@/core/quantity';
import { refuse, type Outcome } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { newId } from '@/db/ids';
import {
  acceptedTwin,
  importBody,
  importById,
  insertImport,
  rememberColumns,
  setImport,
  type PriceImport,
} from '@/db/price-lists';
import { clearRows, insertRows, replaceRow, rowAt, setWanted } from '@/db/price-list-rows';
import { readKitchenForDay } from '@/db/read-kitchen';
import { dayIn, now } from '@/server/clock';
import { database } from '@/server/database';
import { costedKitchen, todayIn } from '@/server/kitchen';
import { worker } from '@/server/session';
import { edit, Refused, type Edited } from '@/server/write';
import { readTable, type ListTable } from './file';
import { breathe, jobOf, startJob } from './jobs';
import { benchFor, judgeFor, previewRows } from './preview';

export const USUAL_ODD_SHARE = 0.15;
const AT_A_TIME = 500;
const DAYS_AHEAD = 90;

const refused = (code: string, message: string): Refused => new Refused(refuse(code, '', message).trouble);

async function mustFind(kitchenId: string, importId: string): Promise<PriceImport> {
  const found = await importById(database(), kitchenId, importId);
  if (!found) throw refused('gone', 'This price list is no longer here.');
  return found;
}

/**
 * Takes a list's file in. Where its supplier's columns are known it is looked through at once, else they are
 * asked for. Nothing is written to the price book.
 */
export async function takeList(
  supplier: string,
  fileName: string,
  bytes: Buffer,
): Promise<Edited<{ id: string }>> {
  const table = await readTable(bytes);
  if (!table.ok) return { ok: false, trouble: table.trouble };
  const done = await edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const known = file.suppliers.find((s) => s.id === supplier);
    if (!known) throw refused('no-supplier', 'Whose list is it? Choose the supplier.');
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const twin = await acceptedTwin(sql, who.kitchenId, supplier, sha256);
    if (twin)
      throw refused(
        'list-twice',
        `This very list was accepted on ${twin.acceptedAt.slice(0, 10)}: there is nothing new in it. Undo that one to read it again.`,
      );
    const id = newId();
    await insertImport(sql, who.kitchenId, {
      id,
      supplier,
      fileName: fileName.slice(0, 200),
      sha256,
      body: bytes,
      at: now(),
      personId: who.person.id,
      oddShare: USUAL_ODD_SHARE,
    });
    return { id, columns: known.columns };
  });
  if (!done.ok) return done;
  const { id, columns } = done.value;
  const guess = columns && settled(table.value, columns);
  if (guess) await lookThrough(id, guess, undefined, USUAL_ODD_SHARE);
  return { ok: true, value: { id } };
}

/** Columns that can be used without asking: all that were remembered are there, and the mark is clear. */
function settled(table: ListTable, columns: ListColumns): ListColumns | undefined {
  const { mark, ...words } = columns;
  const places = placesOf(table.heads, words);
  const wanted = Object.values(words).filter((w) => w !== undefined).length;
  if (Object.keys(places).length < wanted) return undefined;
  const told = mark ?? markOf(table, places.price);
  return told ? { ...columns, mark: told } : undefined;
}

const markOf = (table: ListTable, price: number | undefined): DecimalMark | undefined =>
  price === undefined ? undefined : listMark(table.rows.map((r) => r[price] ?? ''));

/** What the columns' page shows: heads, some rows, and a guess. */
export interface ColumnsAsked {
  readonly heads: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly rows: number;
  readonly how: string;
  readonly guess: Partial<ListColumns>;
}

export async function columnsAsked(kitchenId: string, importId: string): Promise<Outcome<ColumnsAsked>> {
  const table = await readTable(await importBody(database(), kitchenId, importId));
  if (!table.ok) return table;
  const found = await mustFind(kitchenId, importId);
  const { file } = (await costedKitchen(kitchenId)).costing;
  const remembered = found.columns ?? file.suppliers.find((s) => s.id === found.supplier)?.columns;
  const guess = guessColumns(table.value.heads, remembered);
  const { price } = placesOf(table.value.heads, guess);
  return {
    ok: true,
    value: {
      heads: table.value.heads,
      sample: table.value.rows.slice(0, 6),
      rows: table.value.rows.length,
      how: table.value.how,
      guess: { ...guess, mark: markOf(table.value, price) ?? remembered?.mark },
    },
  };
}

/** Looks a list through with these columns: every row is judged, nothing is written to the price book. */
export async function lookThrough(
  importId: string,
  columns: ListColumns,
  on: string | undefined,
  oddShare: number,
): Promise<Edited> {
  const started = await edit('manager', async (sql, who) => {
    const found = await mustFind(who.kitchenId, importId);
    if (found.state !== 'columns' && found.state !== 'preview')
      throw refused('too-late', 'This list has been decided on already.');
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const today = dayIn(file.kitchen.zone, now());
    const day = on ?? found.on ?? today;
    const latest = shiftDay(today, DAYS_AHEAD);
    if (day > latest)
      throw refused(
        'too-far-ahead',
        `Prices from ${day} on: at most ${DAYS_AHEAD} days ahead, ${latest}, are taken.`,
      );
    if (!(oddShare > 0 && oddShare <= 10))
      throw refused(
        'share-out-of-range',
        `A share of ${Math.round(oddShare * 100)} % cannot be: above 0 and at most 1000 %.`,
      );
    const table = await readTable(await importBody(sql, who.kitchenId, importId));
    if (!table.ok) throw new Refused(table.trouble);
    const { mark, ...words } = columns;
    const places = placesOf(table.value.heads, words);
    if (places.price === undefined) throw refused('no-price-column', 'Which column is the price? Choose it.');
    if (places.code === undefined && places.name === undefined)
      throw refused(
        'no-name-column',
        'Which column says what it is: the code, the name, or both? Choose one.',
      );
    const told = mark ?? markOf(table.value, places.price);
    if (!told)
      throw refused(
        'mark-unclear',
        'Its prices do not tell whether the comma or the point stands before the cents: say which.',
      );
    await setImport(sql, who.kitchenId, importId, {
      state: 'columns',
      on: day,
      columns: { ...columns, mark: told },
      oddShare,
    });
    await rememberColumns(sql, who.kitchenId, found.supplier, columns);
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'list columns',
      subjectId: found.supplier,
      before: null,
      after: columns,
    });
    return {
      kitchenId: who.kitchenId,
      supplier: found.supplier,
      day,
      places,
      mark: told,
      table: table.value,
    };
  });
  if (!started.ok) return started;
  const { kitchenId, supplier, day, places, mark, table } = started.value;
  const going = startJob(
    importId,
    'looking',
    async (job) => {
      job.total = table.rows.length;
      const kitchen = await readKitchenForDay(database(), kitchenId, day);
      const bench = benchFor(kitchen, supplier, day, { places, mark, oddShare });
      await clearRows(database(), kitchenId, importId);
      let batch = [];
      for (const row of previewRows(table, bench)) {
        job.done += 1;
        if (row) batch.push(row);
        if (job.done % AT_A_TIME !== 0) continue;
        await insertRows(database(), kitchenId, importId, batch);
        batch = [];
        await breathe(job);
      }
      await insertRows(database(), kitchenId, importId, batch);
      await setImport(database(), kitchenId, importId, { state: 'preview' });
    },
    async () => void (await clearRows(database(), kitchenId, importId)),
  );
  return going
    ? { ok: true, value: undefined }
    : { ok: false, trouble: refuse('busy', '', 'This list is being worked on already.').trouble };
}

/** Takes rows or leaves them out: one line, or all of a verdict. */
export function want(
  importId: string,
  where: { line: number } | { verdict: Verdict },
  wanted: boolean,
): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const found = await mustFind(who.kitchenId, importId);
    if (found.state !== 'preview') throw refused('too-late', 'This list has been decided on already.');
    await setWanted(sql, who.kitchenId, importId, where, wanted);
  });
}

/** Says what a row is that fitted no article: an article of this supplier, or a new one of an ingredient. */
export function assign(
  importId: string,
  line: number,
  to: { article: string } | { ingredient: string },
): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const found = await mustFind(who.kitchenId, importId);
    if (found.state !== 'preview' || !found.columns)
      throw refused('too-late', 'This list has been decided on already.');
    const row = await rowAt(sql, who.kitchenId, importId, line);
    if (!row) throw refused('gone', `There is no line ${line} in this list.`);
    if ('ingredient' in to) {
      if (row.pack === undefined)
        throw refused('no-pack', `Line ${line} does not say how it is packed: a new article needs that.`);
      await replaceRow(sql, who.kitchenId, importId, {
        ...row,
        ingredient: to.ingredient,
        article: undefined,
        wanted: true,
      });
      return;
    }
    const day = found.on ?? (await todayIn(who.kitchenId));
    const kitchen = await readKitchenForDay(sql, who.kitchenId, day);
    const bench = benchFor(kitchen, found.supplier, day, {
      places: {},
      mark: found.columns.mark ?? kitchen.file.kitchen.decimalMark,
      oddShare: found.oddShare,
    });
    if (!bench.current.has(to.article)) throw refused('gone', 'That article is not this supplier’s.');
    const judged = judgeFor(row, to.article, bench);
    await replaceRow(sql, who.kitchenId, importId, { ...judged, wanted: judged.verdict !== 'refused' });
  });
}

/** Puts a list away undecided. */
export function drop(importId: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const found = await mustFind(who.kitchenId, importId);
    if (found.state === 'accepted' || found.state === 'undone')
      throw refused('too-late', 'This list has been decided on already.');
    await clearRows(sql, who.kitchenId, importId);
    await setImport(sql, who.kitchenId, importId, { state: 'dropped' });
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'price list dropped',
      subjectId: importId,
      before: null,
      after: null,
    });
  });
}

/** Asks the work under way on a list to stop; what it has done so far is taken back. */
export async function stopJob(importId: string): Promise<void> {
  const who = await worker();
  const job = jobOf(importId);
  if (who && job && (await importById(database(), who.kitchenId, importId))) job.stop = true;
}
