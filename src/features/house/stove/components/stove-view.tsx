'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ArchivedList } from '@/ui/tables/archived-list';
import { useFormatters } from '@/ui/formatters-context';
import { ArchiveDialog } from '@/ui/panels/archive-dialog';
import { SheetTable } from '@/ui/tables/sheet-table';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSearch } from '@/ui/tables/use-search';
import { UsedBy } from '@/ui/tables/used-by';
import type { HobRow, StovePage, VesselRow } from '../queries';
import { archiveStove } from '../wire';
import { HobForm } from './hob-form';
import { VesselForm } from './vessel-form';
import * as texts from './texts';

type Open =
  | { readonly what: 'vessel'; readonly row: VesselRow | undefined }
  | { readonly what: 'hob'; readonly row: HobRow | undefined }
  | { readonly what: 'away'; readonly of: 'vessel' | 'hob'; readonly row: VesselRow | HobRow };

/** What the kitchen cooks in and on: how large it is, how strong, and who stands on it. */
export function StoveView({ page }: { readonly page: StovePage }) {
  const [open, setOpen] = useState<Open>();
  const close = (): void => setOpen(undefined);
  return (
    <>
      <h1>{texts.vesselsHobs}</h1>
      <p className="lead-line">{texts.everyLitreDipMinute}</p>
      <Vessels page={page} open={setOpen} />
      <Hobs page={page} open={setOpen} />
      {open?.what === 'vessel' && (
        <SidePanel title={open.row?.typed.name ?? texts.newVessel} open close={close}>
          <VesselForm page={page} row={open.row} close={close} />
        </SidePanel>
      )}
      {open?.what === 'hob' && (
        <SidePanel title={open.row?.typed.name ?? texts.newHob} open close={close}>
          <HobForm page={page} row={open.row} close={close} />
        </SidePanel>
      )}
      {open?.what === 'away' && <Away page={page} of={open.of} row={open.row} close={close} />}
    </>
  );
}

interface Listed {
  readonly page: StovePage;
  readonly open: (what: Open) => void;
}

function Vessels({ page, open }: Listed) {
  return (
    <section className="mt-3">
      <Head
        name="Vessels"
        says={texts.newVessel}
        page={page}
        add={() => open({ what: 'vessel', row: undefined })}
      />
      {page.vessels.length === 0 && <p className="quiet">{texts.noVesselYetPot}</p>}
      {page.vessels.length > 0 && (
        <SheetTable className="list-table">
          <thead>
            <tr>
              <th scope="col">{texts.vessel}</th>
              <th scope="col" className="left">
                {texts.inside}
              </th>
              <th scope="col">{texts.brim}</th>
              <th scope="col">{texts.filled}</th>
              <th scope="col" className="left">
                {texts.cooked}
              </th>
              <th scope="col">
                <span className="visually-hidden">{texts.change}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {page.vessels.map((v) => (
              <VesselLine key={v.id} v={v} page={page} open={open} />
            ))}
          </tbody>
        </SheetTable>
      )}
      <ArchivedList
        rows={page.away.vessels}
        bringBack={(id) => archiveStove({ what: 'vessel', id, away: false, instead: null })}
      />
    </section>
  );
}

function VesselLine({ v, page, open }: Listed & { readonly v: VesselRow }) {
  const { litres } = useFormatters();
  return (
    <tr>
      <td>{v.typed.name}</td>
      <td className="left small-line">{v.says}</td>
      <td className="fig">{litres(v.brimMl)}</td>
      <td className="fig">{litres(v.fullMl)}</td>
      <td className="left small-line">
        <UsedBy by={v.users} lead="" most={2} />{' '}
        {v.users.length > 0 && (
          <Link
            prefetch={false}
            href={`/pour/used?of=vessel:${v.id}`}
            aria-label={texts.whatCookedWeek(v.typed.name)}
          >
            {texts.week}
          </Link>
        )}
      </td>
      <td>
        <Tools
          name={v.typed.name}
          page={page}
          change={() => open({ what: 'vessel', row: v })}
          away={() => open({ what: 'away', of: 'vessel', row: v })}
        />
      </td>
    </tr>
  );
}

function Hobs({ page, open }: Listed) {
  const { bare } = useFormatters();
  return (
    <section className="mt-4">
      <Head name="Hobs" says={texts.newHob} page={page} add={() => open({ what: 'hob', row: undefined })} />
      {page.hobs.length === 0 && <p className="quiet">{texts.noHobYetPot}</p>}
      {page.hobs.length > 0 && (
        <SheetTable className="list-table">
          <thead>
            <tr>
              <th scope="col">{texts.hob}</th>
              <th scope="col" className="left">
                {texts.burns}
              </th>
              <th scope="col">{texts.intoPot}</th>
              <th scope="col" className="left">
                {texts.cookedInline}
              </th>
              <th scope="col">
                <span className="visually-hidden">{texts.change}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {page.hobs.map((h) => (
              <tr key={h.id}>
                <td>{h.typed.name}</td>
                <td className="left small-line">
                  {h.typed.fuel}
                  {h.typed.draught && texts.underStrongHood}
                </td>
                <td className="fig">{h.netKw === null ? texts.noLimit : texts.kwBare(bare(h.netKw, 1))}</td>
                <td className="left small-line">
                  <UsedBy by={h.users} lead="" most={2} />
                </td>
                <td>
                  <Tools
                    name={h.typed.name}
                    page={page}
                    change={() => open({ what: 'hob', row: h })}
                    away={() => open({ what: 'away', of: 'hob', row: h })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </SheetTable>
      )}
      <ArchivedList
        rows={page.away.hobs}
        bringBack={(id) => archiveStove({ what: 'hob', id, away: false, instead: null })}
      />
    </section>
  );
}

const Head = ({
  name,
  says,
  page,
  add,
}: {
  readonly name: string;
  readonly says: string;
  readonly page: StovePage;
  readonly add: () => void;
}) => (
  <div className="d-flex align-items-center gap-3 mb-1">
    <h2 className="mb-0">{name}</h2>
    {page.mayEdit && (
      <Button variant="outline-primary" size="sm" onClick={add}>
        {says}
      </Button>
    )}
  </div>
);

const Tools = ({
  name,
  page,
  change,
  away,
}: {
  readonly name: string;
  readonly page: StovePage;
  readonly change: () => void;
  readonly away: () => void;
}) =>
  page.mayEdit && (
    <span className="d-flex justify-content-end gap-3">
      <Button variant="link" size="sm" aria-label={texts.changeName(name)} onClick={change}>
        {texts.changeHeading}
      </Button>
      <Button variant="link" size="sm" aria-label={texts.archiveNamed(name)} onClick={away}>
        {texts.archive}
      </Button>
    </span>
  );

function Away({
  page,
  of,
  row,
  close,
}: {
  readonly page: StovePage;
  readonly of: 'vessel' | 'hob';
  readonly row: VesselRow | HobRow;
  readonly close: () => void;
}) {
  const list = of === 'vessel' ? page.vessels : page.hobs;
  const others = list.filter((x) => x.id !== row.id).map((x) => ({ id: x.id, name: x.typed.name }));
  const find = useSearch(others);
  return (
    <ArchiveDialog
      name={row.typed.name}
      users={row.users}
      others={find}
      open
      close={close}
      put={(instead) => archiveStove({ what: of, id: row.id, away: true, instead })}
      bringBack={() => archiveStove({ what: of, id: row.id, away: false, instead: null })}
    />
  );
}
