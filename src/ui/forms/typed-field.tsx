'use client';

import Button from 'react-bootstrap/Button';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { useUnsavedChanges } from '../frame/unsaved-changes';
import { useEarlyInput } from './use-early-input';
import * as texts from './texts';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly trouble?: string | undefined;
  readonly disabled?: boolean;
  readonly narrow?: boolean;
  /** What counts where the field is left empty. */
  readonly placeholder?: string;
  /** At every keystroke: the consequence is shown while it is typed. */
  readonly onTyped: (text: string) => void;
  /** On Enter or when leaving the field, if it says something else than before. */
  readonly onDone: (text: string) => void;
  readonly unit?: ReactNode;
  readonly describedBy?: string;
  /** A question about something typed that is far from what it was: it is kept only when that is said to be meant. */
  readonly asks?: ((text: string) => string | undefined) | undefined;
  /** What the text comes to, where it does not say so itself: shown beside it while it is typed. */
  readonly understood?: ((text: string) => string | undefined) | undefined;
}

/** A field that keeps what was typed: Enter or leaving it keeps the change, Escape takes it back. */
export function TypedField({
  label,
  value,
  trouble,
  disabled,
  narrow,
  placeholder,
  onTyped,
  onDone,
  unit,
  describedBy,
  understood,
  asks,
}: Props) {
  const { text, type, takeBack, done, question, meant, sent } = useTyped(value, onTyped, onDone, asks);
  // What is wrong or asked about has gone nowhere; what has been sent is its sender's to tell of.
  useUnsavedChanges(text.trim() !== value.trim() && (!sent || trouble !== undefined));
  const id = useId();
  const field = useEarlyInput(text, type);
  return (
    <>
      <input
        ref={field}
        id={id}
        className={`typed${narrow ? ' typed-narrow' : ''}`}
        aria-label={label}
        aria-invalid={trouble ? true : undefined}
        aria-describedby={trouble ? describedBy : undefined}
        autoComplete="off"
        placeholder={placeholder}
        inputMode="text"
        disabled={disabled}
        value={text}
        onChange={(event) => type(event.target.value)}
        onBlur={() => done(false)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') done(true);
          if (event.key === 'Escape') takeBack();
        }}
      />
      {unit !== undefined && <span className="small-line quiet ms-1">{unit}</span>}
      {question !== undefined && (
        <span className="typed-asks" role="alert">
          {question}{' '}
          <Button variant="plain" size="sm" onClick={meant}>
            {texts.save}
          </Button>{' '}
          <Button variant="plain" size="sm" onClick={takeBack}>
            {texts.putBack(value)}
          </Button>
        </span>
      )}
      {understood && text.trim() !== value.trim() && (
        <span className="typed-understood small-line quiet ms-1" role="status">
          {understood(text)}
        </span>
      )}
    </>
  );
}

/** What stands in the field, against what was kept last. */
function useTyped(value: string, onTyped: Props['onTyped'], onDone: Props['onDone'], asks: Props['asks']) {
  const [question, setQuestion] = useState<string>();
  const [text, setText] = useState(value);
  const settled = useRef(value);
  const sent = useRef<string | null>(null);
  const [isSent, setIsSent] = useState(false);
  useEffect(() => {
    // A new value from outside replaces the text, but never under the fingers of somebody typing.
    if (settled.current !== value) {
      settled.current = value;
      sent.current = null;
      setText(value);
    }
  }, [value]);
  // Leaving the field sends what Enter has not sent already; Enter may send the same again.
  const done = (again: boolean): void => {
    if (text.trim() === settled.current.trim() || (!again && text === sent.current)) return;
    const asked = asks?.(text);
    setQuestion(asked);
    if (asked !== undefined) return;
    keep();
  };
  const keep = (): void => {
    setQuestion(undefined);
    setIsSent(true);
    sent.current = text;
    onDone(text);
  };
  const type = (next: string): void => {
    setQuestion(undefined);
    setIsSent(false);
    setText(next);
    onTyped(next);
  };
  return { text, type, takeBack: () => type(settled.current), done, question, meant: keep, sent: isSent };
}
