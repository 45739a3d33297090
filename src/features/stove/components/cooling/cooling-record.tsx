'use client';

import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import { coolingWords } from '@/core/safety';
import type { Cooling } from '@/core/batch';
import { clockIn, dayIn } from '@/core/day';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { BatchShown } from '../../queries';

const HOUR = 3_600_000;

/** What was read of a pot as it cooled, with the limits that held and who read: to be kept, and printed. */
export function CoolingRecord({ batch }: { readonly batch: BatchShown }) {
  const { day } = useFormatters();
  const cooling = batch.first?.cooling;
  if (!cooling)
    return (
      <>
        <h1>{batch.name}: cooling</h1>
        <p>
          Nobody has said yet that its heat is off.{' '}
          <Link prefetch={false} href={`/stove/${batch.id}`}>
            Back to the pot
          </Link>
        </p>
      </>
    );
  const off = new Date(cooling.offAt);
  const by = new Map(batch.events.map((e) => [e.id, e.by]));
  const clock = (h: number): string => clockIn(batch.zone, new Date(cooling.offAt + h * HOUR));
  return (
    <>
      <div className="page-head">
        <h1>{batch.name}: cooling</h1>
        <p className="lead-line">
          {batch.vessel?.name}; heat off {day(dayIn(batch.zone, off))} at {clockIn(batch.zone, off)}.{' '}
          <Link prefetch={false} className="no-print" href={`/stove/${batch.id}`}>
            Back to the pot
          </Link>{' '}
          <Button className="no-print" variant="link" size="sm" onClick={() => window.print()}>
            Print it
          </Button>
        </p>
      </div>
      <Limits cooling={cooling} clock={clock} />
      <Reads cooling={cooling} clock={clock} by={by} />
      <p className="quiet">{coolingWords.mayBeServed}</p>
    </>
  );
}

interface Kept {
  readonly cooling: Cooling;
  readonly clock: (h: number) => string;
}

function Limits({ cooling, clock }: Kept) {
  const { hours } = useFormatters();
  return (
    <>
      <h2>Limits of this house</h2>
      {cooling.limits.length === 0 ? (
        <p>None are set.</p>
      ) : (
        <ul>
          {cooling.limits.map((l) => (
            <li key={l.toC}>
              {l.toC} °C within {hours(l.withinH)}, by {clock(l.withinH)}:{' '}
              {l.read === undefined ? 'not read there' : `read there at ${clock(l.read)}`}
              {l.passed && ' – past the limit'}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function Reads({ cooling, clock, by }: Kept & { readonly by: ReadonlyMap<string, string | undefined> }) {
  const { hours } = useFormatters();
  return (
    <>
      <h2>Readings</h2>
      {cooling.reads.length === 0 ? (
        <p>Nothing yet.</p>
      ) : (
        <SheetTable className="list-table w-auto">
          <thead>
            <tr>
              <th scope="col">at</th>
              <th scope="col">after</th>
              <th scope="col">°C</th>
              <th scope="col" className="left">
                read by
              </th>
            </tr>
          </thead>
          <tbody>
            {cooling.reads.map((r) => (
              <tr key={r.id}>
                <td className="fig">{clock(r.h)}</td>
                <td className="fig">{hours(r.h)}</td>
                <td className="fig strong">{r.celsius}</td>
                <td className="left">{by.get(r.id) ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </SheetTable>
      )}
    </>
  );
}
