'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { MoreAction, MoreDivider, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { applyTray, archiveTray } from '../send';
import type { ApplyWhatIf } from './tray-forms';

const NameIt = dynamic(() => import('./tray-forms').then((m) => m.RenameWhatIf), { ssr: false });

/** What is done with a tray: applied as one change, thrown away, called otherwise, handed on by its address. */
export function TrayTools({ tray, live }: ApplyWhatIf) {
  const { id, name } = tray;
  const [naming, setNaming] = useState(false);
  const [keep, state] = useSave();
  const tell = useToast();
  const router = useRouter();
  const away = (): void =>
    void keep(() => archiveTray({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(`${name} is deleted.`, () => void keep(() => archiveTray({ id, away: false })));
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
        Apply to the price book
      </Button>
      <LayerSwitch />
      <MoreMenu>
        <MoreAction act={() => setNaming(true)}>Rename</MoreAction>
        <MoreAction
          act={() =>
            void navigator.clipboard
              .writeText(`${location.origin}/pour/what-if?of=${id}`)
              .then(() => tell('Link copied. Everyone who works here can open it.'))
              .catch(() => tell(`Its address is ${location.origin}/pour/what-if?of=${id}`))
          }
        >
          Copy link
        </MoreAction>
        <MoreLink href={`/house/changes?of=${id}`}>History</MoreLink>
        <MoreDivider />
        <MoreAction act={away} disabled={state.busy}>
          Delete
        </MoreAction>
      </MoreMenu>
      <span role="status" className="small-line ms-2">
        {live.state.kept && <span className="cheaper">✓ what-if saved</span>}
      </span>
      <TroubleText says={state.message ?? live.state.message} both={live.state.both} />
      {naming && <NameIt tray={tray} live={live} close={() => setNaming(false)} />}
    </div>
  );
}
