'use client';

import { useCallback, useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { SidePanel } from '@/ui/panels/side-panel';
import type { PotQuestions } from './batch-worker';
import { NOT_HERE, NOT_HERE_WORDS, useAnswer } from './use-answer';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** The line as it is typed: as it is written at first. */
function useTyped(ask: PotQuestions, step: string) {
  const [typed, setTyped] = useState<string>();
  const [known, setKnown] = useState(true);
  useEffect(() => {
    let over = false;
    ask
      .line(step)
      .then((line) => {
        if (over) return;
        setKnown(line !== undefined);
        setTyped((was) => was ?? line);
      })
      .catch(() => !over && setKnown(false));
    return () => {
      over = true;
    };
  }, [ask, step]);
  return { typed, setTyped, known };
}

/** A line was done otherwise in this batch: it is written as it was done, and the sheet stays as it is. */
export function DoneDifferently({
  ask,
  step,
  tell,
  close,
}: {
  readonly ask: PotQuestions;
  readonly step: string;
  readonly tell: LiveBatch['tell'];
  readonly close: () => void;
}) {
  const { typed, setTyped, known } = useTyped(ask, step);
  const text = typed?.trim() ?? '';
  const find = useCallback(() => ask.read(text), [ask, text]);
  const answer = useAnswer(text === '' ? undefined : find);
  const read = known ? answer : NOT_HERE;
  return (
    <SidePanel title={texts.doneDifferently} open close={close}>
      <div className="stacked">
        <Form.Group controlId="otherwise">
          <Form.Label>{texts.lineDone}</Form.Label>
          <Form.Control
            size="lg"
            value={typed ?? ''}
            disabled={typed === undefined}
            onChange={(event) => setTyped(event.target.value)}
          />
          <Form.Text>{texts.differentWeightDifferentIngredient}</Form.Text>
        </Form.Group>
        {read === NOT_HERE && <p className="trouble m-0">{NOT_HERE_WORDS}</p>}
        {read && read !== NOT_HERE && !read.ok && <p className="warning m-0">{read.message}</p>}
        {read && read !== NOT_HERE && read.ok && (
          <>
            <p className="fs-5 m-0">{read.words}</p>
            <Button
              size="lg"
              onClick={() =>
                void tell({ is: 'otherwise', step, as: read.as }).then((ok) => {
                  if (ok) close();
                })
              }
            >
              {texts.save}
            </Button>
          </>
        )}
      </div>
    </SidePanel>
  );
}
