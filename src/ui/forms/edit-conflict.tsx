'use client';

import { createContext, useContext } from 'react';
import Alert from 'react-bootstrap/Alert';
import Button from 'react-bootstrap/Button';
import { get, useWatch, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import * as texts from './texts';

/** A form that somebody else has kept meanwhile: what they say, and the two ways on. */
export interface EditConflict {
  readonly message: string;
  /** Theirs, in the fields of this form; undefined where there is nothing to show. */
  readonly theirs: Readonly<Record<string, unknown>> | undefined;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

const Context = createContext<EditConflict | undefined>(undefined);
export const EditConflictProvider = Context.Provider;

/** What somebody else has put into a field meanwhile, beside what is typed in it. */
export function TheirValue<T extends FieldValues>({
  form,
  name,
  say = (value) => (value === '' || value === undefined || value === null ? 'nothing' : String(value)),
}: {
  readonly form: UseFormReturn<T>;
  readonly name: Path<T>;
  /** In the words of the field. */
  readonly say?: (theirs: unknown) => string;
}) {
  const theirs = useContext(Context)?.theirs;
  const mine: unknown = useWatch({ control: form.control, name });
  if (!theirs) return null;
  const value: unknown = get(theirs, name);
  return value === undefined || value === mine ? null : (
    <span className="small-line trouble d-block">{texts.theirs(say(value))}</span>
  );
}

/** What has happened, and the two ways on. */
export function EditConflictNotice({ both }: { readonly both: EditConflict | undefined }) {
  if (!both) return null;
  return (
    <Alert variant="warning" className="mt-2 mb-0">
      <p className="mb-2">{both.message}</p>
      <div className="d-flex gap-2">
        <Button variant="outline-primary" size="sm" onClick={both.keepMine}>
          {texts.keepMine}
        </Button>
        <Button variant="outline-primary" size="sm" onClick={both.takeTheirs}>
          {texts.takeTheirs}
        </Button>
      </div>
    </Alert>
  );
}
