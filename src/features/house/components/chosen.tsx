'use client';

import { useState } from 'react';
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form';
import { Combo, type Choice } from '@/ui/combo';
import { Trouble } from '@/ui/trouble';
import { useSearch } from '@/ui/use-search';

interface Props<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  readonly name: Path<T>;
  readonly label: string;
  readonly list: readonly Choice[];
  readonly fixed?: boolean;
}

/** One of many, as a field of a form: what is kept is its id. */
export function Chosen<T extends FieldValues>({ form, name, label, list, fixed = false }: Props<T>) {
  const [id, setId] = useState<string>(form.getValues(name));
  const wrong = form.getFieldState(name, form.formState).error?.message;
  return (
    <>
      <span className="form-label d-block">{label}</span>
      <Combo
        label={label}
        disabled={fixed}
        chosen={list.find((c) => c.id === id)}
        choose={(choice) => {
          const next = choice?.id ?? '';
          setId(next);
          form.setValue(name, next as PathValue<T, Path<T>>, {
            shouldDirty: true,
            shouldValidate: form.formState.isSubmitted,
          });
        }}
        find={useSearch(list)}
        invalid={wrong !== undefined}
      />
      <Trouble as="span" says={wrong} />
    </>
  );
}
