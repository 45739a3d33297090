'use client';

import { Utensils } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useFigures } from '@/ui/figures';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { SidePanel } from '@/ui/side-panel';
import { useKeptForm } from '@/ui/use-kept-form';
import { servedTyped } from '../head-typed';
import type { PlateData } from '../queries';
import { keepLineServed, LineServed } from '../wire';

interface Props {
  readonly line: PlateData['lines'][number];
  readonly data: PlateData;
  readonly version: () => number;
}

/** How a line is served, in a few words, where it is not just its portion. */
export function ServedWords({ line }: Pick<Props, 'line'>) {
  const { bare } = useFigures();
  const pct = (x: number): string => `${bare(x, x % 1 ? 1 : 0)} %`;
  const words = [
    ...(line.overfillPct ? [`${pct(line.overfillPct)} more than that goes on`] : []),
    ...(line.takenPct === undefined ? [] : [`on the side, ${pct(line.takenPct)} of it taken`]),
  ];
  return words.length === 0 ? null : <div className="quiet small-line">{words.join(', ')}</div>;
}

/** Says how a line is served: more than its portion goes on, or it stands on the side. */
export function HowServed({ line, data, version }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="tool"
        size="sm"
        aria-label={`How ${line.name} is served`}
        title="How it is served"
        onClick={() => setOpen(true)}
      >
        <Utensils size={16} aria-hidden="true" />
      </Button>
      {open && <ServedForm line={line} data={data} version={version} close={() => setOpen(false)} />}
    </>
  );
}

function ServedForm({ line, data: { plate, mark }, version, close }: Props & { readonly close: () => void }) {
  const keeping = useKeptForm(LineServed, servedTyped(line, mark), async (typed, _form, seen) => {
    const answer = await keepLineServed({
      id: plate.id,
      line: line.id,
      seen: Math.max(seen ?? 0, version()),
      ...typed,
    });
    if (answer.ok) close();
    return answer;
  });
  const { form } = keeping;
  return (
    <SidePanel title={`How ${line.name} is served`} open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField
          {...{ form, name: 'overfill', label: 'More goes on than its portion, %' }}
          placeholder="none"
        />
        <FormField
          {...{ form, name: 'taken', label: 'On the side: how much of it guests take, %' }}
          placeholder="all of it"
        />
        <p className="quiet small-line m-0">What they leave goes back to the store and is not counted.</p>
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}
