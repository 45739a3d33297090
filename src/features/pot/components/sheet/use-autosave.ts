import { useCallback, useEffect, useRef, useState } from 'react';
import { inForce, type WrittenRecipe } from '@/core/kitchen-file';
import { ofStep, runPot, type WrittenStep } from '@/core/verbs';
import type { Names } from '@/core/said';
import { useQueuedWrite } from '@/ui/hooks/use-queued-write';
import { STILL_TYPED, canWait, type No } from '@/wire';
import { savePotSheet, SHEET, type MissingParts, type TheirSheet } from '../../wire';
import { stepsOf, type Draft, type Sheet } from './sheet-lines';
import { potOf } from '@/core/shelf';

import type { PotSheetData } from '../../queries';
import { shelfFrom } from '../figures/use-pot';

type State = 'idle' | 'keeping' | 'kept' | 'waits' | 'held';

/** Nobody answers, so nothing can be kept: what was typed stands there. */
export const NO_ANSWER = { ok: false, code: 'no-answer', message: STILL_TYPED, path: '' } as const;

/** Whether a sheet can be kept: no loop and no step that cannot be done. Unread lines can. */
function canBeKept(sheet: Sheet, data: PotSheetData): boolean {
  const looping = new Set(data.products.filter((p) => p.loops).map((p) => p.id));
  const done = inForce(sheet as Pick<WrittenRecipe, 'choices'>);
  if (
    sheet.steps.some((s) => {
      const of = ofStep(s);
      return of !== undefined && 'product' in of && looping.has(of.product) && done(s);
    })
  )
    return false;
  return runPot(potOf(sheet as WrittenRecipe, shelfFrom(data)), data.constants).refused === undefined;
}

/**
 * Keeps the sheet as it is edited, one write after the other: a wish that comes while one is under
 * way waits and only the newest is sent, so that versions never overtake each other. Where somebody else was quicker their sheet
 * goes to `onTheirs`, which puts both together and wishes again.
 */
export function useAutosave(data: PotSheetData, draft: Draft, onTheirs: (theirs: TheirSheet) => void) {
  const refs = useRefs(data.version, draft);
  const { versionRef, busyRef, heldRef, comingRef, nextRef, keptRef, baseRef, waitingRef } = refs;
  const { state, setState, refusal, setRefusal, broken, settled } = useAnswers(refs, onTheirs);

  const send = useCallback(async (): Promise<void> => {
    if (busyRef.current) return;
    busyRef.current = true;
    setState('keeping');
    while (nextRef.current) {
      const wanted = nextRef.current;
      nextRef.current = null;
      const { steps, choices, vessel, hob } = wanted;
      const body = { id: data.recipe.id, steps, choices: [...choices], vessel, hob };
      settled(await savePotSheet({ ...body, seen: versionRef.current }), wanted);
    }
    busyRef.current = false;
  }, [data.recipe.id, settled, setState, busyRef, nextRef, versionRef]);
  useQueuedWrite(SHEET.kind, data.recipe.id, settled);
  useAskedWhileBehind(comingRef, nextRef);

  const wish = useCallback(
    (wanted: Draft, names: Names): void => {
      if (!data.mayEdit) return;
      comingRef.current = false;
      const said = JSON.stringify(wanted);
      if (said === keptRef.current) {
        heldRef.current = false;
        return setState(waitingRef.current ? 'waits' : busyRef.current ? 'keeping' : 'kept');
      }
      const steps = stepsOf(wanted.lines, names);
      heldRef.current = !canBeKept({ ...wanted, steps }, data);
      if (heldRef.current) return setState('held');
      keptRef.current = said;
      nextRef.current = { ...wanted, steps };
      void send();
    },
    [data, send, setState, keptRef, heldRef, busyRef, comingRef, nextRef, waitingRef],
  );
  /** Something is about to be wished for: until it is known what its words mean, it is not kept. */
  const coming = useCallback((): void => {
    if (!data.mayEdit) return;
    comingRef.current = true;
    setState('keeping');
  }, [data.mayEdit, setState, comingRef]);

  const others = useOthers({ ...refs, setRefusal, setState });
  /** The version that is on the screen, and whether a write is under way that will bring another. */
  const seen = useCallback(() => versionRef.current, [versionRef]);
  const isBusy = useCallback(() => busyRef.current, [busyRef]);
  const common = useCallback(() => baseRef.current, [baseRef]);
  return { state, refusal, broken, coming, wish, ...others, settled, seen, isBusy, common };
}

