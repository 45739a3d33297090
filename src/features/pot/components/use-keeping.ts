import { useCallback, useRef, useState } from 'react';
import { ofStep, runPot, type WrittenStep } from '@/core/verbs';
import type { Names } from '@/core/said';
import { useSent } from '@/ui/use-sent';
import { STILL_TYPED, waits, type No } from '@/wire';
import { keepPotSheet, SHEET, type Broken, type TheirSheet } from '../wire';
import { stepsOf, type SheetLine } from './sheet-lines';
import { potOf } from '@/core/shelf';

import type { PotSheetData } from '../queries';
import { shelfFrom } from './use-pot';

type State = 'idle' | 'keeping' | 'kept' | 'waits' | 'held';

/** Nobody answers, so nothing can be kept: what was typed stands there. */
export const NOBODY_ANSWERS = { ok: false, code: 'no-answer', message: STILL_TYPED, path: '' } as const;

/** Whether a sheet can be kept: no loop and no step that cannot be done. Unread lines can. */
function canBeKept(steps: readonly WrittenStep[], vessel: string, hob: string, data: PotSheetData): boolean {
  const looping = new Set(data.products.filter((p) => p.loops).map((p) => p.id));
  if (
    steps.some((s) => {
      const of = ofStep(s);
      return of !== undefined && 'product' in of && looping.has(of.product);
    })
  )
    return false;
  return (
    runPot(potOf({ vessel, hob, steps: [...steps] }, shelfFrom(data)), data.constants).refused === undefined
  );
}

/**
 * Keeps the sheet as it is edited, one write after the other: a wish that comes while one is under
 * way waits and only the newest is sent, so that versions never overtake each other.
 */
export function useKeeping(data: PotSheetData, lines: readonly SheetLine[], vessel: string, hob: string) {
  const [state, setState] = useState<State>('idle');
  const [refusal, setRefusal] = useState<No<TheirSheet> | null>(null);
  const [broken, setBroken] = useState<readonly Broken[]>([]);
  const version = useRef(data.version);
  const busy = useRef(false);
  const held = useRef(false); // whatever an earlier write is answered later
  const next = useRef<{ steps: WrittenStep[]; vessel: string; hob: string } | null>(null);
  const kept = useRef(JSON.stringify([lines, vessel, hob]));

  const settled = useCallback((answer: Awaited<ReturnType<typeof keepPotSheet>>): void => {
    if (answer.ok) {
      version.current = answer.version ?? version.current;
      setBroken(answer.value.broken);
    } else if (!waits(answer)) kept.current = '';
    setRefusal(answer.ok || waits(answer) ? null : answer);
    setState(held.current ? 'held' : answer.ok ? 'kept' : waits(answer) ? 'waits' : 'held');
  }, []);

  const send = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    setState('keeping');
    while (next.current) {
      const wanted = next.current;
      next.current = null;
      settled(await keepPotSheet({ id: data.recipe.id, seen: version.current, ...wanted }));
    }
    busy.current = false;
  }, [data.recipe.id, settled]);
  useSent(SHEET.kind, data.recipe.id, settled);

  const wish = useCallback(
    (wanted: readonly SheetLine[], onVessel: string, onHob: string, names: Names): void => {
      if (!data.mayEdit) return;
      const said = JSON.stringify([wanted, onVessel, onHob]);
      if (said === kept.current) return;
      const steps = stepsOf(wanted, names);
      held.current = !canBeKept(steps, onVessel, onHob, data);
      if (held.current) return setState('held');
      kept.current = said;
      next.current = { steps, vessel: onVessel, hob: onHob };
      void send();
    },
    [data, send],
  );
  /** From now on this is what everybody sees: theirs as it is, or mine written over it. */
  const settle = useCallback((theirs: TheirSheet): void => {
    version.current = theirs.version;
    kept.current = '';
    setRefusal(null);
    setState('idle');
  }, []);
  /** What was kept last may be kept again: it means something else by now. */
  const forget = useCallback(() => void (kept.current = ''), []);
  /** The version that is on the screen. */
  const seen = useCallback(() => version.current, []);
  return { state, refusal, broken, wish, settle, settled, forget, seen };
}
