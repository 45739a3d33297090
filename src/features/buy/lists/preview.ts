import 'server-only';
import { mannerIn, packOn, weighableOf } from '@/core/kitchen-file';
import { quoteOn } from '@/core/larder';
import { judgeRow, matcher, readRow, type Current, type Places } from '@/core/price-list';
import type { DecimalMark, Manner } from '@/core/quantity';
import type { KitchenForDay } from '@/db/kitchen/read-kitchen';
import type { ImportRow } from '@/db/buying/price-list-rows';
import type { ListTable } from './file';
import * as texts from './texts';

/** Everything a list's rows are judged by. */
export interface PreviewContext {
  readonly places: Places;
  readonly mark: DecimalMark;
  readonly currency: string;
  readonly manner: Manner;
  readonly oddShare: number;
  readonly match: ReturnType<typeof matcher>;
  readonly current: ReadonlyMap<string, Current>;
}

/** What the kitchen has of a supplier, for judging its list on a day. */
export function previewContext(
  { state, history }: Pick<KitchenForDay, 'state' | 'history'>,
  supplier: string,
  day: string,
  asked: { places: Places; mark: DecimalMark; oddShare: number },
): PreviewContext {
  const manner = mannerIn(state);
  const articles = state.articles.filter((a) => a.supplier === supplier);
  const ingredients = new Map(state.ingredients.map((i) => [i.id, i]));
  const current = new Map(
    articles.flatMap((a): [string, Current][] => {
      const ingredient = ingredients.get(a.ingredient);
      const thing = ingredient && weighableOf(ingredient);
      // What the list's text is measured by is the text before, not what a pack was found to hold.
      const pack = ingredient && packOn({ ...a, weighings: [] }, ingredient, day, manner);
      if (!thing?.ok || !pack?.ok) return [];
      return [
        [
          a.id,
          {
            name: a.name,
            pack: a.pack,
            packG: pack.value.g,
            thing: thing.value,
            price: quoteOn(history.article(a.id).points, day)?.price,
          },
        ],
      ];
    }),
  );
  return {
    ...asked,
    currency: state.kitchen.currency,
    manner,
    match: matcher(articles.map(({ id, name, code }) => ({ id, name, code }))),
    current,
  };
}

/** Judges one row of a list; undefined for a blank one. `seen` are the articles that rows above stand for. */
export function previewRow(
  cells: readonly string[],
  line: number,
  bench: PreviewContext,
  seen: Map<string, number>,
): ImportRow | undefined {
  const read = readRow(cells, bench.places, bench.mark, bench.currency);
  const cell = (key: keyof Places): string | undefined => {
    const at = bench.places[key];
    return at === undefined ? undefined : cells[at]?.trim() || undefined;
  };
  if (!read.ok)
    return {
      line,
      code: cell('code'),
      name: cell('name'),
      pack: cell('pack'),
      priceTyped: cell('price'),
      verdict: 'refused',
      reason: read.trouble.message,
    };
  if (read.value === undefined) return undefined;
  const { code, name, pack, price, priceTyped } = read.value;
  const said = { line, code, name, pack, priceTyped, price: price.toFixed(4) };
  const found = bench.match(read.value);
  if (found.by === 'none') return { ...said, verdict: 'ask', reason: texts.noArticleSupplierCode };
  const first = seen.get(found.article);
  seen.set(found.article, first ?? line);
  const judged = judgeFor(said, found.article, bench);
  if (first !== undefined && judged.verdict !== 'refused')
    return {
      ...judged,
      verdict: 'odd',
      reason: texts.standsLineAlready(first, judged.reason ?? '').trim(),
    };
  const byName = found.by === 'name' && code !== undefined ? texts.foundNameCodeNew(code) : '';
  return byName === '' || judged.verdict === 'same'
    ? judged
    : { ...judged, reason: `${byName}${judged.reason ?? ''}`.trim() };
}

/** A row that stands for an article, judged against it. */
export function judgeFor(
  said: Pick<ImportRow, 'line' | 'code' | 'name' | 'pack' | 'priceTyped' | 'price'>,
  article: string,
  bench: Pick<PreviewContext, 'current' | 'manner' | 'oddShare' | 'mark' | 'currency'>,
): ImportRow {
  const current = bench.current.get(article);
  if (!current || said.price === undefined)
    return {
      ...said,
      verdict: 'refused',
      reason: texts.articleCannotWeighedPrice,
    };
  const row = readRow(
    [said.priceTyped ?? '', said.name ?? ''],
    { price: 0, name: 1 },
    bench.mark,
    bench.currency,
  );
  if (!row.ok || !row.value) return { ...said, verdict: 'refused', reason: texts.priceCannotRead };
  const judged = judgeRow({ ...row.value, pack: said.pack }, current, bench.manner, bench.oddShare);
  return {
    ...said,
    article,
    verdict: judged.verdict,
    reason: judged.reason,
    priceBefore: current.price?.toFixed(4),
    packBefore: judged.newPack === undefined ? undefined : current.pack,
  };
}

/** All rows of a table, judged. */
export function* previewRows(table: ListTable, bench: PreviewContext): Generator<ImportRow | undefined> {
  const seen = new Map<string, number>();
  for (const [i, cells] of table.rows.entries()) yield previewRow(cells, table.firstLine + i, bench, seen);
}
