'use client';

import Button from 'react-bootstrap/Button';
import { Panel } from '@/ui/panels/panel';
import { useState } from 'react';
import ListGroup from 'react-bootstrap/ListGroup';
import { Combo } from '@/ui/forms/combo';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveApart, saveMerge } from '../wire';
import { findOwn } from '../actions';
import type { LarderPage, OwnName } from '../queries';
import * as texts from './texts';

/** Two spellings of one thing become one, with all their history; and can be taken apart again. */
export function Merges({ page }: { page: LarderPage }) {
  const [keep, state] = useSave();
  const [from, setFrom] = useState<OwnName>();
  const [into, setInto] = useState<OwnName>();
  return (
    <Panel as="section" aria-labelledby="merges">
      <h2 id="merges" className="m-0">
        {texts.mergeDuplicates}
      </h2>
      {page.mayEdit && (
        <form
          className="stacked"
          onSubmit={(event) => {
            event.preventDefault();
            if (!from || !into) return;
            void keep((seen) => saveMerge({ id: from.id, seen: seen ?? from.version, into: into.id })).then(
              (ok) => {
                if (!ok) return;
                setFrom(undefined);
                setInto(undefined);
              },
            );
          }}
        >
          <Combo
            label={texts.mergeWhichIngredient}
            placeholder={texts.merge}
            find={findOwn}
            chosen={from}
            choose={setFrom}
          />
          <Combo
            label={texts.intoWhichIngredient}
            placeholder={texts.into}
            find={findOwn}
            chosen={into}
            choose={setInto}
          />
          <Button type="submit" variant="plain" size="sm" disabled={state.busy || !from || !into}>
            {texts.mergeHistory}
          </Button>
        </form>
      )}
      <TroubleText says={state.message} both={state.both} />
      {page.merges.length > 0 && (
        <ListGroup as="ul" variant="flush">
          {page.merges.map((m) => (
            <Merged key={m.id} merge={m} mayEdit={page.mayEdit} />
          ))}
        </ListGroup>
      )}
    </Panel>
  );
}

function Merged({ merge: m, mayEdit }: { merge: LarderPage['merges'][number]; mayEdit: boolean }) {
  const [keep, state] = useSave();
  return (
    <ListGroup.Item as="li" className="d-flex justify-content-between gap-2">
      <span>
        {texts.counts(m.name)} <b>{m.into}</b>
        <TroubleText as="div" says={state.message} both={state.both} />
      </span>
      {mayEdit && (
        <Button
          variant="plain"
          size="sm"
          disabled={state.busy}
          aria-label={texts.separateFrom(m.name, m.into)}
          onClick={() => void keep((seen) => saveApart({ id: m.id, seen: seen ?? m.version }))}
        >
          {texts.separate}
        </Button>
      )}
    </ListGroup.Item>
  );
}
