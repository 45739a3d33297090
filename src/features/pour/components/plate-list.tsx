'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { ArchivedList, type ArchivedRow } from '@/ui/tables/archived-list';
import { DataTable, type Column } from '@/ui/tables/data-table';
import { layersText } from '@/ui/frame/counted-layers';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import { WhyFigure } from '@/ui/panels/why';
import type { PlateSummary } from '../queries';
import { archivePlate } from '../send';
import * as texts from './texts';

const NewPlateForm = dynamic(() => import('./plate-forms').then((m) => m.NewPlateForm), { ssr: false });

/** What is told of a plate, and what the list is ordered by. */
function usePlateColumns(): readonly Column<PlateSummary>[] {
  const { money, bare, counted } = useFormatters();
  return useMemo(
    (): Column<PlateSummary>[] => [
      {
        id: 'name',
        head: texts.dishHeading,
        by: (p) => p.name,
        cell: (p) => (
          <>
            <Link prefetch={false} href={`/pour/${p.id}`}>
              {p.name}
            </Link>
            {p.sizeOf !== undefined && <div className="quiet small-line">{texts.size(p.sizeOf)}</div>}
          </>
        ),
      },
      {
        id: 'menu',
        head: texts.menu,
        largestFirst: true,
        by: (p) => (p.menuPrice === undefined ? undefined : Number(p.menuPrice)),
        className: 'fig',
        cell: (p) => (p.menuPrice === undefined ? '–' : money(Number(p.menuPrice))),
      },
      {
        id: 'food',
        head: texts.foodCost,
        largestFirst: true,
        by: (p) => p.foodCostPct,
        className: 'fig',
        cell: (p) => (p.foodCostPct === null ? '–' : `${bare(p.foodCostPct, 1)} %`),
      },
      {
        id: 'target',
        head: texts.targetInline,
        largestFirst: true,
        // How far over it, so that what breaks its target comes first.
        by: (p) => (p.foodCostPct === null || p.target === undefined ? undefined : p.foodCostPct - p.target),
        cell: (p) => <FoodCostVerdict pct={p.foodCostPct} target={p.target} />,
      },
      {
        id: 'cost',
        head: counted.length > 1 ? `costs, ${layersText(counted)}` : 'costs',
        largestFirst: true,
        by: (p) => p.cost,
        className: 'fig fs-5 fw-bold',
        cell: (p) => <Cost plate={p} />,
      },
    ],
    [money, bare, counted],
  );
}

/** Every plate: what it costs to put together, and whether it keeps its target. */
export function PlateList({
  plates,
  away,
  mayEdit,
}: {
  readonly plates: readonly PlateSummary[];
  readonly away: readonly ArchivedRow[];
  readonly mayEdit: boolean;
}) {
  const columns = usePlateColumns();
  const [making, setMaking] = useState(false);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{texts.dishes}</h1>
          <p className="lead-line">{texts.everyDishCostPrice}</p>
        </div>
        {plates.length > 0 && <LayerSwitch />}
        {mayEdit && plates.length > 0 && (
          <Button variant="outline-primary" onClick={() => setMaking(true)}>
            {texts.newDish}
          </Button>
        )}
      </Stack>
      {plates.length === 0 ? (
        <div className="my-4" style={{ maxWidth: '38rem' }}>
          <p className="fs-5">{texts.noDishesYet}</p>
          {mayEdit ? (
            <>
              <p>{texts.dishNameListWhat}</p>
              <Button onClick={() => setMaking(true)}>{texts.createFirstDish}</Button>
            </>
          ) : (
            <p>{texts.managerCreatesFirstOne}</p>
          )}
        </div>
      ) : (
        <DataTable className="list-table tall" columns={columns} rows={plates} rowKey={(p) => p.id} />
      )}
      {mayEdit && <ArchivedList rows={away} bringBack={(id) => archivePlate({ id, away: false })} />}
      <SidePanel title={texts.newDish} open={making} close={() => setMaking(false)}>
        <NewPlateForm like={null} />
      </SidePanel>
    </>
  );
}

function Cost({ plate: p }: { readonly plate: PlateSummary }) {
  const { money } = useFormatters();
  return p.cost === null ? (
    <span className="incomplete" title={p.gaps.join(' ')}>
      {texts.incomplete}
    </span>
  ) : (
    <WhyFigure of={`plate:${p.id}`} label={texts.perDish(p.name)}>
      {money(p.cost)}
    </WhyFigure>
  );
}

/** Keeps its target or breaks it, in words as well as in colour. */
export function FoodCostVerdict({ pct, target }: { pct: number | null; target: number | undefined }) {
  const { bare } = useFormatters();
  if (target === undefined) return <span className="quiet">{texts.noneSet}</span>;
  if (pct === null) return <span className="quiet">{bare(target, 0)} %</span>;
  return pct <= target ? (
    <span className="cheaper">{texts.keeps(bare(target, 0))}</span>
  ) : (
    <span className="dearer">{texts.over(bare(target, 0))}</span>
  );
}
