'use client';

import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { DataTable, type Column } from '@/ui/tables/data-table';
import { useFormatters } from '@/ui/formatters-context';
import { ChooseColumns } from '@/ui/tables/choose-columns';
import { useHiddenColumns } from '@/ui/frame/person';
import { useQueryParam } from '@/ui/hooks/use-query-param';
import { searcher } from '@/search';
import { moreRows, wholeIndex } from '../actions';
import type { PriceBookAsked, PriceBookData, PriceIndex, PriceRow, AffectedDish } from '../queries';
import { Answers } from './answers';
import { AsOfBar } from './as-of-bar';
import { PriceLine } from './price-line';
import { useAnswers } from './use-answers';
import * as texts from './texts';

const ON_SCREEN = 60;

/** The rows that are looked at: those that came with the page, and whatever is fetched because somebody looks for it. */
function useRows(data: PriceBookData, asked: PriceBookAsked, reach: (reached: AffectedDish) => void) {
  const [known, setKnown] = useState(() => new Map(data.rows.map((r) => [r.id, r])));
  const [wanted, setWanted] = useQueryParam();
  const [most, setMost] = useState(ON_SCREEN);
  const [index, setIndex] = useState<readonly PriceIndex[]>(() =>
    data.rows.map((r) => ({ id: r.id, name: r.name, words: r.article?.words ?? '' })),
  );
  const search = useMemo(() => searcher(index), [index]);
  const hits = useMemo(() => search(wanted), [search, wanted]);
  const shown = useMemo(() => hits.slice(0, most), [hits, most]);
  useEffect(() => {
    const missing = shown.filter((s) => !known.has(s.id)).map((s) => s.id);
    if (missing.length === 0) return;
    let here = true;
    const inView = shown.map((s) => s.id);
    void moreRows(missing, inView, asked).then((more) => {
      if (!here || !more) return;
      setKnown((all) => new Map([...all, ...more.rows.map((r) => [r.id, r] as const)]));
      reach(more.reached);
    });
    return () => {
      here = false;
    };
  }, [shown, known, asked, reach]);
  // Of a large larder only the first rows came with the page; the rest is fetched by anyone who looks for it.
  const fetchAll = (): void => {
    if (index.length < data.total) void wholeIndex(asked).then((all) => all.length > 0 && setIndex(all));
  };
  const keep = (row: PriceRow): void => setKnown((all) => new Map(all).set(row.id, row));
  const find = (next: string): void => {
    fetchAll();
    setWanted(next);
    setMost(ON_SCREEN);
  };
  const rows = shown.flatMap(({ id }) => known.get(id) ?? []);
  return {
    rows,
    left: hits.length - shown.length,
    hits: hits.length,
    wanted,
    find,
    fetchAll,
    keep,
    more: () => setMost((n) => n + ON_SCREEN),
  };
}

/** Goes to another day or order, the rest of the address as it is. */
function useGo(asked: PriceBookAsked, today: string): (next: PriceBookAsked) => void {
  const router = useRouter();
  return (next) => {
    const to = new URLSearchParams(window.location.search);
    for (const key of ['on', 'known', 'since', 'order']) to.delete(key);
    const all = { ...asked, ...next };
    if (all.on && all.on !== today) to.set('on', all.on);
    if (all.known === 'then') to.set('known', 'then');
    if (all.since) to.set('since', all.since);
    if (all.order && all.order !== 'name') to.set('order', all.order);
    router.push(`/buy?${to.toString()}`);
  };
}

/** Columns that one may do without. */
const OPTIONAL = [
  ['bought', texts.bought],
  ['kilo', texts.perKilo],
  ['trim', texts.trimPercent],
  ['moved', texts.priceChange],
] as const;

/** The price book: what everything costs usable, and at once what is made from it. */
export function PriceBook({ data }: { data: PriceBookData }) {
  const asked = useMemo(
    (): PriceBookAsked => ({ on: data.day, known: data.known, since: data.since, order: data.order }),
    [data],
  );
  const answers = useAnswers(data.reached);
  const book = useRows(data, asked, answers.reach);
  const [hidden, toggle] = useHiddenColumns(texts.priceBook);
  const go = useGo(asked, data.today);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.priceBookHeading}</h1>
          <p className="lead-line">{texts.whatUsableKiloCosts}</p>
        </div>
        <Form.Control
          type="search"
          placeholder={texts.findIngredient}
          aria-label={texts.findIngredient}
          value={book.wanted}
          onFocus={book.fetchAll}
          onChange={(event) => book.find(event.target.value)}
        />
      </Stack>
      <AsOfBar data={data} go={go}>
        <ChooseColumns columns={OPTIONAL} hidden={hidden} toggle={toggle} />
      </AsOfBar>
      <div className="beside price-book">
        <div>
          <Table data={data} rows={book.rows} hidden={hidden} onTyped={answers.set} keep={book.keep} />
          {book.left > 0 && (
            <Button variant="plain" size="sm" className="my-3" onClick={book.more}>
              {texts.showMore(Math.min(ON_SCREEN, book.left), book.hits)}
            </Button>
          )}
          {book.hits === 0 && (
            <p className="quiet">
              {data.total === 0 ? <NothingYet /> : texts.nothingPriceBookFits(book.wanted)}
            </p>
          )}
        </div>
        <Answers reached={answers.reached} graph={answers.graph} before={answers.before} all={data.answers} />
      </div>
    </>
  );
}

const NothingYet = () => (
  <>
    {texts.noIngredientsYet} <Link href="/buy/larder">{texts.takeSomeFromLarder}</Link>,{' '}
    <Link href="/buy/purchases/new">{texts.writeFirstInvoice}</Link>
    {texts.or} <Link href="/pot/new">{texts.writeFirstPotSheet}</Link>
    {texts.whichAsksWhatMisses}
  </>
);

function Table({
  data,
  rows,
  hidden,
  onTyped,
  keep,
}: {
  readonly data: PriceBookData;
  readonly rows: readonly PriceRow[];
  readonly hidden: readonly string[];
  readonly onTyped: ReturnType<typeof useAnswers>['set'];
  readonly keep: (row: PriceRow) => void;
}) {
  const { currencySign } = useFormatters();
  const columns = useMemo(
    (): Column<PriceRow>[] => [
      { id: 'name', head: texts.ingredient },
      { id: 'bought', head: texts.boughtHeading, left: true, headClass: 'd-none d-md-table-cell' },
      { id: 'pack', head: texts.pack(currencySign) },
      { id: 'kilo', head: texts.perKiloCurrencySign(currencySign) },
      { id: 'usable', head: texts.usablePercent },
      { id: 'trim', head: texts.trimPercent },
      { id: 'moved', head: texts.priceChange },
      { id: 'cost', head: texts.usableKiloCurrencySign(currencySign) },
    ],
    [currencySign],
  );
  return (
    <DataTable
      columns={columns}
      rows={rows}
      rowKey={(row) => row.id}
      hidden={hidden}
      draw={(row) => (
        <PriceLine
          key={row.id}
          row={row}
          hidden={hidden}
          mark={data.mark}
          mayEdit={data.mayEdit}
          onTyped={onTyped}
          keep={keep}
        />
      )}
    />
  );
}
