'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { LONGEST_NOTE } from '@/core/written';
import type { SheetLine } from '../sheet/sheet-lines';
import type { LineActions } from './use-line-actions';
import * as texts from './texts';

/** A note on a step, for the cook: kept with Enter, taken away by emptying it. */
export function LineNote({
  line,
  index,
  acts,
  close,
}: {
  readonly line: SheetLine;
  readonly index: number;
  readonly acts: LineActions;
  readonly close: () => void;
}) {
  const [note, setNote] = useState(line.note ?? '');
  const long = note.trim().length > LONGEST_NOTE;
  const keep = (): void => {
    if (long) return;
    acts.note(line.id, note);
    close();
  };
  return (
    <Form
      className="d-flex gap-2 align-items-start"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <span className="flex-grow-1">
        <Form.Control
          size="sm"
          autoFocus
          aria-label={texts.noteStep(index + 1)}
          placeholder={texts.cookPrintedUnderStep}
          isInvalid={long}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onKeyDown={(event) => event.key === 'Escape' && close()}
        />
        {long && (
          <Form.Control.Feedback type="invalid">
            {texts.noteCharactersMost(note.trim().length, LONGEST_NOTE)}
          </Form.Control.Feedback>
        )}
      </span>
      <Button type="submit" variant="plain" size="sm">
        {texts.saveNote}
      </Button>
    </Form>
  );
}
