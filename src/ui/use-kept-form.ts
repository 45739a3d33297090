'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from 'react-hook-form';
import type { ZodType } from 'zod';
import { STILL_TYPED, type Mistake } from '@/wire';

/** What is answered to a form that was sent. */
type Answer =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly message: string;
      readonly path?: string;
      readonly mistakes?: readonly Mistake[] | undefined;
    };

/**
 * A form that is kept through an action, checked before it is sent by the schema the server checks it with. A mistake stands beside
 * its field and the first one has the focus; what is typed stays until it is kept.
 * @param schema of what is typed
 * @param defaults what stands there at first
 * @param asks a question about what is far from what it was: sent again, it is meant
 * @param send sends it; what it empties of the form is empty afterwards
 * @param anew false where the page is not to be read anew: typed lines on it are not kept yet
 */
export function useKeptForm<Typed extends FieldValues>(
  schema: ZodType<Typed, Typed>,
  defaults: DefaultValues<Typed>,
  send: (typed: Typed, form: UseFormReturn<Typed>) => Promise<Answer>,
  asks?: (typed: Typed) => string | undefined,
  { anew = true }: { readonly anew?: boolean } = {},
) {
  const router = useRouter();
  const [kept, setKept] = useState(false);
  const form = useForm<Typed>({ resolver: zodResolver(schema), defaultValues: defaults });
  const [question, setQuestion] = useState<string>();
  const submit = form.handleSubmit(async (typed) => {
    setKept(false);
    const asked = asks?.(typed);
    setQuestion(asked);
    if (asked !== undefined && asked !== question) return;
    setQuestion(undefined);
    const answer = await send(typed, form).catch((): Answer => ({ ok: false, message: STILL_TYPED }));
    if (answer.ok) {
      setKept(true);
      form.reset(form.getValues(), { keepValues: true });
      if (anew) router.refresh();
      return;
    }
    const told = answer.mistakes ?? [{ path: answer.path ?? '', message: answer.message }];
    told.forEach(({ path, message }, i) =>
      form.setError(
        (fieldAt(path, form.getValues()) as Path<Typed> | undefined) ?? 'root.server',
        { type: 'server', message },
        { shouldFocus: i === 0 },
      ),
    );
  });
  return {
    form,
    submit: (event: { preventDefault: () => void }): void => {
      event.preventDefault();
      void submit();
    },
    busy: form.formState.isSubmitting,
    /** What is asked before it is sent. */
    question,
    kept: kept && !form.formState.isDirty,
    /** What is wrong with none of its fields alone. */
    message: form.formState.errors.root?.server?.message,
  };
}

/** The field a mistake belongs to: what was refused may lie deeper than what can be typed. */
function fieldAt(path: string, values: unknown): string | undefined {
  const used: string[] = [];
  let at = values;
  for (const part of path.replace(/\[(\d+)\]/g, '.$1').split('.')) {
    if (typeof at !== 'object' || at === null || !(part in at)) break;
    used.push(part);
    at = (at as Record<string, unknown>)[part];
  }
  return used.length > 0 ? used.join('.') : undefined;
}
