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

/** What is done to a whole menu: called otherwise, put away. */
export function MenuTools({
  id,
  typed,
  put,
}: {
  readonly id: string;
  readonly typed: MenuTyped;
  readonly put: (next: MenuTyped) => Promise<boolean>;
}) {
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
      {naming && <NameIt typed={typed} put={put} close={() => setNaming(false)} />}
    </div>
  );
}

function NameIt({
  typed,
  put,
  close,
}: {
  readonly typed: MenuTyped;
  readonly put: (next: MenuTyped) => Promise<boolean>;
  readonly close: () => void;
}) {
  const [name, setName] = useState(typed.name);
  return (
    <SidePanel title="Call it otherwise" open close={close}>
      <form
        className="stacked"
        onSubmit={(event) => {
          event.preventDefault();
          void put({ ...typed, name }).then((ok) => ok && close());
        }}
      >
        <label className="form-label" htmlFor="menu-name">
          What the menu is called
        </label>
        <input
          id="menu-name"
          className="form-control"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" className="mt-2" disabled={name.trim() === ''}>
          Keep it
        </Button>
      </form>
    </SidePanel>
  );
}
