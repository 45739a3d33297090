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
import * as texts from './texts';

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
          <h1>{texts.larder}</h1>
          <p className="lead-line">{texts.kitchensOwnStartingPoints(page.own, page.starting)}</p>
        </div>
        {page.mayEdit && (
          <Button variant="outline-primary" className="flex-shrink-0" onClick={() => setMaking(true)}>
            {texts.newIngredient}
          </Button>
        )}
        <Form.Control
          type="search"
          placeholder={texts.findAnyWord}
          aria-label={texts.findLarder}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </Stack>
      <div className="beside">
        <div>
          <Found rows={found.rows} mayEdit={page.mayEdit} />
          {more > 0 && <p className="quiet">{texts.moreTypeWordWhat(more)}</p>}
          {answered && found.hits === 0 && <p className="quiet">{texts.nothingLarderFits(wanted)}</p>}
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
      <SidePanel title={texts.ingredientYourOwn} open={making} close={() => setMaking(false)}>
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
            {row.role === 'liquid' ? texts.liquid : texts.pieces}
            {row.from && row.from !== row.name && texts.takenFrom(row.from)}
          </div>
        </td>
        <td className="left small-line">{row.carries}</td>
        <td className="left">
          <span className={row.estimate ? 'estimate' : ''}>{row.usable}</span>
        </td>
        <td className="left small-line" title={row.basis}>
          {row.own ? texts.kitchen : texts.confidence(row.confidence)}
        </td>
        <td>
          {!row.own && mayEdit && !taking && (
            <Button
              variant="plain"
              size="sm"
              aria-label={texts.addMyIngredientsNamed(row.name)}
              onClick={() => setTaking(true)}
            >
              {texts.take}
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
        {texts.nameHere}
        <input
          className="typed typed-text"
          aria-label={texts.nameKitchen(row.name)}
          aria-invalid={state.message ? true : undefined}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <Button type="submit" variant="plain" size="sm" disabled={state.busy}>
        {texts.addMyIngredients}
      </Button>
      <Button variant="plain" size="sm" onClick={close}>
        {texts.cancel}
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
          <th scope="col">{texts.ingredient}</th>
          <th scope="col" className="left">
            {texts.carries}
          </th>
          <th scope="col" className="left">
            {texts.usable}
          </th>
          <th scope="col" className="left">
            {texts.howSure}
          </th>
          <th scope="col">
            <span className="visually-hidden">{texts.add}</span>
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
