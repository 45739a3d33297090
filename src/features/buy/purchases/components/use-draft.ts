import { useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { PurchaseForm } from '../queries';
import type { PurchaseTyped } from '../wire';

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

/** A line on which nothing has been written: of a credit note, one that is not credited. */
export const isBlank = (line: DraftLine, kind: Draft['kind']): boolean =>
  line.is === 'goods' &&
  line.packs.trim() === '' &&
  line.delivered.trim() === '' &&
  (kind === 'credit note' || (line.article === '' && !line.newArticle && line.packPrice.trim() === ''));

const KEY = 'half-pot-invoice';

export function begin({ corrects, today, suppliers }: PurchaseForm): Draft {
  return {
    kind: corrects ? 'credit note' : 'invoice',
    corrects: corrects?.id,
    supplier: corrects?.supplier ?? (suppliers.length === 1 ? (suppliers[0]?.id ?? '') : ''),
    on: today,
    number: '',
    lines: corrects
      ? corrects.lines.map((l) => ({ ...emptyGoods(), article: l.article, packPrice: l.packPrice }))
      : [emptyGoods()],
  };
}

/** What is being typed, kept in this browser until it is written down: a reload or a dead battery loses nothing. */
export function useKeptDraft(page: PurchaseForm, form: UseFormReturn<Draft>) {
  const [found, setFound] = useState<Draft | null>(null);
  const key = `${KEY} ${page.corrects?.id ?? ''}`;
  useEffect(() => {
    try {
      const kept = window.localStorage.getItem(key);
      // Offered, not forced: somebody else may have begun it on this tablet.
      if (kept) queueMicrotask(() => setFound(JSON.parse(kept) as Draft));
    } catch {
      // A browser without storage works like one where nothing was kept.
    }
  }, [key]);
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true, isDirty: true },
        callback: ({ values, isDirty }) => {
          if (!isDirty) return;
          setFound(null);
          try {
            window.localStorage.setItem(key, JSON.stringify(values));
          } catch {
            // See above.
          }
        },
      }),
    [form, key],
  );
  const forget = (): void => {
    setFound(null);
    try {
      window.localStorage.removeItem(key);
    } catch {
      // See above.
    }
  };
  return { found, forget };
}
