'use client';

import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { useHydrated } from './use-hydrated';
import { EditConflictProvider, EditConflictNotice, type EditConflict } from './edit-conflict';

interface Props {
  readonly children: ReactNode;
  /** How it is kept, and where somebody else was faster. */
  readonly of: {
    readonly submit: (event: { preventDefault: () => void }) => void;
    readonly both?: EditConflict | undefined;
  };
  readonly className?: string;
}

/** A form that checks itself; until the page has come alive nothing can be typed that would be lost. */
export const SaveForm = ({ children, of: { submit, both }, className }: Props) => (
  <Form noValidate onSubmit={submit}>
    <EditConflictProvider value={both}>
      <fieldset className={className} disabled={!useHydrated()}>
        {children}
        <EditConflictNotice both={both} />
      </fieldset>
    </EditConflictProvider>
  </Form>
);
