'use client';

import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { ArchivedList } from '@/ui/tables/archived-list';
import { SidePanel } from '@/ui/panels/side-panel';
import { useServerSearch } from '@/ui/hooks/use-server-search';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { NewIngredientForm } from '../../own/components/new-ingredient-form';
import { archiveIngredient } from '../../own/wire';
import { findLarder } from '../actions';
import { saveTaken } from '../wire';
import type { LarderPage, LarderRow } from '../queries';
import { Measures } from './measures';
import { Merges } from './merges';
import { UsualBasis } from './usual-basis';
import { SheetTable } from '@/ui/tables/sheet-table';

/** What the kitchen has, and the starting points it can take from. */
export function LarderView({ page }: { page: LarderPage }) {
  const { wanted, setWanted, found, answered } = useServerSearch(page.found, findLarder);
  const more = found.hits - found.rows.length;
  const [making, setMaking] = useState(false);
  const router = useRouter();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>Larder</h1>
          <p className="lead-line">
            {page.own} of the kitchen’s own, and {page.starting} starting points to take from: estimates with
            their range, until this kitchen has weighed.
          </p>
        </div>
        {page.mayEdit && (
          <Button variant="outline-primary" className="flex-shrink-0" onClick={() => setMaking(true)}>
            New ingredient
          </Button>
        )}
        <Form.Control
          type="search"
          placeholder="Find by any word"
          aria-label="Find in the larder"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </Stack>
      <div className="beside">
        <div>
          <Found rows={found.rows} mayEdit={page.mayEdit} />
          {more > 0 && <p className="quiet">{more} more: type a word of what you are looking for.</p>}
          {answered && found.hits === 0 && <p className="quiet">Nothing in the larder fits “{wanted}”.</p>}
          {page.mayEdit && (
            <ArchivedList
              rows={page.away}
              bringBack={(id) => archiveIngredient({ id, away: false, instead: null })}
            />
          )}
        </div>
        <aside>
          <Merges page={page} />
          <Measures page={page} />
          <UsualBasis page={page} />
        </aside>
      </div>
      <SidePanel title="An ingredient of your own" open={making} close={() => setMaking(false)}>
        <NewIngredientForm name="" kept={(_name, id) => router.push(`/buy/${id}`)} />
      </SidePanel>
    </>
  );
}

function Row({ row, mayEdit }: { row: LarderRow; mayEdit: boolean }) {
  const [taking, setTaking] = useState(false);
  return (
    <>
      <tr>
        <td>
          {row.own ? (
            <Link prefetch={false} href={`/buy/${row.id}`}>
              {row.name}
            </Link>
          ) : (
            <span className="quiet">{row.name}</span>
          )}
          <div className="quiet small-line">
            {row.role === 'liquid' ? 'liquid' : 'pieces'}
            {row.from && row.from !== row.name && ` · taken from ${row.from}`}
          </div>
        </td>
        <td className="left small-line">{row.carries}</td>
        <td className="left">
          <span className={row.estimate ? 'estimate' : ''}>{row.usable}</span>
        </td>
        <td className="left small-line" title={row.basis}>
          {row.own ? 'in the kitchen' : `${row.confidence} confidence`}
        </td>
        <td>
          {!row.own && mayEdit && !taking && (
            <Button
              variant="plain"
              size="sm"
              aria-label={`Add ${row.name} to my ingredients`}
              onClick={() => setTaking(true)}
            >
              Take
            </Button>
          )}
        </td>
      </tr>
      {taking && (
        <tr className="note-row">
          <td colSpan={5} className="left">
            <Take row={row} close={() => setTaking(false)} />
          </td>
        </tr>
      )}
    </>
  );
}

function Take({ row, close }: { row: LarderRow; close: () => void }) {
  const [name, setName] = useState(row.name);
  const [keep, state] = useSave();
  return (
    <form
      className="fields flex-wrap align-items-end d-flex gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep(() => saveTaken({ reference: row.id, name })).then((ok) => ok && close());
      }}
    >
      <label>
        Name here
        <input
          className="typed typed-text"
          aria-label={`Name of ${row.name} in this kitchen`}
          aria-invalid={state.message ? true : undefined}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <Button type="submit" variant="plain" size="sm" disabled={state.busy}>
        Add to my ingredients
      </Button>
      <Button variant="plain" size="sm" onClick={close}>
        Cancel
      </Button>
      <TroubleText as="span" says={state.message} />
    </form>
  );
}

function Found({ rows, mayEdit }: { readonly rows: readonly LarderRow[]; readonly mayEdit: boolean }) {
  return (
    <SheetTable>
      <thead>
        <tr>
          <th scope="col">Ingredient</th>
          <th scope="col" className="left">
            Carries
          </th>
          <th scope="col" className="left">
            usable
          </th>
          <th scope="col" className="left">
            how sure
          </th>
          <th scope="col">
            <span className="visually-hidden">Add</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <Row key={r.id} row={r} mayEdit={mayEdit} />
        ))}
      </tbody>
    </SheetTable>
  );
}
