'use client';

import { useSaid } from './figures';

/** Why something was not done, in its sentence, told at once to whoever listens; nothing where there is nothing to say. */
export function Trouble({
  says,
  id,
  as: As = 'p',
}: {
  readonly says: string | null | undefined;
  /** For the field that it describes. */
  readonly id?: string;
  readonly as?: 'p' | 'div' | 'span';
}) {
  const said = useSaid();
  return says ? (
    <As id={id} role="alert" className="trouble">
      {said(says)}
    </As>
  ) : null;
}
