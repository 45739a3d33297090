'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { STILL_TYPED } from '@/wire';
import { usePageReset } from '../frame/page-reset';

/** What an action answers: kept, or a sentence that says why not. */
export type SaveAnswer =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly code?: string;
      readonly message: string;
      readonly version?: number | undefined;
    };

export interface SaveState {
  readonly busy: boolean;
  readonly kept: boolean;
  readonly message: string | undefined;
  /** Where somebody else was faster: the two ways on. */
  readonly both?: { readonly keepMine: () => void; readonly takeTheirs: () => void } | undefined;
}

/** What is to be kept; told at which version, where it is not the one the page was read at. */
type Act = (seen?: number) => Promise<SaveAnswer>;

/**
 * Keeps something through an action and has the page read again. What was typed stays in its field
 * when it is refused or when nobody answers.
 * @param refresh false where the page has typed lines on it that are not kept yet, and reads by itself what it needs
 */
export function useSave(refresh = true): [(act: Act) => Promise<boolean>, SaveState, () => void] {
  const router = useRouter();
  const begin = usePageReset();
  const [state, setState] = useState<SaveState>({ busy: false, kept: false, message: undefined });
  const keep = useCallback(
    async (act: Act): Promise<boolean> => {
      const once = async (seen?: number): Promise<boolean> => {
        setState({ busy: true, kept: false, message: undefined });
        const answer = await act(seen).catch(() => ({ ok: false as const, message: STILL_TYPED }));
        const theirs = !answer.ok && 'code' in answer && answer.code === 'stale' ? answer.version : undefined;
        setState({
          busy: false,
          kept: answer.ok,
          message: answer.ok ? undefined : answer.message,
          both: theirs === undefined ? undefined : { keepMine: () => void once(theirs), takeTheirs: begin },
        });
        if (answer.ok && refresh) router.refresh();
        return answer.ok;
      };
      return once();
    },
    [router, refresh, begin],
  );
  const clear = useCallback(() => setState({ busy: false, kept: false, message: undefined }), []);
  return [keep, state, clear];
}
