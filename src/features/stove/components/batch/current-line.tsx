'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { BatchFigures, Interval } from '@/core/batch';
import { clockIn } from '@/core/day';
import { useFormatters } from '@/ui/formatters-context';
import type { BatchShown } from '../../queries';
import { bandWords, isLate, leftWords } from './batch-words';
import { FinishBatch } from './finish-batch';
import { HeatOff } from './heat-off';
import type { LiveBatch } from './use-batch-estimate';
import { LazyLeaveOvernight, LazyDoneDifferently, LazyRescuePanel } from './lazy-panels';
import * as texts from './texts';

/** The line at hand in large type: what it is, how long it still takes, the dip to look for, and what comes after it. */
export function CurrentLine({
  batch,
  following,
}: {
  readonly batch: BatchShown;
  readonly following: LiveBatch;
}) {
  const { figures, tell } = following;
  const [opened, setOpened] = useState<'wrong' | 'otherwise' | 'night'>();
  const at = figures?.at ?? 0;
  const line = batch.lines[at];
  const next = batch.lines[at + 1];
  const { left, then, pot } = figures ?? {};
  if (!line) return <FinishBatch batch={batch} following={following} />;
  return (
    <section className="at-hand" aria-label={texts.hand}>
      <p className="fig-label m-0">{texts.partOf(at + 1, batch.lines.length)}</p>
      <p className="batch-line m-0">{line.words}</p>
      {figures && left && <TimeLeft figures={figures} left={left} />}
      <LeftAlone until={figures?.leftUntil} zone={batch.zone} />
      {left && <LookFor then={then} pot={pot} />}
      {batch.mayTell && (
        <Button
          size="lg"
          className="done"
          disabled={figures?.trouble !== undefined || following.behind}
          onClick={() => void tell({ is: 'done', step: line.id })}
        >
          {texts.done}
        </Button>
      )}
      {batch.mayTell && (
        <Else
          following={following}
          began={at > 0}
          wrong={() => setOpened('wrong')}
          other={() => setOpened('otherwise')}
          night={() => setOpened('night')}
        />
      )}
      {opened && (
        <Opened
          batch={batch}
          following={following}
          opened={opened}
          step={line.id}
          close={() => setOpened(undefined)}
        />
      )}
      <p className="next m-0">
        <span className="quiet">{texts.then}</span> {next ? next.words : texts.lastStepFinishBatch}
      </p>
    </section>
  );
}

/** How long the line still takes, and the band in which 8 of 10 would lie. */
function TimeLeft({ figures, left }: { readonly figures: BatchFigures; readonly left: Interval }) {
  const { hours } = useFormatters();
  const band = bandWords(left, hours);
  return (
    <p className={`batch-left m-0${isLate(figures) ? ' hot' : ''}`} role="status">
      {leftWords(left, hours)}
      {band !== undefined && (
        <small>
          {' '}
          {band} {texts.eightInTen}
        </small>
      )}
    </p>
  );
}

/** That nobody is at it, and until when. */
const LeftAlone = ({ until, zone }: { readonly until: number | undefined; readonly zone: string }) =>
  until === undefined ? null : (
    <p className="warning m-0">{texts.leftOvernightUntil(clockIn(zone, new Date(until)))}</p>
  );

/** The dip to look for, and the one there should be now. */
function LookFor({ then, pot }: Pick<BatchFigures, 'then' | 'pot'>) {
  const { litres } = useFormatters();
  return (
    <>
      {then && (
        <p className="batch-dip m-0">
          {texts.stop} <span className="fig">{texts.cm(then.dipCm.toFixed(1))}</span>{' '}
          {texts.belowRim(litres(then.ml))}
        </p>
      )}
      {pot && <p className="quiet m-0">{texts.nowShouldReadCm(pot.dipCm.toFixed(1))}</p>}
    </>
  );
}

/** A panel beside the line at hand: what is wrong with the pot, or how the line was done otherwise. */
function Opened({
  batch,
  following: { figures, tell, ask },
  opened,
  step,
  close,
}: {
  readonly batch: BatchShown;
  readonly following: LiveBatch;
  readonly opened: 'wrong' | 'otherwise' | 'night';
  readonly step: string;
  readonly close: () => void;
}) {
  if (opened === 'night') return <LazyLeaveOvernight batch={batch} ask={ask} tell={tell} close={close} />;
  if (opened === 'otherwise') return <LazyDoneDifferently ask={ask} step={step} tell={tell} close={close} />;
  return (
    <LazyRescuePanel
      ask={ask}
      mark={batch.mark}
      pot={figures?.pot}
      vessel={batch.vessel}
      tell={tell}
      close={close}
    />
  );
}

/** What may happen to a pot besides its lines. */
function Else({
  following,
  began,
  wrong,
  other,
  night,
}: {
  readonly following: LiveBatch;
  /** Something is in it. */
  readonly began: boolean;
  readonly wrong: () => void;
  readonly other: () => void;
  readonly night: () => void;
}) {
  const { figures, tell } = following;
  const cooling = figures?.cooling;
  return (
    <div className="else">
      <Button size="lg" variant="outline-primary" onClick={other}>
        {texts.doneDifferently}
      </Button>
      {/* Past a limit of the house nothing is put right any more. */}
      {began && !cooling?.limits.some((l) => l.passed) && (
        <Button size="lg" variant="outline-primary" onClick={wrong}>
          {texts.reportProblem}
        </Button>
      )}
      {began && !cooling && <HeatOff tell={tell} />}
      {began && !cooling && (
        <Button size="lg" variant="outline-primary" onClick={night}>
          {texts.leaveOvernight}
        </Button>
      )}
    </div>
  );
}
