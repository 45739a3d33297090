'use client';

import Link from 'next/link';
import { useState } from 'react';
import Alert from 'react-bootstrap/Alert';
import Button from 'react-bootstrap/Button';
import Table from 'react-bootstrap/Table';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { ModelChangeRow } from '../queries';
import { seeModel } from '../send';

/** Rows told before somebody asks for all. */
const FIRST = 12;

/** Costs that moved because the model did, and nothing the kitchen has done. */
export function ModelChangeTable({ move, mayEdit }: { readonly move: ModelChangeRow; readonly mayEdit: boolean }) {
  const { day, said } = useFormatters();
  const [keep, state] = useSave();
  const [all, setAll] = useState(false);
  const shown = all ? move.moves : move.moves.slice(0, FIRST);
  return (
    <section aria-labelledby={`moved-${move.id}`}>
      <h2 id={`moved-${move.id}`}>
        {move.moves.length === 1 ? 'One cost' : `${move.moves.length} costs`} moved because{' '}
        {move.byModel ? 'the model did' : 'better starting values were taken'}
      </h2>
      <p>{move.says}</p>
      <p className="quiet">
        Found {said(move.found)}, costed for {day(move.forDay)}
        {move.byModel ? ' by the model before and by this one' : ' before and after'}.{' '}
        {move.exact
          ? 'Nothing else had changed between the two.'
          : 'Something else was changed between the two as well, so not all of it is the model’s.'}{' '}
        Saved costings stay as they were.
      </p>
      <Moves rows={shown} />
      {shown.length < move.moves.length && (
        <Button variant="link" onClick={() => setAll(true)}>
          Show all {move.moves.length}
        </Button>
      )}
      {mayEdit && !move.seen && (
        <Button
          variant="outline-primary"
          disabled={state.busy}
          onClick={() => void keep(() => seeModel({ id: move.id }))}
        >
          Got it
        </Button>
      )}
      <TroubleText says={state.message} />
    </section>
  );
}

function Moves({ rows }: { readonly rows: ModelChangeRow['moves'] }) {
  const { money } = useFormatters();
  const cost = (of: number | null): string => (of === null ? 'not known' : money(of));
  return (
    <Table responsive size="sm">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">of</th>
          <th scope="col" className="fig">
            before
          </th>
          <th scope="col" className="fig">
            now
          </th>
          <th scope="col" className="fig">
            by
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.key}>
            <td>
              <Link prefetch={false} href={r.href}>
                {r.name}
              </Link>
            </td>
            <td className="quiet">{r.of}</td>
            <td className="fig">{cost(r.before)}</td>
            <td className="fig">{cost(r.after)}</td>
            <td className="fig strong">{byHowMuch(r)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

function byHowMuch({ before, after }: ModelChangeRow['moves'][number]): string {
  if (before === null || after === null || before === 0) return '';
  const pct = (after / before - 1) * 100;
  return `${pct >= 0 ? '+' : '−'}${Math.abs(pct).toFixed(1)} %`;
}

/** Told to a manager wherever he arrives, until he has looked. */
export function ModelNotice({ unseen }: { readonly unseen: number }) {
  if (unseen === 0) return null;
  return (
    <Alert variant="primary" role="status" className="mb-3">
      The calculation has been improved, and some costs changed.{' '}
      <Link prefetch={false} href="/house">
        See which ones
      </Link>
      .
    </Alert>
  );
}
