'use client';

import { wentInCents } from '@/core/costing';
import { LOSSES } from '@/core/pot';
import Table from 'react-bootstrap/Table';
import { useFormatters } from '@/ui/formatters-context';
import type { LivePot } from './use-pot';
import * as texts from './texts';

/** What was lost on the way, as weight and as money: the running book of the pot. */
export function LossTable({ pot }: { pot: LivePot }) {
  const { kilos, money } = useFormatters();
  const { run } = pot;
  const book = pot.book && wentInCents(pot.book);
  const g = new Map<string, number>();
  for (const row of run.rows)
    for (const loss of LOSSES) if (row.lost[loss]) g.set(loss, (g.get(loss) ?? 0) + row.lost[loss]);
  const rows = LOSSES.filter((loss) => (g.get(loss) ?? 0) > 0.5);
  if (rows.length === 0 && !book) return null;
  return (
    <section aria-label={texts.whereWeightMoneyWent}>
      <Table size="sm" borderless>
        <thead>
          <tr>
            <th scope="col">{texts.losses}</th>
            <th scope="col">{texts.weight}</th>
            <th scope="col">{texts.money}</th>
          </tr>
        </thead>
        <tbody>
          {book && !book.trimmed.isZero() && (
            <tr>
              <td>{texts.trimLoss}</td>
              <td />
              <td className="fig">{money(book.trimmed.toNumber())}</td>
            </tr>
          )}
          {rows.map((loss) => (
            <tr key={loss}>
              <td>{loss}</td>
              <td className="fig">{kilos(g.get(loss) ?? 0)}</td>
              <td className="fig">{book?.lost[loss] ? money(book.lost[loss].toNumber()) : ''}</td>
            </tr>
          ))}
          {run.rows
            .flatMap((row) => row.parted)
            .map((joint) => (
              <tr key={joint.name}>
                <td>
                  <b>{joint.name}</b>
                </td>
                <td className="fig">{kilos(joint.product.g)}</td>
                <td className="fig">
                  {book?.parted[joint.name] ? money(book.parted[joint.name]?.toNumber()) : ''}
                </td>
              </tr>
            ))}
          {book && run.product && (
            <tr className="border-top fw-bold">
              <td>{texts.product(money(book.spent.toNumber()))}</td>
              <td className="fig">{kilos(run.product.g)}</td>
              <td className="fig">{money(book.left.toNumber())}</td>
            </tr>
          )}
        </tbody>
      </Table>
    </section>
  );
}
