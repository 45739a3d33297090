'use client';

import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { useAlive } from './alive';

interface Props {
  readonly children: ReactNode;
  readonly submit: (event: { preventDefault: () => void }) => void;
  readonly className?: string;
}

/** A form that checks itself; until the page has come alive nothing can be typed that would be lost. */
export const KeptForm = ({ children, submit, className }: Props) => (
  <Form noValidate onSubmit={submit}>
    <fieldset className={className} disabled={!useAlive()}>
      {children}
    </fieldset>
  </Form>
);
