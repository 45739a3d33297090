'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { z } from 'zod';
import { FormField } from '@/ui/form-field';
import { KeptForm } from '@/ui/kept-form';
import { PutAway } from '@/ui/put-away';
import { SidePanel } from '@/ui/side-panel';
import { Trouble } from '@/ui/trouble';
import { useKeptForm } from '@/ui/use-kept-form';
import { TYPED } from '@/wire';
import type { PlateData } from '../queries';
import { keepPlateHead, makePlate, putPlateAway } from '../wire';

const Head = z.object({
  name: z.string().trim().min(1, 'What is the plate called?'),
  tax: TYPED,
  target: TYPED,
});
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
  data: { plate },
  version,
  close,
}: {
  readonly data: PlateData;
  readonly version: () => number;
  readonly close: () => void;
}) {
  const words = (x: number | undefined): string => (x === undefined ? '' : String(x));
  const { form, submit, busy, message } = useKeptForm(
    Head,
    { name: plate.name, tax: words(plate.taxPct), target: words(plate.targetFoodCostPct) },
    async (typed) => {
      const answer = await keepPlateHead({ id: plate.id, seen: version(), ...typed });
      if (answer.ok) close();
      return answer;
    },
  );
  return (
    <SidePanel title="Name, tax and target" open close={close}>
      <KeptForm className="stacked" submit={submit}>
        <FormField {...{ form, name: 'name', label: 'What it is called' }} />
        <FormField {...{ form, name: 'tax', label: 'Tax in its price, %' }} placeholder="0" />
        <FormField
          {...{ form, name: 'target', label: 'Its food may cost, % of the net price' }}
          placeholder="no target"
        />
        <Button type="submit" disabled={busy}>
          Keep it
        </Button>
        <Trouble says={message} />
      </KeptForm>
    </SidePanel>
  );
}

/** A plate that was not there. */
export function NewPlateForm({ like }: { readonly like: string | null }) {
  const router = useRouter();
  const { form, submit, busy, kept, message } = useKeptForm(Named, { name: '' }, async ({ name }) => {
    const answer = await makePlate({ name, like });
    if (answer.ok) router.push(`/pour/${answer.value.id}`);
    return answer;
  });
  return (
    <KeptForm className="stacked" submit={submit}>
      <FormField {...{ form, name: 'name', label: 'What the plate is called' }} autoFocus />
      <Button type="submit" disabled={busy || kept}>
        {busy || kept ? 'Opening …' : 'Open the plate'}
      </Button>
      <Trouble says={message} />
    </KeptForm>
  );
}
