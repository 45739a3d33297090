import { useCallback, useRef, useState } from 'react';
import type { WrittenTest } from '@/core/bench';
import type { TestPage } from '../queries';
import { keepTest, keepWeighing, type TestTyped, type TheirTest } from '../wire';
import { noAnswer, type Reply } from '@/wire';

/** What of a test is typed, out of how it is kept. */
export const typedFrom = ({
  kind,
  season,
  note,
  start,
  intoWater,
  time,
  parts,
  second,
  purchase,
}: WrittenTest): TestTyped => ({
  kind,
  season,
  note,
  start,
  intoWater,
  time,
  parts,
  second,
  purchase: purchase ?? null,
});

export interface Refusal {
  readonly message: string;
  readonly path: string;
  readonly theirs?: TheirTest | undefined;
}

/**
 * A test as it is being weighed: kept after every part, one write after the other, the newest wish last. What was typed
 * stays where it is when a write is refused.
 */
export function useTest(page: TestPage) {
  const [typed, setTyped] = useState<TestTyped>(() => typedFrom(page.test));
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [saved, setSaved] = useState<'idle' | 'keeping' | 'kept'>('idle');
  const [finished, setFinished] = useState(page.test.state === 'kept');
  const version = useRef(page.version);
  const busy = useRef<Promise<void> | null>(null);
  const next = useRef<TestTyped | null>(null);
  const last = useRef(JSON.stringify(typed));

  const settle = useCallback((answer: Reply<null, TheirTest>): boolean => {
    if (answer.ok) version.current = answer.version ?? version.current;
    setRefusal(
      answer.ok
        ? null
        : {
            message:
              answer.code === 'no-answer'
                ? noAnswer('what you weighed stands here and can be kept again')
                : answer.message,
            path: answer.path.replace(/^typed\./, ''),
            theirs: answer.theirs,
          },
    );
    return answer.ok;
  }, []);

  const send = useCallback(async (): Promise<void> => {
    setSaved('keeping');
    let ok = true;
    while (next.current && ok) {
      const wanted = next.current;
      next.current = null;
      ok = settle(await keepWeighing({ id: page.test.id, seen: version.current, typed: wanted }));
      if (!ok) last.current = '';
    }
    setSaved(ok ? 'kept' : 'idle');
    busy.current = null;
  }, [page.test.id, settle]);

  /** Keeps what is typed; called when a field is left, a choice made, a weight taken. */
  const keep = useCallback(
    (wanted: TestTyped): void => {
      const said = JSON.stringify(wanted);
      if (said === last.current) return;
      last.current = said;
      next.current = wanted;
      busy.current ??= send();
    },
    [send],
  );

  const finish = useCallback(async (): Promise<boolean> => {
    await busy.current;
    const answer = await keepTest({ id: page.test.id, seen: version.current, typed });
    if (settle(answer)) setFinished(true);
    return answer.ok;
  }, [page.test.id, settle, typed]);

  const takeTheirs = useCallback((theirs: TheirTest): void => {
    version.current = theirs.version;
    const mine = typedFrom(theirs.test);
    last.current = JSON.stringify(mine);
    setTyped(mine);
    setFinished(theirs.test.state === 'kept');
    setRefusal(null);
  }, []);

  const keepMine = useCallback(
    (theirs: TheirTest): void => {
      version.current = theirs.version;
      setRefusal(null);
      last.current = '';
      keep(typed);
    },
    [keep, typed],
  );

  return { typed, setTyped, keep, finish, finished, saved, refusal, takeTheirs, keepMine, version };
}
