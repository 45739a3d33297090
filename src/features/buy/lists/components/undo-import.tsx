'use client';

import Button from 'react-bootstrap/Button';
import { Panel } from '@/ui/panels/panel';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { undo } from '../wire';
import type { ListPage } from '../queries';
import * as texts from './texts';

/** An accepted list can be taken back whole; what somebody edited since is kept unless confirmed. */
export function UndoImport({ page }: { page: ListPage }) {
  const [keep, state] = useSave();
  const [also, setAlso] = useState(false);
  if (!page.mayEdit) return null;
  return (
    <Panel as="div">
      <p className="m-0">
        <span className="cheaper">{texts.pricesPriceBook}</span>{' '}
        <Button
          variant="plain"
          size="sm"
          disabled={state.busy}
          onClick={() => void keep(() => undo({ id: page.list.id, alsoEdited: also }))}
        >
          {texts.undoWholeList}
        </Button>
      </p>
      {page.edited.length > 0 && (
        <>
          <p className="warning m-0">
            {texts.editedSinceLeftThey(
              page.edited
                .slice(0, 12)
                .map((e) => `${e.name} (${e.price})`)
                .join(', '),
            )}
            {page.edited.length > 12 && texts.more(page.edited.length - 12)}
          </p>
          <Form.Check
            id="also-edited"
            checked={also}
            onChange={() => setAlso(!also)}
            label={texts.undoThoseListPrices}
          />
        </>
      )}
      <TroubleText says={state.message} />
    </Panel>
  );
}
