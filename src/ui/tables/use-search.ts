import { useMemo } from 'react';
import { searcher } from '@/search';
import type { ComboOption } from '../forms/combo';

/** Looks through a list that is here already, forgiving spelling. */
export const useSearch = <C extends ComboOption>(list: readonly C[]): ((wanted: string) => readonly C[]) =>
  useMemo(() => searcher(list), [list]);
