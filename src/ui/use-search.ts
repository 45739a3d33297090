import { useMemo } from 'react';
import { searcher } from '@/search';
import type { Choice } from './combo';

/** Looks through a list that is here already, forgiving spelling. */
export const useSearch = <C extends Choice>(list: readonly C[]): ((wanted: string) => readonly C[]) =>
  useMemo(() => searcher(list), [list]);
