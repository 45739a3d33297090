import { useState } from 'react';
import { readPrice } from '@/core/larder';
import { useKept } from '@/ui/use-kept';
import type { SchoolsPage } from '../queries';
import { keepTrimming } from '../wire';

/** What a kitchen decides once about trim, wage, energy and learning, as it is typed; and whether that is kept. */
export function useTrimming(page: SchoolsPage) {
  const { school, setValue, wage, electricity, gas, learning, scale } = page;
  const [typed, setTyped] = useState({ school, setValue, wage, electricity, gas, learning, scale });
  const [keepIt, state] = useKept();
  // What was kept as it was typed: a price may be worked out, and then reads otherwise on the page.
  const [asKept, setAsKept] = useState(() => JSON.stringify(typed));
  const read = readPrice(typed.setValue, page.mark);
  return {
    typed,
    type: (part: Partial<typeof typed>) => setTyped((now) => ({ ...now, ...part })),
    read,
    /** The set value as it is typed; while that cannot be read, as it was. */
    value: read.ok ? read.value.toNumber() : Number(page.setValue),
    changed: JSON.stringify(typed) !== asKept,
    state,
    keep: () =>
      void keepIt(() => keepTrimming({ seen: page.version, ...typed })).then(
        (ok) => ok && setAsKept(JSON.stringify(typed)),
      ),
  };
}
export type Trimming = ReturnType<typeof useTrimming>;
