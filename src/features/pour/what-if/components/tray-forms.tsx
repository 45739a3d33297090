'use client';

import { useRouter } from 'next/navigation';
import { z } from 'zod';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SidePanel } from '@/ui/panels/side-panel';
import { useSaveForm } from '@/ui/forms/use-save-form';
import type { TraysPage } from '../queries';
import { saveTray } from '../send';
import type { useTray } from './use-tray';
import * as texts from './texts';

const Named = z.object({ name: z.string().trim().min(1, texts.whatWhatIfCalled) });

/** A tray that was not there. */
export function NewWhatIf({ close }: { readonly close: () => void }) {
  const router = useRouter();
  const keeping = useSaveForm(Named, { name: '' }, async ({ name }) => {
    const answer = await saveTray({ id: null, name, trials: [] });
    if (answer.ok) {
      close();
      router.push(`/pour/what-if?of=${answer.value.id}`);
    }
    return answer;
  });
  return (
    <SidePanel title={texts.newWhatIf} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField
          {...{ form: keeping.form, name: 'name', label: texts.whatWhatIfCalledHeading }}
          autoFocus
        />
        <p className="quiet small-line m-0">{texts.suchBonesFifthDearer}</p>
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}

/** A tray, and as it is on the screen. */
export interface ApplyWhatIf {
  readonly tray: NonNullable<TraysPage['tray']>;
  readonly live: ReturnType<typeof useTray>;
}

/** Calls a tray otherwise. */
export function RenameWhatIf({ tray, live, close }: ApplyWhatIf & { readonly close: () => void }) {
  const keeping = useSaveForm(Named, { name: tray.name }, async ({ name }, _form, seen) => {
    const answer = await saveTray({
      id: tray.id,
      name,
      trials: [...live.typed.trials],
      seen: Math.max(seen ?? 0, live.version()),
    });
    if (answer.ok) {
      live.keptAs(answer.version);
      close();
    }
    return answer.ok || !answer.theirs ? answer : { ...answer, theirs: { name: answer.theirs.name } };
  });
  return (
    <SidePanel title={texts.rename} open close={close}>
      <SaveForm className="stacked" of={keeping}>
        <FormField
          {...{ form: keeping.form, name: 'name', label: texts.whatWhatIfCalledHeading }}
          autoFocus
        />
        <SaveButton of={keeping} />
      </SaveForm>
    </SidePanel>
  );
}
