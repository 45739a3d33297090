'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { progress, stop, type Progress } from '../actions';

const AGAIN_MS = 350;

/** Long work on a list: how far it is, and a way to stop it. */
export function Working({ id, working }: { id: string; working: boolean }) {
  const router = useRouter();
  const [now, setNow] = useState<Progress | null>(null);
  useEffect(() => {
    if (!working) return;
    let here = true;
    const ask = async (): Promise<void> => {
      while (here) {
        const next = await progress(id).catch(() => null);
        if (!here) return;
        setNow(next);
        if (!next || next.ended) {
          router.refresh();
          return;
        }
        await new Promise((done) => setTimeout(done, AGAIN_MS));
      }
    };
    void ask();
    return () => {
      here = false;
    };
  }, [id, working, router]);
  if (!working)
    return now?.trouble ? (
      <p role="alert" className="trouble">
        {now.trouble}
      </p>
    ) : null;
  const share = now && now.total > 0 ? now.done / now.total : 0;
  return (
    <div>
      <p role="status">
        {now?.stage === 'writing' ? 'Writing' : 'Looking through'} {now ? `${now.done} of ${now.total}` : '…'}{' '}
        <button type="button" className="plain-button" onClick={() => void stop(id)}>
          Stop
        </button>
      </p>
      <div
        className="progress-line"
        role="progressbar"
        aria-label="How far it is"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(share * 100)}
      >
        <i style={{ width: `${share * 100}%` }} />
      </div>
    </div>
  );
}
