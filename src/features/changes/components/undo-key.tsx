'use client';

import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Undo2 } from 'lucide-react';
import { useHotkeys } from 'react-hotkeys-hook';
import { usePageReset } from '@/ui/frame/page-reset';
import { useToast } from '@/ui/frame/toasts';
import { hasUnsavedChanges } from '@/ui/frame/unsaved-changes';
import { STILL_TYPED, whenSent } from '@/wire';
import { undoChange } from '../send';
import * as texts from './texts';

/** Whether the key means the kitchen: outside of fields, and in one that says of itself that nothing is typed in it (`data-undo`). */
const isKitchens = (target: EventTarget | null): boolean =>
  !(target instanceof HTMLInputElement) || target.dataset.undo === 'kitchen';

/** Takes back one's own last edit, by key or button, also after a reload; and does it again. In a field the key is the field's own. */
export function UndoKey() {
  const reset = usePageReset();
  const tell = useToast();
  const [busy, setBusy] = useState(false);
  const act = useCallback(
    async (again: boolean): Promise<void> => {
      if (hasUnsavedChanges()) return tell(texts.somethingTypedHereNot);
      setBusy(true);
      await whenSent();
      const answer = await undoChange({ change: null, again }).catch(() => undefined);
      setBusy(false);
      if (!answer?.ok) return tell(answer?.message ?? STILL_TYPED);
      tell(texts.done(again ? texts.redone : texts.undoneHeading, answer.value.words));
      reset();
    },
    [reset, tell],
  );
  const onKey =
    (again: boolean) =>
    (event: KeyboardEvent): void => {
      if (!isKitchens(event.target)) return;
      event.preventDefault();
      void act(again);
    };
  useHotkeys('mod+z', onKey(false), { enableOnFormTags: ['input'] });
  useHotkeys('mod+shift+z', onKey(true), { enableOnFormTags: ['input'] });
  return (
    <Button
      variant="outline-light"
      size="sm"
      disabled={busy}
      title={texts.undoYourLastChange}
      aria-label={texts.undoMyLastChange}
      aria-keyshortcuts="Control+Z"
      onClick={() => void act(false)}
    >
      <Undo2 size={15} aria-hidden="true" /> {texts.undo}
    </Button>
  );
}
