'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import equal from 'fast-deep-equal/es6/index.js';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Path,
  type UseFormReturn,
} from 'react-hook-form';
import type { ZodType } from 'zod';
import { STILL_TYPED, canWait, type Mistake } from '@/wire';
import type { EditConflict } from './edit-conflict';
import { useUnsavedChanges } from '../frame/unsaved-changes';

/** What is answered to a form that was sent. */
type Answer =
  | { readonly ok: true; readonly version?: number | null }
  | {
      readonly ok: false;
      readonly code?: string;
      readonly message: string;
      readonly path?: string;
      readonly mistakes?: readonly Mistake[] | undefined;
      readonly theirs?: unknown;
      readonly version?: number | undefined;
    };

interface How {
  /** False where the page is not to be read again: typed lines on it are not kept yet. */
  readonly refresh?: boolean;
  /** The version of the thing whose fields these are, where it has one. */
  readonly version?: number | undefined;
}

/**
 * A form that is kept through an action, checked before it is sent by the schema the server checks it with. A mistake stands beside
 * its field and the first one has the focus; what is typed stays until it is kept. Where somebody else was faster theirs is shown
 * field by field, and one of the two is kept.
 * @param schema of what is typed
 * @param defaults what stands there at first
 * @param asks a question about what is far from what it was: sent again, it is meant
 * @param send sends it, with the version it was written over; what it empties of the form is empty afterwards
 */
export function useSaveForm<Typed extends FieldValues>(
  schema: ZodType<Typed, Typed>,
  defaults: DefaultValues<Typed>,
  send: (typed: Typed, form: UseFormReturn<Typed>, seen: number | undefined) => Promise<Answer>,
  asks?: (typed: Typed) => string | undefined,
  { refresh = true, version }: How = {},
) {
  const router = useRouter();
  const [kept, setKept] = useState(false);
  const [here, setHere] = useState<string>();
  const form = useForm<Typed>({ resolver: zodResolver(schema), defaultValues: defaults });
  const [question, setQuestion] = useState<string>();
  const seen = useSeen(version);
  const sides = useSides(form, seen);
  const { isDirty, isSubmitting } = form.formState;
  useUnsavedChanges(isDirty);
  const keep = async (typed: Typed): Promise<void> => {
    const answer = await send(typed, form, seen.now()).catch((): Answer => ({
      ok: false,
      message: STILL_TYPED,
    }));
    const isHere = canWait(answer);
    setHere(isHere && !answer.ok ? answer.message : undefined);
    if (answer.ok || isHere) {
      sides.settled();
      seen.is(answer.ok ? (answer.version ?? undefined) : undefined);
      setKept(answer.ok);
      form.reset(form.getValues(), { keepValues: true });
      if (refresh && answer.ok) router.refresh();
      return;
    }
    const other = sides.look(answer);
    if (other === 'nothing to choose') return keep(typed);
    if (other === undefined) tellMistakes(form, answer);
  };
  const asked = async (typed: Typed): Promise<void> => {
    setKept(false);
    const next = asks?.(typed);
    setQuestion(next === question ? undefined : next);
    if (next === undefined || next === question) await keep(typed);
  };
  return {
    form,
    submit: (event: { preventDefault: () => void }): void => {
      event.preventDefault();
      void form.handleSubmit(asked)();
    },
    busy: isSubmitting,
    /** What is asked before it is sent. */
    question,
    kept: kept && !isDirty,
    /** Kept in this browser for now, in a sentence. */
    here: isDirty ? undefined : here,
    /** Where somebody else was faster. */
    both: sides.both(() => void form.handleSubmit(keep)()),
    /** What is wrong with none of its fields alone. */
    message: form.formState.errors.root?.server?.message,
  };
}

/** Puts every mistake beside its field, and the focus into the first. */
function tellMistakes<Typed extends FieldValues>(
  form: UseFormReturn<Typed>,
  answer: Extract<Answer, { readonly ok: false }>,
): void {
  const told = answer.mistakes ?? [{ path: answer.path ?? '', message: answer.message }];
  told.forEach(({ path, message }, i) =>
    form.setError(
      (fieldAt(path, form.getValues()) as Path<Typed> | undefined) ?? 'root.server',
      { type: 'server', message },
      { shouldFocus: i === 0 },
    ),
  );
}

/** What somebody else has kept meanwhile, and the two ways on. */
function useSides<Typed extends FieldValues>(form: UseFormReturn<Typed>, seen: ReturnType<typeof useSeen>) {
  const router = useRouter();
  const [stale, setStale] = useState<Stale<Typed>>();
  return {
    settled: (): void => setStale(undefined),
    /** @returns undefined where nobody was faster; whether there is anything to choose where somebody was */
    look(answer: Extract<Answer, { readonly ok: false }>): 'nothing to choose' | 'both' | undefined {
      setStale(undefined);
      if (answer.code !== 'stale' || answer.version === undefined) return undefined;
      const theirs = answer.theirs as Typed | null | undefined;
      // What they have changed is nothing that stands here.
      if (theirs && equal(theirs, form.formState.defaultValues)) {
        seen.is(answer.version);
        return 'nothing to choose';
      }
      setStale({ message: answer.message, theirs: theirs ?? undefined, version: answer.version });
      return 'both';
    },
    both: (again: () => void): EditConflict | undefined =>
      stale && {
        message: stale.message,
        theirs: stale.theirs,
        keepMine: () => {
          seen.is(stale.version);
          again();
        },
        takeTheirs: () => {
          seen.is(stale.version);
          if (stale.theirs) form.reset(stale.theirs);
          setStale(undefined);
          router.refresh();
        },
      },
  };
}

interface Stale<Typed> {
  readonly message: string;
  readonly theirs: Typed | undefined;
  readonly version: number;
}

/** The version that what is typed is written over: what the page was read at, or what has been kept or looked at since. */
function useSeen(version: number | undefined) {
  const last = useRef(version);
  useEffect(() => {
    if (version !== undefined) last.current = Math.max(last.current ?? 0, version);
  }, [version]);
  return {
    now: (): number | undefined => last.current,
    is: (next: number | undefined): void => {
      last.current = next ?? last.current;
    },
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
