'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import Button from 'react-bootstrap/Button';
import type { Alarm } from '@/core/batch';
import { currentAlarms, hear, heard, NO_ALARMS, watchAlarms } from './alarm-store';
import { beSilent, isSilent, ring, RINGS_MS } from './bell';
import * as texts from './texts';

/** What a call says. */
const WORDS: Readonly<Record<Alarm['is'], (toC: number | undefined, line: string | undefined) => string>> = {
  due: (_, line) => texts.timeOver(line),
  'too late': (toC) => texts.courseMissC(toC),
  unread: (toC) => texts.notMeasuredCTime(toC),
  past: (toC) => texts.pastLimitHouseC(toC),
};

const keyOf = (batch: string, call: Alarm): string => `${batch} ${call.key}`;

/** Rings now and then, as long as somebody is wanted. @returns whether a browser has let nothing sound */
function useRinging(calls: number, silent: boolean): boolean {
  const [mute, setMute] = useState(false);
  useEffect(() => {
    if (calls === 0 || silent) return undefined;
    const now = (): void => setMute(!ring());
    const first = setTimeout(now, 0);
    const more = setInterval(now, RINGS_MS);
    return () => {
      clearTimeout(first);
      clearInterval(more);
    };
  }, [calls, silent]);
  return mute && !silent && calls > 0;
}

/** Pots that call: in words and by a bell, until somebody says that it was heard. */
export function AlarmPanel() {
  const all = useSyncExternalStore(watchAlarms, currentAlarms, NO_ALARMS);
  const [times, setTimes] = useState(0);
  const [silent, setSilent] = useState<boolean>();
  const known = useMemo(() => (times >= 0 && typeof window !== 'undefined' ? heard() : new Set()), [times]);
  const wanted = all.flatMap(({ batch, name, line, calls }) =>
    calls.filter((c) => !known.has(keyOf(batch, c))).map((call) => ({ batch, name, line, call })),
  );
  const quiet = silent ?? (typeof window !== 'undefined' && isSilent());
  const mute = useRinging(wanted.length, quiet);
  if (wanted.length === 0) return null;
  const silence = (it: boolean): void => {
    beSilent(it);
    setSilent(it);
  };
  return (
    <section className="alarm" role="alert" aria-label={texts.alarms}>
      <div className="flex-grow-1">
        {wanted.map(({ batch, name, line, call }) => (
          <p key={keyOf(batch, call)} className="fs-5 m-0">
            <Link prefetch={false} href={`/stove/${batch}`}>
              {name}
            </Link>
            : {WORDS[call.is](call.toC, line)}
          </p>
        ))}
        {mute && <p className="small-line m-0">{texts.browserMakesNoSound}</p>}
      </div>
      <Button size="lg" variant="light" onClick={() => silence(!quiet)}>
        {quiet ? texts.sound : texts.muteHere}
      </Button>
      <Button
        size="lg"
        variant="light"
        onClick={() => {
          hear(wanted.map(({ batch, call }) => keyOf(batch, call)));
          setTimes((n) => n + 1);
        }}
      >
        {texts.heard}
      </Button>
    </section>
  );
}
