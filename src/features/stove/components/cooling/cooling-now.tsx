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
import * as texts from './texts';

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
    <section className="cooling" aria-label={texts.cooling}>
      <p className="fig-label m-0">
        {texts.heatOffSince(clockIn(batch.zone, new Date(cooling.offAt)), hours(since))}
      </p>
      <p className="batch-left m-0">
        {texts.celsius(Math.round(now.middle))}
        <small>
          {cooling.reads.length === 0
            ? texts.potsUsuallyCoolPut
            : texts.celsiusEightInTen(Math.round(now.low), Math.round(now.high))}
        </small>
      </p>
      {limits.length === 0 && (
        <p className="warning m-0">
          {texts.kitchenNoCoolingLimit}{' '}
          <Link prefetch={false} href="/house">
            {texts.managerSetsHere}
          </Link>
        </p>
      )}
      {limits.map((limit) => (
        <Limit key={limit.toC} limit={limit} cooling={cooling} zone={batch.zone} />
      ))}
      {limits.some((l) => l.missed) && <p className="m-0">{texts.whatPeopleUsuallyDo}</p>}
      {tell && <Moves tell={tell} depthCm={depthCm} place={cooling.place} />}
      <LazyCourse cooling={cooling} />
      <Link prefetch={false} href={`/stove/${batch.id}/cooling`}>
        {texts.recordPrint}
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
        {texts.cPastLimitHouse(
          toC,
          by,
          read === undefined ? undefined : clock(read),
          coolingWords.planDecides,
        )}
      </p>
    );
  if (read !== undefined)
    return (
      <p className="m-0">
        <b>{texts.celsius(toC)}</b> {texts.readWithBy(by, clock(read))}
      </p>
    );
  const left = (h: number): string => hours(Math.max(0, h - cooling.since));
  return (
    <p className={missed ? 'warning m-0' : 'm-0'} role={missed ? 'alert' : undefined}>
      <b>{texts.celsius(toC)}</b> {texts.by} {by}:{' '}
      {at && at.middle < Infinity
        ? texts.inText(left(at.middle), at.high, left(at.low), left(at.high))
        : texts.willNotGetWhere}
      {missed ? texts.tooLate : late >= MAY ? texts.tooLate10(Math.round(late * 10)) : ''}
      {creeps && texts.whatAroundHardlyColder}
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
    <div className="d-flex flex-wrap gap-2 align-items-center" role="group" aria-label={texts.whereCools}>
      <span className="quiet">
        {place ? texts.cmDeepMoved(place.to, place.depthCm) : texts.whereDoesCool}
      </span>
      <Form.Select
        className="w-auto"
        aria-label={texts.howDeep}
        value={cm}
        onChange={(event) => setDepth(Number(event.target.value))}
      >
        {[...new Set([own, ...DEPTHS])]
          .sort((a, b) => a - b)
          .map((d) => (
            <option key={d} value={d}>
              {texts.cmDeep(d)}
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
    <section className="cooling" aria-label={is === 'reheating' ? texts.reheating : texts.heldHot}>
      <p className="fig-label m-0">{texts.reheatingReheatedHeldHot(is, hours(since))}</p>
      <p className="batch-left m-0">
        {last ? `${last.celsius} °C` : texts.noReadingYet}
        <small>{last ? texts.readLast : texts.putProbeRead}</small>
      </p>
      {limitC === undefined ? (
        <p className="warning m-0">
          {texts.kitchenNoTemperatureLimit}{' '}
          <Link prefetch={false} href="/house">
            {texts.managerSetsHere}
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
