'use client';

import { useId, useState, type KeyboardEvent } from 'react';
import { useFormatters } from '@/ui/formatters-context';
import { useEarlyInput } from '@/ui/forms/use-early-input';
import type { LineSuggestion } from './use-suggestions';
import * as texts from './texts';

interface Props {
  readonly id: string;
  readonly name: string;
  readonly lineId?: string | undefined;
  readonly value: string;
  readonly placeholder?: string | undefined;
  readonly readOnly?: boolean | undefined;
  readonly invalid?: boolean | undefined;
  /** Whether nothing is typed in it that is not kept: the key of undo then means the kitchen's last edit. */
  readonly settled: boolean;
  readonly describedBy?: string | undefined;
  readonly className?: string | undefined;
  /** Lines that this one may be on the way to, while it is typed; empty where nothing is offered. */
  readonly offers: readonly LineSuggestion[];
  readonly onFocus?: (() => void) | undefined;
  readonly onBlur?: (() => void) | undefined;
  readonly onTyped: (text: string) => void;
  /** Takes an offered line. */
  readonly onTake: (text: string) => void;
  readonly onLines: (text: string) => void;
  /** What else a key does; told before anything is done with it, true where it was done. */
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => boolean;
  readonly onEnter: () => void;
  readonly onEscape: () => void;
}

/** What is offered at the foot of the screen is brought into sight, once. */
const inSight = (list: HTMLElement | null): void => list?.scrollIntoView({ block: 'nearest' });

/** What is marked among the offered lines, and what the keys and a press make of it. */
function useMarked(props: Props) {
  const { offers } = props;
  const [at, setAt] = useState(-1);
  const [closed, setClosed] = useState(false);
  const open = !closed && offers.length > 0;
  const marked = open ? Math.min(at, offers.length - 1) : -1;
  const take = (i: number): void => {
    const line = offers[i];
    if (!line) return;
    setAt(-1);
    setClosed(true);
    props.onTake(line.text);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (open && !event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
      event.preventDefault();
      const next = marked + (event.key === 'ArrowDown' ? 1 : -1);
      return setAt(next < -1 ? offers.length - 1 : next >= offers.length ? -1 : next);
    }
    if (props.onKey(event)) return event.preventDefault();
    if (event.key === 'Enter') {
      event.preventDefault();
      if (marked >= 0) return take(marked);
      setClosed(true);
      props.onEnter();
    }
    if (event.key === 'Escape') {
      if (open) setClosed(true);
      else props.onEscape();
    }
  };
  const close = (is: boolean): void => {
    setClosed(is);
    setAt(-1);
  };
  return { open, marked, take, onKeyDown, close };
}

/**
 * A line as it is said, with what it may be on the way to under it and what each of those would make of the pot. Nothing is taken that
 * nobody points at: Enter means what stands there. One list serves whichever of many lines is in hand, which is why it is no chooser of its own.
 */
export function LineInput(props: Props) {
  const { id, name, lineId, value, invalid, describedBy, className = '' } = props;
  const list = useId();
  const { open, marked, take, onKeyDown, close } = useMarked(props);
  const field = useEarlyInput(value, props.onTyped);
  return (
    <span className="said dropdown flex-grow-1">
      <input
        ref={field}
        id={id}
        data-line={lineId}
        data-undo={props.settled ? 'kitchen' : undefined}
        className={`step-input ${className}`}
        role="combobox"
        aria-label={name}
        aria-invalid={invalid ? true : undefined}
        aria-describedby={describedBy}
        aria-autocomplete="list"
        aria-expanded={open}
        aria-controls={open ? list : undefined}
        aria-activedescendant={marked >= 0 ? `${list}-${marked}` : undefined}
        autoComplete="off"
        spellCheck={false}
        placeholder={props.placeholder}
        readOnly={props.readOnly}
        value={value}
        onFocus={props.onFocus}
        onBlur={() => {
          close(true);
          props.onBlur?.();
        }}
        onChange={(event) => {
          close(false);
          props.onTyped(event.target.value);
        }}
        onPaste={(event) => {
          const text = event.clipboardData.getData('text');
          if (!/[\r\n]/.test(text.trim())) return;
          event.preventDefault();
          close(true);
          props.onLines(text);
        }}
        onKeyDown={onKeyDown}
      />
      {value !== '' && (
        <span className="said-whole" aria-hidden="true">
          {value}
        </span>
      )}
      {open && <Offers list={list} offers={props.offers} marked={marked} take={take} />}
    </span>
  );
}

/** The lines that are offered, with what each comes to. */
function Offers({
  list,
  offers,
  marked,
  take,
}: {
  readonly list: string;
  readonly offers: readonly LineSuggestion[];
  readonly marked: number;
  readonly take: (i: number) => void;
}) {
  return (
    <ul
      ref={inSight}
      id={list}
      role="listbox"
      aria-label={texts.linesMay}
      className="dropdown-menu show offers"
    >
      {offers.map((offer, i) => (
        <li
          key={offer.text}
          id={`${list}-${i}`}
          role="option"
          aria-selected={i === marked}
          className={`dropdown-item d-flex gap-3 justify-content-between ${i === marked ? 'active' : ''}`}
          // The field keeps the focus: what is pointed at is taken by the press, not by leaving.
          onMouseDown={(event) => {
            event.preventDefault();
            take(i);
          }}
        >
          <span>{offer.text}</span>
          <Comes of={offer} />
        </li>
      ))}
    </ul>
  );
}

/** What an offered line would make of the pot: litres in the end and what one costs; nothing while that is not known. */
function Comes({ of }: { readonly of: LineSuggestion }) {
  const { litres, money } = useFormatters();
  if (of.cannot !== undefined) return <span className="quiet small-line">{of.cannot}</span>;
  if (of.ml === undefined) return null;
  return (
    <span className="fig quiet">
      {litres(of.ml)}
      {of.perL !== undefined && texts.perLitre(money(of.perL))}
    </span>
  );
}
