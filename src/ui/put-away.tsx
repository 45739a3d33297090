'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Combo, type Choice } from './combo';
import { SidePanel } from './side-panel';
import { useTell } from './toasts';
import { Trouble } from './trouble';
import { useKept, type KeptAnswer } from './use-kept';
import { UsedBy, type User } from './used-by';

interface Props {
  readonly name: string;
  /** Who lives from it. */
  readonly users: readonly User[];
  /** What may take its place: undefined where nothing can. */
  readonly others?: ((wanted: string) => readonly Choice[] | Promise<readonly Choice[]>) | undefined;
  readonly open: boolean;
  readonly close: () => void;
  readonly put: (instead: string | null) => Promise<KeptAnswer>;
  readonly bringBack: () => Promise<KeptAnswer>;
  /** What becomes of the page when it is away. */
  readonly then?: (() => void) | undefined;
}

/** Before something is put away it is said who lives from it, and what may take its place everywhere. */
export function PutAway({ name, users, others, open, close, put, bringBack, then }: Props) {
  const [keep, state] = useKept();
  const tell = useTell();
  const [instead, setInstead] = useState<Choice>();
  const [back] = useKept();
  const away = (): void =>
    void keep(() => put(instead?.id ?? null)).then((ok) => {
      if (!ok) return;
      close();
      const so = instead ? `, and ${instead.name} stands in its place` : '';
      // With its places taken by another thing, bringing it back alone would not put it there again.
      tell(`${name} is archived${so}.`, instead ? undefined : () => void back(bringBack));
      then?.();
    });
  return (
    <SidePanel title={`Archive ${name}?`} open={open} close={close}>
      {users.length === 0 ? (
        <p>Not used anywhere. You can restore it from the list at any time.</p>
      ) : (
        <>
          <p>
            <UsedBy by={users} lead="It is taken by " most={8} />.
          </p>
          {others ? (
            <>
              <p className="mb-1">What takes its place in {users.length === 1 ? 'it' : 'all of them'}?</p>
              <Combo label="What takes its place" chosen={instead} choose={setInstead} find={others} />
            </>
          ) : (
            <p>Remove it there first.</p>
          )}
        </>
      )}
      <div className="d-flex gap-2 mt-3">
        <Button disabled={state.busy || (users.length > 0 && (!others || !instead))} onClick={away}>
          {users.length > 0 && others ? 'Archive, and put that in its place' : 'Archive'}
        </Button>
        <Button variant="plain" onClick={close}>
          Cancel
        </Button>
      </div>
      <Trouble says={state.message} />
    </SidePanel>
  );
}
