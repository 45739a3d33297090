'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { STILL_TYPED } from '@/wire';

/** What an action answers: kept, or a sentence that says why not. */
export type KeptAnswer = { readonly ok: true } | { readonly ok: false; readonly message: string };

export interface KeptState {
  readonly busy: boolean;
  readonly kept: boolean;
  readonly message: string | undefined;
}

/**
 * Keeps something through an action and has the page read anew. What was typed stays in its field
 * when it is refused or when nobody answers.
 * @param anew false where the page has typed lines on it that are not kept yet, and reads by itself what it needs
 */
export function useKept(
  anew = true,
): [(act: () => Promise<KeptAnswer>) => Promise<boolean>, KeptState, () => void] {
  const router = useRouter();
  const [state, setState] = useState<KeptState>({ busy: false, kept: false, message: undefined });
  const keep = useCallback(
    async (act: () => Promise<KeptAnswer>): Promise<boolean> => {
      setState({ busy: true, kept: false, message: undefined });
      const answer = await act().catch(() => ({
        ok: false as const,
        message: STILL_TYPED,
      }));
      setState({ busy: false, kept: answer.ok, message: answer.ok ? undefined : answer.message });
      if (answer.ok && anew) router.refresh();
      return answer.ok;
    },
    [router, anew],
  );
  const clear = useCallback(() => setState({ busy: false, kept: false, message: undefined }), []);
  return [keep, state, clear];
}
