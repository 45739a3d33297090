'use client';

import { useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import type { PriceBookData, PriceRow } from '../queries';
import { Answers } from './answers';
import { PriceLine } from './price-line';
import { useAnswers } from './use-answers';

const fits = (row: PriceRow, wanted: string): boolean =>
  wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => `${row.name} ${row.article?.words ?? ''}`.toLowerCase().includes(word));

/** The price book: what everything costs usable, and at once who lives from it. */
export function PriceBook({ data }: { data: PriceBookData }) {
  const [rows, setRows] = useState(data.rows);
  const [wanted, setWanted] = useState('');
  const answers = useAnswers(data);
  const { currencySign } = useFigures();
  const shown = useMemo(() => rows.filter((row) => fits(row, wanted)), [rows, wanted]);
  const keep = (row: PriceRow): void => setRows((all) => all.map((r) => (r.id === row.id ? row : r)));
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
          onChange={(event) => setWanted(event.target.value)}
        />
      </div>
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
                <th scope="col">stock trim %</th>
                <th scope="col">{currencySign} a usable kilo</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((row) => (
                <PriceLine
                  key={row.id}
                  row={row}
                  mark={data.mark}
                  mayEdit={data.mayEdit}
                  onTyped={answers.set}
                  keep={keep}
                />
              ))}
            </tbody>
          </table>
          {shown.length === 0 && (
            <p className="quiet">
              {rows.length === 0
                ? 'There are no ingredients yet: load a kitchen file to begin.'
                : `Nothing in the price book fits “${wanted}”.`}
            </p>
          )}
        </div>
        <Answers data={data} graph={answers.graph} before={answers.before} />
      </div>
    </>
  );
}
