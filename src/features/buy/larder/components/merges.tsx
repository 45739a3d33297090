'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { keepApart, keepMerge } from '../wire';
import { namesOfOwn } from '../actions';
import type { LarderPage, OwnName } from '../queries';

/** Two spellings of one thing become one, with all their history; and can be taken apart again. */
export function Merges({ page }: { page: LarderPage }) {
  const [keep, state] = useKept();
  const [from, setFrom] = useState('');
  const [into, setInto] = useState('');
  const [asked, setAsked] = useState<readonly OwnName[]>();
  const own = asked ?? page.names;
  // The names of a large larder are asked for by whoever is about to choose.
  const ask = (): void => {
    if (own.length < page.own)
      void namesOfOwn().then(
        (all) => all.length > 0 && setAsked(all),
        () => undefined,
      );
  };
  const first = own.find((r) => r.id === from);
  return (
    <section className="side-box" aria-labelledby="merges">
      <h2 id="merges">Two spellings of one thing</h2>
      {page.mayEdit && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!first || into === '') return;
            void keep(() => keepMerge({ id: from, seen: first.version, into })).then((ok) => {
              if (!ok) return;
              setAsked(undefined);
              setFrom('');
              setInto('');
            });
          }}
        >
          <Choice label="Merge" value={from} set={setFrom} own={own} ask={ask} />
          <Choice label="into" value={into} set={setInto} own={own} ask={ask} />
          <button type="submit" className="plain-button" disabled={state.busy || from === '' || into === ''}>
            Merge, history and all
          </button>
        </form>
      )}
      <Trouble says={state.message} />
      {page.merges.length > 0 && (
        <ul>
          {page.merges.map((m) => (
            <Merged key={m.id} merge={m} mayEdit={page.mayEdit} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Choice({
  label,
  value,
  set,
  own,
  ask,
}: {
  label: string;
  value: string;
  set: (id: string) => void;
  own: readonly OwnName[];
  ask: () => void;
}) {
  return (
    <Form.Select
      aria-label={`${label} which ingredient`}
      value={value}
      onFocus={ask}
      onChange={(event) => set(event.target.value)}
    >
      <option value="">{label} …</option>
      {own.map((r) => (
        <option key={r.id} value={r.id}>
          {r.name}
        </option>
      ))}
    </Form.Select>
  );
}

function Merged({ merge: m, mayEdit }: { merge: LarderPage['merges'][number]; mayEdit: boolean }) {
  const [keep, state] = useKept();
  return (
    <li>
      <span>
        {m.name} counts as <b>{m.into}</b>
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
          disabled={state.busy}
          aria-label={`Take ${m.name} apart from ${m.into}`}
          onClick={() => void keep(() => keepApart({ id: m.id, seen: m.version }))}
        >
          Take apart
        </button>
      )}
    </li>
  );
}
