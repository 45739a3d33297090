import 'server-only';
import { Decimal } from 'decimal.js';

import { mannerIn, packOn, type WrittenIngredient } from '@/core/kitchen-file';
import type { KitchenState, StateArticle } from '@/core/kitchen-state';
import { quoteOn } from '@/core/larder';
import { newId } from '@/db/mapping/ids';
import { setIngredient } from '@/db/buying/larder-edits';
import { insertArticles, type ArticleRow } from '@/db/buying/larder-rows';
import {
  archiveArticles,
  archivedAt,
  articlesWithoutPrice,
  editedSince,
  insertImportQuotes,
  withdrawQuotes,
} from '@/db/buying/price-list-quotes';
import { setImport } from '@/db/buying/price-lists';
import { samePrice, wantedRows, type ImportRow } from '@/db/buying/price-list-rows';
import { readKitchenForDay } from '@/db/kitchen/read-kitchen';
import type { Connection } from '@/db/sql';
import { database } from '@/server/database';
import { declare, perform, type AnyDeclared, refused } from '@/server/door';
import type { Worker } from '@/server/roles';
import { breathe, jobOf, startJob, type Job } from './jobs';
import { mustBeOpen, mustFind } from './lists';
import { ACCEPT, UNDO, WRITE } from './wire';
import * as texts from './texts';

const AT_A_TIME = 500;

/** A part of a list as it goes into the price book, worked out beforehand. */
interface Part {
  readonly fresh: readonly ArticleRow[];
  readonly gone: readonly string[];
  readonly quotes: readonly { readonly article: string; readonly typed: string; readonly price: string }[];
  /** Ingredients costed from a pack that goes, with the pack they are costed from then. */
  readonly boughtAs: readonly { readonly ingredient: string; readonly article: string }[];
}

/** Says that a list is accepted; it is written in the background. */
const accept = declare({
  wire: ACCEPT,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id }, { who }) {
    await mustBeOpen(who.kitchenId, id, ['preview']);
    if (jobOf(id)?.ended === false) throw refused('busy', '', texts.listBeingWorkedAlready);
    if ((await wantedRows(database(), who.kitchenId, id)).length === 0)
      throw refused('nothing-wanted', '', texts.nothingWriteNoRow);
  },
  write: (_writing, { id }) =>
    Promise.resolve({ value: null, what: 'price list accepted', subject: id, before: null, after: null }),
  then({ id }, _ready, who) {
    startJob(
      id,
      'writing',
      (job) => writeIt(id, who, job),
      () => Promise.resolve(),
    );
  },
});

/** Writes an accepted list through the door, as the person who accepted it. */
async function writeIt(id: string, who: Worker, job: Job): Promise<void> {
  const envelope = {
    commandId: newId(),
    kind: WRITE.kind,
    kindVersion: WRITE.version,
    seen: null,
    body: { id },
  };
  const done = await perform(writeList, envelope, who);
  if (!done.ok) throw refused(done.code, '', done.message);
  job.done = job.total;
}

/**
 * Writes the wanted rows of a list into the price book, all of them or none: dated prices, articles in
 * their new packs, new articles. Refused where somebody changed a price since the list was looked through.
 */
const writeList: AnyDeclared = declare({
  wire: WRITE,
  role: 'manager',
  moves: 'costs',
  async look({ id }, { who, state }) {
    const { kitchenId } = who;
    const found = await mustBeOpen(kitchenId, id, ['preview']);
    const on = found.on;
    if (!on) throw refused('too-late', '', texts.listDecidedAlready);
    const rows = await wantedRows(database(), kitchenId, id);
    const job = jobOf(id);
    if (job) [job.total, job.done] = [rows.length, 0];
    const kitchen = await readKitchenForDay(database(), kitchenId, on);
    refuseChanged(rows, (article) => quoteOn(kitchen.history.article(article).points, on)?.price);
    const parts = await partsOf(rows, await state(), found.supplier, on, job);
    return { on, rows: rows.length, parts, place: kitchen.state.articles.length, job };
  },
  async write({ sql, kitchenId, at }, { id }, { on, rows, parts, place, job }) {
    let next = place;
    for (const part of parts) {
      await writePart(sql, kitchenId, id, on, at, part, next);
      next += part.fresh.length;
      if (!job) continue;
      job.done += part.quotes.length;
      await breathe(job);
    }
    await setImport(sql, kitchenId, id, { state: 'accepted', acceptedAt: at });
    return { value: null, what: 'price list', subject: id, before: null, after: { rows, on } };
  },
});

/** Refuses a list some of whose prices somebody has changed since it was looked through. */
function refuseChanged(rows: readonly ImportRow[], priceOf: (article: string) => Decimal | undefined): void {
  const changed = rows.filter((r) => r.article && !samePrice(r.priceBefore, priceOf(r.article)));
  if (changed.length === 0) return;
  const names = changed
    .slice(0, 3)
    .map((r) => r.name)
    .join(', ');
  throw refused('changed-meanwhile', '', texts.pricesChangedSinceList(changed.length, names));
}

