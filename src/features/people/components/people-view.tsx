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

/** Who is in, where, and on which devices a PIN opens; one's own password. */
export function PeopleView({ page }: { readonly page: PeoplePage }) {
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>People</h1>
          <p className="lead-line">
            {page.manager
              ? 'Who works here and what they may, who is signed in, and failed sign-ins.'
              : 'Where you are signed in, and your password.'}
          </p>
        </div>
      </Stack>
      {page.byPin && (
        <Alert variant="primary" role="status">
          You came in by PIN: with it one does a cook’s work. Sign out and in again by password for a
          manager’s.
        </Alert>
      )}
      <div className="beside">
        <div>
          {page.manager && <PeopleTable page={page} />}
          <SignedInTable rows={page.signedIn} manager={page.manager} />
          {page.manager && <Refused rows={page.refused} />}
        </div>
        <Panel aria-label="Your password, light or dark, and devices">
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
      <h2>Signed in</h2>
      <SheetTable>
        <thead>
          <tr>
            <th scope="col">Who</th>
            <th scope="col" className="left">
              where
            </th>
            <th scope="col">since</th>
            <th scope="col">last seen</th>
            <th scope="col">
              <span className="visually-hidden">End it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.id}>
              <th scope="row">
                {r.name}
                {r.byPin && <span className="quiet small-line"> by PIN</span>}
              </th>
              <td className="left">{r.where}</td>
              <td className="fig">{said(r.since)}</td>
              <td className="fig">{said(r.seen)}</td>
              <td>
                {r.here ? (
                  <span className="quiet">this is here</span>
                ) : (
                  <Button
                    variant="link"
                    size="sm"
                    disabled={state.busy}
                    aria-label={`End ${manager ? `${r.name}, ` : ''}${r.where}, since ${said(r.since)}`}
                    onClick={() => void keep(() => sendRevokeSignIn({ id: r.id }))}
                  >
                    End it
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
  wrong: 'wrong password or PIN',
  'too soon': 'tried again too soon',
  'not let in': 'a PIN on a device that is not let in',
  nobody: 'a name nobody has here',
};

function Refused({ rows }: { readonly rows: readonly RefusalRow[] }) {
  const { said } = useFormatters();
  return (
    <section>
      <h2>Failed sign-ins</h2>
      {rows.length === 0 ? (
        <p className="quiet">No failed sign-ins.</p>
      ) : (
        <SheetTable>
          <thead>
            <tr>
              <th scope="col">Last</th>
              <th scope="col" className="left">
                name
              </th>
              <th scope="col" className="left">
                from
              </th>
              <th scope="col" className="left">
                why
              </th>
              <th scope="col">times that day</th>
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
      <h2>Devices on which a PIN opens</h2>
      <ListGroup as="ul" variant="flush">
        {page.devices.map((d) => (
          <DeviceLine key={d.id} device={d} />
        ))}
        {page.devices.length === 0 && (
          <ListGroup.Item as="li" className="quiet">
            None yet: everybody signs in by password.
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
            aria-label="What this device is called"
            placeholder="Tablet at the stove"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <Button type="submit" variant="outline-primary" disabled={state.busy}>
            Allow PIN on this device
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
        {d.here && ' (this one)'}
        <span className="quiet small-line d-block">
          let in {said(d.since)} by {d.by}
        </span>
        <TroubleText says={state.message} />
      </span>
      <Button
        variant="link"
        size="sm"
        disabled={state.busy}
        aria-label={`End ${d.name}`}
        onClick={() => void keep(() => sendRevokeDevice({ id: d.id }))}
      >
        End it
      </Button>
    </ListGroup.Item>
  );
}
