'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { PutAway } from '@/ui/put-away';
import { SidePanel } from '@/ui/side-panel';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import type { PlateData } from '../queries';
import { letStand, putPlateAway } from '../send';

// Forms come when they are opened: most who look at plates open none.
const HeadForm = dynamic(() => import('./plate-forms').then((m) => m.HeadForm), { ssr: false });
const NewPlateForm = dynamic(() => import('./plate-forms').then((m) => m.NewPlateForm), { ssr: false });

/** What is done to a whole plate: its name, tax and target, a copy, put away. */
export function PlateTools({ data, version }: { readonly data: PlateData; readonly version: () => number }) {
  const [open, setOpen] = useState<'head' | 'size' | 'copy' | 'away'>();
  const router = useRouter();
  const close = (): void => setOpen(undefined);
  const { id, name } = data.plate;
  if (!data.mayEdit) return null;
  return (
    <div className="thing-tools">
      <Button variant="link" size="sm" onClick={() => setOpen('head')}>
        Name, tax and target
      </Button>
      {data.parent ? (
        <ByItself data={data} version={version} />
      ) : (
        <Button variant="link" size="sm" onClick={() => setOpen('size')}>
          New portion size
        </Button>
      )}
      <Button variant="link" size="sm" onClick={() => setOpen('copy')}>
        Duplicate
      </Button>
      <Button variant="link" size="sm" onClick={() => setOpen('away')}>
        Archive
      </Button>
      <Link prefetch={false} className="btn btn-link btn-sm" href={`/house/changes?of=${id}`}>
        History
      </Link>
      <Link prefetch={false} className="btn btn-link btn-sm" href={`/pour/happened?of=${id}`}>
        What it cost over time
      </Link>
      {open === 'head' && (
        <SidePanel title="Name, tax and target" open close={close}>
          <HeadForm data={data} version={version} close={close} />
        </SidePanel>
      )}
      {open === 'size' && (
        <SidePanel title={`New portion size of ${name}`} open close={close}>
          <NewPlateForm like={id} asSize />
        </SidePanel>
      )}
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

/** Has a size stand by itself. */
function ByItself({ data, version }: { readonly data: PlateData; readonly version: () => number }) {
  const [keep, state] = useKept();
  return (
    <>
      <Button
        variant="link"
        size="sm"
        disabled={state.busy}
        onClick={() =>
          void keep((seen) => letStand({ id: data.plate.id, seen: Math.max(seen ?? 0, version()) }))
        }
      >
        Stop following
      </Button>
      <Trouble as="span" says={state.message} />
    </>
  );
}
