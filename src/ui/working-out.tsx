'use client';

import { useEffect, useState } from 'react';
import ProgressBar from 'react-bootstrap/ProgressBar';

interface Progress {
  readonly done: number;
  readonly of: number;
}

/** Stands where a page will be while every pot of the kitchen is worked out, the first time after a start. */
export function WorkingOut() {
  const [at, setAt] = useState<Progress | null>(null);
  useEffect(() => {
    const ask = async (): Promise<void> => {
      const answer = await fetch('/progress').catch(() => undefined);
      if (answer?.ok) setAt((await answer.json()) as Progress | null);
    };
    void ask();
    const again = setInterval(() => void ask(), 400);
    return () => clearInterval(again);
  }, []);
  const now = at ? Math.round((at.done / Math.max(1, at.of)) * 100) : 0;
  return (
    <div className="working-out" role="status">
      <h1>Working out every pot</h1>
      <p className="lead-line">
        The application has just been started. The figures come as soon as they are worked out
        {at ? `: ${at.done} of ${at.of} pots` : ''}.
      </p>
      <ProgressBar now={now} aria-label="Pots worked out" />
    </div>
  );
}
