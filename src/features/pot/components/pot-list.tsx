'use client';

import Link from 'next/link';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import { WhyFigure } from '@/ui/why';
import { useFound } from '@/ui/use-found';
import { findPots } from '../actions';
import type { PotsFound, PotSummary } from '../queries';
import { SheetTable } from '@/ui/sheet-table';

/** Every pot of the book: what it gives and what a litre of it costs. */
export function PotList({ pots }: { readonly pots: PotsFound }) {
  const { wanted, setWanted, found, answered } = useFound(pots, findPots);
  const more = found.hits - found.rows.length;
  return (
    <>
      <div className="price-book-head">
        <div>
          <h1>Pots</h1>
          <p className="lead-line">What happens to the litres, and to the money in them.</p>
        </div>
        {pots.total > 0 && (
          <Form.Control
            type="search"
            placeholder="Find a pot"
            aria-label="Find a pot"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
        )}
      </div>
      {pots.total === 0 ? (
        <p>There are no pot sheets yet: load a kitchen file to begin.</p>
      ) : (
        <Table pots={found.rows} />
      )}
      {more > 0 && <p className="quiet">{more} more: type a word of what you are looking for.</p>}
      {answered && pots.total > 0 && found.hits === 0 && (
        <p className="quiet">No pot in the book fits “{wanted}”.</p>
      )}
    </>
  );
}

function Table({ pots }: { readonly pots: readonly PotSummary[] }) {
  const { currencySign } = useFigures();
  const most = Math.max(1, ...pots.map((p) => p.mostMl));
  return (
    <SheetTable className="list-table">
      <thead>
        <tr>
          <th scope="col">Pot</th>
          <th scope="col" className="left">
            Lives from
          </th>
          <th scope="col" className="left">
            Stands in
          </th>
          <th scope="col">litres, of the most it held</th>
          <th scope="col">on the hob</th>
          <th scope="col">{currencySign} a litre</th>
        </tr>
      </thead>
      <tbody>
        {pots.map((p) => (
          <PotLine key={p.id} pot={p} most={most} />
        ))}
      </tbody>
    </SheetTable>
  );
}

function PotLine({ pot: p, most }: { readonly pot: PotSummary; readonly most: number }) {
  const { money, bare, hours } = useFigures();
  return (
    <tr>
      <td>
        <Link prefetch={false} href={`/pot/${p.id}`}>
          {p.name}
        </Link>
      </td>
      <td className="left quiet">{p.from.length > 0 ? p.from.join(', ') : 'the larder'}</td>
      <td className="left quiet">{p.vessel}</td>
      <td className="bar-cell">
        <span className="fig">
          {bare(p.ml / 1000, 1)} of {bare(p.mostMl / 1000, 1)} l
        </span>
        <i
          style={{
            width: `${(p.mostMl / most) * 100}%`,
            background: 'var(--enamel-shade)',
            marginLeft: 'auto',
          }}
        >
          <i
            style={{
              width: `${p.mostMl > 0 ? Math.min(100, (p.ml / p.mostMl) * 100) : 0}%`,
              marginLeft: 'auto',
            }}
          />
        </i>
      </td>
      <td className="fig">{hours(p.hobHours)}</td>
      <td className="fig strong" style={{ fontSize: '1.3rem' }}>
        {p.perL === null ? (
          <span className="incomplete" title={p.gaps.join(' ')}>
            incomplete
          </span>
        ) : (
          <>
            <WhyFigure of={`product:${p.id}`} label={`${p.name}, a ${p.perKg === null ? 'litre' : 'kilo'}`}>
              {money(p.perKg ?? p.perL)}
            </WhyFigure>
            {p.perKg !== null && <div className="quiet small-line">a kilo</div>}
          </>
        )}
      </td>
    </tr>
  );
}
