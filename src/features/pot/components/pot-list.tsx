'use client';

import Link from 'next/link';
import { useCallback, useMemo } from 'react';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import { ArchivedList, type ArchivedRow } from '@/ui/tables/archived-list';
import { DataTable, type Column } from '@/ui/tables/data-table';
import { layersText } from '@/ui/frame/counted-layers';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import { useServerSearch } from '@/ui/hooks/use-server-search';
import { WhyFigure } from '@/ui/panels/why';
import { findPots } from '../actions';
import type { PotsFound, PotSummary } from '../queries';
import { archiveSheet } from '../wire';

/** Every pot of the book: what it gives and what a litre of it costs. */
export function PotList({
  pots,
  order,
  away,
  mayEdit,
}: {
  readonly pots: PotsFound;
  readonly order: string | undefined;
  readonly away: readonly ArchivedRow[];
  readonly mayEdit: boolean;
}) {
  const ask = useCallback((wanted: string) => findPots(wanted, order ?? null), [order]);
  const { wanted, setWanted, found, answered } = useServerSearch(pots, ask);
  const more = found.hits - found.rows.length;
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>Pots</h1>
          <p className="lead-line">What happens to the litres, and to the money in them.</p>
        </div>
        {pots.total > 0 && <LayerSwitch />}
        {mayEdit && pots.total > 0 && (
          <Link prefetch={false} className="btn btn-outline-primary flex-shrink-0" href="/pot/new">
            New recipe
          </Link>
        )}
        {pots.total > 0 && (
          <Form.Control
            type="search"
            placeholder="Find a recipe"
            aria-label="Find a recipe"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
        )}
      </Stack>
      {pots.total === 0 ? <NoPots mayEdit={mayEdit} /> : <Pots pots={found.rows} />}
      {more > 0 && <p className="quiet">{more} more: type a word of what you are looking for.</p>}
      {answered && pots.total > 0 && found.hits === 0 && (
        <p className="quiet">No pot in the book fits “{wanted}”.</p>
      )}
      {mayEdit && (
        <ArchivedList rows={away} bringBack={(id) => archiveSheet({ id, away: false, instead: null })} />
      )}
    </>
  );
}

/** An empty book: what is done first, and the way there. */
const NoPots = ({ mayEdit }: { readonly mayEdit: boolean }) => (
  <div className="my-4" style={{ maxWidth: '38rem' }}>
    <p className="fs-5">There are no pot sheets yet.</p>
    {mayEdit ? (
      <>
        <p>
          Write the first one as you would say it: “40 g butter”, “300 g shallots”, “reduce by half”. What the
          kitchen does not have yet (an ingredient, a price, what a bunch weighs) is asked for where it is
          missed.
        </p>
        <Link prefetch={false} className="btn btn-primary" href="/pot/new">
          Write the first pot sheet
        </Link>
      </>
    ) : (
      <p>A manager writes the first one.</p>
    )}
  </div>
);

function Pots({ pots }: { readonly pots: readonly PotSummary[] }) {
  const { currencySign, hours, counted } = useFormatters();
  const litreWords = `${currencySign} per litre${counted.length > 1 ? `, ${layersText(counted)}` : ''}`;
  const columns = useMemo((): Column<PotSummary>[] => {
    const most = Math.max(1, ...pots.map((p) => p.mostMl));
    return [
      {
        id: 'name',
        head: 'Pot',
        by: (p) => p.name,
        cell: (p) => (
          <Link prefetch={false} href={`/pot/${p.id}`}>
            {p.name}
          </Link>
        ),
      },
      {
        id: 'from',
        head: 'Made from',
        left: true,
        className: 'quiet small-line',
        cell: (p) => (p.from.length > 0 ? p.from.join(', ') : 'the larder'),
      },
      { id: 'vessel', head: 'Stands in', left: true, className: 'quiet small-line', cell: (p) => p.vessel },
      {
        id: 'litres',
        head: 'yield of peak volume',
        largestFirst: true,
        by: (p) => p.ml,
        className: 'bar-cell',
        cell: (p) => <Litres pot={p} most={most} />,
      },
      {
        id: 'hob',
        head: 'on the hob',
        largestFirst: true,
        by: (p) => p.hobHours,
        className: 'fig',
        cell: (p) => hours(p.hobHours),
      },
      {
        id: 'cost',
        head: litreWords,
        largestFirst: true,
        by: (p) => p.perL,
        className: 'fig fs-5 fw-bold',
        cell: (p) => <Cost pot={p} />,
      },
    ];
  }, [pots, litreWords, hours]);
  return (
    <DataTable
      className="list-table tall"
      ordered="by the server"
      columns={columns}
      rows={pots}
      rowKey={(p) => p.id}
    />
  );
}

/** What it gives against the most it held, drawn from the right: what boiled away is the pale part. */
function Litres({ pot: p, most }: { readonly pot: PotSummary; readonly most: number }) {
  const { litres } = useFormatters();
  const left = p.mostMl > 0 ? Math.min(100, (p.ml / p.mostMl) * 100) : 0;
  return (
    <>
      <span className="fig">
        {litres(p.ml)} of {litres(p.mostMl)}
      </span>
      <i className="ms-auto" style={{ width: `${(p.mostMl / most) * 100}%` }}>
        <i className="ms-auto" style={{ width: `${left}%` }} />
      </i>
    </>
  );
}

function Cost({ pot: p }: { readonly pot: PotSummary }) {
  const { money } = useFormatters();
  if (p.perL === null)
    return (
      <span className="incomplete" title={p.gaps.join(' ')}>
        incomplete
      </span>
    );
  return (
    <>
      <WhyFigure of={`product:${p.id}`} label={`${p.name}, a ${p.perKg === null ? 'litre' : 'kilo'}`}>
        {money(p.perKg ?? p.perL)}
      </WhyFigure>
      {p.perKg !== null && <div className="quiet small-line">per kilo</div>}
    </>
  );
}
