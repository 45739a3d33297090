import { useEffect } from 'react';
import type { BatchFigures, Call } from '@/core/batch';
import type { BatchShown } from '../queries';
import { setCalls } from './alarm-store';

const NONE: readonly Call[] = [];

/** Says what a pot on the page calls for. */
export function useCalls({ id, name, lines }: BatchShown, figures: BatchFigures | undefined): void {
  const calls = figures?.calls ?? NONE;
  const line = figures && lines[figures.at]?.words;
  useEffect(() => {
    setCalls({ batch: id, name, line, calls });
    return () => setCalls({ batch: id, name, line, calls: NONE });
  }, [id, name, line, calls]);
}
