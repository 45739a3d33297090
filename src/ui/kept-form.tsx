'use client';

import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { useAlive } from './alive';
import { BothProvider, BothSides, type Both } from './both-sides';

interface Props {
  readonly children: ReactNode;
  /** How it is kept, and where somebody else was faster. */
  readonly of: {
    readonly submit: (event: { preventDefault: () => void }) => void;
    readonly both?: Both | undefined;
  };
  readonly className?: string;
}

/** A form that checks itself; until the page has come alive nothing can be typed that would be lost. */
export const KeptForm = ({ children, of: { submit, both }, className }: Props) => (
  <Form noValidate onSubmit={submit}>
    <BothProvider value={both}>
      <fieldset className={className} disabled={!useAlive()}>
        {children}
        <BothSides both={both} />
      </fieldset>
    </BothProvider>
  </Form>
);
