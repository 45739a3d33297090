import { useCallback, useRef, useState } from 'react';
import type { WrittenTest } from '@/core/bench';
import type { TestPage } from '../queries';
import { useUnsavedChanges } from '@/ui/frame/unsaved-changes';
import { useQueuedWrite } from '@/ui/hooks/use-queued-write';
import { saveTest, saveWeighing, SAVE, type TestTyped, type TheirTest } from '../wire';
import { noAnswer, canWait, type No, type Reply } from '@/wire';
import * as texts from './texts';

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

export interface TestRefusal {
  readonly message: string;
  readonly path: string;
  readonly theirs?: TheirTest | undefined;
  /** Kept in this browser for now. */
  readonly here: boolean;
}

const refusalOf = (no: No<TheirTest>): TestRefusal => ({
  message: no.code === 'no-answer' ? noAnswer(texts.whatYouWeighedKept) : no.message,
  path: no.path.replace(/^typed\./, ''),
  theirs: no.theirs,
  here: canWait(no),
});

/**
 * A test as it is being weighed: kept after every part, one write after the other, the newest wish last. What was typed
 * stays where it is when a write is refused.
 */
export function useTest(page: TestPage) {
  const [typed, setTyped] = useState<TestTyped>(() => typedFrom(page.test));
  const [finished, setFinished] = useState(page.test.state === 'kept');
  const { refusal, saved, keep, settle, settled, takenAs, keepAt, version } = useWrites(page, typed);

  const finish = useCallback(async (): Promise<boolean> => {
    await settled();
    const ok = settle(await saveTest({ id: page.test.id, seen: version.current, typed }));
    if (ok) setFinished(true);
    return ok;
  }, [page.test.id, settle, settled, typed, version]);

  const takeTheirs = useCallback(
    (theirs: TheirTest): void => {
      const mine = typedFrom(theirs.test);
      takenAs(mine, theirs.version);
      setTyped(mine);
      setFinished(theirs.test.state === 'kept');
    },
    [takenAs],
  );

  const keepMine = useCallback((theirs: TheirTest): void => keepAt(typed, theirs.version), [keepAt, typed]);

  return { typed, setTyped, keep, finish, finished, saved, refusal, takeTheirs, keepMine, version };
}

/** Writes go one after the other, each at the version that the one before has left; of several that wait only the newest goes. */
function useWrites(page: TestPage, first: TestTyped) {
  const { id } = page.test;
  const { refusal, version, settle, seeing } = useAnswers(page.version);
  const [saved, setSaved] = useState<'idle' | 'keeping' | 'kept'>('idle');
  const busy = useRef<Promise<void> | null>(null);
  const next = useRef<TestTyped | null>(null);
  /** What was kept last, or is on its way: the same is not sent twice. */
  const last = useRef(JSON.stringify(first));

  const send = useCallback(async (): Promise<void> => {
    setSaved('keeping');
    let ok = true;
    let here = false;
    while (next.current && ok) {
      const wanted = next.current;
      next.current = null;
      const answer = await saveWeighing({ id, seen: version.current, typed: wanted });
      here = canWait(answer);
      ok = settle(answer) || here;
      if (!ok) last.current = '';
    }
    setSaved(ok && !here ? 'kept' : 'idle');
    busy.current = null;
  }, [id, settle, version]);

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

  const settled = useCallback(() => busy.current, []);
  useQueuedWrite(SAVE.kind, id, settle);
  /** What somebody else kept stands here now. */
  const takenAs = useCallback(
    (typed: TestTyped, at: number): void => {
      seeing(at);
      last.current = JSON.stringify(typed);
    },
    [seeing],
  );

  /** Keeps one's own over what somebody else kept meanwhile. */
  const keepAt = useCallback(
    (typed: TestTyped, at: number): void => {
      seeing(at);
      last.current = '';
      keep(typed);
    },
    [keep, seeing],
  );

  return { refusal, saved, keep, settle, settled, takenAs, keepAt, version };
}

/** The version that the next write has seen, and why the last one was refused. */
function useAnswers(first: number) {
  const [refusal, setRefusal] = useState<TestRefusal | null>(null);
  // What was refused stands typed and is kept nowhere; what waits for the network is kept in this browser.
  useUnsavedChanges(refusal !== null && !refusal.here);
  const version = useRef(first);

  const settle = useCallback((answer: Reply<null, TheirTest>): boolean => {
    if (answer.ok) version.current = answer.version ?? version.current;
    setRefusal(answer.ok ? null : refusalOf(answer));
    return answer.ok;
  }, []);

  /** Somebody else's version has been looked at: what comes next is written over that one. */
  const seeing = useCallback((at: number): void => {
    version.current = at;
    setRefusal(null);
  }, []);

  return { refusal, version, settle, seeing };
}
