'use client';

import Table from 'react-bootstrap/Table';
import { useFormatters } from '@/ui/formatters-context';
import type { LivePot } from './use-pot';

const LEAST_LEFT = 0.95;

/** The packs this pot opens, and what is left of the last of each. */
export function OpenedPacksList({ pot }: { pot: LivePot }) {
  const { kilos } = useFormatters();
  // A pinch out of a sack of salt leaves no part pack worth a word.
  const opened = pot.packs.filter(
    (o) => o.leftG > 0.5 && (o.pack.charged === 'whole' || o.packs > 1 || o.leftG < o.pack.g * LEAST_LEFT),
  );
  if (opened.length === 0) return null;
  const whole = opened.filter((o) => o.pack.charged === 'whole');
  return (
    <details className="mt-2" open={whole.length > 0}>
      <summary>
        {opened.length} part-used {opened.length === 1 ? 'pack' : 'packs'} left over
        {whole.length > 0 && `, ${whole.length} charged whole`}
      </summary>
      <Table size="sm">
        <tbody>
          {[...whole, ...opened.filter((o) => !whole.includes(o))].map((o) => (
            <tr key={o.supply}>
              <td className="left">
                {o.name}
                {o.pack.charged === 'whole' && <b> charged whole</b>}
              </td>
              <td className="fig">
                {kilos(o.leftG)} of {kilos(o.pack.g)} left
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </details>
  );
}
