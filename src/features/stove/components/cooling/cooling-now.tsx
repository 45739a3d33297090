'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { coolingWords } from '@/core/safety';
import type { Cooling, LimitAhead, WarmHolding } from '@/core/batch';
import { clockIn } from '@/core/day';
import { PLACES } from '@/core/kitchen-file';
import { useFormatters } from '@/ui/formatters-context';
import type { BatchShown } from '../../queries';
import type { LiveBatch } from '../batch/use-batch-estimate';
import { LazyCourse } from '../batch/lazy-panels';

const HOUR = 3_600_000;
/** Share of what could be from which it is said that a limit may be missed. */
const MAY = 0.1;

/** How a pot cools: each limit of the house with when it will be there. Nothing is ever called safe. */
export function CoolingNow({
  batch,
  cooling,
  depthCm,
  tell,
}: {
  readonly batch: BatchShown;
  readonly cooling: Cooling;
  /** How deep it stands in its vessel. */
  readonly depthCm: number | undefined;
  /** Left out for somebody who may not tell. */
  readonly tell: LiveBatch['tell'] | undefined;
}) {
  const { hours } = useFormatters();
  const { limits, since, now } = cooling;
  return (
    <section className="cooling" aria-label="Cooling">
      <p className="fig-label m-0">
        heat off since {clockIn(batch.zone, new Date(cooling.offAt))}, {hours(since)}
      </p>
      <p className="batch-left m-0">
        {Math.round(now.middle)} °C
        <small>
          {cooling.reads.length === 0
            ? 'as pots usually cool: put a probe in, and read it'
            : `by what was read; ${Math.round(now.low)} to ${Math.round(now.high)} °C (8 in 10)`}
        </small>
      </p>
      {limits.length === 0 && (
        <p className="warning m-0">
          This kitchen has not said how fast a pot has to be cold.{' '}
          <Link prefetch={false} href="/house">
            A manager says so here.
          </Link>
        </p>
      )}
      {limits.map((limit) => (
        <Limit key={limit.toC} limit={limit} cooling={cooling} zone={batch.zone} />
      ))}
      {limits.some((l) => l.missed) && (
        <p className="m-0">
          What people usually do: spread it into trays no deeper than 5 cm or small tubs, stand them in ice
          water, and stir.
        </p>
      )}
      {tell && <Moves tell={tell} depthCm={depthCm} place={cooling.place} />}
      <LazyCourse cooling={cooling} />
      <Link prefetch={false} href={`/stove/${batch.id}/cooling`}>
        The record, to be printed
      </Link>
    </section>
  );
}

function Limit({
  limit,
  cooling,
  zone,
}: {
  readonly limit: LimitAhead;
  readonly cooling: Cooling;
  readonly zone: string;
}) {
  const { hours } = useFormatters();
  const { toC, withinH, at, read, late, missed, passed, creeps } = limit;
  const by = clockIn(zone, new Date(cooling.offAt + withinH * HOUR));
  const clock = (h: number): string => clockIn(zone, new Date(cooling.offAt + h * HOUR));
  if (passed)
    return (
      <p className="trouble m-0" role="alert">
        {toC} °C by {by}: past the limit of this house
        {read === undefined ? ', and not measured there' : `, measured there only at ${clock(read)}`}.{' '}
        {coolingWords.planDecides}
      </p>
    );
  if (read !== undefined)
    return (
      <p className="m-0">
        <b>{toC} °C</b> by {by}: read there at {clock(read)}.
      </p>
    );
  const left = (h: number): string => hours(Math.max(0, h - cooling.since));
  return (
    <p className={missed ? 'warning m-0' : 'm-0'} role={missed ? 'alert' : undefined}>
      <b>{toC} °C</b> by {by}:{' '}
      {at && at.middle < Infinity
        ? `in ${left(at.middle)}${at.high < Infinity ? `, ${left(at.low)} to ${left(at.high)} (8 in 10)` : ''}`
        : 'it will not get there where it stands'}
      {missed ? '; it will be too late' : late >= MAY ? `; too late in ${Math.round(late * 10)} of 10` : ''}
      {creeps && '; what is around it is hardly colder'}
    </p>
  );
}

/** Depths that containers stand at, cm. */
const DEPTHS = [3, 5, 7, 10, 15, 20, 25, 30, 40] as const;

/** Where it cools, and how deep: the forecast follows. */
function Moves({
  tell,
  depthCm,
  place,
}: {
  readonly tell: LiveBatch['tell'];
  readonly depthCm: number | undefined;
  readonly place: Cooling['place'];
}) {
  const [depth, setDepth] = useState<number>();
  const own = depthCm === undefined || depthCm <= 0 ? 10 : Math.max(1, Math.round(depthCm));
  const cm = depth ?? own;
  return (
    <div className="d-flex flex-wrap gap-2 align-items-center" role="group" aria-label="Where it cools">
      <span className="quiet">
        {place ? `In the ${place.to}, ${place.depthCm} cm deep. Moved?` : 'Where does it cool?'}
      </span>
      <Form.Select
        className="w-auto"
        aria-label="How deep it stands"
        value={cm}
        onChange={(event) => setDepth(Number(event.target.value))}
      >
        {[...new Set([own, ...DEPTHS])]
          .sort((a, b) => a - b)
          .map((d) => (
            <option key={d} value={d}>
              {d} cm deep
            </option>
          ))}
      </Form.Select>
      {PLACES.map((to) => (
        <Button
          key={to}
          variant={place?.to === to ? 'primary' : 'outline-primary'}
          onClick={() => void tell({ is: 'moved', to, depthCm: cm })}
        >
          {to}
        </Button>
      ))}
    </div>
  );
}

/** How something that is reheated or held hot stands beside the house’s rule. */
export function WarmNow({ warm }: { readonly warm: WarmHolding }) {
  const { hours } = useFormatters();
  const { is, since, limitC, withinH, at, there, broken, reads } = warm;
  const last = reads.at(-1);
  return (
    <section className="cooling" aria-label={is === 'reheating' ? 'Reheating' : 'Held hot'}>
      <p className="fig-label m-0">
        {is === 'reheating' ? 'reheated' : 'held hot'} for {hours(since)}
      </p>
      <p className="batch-left m-0">
        {last ? `${last.celsius} °C` : 'no reading yet'}
        <small>{last ? 'read last' : 'put a probe in, and read it'}</small>
      </p>
      {limitC === undefined ? (
        <p className="warning m-0">
          This kitchen has not said how hot it has to be.{' '}
          <Link prefetch={false} href="/house">
            A manager says so here.
          </Link>
        </p>
      ) : (
        <p className={broken ? 'trouble m-0' : 'm-0'} role={broken ? 'alert' : undefined}>
          {is === 'reheating'
            ? `To ${limitC} °C within ${hours(withinH ?? 0)}: ${
                broken
                  ? 'past the rule of this house'
                  : there
                    ? 'read there'
                    : at && at.middle < Infinity
                      ? `in ${hours(Math.max(0, at.middle - since))}, as it goes now`
                      : 'not read there yet'
              }.`
            : `Not below ${limitC} °C: ${
                broken
                  ? 'it was read below'
                  : at && at.middle < Infinity
                    ? `it will be there in ${hours(Math.max(0, at.middle - since))}, as it goes now: turn it up`
                    : 'it holds'
              }.`}
          {broken && ` ${coolingWords.planDecides}`}
        </p>
      )}
    </section>
  );
}
