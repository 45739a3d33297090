'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { keepApart, keepMerge } from '../wire';
import type { LarderPage, LarderRow } from '../queries';

/** Two spellings of one thing become one, with all their history; and can be taken apart again. */
export function Merges({ page }: { page: LarderPage }) {
  const [keep, state] = useKept();
  const [from, setFrom] = useState('');
  const [into, setInto] = useState('');
  const own = page.rows.filter((r) => r.own);
  const first = own.find((r) => r.id === from);
  return (
    <section className="side-box" aria-labelledby="merges">
      <h2 id="merges">Two spellings of one thing</h2>
      {page.mayEdit && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!first || into === '') return;
            void keep(() => keepMerge({ id: from, seen: first.version ?? 1, into })).then((ok) => {
              if (!ok) return;
              setFrom('');
              setInto('');
            });
          }}
        >
          <Choice label="Merge" value={from} set={setFrom} own={own} />
          <Choice label="into" value={into} set={setInto} own={own} />
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
}: {
  label: string;
  value: string;
  set: (id: string) => void;
  own: readonly LarderRow[];
}) {
  return (
    <Form.Select
      aria-label={`${label} which ingredient`}
      value={value}
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
