'use client';

import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { KIND_WORDS } from '../../words';
import { findForBench } from '../actions';
import { putOnBench } from '../wire';
import type { BenchIndex, BenchRow } from '../queries';
import { TRY_AGAIN } from '@/wire';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** What is on the bench now, what tests say that waits, and which yield is worth weighing next. */
export function BenchIndexView({ index }: { readonly index: BenchIndex }) {
  const [wanted, setWanted] = useState('');
  const { searching, hits } = useHits(wanted);
  const [message, setMessage] = useState<string>();
  const router = useRouter();
  const rows = searching ? (hits?.rows ?? []) : index.rows;
  const begin = async (ingredient: string): Promise<void> => {
    const answer = await putOnBench({ ingredient }).catch(() => ({
      ok: false as const,
      message: TRY_AGAIN,
    }));
    if (answer.ok) router.push(`/trim/bench/${answer.value.id}`);
    else setMessage(answer.message);
  };
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.yieldTests}</h1>
          <p className="lead-line">{texts.whatLeftAfterTrimming}</p>
        </div>
        <Form.Control
          type="search"
          placeholder={texts.whatYouWeighing}
          aria-label={texts.whatYouWeighing}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </Stack>
      <TroubleText says={message} />
      {index.open.length > 0 && !searching && <OnBench open={index.open} />}
      <SheetTable className="tall">
        <BenchHead mayTest={index.mayTest} />
        <tbody>
          {rows.map((row) => (
            <Row key={row.id} row={row} begin={index.mayTest ? begin : undefined} />
          ))}
        </tbody>
      </SheetTable>
      {searching && hits?.of === wanted.trim() && rows.length === 0 && (
        <p className="quiet">{texts.nothingLarderFits(wanted.trim())}</p>
      )}
      {!searching && index.total === 0 && <p className="quiet">{texts.noIngredientsYetTake}</p>}
    </>
  );
}

function Row({
  row,
  begin,
}: {
  readonly row: BenchRow;
  readonly begin: ((ingredient: string) => Promise<void>) | undefined;
}) {
  const { bare, day } = useFormatters();
  return (
    <tr>
      <th scope="row">
        <Link prefetch={false} href={`/trim/${row.id}`}>
          {row.name}
        </Link>
      </th>
      <td className="fig">
        <span
          className={row.guess ? 'estimate' : ''}
          title={row.guess ? texts.estimateNotMeasuredHere : texts.measuredHereOrNothing}
        >
          {bare(row.usablePct, 1)} %
        </span>
      </td>
      <td className="left fig quiet">
        {row.range ? `${bare(row.range[0], 0)} – ${bare(row.range[1], 0)}` : ''}
      </td>
      <td className="fig">{row.tests === 0 ? '' : row.tests}</td>
      <td className="left fig quiet">{row.lastOn ? day(row.lastOn) : ''}</td>
      <td className="fig strong">{row.inDoubt >= 0.005 ? `± ${bare(row.inDoubt)}` : ''}</td>
      <td className="left">
        {row.waits.length > 0 && (
          <Link prefetch={false} className="fw-semibold hot" href={`/trim/${row.id}`}>
            {texts.testsSay} {row.waits[0]}
            {row.waits.length > 1 && texts.more(row.waits.length - 1)}
          </Link>
        )}
        {row.outliers > 0 && (
          <span className="warning small-line ms-2"> {texts.oneTestTestsUnusual(row.outliers)}</span>
        )}
      </td>
      {begin && (
        <td>
          <Button
            variant="plain"
            size="sm"
            aria-label={texts.putBench(row.name)}
            onClick={() => void begin(row.id)}
          >
            {texts.weigh}
          </Button>
        </td>
      )}
    </tr>
  );
}

function OnBench({ open }: { readonly open: BenchIndex['open'] }) {
  const { day } = useFormatters();
  return (
    <section className="d-flex flex-wrap gap-3" aria-label={texts.benchNow}>
      {open.map((t) => (
        <Link
          key={t.id}
          prefetch={false}
          href={`/trim/bench/${t.id}`}
          className="alert alert-primary d-grid mb-2"
        >
          <b>{t.ingredient}</b>
          <span>
            {KIND_WORDS[t.kind]}, {t.start || texts.noStartWeightYet} · {t.by ?? texts.somebody}, {day(t.on)}
          </span>
          <span className="hot fw-semibold">{texts.continueWeighing}</span>
        </Link>
      ))}
    </section>
  );
}

function BenchHead({ mayTest }: { readonly mayTest: boolean }) {
  const { currencySign } = useFormatters();
  return (
    <thead>
      <tr>
        <th scope="col">{texts.ingredient}</th>
        <th scope="col">{texts.usableNow}</th>
        <th scope="col" className="left">
          {texts.likely}
        </th>
        <th scope="col">{texts.ownTests}</th>
        <th scope="col" className="left">
          {texts.last}
        </th>
        <th scope="col">{texts.uncertaintyPerWeek(currencySign)}</th>
        <th scope="col" className="left">
          <span className="visually-hidden">{texts.whatWaits}</span>
        </th>
        {mayTest && (
          <th scope="col">
            <span className="visually-hidden">{texts.startTest}</span>
          </th>
        )}
      </tr>
    </thead>
  );
}

/** What of the larder fits what is typed; an answer that comes late is dropped. */
function useHits(wanted: string) {
  const [hits, setHits] = useState<{ readonly of: string; readonly rows: readonly BenchRow[] } | null>(null);
  useEffect(() => {
    const typed = wanted.trim();
    if (typed === '') return;
    let here = true;
    void findForBench(typed).then((rows) => here && setHits({ of: typed, rows }));
    return () => {
      here = false;
    };
  }, [wanted]);
  return { searching: wanted.trim() !== '', hits };
}
