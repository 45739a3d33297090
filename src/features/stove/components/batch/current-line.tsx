'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { BatchFigures } from '@/core/batch';
import { clockIn } from '@/core/day';
import { useFormatters } from '@/ui/formatters-context';
import type { BatchShown } from '../../queries';
import { bandWords, isLate, leftWords } from './batch-words';
import { FinishBatch } from './finish-batch';
import { HeatOff } from './heat-off';
import type { LiveBatch } from './use-batch-estimate';
import { LazyLeaveOvernight, LazyDoneDifferently, LazyRescuePanel } from './lazy-panels';

/** The line at hand in large type: what it is, how long it still takes, the dip to look for, and what comes after it. */
export function CurrentLine({ batch, following }: { readonly batch: BatchShown; readonly following: LiveBatch }) {
  const { figures, tell } = following;
  const { hours } = useFormatters();
  const [opened, setOpened] = useState<'wrong' | 'otherwise' | 'night'>();
  const at = figures?.at ?? 0;
  const line = batch.lines[at];
  const next = batch.lines[at + 1];
  const { left, then, pot } = figures ?? {};
  if (!line) return <FinishBatch batch={batch} following={following} />;
  return (
    <section className="at-hand" aria-label="At hand">
      <p className="fig-label m-0">
        {at + 1} of {batch.lines.length}
      </p>
      <p className="batch-line m-0">{line.words}</p>
      {left && (
        <p className={`batch-left m-0${figures && isLate(figures) ? ' hot' : ''}`} role="status">
          {leftWords(left, hours)}
          {bandWords(left, hours) !== undefined && <small> {bandWords(left, hours)} (8 in 10)</small>}
        </p>
      )}
      <LeftAlone until={figures?.leftUntil} zone={batch.zone} />
      {left && <LookFor then={then} pot={pot} />}
      {batch.mayTell && (
        <Button
          size="lg"
          className="done"
          disabled={figures?.trouble !== undefined || following.behind}
          onClick={() => void tell({ is: 'done', step: line.id })}
        >
          Done
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
        <span className="quiet">then</span> {next ? next.words : 'last step: finish batch'}
      </p>
    </section>
  );
}

/** That nobody is at it, and until when. */
const LeftAlone = ({ until, zone }: { readonly until: number | undefined; readonly zone: string }) =>
  until === undefined ? null : (
    <p className="warning m-0">Left overnight, until {clockIn(zone, new Date(until))}.</p>
  );

/** The dip to look for, and the one there should be now. */
function LookFor({ then, pot }: Pick<BatchFigures, 'then' | 'pot'>) {
  const { litres } = useFormatters();
  return (
    <>
      {then && (
        <p className="batch-dip m-0">
          Stop at <span className="fig">{then.dipCm.toFixed(1)} cm</span> below the rim, {litres(then.ml)}
        </p>
      )}
      {pot && <p className="quiet m-0">Now it should read {pot.dipCm.toFixed(1)} cm below the rim.</p>}
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
        Done differently
      </Button>
      {/* Past a limit of the house nothing is put right any more. */}
      {began && !cooling?.limits.some((l) => l.passed) && (
        <Button size="lg" variant="outline-primary" onClick={wrong}>
          Report a problem
        </Button>
      )}
      {began && !cooling && <HeatOff tell={tell} />}
      {began && !cooling && (
        <Button size="lg" variant="outline-primary" onClick={night}>
          Leave overnight
        </Button>
      )}
    </div>
  );
}
