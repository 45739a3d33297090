'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { SidePanel } from '@/ui/side-panel';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { over } from '@/wire';
import { keepAllergens } from '../wire';
import { AllergenBoxes } from './allergen-boxes';

interface Of {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly allergens: readonly string[];
  readonly allergensRead: boolean;
}

/** What an ingredient carries, in words that are true: what nobody has read is not known. */
export const carriesWords = ({ allergens, allergensRead }: Omit<Of, 'id' | 'name' | 'version'>): string =>
  allergens.length > 0
    ? allergens.join(', ')
    : allergensRead
      ? 'none of those that labels name'
      : 'not known: nobody has read its label';

/** What its label names, ticked and kept; the pots and plates that take it say so from then on. */
export function LabelRead({ of }: { readonly of: Of }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="link" size="sm" className="px-1" onClick={() => setOpen(true)}>
        {of.allergensRead ? 'Change what it carries' : 'Read its label'}
      </Button>
      <SidePanel title={`What ${of.name} carries`} open={open} close={() => setOpen(false)}>
        {open && <Boxes of={of} close={() => setOpen(false)} />}
      </SidePanel>
    </>
  );
}

function Boxes({ of, close }: { readonly of: Of; readonly close: () => void }) {
  const [chosen, setChosen] = useState(of.allergens);
  const [keep, state] = useKept();
  const tell = useTell();
  const done = (): void =>
    void keep((seen) =>
      keepAllergens({ id: of.id, allergens: [...chosen], ...over(seen ?? of.version) }),
    ).then((ok) => {
      if (!ok) return;
      tell(`What ${of.name} carries is kept.`);
      close();
    });
  return (
    <>
      <AllergenBoxes chosen={chosen} set={setChosen} />
      <p className="quiet mt-2">
        Keeping it says that its label names these{chosen.length === 0 ? ': none' : ''} and no others.
      </p>
      <Button onClick={done} disabled={state.busy}>
        Save
      </Button>
      <Trouble says={state.message} both={state.both} />
    </>
  );
}
