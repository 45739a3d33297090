'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Suspense, use, useMemo, type CSSProperties } from 'react';
import Form from 'react-bootstrap/Form';
import InputGroup from 'react-bootstrap/InputGroup';
import Stack from 'react-bootstrap/Stack';
import { CAUSES, type Cause, type PlateChange } from '@/core/cost-changes';
import { DayField } from '@/ui/forms/day-field';
import { useFormatters } from '@/ui/formatters-context';
import { MovementChart } from '@/ui/drawings/movement-chart';
import { SheetTable } from '@/ui/tables/sheet-table';
import type { Closely, WhatChangedPage, Meanwhile } from '../queries';
import * as texts from './texts';

/** Width of the plate that is looked at closely, beside all of them. */
const SIDE = { '--side': '400px' } as CSSProperties;

const KIND_WORDS: Readonly<Record<Cause, string>> = {
  prices: 'prices',
  tests: 'tests',
  pots: 'pots',
  plates: 'dishes',
  reckoning: 'calculation',
};
const EVENT_WORDS: Readonly<Record<Meanwhile['events'][number]['what'], string>> = {
  price: 'price',
  test: 'test',
  pot: 'pot',
  plate: 'dish',
};

/** What happened between two days: what prices, tests, pots and plates each did to every plate, adding up to the difference. */
export function WhatChangedView({ page }: { readonly page: WhatChangedPage }) {
  const go = useGo(page);
  return (
    <>
      <h1>{texts.whatChanged}</h1>
      <p className="lead-line">{texts.whatEachDishsIngredients}</p>
      <Stack direction="horizontal" gap={3} className="flex-wrap mt-2">
        <DayField
          label={texts.fromEnd}
          lead={texts.fromEnd}
          value={page.from}
          max={page.to}
          onChange={(from) => go({ from })}
        />
        <DayField
          label={texts.end}
          lead={texts.end}
          value={page.to}
          max={page.today}
          onChange={(to) => go({ to })}
        />
        <InputGroup className="w-auto flex-nowrap">
          <InputGroup.Text>{texts.pricesTests}</InputGroup.Text>
          <Form.Select
            aria-label={texts.pricesTestsHeading}
            value={page.known}
            onChange={(event) => go({ known: event.target.value })}
          >
            <option value="since">{texts.correctedSince}</option>
            <option value="then">{texts.knownThen}</option>
          </Form.Select>
        </InputGroup>
      </Stack>
      {page.trouble !== undefined && (
        <p className="warning mt-3" role="status">
          {page.trouble}
        </p>
      )}
      {page.plates.length > 0 && (
        <div className="beside mt-3" style={SIDE}>
          <Plates page={page} />
          {page.closely && <OneClosely closely={page.closely} page={page} />}
        </div>
      )}
      {page.plates.length === 0 && page.trouble === undefined && (
        <p className="fs-5 mt-4">{texts.noDishesYet}</p>
      )}
    </>
  );
}

function useGo(page: WhatChangedPage) {
  const router = useRouter();
  return (next: Partial<Record<'from' | 'to' | 'known' | 'of', string>>): void => {
    const all = { from: page.from, to: page.to, known: page.known, of: page.closely?.id, ...next };
    const asked = new URLSearchParams(
      Object.entries(all).flatMap(([k, v]) => (v === undefined || v === '' ? [] : [[k, v]])),
    );
    router.push(`/pour/happened?${asked}`);
  };
}

/** Everything a menu's plates moved by, as many of each as are sold. */
function menusMoved({ menus, plates }: WhatChangedPage) {
  const byId = new Map(plates.map((p) => [p.id, p]));
  return menus.flatMap((menu) => {
    const on = menu.plates.flatMap(({ plate, sold }) => {
      const p = byId.get(plate);
      return p?.by && sold ? [{ p, by: p.by, sold }] : [];
    });
    const all = on.reduce((n, { sold }) => n + sold, 0);
    if (all === 0) return [];
    const mean = (of: (x: (typeof on)[number]) => number): number =>
      on.reduce((n, x) => n + of(x) * x.sold, 0) / all;
    return [
      {
        id: menu.id,
        name: menu.name,
        some: on.length < menu.plates.filter((x) => x.sold).length,
        was: mean((x) => x.p.was ?? 0),
        is: mean((x) => x.p.is ?? 0),
        by: Object.fromEntries(CAUSES.map((k) => [k, mean((x) => x.by[k])])) as Record<Cause, number>,
      },
    ];
  });
}

/** By how much a plate moved; what is not known on one of the days comes last. */
const movedBy = ({ is, was }: PlateChange): number => (is === null || was === null ? -1 : Math.abs(is - was));

