import { useState } from 'react';

/** How far what is on a screen is ahead of what it was read with: on its way, kept at a version that has not been read yet, or not at all. */
type Ahead = 'on its way' | number | null;

/**
 * Tells a page that is read again from one that was read before what has been sent since was kept: an older one, however late it
 * comes, must not put back what stood there before.
 */
export function useStaleGuard() {
  const [ahead, setAhead] = useState<Ahead>(null);
  return {
    /** Whether what has just been read at a version is as new as what was sent. */
    isNew: (version: number): boolean => ahead === null || (ahead !== 'on its way' && version >= ahead),
    sent: (): void => setAhead('on its way'),
    /** What became of it; refused, whatever is read next counts. */
    kept: (version: number | null | undefined): void => setAhead(version ?? null),
  };
}
