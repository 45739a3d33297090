'use client';

import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { Fragment } from 'react';
import Nav from 'react-bootstrap/Nav';
import { useFormatters } from '@/ui/formatters-context';
import { TypedField } from '@/ui/forms/typed-field';
import { outlierQuestion } from '@/core/larder';
import { readSupply } from '@/core/supply';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveBatches, saveTaken } from '../wire';
import type { FlowPage } from '../queries';
import { ThrownAway } from './waste-form';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

type Flow = FlowPage['flows'][number];

/** What a week's trimming gives against what the pots ask for, whose cost returns to the usable part, and what was thrown away. */
export function FlowView({ page }: { readonly page: FlowPage }) {
  const { day } = useFormatters();
  const most = Math.max(1, ...page.flows.map((f) => Math.max(f.givesG, f.asksG)));
  const asked = page.flows.filter((f) => f.somebodyTakes);
  const { more } = page;
  const everything = `/trim/flow?${page.weeks === 1 ? 'weeks=1&' : ''}all=1`;
  const idle = page.flows.filter((f) => !f.somebodyTakes);
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.whereTrimGoes}</h1>
          <p className="lead-line">
            {texts.whatComesOffFrom(day(page.from), day(page.until))}
            {page.weeks === 4 && texts.week}
            {texts.againstWhatPotsAsk}
          </p>
        </div>
        <Nav as="nav" variant="underline" aria-label={texts.whichWeek}>
          {(
            [
              ['/trim/flow', 4, texts.averageWeek],
              ['/trim/flow?weeks=1', 1, texts.lastSevenDays],
            ] as const
          ).map(([href, weeks, words]) => (
            <Nav.Link
              key={href}
              as={Link}
              href={href}
              active={page.weeks === weeks}
              aria-current={page.weeks === weeks ? 'page' : undefined}
            >
              {words}
            </Nav.Link>
          ))}
        </Nav>
      </Stack>
      <div className="beside">
        <div>
          <Asked asked={asked} page={page} most={most} />
          {asked.length === 0 && <p className="quiet">{texts.noPotTakesAny}</p>}
          {more.asked > 0 && (
            <p>
              {texts.moreSomebodyAsks(more.asked)} <Link href={everything}>{texts.showAllThem}</Link>
            </p>
          )}
          {idle.length > 0 && <IdleTrim idle={idle} more={more.idle} everything={everything} />}
        </div>
        <ThrownAway page={page} />
      </div>
    </>
  );
}

/** What comes off and nobody takes. */
function IdleTrim({
  idle,
  more,
  everything,
}: {
  readonly idle: readonly Flow[];
  readonly more: number;
  /** Where all of it is told. */
  readonly everything: string;
}) {
  return (
    <section className="mt-4">
      <h2>{texts.noPotTakesUsable}</h2>
      <p>
        {idle.map((f, i) => (
          <Fragment key={f.supply}>
            {i > 0 && ' · '}
            <Idle flow={f} />
          </Fragment>
        ))}
        {more > 0 && (
          <>
            {' '}
            {texts.and} <Link href={everything}>{texts.more(more)}</Link>
          </>
        )}
      </p>
    </section>
  );
}

function Idle({ flow: f }: { readonly flow: Flow }) {
  const { kilos } = useFormatters();
  return (
    <span className="text-nowrap">
      <Link prefetch={false} href={`/trim/${f.of.id}`}>
        {f.name}
      </Link>{' '}
      <span className="fig">{kilos(f.givesG)}</span>
    </span>
  );
}

function FlowRow({
  flow: f,
  page,
  most,
}: {
  readonly flow: Flow;
  readonly page: FlowPage;
  readonly most: number;
}) {
  const { bare, kilos } = useFormatters();
  const bar = (g: number, className: string, words: string) => (
    <div className="flow-bar">
      <i className={className} style={{ width: `${(g / most) * 100}%` }} />
      <span className="fig">
        {kilos(g)} {words}
      </span>
    </div>
  );
  return (
    <tr>
      <th scope="row">
        <Link prefetch={false} href={`/trim/${f.of.id}`}>
          {f.name}
        </Link>
        <div className="quiet small-line">
          <span className={f.guess ? 'estimate' : ''}>{bare(f.share * 100, 0)} %</span>{' '}
          {texts.boughtKilos(kilos(f.boughtG))}
        </div>
      </th>
      <td className="left" style={{ width: '30%' }}>
        {bar(f.givesG, 'fate-stock-trim', texts.comesOff)}
        {bar(f.asksG, f.asksG > f.givesG ? 'bg-danger' : 'fate-usable', texts.asked)}
      </td>
      <td className="left">
        {f.asks.map((a) => (
          <AskLine key={a.recipe} ask={a} page={page} />
        ))}
        {f.moreAsks > 0 && <div className="quiet small-line">{texts.morePots(f.moreAsks)}</div>}
        {f.plates.map((name) => (
          <div key={name} className="small-line">
            {texts.sold(name)}
          </div>
        ))}
        {f.sold && <div className="small-line">{texts.somebodyBuys}</div>}
      </td>
      <td className="left">
        <Meaning flow={f} mayEdit={page.mayEdit} />
      </td>
    </tr>
  );
}

