import { useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { outlierQuestion, readPrice } from '@/core/larder';
import { over } from '@/wire';
import { useFormatters } from '@/ui/formatters-context';
import { useSaveForm } from '@/ui/forms/use-save-form';
import type { SchoolsPage } from '../queries';
import { saveTrimming } from '../send';
import { Trimmed } from '../wire';
import * as texts from './texts';

const GUARDED = [
  ['setValue', texts.setValue],
  ['wage', 'wage'],
  ['electricity', 'tariff'],
  ['gas', 'tariff'],
] as const;
type Guarded = (typeof GUARDED)[number];

const firstOf = <T, R>(all: readonly T[], of: (one: T) => R | undefined): R | undefined => {
  for (const one of all) {
    const found = of(one);
    if (found !== undefined) return found;
  }
  return undefined;
};

/** A question about a figure of the form that is far from what it was; 0 and none are ways to leave it out. */
function farFrom(
  page: SchoolsPage,
  typed: z.infer<typeof Trimmed>,
  field: Guarded[0],
  what: Guarded[1],
  words: (value: number) => string,
): string | undefined {
  const read = readPrice(typed[field], page.mark);
  const was = readPrice(page[field], page.mark);
  if (!read.ok || read.value.isZero() || !was.ok) return undefined;
  return outlierQuestion({ what, before: was.value.toNumber(), after: read.value.toNumber(), words });
}

/** What a kitchen decides once about trim, wage, energy and learning, as it is typed; and whether that is kept. */
export function useTrimming(page: SchoolsPage) {
  const { school, setValue, wage, electricity, gas, learning, scale } = page;
  const { money } = useFormatters();
  const kept = useSaveForm(
    Trimmed,
    { school, setValue, wage, electricity, gas, learning, scale },
    (typed, _form, seen) => saveTrimming({ ...typed, ...over(seen) }),
    (typed) => firstOf(GUARDED, ([field, what]) => farFrom(page, typed, field, what, money)),
    { version: page.version },
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
