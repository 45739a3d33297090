'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { keepMeasure, keepNoMeasure } from '../wire';
import type { LarderPage } from '../queries';

/** The house's own measures: defined once, then written anywhere an amount is. */
export function Measures({ page }: { page: LarderPage }) {
  const [keep, state] = useKept();
  const [name, setName] = useState('');
  const [amount, setAmount] = useState('');
  return (
    <section className="side-box" aria-labelledby="measures">
      <h2 id="measures">The house’s own measures</h2>
      {page.mayEdit && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void keep(() => keepMeasure({ name, amount })).then((ok) => {
              if (!ok) return;
              setName('');
              setAmount('');
            });
          }}
        >
          a{' '}
          <input
            className="typed typed-wide"
            style={{ width: '6rem' }}
            aria-label="Name of the measure"
            placeholder="jug"
            autoComplete="off"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />{' '}
          is{' '}
          <input
            className="typed"
            aria-label="What the measure holds"
            placeholder="1.5 l"
            autoComplete="off"
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
          />{' '}
          <button type="submit" className="plain-button" disabled={state.busy || name.trim() === ''}>
            Define
          </button>
        </form>
      )}
      <Trouble says={state.message} />
      <ul>
        {page.measures.map((m) => (
          <Measure key={m.id} measure={m} mayEdit={page.mayEdit} />
        ))}
      </ul>
      <p className="quiet small-line">
        Written like any unit: “2 {page.measures[0]?.name ?? 'ladle'}s of cream”.
      </p>
    </section>
  );
}

function Measure({ measure: m, mayEdit }: { measure: LarderPage['measures'][number]; mayEdit: boolean }) {
  const [keep, state] = useKept();
  return (
    <li>
      <span>
        a {m.name} is <b className="fig">{m.amount}</b>
        {state.message && (
          <span role="alert" className="trouble">
            {' '}
            {state.message}
          </span>
        )}
      </span>
      {mayEdit && (
        <button
          type="button"
          className="plain-button"
          aria-label={`Put the ${m.name} away`}
          disabled={state.busy}
          onClick={() => void keep(() => keepNoMeasure({ id: m.id }))}
        >
          <X size={15} aria-hidden="true" />
        </button>
      )}
    </li>
  );
}
