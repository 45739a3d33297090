'use client';

import Button from 'react-bootstrap/Button';
import { useSaid } from '../formatters-context';
import * as texts from './texts';

interface Props {
  readonly says: string | null | undefined;
  /** For the field that it describes. */
  readonly id?: string;
  readonly as?: 'p' | 'div' | 'span';
  /** Where somebody else was faster: the two ways on. */
  readonly both?: { readonly keepMine: () => void; readonly takeTheirs: () => void } | undefined;
}

/** Why something was not done, in its sentence, told at once to anyone who listens; nothing where there is nothing to say. */
export function TroubleText({ says, id, as: As = 'p', both }: Props) {
  const said = useSaid();
  return says ? (
    <As id={id} role="alert" className="trouble">
      {said(says)}
      {both && (
        <>
          {' '}
          <Button variant="plain" size="sm" onClick={both.keepMine}>
            {texts.keepMine}
          </Button>{' '}
          <Button variant="plain" size="sm" onClick={both.takeTheirs}>
            {texts.takeTheirs}
          </Button>
        </>
      )}
    </As>
  ) : null;
}
