'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore } from 'react';
import Button from 'react-bootstrap/Button';
import { v7 } from 'uuid';
import {
  AT_FIRST,
  atWork,
  giveUp,
  insist,
  keepPagesOf,
  networkIs,
  NOTHING_WAITS,
  onSent,
  readWaiting,
  sendWaiting,
  statusNow,
  waitingNow,
  watchStatus,
  watchWaiting,
  type QueuedWrite,
} from '@/wire';
import { SidePanel } from '../panels/side-panel';
import { useToast } from './toasts';
import { hasUnsavedChanges, useHasUnsavedChanges } from './unsaved-changes';
import * as texts from './texts';

/**
 * How it stands with what was typed, in sight on every screen: kept, not kept, or kept here until there is a connection. What waits is
 * sent by nobody but the person who typed it, as soon as somebody answers.
 */
export function SaveStatus({ person }: { readonly person: string }) {
  const [open, setOpen] = useState(false);
  const status = useSyncExternalStore(watchStatus, statusNow, () => AT_FIRST);
  const waiting = useSyncExternalStore(watchWaiting, waitingNow, NOTHING_WAITS);
  const unkept = useHasUnsavedChanges();
  useQueue(person);
  const mine = waiting.filter((w) => w.person === person);
  const refused = mine.filter((w) => w.refused).length;
  const others = waiting.length - mine.length;
  const words = wordsOf({ ...status, unkept, waits: mine.length - refused, refused, others });
  return (
    <>
      <span role="status" className="how-kept">
        {waiting.length > 0 ? (
          <Button variant="outline-light" size="sm" onClick={() => setOpen(true)}>
            {words}
          </Button>
        ) : (
          words
        )}
      </span>
      {open && waiting.length > 0 && (
        <SidePanel title={texts.waitingDevice} open close={() => setOpen(false)}>
          <WaitingList mine={mine} others={others} />
        </SidePanel>
      )}
    </>
  );
}

function wordsOf(is: {
  readonly sending: number;
  readonly connected: boolean;
  readonly kept: boolean;
  readonly unkept: boolean;
  readonly waits: number;
  readonly refused: number;
  readonly others: number;
}): string {
  if (is.refused > 0) return texts.notSaved(is.refused);
  if (is.waits > 0) return texts.noConnectionSavedDevice(is.waits);
  if (is.others > 0) return texts.somebodyElsesSavedDevice(is.others);
  if (!is.connected) return texts.noConnection;
  if (is.sending > 0) return 'saving …';
  if (is.unkept) return texts.notSavedYet;
  return is.kept ? texts.allSaved : '';
}

/** Sends what waits when the page is opened, when the network is back, and when somebody comes back to the page. */
function useQueue(person: string): void {
  const router = useRouter();
  const tell = useToast();
  useEffect(() => {
    atWork(person);
    void keepPagesOf(person);
    const go = (): void => void readWaiting().then((all) => (all.length > 0 ? sendWaiting() : undefined));
    go();
    const end = onSent((sent, reply) => {
      if (!reply.ok) return false;
      tell(texts.sentSaved(sent.words, sent.page.title));
      if (!hasUnsavedChanges()) router.refresh();
      return false;
    });
    const back = (): void => {
      networkIs(true);
      go();
    };
    const gone = (): void => networkIs(false);
    window.addEventListener('online', back);
    window.addEventListener('offline', gone);
    document.addEventListener('visibilitychange', go);
    return () => {
      end();
      window.removeEventListener('online', back);
      window.removeEventListener('offline', gone);
      document.removeEventListener('visibilitychange', go);
    };
  }, [person, router, tell]);
}

function WaitingList({ mine, others }: { readonly mine: readonly QueuedWrite[]; readonly others: number }) {
  return (
    <>
      {mine.map((w) => (
        <section key={w.id} className="mb-3">
          <p className="mb-1">
            <b>{w.words}</b>
            {texts.typed} <a href={w.page.path}>{w.page.title}</a>
          </p>
          {w.refused ? (
            <>
              <p className="trouble mb-1">{w.refused.message}</p>
              <div className="d-flex gap-2">
                <Button size="sm" variant="outline-primary" onClick={() => void insist(w.id, v7())}>
                  {w.refused.code === 'stale' ? texts.keepMine : texts.sendAgain}
                </Button>
                <Button size="sm" variant="plain" onClick={() => void giveUp(w.id)}>
                  {w.refused.code === 'stale' ? texts.takeTheirs : texts.discard}
                </Button>
              </div>
            </>
          ) : (
            <p className="quiet mb-0">{texts.sentSoonServerAnswers}</p>
          )}
        </section>
      ))}
      {others > 0 && <p className="quiet">{texts.waitsWaitSomebodyElse(others)}</p>}
    </>
  );
}
