import 'server-only';
import { Decimal } from 'decimal.js';
import type { PoolConnection } from 'mysql2/promise';
import {
  mannerIn,
  packOn,
  type KitchenFile,
  type WrittenArticle,
  type WrittenIngredient,
} from '@/core/kitchen-file';
import { quoteOn } from '@/core/larder';
import { refuse } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { newId } from '@/db/ids';
import { setIngredient } from '@/db/larder-edits';
import { insertArticles, type ArticleRow } from '@/db/larder-rows';
import {
  archiveArticles,
  archivedAt,
  articlesWithoutPrice,
  editedSince,
  insertImportQuotes,
  withdrawQuotes,
} from '@/db/price-list-quotes';
import { importById, setImport } from '@/db/price-lists';
import { samePrice, wantedRows, type ImportRow } from '@/db/price-list-rows';
import { readKitchenForDay } from '@/db/read-kitchen';
import { inTransaction } from '@/db/sql';
import { now } from '@/server/clock';
import { database } from '@/server/database';
import { edit, Refused, type Edited } from '@/server/write';
import { breathe, startJob, type Job } from './jobs';

const AT_A_TIME = 500;
const refused = (code: string, message: string): Refused => new Refused(refuse(code, '', message).trouble);

/**
 * Writes the wanted rows of a list into the price book, all of them or none: dated prices, articles in
 * their new packs, new articles. Refused where somebody changed a price since the list was looked through.
 */
export async function acceptList(importId: string): Promise<Edited> {
  const started = await edit('manager', async (sql, who) => {
    const found = await importById(sql, who.kitchenId, importId);
    if (found?.state !== 'preview' || !found.on)
      throw refused('too-late', 'This list has been decided on already.');
    return { who, found, on: found.on };
  });
  if (!started.ok) return started;
  const { who, found, on } = started.value;
  const going = startJob(
    importId,
    'writing',
    (job) =>
      inTransaction(database(), async (sql) => {
        const rows = await wantedRows(sql, who.kitchenId, importId);
        if (rows.length === 0) throw refused('nothing-wanted', 'There is nothing to write: no row is taken.');
        job.total = rows.length;
        const kitchen = await readKitchenForDay(sql, who.kitchenId, on);
        const changed = rows.filter(
          (r) =>
            r.article && !samePrice(r.priceBefore, quoteOn(kitchen.history(r.article).points, on)?.price),
        );
        if (changed.length > 0)
          throw refused(
            'changed-meanwhile',
            `${changed.length === 1 ? 'A price has' : `${changed.length} prices have`} been changed since this list was looked through (${changed
              .slice(0, 3)
              .map((r) => r.name)
              .join(', ')}): look it through again.`,
          );
        const at = now();
        await write(sql, job, who.kitchenId, importId, found.supplier, on, at, rows, kitchen.file);
        await setImport(sql, who.kitchenId, importId, { state: 'accepted', acceptedAt: at });
        await recordChange(sql, {
          kitchenId: who.kitchenId,
          personId: who.person.id,
          at,
          what: 'price list',
          subjectId: importId,
          before: null,
          after: { rows: rows.length, on },
        });
      }),
    () => Promise.resolve(),
  );
  return going
    ? { ok: true, value: undefined }
    : { ok: false, trouble: refuse('busy', '', 'This list is being worked on already.').trouble };
}

