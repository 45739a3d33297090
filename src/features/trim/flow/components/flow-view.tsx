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
          <h1>Where trim goes</h1>
          <p className="lead-line">
            What comes off from {day(page.from)} to {day(page.until)}
            {page.weeks === 4 && ', a week of it'}, against what the pots ask for.
          </p>
        </div>
        <Nav as="nav" variant="underline" aria-label="Which week">
          {(
            [
              ['/trim/flow', 4, 'an average week'],
              ['/trim/flow?weeks=1', 1, 'the last seven days'],
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
          {asked.length === 0 && (
            <p className="quiet">
              No pot takes any trim yet. Write it on a pot sheet: “700 g stock trim of leek”.
            </p>
          )}
          {more.asked > 0 && (
            <p>
              {more.asked} more that somebody asks for. <Link href={everything}>Show all of them</Link>
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
      <h2>Nobody takes it: the usable part carries all of its cost</h2>
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
            and <Link href={everything}>{more} more</Link>
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
          <span className={f.guess ? 'estimate' : ''}>{bare(f.share * 100, 0)} %</span> of {kilos(f.boughtG)}{' '}
          bought
        </div>
      </th>
      <td className="left" style={{ width: '30%' }}>
        {bar(f.givesG, 'fate-stock-trim', 'comes off')}
        {bar(f.asksG, f.asksG > f.givesG ? 'bg-danger' : 'fate-usable', 'asked for')}
      </td>
      <td className="left">
        {f.asks.map((a) => (
          <AskLine key={a.recipe} ask={a} page={page} />
        ))}
        {f.moreAsks > 0 && <div className="quiet small-line">and {f.moreAsks} more pots</div>}
        {f.plates.map((name) => (
          <div key={name} className="small-line">
            {name}, as it is sold
          </div>
        ))}
        {f.sold && <div className="small-line">somebody buys it</div>}
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
          label={`${ask.name}, batches a week`}
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
          unit="a week"
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
        <div>taken</div>
      ) : over < 0 ? (
        <div>
          <b className="dearer">{kilos(-over)} short</b> a week: the rest has to be bought or left out
        </div>
      ) : (
        <div>
          <b>{kilos(over)} left over</b> a week: {pct} % is taken
        </div>
      )}
      {f.perKg !== undefined && f.perKg > 0 && over > 0 && counted > pct && (
        <div className="small-line">
          Its cost counts as taken by {counted} %. Counting {pct} %, {money((over / 1000) * f.perKg)} a week
          returns to the usable part: {money(f.usableThen)} a usable kilo instead of {money(f.usablePerKg)}.{' '}
          {mayEdit && (
            <Button variant="link" size="sm" onClick={() => set(pct)}>
              Go by {pct} %
            </Button>
          )}
        </div>
      )}
      {counted < 100 && (
        <div className="small-line">
          {bare(100 - counted, 0)} % of its cost returns to the usable part.{' '}
          {mayEdit && (
            <Button variant="link" size="sm" onClick={() => set(100)}>
              Count all of it as taken
            </Button>
          )}
        </div>
      )}
      {f.perKg === 0 && over > 0 && (
        <div className="quiet small-line">It is free, so nothing of it is lost with it.</div>
      )}
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
          <th scope="col">What comes off</th>
          <th scope="col" className="left">
            comes off / asked for, a week
          </th>
          <th scope="col" className="left">
            who asks
          </th>
          <th scope="col" className="left">
            what it means
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
