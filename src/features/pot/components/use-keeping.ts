import { useCallback, useRef, useState } from 'react';
import { inForce, type WrittenRecipe } from '@/core/kitchen-file';
import { ofStep, runPot, type WrittenStep } from '@/core/verbs';
import type { Names } from '@/core/said';
import { useSent } from '@/ui/use-sent';
import { STILL_TYPED, waits, type No } from '@/wire';
import { keepPotSheet, SHEET, type Broken, type TheirSheet } from '../wire';
import { stepsOf, type Draft, type Sheet } from './sheet-lines';
import { potOf } from '@/core/shelf';

import type { PotSheetData } from '../queries';
import { shelfFrom } from './use-pot';

type State = 'idle' | 'keeping' | 'kept' | 'waits' | 'held';

/** Nobody answers, so nothing can be kept: what was typed stands there. */
export const NOBODY_ANSWERS = { ok: false, code: 'no-answer', message: STILL_TYPED, path: '' } as const;

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
export function useKeeping(data: PotSheetData, draft: Draft, onTheirs: (theirs: TheirSheet) => void) {
  const [state, setState] = useState<State>('idle');
  const [refusal, setRefusal] = useState<No<TheirSheet> | null>(null);
  const [broken, setBroken] = useState<readonly Broken[]>([]);
  const version = useRef(data.version);
  const busy = useRef(false);
  const held = useRef(false); // whatever an earlier write is answered later
  const next = useRef<(Draft & { readonly steps: WrittenStep[] }) | null>(null);
  const kept = useRef(JSON.stringify(draft));
  /** The sheet as everybody sees it, as far as is known here. */
  const base = useRef(draft);

  const settled = useCallback(
    (answer: Awaited<ReturnType<typeof keepPotSheet>>, sent?: Draft): void => {
      if (answer.ok) {
        version.current = answer.version ?? version.current;
        base.current = sent ?? base.current;
        setBroken(answer.value.broken);
      } else if (!waits(answer)) kept.current = '';
      const theirs = !answer.ok && !waits(answer) ? answer.theirs : undefined;
      setRefusal(answer.ok || waits(answer) || theirs ? null : answer);
      setState(held.current ? 'held' : answer.ok ? 'kept' : waits(answer) ? 'waits' : 'held');
      if (theirs) onTheirs(theirs);
    },
    [onTheirs],
  );

  const send = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    setState('keeping');
    while (next.current) {
      const wanted = next.current;
      next.current = null;
      const { steps, choices, vessel, hob } = wanted;
      const body = { id: data.recipe.id, steps, choices: [...choices], vessel, hob };
      settled(await keepPotSheet({ ...body, seen: version.current }), wanted);
    }
    busy.current = false;
  }, [data.recipe.id, settled]);
  useSent(SHEET.kind, data.recipe.id, settled);

  const wish = useCallback(
    (wanted: Draft, names: Names): void => {
      if (!data.mayEdit) return;
      const said = JSON.stringify(wanted);
      if (said === kept.current) return;
      const steps = stepsOf(wanted.lines, names);
      held.current = !canBeKept({ ...wanted, steps }, data);
      if (held.current) return setState('held');
      kept.current = said;
      next.current = { ...wanted, steps };
      void send();
    },
    [data, send],
  );
  /** From now on this is what everybody sees; it is kept again once it is wished for. */
  const seenOf = useCallback((theirs: TheirSheet, as: Draft): void => {
    version.current = theirs.version;
    base.current = as;
    kept.current = JSON.stringify(as);
    setRefusal(null);
  }, []);
  /** Nothing is kept until a person has chosen. */
  const hold = useCallback((): void => {
    held.current = true;
    kept.current = '';
    setState('held');
  }, []);
  /** What was kept last may be kept again: it means something else by now. */
  const forget = useCallback(() => void (kept.current = ''), []);
  /** The version that is on the screen, and whether a write is under way that will bring another. */
  const seen = useCallback(() => version.current, []);
  const isBusy = useCallback(() => busy.current, []);
  const common = useCallback(() => base.current, []);
  return { state, refusal, broken, wish, seenOf, hold, settled, forget, seen, isBusy, common };
}