/** What became of what was sent, and how it stands with the sheet since. */
function useAnswers(refs: ReturnType<typeof useRefs>, onTheirs: (theirs: TheirSheet) => void) {
  const [state, setState] = useState<State>('idle');
  const [refusal, setRefusal] = useState<No<TheirSheet> | null>(null);
  const [broken, setBroken] = useState<readonly MissingParts[]>([]);
  const { versionRef, heldRef, nextRef, keptRef, baseRef, waitingRef } = refs;

  const settled = useCallback(
    (answer: Awaited<ReturnType<typeof savePotSheet>>, sent?: Draft): void => {
      if (answer.ok) {
        versionRef.current = answer.version ?? versionRef.current;
        baseRef.current = sent ?? waitingRef.current ?? baseRef.current;
        waitingRef.current = undefined;
        setBroken(answer.value.broken);
      } else if (canWait(answer)) waitingRef.current = sent;
      else keptRef.current = '';
      const theirs = !answer.ok && !canWait(answer) ? answer.theirs : undefined;
      setRefusal(answer.ok || canWait(answer) || theirs ? null : answer);
      const kept = nextRef.current ? 'keeping' : 'kept';
      setState(heldRef.current ? 'held' : answer.ok ? kept : canWait(answer) ? 'waits' : 'held');
      if (theirs) onTheirs(theirs);
    },
    [onTheirs, versionRef, baseRef, waitingRef, keptRef, heldRef, nextRef],
  );
  return { state, setState, refusal, setRefusal, broken, settled };
}

/** What is under way outlives its page; what comes behind it would not: anyone who closes or reloads it just then is asked. */
function useAskedWhileBehind(
  coming: { readonly current: boolean },
  next: { readonly current: unknown },
): void {
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent): void => {
      if (coming.current || next.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [coming, next]);
}

/** What is known of the sheet on its way to and from the server. */
function useRefs(version: number, draft: Draft) {
  return {
    versionRef: useRef(version),
    busyRef: useRef(false),
    /** Whether it cannot be kept, whatever an earlier write is answered later. */
    heldRef: useRef(false),
    /** Whether something was said that is not wished for yet. */
    comingRef: useRef(false),
    nextRef: useRef<(Draft & { readonly steps: WrittenStep[] }) | null>(null),
    keptRef: useRef(JSON.stringify(draft)),
    /** The sheet as everybody sees it, as far as is known here. */
    baseRef: useRef(draft),
    /** What waits for the network: what everybody sees once it is sent. */
    waitingRef: useRef<Draft>(undefined),
  };
}

interface Standing extends Pick<
  ReturnType<typeof useRefs>,
  'versionRef' | 'baseRef' | 'keptRef' | 'heldRef'
> {
  readonly setRefusal: (refusal: null) => void;
  readonly setState: (state: State) => void;
}

/** What is known of the sheet as others leave it, and what waits for a person. */
function useOthers({ versionRef, baseRef, keptRef, heldRef, setRefusal, setState }: Standing) {
  /** From now on this is what everybody sees; what differs from it is kept once it is wished for. */
  const seenOf = useCallback(
    (theirs: TheirSheet, as: Draft): void => {
      versionRef.current = theirs.version;
      baseRef.current = as;
      keptRef.current = JSON.stringify(as);
      setRefusal(null);
    },
    [versionRef, baseRef, keptRef, setRefusal],
  );
  /** Nothing is kept until a person has chosen. */
  const hold = useCallback((): void => {
    heldRef.current = true;
    keptRef.current = '';
    setState('held');
  }, [heldRef, keptRef, setState]);
  /** What was kept last may be kept again: it means something else by now. */
  const forget = useCallback(() => void (keptRef.current = ''), [keptRef]);
  return { seenOf, hold, forget };
}
