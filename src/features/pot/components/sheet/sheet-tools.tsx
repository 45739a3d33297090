'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { memo, useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { z } from 'zod';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { MoreAction, MoreDivider, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { ArchiveDialog } from '@/ui/panels/archive-dialog';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { findPots } from '../../actions';
import type { PotSheetData } from '../../queries';
import { nameSheet, archiveSheet } from '../../wire';

const Named = z.object({
  name: z.string().trim().min(1, 'What is the pot called?'),
  note: z.string().max(400, 'A note has at most 400 characters.'),
});

/** Actions on a whole sheet. */
export const SheetTools = memo(function SheetTools({
  data,
  version,
  onScale,
}: {
  readonly data: PotSheetData;
  readonly version: () => number;
  readonly onScale: () => void;
}) {
  const [open, setOpen] = useState<'name' | 'away'>();
  const router = useRouter();
  const { id, name } = data.recipe;
  const close = (): void => setOpen(undefined);
  const others = useCallback(
    async (wanted: string) => ((await findPots(wanted, null))?.rows ?? []).filter((r) => r.id !== id),
    [id],
  );
  return (
    <div className="thing-tools">
      <Link prefetch={false} className="btn btn-plain btn-sm" href={`/stove?put=${id}`}>
        Start a batch
      </Link>
      <Button variant="plain" size="sm" onClick={onScale}>
        Scale
      </Button>
      <Link prefetch={false} className="btn btn-plain btn-sm" href={`/pot/${id}/wall`}>
        Print
      </Link>
      <MoreMenu>
        <MoreLink href={`/pot/${id}/versions`}>Versions</MoreLink>
        <MoreLink href={`/pour/family?of=product:${id}`}>Family tree</MoreLink>
        {data.mayEdit && (
          <>
            <MoreLink href={`/weigh?of=${id}`}>Weigh up</MoreLink>
            <MoreLink href={`/house/changes?of=${id}`}>History</MoreLink>
            <MoreDivider />
            <MoreAction act={() => setOpen('name')}>Name and note</MoreAction>
            <MoreLink href={`/pot/new?like=${id}`}>Duplicate</MoreLink>
            <MoreAction act={() => setOpen('away')}>Archive</MoreAction>
          </>
        )}
      </MoreMenu>
      {open === 'name' && <NameAndNote data={data} version={version} close={close} />}
      {open === 'away' && (
        <ArchiveDialog
          name={name}
          users={data.usedBy}
          others={others}
          open
          close={close}
          put={(instead) => archiveSheet({ id, away: true, instead })}
          bringBack={() => archiveSheet({ id, away: false, instead: null })}
          then={() => router.push('/pot')}
        />
      )}
    </div>
  );
});

function NameAndNote({
  data: { recipe },
  version,
  close,
}: {
  readonly data: PotSheetData;
  readonly version: () => number;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(
    Named,
    { name: recipe.name, note: recipe.note ?? '' },
    async (typed, _form, seen) => {
      const answer = await nameSheet({ id: recipe.id, seen: Math.max(seen ?? 0, version()), ...typed });
      if (answer.ok) close();
      return answer;
    },
  );
  const { form } = keeping;
  return (
    <SidePanel title="Name and note" open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: 'What it is called' }} />
        <FormField {...{ form, name: 'note', label: 'A note' }} as="textarea" />
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}
