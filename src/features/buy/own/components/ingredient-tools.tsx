'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { z } from 'zod';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { MoreAction, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { ArchiveDialog } from '@/ui/panels/archive-dialog';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { useIngredientSearch } from '@/ui/forms/ingredient-search';
import type { User } from '@/ui/tables/used-by';
import { over } from '@/wire';
import { nameIngredient, archiveIngredient } from '../wire';
import * as texts from './texts';

const Named = z.object({ name: z.string().trim().min(1, texts.whatCalledKitchen) });

interface Props {
  readonly of: { readonly id: string; readonly name: string; readonly version: number };
  readonly users: readonly User[];
}

/** Actions on a whole ingredient. */
export function IngredientTools({ of, users }: Props) {
  const [open, setOpen] = useState<'name' | 'away'>();
  const router = useRouter();
  const find = useIngredientSearch();
  const close = (): void => setOpen(undefined);
  return (
    <div className="thing-tools">
      <Link prefetch={false} className="btn btn-plain btn-sm" href={`/pour/used?of=ingredient:${of.id}`}>
        {texts.whereUsed}
      </Link>
      <Button variant="plain" size="sm" onClick={() => setOpen('name')}>
        {texts.rename}
      </Button>
      <MoreMenu>
        <MoreLink href={`/house/changes?of=${of.id}`}>{texts.history}</MoreLink>
        <MoreAction act={() => setOpen('away')}>{texts.archive}</MoreAction>
      </MoreMenu>
      {open === 'name' && <NameForm of={of} close={close} />}
      {open === 'away' && (
        <ArchiveDialog
          name={of.name}
          users={users}
          others={async (wanted) => (await find(wanted)).filter((f) => f.id !== of.id)}
          open
          close={close}
          put={(instead) => archiveIngredient({ id: of.id, away: true, instead })}
          bringBack={() => archiveIngredient({ id: of.id, away: false, instead: null })}
          then={() => router.push('/buy/larder')}
        />
      )}
    </div>
  );
}

function NameForm({ of, close }: { readonly of: Props['of']; readonly close: () => void }) {
  const keeping = useSaveForm(
    Named,
    { name: of.name },
    async ({ name }, _form, seen) => {
      const answer = await nameIngredient({ id: of.id, name, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: of.version },
  );
  const { form } = keeping;
  return (
    <SidePanel title={texts.rename} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: texts.whatCalledKitchenHeading }} />
        <p className="quiet small-line m-0">{texts.recipesDishesShowNew}</p>
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}
