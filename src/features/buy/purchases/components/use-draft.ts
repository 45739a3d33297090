import { useCallback, useEffect, useState } from 'react';
import type { PurchaseTyped } from '../wire';
import type { PurchaseForm } from '../queries';

export type Draft = PurchaseTyped;
export type DraftLine = Draft['lines'][number];
export type DraftGoods = Extract<DraftLine, { is: 'goods' }>;

export const emptyGoods = (): DraftGoods => ({
  is: 'goods',
  article: '',
  packs: '',
  packPrice: '',
  delivered: '',
  rejected: '',
  inPlaceOf: '',
  note: '',
});

const KEY = 'half-pot-invoice';

function begin(form: PurchaseForm): Draft {
  const { corrects, today, suppliers } = form;
  return {
    kind: corrects ? 'credit note' : 'invoice',
    corrects: corrects?.id,
    supplier: corrects?.supplier ?? suppliers[0]?.id ?? '',
    on: today,
    number: '',
    lines: corrects
      ? corrects.lines.map((l) => ({ ...emptyGoods(), article: l.article, packPrice: l.packPrice }))
      : [emptyGoods()],
  };
}

/** What is being typed, kept in this browser until it is written down: a reload or a dead battery loses nothing. */
export function useDraft(form: PurchaseForm) {
  const [draft, setDraft] = useState<Draft>(() => begin(form));
  const [found, setFound] = useState<Draft | null>(null);
  const key = `${KEY} ${form.corrects?.id ?? ''}`;
  useEffect(() => {
    try {
      const kept = window.localStorage.getItem(key);
      // Offered, not forced: somebody else may have begun it on this tablet.
      if (kept) queueMicrotask(() => setFound(JSON.parse(kept) as Draft));
    } catch {
      // A browser without storage works like one where nothing was kept.
    }
  }, [key]);
  const change = useCallback(
    (next: Draft): void => {
      setDraft(next);
      setFound(null);
      try {
        window.localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // See above.
      }
    },
    [key],
  );
  const forget = useCallback((): void => {
    setFound(null);
    try {
      window.localStorage.removeItem(key);
    } catch {
      // See above.
    }
  }, [key]);
  return { draft, change, found, forget };
}
