import { useMemo } from 'react';
import { priceAfterTrim } from '@/core/knife';
import { valuesOf, type Figure } from '@/core/bench';
import {
  drainedIn,
  hoursIn,
  isDrained,
  weighLive,
  weighTestIn,
  type LiveTest,
  type WrittenTest,
} from '@/core/bench';
import { worthOf, type SecondPassWorth, type TestWeighed } from '@/core/learning';
import { mannerOf } from '@/core/quantity';
import type { Trouble } from '@/core/trouble';
import type { TestPage } from '../queries';
import type { TestTyped } from '../wire';
import { knifeAt } from './three-schools';

/** A test as it is while it is typed: every weight that can be read, and what they come to as soon as they weigh up. */
export interface Weighed {
  readonly live: LiveTest;
  /** Of a test of trimming: the whole of it. */
  readonly test?: TestWeighed | undefined;
  /** Of a cooking test: what it says, as shares, or ml per kg raw. */
  readonly figures: ReadonlyMap<Figure, number>;
  readonly trouble?: Trouble | undefined;
  readonly perKg: number | undefined;
  readonly usablePerKg: number | undefined;
  readonly worth?: SecondPassWorth | undefined;
}

export function useWeighed(page: TestPage, typed: TestTyped): Weighed {
  const manner = useMemo(() => mannerOf(page.mark, []), [page.mark]);
  return useMemo(() => {
    const live = weighLive(typed, manner);
    const { purchase, ...rest } = typed;
    const asWritten = { ...page.test, ...rest } as WrittenTest;
    const perKg = page.deliveries.find((d) => d.purchase === purchase)?.perKg ?? page.perKg ?? undefined;
    const figures = page.stuff
      ? valuesOf(asWritten, page.stuff, manner, page.constants)
      : new Map<Figure, number>();
    if (isDrained(typed.kind)) {
      const read = drainedIn(typed, manner);
      return { live, figures, trouble: read.ok ? undefined : read.trouble, perKg, usablePerKg: undefined };
    }
    const read = weighTestIn(typed, manner);
    const cost = (test: TestWeighed): number | undefined =>
      priceAfterTrim(knifeAt(page.knife, test), perKg, test.usable, test.stockTrim).usablePerKg;
    const once = typed.second ? weighTestIn({ ...typed, second: undefined }, manner) : undefined;
    const before = once?.ok ? cost(once.value) : undefined;
    const hours = typed.second?.time ? hoursIn(typed.second.time, manner, 'second.time') : undefined;
    return {
      live,
      figures,
      test: read.ok && typed.kind === 'trim' ? read.value : undefined,
      trouble: read.ok ? undefined : read.trouble,
      perKg,
      usablePerKg: read.ok && typed.kind === 'trim' ? cost(read.value) : undefined,
      worth:
        read.ok && once?.ok && before !== undefined
          ? worthOf(read.value.g.usable - once.value.g.usable, before, hours?.ok ? hours.value : 0, page.wage)
          : undefined,
    };
  }, [page, typed, manner]);
}
