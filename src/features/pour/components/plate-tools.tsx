'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { MoreAction, MoreDivider, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { ArchiveDialog } from '@/ui/panels/archive-dialog';
import { SidePanel } from '@/ui/panels/side-panel';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { PlateData } from '../queries';
import { letStand, archivePlate } from '../send';
import * as texts from './texts';

// Forms come when they are opened: most who look at plates open none.
const HeadForm = dynamic(() => import('./plate-forms').then((m) => m.HeadForm), { ssr: false });
const NewPlateForm = dynamic(() => import('./plate-forms').then((m) => m.NewPlateForm), { ssr: false });

/** Actions on a whole dish. */
export function PlateTools({ data, version }: { readonly data: PlateData; readonly version: () => number }) {
  const [open, setOpen] = useState<'head' | 'size' | 'copy' | 'away'>();
  const router = useRouter();
  const close = (): void => setOpen(undefined);
  const { id, name } = data.plate;
  if (!data.mayEdit) return null;
  return (
    <div className="thing-tools">
      <Button variant="plain" size="sm" onClick={() => setOpen('head')}>
        {texts.nameTaxTarget}
      </Button>
      {data.parent ? (
        <ByItself data={data} version={version} />
      ) : (
        <Button variant="plain" size="sm" onClick={() => setOpen('size')}>
          {texts.newPortionSize}
        </Button>
      )}
      <MoreMenu>
        <MoreLink href={`/pour/happened?of=${id}`}>{texts.costOverTime}</MoreLink>
        <MoreLink href={`/house/changes?of=${id}`}>{texts.history}</MoreLink>
        <MoreDivider />
        <MoreAction act={() => setOpen('copy')}>{texts.duplicate}</MoreAction>
        <MoreAction act={() => setOpen('away')}>{texts.archive}</MoreAction>
      </MoreMenu>
      {open === 'head' && (
        <SidePanel title={texts.nameTaxTarget} open close={close}>
          <HeadForm data={data} version={version} close={close} />
        </SidePanel>
      )}
      {open === 'size' && (
        <SidePanel title={texts.newPortionSizeName(name)} open close={close}>
          <NewPlateForm like={id} asSize />
        </SidePanel>
      )}
      {open === 'copy' && (
        <SidePanel title={texts.copy(name)} open close={close}>
          <NewPlateForm like={id} />
        </SidePanel>
      )}
      {open === 'away' && (
        <ArchiveDialog
          name={name}
          users={[]}
          open
          close={close}
          put={() => archivePlate({ id, away: true })}
          bringBack={() => archivePlate({ id, away: false })}
          then={() => router.push('/pour')}
        />
      )}
    </div>
  );
}

/** Has a size stand by itself. */
function ByItself({ data, version }: { readonly data: PlateData; readonly version: () => number }) {
  const [keep, state] = useSave();
  return (
    <>
      <Button
        variant="plain"
        size="sm"
        disabled={state.busy}
        onClick={() =>
          void keep((seen) => letStand({ id: data.plate.id, seen: Math.max(seen ?? 0, version()) }))
        }
      >
        {texts.stopFollowing}
      </Button>
      <TroubleText as="span" says={state.message} />
    </>
  );
}
