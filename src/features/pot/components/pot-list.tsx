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
import * as texts from './texts';

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
          <h1>{texts.pots}</h1>
          <p className="lead-line">{texts.whatHappensLitresMoney}</p>
        </div>
        {pots.total > 0 && <LayerSwitch />}
        {mayEdit && pots.total > 0 && (
          <Link prefetch={false} className="btn btn-outline-primary flex-shrink-0" href="/pot/new">
            {texts.newRecipe}
          </Link>
        )}
        {pots.total > 0 && (
          <Form.Control
            type="search"
            placeholder={texts.findRecipe}
            aria-label={texts.findRecipe}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
        )}
      </Stack>
      {pots.total === 0 ? <NoPots mayEdit={mayEdit} /> : <Pots pots={found.rows} />}
      {more > 0 && <p className="quiet">{texts.moreTypeWordWhat(more)}</p>}
      {answered && pots.total > 0 && found.hits === 0 && (
        <p className="quiet">{texts.noPotSheetFits(wanted)}</p>
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
    <p className="fs-5">{texts.noPotSheetsYet}</p>
    {mayEdit ? (
      <>
        <p>{texts.writeFirstOneYou}</p>
        <Link prefetch={false} className="btn btn-primary" href="/pot/new">
          {texts.writeFirstPotSheet}
        </Link>
      </>
    ) : (
      <p>{texts.managerWritesFirstOne}</p>
    )}
  </div>
);

/** Columns of words rather than figures. */
const WORDS = { left: true, className: 'quiet small-line' } as const;

function Pots({ pots }: { readonly pots: readonly PotSummary[] }) {
  const { currencySign, hours, counted } = useFormatters();
  const litreWords = texts.perLitre(currencySign, counted.length > 1 ? `, ${layersText(counted)}` : '');
  const columns = useMemo((): Column<PotSummary>[] => {
    const most = Math.max(1, ...pots.map((p) => p.mostMl));
    return [
      {
        id: 'name',
        head: texts.pot,
        by: (p) => p.name,
        cell: (p) => <NameLink pot={p} />,
      },
      {
        id: 'from',
        head: texts.madeFrom,
        ...WORDS,
        cell: (p) => (p.from.length > 0 ? p.from.join(', ') : texts.larder),
      },
      {
        id: 'vessel',
        head: texts.stands,
        ...WORDS,
        cell: (p) => p.vessel,
      },
      {
        id: 'litres',
        head: texts.yieldPeakVolume,
        largestFirst: true,
        by: (p) => p.ml,
        className: 'bar-cell',
        cell: (p) => <Litres pot={p} most={most} />,
      },
      {
        id: 'hob',
        head: texts.hob,
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

const NameLink = ({ pot }: { readonly pot: PotSummary }) => (
  <Link prefetch={false} href={`/pot/${pot.id}`}>
    {pot.name}
  </Link>
);

/** What it gives against the most it held, drawn from the right: what boiled away is the pale part. */
function Litres({ pot: p, most }: { readonly pot: PotSummary; readonly most: number }) {
  const { litres } = useFormatters();
  const left = p.mostMl > 0 ? Math.min(100, (p.ml / p.mostMl) * 100) : 0;
  return (
    <>
      <span className="fig">{texts.partOf(litres(p.ml), litres(p.mostMl))}</span>
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
        {texts.incomplete}
      </span>
    );
  return (
    <>
      <WhyFigure of={`product:${p.id}`} label={`${p.name}, a ${p.perKg === null ? 'litre' : 'kilo'}`}>
        {money(p.perKg ?? p.perL)}
      </WhyFigure>
      {p.perKg !== null && <div className="quiet small-line">{texts.perKilo}</div>}
    </>
  );
}
