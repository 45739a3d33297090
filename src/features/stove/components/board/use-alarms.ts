import { useEffect } from 'react';
import type { BatchFigures, Alarm } from '@/core/batch';
import type { BatchShown } from '../../queries';
import { setAlarms } from './alarm-store';

const NONE: readonly Alarm[] = [];

/** Says what a pot on the page calls for. */
export function useAlarms({ id, name, lines }: BatchShown, figures: BatchFigures | undefined): void {
  const calls = figures?.calls ?? NONE;
  const line = figures && lines[figures.at]?.words;
  useEffect(() => {
    setAlarms({ batch: id, name, line, calls });
    return () => setAlarms({ batch: id, name, line, calls: NONE });
  }, [id, name, line, calls]);
}
