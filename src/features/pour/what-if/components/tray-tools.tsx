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
import * as texts from './texts';

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
      tell(texts.deleted(name), () => void keep(() => archiveTray({ id, away: false })));
      router.push('/pour/what-if');
    });
  const apply = async (): Promise<void> => {
    if (!(await live.keepNow())) return;
    const ok = await keep((seen) => applyTray({ id, seen: Math.max(seen ?? 0, live.version()) }));
    if (!ok) return;
    tell(texts.appliedPriceBookCtrl(name));
    router.push('/pour');
  };
  return (
    <div className="thing-tools">
      <Button size="sm" disabled={state.busy || live.typed.trials.length === 0} onClick={() => void apply()}>
        {texts.applyPriceBook}
      </Button>
      <LayerSwitch />
      <MoreMenu>
        <MoreAction act={() => setNaming(true)}>{texts.rename}</MoreAction>
        <MoreAction
          act={() =>
            void navigator.clipboard
              .writeText(`${location.origin}/pour/what-if?of=${id}`)
              .then(() => tell(texts.linkCopiedEveryoneWho))
              .catch(() => tell(texts.addressPourWhatIf(location.origin, id)))
          }
        >
          {texts.copyLink}
        </MoreAction>
        <MoreLink href={`/house/changes?of=${id}`}>{texts.history}</MoreLink>
        <MoreDivider />
        <MoreAction act={away} disabled={state.busy}>
          {texts.deleteText}
        </MoreAction>
      </MoreMenu>
      <span role="status" className="small-line ms-2">
        {live.state.kept && <span className="cheaper">{texts.whatIfSaved}</span>}
      </span>
      <TroubleText says={state.message ?? live.state.message} both={live.state.both} />
      {naming && <NameIt tray={tray} live={live} close={() => setNaming(false)} />}
    </div>
  );
}
