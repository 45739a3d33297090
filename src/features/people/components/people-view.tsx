'use client';

import Form from 'react-bootstrap/Form';
import { Panel } from '@/ui/panels/panel';
import Stack from 'react-bootstrap/Stack';
import { useState } from 'react';
import Alert from 'react-bootstrap/Alert';
import Button from 'react-bootstrap/Button';
import ListGroup from 'react-bootstrap/ListGroup';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { registerDevice } from '../actions';
import type { DeviceRow, PeoplePage, RefusalRow, SignedInRow } from '../queries';
import { sendRevokeDevice, sendRevokeSignIn } from '../send';
import { PeopleTable } from './people-table';
import { OwnPassword } from './own-password';
import { ColorSchemeChoice } from '@/ui/frame/color-scheme';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** Who is in, where, and on which devices a PIN opens; one's own password. */
export function PeopleView({ page }: { readonly page: PeoplePage }) {
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.people}</h1>
          <p className="lead-line">{page.manager ? texts.whoWorksHereWhat : texts.whereYouSignedYour}</p>
        </div>
      </Stack>
      {page.byPin && (
        <Alert variant="primary" role="status">
          {texts.youSignedPinWhich}
        </Alert>
      )}
      <div className="beside">
        <div>
          {page.manager && <PeopleTable page={page} />}
          <SignedInTable rows={page.signedIn} manager={page.manager} />
          {page.manager && <Refused rows={page.refused} />}
        </div>
        <Panel aria-label={texts.yourPasswordLightOr}>
          <OwnPassword name={page.name} />
          <ColorSchemeChoice />
          {page.manager && <Devices page={page} />}
        </Panel>
      </div>
    </>
  );
}

function SignedInTable({
  rows,
  manager,
}: {
  readonly rows: readonly SignedInRow[];
  readonly manager: boolean;
}) {
  const { said } = useFormatters();
  const [keep, state] = useSave();
  return (
    <section>
      <h2>{texts.signed}</h2>
      <SheetTable>
        <thead>
          <tr>
            <th scope="col">{texts.who}</th>
            <th scope="col" className="left">
              {texts.where}
            </th>
            <th scope="col">{texts.since}</th>
            <th scope="col">{texts.lastSeen}</th>
            <th scope="col">
              <span className="visually-hidden">{texts.end}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.id}>
              <th scope="row">
                {r.name}
                {r.byPin && <span className="quiet small-line"> {texts.pinInline}</span>}
              </th>
              <td className="left">{r.where}</td>
              <td className="fig">{said(r.since)}</td>
              <td className="fig">{said(r.seen)}</td>
              <td>
                {r.here ? (
                  <span className="quiet">{texts.device}</span>
                ) : (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    aria-label={texts.endSince(manager ? `${r.name}, ` : '', r.where, said(r.since))}
                    onClick={() => void keep(() => sendRevokeSignIn({ id: r.id }))}
                  >
                    {texts.end}
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </SheetTable>
      <TroubleText says={state.message} />
    </section>
  );
}

const WHY: Readonly<Record<RefusalRow['why'], string>> = {
  wrong: texts.wrongPasswordOrPin,
  'too soon': texts.triedAgainTooSoon,
  'not let in': texts.pinDeviceNotAllowed,
  nobody: texts.nameNobodyHere,
};

function Refused({ rows }: { readonly rows: readonly RefusalRow[] }) {
  const { said } = useFormatters();
  return (
    <section>
      <h2>{texts.failedSignIns}</h2>
      {rows.length === 0 ? (
        <p className="quiet">{texts.noFailedSignIns}</p>
      ) : (
        <SheetTable>
          <thead>
            <tr>
              <th scope="col">{texts.last}</th>
              <th scope="col" className="left">
                {texts.nameInline}
              </th>
              <th scope="col" className="left">
                {texts.from}
              </th>
              <th scope="col" className="left">
                {texts.why}
              </th>
              <th scope="col">{texts.timesDay}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr key={i}>
                <th scope="row" className="fig">
                  {said(r.at)}
                </th>
                <td className="left">{r.name}</td>
                <td className="left">{r.address}</td>
                <td className="left">{WHY[r.why]}</td>
                <td className="fig">{r.times}</td>
              </tr>
            ))}
          </tbody>
        </SheetTable>
      )}
    </section>
  );
}

/** Devices on which a PIN opens; the one somebody sits at can be let in here. */
function Devices({ page }: { readonly page: PeoplePage }) {
  const [keep, state] = useSave();
  const [name, setName] = useState('');
  return (
    <section>
      <h2>{texts.devicesAcceptPin}</h2>
      <ListGroup as="ul" variant="flush">
        {page.devices.map((d) => (
          <DeviceLine key={d.id} device={d} />
        ))}
        {page.devices.length === 0 && (
          <ListGroup.Item as="li" className="quiet">
            {texts.noneYetEverybodySigns}
          </ListGroup.Item>
        )}
      </ListGroup>
      {page.thisDevice === undefined && (
        <form
          className="stacked"
          onSubmit={(event) => {
            event.preventDefault();
            void keep(() => registerDevice(name)).then((ok) => ok && setName(''));
          }}
        >
          <Form.Control
            aria-label={texts.whatDeviceCalled}
            placeholder={texts.tabletStove}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <Button type="submit" variant="outline-primary" disabled={state.busy}>
            {texts.allowPinDevice}
          </Button>
          <TroubleText says={state.message} />
        </form>
      )}
    </section>
  );
}

function DeviceLine({ device: d }: { readonly device: DeviceRow }) {
  const { said } = useFormatters();
  const [keep, state] = useSave();
  return (
    <ListGroup.Item as="li" className="d-flex justify-content-between gap-2">
      <span>
        <b>{d.name}</b>
        {d.here && texts.one}
        <span className="quiet small-line d-block">{texts.allowed(said(d.since), d.by)}</span>
        <TroubleText says={state.message} />
      </span>
      <Button
        variant="link"
        size="sm"
        disabled={state.busy}
        aria-label={texts.endName(d.name)}
        onClick={() => void keep(() => sendRevokeDevice({ id: d.id }))}
      >
        {texts.removeDevice}
      </Button>
    </ListGroup.Item>
  );
}
