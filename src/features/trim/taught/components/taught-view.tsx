'use client';

import Stack from 'react-bootstrap/Stack';
import { Panel } from '@/ui/panels/panel';
import Alert from 'react-bootstrap/Alert';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import ListGroup from 'react-bootstrap/ListGroup';
import { SEASONS } from '@/core/learning';
import { Dots } from '@/ui/drawings/dots';
import { useFormatters } from '@/ui/formatters-context';
import { UsedBy } from '@/ui/tables/used-by';
import { useSave } from '@/ui/forms/use-save';
import { WhyFigure } from '@/ui/panels/why';
import { TroubleText } from '@/ui/forms/trouble-text';
import { putOnBench } from '../../bench/wire';
import { accept } from '../send';
import type { FigurePage, TaughtPage } from '../queries';
import { LearnFrom } from './learn-from';
import { ChangedCosts } from '@/ui/tables/changed-costs';
import { TestsTable } from './tests-table';
import { TrimMethodForm } from './trim-method-form';

/** What own tests have taught of one ingredient, what of it waits, and who pays for what comes off. */
export function TaughtView({
  page,
  after,
}: {
  readonly page: TaughtPage;
  readonly after?: string | undefined;
}) {
  const [keep, state] = useSave();
  const [accepted, setAccepted] = useState<TaughtPage['moved']>(null);
  const waits = page.figures.filter((f) => f.waits);
  const take = async (): Promise<void> => {
    const moved = page.moved;
    const ok = await keep((seen) =>
      accept({ id: page.id, seen: seen ?? page.version, proposed: page.proposed }),
    );
    if (ok) setAccepted(moved);
  };
  return (
    <>
      <Head page={page} />
      {page.trouble && <p className="trouble">{page.trouble}</p>}
      <div className="beside">
        <div>
          {waits.length > 0 && (
            <Waiting page={page} waits={waits} busy={state.busy} take={() => void take()} />
          )}
          <TroubleText says={state.message} both={state.both} />
          {accepted && (
            <Alert role="region" variant="success" aria-label="What changed">
              <h2>
                <span role="status">✓ Accepted: this is what changed</span>
              </h2>
              <ChangedCosts moved={accepted} when="moved" />
            </Alert>
          )}
          {after !== undefined && waits.length === 0 && !accepted && (
            <p role="status" className="small-line cheaper">
              ✓ Test saved. {page.asks ? 'It changes nothing that is in use.' : 'What it taught is in use.'}
            </p>
          )}
          {page.figures.length === 0 && (
            <p className="quiet">
              {page.name} has not been tested here yet. One test says more than any table.
            </p>
          )}
          {page.figures.map((f) => (
            <Figure key={f.figure} figure={f} />
          ))}
          <TestsTable page={page} />
        </div>
        <Panel aria-label="How it is calculated">
          <LearnFrom page={page} />
          <TrimMethodForm page={page} />
          <Past page={page} />
        </Panel>
      </div>
    </>
  );
}

interface PageProps {
  readonly page: TaughtPage;
}

/** What it is reckoned with, and what a usable kilo then costs. */
function Head({ page }: PageProps) {
  const { bare, currencySign, day, said } = useFormatters();
  const router = useRouter();
  const weigh = async (): Promise<void> => {
    const answer = await putOnBench({ ingredient: page.id }).catch(() => undefined);
    if (answer?.ok) router.push(`/trim/bench/${answer.value.id}`);
  };
  return (
    <Stack direction="horizontal" gap={3} className="page-head">
      <div>
        <h1>{page.name}</h1>
        <p className="lead-line">
          {page.guess ? 'Uses an estimate' : said((page.basis ?? '').replace(/\.$/, ''))}, since{' '}
          {day(page.since)}.
          <UsedBy by={page.usedBy} lead=" Used in " most={4} />
        </p>
      </div>
      <Stack direction="horizontal" gap={4} className="head-figures">
        <div>
          <span className={`fig-large${page.guess ? ' estimate' : ''}`}>{bare(page.usable * 100, 1)} %</span>
          <span className="fig-label">usable</span>
        </div>
        <div>
          <span className="fig-large">
            {page.usablePerKg === null ? (
              <span className="incomplete">no cost</span>
            ) : (
              <WhyFigure of={`usable:${page.id}`} label={`${page.name}, a usable kilo`}>
                {bare(page.usablePerKg)}
              </WhyFigure>
            )}
          </span>
          <span className="fig-label">{currencySign} a usable kilo</span>
        </div>
        {page.mayTest && (
          <Button variant="outline-primary" onClick={() => void weigh()}>
            Test again
          </Button>
        )}
      </Stack>
    </Stack>
  );
}

/** What the tests say that nothing is reckoned with yet, and what it would move. */
function Waiting({
  page,
  waits,
  busy,
  take,
}: PageProps & { readonly waits: readonly FigurePage[]; readonly busy: boolean; readonly take: () => void }) {
  const { bare } = useFormatters();
  const odd = new Set(page.figures.flatMap((f) => f.dots.filter((d) => d.outlier).map((d) => d.id))).size;
  return (
    <Alert role="region" variant="primary" aria-label="Waiting for you">
      <h2>The tests say {waits.map((f) => saysWords(f, bare)).join(' · ')}</h2>
      {odd > 0 && (
        <p className="warning">
          {odd === 1 ? 'One test is' : `${odd} tests are`} far from what the others say: look at it before you
          accept.
        </p>
      )}
      <ChangedCosts moved={page.moved ?? []} when="would move" />
      {page.mayEdit ? (
        <Button onClick={take} disabled={busy}>
          Use from today
        </Button>
      ) : (
        <p className="quiet small-line">It waits until a manager accepts it.</p>
      )}
      <p className="quiet small-line">Until then nothing changes.</p>
    </Alert>
  );
}

function Figure({ figure: f }: { readonly figure: FigurePage }) {
  const { bare, day } = useFormatters();
  return (
    <section aria-label={f.title}>
      <h2 className="d-flex justify-content-between gap-3 m-0">
        {f.title}
        <span className="fig">
          {f.learned && f.dots.some((d) => d.not === undefined)
            ? `${bare(f.learned.mean, 1)} ${f.unit}, likely ${bare(f.learned.low, 1)} to ${bare(f.learned.high, 1)}`
            : 'no test counts'}
        </span>
      </h2>
      <Dots
        figure={{
          ...f,
          digits: 1,
          rows: SEASONS,
          dots: f.dots.map((d) => ({
            ...d,
            row: d.season,
            words: [day(d.on), d.season, d.supplier, d.by].filter(Boolean).join(', '),
          })),
        }}
      />
    </section>
  );
}

function Past({ page }: PageProps) {
  const { day, said } = useFormatters();
  return (
    <section>
      <h2>Values used</h2>
      <ListGroup as="ul" variant="flush">
        {page.past.map((y) => (
          <ListGroup.Item as="li" key={`${y.on} ${y.words}`} className="small-line">
            <span className="fig">{day(y.on)}</span>{' '}
            <span className={y.guess ? 'estimate' : ''}>{said(y.words)}</span>
          </ListGroup.Item>
        ))}
      </ListGroup>
    </section>
  );
}

const saysWords = (f: FigurePage, bare: (v: number, digits: number) => string): string =>
  `${f.title.charAt(0).toLowerCase()}${f.title.slice(1)} ${bare(f.learned?.mean ?? 0, 1)} ${f.unit}${
    f.inForce === undefined ? '' : ` instead of ${bare(f.inForce, 1)}`
  }`;
