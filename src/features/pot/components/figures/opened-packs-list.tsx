'use client';

import Table from 'react-bootstrap/Table';
import { useFormatters } from '@/ui/formatters-context';
import type { LivePot } from './use-pot';
import * as texts from './texts';

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
        {texts.partUsedPackPacks(opened.length)}
        {whole.length > 0 && texts.chargedWholeWithCount(whole.length)}
      </summary>
      <Table size="sm">
        <tbody>
          {[...whole, ...opened.filter((o) => !whole.includes(o))].map((o) => (
            <tr key={o.supply}>
              <td className="left">
                {o.name}
                {o.pack.charged === 'whole' && <b> {texts.chargedWhole}</b>}
              </td>
              <td className="fig">{texts.left(kilos(o.leftG), kilos(o.pack.g))}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </details>
  );
}
