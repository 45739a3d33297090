'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { ProposalEffect } from '@/core/taught';
import { useFormatters } from '@/ui/formatters-context';
import { ChangedCosts } from '@/ui/tables/changed-costs';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { changesWithout } from '../actions';
import type { PurchaseView } from '../queries';
import { deleteInvoice } from '../wire';
import * as texts from './texts';

/** Takes an invoice back that was entered wrong, after saying what that moves; or lets it stand again. */
export function DeleteInvoice({ view }: { readonly view: PurchaseView }) {
  const { day } = useFormatters();
  const [moved, setMoved] = useState<readonly ProposalEffect[]>();
  const [open, setOpen] = useState(false);
  const [keep, state] = useSave();
  const tell = useToast();
  const name = `${view.kind === 'invoice' ? 'Invoice' : texts.creditNoteHeading} ${view.number}`;
  const stand = (): void => void keep(() => deleteInvoice({ id: view.id, back: false }));
  const ask = (): void => {
    setOpen(true);
    void changesWithout(view.id).then(setMoved, () => setMoved([]));
  };
  const back = (): void =>
    void keep(() => deleteInvoice({ id: view.id, back: true })).then((ok) => {
      if (!ok) return;
      setOpen(false);
      tell(texts.takenBackName(name), stand);
    });
  if (view.withdrawnOn !== undefined)
    return (
      <span>
        <b className="dearer">{texts.undone(day(view.withdrawnOn))}</b>
        {texts.noLongerCounts}{' '}
        <Button variant="outline-primary" size="sm" disabled={state.busy} onClick={stand}>
          {texts.restore}
        </Button>
        <TroubleText says={state.message} />
      </span>
    );
  return (
    <>
      <Button variant="link" size="sm" onClick={ask}>
        {texts.undo}
      </Button>
      {open && (
        <SidePanel title={texts.undoName(name)} open close={() => setOpen(false)}>
          <p>{texts.pricesNoLongerCount}</p>
          {moved === undefined ? (
            <p role="status" className="quiet">
              {texts.calculatingWhatChanges}
            </p>
          ) : (
            <ChangedCosts moved={moved} when={texts.wouldChange} />
          )}
          <div className="d-flex gap-2">
            <Button disabled={state.busy} onClick={back}>
              {texts.undo}
            </Button>
            <Button variant="plain" onClick={() => setOpen(false)}>
              {texts.cancel}
            </Button>
          </div>
          <TroubleText says={state.message} />
        </SidePanel>
      )}
    </>
  );
}
