'use client';

import type { ComponentProps } from 'react';
import Form from 'react-bootstrap/Form';
import { get, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { TheirValue } from './edit-conflict';
import { TroubleText } from './trouble-text';

interface Props<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  readonly name: Path<T>;
  readonly label: string;
  /** Its whole name, where the label above it is only part of that. */
  readonly called?: string;
  readonly hideLabel?: boolean;
}

/** A field of a form under its label, and what is wrong with it beside it. */
export function FormField<T extends FieldValues>({
  form,
  name,
  label,
  called,
  hideLabel,
  ...control
}: Props<T> & Omit<ComponentProps<typeof Form.Control>, 'form' | 'name'>) {
  const wrong = (get(form.formState.errors, name) as { message?: string } | undefined)?.message;
  const id = `field-${name}`;
  return (
    <Form.Group controlId={id}>
      <Form.Label visuallyHidden={hideLabel ?? false}>{label}</Form.Label>
      <Form.Control
        autoComplete="off"
        aria-label={called}
        isInvalid={wrong !== undefined}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        {...control}
        {...form.register(name)}
      />
      <TheirValue form={form} name={name} />
      <TroubleText id={`${id}-wrong`} as="span" says={wrong} />
    </Form.Group>
  );
}
