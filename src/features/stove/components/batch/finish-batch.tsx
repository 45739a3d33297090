'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormatters } from '@/ui/formatters-context';
import type { BatchShown } from '../../queries';
import { figureText } from './batch-words';
import { HeatOff } from './heat-off';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** The portioning of a batch, where its sheet has one. */
const portionOf = ({ running }: BatchShown) => {
  const step = running?.pot.steps.findLast((s) => s.do === 'portion');
  return step?.do === 'portion' ? step : undefined;
};

/** All lines are done: how much there is, how many portions went out of it, and it is over. */
export function FinishBatch({
  batch,
  following,
}: {
  readonly batch: BatchShown;
  readonly following: LiveBatch;
}) {
  const { figures, tell } = following;
  const { bare } = useFormatters();
  const [typed, setTyped] = useState<string>();
  const [counted, setCounted] = useState('');
  const should = figures?.pot ? bare(figures.pot.servedMl / 1000, 2) : '';
  const text = typed ?? should;
  const l = figureText(text, batch.mark);
  const wrong = text !== '' && !(l >= 0 && l <= 2000) ? texts.litresGotOutOfRange(text) : undefined;
  const portions = countOf(counted);
  const ends = (): void =>
    void tell({
      is: 'ended',
      ...(typed === undefined || text === '' ? {} : { l }),
      ...(portions.count === undefined ? {} : { portions: portions.count }),
    });
  return (
    <section className="at-hand" aria-label={texts.hand}>
      <p className="batch-line m-0">{texts.allStepsDoneHow}</p>
      <Form.Group controlId="batch-got">
        <Form.Label>{texts.litresMadeJugScale}</Form.Label>
        <Form.Control
          size="lg"
          inputMode="decimal"
          value={text}
          isInvalid={wrong !== undefined}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Form.Text>{texts.readingsLCountsUnless(should)}</Form.Text>
      </Form.Group>
      {wrong !== undefined && <p className="trouble m-0">{wrong}</p>}
      <Portions batch={batch} ml={l * 1000} typed={counted} count={portions} onType={setCounted} />
      {batch.mayTell && !figures?.cooling && <HeatOff tell={tell} />}
      {batch.mayTell && (
        <Button
          size="lg"
          className="done"
          disabled={wrong !== undefined || portions.wrong !== undefined}
          onClick={ends}
        >
          {texts.finishBatch}
        </Button>
      )}
    </section>
  );
}

const MOST_PORTIONS = 100_000;
/** How far from the size that is said portions may be before it is asked whether they were counted right. */
const ODD = 1.5;

interface Count {
  readonly count: number | undefined;
  readonly wrong: string | undefined;
}

/** Whole portions, as typed; empty where nobody counted. */
function countOf(typed: string): Count {
  const said = typed.trim();
  if (said === '') return { count: undefined, wrong: undefined };
  const n = Number(said);
  return Number.isInteger(n) && n >= 1 && n <= MOST_PORTIONS
    ? { count: n, wrong: undefined }
    : { count: undefined, wrong: texts.portionsCannotWholeOnes(said, MOST_PORTIONS) };
}

/** How many portions went out, where the sheet portions it: what it was beside what is said of each. */
function Portions({
  batch,
  ml,
  typed,
  count: { count, wrong },
  onType,
}: {
  readonly batch: BatchShown;
  readonly ml: number;
  readonly typed: string;
  readonly count: Count;
  readonly onType: (typed: string) => void;
}) {
  const { bare } = useFormatters();
  const step = portionOf(batch);
  if (!step) return null;
  const size = step.ml * (1 + step.overfill);
  const each = count === undefined ? undefined : ml / count;
  const odd = each !== undefined && (each > size * ODD || each < size / ODD);
  return (
    <Form.Group controlId="batch-portions">
      <Form.Label>{texts.portionsServedIfCounted}</Form.Label>
      <Form.Control
        size="lg"
        inputMode="numeric"
        value={typed}
        isInvalid={wrong !== undefined}
        onChange={(event) => onType(event.target.value)}
      />
      <Form.Text>
        {texts.plannedSizeMl(ml > 0 ? Math.floor(ml / size + 1e-9) : 0, bare(size, 0))}
        {each !== undefined && (
          <>
            {texts.thatIs} <b className={odd ? 'hot' : undefined}>{texts.mlEach(bare(each, 0))}</b>
          </>
        )}
        {odd ? texts.countedRight : '.'}
      </Form.Text>
      {wrong !== undefined && <p className="trouble m-0">{wrong}</p>}
    </Form.Group>
  );
}
