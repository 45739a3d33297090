'use client';

import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import { coolingWords } from '@/core/safety';
import type { Cooling } from '@/core/batch';
import { clockIn, dayIn } from '@/core/day';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { BatchShown } from '../../queries';
import * as texts from './texts';

const HOUR = 3_600_000;

/** What was read of a pot as it cooled, with the limits that held and who read: to be kept, and printed. */
export function CoolingRecord({ batch }: { readonly batch: BatchShown }) {
  const { day } = useFormatters();
  const cooling = batch.first?.cooling;
  if (!cooling)
    return (
      <>
        <h1>{texts.coolingName(batch.name)}</h1>
        <p>
          {texts.heatOffNotEntered}{' '}
          <Link prefetch={false} href={`/stove/${batch.id}`}>
            {texts.backBatch}
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
        <h1>{texts.coolingName(batch.name)}</h1>
        <p className="lead-line">
          {batch.vessel?.name}
          {texts.heatOff(day(dayIn(batch.zone, off)), clockIn(batch.zone, off))}{' '}
          <Link prefetch={false} className="no-print" href={`/stove/${batch.id}`}>
            {texts.backBatch}
          </Link>{' '}
          <Button className="no-print" variant="link" size="sm" onClick={() => window.print()}>
            {texts.print}
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
      <h2>{texts.limitsHouse}</h2>
      {cooling.limits.length === 0 ? (
        <p>{texts.noneSet}</p>
      ) : (
        <ul>
          {cooling.limits.map((l) => (
            <li key={l.toC}>
              {texts.cWithinNotRead(
                l.toC,
                hours(l.withinH),
                clock(l.withinH),
                l.read === undefined ? undefined : clock(l.read),
              )}
              {l.passed && texts.pastLimit}
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
      <h2>{texts.readings}</h2>
      {cooling.reads.length === 0 ? (
        <p>{texts.nothingYet}</p>
      ) : (
        <SheetTable className="list-table w-auto">
          <thead>
            <tr>
              <th scope="col">{texts.at}</th>
              <th scope="col">{texts.after}</th>
              <th scope="col">{texts.c}</th>
              <th scope="col" className="left">
                {texts.read}
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
