'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import ProgressBar from 'react-bootstrap/ProgressBar';
import { bandOf, type Band } from '@/core/uncertainty';
import { useFormatters } from '@/ui/formatters-context';
import type { QuestionPage } from '../queries';
import { costDifferences, type Certainty } from '../certainty';
import type { SimulatedValues } from './use-simulations';
import * as texts from './texts';

const BandsChart = dynamic(() => import('./charts').then((m) => m.BandsChart), { ssr: false });

interface Props {
  readonly page: QuestionPage;
  readonly sure: Certainty | undefined;
  readonly drawn: SimulatedValues;
  readonly stop: () => void;
  /** Draws many more; undefined where many have been drawn. */
  readonly more: (() => void) | undefined;
  /** The two that are drawn side by side. */
  readonly of: readonly [number, number];
}

/** A band of how much dearer something is, in words: one sign, or both. */
function dearerWords({ low, high }: Band, money: (v: number) => string): string {
  if (low >= 0) return texts.dearer(money(low), money(high));
  if (high <= 0) return texts.cheaper(money(-high), money(-low));
  return texts.fromCheaperDearer(money(-low), money(high));
}

/** How sure it is: bands out of trials with the same draw for every way. */
export function HowSure({ page, sure, drawn, stop, more, of: [a, b] }: Props) {
  const { money, bare } = useFormatters();
  const best = page.best ?? b;
  const [first, other] = [page.ways[a]?.name ?? '', page.ways[b]?.name ?? ''];
  const apart = useMemo(
    () => bandOf(costDifferences(drawn.values, page.ways.length, a, b)),
    [drawn, page.ways.length, a, b],
  );
  // Of a hundred, once there are as many.
  const of = Math.min(drawn.done, 100);
  if (drawn.done === 0 || !sure)
    return (
      <section aria-label={texts.howSure}>
        <h2>{texts.howSure}</h2>
        <p className="quiet" role="status">
          {texts.simulatingUncertainFigures(page.setup?.uncertain.length ?? 0)}
        </p>
      </section>
    );
  return (
    <section aria-label={texts.howSure}>
      <h2>{texts.howSure}</h2>
      <p className="m-0">
        {apart && (
          <>
            {texts.eightInTenALitre(first)} <b>{dearerWords(apart, money)}</b> {texts.than(other)}{' '}
          </>
        )}
        {page.ways[best]?.name} {texts.cheapestAll}{' '}
        <b className="fig">{texts.partOf(bare((sure.wins[best] ?? 0) * of, 0), of)}</b> {texts.simulations}
      </p>
      <HowFar page={page} drawn={drawn} stop={stop} more={more} />
      <BandsChart page={page} sure={sure} />
      <p className="quiet small-line">{texts.howBandsAreDrawn}</p>
    </section>
  );
}

/** The draws as a file; what writes it comes when it is asked for. */
async function handOutDraws({ ways, title }: QuestionPage, { values }: SimulatedValues): Promise<void> {
  const { drawsCsv, handOut } = await import('../draws-file');
  handOut(
    drawsCsv(
      ways.map((w) => w.name),
      values,
    ),
    title,
  );
}

/** How many draws there are so far, and whether that is all of them. */
function HowFar({ page, drawn, stop, more }: Pick<Props, 'page' | 'drawn' | 'stop' | 'more'>) {
  const { bare } = useFormatters();
  const many = page.setup?.uncertain.length ?? 0;
  return (
    <>
      <p className="quiet small-line m-0" role="status">
        {drawn.running
          ? texts.simulationsDoneOfValue(drawn.done, drawn.of)
          : drawn.stopped
            ? texts.stoppedAfterSimulationsWhat(drawn.done, drawn.of)
            : texts.simulationsFiguresSameEvery(drawn.done, many, bare(drawn.ms / 1000, 1))}
        {drawn.running && (
          <Button variant="link" size="sm" onClick={stop}>
            {texts.stop}
          </Button>
        )}
        {!drawn.running && more && (
          <Button variant="link" size="sm" onClick={more}>
            {texts.runTenThousandSimulations}
          </Button>
        )}
        {!drawn.running && (
          <Button variant="link" size="sm" onClick={() => void handOutDraws(page, drawn)}>
            {texts.allSimulationsTable}
          </Button>
        )}
      </p>
      {drawn.running && (
        <ProgressBar now={drawn.done} max={drawn.of} aria-label={texts.draws} style={{ height: 4 }} />
      )}
    </>
  );
}
