'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { LayerSwitch } from '@/ui/frame/layer-switch';
import { useFormatters } from '@/ui/formatters-context';
import { MoreAction, MoreLink, MoreMenu } from '@/ui/panels/more-menu';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { QuestionChange } from '../saved-questions';
import type { QuestionPage } from '../queries';
import { archiveQuestion, questionSeen } from '../send';
import { changeText } from './change-text';
import * as texts from './texts';

const KeepQuestion = dynamic(() => import('./ask-forms').then((m) => m.SaveQuestion), { ssr: false });
const AskOtherwise = dynamic(() => import('./ask-forms').then((m) => m.EditQuestion), { ssr: false });

/** Questions with something about them that can be asked otherwise: limits, or what is compared with. */
const OTHERWISE: ReadonlySet<QuestionPage['asks']['of']> = new Set([
  'base',
  'instead',
  'thicken',
  'pot',
  'sheets',
]);

/** What is done with a question: asked otherwise, kept under a name, thrown away. */
export function AskTools({ page }: { readonly page: QuestionPage }) {
  const { kept, mayEdit } = page;
  const [open, setOpen] = useState<'keep' | 'ask' | undefined>();
  const [keep, state] = useSave();
  const tell = useToast();
  const router = useRouter();
  const away = ({ id, name }: NonNullable<QuestionPage['kept']>): void =>
    void keep(() => archiveQuestion({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(texts.deleted(name), () => void keep(() => archiveQuestion({ id, away: false })));
      router.push('/weigh');
    });
  return (
    <div className="thing-tools">
      {mayEdit && page.trouble === undefined && (
        <Button size="sm" onClick={() => setOpen('keep')}>
          {kept ? texts.saveAnswer : texts.saveQuestion}
        </Button>
      )}
      {OTHERWISE.has(page.asks.of) && (
        <Button variant="plain" size="sm" onClick={() => setOpen('ask')}>
          {texts.editQuestion}
        </Button>
      )}
      {!page.ownLayers && <LayerSwitch />}
      {kept && (
        <MoreMenu>
          <MoreLink href={`/house/changes?of=${kept.id}`}>{texts.history}</MoreLink>
          {mayEdit && (
            <MoreAction act={() => away(kept)} disabled={state.busy}>
              {texts.deleteText}
            </MoreAction>
          )}
        </MoreMenu>
      )}
      <TroubleText says={state.message} both={state.both} />
      {kept?.moved && (
        <FlippedSince
          moved={kept.moved}
          seen={
            mayEdit
              ? () => void keep(() => questionSeen({ id: kept.id })).then(() => router.refresh())
              : undefined
          }
        />
      )}
      {open === 'keep' && <KeepQuestion page={page} close={() => setOpen(undefined)} />}
      {open === 'ask' && <AskOtherwise page={page} close={() => setOpen(undefined)} />}
    </div>
  );
}

/** What has changed about the answer, until somebody says that it was seen. */
function FlippedSince({
  moved,
  seen,
}: {
  readonly moved: QuestionChange;
  readonly seen: (() => void) | undefined;
}) {
  const { money, day } = useFormatters();
  return (
    <p className="warning w-100 my-2" role="status">
      {changeText(moved, money, day)}
      {seen && (
        <Button variant="link" size="sm" onClick={seen}>
          {texts.seen}
        </Button>
      )}
    </p>
  );
}
