'use client';

import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { ActRow, ChangesPage } from '../queries';
import { restoreChange, undoChange } from '../send';
import * as texts from './texts';

/** Who changed what, and when; each act with the way to take it back. */
export function ChangesView({ page }: { readonly page: ChangesPage }) {
  const { of, rows, more } = page;
  return (
    <>
      <h1>{of ? texts.whatHappened(of.name) : texts.history}</h1>
      <p className="lead-line">
        {texts.whoWhenWhatBefore}{' '}
        {of && (
          <Link prefetch={false} href="/house/changes">
            {texts.log}
          </Link>
        )}
      </p>
      {rows.length === 0 ? (
        <p>{texts.noChangesYet}</p>
      ) : (
        <SheetTable>
          <thead>
            <tr>
              <th scope="col">{texts.what}</th>
              <th scope="col" className="left">
                {texts.who}
              </th>
              <th scope="col">{texts.when}</th>
              <th scope="col">
                <span className="visually-hidden">{texts.undo}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <Act key={row.id} row={row} ofOne={of !== undefined} />
            ))}
          </tbody>
        </SheetTable>
      )}
      {more && (
        <p className="mt-2">
          <Link
            prefetch={false}
            href={`/house/changes?${new URLSearchParams({ ...(of ? { of: of.id } : {}), until: more })}`}
          >
            {texts.earlier}
          </Link>
        </p>
      )}
    </>
  );
}

function Act({ row, ofOne }: { readonly row: ActRow; readonly ofOne: boolean }) {
  const { day } = useFormatters();
  const [keep, state] = useSave();
  const tell = useToast();
  const said = row.isBack ? 'Redone' : 'Undone';
  return (
    <tr>
      <td className={row.undone ? 'quiet' : ''}>
        {row.isBack && <span className="quiet">{texts.undone} </span>}
        {row.words.map((words, i) => (
          <span key={i} className="d-block">
            {row.undone ? <s>{words}</s> : words}
          </span>
        ))}
        <TroubleText says={state.message} />
      </td>
      <td className="left small-line">{row.by}</td>
      <td className="fig small-line">
        {day(row.day)} {row.clock}
      </td>
      <td>
        <span className="d-flex justify-content-end gap-3">
          {ofOne && row.restores && (
            <Button
              variant="link"
              size="sm"
              disabled={state.busy}
              onClick={() =>
                void keep(() => restoreChange({ change: row.restores ?? '' })).then(
                  (ok) => ok && tell(texts.restoredThen),
                )
              }
            >
              {texts.after}
            </Button>
          )}
          {row.mayUndo && !row.undone && (
            <Button
              variant="link"
              size="sm"
              disabled={state.busy}
              aria-label={`${row.isBack ? 'Redo' : 'Undo'}: ${row.words.join(', ')}`}
              onClick={() =>
                void keep(() => undoChange({ change: row.id, again: false })).then(
                  (ok) => ok && tell(texts.done(said, row.words[0] ?? '')),
                )
              }
            >
              {row.isBack ? texts.redo : texts.undo}
            </Button>
          )}
        </span>
      </td>
    </tr>
  );
}
