'use client';

import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { TroubleText } from './trouble-text';
import * as texts from './texts';

interface Props {
  readonly of: {
    readonly busy: boolean;
    readonly kept: boolean;
    readonly here: string | undefined;
    readonly message: string | undefined;
    readonly question: string | undefined;
  };
  /** What the button says; once something has been asked it says that it is meant. */
  readonly children?: ReactNode;
  readonly className?: string;
}

/** The foot of a form: the button that keeps it, and what became of that. */
export const SaveButton = ({ of, children = 'Save', className }: Props) => (
  <>
    <Button type="submit" className={className} disabled={of.busy}>
      {of.question === undefined ? children : texts.yesSave}
    </Button>
    {of.kept && (
      <span role="status" className="small-line cheaper ms-2">
        {texts.saved}
      </span>
    )}
    {of.here !== undefined && (
      <span role="status" className="small-line quiet ms-2">
        {of.here}
      </span>
    )}
    <TroubleText says={of.message ?? of.question} />
  </>
);
