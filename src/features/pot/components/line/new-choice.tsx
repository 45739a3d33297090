'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { SheetLine } from '../sheet/sheet-lines';
import type { LineActions } from './use-line-actions';
import * as texts from './texts';

/** Asks what a choice is about and what its two ways are called; the line then stands twice, once for each way. */
export function NewChoice({
  line,
  acts,
  close,
}: {
  readonly line: SheetLine;
  readonly acts: LineActions;
  readonly close: () => void;
}) {
  const [said, setSaid] = useState({ about: '', mine: '', other: '' });
  const [asked, setAsked] = useState(false);
  const field = (key: keyof typeof said, label: string, placeholder: string) => (
    <Form.Control
      size="sm"
      autoFocus={key === 'about'}
      aria-label={label}
      placeholder={placeholder}
      maxLength={120}
      isInvalid={asked && said[key].trim() === ''}
      value={said[key]}
      onChange={(event) => setSaid({ ...said, [key]: event.target.value })}
    />
  );
  return (
    <Form
      className="d-flex flex-wrap gap-2 align-items-start"
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        const { about, mine, other } = said;
        if ([about, mine, other].some((s) => s.trim() === '')) return;
        close();
        acts.otherWay(line.id, about.trim(), mine.trim(), other.trim());
      }}
    >
      {field('about', texts.whatAbout, texts.whatAboutSalt)}
      {field('mine', texts.lineWayCalled, texts.lineLate)}
      {field('other', texts.otherWayCalled, texts.otherWayEarly)}
      <Button type="submit" variant="plain" size="sm">
        {texts.addOtherWayBelow}
      </Button>
      <Button variant="link" size="sm" onClick={close}>
        {texts.notNow}
      </Button>
    </Form>
  );
}
