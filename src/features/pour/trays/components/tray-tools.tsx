'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { z } from 'zod';
import { CountedSwitch } from '@/ui/counted-switch';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { SidePanel } from '@/ui/side-panel';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { useKeptForm } from '@/ui/use-kept-form';
import type { TraysPage } from '../queries';
import { applyTray, keepTray, putTrayAway } from '../wire';
import type { useTray } from './use-tray';

interface Whole {
  readonly tray: NonNullable<TraysPage['tray']>;
  readonly live: ReturnType<typeof useTray>;
}

/** What is done with a tray: applied as one change, thrown away, called otherwise, handed on by its address. */
export function TrayTools({ tray, live }: Whole) {
  const { id, name } = tray;
  const [naming, setNaming] = useState(false);
  const [keep, state] = useKept();
  const tell = useTell();
  const router = useRouter();
  const away = (): void =>
    void keep(() => putTrayAway({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(`${name} is thrown away.`, () => void keep(() => putTrayAway({ id, away: false })));
      router.push('/pour/what-if');
    });
  const apply = async (): Promise<void> => {
    if (!(await live.keepNow())) return;
    const ok = await keep((seen) => applyTray({ id, seen: Math.max(seen ?? 0, live.version()) }));
    if (!ok) return;
    tell(`${name} stands in the book now. Ctrl Z takes all of it back.`);
    router.push('/pour');
  };
  return (
    <div className="thing-tools">
      <Button size="sm" disabled={state.busy || live.typed.trials.length === 0} onClick={() => void apply()}>
        Apply it to the book
      </Button>
      <Button variant="link" size="sm" disabled={state.busy} onClick={away}>
        Throw it away
      </Button>
      <Button variant="link" size="sm" onClick={() => setNaming(true)}>
        Call it otherwise
      </Button>
      <Button
        variant="link"
        size="sm"
        onClick={() =>
          void navigator.clipboard
            .writeText(`${location.origin}/pour/what-if?of=${id}`)
            .then(() => tell('Its address is copied: whoever works here can open it.'))
            .catch(() => tell(`Its address is ${location.origin}/pour/what-if?of=${id}`))
        }
      >
        Copy its address
      </Button>
      <Link prefetch={false} className="btn btn-link btn-sm" href={`/house/changes?of=${id}`}>
        What happened to it
      </Link>
      <CountedSwitch />
      <span role="status" className="small-line ms-2">
        {live.state.kept && <span className="cheaper">✓ the tray is kept</span>}
      </span>
      <Trouble says={state.message ?? live.state.message} both={live.state.both} />
      {naming && <NameIt tray={tray} live={live} close={() => setNaming(false)} />}
    </div>
  );
}

const Named = z.object({ name: z.string().trim().min(1, 'What is the tray called?') });

function NameIt({ tray, live, close }: Whole & { readonly close: () => void }) {
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
    <SidePanel title="Call it otherwise" open close={close}>
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form: keeping.form, name: 'name', label: 'What the tray is called' }} autoFocus />
        <KeepIt of={keeping} />
      </KeptForm>
    </SidePanel>
  );
}
