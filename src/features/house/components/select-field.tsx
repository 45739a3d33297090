'use client';

import { useWatch, type FieldValues, type Path, type PathValue, type UseFormReturn } from 'react-hook-form';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { Combo, type ComboOption } from '@/ui/forms/combo';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSearch } from '@/ui/tables/use-search';

interface Props<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  readonly name: Path<T>;
  readonly label: string;
  readonly list: readonly ComboOption[];
  readonly fixed?: boolean;
}

/** One of many, as a field of a form: what is kept is its id. */
export function SelectField<T extends FieldValues>({ form, name, label, list, fixed = false }: Props<T>) {
  const id: string = useWatch({ control: form.control, name });
  const wrong = form.getFieldState(name, form.formState).error?.message;
  return (
    <>
      <span className="form-label d-block">{label}</span>
      <Combo
        label={label}
        disabled={fixed}
        chosen={list.find((c) => c.id === id)}
        choose={(choice) => {
          form.setValue(name, (choice?.id ?? '') as PathValue<T, Path<T>>, {
            shouldDirty: true,
            shouldValidate: form.formState.isSubmitted,
          });
        }}
        find={useSearch(list)}
        invalid={wrong !== undefined}
      />
      <TheirValue form={form} name={name} say={(theirs) => list.find((c) => c.id === theirs)?.name ?? '…'} />
      <TroubleText as="span" says={wrong} />
    </>
  );
}
