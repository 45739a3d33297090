'use client';

import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { ProgressMeter } from '../drawings/progress-meter';
import * as texts from './texts';

interface Progress {
  readonly done: number;
  readonly of: number;
}

const STILL = 'still-working';

/**
 * A page, with word of how far the kitchen is where it was opened while that was worked out for the first time. What was decided
 * when it was opened holds for as long as it is open: another frame around it would be another page, and what stands typed in it lost.
 */
export function WhenCalculated({ cold, children }: { readonly cold: boolean; readonly children: ReactNode }) {
  const [openedCold] = useState(cold);
  if (!openedCold) return children;
  return (
    <>
      <WorkingOut />
      <Suspense fallback={<StillWorking />}>{children}</Suspense>
    </>
  );
}

/** Stands in for a page that has not come: while it is there, `WorkingOut` shows. What stands in for a page is never brought to life itself. */
const StillWorking = () => <span className={STILL} hidden />;

/** Says how far the kitchen is while every pot of it is worked out, the first time after a start; then the page is there instead. */
function WorkingOut() {
  const [at, setAt] = useState<Progress | null>(null);
  useEffect(() => {
    const ask = async (): Promise<void> => {
      const answer = await fetch('/progress').catch(() => undefined);
      if (!answer?.ok) return;
      const now = (await answer.json()) as Progress | null;
      // Nothing more under way: all of it is done, and the page is being written.
      setAt((was) => now ?? (was && { done: was.of, of: was.of }));
    };
    void ask();
    const again = setInterval(() => {
      if (document.querySelector(`.${STILL}`)) void ask();
      else clearInterval(again);
    }, 400);
    return () => clearInterval(again);
  }, []);
  const now = at ? Math.round((at.done / Math.max(1, at.of)) * 100) : 0;
  return (
    <div className="working-out" role="status">
      <h1>{texts.calculating}</h1>
      <p className="lead-line">
        {texts.applicationJustStarted}{' '}
        {at ? texts.potsDoneFiguresCome(at.done, at.of) : texts.recipesBeingRead}
      </p>
      <ProgressMeter now={now} label={texts.potsCalculated} />
    </div>
  );
}
