'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { CountedSwitch } from '@/ui/counted-switch';
import { useFigures } from '@/ui/figures';
import { MoreAction, MoreLink, MoreMenu } from '@/ui/more-menu';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import type { Moved } from '../kept';
import type { LaidPage } from '../queries';
import { putQuestionAway, questionSeen } from '../send';
import { movedWords } from './moved-words';

const KeepQuestion = dynamic(() => import('./ask-forms').then((m) => m.KeepQuestion), { ssr: false });
const AskOtherwise = dynamic(() => import('./ask-forms').then((m) => m.AskOtherwise), { ssr: false });

/** Questions with something about them that can be asked otherwise: limits, or what is laid beside. */
const OTHERWISE: ReadonlySet<LaidPage['asks']['of']> = new Set([
  'base',
  'instead',
  'thicken',
  'pot',
  'sheets',
]);

/** What is done with a question: asked otherwise, kept under a name, thrown away. */
export function AskTools({ page }: { readonly page: LaidPage }) {
  const { kept, mayEdit } = page;
  const [open, setOpen] = useState<'keep' | 'ask' | undefined>();
  const [keep, state] = useKept();
  const tell = useTell();
  const router = useRouter();
  const away = ({ id, name }: NonNullable<LaidPage['kept']>): void =>
    void keep(() => putQuestionAway({ id, away: true })).then((ok) => {
      if (!ok) return;
      tell(`${name} is deleted.`, () => void keep(() => putQuestionAway({ id, away: false })));
      router.push('/weigh');
    });
  return (
    <div className="thing-tools">
      {mayEdit && page.trouble === undefined && (
        <Button size="sm" onClick={() => setOpen('keep')}>
          {kept ? 'Save this answer' : 'Save the question'}
        </Button>
      )}
      {OTHERWISE.has(page.asks.of) && (
        <Button variant="plain" size="sm" onClick={() => setOpen('ask')}>
          Edit the question
        </Button>
      )}
      {!page.ownLayers && <CountedSwitch />}
      {kept && (
        <MoreMenu>
          <MoreLink href={`/house/changes?of=${kept.id}`}>History</MoreLink>
          {mayEdit && (
            <MoreAction act={() => away(kept)} disabled={state.busy}>
              Delete
            </MoreAction>
          )}
        </MoreMenu>
      )}
      <Trouble says={state.message} both={state.both} />
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
function FlippedSince({ moved, seen }: { readonly moved: Moved; readonly seen: (() => void) | undefined }) {
  const { money, day } = useFigures();
  return (
    <p className="warning w-100 my-2" role="status">
      {movedWords(moved, money, day)}
      {seen && (
        <Button variant="link" size="sm" onClick={seen}>
          Seen
        </Button>
      )}
    </p>
  );
}
