'use client';

import Button from 'react-bootstrap/Button';
import Link from 'next/link';
import { useState } from 'react';
import { useFormatters } from '@/ui/formatters-context';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { KIND_WORDS } from '../../words';
import { leaveOutTest } from '../send';
import type { TestDot, TaughtPage } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

interface Row extends TestDot {
  /** Its figures in words. */
  readonly says: string;
}

/** One row for each test, whatever it weighed, newest first. */
function rowsOf(page: TaughtPage, bare: (v: number, digits: number) => string): Row[] {
  const rows = new Map<string, Row>();
  for (const f of page.figures)
    for (const d of f.dots) {
      const said = `${f.title.split(':').at(-1)?.trim().toLowerCase()} ${bare(d.value, 1)} ${f.unit}`;
      const before = rows.get(d.id);
      rows.set(d.id, {
        ...d,
        outlier: d.outlier || (before?.outlier ?? false),
        says: before ? `${before.says} · ${said}` : said,
      });
    }
  return [...rows.values()].sort((a, b) => b.on.localeCompare(a.on));
}

/** Every own test; one that is far off is flagged, and left out only by a person who says why. */
export function TestsTable({ page }: { readonly page: TaughtPage }) {
  const { bare } = useFormatters();
  const rows = rowsOf(page, bare);
  if (rows.length === 0) return null;
  return (
    <SheetTable className="roomy">
      <thead>
        <tr>
          <th scope="col">{texts.ownTests}</th>
          <th scope="col" className="left">
            {texts.whatTheySaid}
          </th>
          <th scope="col" className="left">
            {texts.ofWord}
          </th>
          <th scope="col" className="left">
            {texts.counts}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <TestRow key={row.id} row={row} page={page} />
        ))}
      </tbody>
    </SheetTable>
  );
}

function TestRow({ row, page }: { readonly row: Row; readonly page: TaughtPage }) {
  const { day } = useFormatters();
  const [keep, state] = useSave();
  return (
    <tr className={row.outlier ? 'row-far' : row.not ? 'row-not' : ''}>
      <th scope="row">
        <Link prefetch={false} href={`/trim/bench/${row.id}`}>
          {day(row.on)}
        </Link>
        <div className="quiet small-line">
          {KIND_WORDS[row.kind]}
          {row.by ? `, ${row.by}` : ''}
        </div>
      </th>
      <td className="left">
        <span className="fig">{row.says}</span>
        {row.note && <div className="quiet small-line">“{row.note}”</div>}
      </td>
      <td className="left">
        {row.supplier ?? ''}
        <div className="quiet small-line">{row.season}</div>
      </td>
      <td className="left">
        {row.outlier && <span className="warning small-line">{texts.farFromWhatOthers}</span>}
        <WhetherItCounts row={row} page={page} keep={keep} />
        <TroubleText as="div" says={state.message} />
      </td>
    </tr>
  );
}

type Keep = ReturnType<typeof useSave>[0];

/** That it counts, by how much, or why it does not; and the way to change that. */
function WhetherItCounts({
  row,
  page,
  keep,
}: {
  readonly row: Row;
  readonly page: TaughtPage;
  readonly keep: Keep;
}) {
  const { day } = useFormatters();
  const [asking, setAsking] = useState(false);
  if (row.not === 'left out')
    return (
      <>
        <span className="small-line">
          {texts.leftOut} {row.why}
        </span>{' '}
        {page.mayEdit && (
          <Button
            variant="link"
            size="sm"
            onClick={() => void keep(() => leaveOutTest({ test: row.id, why: null }))}
          >
            {texts.countAgain}
          </Button>
        )}
      </>
    );
  if (row.not) return <span className="quiet small-line">{texts.no(row.not)}</span>;
  return (
    <>
      {row.weight < 0.95 && (
        <span className="quiet small-line">{texts.fades(Math.round(row.weight * 100))} </span>
      )}
      {page.mayEdit && !asking && (
        <Button
          variant="link"
          size="sm"
          aria-label={texts.leaveTestOut(day(row.on))}
          onClick={() => setAsking(true)}
        >
          {texts.leaveOut}
        </Button>
      )}
      {asking && <WhyOut row={row} keep={keep} onDone={() => setAsking(false)} />}
    </>
  );
}

/** Nothing is left out without a reason. */
function WhyOut({
  row,
  keep,
  onDone,
}: {
  readonly row: Row;
  readonly keep: Keep;
  readonly onDone: () => void;
}) {
  const [why, setWhy] = useState(row.outlier ? (row.note ?? '') : '');
  return (
    <form
      className="d-flex flex-wrap gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void keep(() => leaveOutTest({ test: row.id, why })).then((ok) => ok && onDone());
      }}
    >
      <input
        className="typed typed-text"
        aria-label={texts.whyDoesNotCount}
        placeholder={texts.why}
        value={why}
        onChange={(event) => setWhy(event.target.value)}
      />
      <Button type="submit" variant="plain" size="sm">
        {texts.leaveOutHeading}
      </Button>
    </form>
  );
}
