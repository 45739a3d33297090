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
import * as texts from './texts';

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
            <Alert role="region" variant="success" aria-label={texts.whatChanged}>
              <h2>
                <span role="status">{texts.acceptedWhatChanged}</span>
              </h2>
              <ChangedCosts moved={accepted} when="moved" />
            </Alert>
          )}
          {after !== undefined && waits.length === 0 && !accepted && (
            <p role="status" className="small-line cheaper">
              {texts.testSavedChangesNothing(page.asks)}
            </p>
          )}
          {page.figures.length === 0 && <p className="quiet">{texts.notTestedHereYet(page.name)}</p>}
          {page.figures.map((f) => (
            <Figure key={f.figure} figure={f} />
          ))}
          <TestsTable page={page} />
        </div>
        <Panel aria-label={texts.howCalculated}>
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

/** What is used, and what a usable kilo then costs. */
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
          {texts.usesEstimateSince(page.guess, said((page.basis ?? '').replace(/\.$/, '')), day(page.since))}
          <UsedBy by={page.usedBy} lead={texts.used} most={4} />
        </p>
      </div>
      <Stack direction="horizontal" gap={4} className="head-figures">
        <div>
          <span className={`fig-large${page.guess ? ' estimate' : ''}`}>{bare(page.usable * 100, 1)} %</span>
          <span className="fig-label">{texts.usable}</span>
        </div>
        <div>
          <span className="fig-large">
            {page.usablePerKg === null ? (
              <span className="incomplete">{texts.noCost}</span>
            ) : (
              <WhyFigure of={`usable:${page.id}`} label={texts.usableKilo(page.name)}>
                {bare(page.usablePerKg)}
              </WhyFigure>
            )}
          </span>
          <span className="fig-label">{texts.usableKiloCurrencySign(currencySign)}</span>
        </div>
        {page.mayTest && (
          <Button variant="outline-primary" onClick={() => void weigh()}>
            {texts.testAgain}
          </Button>
        )}
      </Stack>
    </Stack>
  );
}

/** What the tests say that is not used yet, and what it would move. */
function Waiting({
  page,
  waits,
  busy,
  take,
}: PageProps & { readonly waits: readonly FigurePage[]; readonly busy: boolean; readonly take: () => void }) {
  const { bare } = useFormatters();
  const odd = new Set(page.figures.flatMap((f) => f.dots.filter((d) => d.outlier).map((d) => d.id))).size;
  return (
    <Alert role="region" variant="primary" aria-label={texts.waitingYou}>
      <h2>{texts.testsSay(waits.map((f) => saysWords(f, bare)).join(' · '))}</h2>
      {odd > 0 && <p className="warning">{texts.oneTestTestsFar(odd)}</p>}
      <ChangedCosts moved={page.moved ?? []} when={texts.wouldChange} />
      {page.mayEdit ? (
        <Button onClick={take} disabled={busy}>
          {texts.useFromToday}
        </Button>
      ) : (
        <p className="quiet small-line">{texts.waitsUntilManagerAccepts}</p>
      )}
      <p className="quiet small-line">{texts.untilThenNothingChanges}</p>
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
            ? texts.likely(bare(f.learned.mean, 1), f.unit, bare(f.learned.low, 1), bare(f.learned.high, 1))
            : texts.noTestCounts}
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
      <h2>{texts.valuesUsed}</h2>
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
    f.inForce === undefined ? '' : texts.instead(bare(f.inForce, 1))
  }`;
