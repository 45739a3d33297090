'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Combo, type ComboOption } from '../forms/combo';
import { SidePanel } from './side-panel';
import { useToast } from '../frame/toasts';
import { TroubleText } from '../forms/trouble-text';
import { useSave, type SaveAnswer } from '../forms/use-save';
import { UsedBy, type User } from '../tables/used-by';
import * as texts from './texts';

interface Props {
  readonly name: string;
  /** What is made from it. */
  readonly users: readonly User[];
  /** What may take its place: undefined where nothing can. */
  readonly others?:
    ((wanted: string) => readonly ComboOption[] | Promise<readonly ComboOption[]>) | undefined;
  readonly open: boolean;
  readonly close: () => void;
  readonly put: (instead: string | null) => Promise<SaveAnswer>;
  readonly bringBack: () => Promise<SaveAnswer>;
  /** What becomes of the page when it is away. */
  readonly then?: (() => void) | undefined;
}

/** Before something is put away it is said what is made from it, and what may replace it everywhere. */
export function ArchiveDialog({ name, users, others, open, close, put, bringBack, then }: Props) {
  const [keep, state] = useSave();
  const tell = useToast();
  const [instead, setInstead] = useState<ComboOption>();
  const [back] = useSave();
  const away = (): void =>
    void keep(() => put(instead?.id ?? null)).then((ok) => {
      if (!ok) return;
      close();
      const so = instead ? texts.replaced(instead.name) : '';
      // With its places taken by another thing, bringing it back alone would not put it there again.
      tell(texts.archived(name, so), instead ? undefined : () => void back(bringBack));
      then?.();
    });
  return (
    <SidePanel title={texts.archiveNamed(name)} open={open} close={close}>
      {users.length === 0 ? (
        <p>{texts.notUsedAnywhereYou}</p>
      ) : (
        <>
          <p>
            <UsedBy by={users} lead={texts.used} most={8} />.
          </p>
          {others ? (
            <>
              <p className="mb-1">{texts.whatTakesPlaceAll(users.length)}</p>
              <Combo label={texts.replacement} chosen={instead} choose={setInstead} find={others} />
            </>
          ) : (
            <p>{texts.removeFirst}</p>
          )}
        </>
      )}
      <div className="d-flex gap-2 mt-3">
        <Button disabled={state.busy || (users.length > 0 && (!others || !instead))} onClick={away}>
          {users.length > 0 && others ? texts.archiveReplace : texts.archive}
        </Button>
        <Button variant="plain" onClick={close}>
          {texts.cancel}
        </Button>
      </div>
      <TroubleText says={state.message} />
    </SidePanel>
  );
}
