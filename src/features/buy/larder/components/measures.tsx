'use client';

import Button from 'react-bootstrap/Button';
import ListGroup from 'react-bootstrap/ListGroup';
import { Panel } from '@/ui/panels/panel';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useToast } from '@/ui/frame/toasts';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveMeasure, saveNoMeasure } from '../wire';
import type { LarderPage } from '../queries';
import * as texts from './texts';

/** The house's own measures: defined once, then written anywhere an amount is. */
export function Measures({ page }: { page: LarderPage }) {
  const [keep, state] = useSave();
  const [name, setName] = useState('');
  const [amount, setAmount] = useState('');
  return (
    <Panel as="section" aria-labelledby="measures">
      <h2 id="measures">{texts.housesOwnMeasures}</h2>
      {page.mayEdit && (
        <form
          className="d-flex flex-wrap align-items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void keep(() => saveMeasure({ name, amount })).then((ok) => {
              if (!ok) return;
              setName('');
              setAmount('');
            });
          }}
        >
          {texts.a}{' '}
          <input
            className="typed typed-text typed-narrow"
            aria-label={texts.nameMeasure}
            placeholder={texts.exampleMeasure}
            autoComplete="off"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />{' '}
          {texts.is}{' '}
          <input
            className="typed"
            aria-label={texts.whatMeasureHolds}
            placeholder="1.5 l"
            autoComplete="off"
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
          />{' '}
          <Button type="submit" variant="plain" size="sm" disabled={state.busy || name.trim() === ''}>
            {texts.define}
          </Button>
        </form>
      )}
      <TroubleText says={state.message} />
      <ListGroup as="ul" variant="flush">
        {page.measures.map((m) => (
          <Measure key={m.id} measure={m} mayEdit={page.mayEdit} />
        ))}
      </ListGroup>
      <p className="quiet small-line">{texts.writtenLikeAnyUnit(page.measures[0]?.name)}</p>
    </Panel>
  );
}

function Measure({ measure: m, mayEdit }: { measure: LarderPage['measures'][number]; mayEdit: boolean }) {
  const [keep, state] = useSave();
  const tell = useToast();
  return (
    <ListGroup.Item as="li" className="d-flex justify-content-between gap-2">
      <span>
        {texts.aIs(m.name)} <b className="fig">{m.amount}</b>
        {state.message && (
          <span role="alert" className="trouble">
            {' '}
            {state.message}
          </span>
        )}
      </span>
      {mayEdit && (
        <Button
          variant="plain"
          size="sm"
          aria-label={texts.putAway(m.name)}
          disabled={state.busy}
          onClick={() =>
            void keep(() => saveNoMeasure({ id: m.id })).then(
              (ok) =>
                ok &&
                tell(
                  texts.archived(m.name),
                  () => void keep(() => saveMeasure({ name: m.name, amount: m.amount })),
                ),
            )
          }
        >
          <X size={15} aria-hidden="true" />
        </Button>
      )}
    </ListGroup.Item>
  );
}
