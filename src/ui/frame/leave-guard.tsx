'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { hasUnsavedChanges, setLeavePrompt } from './unsaved-changes';

/** The question comes with the first time that it is asked. */
const LeavingQuestion = dynamic(() => import('./leave-dialog').then((m) => m.LeaveDialog), {
  ssr: false,
});

/** The page of the house that a click would go to; undefined where it goes nowhere, or opens beside this one. */
function goesTo(event: MouseEvent): string | undefined {
  if (event.defaultPrevented || event.button !== 0) return undefined;
  if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return undefined;
  const link = event.target instanceof Element ? event.target.closest('a[href]') : null;
  if (!(link instanceof HTMLAnchorElement) || link.target === '_blank' || link.hasAttribute('download'))
    return undefined;
  const to = new URL(link.href);
  const samePage = to.pathname === window.location.pathname && to.search === window.location.search;
  return to.origin !== window.location.origin || samePage ? undefined : to.pathname + to.search + to.hash;
}

/** Asks before something typed and not kept is left behind for another page of the house. The browser itself asks before its window is closed. */
export function LeaveGuard() {
  const router = useRouter();
  const [go, setGo] = useState<() => void>();
  useEffect(() => {
    const asked = (to: () => void): void => setGo(() => to);
    const clicked = (event: MouseEvent): void => {
      const to = goesTo(event);
      if (to === undefined || !hasUnsavedChanges()) return;
      event.preventDefault();
      event.stopPropagation();
      asked(() => router.push(to));
    };
    setLeavePrompt(asked);
    document.addEventListener('click', clicked, true);
    return () => {
      setLeavePrompt(undefined);
      document.removeEventListener('click', clicked, true);
    };
  }, [router]);
  if (!go) return null;
  return (
    <LeavingQuestion
      stay={() => setGo(undefined)}
      leave={() => {
        setGo(undefined);
        go();
      }}
    />
  );
}
