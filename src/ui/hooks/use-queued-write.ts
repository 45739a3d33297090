import { useEffect, useRef } from 'react';
import { onSent, type Reply } from '@/wire';

/**
 * Hears what became of a write of this screen that had to wait for the network, and answers it there as if it had just been sent.
 * @param kind of the write
 * @param thing that it changed; undefined where the screen has none
 */
export function useQueuedWrite<Answer, Theirs>(
  kind: string,
  thing: string | undefined,
  heard: (reply: Reply<Answer, Theirs>) => void,
): void {
  const last = useRef(heard);
  useEffect(() => {
    last.current = heard;
  });
  useEffect(
    () =>
      onSent((sent, reply) => {
        if (sent.envelope.kind !== kind || sent.thing !== thing) return false;
        last.current(reply as Reply<Answer, Theirs>);
        return true;
      }),
    [kind, thing],
  );
}
