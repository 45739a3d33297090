'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import type { BatchFigures, Cooling } from '@/core/batch';
import { clockIn } from '@/core/day';
import { ArchivedList } from '@/ui/tables/archived-list';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { BatchShown, BoardPage, EndedRow } from '../../queries';
import { archiveBatch } from '../../wire';
import { bandWords, coolsLate, isLate, leftWords, nextLimit, nextMoment } from '../batch/batch-words';
import { AlarmPanel } from './alarm-panel';
import { PotOnHob } from './pot-on-hob';
import { OfflinePages } from './offline-pages';
import { LazyStartBatch } from '../batch/lazy-panels';
import { useBatchEstimate, useRefresh } from '../batch/use-batch-estimate';
import * as texts from './texts';

/** The stove: every pot that is on, what it needs next, and what has been cooked lately. */
export function BoardView({
  page,
  put,
}: {
  readonly page: BoardPage;
  /** The sheet that somebody came to put on. */
  readonly put: string | undefined;
}) {
  const { batches, ended, mayTell } = page;
  const [putting, setPutting] = useState(put !== undefined && page.mayTell);
  useRefresh();
  // Those that want somebody first, as it was when the page was read: cards do not move under a hand.
  const sorted = [...batches].sort((a, b) => nextMoment(a.first) - nextMoment(b.first));
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{texts.stove}</h1>
          <p className="lead-line">
            {batches.length === 0 ? texts.noBatch : texts.drawnOneScaleDashed(howMany(batches))}
          </p>
        </div>
        <Link prefetch={false} href="/stove/learned">
          {texts.learnedFromBatches}
        </Link>
        {mayTell && (
          <Button size="lg" onClick={() => setPutting(true)}>
            {texts.startBatch}
          </Button>
        )}
      </Stack>
      <AlarmPanel />
      {batches.length === 0 && <p className="fs-5 my-4">{texts.startBatchFromSheet}</p>}
      <ul className="hobs" aria-label={texts.batches}>
        {sorted.map((batch) => (
          <Card key={batch.id} batch={batch} />
        ))}
      </ul>
      {ended.length > 0 && <Ended rows={ended} />}
      <ArchivedList rows={page.away} bringBack={(id) => archiveBatch({ id, away: false })} />
      <OfflinePages
        pages={['/stove', ...batches.map((b) => `/stove/${b.id}`)]}
        told={batches.map((b) => b.events.at(-1)?.id).join(' ')}
      />
      {putting && <LazyStartBatch page={page} first={put} close={() => setPutting(false)} />}
    </>
  );
}

/** How many pots are on, and how many that are over still cool. */
function howMany(batches: readonly BatchShown[]): string {
  const cools = batches.filter((b) => b.end !== undefined).length;
  const on = batches.length - cools;
  const cooling = cools === 0 ? [] : [`${cools} ${cools === 1 ? 'cools' : 'cool'}`];
  return [texts.on(on), ...cooling].join(', ');
}

/** How long the line at hand still takes, and which it is. */
function CardCooks({
  figures,
  line,
}: {
  readonly figures: BatchFigures | undefined;
  readonly line: string | undefined;
}) {
  const { hours } = useFormatters();
  const { left } = figures ?? {};
  const band = left && bandWords(left, hours);
  return (
    <>
      <span className="fig-large">{left ? leftWords(left, hours) : line ? texts.needsYou : texts.ended}</span>
      <span className="small-line">
        {band !== undefined && texts.eightInTen(band)}
        {line ?? texts.allLinesDone}
      </span>
    </>
  );
}

const HOUR = 3_600_000;

/** How cold it is, and the limit of the house that it is to be at next. */
function CardCools({ cooling, zone }: { readonly cooling: Cooling; readonly zone: string }) {
  const limit = nextLimit(cooling);
  const by = limit && clockIn(zone, new Date(cooling.offAt + limit.withinH * HOUR));
  return (
    <>
      <span className="fig-large">{texts.c(Math.round(cooling.now.middle))}</span>
      <span className={coolsLate(cooling) ? 'small-line hot' : 'small-line'}>
        {limit ? texts.coolsC(limit.toC, by) : texts.cools}
        {cooling.limits.some((l) => l.passed)
          ? texts.pastLimitHouse
          : coolsLate(cooling)
            ? texts.tooLate
            : ''}
      </span>
    </>
  );
}

function Card({ batch }: { readonly batch: BatchShown }) {
  const { figures } = useBatchEstimate(batch);
  const { litres } = useFormatters();
  const { vessel, lines } = batch;
  const line = figures && lines[figures.at];
  const { pot, then } = figures ?? {};
  const late = figures !== undefined && (isLate(figures) || coolsLate(figures.cooling));
  const litresNow = pot ? litres(pot.ml) : undefined;
  return (
    <li>
      <Link prefetch={false} href={`/stove/${batch.id}`} className={`hob-card${late ? ' late' : ''}`}>
        <span className="name">{batch.name}</span>
        {figures?.cooling ? (
          <CardCools cooling={figures.cooling} zone={batch.zone} />
        ) : (
          <CardCooks figures={figures} line={line?.words} />
        )}
        {vessel && (
          <span className="drawn">
            <PotOnHob
              vessel={vessel}
              pot={pot}
              then={then}
              words={`${vessel.name}: ${litresNow ?? texts.notKnownHowMuch}`}
            />
          </span>
        )}
        <span className="fig">
          {litresNow}
          {pot && <span className="quiet"> {texts.cmBelowRim(pot.dipCm.toFixed(1))}</span>}
        </span>
        <span className="quiet small-line">
          {vessel?.name} {texts.onHob(batch.hob)}
        </span>
        {(figures?.trouble ?? batch.gone) && (
          <span className="trouble small-line">{figures?.trouble?.says ?? batch.gone}</span>
        )}
        {figures && figures.asked.length > 0 && (
          <span className="warning small-line">{texts.readingNotPossibleWhat}</span>
        )}
      </Link>
    </li>
  );
}

/** Times of what a litre should have cost from which it is marked. */
const DEARER = 1.05;
const isDearer = ({ perL, shouldPerL }: NonNullable<EndedRow['end']>): boolean =>
  perL !== null && shouldPerL !== null && perL > shouldPerL * DEARER;

function Ended({ rows }: { readonly rows: readonly EndedRow[] }) {
  const { day, bare, money } = useFormatters();
  return (
    <section aria-label={texts.recentBatches}>
      <h2>{texts.recentBatches}</h2>
      <SheetTable className="list-table w-auto">
        <thead>
          <tr>
            <th scope="col">{texts.batch}</th>
            <th scope="col">{texts.litresGot}</th>
            <th scope="col">{texts.planned}</th>
            <th scope="col">{texts.costPerLitre}</th>
            <th scope="col">{texts.planned}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.id}>
              <td>
                <Link prefetch={false} href={`/stove/${r.id}`}>
                  {r.name}
                </Link>{' '}
                <span className="quiet small-line">{day(r.endedOn)}</span>
                {r.end && r.end.thin > 0.05 && <span className="hot small-line"> {texts.thin}</span>}
              </td>
              <td className="fig">{r.end ? bare(r.end.got, 2) : '–'}</td>
              <td className="fig quiet">{r.end ? bare(r.end.should, 2) : '–'}</td>
              <td className={`fig strong${r.end && isDearer(r.end) ? ' dearer' : ''}`}>
                {money(r.end?.perL ?? null)}
              </td>
              <td className="fig quiet">{money(r.end?.shouldPerL ?? null)}</td>
            </tr>
          ))}
        </tbody>
      </SheetTable>
    </section>
  );
}
