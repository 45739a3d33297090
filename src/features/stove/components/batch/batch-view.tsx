'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import type { DoubtfulReading, BatchFigures } from '@/core/batch';
import { clockIn } from '@/core/day';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import { useFormatters } from '@/ui/formatters-context';
import { PotSection } from '@/ui/drawings/pot-section';
import { useToast } from '@/ui/frame/toasts';
import type { BatchShown } from '../../queries';
import { eventWords } from '../../words';
import { archiveBatch } from '../../wire';
import { AlarmPanel } from '../board/alarm-panel';
import { CurrentLine } from './current-line';
import { HeatOff } from './heat-off';
import { CoolingNow, WarmNow } from '../cooling/cooling-now';
import { useEventDetails } from './event-details';
import { LogTable, BatchLines } from './batch-tables';
import { Keypad } from './keypad';
import { FinishedBatch } from './finished-batch';
import { OfflinePages } from '../board/offline-pages';
import { useBatchEstimate, useRefresh, type LiveBatch } from './use-batch-estimate';
import { LazyCurve } from './lazy-panels';
import * as texts from './texts';

/** One batch: what is to be done now, what to look for, the pot as it should stand, and what is read. */
export function BatchView({ batch: read }: { readonly batch: BatchShown }) {
  const asNow = useBatchEstimate(read);
  const batch = { ...read, lines: asNow.lines };
  const { tell: tellThen, fields } = useEventDetails(read, asNow);
  useRefresh();
  const following = { ...asNow, tell: tellThen };
  const { figures, events, wrong } = following;
  const end = events.find((e) => e.is === 'ended');
  // Over for a day: what it came to comes first, and nothing is read of it any more.
  const past = end !== undefined && figures !== undefined && figures.moment < following.now - DAY_MS / 2;
  const cooling = past ? undefined : figures?.cooling;
  const { running } = batch;
  const tell = batch.mayTell && !past ? tellThen : undefined;
  return (
    <>
      <Head batch={batch} ended={end !== undefined} />
      <AlarmPanel />
      <Wrong batch={batch} figures={figures} wrong={wrong} />
      {figures?.asked.map((asked) => (
        <Question key={asked.reading} asked={asked} events={events} tell={asNow.tell} />
      ))}
      <div className={tell && (!end || cooling) ? 'batch' : 'batch without-keys'}>
        <div>
          {figures && !past && (
            <ColdOrHot batch={batch} figures={figures} ended={end !== undefined} tell={tell} />
          )}
          {end ? (
            <IsOver batch={batch} end={end.id} cooled={past && figures.cooling !== undefined} />
          ) : (
            <CurrentLine batch={batch} following={following} />
          )}
        </div>
        <div className="middle">
          {!end && batch.vessel && figures?.pot && <Section batch={batch} figures={figures} />}
          {figures && figures.curve.length + figures.foretold.length > 0 && (
            <LazyCurve figures={figures} now={past ? undefined : following.now - (running?.startedAt ?? 0)} />
          )}
        </div>
        {tell && (!end || cooling) && (
          <div>
            {fields}
            <Keypad
              {...{ batch: batch.id, mark: batch.mark, tell }}
              stands={{ hot: figures?.pot?.celsius, cooled: cooling?.now.middle }}
            />
          </div>
        )}
      </div>
      <div className="beside">
        <BatchLines batch={batch} figures={figures} events={events} />
        <LogTable batch={batch} following={following} />
      </div>
      <OfflinePages pages={['/stove', `/stove/${batch.id}`]} told={batch.events.map((e) => e.id).join(' ')} />
    </>
  );
}

/** How it ended, and the record of how it cooled. */
const IsOver = ({
  batch,
  end,
  cooled,
}: {
  readonly batch: BatchShown;
  readonly end: string;
  readonly cooled: boolean;
}) => (
  <>
    <FinishedBatch batch={batch} known={batch.events.some((e) => e.id === end)} />
    {cooled && (
      <Link prefetch={false} href={`/stove/${batch.id}/cooling`}>
        {texts.howCooled}
      </Link>
    )}
  </>
);

const DAY_MS = 24 * 3_600_000;

/** How it cools, is reheated or held hot; and that its heat is off, where it is over and nobody has said so. */
function ColdOrHot({
  batch,
  figures,
  ended,
  tell,
}: {
  readonly batch: BatchShown;
  readonly figures: BatchFigures;
  readonly ended: boolean;
  readonly tell: LiveBatch['tell'] | undefined;
}) {
  const { warm, cooling, pot } = figures;
  return (
    <>
      {warm && <WarmNow warm={warm} />}
      {cooling && !warm && <CoolingNow batch={batch} cooling={cooling} depthCm={pot?.levelCm} tell={tell} />}
      {cooling && tell && <Again warm={warm?.is} tell={tell} />}
      {ended && tell && !cooling && <HeatOff tell={tell} />}
    </>
  );
}

