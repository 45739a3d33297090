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
import * as texts from './texts';

/** Rows told before somebody asks for all. */
const FIRST = 12;

/** Costs that moved because the model did, and nothing the kitchen has done. */
export function ModelChangeTable({
  move,
  mayEdit,
}: {
  readonly move: ModelChangeRow;
  readonly mayEdit: boolean;
}) {
  const { day, said } = useFormatters();
  const [keep, state] = useSave();
  const [all, setAll] = useState(false);
  const shown = all ? move.moves : move.moves.slice(0, FIRST);
  return (
    <section aria-labelledby={`moved-${move.id}`}>
      <h2 id={`moved-${move.id}`}>{texts.oneCostCostsMoved(move.moves.length, move.byModel)}</h2>
      <p>{move.says}</p>
      <p className="quiet">
        {texts.foundCostedModelBefore(said(move.found), day(move.forDay), move.byModel, move.exact)}
      </p>
      <Moves rows={shown} />
      {shown.length < move.moves.length && (
        <Button variant="link" onClick={() => setAll(true)}>
          {texts.showAll(move.moves.length)}
        </Button>
      )}
      {mayEdit && !move.seen && (
        <Button
          variant="outline-primary"
          disabled={state.busy}
          onClick={() => void keep(() => seeModel({ id: move.id }))}
        >
          {texts.got}
        </Button>
      )}
      <TroubleText says={state.message} />
    </section>
  );
}

function Moves({ rows }: { readonly rows: ModelChangeRow['moves'] }) {
  const { money } = useFormatters();
  const cost = (of: number | null): string => (of === null ? texts.notKnown : money(of));
  return (
    <Table responsive size="sm">
      <thead>
        <tr>
          <th scope="col">{texts.what}</th>
          <th scope="col">{texts.ofWord}</th>
          <th scope="col" className="fig">
            {texts.before}
          </th>
          <th scope="col" className="fig">
            {texts.now}
          </th>
          <th scope="col" className="fig">
            {texts.by}
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
      {texts.calculationImprovedSomeCosts}{' '}
      <Link prefetch={false} href="/house">
        {texts.seeWhichOnes}
      </Link>
      .
    </Alert>
  );
}
