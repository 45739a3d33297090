'use client';

import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { NightAhead } from '@/core/batch';
import { clockIn, nextAt } from '@/core/day';
import { useFigures } from '@/ui/figures';
import { SidePanel } from '@/ui/side-panel';
import type { BatchShown } from '../queries';
import type { AskPot } from './pot-worker';
import { NOT_HERE, useAnswer } from './use-answer';
import type { Following } from './use-following';

/** When somebody is back where the house has not said so. */
const USUALLY = '06:00';

/** A pot is left for the night: how it will stand, and what the house says of it. */
export function Night({
  batch,
  ask,
  tell,
  close,
}: {
  readonly batch: BatchShown;
  readonly ask: AskPot;
  readonly tell: Following['tell'];
  readonly close: () => void;
}) {
  const rule = batch.own.rules?.night;
  const [clock, setClock] = useState(rule?.back ?? USUALLY);
  const until = (): number => nextAt(Date.now(), clockIn(batch.zone, new Date()), clock);
  const find = useCallback(
    () => ask.night(nextAt(Date.now(), clockIn(batch.zone, new Date()), clock)),
    [ask, batch.zone, clock],
  );
  const ahead = useAnswer(clock === '' ? undefined : find);
  return (
    <SidePanel title="Left for the night" open close={close}>
      <div className="stacked">
        <Form.Group controlId="night-back">
          <Form.Label>Somebody is back at</Form.Label>
          <Form.Control
            size="lg"
            type="time"
            value={clock}
            onChange={(event) => setClock(event.target.value)}
          />
        </Form.Group>
        {ahead && ahead !== NOT_HERE && <Ahead ahead={ahead} clock={clock} />}
        {rule === undefined && (
          <p className="quiet m-0">
            This kitchen has not said what may stand on the heat for the night; a manager says so under This
            kitchen.
          </p>
        )}
        <Button
          size="lg"
          disabled={clock === ''}
          onClick={() =>
            void tell({ is: 'night', until: new Date(until()).toISOString() }).then((ok) => {
              if (ok) close();
            })
          }
        >
          {ahead && ahead !== NOT_HERE && ahead.allowed === false ? 'It is left all the same' : 'It is left'}
        </Button>
      </div>
    </SidePanel>
  );
}

function Ahead({ ahead, clock }: { readonly ahead: NightAhead; readonly clock: string }) {
  const { litres, bare, hours } = useFigures();
  const { allowed, pot, ml, overH, waterMl } = ahead;
  return (
    <>
      {allowed === false && (
        <p className="trouble fs-5 m-0" role="alert">
          By the rule of this house it may not stand like this for the night: turn it down, or take it off the
          heat and cool it.
        </p>
      )}
      {pot && (
        <p className="m-0">
          At {clock} it should stand at <b className="fs-4 fig">{litres(pot.ml)}</b>
          {ml &&
            ml.high - ml.low > 50 &&
            ` (${bare(ml.low / 1000, 1)} to ${bare(ml.high / 1000, 1)} l, four times in five)`}
          , {pot.dipCm.toFixed(1)} cm from the rim.
        </p>
      )}
      {overH > 0.05 && <p className="m-0">Its line will have been at its end for {hours(overH)}.</p>}
      {ahead.bare && (
        <p className="trouble fs-5 m-0">
          What is in it will stand out of the liquid: it browns there, and then burns.
        </p>
      )}
      {waterMl !== undefined && waterMl > 0 && (
        <p className="warning m-0">
          With <b>{litres(waterMl)}</b> of water poured in now it has then what it should have at the end of
          its line.
        </p>
      )}
    </>
  );
}