/** A pot whose heat went off is warmed again, or held hot. */
const Again = ({
  warm,
  tell,
}: {
  readonly warm: 'reheating' | 'holding' | undefined;
  readonly tell: LiveBatch['tell'];
}) => (
  <div className="d-flex flex-wrap gap-2 my-2">
    {warm !== 'reheating' && (
      <Button variant="outline-primary" onClick={() => void tell({ is: 'reheating' })}>
        {texts.reheated}
      </Button>
    )}
    {warm !== 'holding' && (
      <Button variant="outline-primary" onClick={() => void tell({ is: 'holding' })}>
        {texts.heldHot}
      </Button>
    )}
  </div>
);

/** What cannot be done, or was not taken. */
function Wrong({
  batch,
  figures,
  wrong,
}: {
  readonly batch: BatchShown;
  readonly figures: BatchFigures | undefined;
  readonly wrong: string | undefined;
}) {
  const { trouble } = figures ?? {};
  return (
    <>
      {batch.gone !== undefined && <p className="trouble">{batch.gone}</p>}
      {trouble && (
        <p className="trouble fs-5" role="alert">
          {batch.lines[trouble.line]?.words}: {trouble.says}
        </p>
      )}
      {wrong !== undefined && (
        <p className="trouble fs-5" role="alert">
          {wrong}
        </p>
      )}
    </>
  );
}

function Head({ batch, ended }: { readonly batch: BatchShown; readonly ended: boolean }) {
  const tell = useToast();
  const router = useRouter();
  const away = (): void =>
    void archiveBatch({ id: batch.id, away: true }).then((answer) => {
      if (!answer.ok) return tell(answer.message);
      tell(
        texts.deleted(batch.name),
        () => void archiveBatch({ id: batch.id, away: false }).then(() => router.refresh()),
      );
      router.push('/stove');
    });
  return (
    <div className="page-head">
      <h1>{batch.name}</h1>
      <p className="lead-line">
        {batch.vessel?.name}{' '}
        {texts.started(batch.hob, clockIn(batch.zone, new Date(batch.running?.startedAt ?? 0)))}
        {ended && texts.finished} ·{' '}
        <Link prefetch={false} href="/stove">
          {texts.allBatches}
        </Link>
        {batch.recipe.there ? (
          <>
            {' · '}
            <Link prefetch={false} href={`/pot/${batch.recipe.id}`}>
              {texts.sheet}
            </Link>
          </>
        ) : (
          texts.sheetArchived
        )}
        {batch.mayTell && (
          <>
            {' · '}
            <Button variant="link" size="sm" onClick={away}>
              {texts.deleteBatchStartedMistake}
            </Button>
          </>
        )}
      </p>
    </div>
  );
}

/** A reading that cannot be: it is kept, counts for nothing yet, and is asked about. */
function Question({
  asked,
  events,
  tell,
}: {
  readonly asked: DoubtfulReading;
  readonly events: readonly WrittenBatchEvent[];
  readonly tell: LiveBatch['tell'];
}) {
  const { litres } = useFormatters();
  const reading = events.find((e) => e.id === asked.reading);
  const answer = (as: 'lost' | 'water' | 'read' | 'misread'): void =>
    void tell({ is: 'answered', reading: asked.reading, as }, reading && new Date(reading.at));
  return (
    <section className="asked" aria-label={texts.readingNotPossible} role="alert">
      <p className="fs-5 m-0">
        {reading && eventWords(reading)}{' '}
        {texts.roseCanMostLevel(litres(asked.says), asked.why, litres(asked.limit))}
      </p>
      <div className="d-flex flex-wrap gap-2 mt-2">
        {asked.why === 'rose' ? (
          <Button onClick={() => answer('water')}>{texts.toppedUpWater}</Button>
        ) : (
          <Button onClick={() => answer('lost')}>{texts.drawnOffSpilledOr}</Button>
        )}
        <Button variant="outline-primary" onClick={() => answer('misread')}>
          {texts.misread}
        </Button>
        <Button variant="outline-primary" onClick={() => answer('read')}>
          {texts.rightHeading}
        </Button>
      </div>
    </section>
  );
}

function Section({ batch, figures }: { readonly batch: BatchShown; readonly figures: BatchFigures }) {
  const { litres } = useFormatters();
  const { pot, then } = figures;
  if (!batch.vessel || !pot) return null;
  const marks =
    then && then.levelCm < pot.levelCm - 0.2
      ? [{ name: 'then', levelCm: then.levelCm, words: texts.thenLitres(litres(then.ml)) }]
      : [];
  return (
    <figure className="m-0 section">
      <PotSection
        vessel={batch.vessel}
        levelCm={pot.levelCm}
        heapCm={pot.heapCm}
        nowWords={`now ${litres(pot.ml)}`}
        marks={marks}
        hot={pot.celsius > 30}
      />
      <figcaption className="small-line quiet">
        {texts.forecastSaltGelatinBody(
          pot.saltPct.toFixed(2),
          pot.gelatinPct.toFixed(1),
          pot.body.toFixed(2),
          Math.round(pot.celsius),
        )}
      </figcaption>
    </figure>
  );
}
