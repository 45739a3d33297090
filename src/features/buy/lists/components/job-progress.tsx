'use client';

import Button from 'react-bootstrap/Button';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { ProgressMeter } from '@/ui/drawings/progress-meter';
import { progress, stop, type Progress } from '../actions';
import * as texts from './texts';

const AGAIN_MS = 350;

/** Long work on a list: how far it is, and a way to stop it. */
export function JobProgress({
  id,
  working,
  mayStop,
}: {
  readonly id: string;
  readonly working: boolean;
  readonly mayStop: boolean;
}) {
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
        {now?.stage === 'writing' ? texts.writing : texts.checking}{' '}
        {now ? texts.partOf(now.done, now.total) : '…'}{' '}
        {mayStop && (
          <Button variant="plain" size="sm" onClick={() => void stop(id)}>
            {texts.stop}
          </Button>
        )}
      </p>
      <ProgressMeter now={Math.round(share * 100)} label={texts.howFar} />
    </div>
  );
}