/** Works out what is written, part by part; a pack that cannot be read is refused with its line. */
async function partsOf(
  rows: readonly ImportRow[],
  state: KitchenState,
  supplier: string,
  on: string,
  job: Job | undefined,
): Promise<Part[]> {
  const articles = new Map(state.articles.map((a) => [a.id, a]));
  const ingredients = new Map(state.ingredients.map((i) => [i.id, i]));
  const manner = mannerIn(state);
  const made = (row: ImportRow, old: StateArticle | undefined): ArticleRow => {
    const article: StateArticle = {
      id: newId(),
      supplier,
      ingredient: old?.ingredient ?? row.ingredient ?? '',
      name: old?.name ?? (row.name ?? row.code ?? '').slice(0, 120),
      code: row.code ?? old?.code,
      pack: row.pack ?? old?.pack ?? '',
      label: old?.label,
      weighings: [],
    };
    const ingredient: WrittenIngredient | undefined = ingredients.get(article.ingredient);
    const pack = ingredient && packOn(article, ingredient, on, manner);
    if (pack?.ok) return { article, pack: pack.value };
    throw refused(
      'pack-unread',
      '',
      `Line ${row.line}: ${pack ? pack.trouble.message : 'the ingredient chosen is no longer there.'} Leave it out, or weigh one first.`,
    );
  };
  const parts: Part[] = [];
  for (let i = 0; i < rows.length; i += AT_A_TIME) {
    const fresh: ArticleRow[] = [];
    const gone: string[] = [];
    const quotes = rows.slice(i, i + AT_A_TIME).map((row) => {
      const old = row.article === undefined ? undefined : articles.get(row.article);
      const price = new Decimal(row.price ?? 0);
      const quote = { typed: row.priceTyped ?? price.toString(), price: price.toFixed(4) };
      if (old && row.packBefore === undefined) return { article: old.id, ...quote };
      const next = made(row, old);
      fresh.push(next);
      // The old pack keeps its own past; the new one begins a line of its own.
      if (old) gone.push(old.id);
      return { article: next.article.id, ...quote };
    });
    const leaving = new Set(gone);
    const boughtAs = fresh.flatMap(({ article }) => {
      const from = ingredients.get(article.ingredient)?.boughtAs;
      return from && leaving.has(from) ? [{ ingredient: article.ingredient, article: article.id }] : [];
    });
    parts.push({ fresh, gone, quotes, boughtAs });
    if (job) await breathe(job);
  }
  return parts;
}

async function writePart(
  sql: Connection,
  kitchenId: string,
  importId: string,
  on: string,
  at: Date,
  { fresh, gone, quotes, boughtAs }: Part,
  place: number,
): Promise<void> {
  await insertArticles(sql, kitchenId, fresh, place);
  await archiveArticles(sql, kitchenId, gone, at);
  for (const { ingredient, article } of boughtAs)
    await setIngredient(sql, kitchenId, ingredient, { boughtAs: article });
  await insertImportQuotes(sql, kitchenId, importId, on, at, quotes);
}

/** Rows of an accepted list that somebody has edited since. */
export const editedAfter = (kitchenId: string, importId: string) =>
  editedSince(database(), kitchenId, importId);

/**
 * Takes a whole list back: its prices are withdrawn, articles it brought are put away, those it replaced stand again. What somebody has
 * edited since is kept unless `alsoEdited`.
 */
const undo = declare({
  wire: UNDO,
  role: 'manager',
  moves: 'costs',
  async look({ id, alsoEdited }, { who, state }) {
    // Asked for so that a change of prices meanwhile has this looked at again.
    await state();
    const found = await mustFind(who.kitchenId, id);
    if (found.state !== 'accepted') throw refused('too-late', '', texts.listNotPriceBook);
    const edited = alsoEdited ? [] : (await editedAfter(who.kitchenId, id)).map((e) => e.article);
    return { edited, acceptedAt: found.acceptedAt };
  },
  async write({ sql, kitchenId, at }, { id }, { edited, acceptedAt }) {
    const withdrawn = await withdrawQuotes(sql, kitchenId, id, edited, at);
    await restorePacks(sql, kitchenId, withdrawn, acceptedAt ?? at.toISOString(), at);
    await setImport(sql, kitchenId, id, { state: 'undone', undoneAt: at });
    return {
      value: { kept: edited.length },
      what: 'price list undone',
      subject: id,
      before: { withdrawn: withdrawn.length },
      after: { kept: edited.length },
    };
  },
});

/** Articles that now have no price at all came with the list: they go, and the packs they replaced come back. */
async function restorePacks(
  sql: Connection,
  kitchenId: string,
  withdrawn: readonly string[],
  acceptedAt: string,
  at: Date,
): Promise<void> {
  const bare = await articlesWithoutPrice(sql, kitchenId, withdrawn);
  if (bare.length === 0) return;
  const before = await archivedAt(sql, kitchenId, new Date(acceptedAt));
  await archiveArticles(
    sql,
    kitchenId,
    bare.map((b) => b.id),
    at,
  );
  const key = (a: { ingredient: string; supplier: string; name: string }): string =>
    JSON.stringify([a.ingredient, a.supplier, a.name]);
  const replaced = new Set(bare.map(key));
  await archiveArticles(
    sql,
    kitchenId,
    before.filter((old) => replaced.has(key(old))).map((b) => b.id),
    null,
  );
}

export const accepting = [accept, writeList, undo];
