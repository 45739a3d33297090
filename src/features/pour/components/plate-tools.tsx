'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { z } from 'zod';
import { SERVICES } from '@/core/kitchen-file';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { PutAway } from '@/ui/put-away';
import { SidePanel } from '@/ui/side-panel';
import { Trouble } from '@/ui/trouble';
import { useKeptForm } from '@/ui/use-kept-form';
import { headTyped } from '../head-typed';
import type { PlateData } from '../queries';
import { keepPlateHead, makePlate, PlateHead, putPlateAway } from '../wire';

const Named = z.object({ name: z.string().trim().min(1, 'What is the plate called?') });

/** What is done to a whole plate: its name, tax and target, a copy, put away. */
export function PlateTools({ data, version }: { readonly data: PlateData; readonly version: () => number }) {
  const [open, setOpen] = useState<'head' | 'copy' | 'away'>();
  const router = useRouter();
  const close = (): void => setOpen(undefined);
  const { id, name } = data.plate;
  if (!data.mayEdit) return null;
  return (
    <div className="thing-tools">
      <Button variant="link" size="sm" onClick={() => setOpen('head')}>
        Name, tax and target
      </Button>
      <Button variant="link" size="sm" onClick={() => setOpen('copy')}>
        Copy it
      </Button>
      <Button variant="link" size="sm" onClick={() => setOpen('away')}>
        Put it away
      </Button>
      <Link prefetch={false} className="btn btn-link btn-sm" href={`/house/changes?of=${id}`}>
        What happened to it
      </Link>
      {open === 'head' && <HeadForm data={data} version={version} close={close} />}
      {open === 'copy' && (
        <SidePanel title={`A copy of ${name}`} open close={close}>
          <NewPlateForm like={id} />
        </SidePanel>
      )}
      {open === 'away' && (
        <PutAway
          name={name}
          users={[]}
          open
          close={close}
          put={() => putPlateAway({ id, away: true })}
          bringBack={() => putPlateAway({ id, away: false })}
          then={() => router.push('/pour')}
        />
      )}
    </div>
  );
}

function HeadForm({
  data: { plate, mark },
  version,
  close,
}: {
  readonly data: PlateData;
  readonly version: () => number;
  readonly close: () => void;
}) {
  const keeping = useKeptForm(PlateHead, headTyped(plate, mark), async (typed, _form, seen) => {
    const answer = await keepPlateHead({ id: plate.id, seen: Math.max(seen ?? 0, version()), ...typed });
    if (answer.ok) close();
    return answer;
  });
  const { form } = keeping;
  return (
    <SidePanel title="Name, tax and target" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: 'What it is called' }} />
        <FormField {...{ form, name: 'tax', label: 'Tax in its price, %' }} placeholder="0" />
        <FormField
          {...{ form, name: 'target', label: 'Its food may cost, % of the net price' }}
          placeholder="no target"
        />
        <Form.Group controlId="service">
          <Form.Label>How it is served</Form.Label>
          <Form.Select {...form.register('service')}>
            <option value="">as it may be</option>
            {SERVICES.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <FormField
          {...{ form, name: 'loss', label: 'Lost in service, % of what is made up' }}
          placeholder="nothing"
        />
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}

/** A plate that was not there. */
export function NewPlateForm({ like }: { readonly like: string | null }) {
  const router = useRouter();
  const keeping = useKeptForm(Named, { name: '' }, async ({ name }) => {
    const answer = await makePlate({ name, like });
    if (answer.ok) router.push(`/pour/${answer.value.id}`);
    return answer;
  });
  const { form, busy, kept, message } = keeping;
  return (
    <KeptForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: 'What the plate is called' }} autoFocus />
      <Button type="submit" disabled={busy || kept}>
        {busy || kept ? 'Opening …' : 'Open the plate'}
      </Button>
      <Trouble says={message} />
    </KeptForm>
  );
}
