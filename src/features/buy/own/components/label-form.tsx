'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { labelWords } from '@/core/safety';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { over } from '@/wire';
import { saveAllergens } from '../wire';
import { AllergenBoxes } from './allergen-boxes';
import * as texts from './texts';

interface Of {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly allergens: readonly string[];
  readonly allergensRead: boolean;
}

/** What an ingredient carries, in words that are true: what nobody has read is not known. */
export const containsText = ({ allergens, allergensRead }: Omit<Of, 'id' | 'name' | 'version'>): string =>
  allergens.length > 0 ? allergens.join(', ') : allergensRead ? labelWords.noneNamed : labelWords.unread;

/** What its label names, ticked and kept; the pots and plates that take it say so from then on. */
export function LabelForm({ of }: { readonly of: Of }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="link" size="sm" className="px-1" onClick={() => setOpen(true)}>
        {of.allergensRead ? texts.changeAllergens : texts.checkLabel}
      </Button>
      <SidePanel title={texts.allergens(of.name)} open={open} close={() => setOpen(false)}>
        {open && <Boxes of={of} close={() => setOpen(false)} />}
      </SidePanel>
    </>
  );
}

function Boxes({ of, close }: { readonly of: Of; readonly close: () => void }) {
  const [chosen, setChosen] = useState(of.allergens);
  const [keep, state] = useSave();
  const tell = useToast();
  const done = (): void =>
    void keep((seen) =>
      saveAllergens({ id: of.id, allergens: [...chosen], ...over(seen ?? of.version) }),
    ).then((ok) => {
      if (!ok) return;
      tell(texts.allergensSaved(of.name));
      close();
    });
  return (
    <>
      <AllergenBoxes chosen={chosen} set={setChosen} />
      <p className="quiet mt-2">{labelWords.confirms(chosen.length === 0)}</p>
      <Button onClick={done} disabled={state.busy}>
        {texts.save}
      </Button>
      <TroubleText says={state.message} both={state.both} />
    </>
  );
}
