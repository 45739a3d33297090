'use client';

import { useEffect, useSyncExternalStore } from 'react';
import { KEPT_PAGES } from '@/wire';
import { batchWorker } from '../batch/batch-worker';
import { prefetchPanels } from '../batch/lazy-panels';
import * as texts from './texts';

/** What this browser can do for a stove: keep its pages, and stay awake. */
const able = (): 'all' | 'neither' =>
  'serviceWorker' in navigator && window.isSecureContext ? 'all' : 'neither';
const never = (): (() => void) => () => undefined;

/** The worker of these pages, registered once; nothing where a browser has none. */
async function worker(): Promise<ServiceWorker | undefined> {
  if (able() === 'neither') return undefined;
  await navigator.serviceWorker.register('/sw.js', { scope: '/', updateViaCache: 'none' });
  const { active } = await navigator.serviceWorker.ready;
  return active ?? undefined;
}

const PANTRY = '/stove/pantry';

/** Fetches ahead what these pages may come to need. @returns what the worker that follows pots is made of */
async function ahead(): Promise<readonly string[]> {
  const of = batchWorker();
  await Promise.all([of.ready(), prefetchPanels()]).catch(() => undefined);
  return of.parts().catch(() => []);
}

/** Asks the service worker to keep pages, and what this one is made of. */
async function askToKeep(pages: readonly string[]): Promise<void> {
  const [it, ofWorker] = await Promise.all([worker(), ahead()]);
  if (!it) return;
  const parts = performance.getEntriesByType('resource').map((e) => e.name);
  const loaded = [...document.querySelectorAll<HTMLScriptElement>('script[src]')].map((s) => s.src);
  it.postMessage({ keep: [...new Set([...pages, PANTRY, ...parts, ...loaded, ...ofWorker])] });
}

/** Whether all these pages are there for when the network is gone. */
async function areKept(pages: readonly string[]): Promise<boolean> {
  const cache = await caches.open(KEPT_PAGES);
  const found = await Promise.all(pages.map((page) => cache.match(page, { ignoreVary: true })));
  return found.every(Boolean);
}

/** Has the browser keep these pages, and what this one is made of, for when the network is gone. */
function useKeptPages(pages: readonly string[], told: string): void {
  const all = pages.join(' ');
  useEffect(() => {
    let over = false;
    performance.setResourceTimingBufferSize(REMEMBERED);
    // When the page has settled: what it is made of is there by then.
    const wanted = all.split(' ');
    let timer: ReturnType<typeof setTimeout>;
    const ask = (): void => {
      void askToKeep(wanted).catch(() => undefined);
      // A busy server or a worker that did not start must not leave a tablet without its pages.
      timer = setTimeout(() => {
        void areKept(wanted).then(
          (kept) => {
            if (!kept && !over) ask();
          },
          () => undefined,
        );
      }, AGAIN_MS);
    };
    if (able() === 'all') timer = setTimeout(ask, SETTLED_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [all, told]);
}
const SETTLED_MS = 1500;
/** ms after which it is looked whether the pages are there. */
const AGAIN_MS = 8000;
/** A browser forgets what it has fetched after 250 things, unless it is told to remember more. */
const REMEMBERED = 1000;

/** Keeps the screen awake while the page is looked at; a browser that cannot is left as it is. */
function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = (): void => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock
        .request('screen')
        .then((it) => (lock = it))
        .catch(() => undefined);
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}

/** The stove stays: its pages without the network, its screen awake. Where a browser cannot keep them, it says so. */
export function OfflinePages({
  pages,
  told,
}: {
  readonly pages: readonly string[];
  /** What stands on them: with another they are kept again. */
  readonly told: string;
}) {
  useKeptPages(pages, told);
  useAwake();
  const can = useSyncExternalStore(never, able, () => 'all' as const);
  return can === 'all' ? null : <p className="quiet small-line">{texts.browserCannotStorePages}</p>;
}
