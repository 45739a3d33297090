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
import * as texts from './texts';

const Named = z.object({
  name: z.string().trim().min(1, texts.whatPotCalled),
  note: z.string().max(400, texts.noteMost400Characters),
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
        {texts.startBatch}
      </Link>
      <Button variant="plain" size="sm" onClick={onScale}>
        {texts.scale}
      </Button>
      <Link prefetch={false} className="btn btn-plain btn-sm" href={`/pot/${id}/wall`}>
        {texts.print}
      </Link>
      <MoreMenu>
        <MoreLink href={`/pot/${id}/versions`}>{texts.versions}</MoreLink>
        <MoreLink href={`/pour/family?of=product:${id}`}>{texts.familyTree}</MoreLink>
        {data.mayEdit && (
          <>
            <MoreLink href={`/weigh?of=${id}`}>{texts.weighUp}</MoreLink>
            <MoreLink href={`/house/changes?of=${id}`}>{texts.history}</MoreLink>
            <MoreDivider />
            <MoreAction act={() => setOpen('name')}>{texts.nameNote}</MoreAction>
            <MoreLink href={`/pot/new?like=${id}`}>{texts.duplicate}</MoreLink>
            <MoreAction act={() => setOpen('away')}>{texts.archive}</MoreAction>
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
    <SidePanel title={texts.nameNote} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: texts.whatCalled }} />
        <FormField {...{ form, name: 'note', label: texts.note }} as="textarea" />
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}
