'use client';

import { useRouter } from 'next/navigation';
import { z } from 'zod';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { saveMenu } from '../send';
import { type MenuTyped } from '../wire';
import * as texts from './texts';

const Named = z.object({ name: z.string().trim().min(1, texts.whatMenuCalled) });

/** A menu that was not there. */
export function NewMenu({ close }: { readonly close: () => void }) {
  const router = useRouter();
  const keeping = useSaveForm(Named, { name: '' }, async ({ name }) => {
    const answer = await saveMenu({ id: null, name, mixIn: 'portions', plates: [] });
    if (answer.ok) {
      close();
      router.push(`/pour/menus?of=${answer.value.id}`);
    }
    return answer;
  });
  return (
    <SidePanel title={texts.newMenu} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: texts.whatMenuCalledHeading }} autoFocus />
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}

/** A menu as it is on the screen. */
export interface WholeMenu {
  readonly id: string;
  readonly typed: MenuTyped;
  /** The version that is on the screen. */
  readonly version: () => number;
  /** Takes note of what has been kept of it here. */
  readonly kept: (version: number | null) => void;
}

/** Calls a menu otherwise. */
export function RenameMenu({ id, typed, version, kept, close }: WholeMenu & { readonly close: () => void }) {
  const keeping = useSaveForm(Named, { name: typed.name }, async ({ name }, _form, seen) => {
    const answer = await saveMenu({ ...typed, id, name, seen: Math.max(seen ?? 0, version()) });
    if (answer.ok) {
      kept(answer.version);
      close();
    }
    return answer.ok || !answer.theirs ? answer : { ...answer, theirs: { name: answer.theirs.name } };
  });
  return (
    <SidePanel title={texts.rename} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: texts.whatMenuCalledHeading }} autoFocus />
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}
