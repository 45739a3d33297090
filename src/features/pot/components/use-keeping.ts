import { useCallback, useRef, useState } from 'react';
import { runPot } from '@/core/pot';
import { potOf } from '@/core/costing';
import { ofStep, type WrittenStep } from '@/core/kitchen-file';
import { readStep } from '@/core/said';
import { keepPotSheet } from '../actions';
import type { PotSheetData } from '../queries';
import type { Broken } from '../service';
import { shelfFrom } from './use-pot';
import { STILL_TYPED } from '@/ui/no-answer';

type State = 'idle' | 'keeping' | 'kept' | 'held';

const stepsFrom = (lines: readonly string[], data: PotSheetData): WrittenStep[] =>
  lines.map((text) => {
    const read = readStep(text, data.names);
    return read.ok ? read.value : { do: 'unread', said: text.slice(0, 200) };
  });

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

const NO_ANSWER = {
  ok: false,
  message: STILL_TYPED,
  path: '',
  stale: false,
} as const;

/**
 * Keeps the sheet as it is edited, one write after the other: a wish that comes while one is under
 * way waits and only the newest is sent, so that versions never overtake each other.
 */
export function useKeeping(data: PotSheetData, lines: readonly string[], vessel: string, hob: string) {
  const [state, setState] = useState<State>('idle');
  const [refusal, setRefusal] = useState<{ readonly message: string; readonly stale: boolean } | null>(null);
  const [broken, setBroken] = useState<readonly Broken[]>([]);
  const version = useRef(data.version);
  const busy = useRef(false);
  const next = useRef<{ steps: WrittenStep[]; vessel: string; hob: string } | null>(null);
  const kept = useRef(JSON.stringify([lines, vessel, hob]));

  const send = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    setState('keeping');
    while (next.current) {
      const wanted = next.current;
      next.current = null;
      const answer = await keepPotSheet({ id: data.recipe.id, seen: version.current, ...wanted }).catch(
        () => NO_ANSWER,
      );
      if (answer.ok) {
        version.current = answer.version;
        setBroken(answer.broken);
      } else kept.current = '';
      setRefusal(answer.ok ? null : { message: answer.message, stale: answer.stale });
      setState(answer.ok ? 'kept' : 'held');
    }
    busy.current = false;
  }, [data.recipe.id]);

  const wish = useCallback(
    (wanted: readonly string[], onVessel: string, onHob: string): void => {
      if (!data.mayEdit) return;
      const said = JSON.stringify([wanted, onVessel, onHob]);
      if (said === kept.current) return;
      const steps = stepsFrom(wanted, data);
      if (!canBeKept(steps, onVessel, onHob, data)) {
        setState('held');
        return;
      }
      kept.current = said;
      next.current = { steps, vessel: onVessel, hob: onHob };
      void send();
    },
    [data, send],
  );
  return { state, refusal, broken, wish };
}
