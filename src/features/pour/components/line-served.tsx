'use client';

import { Utensils } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useFormatters } from '@/ui/formatters-context';
import { SidePanel } from '@/ui/panels/side-panel';
import type { OfLine } from './served-forms';
import * as texts from './texts';

const ServedForm = dynamic(() => import('./served-forms').then((m) => m.ServedForm), { ssr: false });
const FinishForm = dynamic(() => import('./served-forms').then((m) => m.FinishForm), { ssr: false });

/** How a line is served, in a few words, where it is not just its portion. */
export function ServedWords({ line }: Pick<OfLine, 'line'>) {
  const { bare } = useFormatters();
  const pct = (x: number): string => `${bare(x, x % 1 ? 1 : 0)} %`;
  const words = [
    ...(line.overfillPct ? [texts.moreThanGoes(pct(line.overfillPct))] : []),
    ...(line.packaging ? [texts.packagingNotFoodCost] : []),
    ...(line.takenPct === undefined ? [] : [texts.sideTaken(pct(line.takenPct))]),
  ];
  return words.length === 0 ? null : <div className="quiet small-line">{words.join(', ')}</div>;
}

/** Says how a line is served: more than its portion goes on, or it stands on the side. */
export function HowServed({ line, data, version }: OfLine) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="tool"
        size="sm"
        aria-label={texts.howServedName(line.name)}
        title={texts.howServed}
        onClick={() => setOpen(true)}
      >
        <Utensils size={16} aria-hidden="true" />
      </Button>
      {open && (
        <SidePanel title={texts.howServedName(line.name)} open close={() => setOpen(false)}>
          <ServedForm line={line} data={data} version={version} close={() => setOpen(false)} />
          {line.batchG !== undefined && <FinishForm line={line} data={data} version={version} />}
        </SidePanel>
      )}
    </>
  );
}
