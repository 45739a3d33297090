'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { usePageReset } from '@/ui/frame/page-reset';
import { useFormatters, type Formatters } from '@/ui/formatters-context';
import { ChangedCosts } from '@/ui/tables/changed-costs';
import { TroubleText } from '@/ui/forms/trouble-text';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { savePotSheet, saveVersionName } from '../../wire';
import type { VersionBeside, VersionFigures, VersionsPage } from '../queries';
import * as texts from './texts';

/** A sheet's versions: which there are, and those chosen beside the one that stands. */
export function VersionsView({ page, most }: { readonly page: VersionsPage; readonly most: number }) {
  const { day } = useFormatters();
  return (
    <>
      <div className="page-head">
        <h1>{texts.versions(page.name)}</h1>
        <p className="lead-line">
          {texts.everyChangeSheetKept(most)}{' '}
          <Link prefetch={false} href={`/pot/${page.id}`}>
            {texts.backSheet}
          </Link>
        </p>
      </div>
      <div className="versions">
        <VersionList page={page} most={most} />
        <div>
          {page.beside.length === 0 ? (
            <p className="quiet">
              {page.rows.length < 2
                ? texts.oneVersionYetCreated(day(page.rows[0]?.on ?? ''))
                : texts.chooseVersionLeftCompare}
            </p>
          ) : (
            <>
              <Beside page={page} />
              <p>
                <Link
                  prefetch={false}
                  href={`/weigh/ask?sheet=${page.id}&versions=${page.beside.map((b) => b.version).join(',')}`}
                >
                  {texts.weighThemUpEvery}
                </Link>
              </p>
              {page.beside.map((b) => (
                <Differs key={b.version} of={b} page={page} />
              ))}
            </>
          )}
        </div>
      </div>
    </>
  );
}

const titleOf = (page: VersionsPage, version: number, day: (iso: string) => string): string => {
  const row = page.rows.find((r) => r.version === version);
  return row?.name ?? texts.no(row ? day(row.on) : '', version);
};

function VersionList({ page, most }: { readonly page: VersionsPage; readonly most: number }) {
  const { said } = useFormatters();
  const router = useRouter();
  // At once: what they come to is there when the server has worked it out.
  const [chosen, setChosen] = useState(() => page.beside.map((b) => b.version));
  const choose = (version: number): void => {
    const next = chosen.includes(version)
      ? chosen.filter((v) => v !== version)
      : [...chosen.slice(-(most - 1)), version];
    setChosen(next);
    router.replace(`/pot/${page.id}/versions${next.length > 0 ? `?with=${next.join(',')}` : ''}`, {
      scroll: false,
    });
  };
  return (
    <Table size="sm" className="align-middle">
      <thead>
        <tr>
          <th scope="col">{texts.version}</th>
          <th scope="col">{texts.called}</th>
        </tr>
      </thead>
      <tbody>
        {page.rows.map((row) => (
          <tr key={row.version}>
            <td>
              {row.version === page.now ? (
                <b>{texts.stands}</b>
              ) : (
                <Form.Check
                  type="checkbox"
                  id={`version-${row.version}`}
                  label={said(row.at)}
                  checked={chosen.includes(row.version)}
                  onChange={() => choose(row.version)}
                />
              )}
              <div className="quiet small-line">
                {texts.noVersion(row.version)}
                {row.by !== null && `, ${row.by}`}
              </div>
            </td>
            <td>
              <Called id={page.id} row={row} mayEdit={page.mayEdit} />
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** What a version is called: typed over in place, taken away by emptying it. */
function Called({
  id,
  row,
  mayEdit,
}: {
  readonly id: string;
  readonly row: VersionsPage['rows'][number];
  readonly mayEdit: boolean;
}) {
  const [keep, state] = useSave();
  return (
    <>
      <TypedField
        label={texts.versionCalled(row.version)}
        value={row.name ?? ''}
        placeholder={texts.noNameYet}
        disabled={!mayEdit}
        onTyped={() => undefined}
        onDone={(name) => void keep(() => saveVersionName({ id, version: row.version, name }))}
      />
      <TroubleText says={state.message} />
    </>
  );
}

type Line = readonly [string, (f: VersionFigures, figures: Formatters) => string | undefined];

const LINES: readonly Line[] = [
  ['litres', (f, { bare }) => (f.litres === null ? undefined : bare(f.litres, 2))],
  ['salt %', (f, { bare }) => (f.saltPct === null ? undefined : bare(f.saltPct, 2))],
  ['body', (f, { bare }) => (f.body === null ? undefined : bare(f.body, 2))],
  [texts.hob, (f, { hours }) => (f.hobHours === null ? undefined : hours(f.hobHours))],
  [texts.perLitreIngredients, (f, { money }) => (f.perL === null ? undefined : money(f.perL))],
  [texts.portion, (f, { small }) => (f.perPortion === null ? undefined : small(f.perPortion))],
  ['warnings', (f) => String(f.warnings)],
];

/** The figures of the chosen versions beside those of the one that stands. */
function Beside({ page }: { readonly page: VersionsPage }) {
  const figures = useFormatters();
  return (
    <Table className="w-auto versions-beside">
      <thead>
        <tr>
          <th scope="col" />
          <th scope="col">{texts.stands}</th>
          {page.beside.map((b) => (
            <th key={b.version} scope="col">
              {titleOf(page, b.version, figures.day)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {LINES.map(([name, of]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="fig strong">{of(page.figures, figures) ?? '–'}</td>
            {page.beside.map((b) => (
              <td key={b.version} className="fig">
                {(b.figures && of(b.figures, figures)) ?? '–'}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** One version: its lines that are others, what it would move, and the way to have it back. */
function Differs({ of, page }: { readonly of: VersionBeside; readonly page: VersionsPage }) {
  const { day } = useFormatters();
  const [keep, state] = useSave();
  const [back, setBack] = useState(false);
  const reset = usePageReset();
  const now = new Map(page.lines.map((l) => [l.id, l.text]));
  const was = new Map(of.lines.map((l) => [l.id, l.text]));
  const title = titleOf(page, of.version, day);
  const putBack = (): void =>
    void keep(() =>
      savePotSheet({
        id: page.id,
        seen: page.now,
        steps: [...of.sheet.steps],
        choices: [...of.sheet.choices],
        vessel: of.sheet.vessel,
        hob: of.sheet.hob,
      }),
    ).then((ok) => {
      if (!ok) return;
      setBack(true);
      reset();
    });
  return (
    <section className="mt-4" aria-label={title}>
      <h2 className="fs-5">{title}</h2>
      {of.trouble !== undefined ? (
        <p className="trouble">{of.trouble}</p>
      ) : (
        page.mayEdit && (
          <p>
            <Button variant="plain" size="sm" disabled={state.busy} onClick={putBack}>
              {texts.restoreVersion}
            </Button>{' '}
            {back && <span className="cheaper">{texts.restored}</span>}
          </p>
        )
      )}
      <TroubleText says={state.message} />
      <ul className="list-unstyled">
        {of.lines.flatMap((l) =>
          now.get(l.id) === l.text
            ? []
            : [<li key={l.id}>{texts.thenNowNot(l.text, now.has(l.id), now.get(l.id) ?? '')}</li>],
        )}
        {page.lines.flatMap((l) => (was.has(l.id) ? [] : [<li key={l.id}>{texts.notThen(l.text)}</li>]))}
      </ul>
      {of.trouble === undefined && <ChangedCosts moved={of.moved} when={texts.elseWouldMove} />}
    </section>
  );
}
