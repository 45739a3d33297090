'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { MoreAction, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { archiveMenu } from '../send';
import type { WholeMenu } from './menu-forms';
import * as texts from './texts';

const NameIt = dynamic(() => import('./menu-forms').then((m) => m.RenameMenu), { ssr: false });

/** What is done to a whole menu: called otherwise, put away. */
export function MenuTools(menu: WholeMenu) {
  const { id, typed } = menu;
  const [naming, setNaming] = useState(false);
  const [keep, state] = useSave();
  const tell = useToast();
  const router = useRouter();
  const away = (): void =>
    void keep(() => archiveMenu({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(texts.archived(typed.name), () => void keep(() => archiveMenu({ id, away: false })));
      router.push('/pour/menus');
    });
  return (
    <div className="thing-tools">
      <Button variant="plain" size="sm" onClick={() => setNaming(true)}>
        {texts.rename}
      </Button>
      <MoreMenu>
        <MoreLink href={`/house/changes?of=${id}`}>{texts.history}</MoreLink>
        <MoreAction act={away} disabled={state.busy}>
          {texts.archive}
        </MoreAction>
      </MoreMenu>
      <TroubleText says={state.message} />
      {naming && <NameIt {...menu} close={() => setNaming(false)} />}
    </div>
  );
}