function AskLine({ ask, page }: { readonly ask: Flow['asks'][number]; readonly page: FlowPage }) {
  const { kilos, bare } = useFormatters();
  const [keep, state] = useSave();
  const asks = (typed: string): string | undefined => {
    const after = Number(typed.trim().replace(',', '.'));
    return Number.isFinite(after) && typed.trim() !== '' && after > 0
      ? outlierQuestion({
          what: 'number of batches',
          before: ask.batches,
          after,
          words: (n) => bare(n, n % 1 === 0 ? 0 : 1),
        })
      : undefined;
  };
  return (
    <div>
      <Link prefetch={false} href={`/pot/${ask.recipe}`}>
        {ask.name}
      </Link>
      <span className="quiet small-line">
        {' '}
        {kilos(ask.perBatchG)} ×{' '}
        <TypedField
          narrow
          label={texts.batchesWeek(ask.name)}
          value={String(ask.batches)}
          trouble={state.message}
          asks={asks}
          describedBy={`batches-${ask.recipe}`}
          disabled={!page.mayEdit}
          onTyped={() => undefined}
          onDone={(typed) =>
            void keep((seen) =>
              saveBatches({ id: ask.recipe, seen: seen ?? page.recipeVersions[ask.recipe] ?? 1, typed }),
            )
          }
          unit={texts.aWeek}
        />
      </span>
      <TroubleText id={`batches-${ask.recipe}`} as="div" says={state.message} both={state.both} />
    </div>
  );
}

/** Short, enough, or left over: and what becomes of the cost of what is left over. */
function Meaning({ flow: f, mayEdit }: { readonly flow: Flow; readonly mayEdit: boolean }) {
  const { kilos, bare, money } = useFormatters();
  const [keep, state] = useSave();
  const over = f.givesG - f.asksG;
  const pct = Math.round(f.reallyTaken * 100);
  const set = (to: number): void => {
    const from = readSupply(f.supply);
    const what = from?.is === 'trim' ? ('stock trim' as const) : ('by-product' as const);
    void keep((seen) =>
      saveTaken({ id: from && 'id' in from ? from.id : '', what, seen: seen ?? f.version, pct: to }),
    );
  };
  const counted = Math.round(f.taken * 100);
  return (
    <>
      {f.sold || f.plates.length > 0 ? (
        <div>{texts.taken}</div>
      ) : over < 0 ? (
        <div>
          <b className="dearer">{texts.short(kilos(-over))}</b> {texts.weekRestBoughtOr}
        </div>
      ) : (
        <div>
          <b>{texts.leftOver(kilos(over))}</b> {texts.weekTaken(pct)}
        </div>
      )}
      {f.perKg !== undefined && f.perKg > 0 && over > 0 && counted > pct && (
        <div className="small-line">
          {texts.costCountsTakenCounting(
            counted,
            pct,
            money((over / 1000) * f.perKg),
            money(f.usableThen),
            money(f.usablePerKg),
          )}{' '}
          {mayEdit && (
            <Button variant="link" size="sm" onClick={() => set(pct)}>
              {texts.use(pct)}
            </Button>
          )}
        </div>
      )}
      {counted < 100 && (
        <div className="small-line">
          {texts.costReturnsUsablePart(bare(100 - counted, 0))}{' '}
          {mayEdit && (
            <Button variant="link" size="sm" onClick={() => set(100)}>
              {texts.countAllTaken}
            </Button>
          )}
        </div>
      )}
      {f.perKg === 0 && over > 0 && <div className="quiet small-line">{texts.freeNothingLost}</div>}
      <TroubleText as="div" says={state.message} both={state.both} />
    </>
  );
}

function Asked({
  asked,
  page,
  most,
}: {
  readonly asked: readonly Flow[];
  readonly page: FlowPage;
  readonly most: number;
}) {
  return (
    <SheetTable className="roomy">
      <thead>
        <tr>
          <th scope="col">{texts.whatComesOff}</th>
          <th scope="col" className="left">
            {texts.comesOffAskedWeek}
          </th>
          <th scope="col" className="left">
            {texts.whoAsks}
          </th>
          <th scope="col" className="left">
            {texts.whatMeans}
          </th>
        </tr>
      </thead>
      <tbody>
        {asked.map((f) => (
          <FlowRow key={f.supply} flow={f} page={page} most={most} />
        ))}
      </tbody>
    </SheetTable>
  );
}
