import { useWatch } from 'react-hook-form';
import { readPrice } from '@/core/larder';
import { useKeptForm } from '@/ui/use-kept-form';
import type { SchoolsPage } from '../queries';
import { keepTrimming, Trimmed } from '../wire';

/** What a kitchen decides once about trim, wage, energy and learning, as it is typed; and whether that is kept. */
export function useTrimming(page: SchoolsPage) {
  const { school, setValue, wage, electricity, gas, learning, scale } = page;
  const kept = useKeptForm(Trimmed, { school, setValue, wage, electricity, gas, learning, scale }, (typed) =>
    keepTrimming({ seen: page.version, ...typed }),
  );
  const now = useWatch({ control: kept.form.control, name: ['school', 'setValue'] });
  const read = readPrice(now[1], page.mark);
  return {
    ...kept,
    school: now[0],
    choose: (next: typeof school): void => kept.form.setValue('school', next, { shouldDirty: true }),
    read,
    /** The set value as it is typed; while that cannot be read, as it was. */
    value: read.ok ? read.value.toNumber() : Number(page.setValue),
    changed: kept.form.formState.isDirty,
  };
}
export type Trimming = ReturnType<typeof useTrimming>;
