'use client';

import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { OvernightForecast } from '@/core/batch';
import type { Heat } from '@/core/pot';
import { clockIn, nextAt } from '@/core/day';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import type { BatchShown } from '../../queries';
import type { PotQuestions } from './batch-worker';
import { NOT_HERE, useAnswer } from './use-answer';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** When somebody is back where the house has not said so. */
const USUALLY = '06:00';

/** A pot is left for the night: how it will stand, turned down as the house has it or as it is, and what the house says of it. */
export function LeaveOvernight({
  batch,
  ask,
  tell,
  close,
}: {
  readonly batch: BatchShown;
  readonly ask: PotQuestions;
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const rule = batch.own.rules?.night;
  const [clock, setClock] = useState(rule?.back ?? USUALLY);
  const [asItIs, setAsItIs] = useState(false);
  const until = (): number => nextAt(Date.now(), clockIn(batch.zone, new Date()), clock);
  const { ahead, turnTo, heat } = useAhead(ask, batch.zone, clock, asItIs);
  const leave = (): void =>
    void tell({ is: 'night', until: new Date(until()).toISOString(), ...(heat ? { heat } : {}) }).then(
      (ok) => {
        if (ok) close();
      },
    );
  return (
    <SidePanel title={texts.leftOvernight} open close={close}>
      <div className="stacked">
        <Form.Group controlId="night-back">
          <Form.Label>{texts.staffBack}</Form.Label>
          <Form.Control
            size="lg"
            type="time"
            value={clock}
            onChange={(event) => setClock(event.target.value)}
          />
        </Form.Group>
        {turnTo && <Turned to={turnTo} asItIs={asItIs} choose={setAsItIs} />}
        {ahead && <Ahead ahead={ahead} clock={clock} />}
        {rule === undefined && <p className="quiet m-0">{texts.kitchenNoOvernightRule}</p>}
        <Button size="lg" disabled={clock === ''} onClick={leave}>
          {leaves(ahead?.allowed, heat)}
        </Button>
      </div>
    </SidePanel>
  );
}

const leaves = (allowed: boolean | undefined, heat: Heat | undefined): string => {
  if (allowed === false) return texts.leaveAnyway;
  return heat ? texts.turnedDownLeft(heat) : texts.leave;
};

/** How it will stand: turned down to what the house lets stand, where it stands at more and nobody says otherwise. */
function useAhead(ask: PotQuestions, zone: string, clock: string, asItIs: boolean) {
  const back = useCallback(() => nextAt(Date.now(), clockIn(zone, new Date()), clock), [zone, clock]);
  const plain = useCallback(() => ask.night(back()), [ask, back]);
  const asLeft = useAnswer(clock === '' ? undefined : plain);
  const turnTo = asLeft && asLeft !== NOT_HERE ? asLeft.turnTo : undefined;
  const heat = asItIs ? undefined : turnTo;
  const down = useCallback(() => ask.night(back(), heat), [ask, back, heat]);
  const turned = useAnswer(clock === '' || !heat ? undefined : down);
  const shown = heat ? turned : asLeft;
  return { ahead: shown && shown !== NOT_HERE ? shown : undefined, turnTo, heat };
}

/** Turned down for the night, or left as it is. */
const Turned = ({
  to,
  asItIs,
  choose,
}: {
  readonly to: Heat;
  readonly asItIs: boolean;
  readonly choose: (asItIs: boolean) => void;
}) => (
  <div className="else" role="group" aria-label={texts.flame}>
    <Button
      size="lg"
      variant={asItIs ? 'outline-primary' : 'primary'}
      aria-pressed={!asItIs}
      onClick={() => choose(false)}
    >
      {texts.turnDown(to)}
    </Button>
    <Button
      size="lg"
      variant={asItIs ? 'primary' : 'outline-primary'}
      aria-pressed={asItIs}
      onClick={() => choose(true)}
    >
      {texts.stands}
    </Button>
  </div>
);

function Ahead({ ahead, clock }: { readonly ahead: OvernightForecast; readonly clock: string }) {
  const { litres, bare, hours } = useFormatters();
  const { allowed, pot, ml, overH, waterMl } = ahead;
  return (
    <>
      {allowed === false && (
        <p className="trouble fs-5 m-0" role="alert">
          {texts.kitchensRuleDoesNot}
        </p>
      )}
      {pot && (
        <p className="m-0">
          {texts.shouldStand(clock)} <b className="fs-4 fig">{litres(pot.ml)}</b>
          {ml &&
            ml.high - ml.low > 50 &&
            texts.litresEightInTen(bare(ml.low / 1000, 1), bare(ml.high / 1000, 1))}
          {texts.cmBelowRimWithDipCm(pot.dipCm.toFixed(1))}
        </p>
      )}
      {overH > 0.05 && <p className="m-0">{texts.lineWillFinished(hours(overH))}</p>}
      {ahead.bare && <p className="trouble fs-5 m-0">{texts.whatWillStickOut}</p>}
      {waterMl !== undefined && waterMl > 0 && (
        <p className="warning m-0">
          {texts.withText} <b>{litres(waterMl)}</b> {texts.waterPouredNowWill}
        </p>
      )}
    </>
  );
}