async function write(
  sql: PoolConnection,
  job: Job,
  kitchenId: string,
  importId: string,
  supplier: string,
  on: string,
  at: Date,
  rows: readonly ImportRow[],
  file: KitchenFile,
): Promise<void> {
  const articles = new Map(file.articles.map((a) => [a.id, a]));
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const manner = mannerIn(file);
  const made = (row: ImportRow, old: WrittenArticle | undefined, ingredientId: string): ArticleRow => {
    const article: WrittenArticle = {
      id: newId(),
      supplier,
      ingredient: ingredientId,
      name: old?.name ?? (row.name ?? row.code ?? '').slice(0, 120),
      code: row.code ?? old?.code,
      pack: row.pack ?? old?.pack ?? '',
      label: old?.label,
      weighings: [],
      quotes: [],
    };
    const ingredient = ingredients.get(ingredientId) as WrittenIngredient | undefined;
    const pack = ingredient && packOn(article, ingredient, on, manner);
    if (!pack?.ok)
      throw refused(
        'pack-unread',
        `Line ${row.line}: ${pack ? pack.trouble.message : 'the ingredient chosen is no longer there.'} Leave it out, or weigh one first.`,
      );
    return { article, pack: pack.value };
  };
  let place = file.articles.length;
  for (let i = 0; i < rows.length; i += AT_A_TIME) {
    const part = rows.slice(i, i + AT_A_TIME);
    const fresh: ArticleRow[] = [];
    const gone: string[] = [];
    const quotes = part.map((row) => {
      const old = row.article === undefined ? undefined : articles.get(row.article);
      let article = row.article;
      if (!old || row.packBefore !== undefined) {
        const next = made(row, old, old?.ingredient ?? row.ingredient ?? '');
        fresh.push(next);
        article = next.article.id;
        // The old pack keeps its own past; the new one begins a line of its own.
        if (old) gone.push(old.id);
      }
      const price = new Decimal(row.price ?? 0);
      return { article: article ?? '', typed: row.priceTyped ?? price.toString(), price: price.toFixed(4) };
    });
    await insertArticles(sql, kitchenId, fresh, place);
    place += fresh.length;
    await archiveArticles(sql, kitchenId, gone, at);
    for (const { article } of fresh) {
      const ingredient = ingredients.get(article.ingredient);
      if (ingredient?.boughtAs && gone.includes(ingredient.boughtAs))
        await setIngredient(sql, kitchenId, ingredient.id, { boughtAs: article.id });
    }
    await insertImportQuotes(sql, kitchenId, importId, on, at, quotes);
    job.done += part.length;
    await breathe(job);
  }
}

/** Rows of an accepted list that somebody has edited since. */
export const editedAfter = (kitchenId: string, importId: string) =>
  editedSince(database(), kitchenId, importId);

/**
 * Takes a whole list back: its prices are withdrawn, articles it brought are put away, those it replaced stand again. What somebody has
 * edited since is kept unless `alsoEdited`.
 */
export function undoList(importId: string, alsoEdited: boolean): Promise<Edited<{ kept: number }>> {
  return edit('manager', async (sql, who) => {
    const found = await importById(sql, who.kitchenId, importId);
    if (found?.state !== 'accepted') throw refused('too-late', 'This list is not in the price book.');
    const edited = alsoEdited ? [] : (await editedSince(sql, who.kitchenId, importId)).map((e) => e.article);
    const at = now();
    const withdrawn = await withdrawQuotes(sql, who.kitchenId, importId, edited, at);
    await restorePacks(sql, who.kitchenId, withdrawn, found.acceptedAt ?? at.toISOString(), at);
    await setImport(sql, who.kitchenId, importId, { state: 'undone', undoneAt: at });
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'price list undone',
      subjectId: importId,
      before: { withdrawn: withdrawn.length },
      after: { kept: edited.length },
    });
    return { kept: edited.length };
  });
}

/** Articles that now have no price at all came with the list: they go, and the packs they replaced come back. */
async function restorePacks(
  sql: PoolConnection,
  kitchenId: string,
  withdrawn: readonly string[],
  acceptedAt: string,
  at: Date,
): Promise<void> {
  const bare = await articlesWithoutPrice(sql, kitchenId, withdrawn);
  if (bare.length === 0) return;
  await archiveArticles(
    sql,
    kitchenId,
    bare.map((b) => b.id),
    at,
  );
  const before = await archivedAt(sql, kitchenId, new Date(acceptedAt));
  const back = before.filter((old) =>
    bare.some((b) => b.ingredient === old.ingredient && b.supplier === old.supplier && b.name === old.name),
  );
  await archiveArticles(
    sql,
    kitchenId,
    back.map((b) => b.id),
    null,
  );
}
