'use client';

import { useRouter } from 'next/navigation';
import { z } from 'zod';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { SidePanel } from '@/ui/side-panel';
import { useKeptForm } from '@/ui/use-kept-form';
import type { TraysPage } from '../queries';
import { keepTray } from '../send';
import type { useTray } from './use-tray';

const Named = z.object({ name: z.string().trim().min(1, 'What is the what-if called?') });

/** A tray that was not there. */
export function NewTray({ close }: { readonly close: () => void }) {
  const router = useRouter();
  const keeping = useKeptForm(Named, { name: '' }, async ({ name }) => {
    const answer = await keepTray({ id: null, name, trials: [] });
    if (answer.ok) {
      close();
      router.push(`/pour/what-if?of=${answer.value.id}`);
    }
    return answer;
  });
  return (
    <SidePanel title="New what-if" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: 'What the what-if is called' }} autoFocus />
        <p className="quiet small-line m-0">
          Such as “Bones a fifth dearer”. Everybody in the house sees it.
        </p>
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}

/** A tray, and as it stands on the screen. */
export interface WholeTray {
  readonly tray: NonNullable<TraysPage['tray']>;
  readonly live: ReturnType<typeof useTray>;
}

/** Calls a tray otherwise. */
export function NameIt({ tray, live, close }: WholeTray & { readonly close: () => void }) {
  const keeping = useKeptForm(Named, { name: tray.name }, async ({ name }, _form, seen) => {
    const answer = await keepTray({
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
    <SidePanel title="Rename" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: 'What the what-if is called' }} autoFocus />
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}
