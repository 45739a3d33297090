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
  if (low >= 0) return `${money(low)} to ${money(high)} dearer`;
  if (high <= 0) return `${money(-high)} to ${money(-low)} cheaper`;
  return `from ${money(-low)} cheaper to ${money(high)} dearer`;
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
      <section aria-label="How sure">
        <h2>How sure</h2>
        <p className="quiet" role="status">
          Drawing {page.setup?.uncertain.length ?? 0} figures that are not known for sure …
        </p>
      </section>
    );
  return (
    <section aria-label="How sure">
      <h2>How sure</h2>
      <p className="m-0">
        {apart && (
          <>
            In 8 of 10 cases a litre with {first} is <b>{dearerWords(apart, money)}</b> than with {other}
            .{' '}
          </>
        )}
        {page.ways[best]?.name} is the cheapest of all in{' '}
        <b className="fig">
          {bare((sure.wins[best] ?? 0) * of, 0)} of {of}
        </b>{' '}
        simulations.
      </p>
      <HowFar page={page} drawn={drawn} stop={stop} more={more} />
      <BandsChart page={page} sure={sure} />
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
          ? `${drawn.done} of ${drawn.of} simulations`
          : drawn.stopped
            ? `stopped after ${drawn.done} of ${drawn.of} simulations: this is what they say`
            : `${drawn.done} simulations of ${many} figures, the same for every way, in ${bare(drawn.ms / 1000, 1)} s`}
        {drawn.running && (
          <Button variant="link" size="sm" onClick={stop}>
            Stop
          </Button>
        )}
        {!drawn.running && more && (
          <Button variant="link" size="sm" onClick={more}>
            Run ten thousand simulations
          </Button>
        )}
        {!drawn.running && (
          <Button variant="link" size="sm" onClick={() => void handOutDraws(page, drawn)}>
            All simulations as a table
          </Button>
        )}
      </p>
      {drawn.running && (
        <ProgressBar now={drawn.done} max={drawn.of} aria-label="Draws" style={{ height: 4 }} />
      )}
    </>
  );
}
