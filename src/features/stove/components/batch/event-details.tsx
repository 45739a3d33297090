'use client';

import { useState, useSyncExternalStore } from 'react';
import Form from 'react-bootstrap/Form';
import { useFormatters } from '@/ui/formatters-context';
import type { BatchShown } from '../../queries';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** Minutes ago that something may be said to have happened. */
const AGO = [0, 2, 5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240, 360] as const;

/** When what is told next happened: a pot that went on before anybody told of it is told of afterwards, with rough times. */
function When({ ago, set }: { readonly ago: number; readonly set: (minutes: number) => void }) {
  const { hours } = useFormatters();
  return (
    <Form.Select
      className="mb-2"
      aria-label={texts.whenHappened}
      value={ago}
      onChange={(event) => set(Number(event.target.value))}
    >
      {AGO.map((m) => (
        <option key={m} value={m}>
          {m === 0 ? texts.enteredLive : texts.ago(hours(m / 60))}
        </option>
      ))}
    </Form.Select>
  );
}

/** Whether nobody answers: the browser says so, or something waits to be sent. */
function useOffline(waiting: number): boolean {
  const online = useSyncExternalStore(
    watchOnline,
    () => navigator.onLine,
    () => true,
  );
  return !online || waiting > 0;
}
function watchOnline(changed: () => void): () => void {
  window.addEventListener('online', changed);
  window.addEventListener('offline', changed);
  return () => {
    window.removeEventListener('online', changed);
    window.removeEventListener('offline', changed);
  };
}

/** Who tells it while the network is gone: a name is said, no PIN can be looked at, and it is marked so. */
const WhoTells = ({
  people,
  by,
  set,
}: {
  readonly people: readonly string[];
  readonly by: string;
  readonly set: (name: string) => void;
}) => (
  <Form.Select
    className="mb-2"
    aria-label={texts.whoSaw}
    value={by}
    onChange={(event) => set(event.target.value)}
  >
    {people.map((name) => (
      <option key={name} value={name}>
        {texts.by(name)}
      </option>
    ))}
  </Form.Select>
);

/** Minutes of hands that a line may have taken. */
const BY_HAND = [0, 1, 2, 3, 5, 8, 10, 15, 20, 30, 45, 60, 90] as const;

/** How long hands were at it, for the line that is ticked next: as usual where nobody says otherwise. */
const Hands = ({
  minutes,
  set,
}: {
  readonly minutes: number | undefined;
  readonly set: (minutes: number | undefined) => void;
}) => (
  <Form.Select
    className="mb-2"
    aria-label={texts.labour}
    value={minutes ?? ''}
    onChange={(event) => set(event.target.value === '' ? undefined : Number(event.target.value))}
  >
    <option value="">{texts.usualLabour}</option>
    {BY_HAND.map((m) => (
      <option key={m} value={m}>
        {texts.minLabour(m)}
      </option>
    ))}
  </Form.Select>
);

/** How what is told next is told: when it happened, how long hands were at it, and by whom where nobody can be asked for a PIN. */
export function useEventDetails(batch: BatchShown, { tell, waiting }: LiveBatch) {
  const [ago, setAgo] = useState(0);
  const [hands, setHands] = useState<number>();
  const [by, setBy] = useState(batch.me);
  const offline = useOffline(waiting);
  const tellSo: LiveBatch['tell'] = async (what) => {
    const ok = await tell(
      {
        ...what,
        ...(offline && by !== batch.me ? { by, said: 'unverified' as const } : {}),
        ...(what.is === 'done' && hands !== undefined ? { handsMin: hands } : {}),
      },
      ago,
    );
    if (!ok) return false;
    setAgo(0);
    if (what.is === 'done') setHands(undefined);
    return true;
  };
  const fields = (
    <>
      <When ago={ago} set={setAgo} />
      <Hands minutes={hands} set={setHands} />
      {offline && <WhoTells people={batch.people} by={by} set={setBy} />}
    </>
  );
  return { tell: tellSo, fields };
}
