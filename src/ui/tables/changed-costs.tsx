'use client';

import Table from 'react-bootstrap/Table';
import type { ProposalEffect } from '@/core/taught';
import { useFormatters } from '../formatters-context';
import * as texts from './texts';

/** What moves, from what to what: largest share first. */
export function ChangedCosts({
  moved,
  when,
}: {
  readonly moved: readonly ProposalEffect[];
  readonly when: string;
}) {
  const { bare, money } = useFormatters();
  if (moved.length === 0) return <p className="quiet">{texts.noCostNotUsed(when)}</p>;
  const share = (m: ProposalEffect): number => (m.before && m.after ? m.after / m.before - 1 : 0);
  return (
    <Table size="sm" borderless className="w-auto">
      <tbody>
        {moved.map((m) => (
          <tr key={m.key}>
            <th scope="row">{m.name}</th>
            <td className="quiet">{m.per}</td>
            <td className="fig">
              {money(m.before)} → <b>{money(m.after)}</b>
            </td>
            <td className={`fig ${share(m) > 0 ? 'dearer' : 'cheaper'}`}>
              {Math.abs(share(m)) >= 0.0005 && (
                <>
                  <span aria-hidden="true">{share(m) > 0 ? '▲ ' : '▼ '}</span>
                  <span className="visually-hidden">{share(m) > 0 ? texts.dearer : texts.cheaper}</span>
                  {bare(Math.abs(share(m)) * 100, 1)} %
                </>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
