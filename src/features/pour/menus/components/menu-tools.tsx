'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { MoreAction, MoreLink, MoreMenu } from '@/ui/more-menu';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { putMenuAway } from '../send';
import type { WholeMenu } from './menu-forms';

const NameIt = dynamic(() => import('./menu-forms').then((m) => m.NameIt), { ssr: false });

/** What is done to a whole menu: called otherwise, put away. */
export function MenuTools(menu: WholeMenu) {
  const { id, typed } = menu;
  const [naming, setNaming] = useState(false);
  const [keep, state] = useKept();
  const tell = useTell();
  const router = useRouter();
  const away = (): void =>
    void keep(() => putMenuAway({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(`${typed.name} is archived.`, () => void keep(() => putMenuAway({ id, away: false })));
      router.push('/pour/menus');
    });
  return (
    <div className="thing-tools">
      <Button variant="plain" size="sm" onClick={() => setNaming(true)}>
        Rename
      </Button>
      <MoreMenu>
        <MoreLink href={`/house/changes?of=${id}`}>History</MoreLink>
        <MoreAction act={away} disabled={state.busy}>
          Archive
        </MoreAction>
      </MoreMenu>
      <Trouble says={state.message} />
      {naming && <NameIt {...menu} close={() => setNaming(false)} />}
    </div>
  );
}
