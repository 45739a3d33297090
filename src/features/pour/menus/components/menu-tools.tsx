'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { z } from 'zod';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { SidePanel } from '@/ui/side-panel';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { useKeptForm } from '@/ui/use-kept-form';
import { keepMenu, putMenuAway, type MenuTyped } from '../wire';

const Named = z.object({ name: z.string().trim().min(1, 'What is the menu called?') });

/** A menu that was not there. */
export function NewMenu({ close }: { readonly close: () => void }) {
  const router = useRouter();
  const keeping = useKeptForm(Named, { name: '' }, async ({ name }) => {
    const answer = await keepMenu({ id: null, name, mixIn: 'portions', plates: [] });
    if (answer.ok) {
      close();
      router.push(`/pour/menus?of=${answer.value.id}`);
    }
    return answer;
  });
  return (
    <SidePanel title="A new menu" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: 'What the menu is called' }} autoFocus />
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}

interface Whole {
  readonly id: string;
  readonly typed: MenuTyped;
  /** The version that is on the screen. */
  readonly version: () => number;
  /** Takes note of what has been kept of it here. */
  readonly kept: (version: number | null) => void;
}

/** What is done to a whole menu: called otherwise, put away. */
export function MenuTools(menu: Whole) {
  const { id, typed } = menu;
  const [naming, setNaming] = useState(false);
  const [keep, state] = useKept();
  const tell = useTell();
  const router = useRouter();
  const away = (): void =>
    void keep(() => putMenuAway({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(`${typed.name} is put away.`, () => void keep(() => putMenuAway({ id, away: false })));
      router.push('/pour/menus');
    });
  return (
    <div className="thing-tools">
      <Button variant="link" size="sm" onClick={() => setNaming(true)}>
        Call it otherwise
      </Button>
      <Button variant="link" size="sm" disabled={state.busy} onClick={away}>
        Put it away
      </Button>
      <Link prefetch={false} className="btn btn-link btn-sm" href={`/house/changes?of=${id}`}>
        What happened to it
      </Link>
      <Trouble says={state.message} />
      {naming && <NameIt {...menu} close={() => setNaming(false)} />}
    </div>
  );
}

function NameIt({ id, typed, version, kept, close }: Whole & { readonly close: () => void }) {
  const keeping = useKeptForm(Named, { name: typed.name }, async ({ name }, _form, seen) => {
    const answer = await keepMenu({ ...typed, id, name, seen: Math.max(seen ?? 0, version()) });
    if (answer.ok) {
      kept(answer.version);
      close();
    }
    return answer.ok || !answer.theirs ? answer : { ...answer, theirs: { name: answer.theirs.name } };
  });
  return (
    <SidePanel title="Call it otherwise" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: 'What the menu is called' }} autoFocus />
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}
