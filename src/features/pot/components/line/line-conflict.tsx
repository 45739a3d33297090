'use client';

import Button from 'react-bootstrap/Button';
import type { Conflict } from '../../merge';
import type { SheetLine } from '../sheet/sheet-lines';

const said = (line: SheetLine | undefined): string =>
  line === undefined
    ? 'taken out'
    : `“${line.text}”${line.off ? ', switched off' : ''}${line.note ? `, noted “${line.note}”` : ''}`;

/** A line that somebody else has changed while it was changed here: both stand, and one is chosen. */
export function LineConflict({
  touched: { id, mine, theirs, by = 'somebody else' },
  onSettle,
}: {
  readonly touched: Conflict;
  readonly onSettle: (id: string, line: SheetLine | undefined) => void;
}) {
  return (
    <div role="alert" className="trouble d-flex flex-wrap gap-2 align-items-baseline">
      <span>
        Changed here and by {by}. Theirs: {said(theirs)}. Yours: {said(mine)}.
      </span>
      <Button variant="plain" size="sm" onClick={() => onSettle(id, mine)}>
        Keep mine
      </Button>
      <Button variant="plain" size="sm" onClick={() => onSettle(id, theirs)}>
        Take theirs
      </Button>
    </div>
  );
}