function Plates({ page }: { readonly page: WhatChangedPage }) {
  const { money, day } = useFormatters();
  const sorted = useMemo(() => [...page.plates].sort((a, b) => movedBy(b) - movedBy(a)), [page.plates]);
  const menus = useMemo(() => menusMoved(page), [page]);
  return (
    <SheetTable className="list-table">
      <thead>
        <tr>
          <th scope="col">{texts.dish}</th>
          <th scope="col">{day(page.from)}</th>
          {CAUSES.map((k) => (
            <th key={k} scope="col">
              {KIND_WORDS[k]}
            </th>
          ))}
          <th scope="col">{day(page.to)}</th>
        </tr>
      </thead>
      <tbody>
        {menus.map((m) => (
          <tr key={m.id} className="strong">
            <td>
              <Link prefetch={false} className="fs-6" href={`/pour/menus?of=${m.id}`}>
                {texts.averageDish(m.name)}
              </Link>
              {m.some && <div className="quiet small-line">{texts.dishesKnownBothDays}</div>}
            </td>
            <td className="fig">{money(m.was)}</td>
            {CAUSES.map((k) => (
              <td key={k} className="fig">
                <By by={m.by[k]} />
              </td>
            ))}
            <td className="fig strong">{money(m.is)}</td>
          </tr>
        ))}
        {sorted.map((p) => (
          <Row key={p.id} plate={p} page={page} />
        ))}
      </tbody>
    </SheetTable>
  );
}

function Row({ plate: p, page }: { readonly plate: PlateChange; readonly page: WhatChangedPage }) {
  const { money } = useFormatters();
  const asked = new URLSearchParams({ from: page.from, to: page.to, known: page.known, of: p.id });
  return (
    <tr aria-current={page.closely?.id === p.id ? 'true' : undefined}>
      <td>
        <Link prefetch={false} className="fs-6" href={`/pour/happened?${asked}`} scroll={false}>
          {p.name}
        </Link>
      </td>
      <td className="fig">
        {p.was === null ? <span className="quiet">{texts.notKnown}</span> : money(p.was)}
      </td>
      {CAUSES.map((k) => (
        <td key={k} className="fig">
          {p.by === null ? '–' : <By by={p.by[k]} />}
        </td>
      ))}
      <td className="fig strong">{money(p.is)}</td>
    </tr>
  );
}

/** What one kind did: dearer or cheaper, in words of colour and sign. */
function By({ by }: { readonly by: number }) {
  const { small } = useFormatters();
  if (Math.abs(by) < 0.0005) return <span className="quiet">0</span>;
  return by > 0 ? (
    <span className="dearer">+{small(by)}</span>
  ) : (
    <span className="cheaper">−{small(-by)}</span>
  );
}

/** One plate: what it cost in between, which prices moved it, and everything that happened to it. */
function OneClosely({ closely, page }: { readonly closely: Closely; readonly page: WhatChangedPage }) {
  const { money } = useFormatters();
  return (
    <aside aria-label={texts.closely(closely.name)}>
      <h2>
        <Link prefetch={false} href={`/pour/${closely.id}`}>
          {closely.name}
        </Link>
      </h2>
      {closely.prices.length > 0 && (
        <>
          <h3 className="fs-6 mt-3">{texts.whichPricesChanged}</h3>
          <dl className="facts">
            {closely.prices.slice(0, 8).flatMap((p) => [
              <dt key={`${p.ingredient} dt`}>
                {p.name}
                {p.was !== undefined && p.is !== undefined && (
                  <span className="quiet small-line"> {texts.perKilo(money(p.was), money(p.is))}</span>
                )}
              </dt>,
              <dd key={p.ingredient} className="fig">
                <By by={p.by} />
              </dd>,
            ])}
          </dl>
        </>
      )}
      <Suspense
        key={[closely.id, page.from, page.to, page.known].join()}
        fallback={
          <p className="quiet mt-3" role="status">
            {texts.calculatingCostsBetween}
          </p>
        }
      >
        <InBetween closely={closely} until={page.to} />
      </Suspense>
    </aside>
  );
}

/** What a plate cost in between, with marks where something happened, and what that was. */
function InBetween({ closely, until }: { readonly closely: Closely; readonly until: string }) {
  const { money, day } = useFormatters();
  const { events, costs } = use(closely.meanwhile);
  const lines = useMemo(() => [{ name: closely.name, points: costs }], [closely.name, costs]);
  const marks = useMemo(() => {
    const said = new Map<string, string>();
    for (const e of events) said.set(e.on, [said.get(e.on), e.words].filter(Boolean).join('; '));
    return said;
  }, [events]);
  return (
    <>
      {costs.length > 1 && (
        <MovementChart
          lines={lines}
          until={until}
          height={200}
          width={400}
          marks={marks}
          label={texts.whatCost(
            closely.name,
            costs.map(([on, cost]) => `${day(on)} ${money(cost)}`).join(', '),
          )}
        />
      )}
      <Events events={events} />
    </>
  );
}

/** Events that are told; of more the latest. */
const MOST_EVENTS = 30;

/** Everything that happened to a plate, the latest first. */
function Events({ events }: Pick<Meanwhile, 'events'>) {
  const { day } = useFormatters();
  return (
    <>
      <h3 className="fs-6 mt-3">{texts.history}</h3>
      {events.length === 0 && <p className="quiet">{texts.nothingMadeFromChanged}</p>}
      <ul className="list-unstyled">
        {events
          .slice(-MOST_EVENTS)
          .reverse()
          .map((e, i) => (
            <li key={i} className="small-line">
              <span className="quiet">
                {day(e.on)} · {EVENT_WORDS[e.what]}
              </span>{' '}
              <Link prefetch={false} href={e.href}>
                {e.words}
              </Link>
            </li>
          ))}
      </ul>
      {events.length > MOST_EVENTS && (
        <p className="quiet small-line">{texts.earlierOnes(events.length - MOST_EVENTS)}</p>
      )}
    </>
  );
}
