'use client';

import Button from 'react-bootstrap/Button';
import type { Conflict } from '../../merge';
import type { SheetLine } from '../sheet/sheet-lines';
import * as texts from './texts';

const said = (line: SheetLine | undefined): string =>
  line === undefined
    ? texts.takenOut
    : `“${line.text}”${line.off ? texts.switchedOff : ''}${line.note ? texts.noted(line.note) : ''}`;

/** A line that somebody else has changed while it was changed here: both stand, and one is chosen. */
export function LineConflict({
  touched: { id, mine, theirs, by = texts.somebodyElse },
  onSettle,
}: {
  readonly touched: Conflict;
  readonly onSettle: (id: string, line: SheetLine | undefined) => void;
}) {
  return (
    <div role="alert" className="trouble d-flex flex-wrap gap-2 align-items-baseline">
      <span>{texts.changedHereTheirsYours(by, said(theirs), said(mine))}</span>
      <Button variant="plain" size="sm" onClick={() => onSettle(id, mine)}>
        {texts.keepMine}
      </Button>
      <Button variant="plain" size="sm" onClick={() => onSettle(id, theirs)}>
        {texts.takeTheirs}
      </Button>
    </div>
  );
}
