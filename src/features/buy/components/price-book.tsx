'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import { searcher } from '@/ui/search';
import { moreRows, wholeIndex } from '../actions';
import type { PriceBookAsked, PriceBookData, PriceIndex, PriceRow } from '../queries';
import { Answers } from './answers';
import { AsOfBar } from './as-of-bar';
import { PriceLine } from './price-line';
import { useAnswers } from './use-answers';

const ON_SCREEN = 60;

/** The price book: what everything costs usable, and at once who lives from it. */
export function PriceBook({ data }: { data: PriceBookData }) {
  const [known, setKnown] = useState(() => new Map(data.rows.map((r) => [r.id, r])));
  const [wanted, setWanted] = useState('');
  const [most, setMost] = useState(ON_SCREEN);
  const answers = useAnswers(data);
  const router = useRouter();
  const { currencySign } = useFigures();
  const [index, setIndex] = useState<readonly PriceIndex[]>(() =>
    data.rows.map((r) => ({ id: r.id, name: r.name, words: r.article?.words ?? '' })),
  );
  const search = useMemo(() => searcher(index), [index]);
  const hits = useMemo(() => search(wanted), [search, wanted]);
  const shown = useMemo(() => hits.slice(0, most), [hits, most]);
  const asked = useMemo(
    (): PriceBookAsked => ({ on: data.day, known: data.known, since: data.since, order: data.order }),
    [data],
  );
  useEffect(() => {
    const missing = shown.filter((s) => !known.has(s.id)).map((s) => s.id);
    if (missing.length === 0) return;
    let here = true;
    void moreRows(missing, asked).then((rows) => {
      if (here) setKnown((all) => new Map([...all, ...rows.map((r) => [r.id, r] as const)]));
    });
    return () => {
      here = false;
    };
  }, [shown, known, asked]);
  // Of a large larder only the first rows came with the page; the rest is fetched by whoever looks for it.
  const fetchAll = (): void => {
    if (index.length < data.total) void wholeIndex(asked).then((all) => all.length > 0 && setIndex(all));
  };
  const keep = (row: PriceRow): void => setKnown((all) => new Map(all).set(row.id, row));
  const go = (next: PriceBookAsked): void => {
    const to = new URLSearchParams();
    const all = { ...asked, ...next };
    if (all.on && all.on !== data.today) to.set('on', all.on);
    if (all.known === 'then') to.set('known', 'then');
    if (all.since) to.set('since', all.since);
    if (all.order && all.order !== 'name') to.set('order', all.order);
    router.push(`/buy?${to.toString()}`);
  };
  return (
    <>
      <div className="price-book-head">
        <div>
          <h1>Price book</h1>
          <p className="lead-line">
            What a kilo costs once it is fit for the pot. Type a price or a yield and see who lives from it;
            Enter keeps it.
          </p>
        </div>
        <Form.Control
          type="search"
          placeholder="Find an ingredient"
          aria-label="Find an ingredient"
          value={wanted}
          onFocus={fetchAll}
          onChange={(event) => {
            fetchAll();
            setWanted(event.target.value);
            setMost(ON_SCREEN);
          }}
        />
      </div>
      <AsOfBar data={data} go={go} />
      <div className="price-book">
        <div>
          <table className="sheet-table">
            <thead>
              <tr>
                <th scope="col">Ingredient</th>
                <th scope="col" className="left">
                  Bought as
                </th>
                <th scope="col">{currencySign} a pack</th>
                <th scope="col">{currencySign} a kilo</th>
                <th scope="col">usable %</th>
                <th scope="col">trim %</th>
                <th scope="col">moved</th>
                <th scope="col">{currencySign} a usable kilo</th>
              </tr>
            </thead>
            <tbody>
              {shown.flatMap(({ id }) => {
                const row = known.get(id);
                return row
                  ? [
                      <PriceLine
                        key={id}
                        row={row}
                        mark={data.mark}
                        mayEdit={data.mayEdit}
                        onTyped={answers.set}
                        keep={keep}
                      />,
                    ]
                  : [];
              })}
            </tbody>
          </table>
          {hits.length > shown.length && (
            <button type="button" className="plain-button more" onClick={() => setMost((n) => n + ON_SCREEN)}>
              Show {Math.min(ON_SCREEN, hits.length - shown.length)} more of {hits.length}
            </button>
          )}
          {hits.length === 0 && (
            <p className="quiet">
              {data.total === 0
                ? 'There are no ingredients yet: take some from the larder, or write the first invoice.'
                : `Nothing in the price book fits “${wanted}”.`}
            </p>
          )}
        </div>
        <Answers data={data} graph={answers.graph} before={answers.before} />
      </div>
    </>
  );
}
