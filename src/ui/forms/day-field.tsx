'use client';

import { CalendarDays } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRef, useState, type Ref } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import InputGroup from 'react-bootstrap/InputGroup';
import { readDay } from '@/core/day';
import { useFormatters } from '../formatters-context';
import * as texts from './texts';

/** The calendar comes when it is first opened. */
const DayCalendar = dynamic(() => import('./day-calendar').then((m) => m.DayCalendar), { ssr: false });

interface Props {
  readonly label: string;
  /** The day, `YYYY-MM-DD`, or empty. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  /** Last and first day that may be chosen. */
  readonly max?: string | undefined;
  readonly min?: string | undefined;
  readonly invalid?: boolean | undefined;
  readonly describedBy?: string | undefined;
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
  /** A form says itself what is wrong with a day: one outside is handed on, and what is none as no day. */
  readonly free?: boolean | undefined;
  /** Words before the field, in its own box. */
  readonly lead?: string | undefined;
}

/** What is typed in place of a day, and what day that is. */
function useTypedDay({
  value,
  onChange,
  max,
  min,
  free,
}: Pick<Props, 'value' | 'onChange' | 'max' | 'min' | 'free'>) {
  const { day, dayManner } = useFormatters();
  const shown = value === '' ? '' : day(value);
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? value : readDay(typed, dayManner);
  const outside = read && ((max && read > max) || (min && read < min)) ? read : undefined;
  const done = (): void => {
    if (typed === undefined) return;
    if (typed.trim() === '' || typed.trim() === shown) return setTyped(undefined);
    if (read === undefined || outside !== undefined) return free ? onChange(read ?? '') : undefined;
    setTyped(undefined);
    if (read !== value) onChange(read);
  };
  return {
    text: typed ?? shown,
    type: setTyped,
    forget: () => setTyped(undefined),
    /** Something is typed that is no day. */
    none: typed !== undefined && typed.trim() !== '' && read === undefined,
    outside,
    sample: day(dayManner.today),
    done,
  };
}

/** Whether the calendar is open, and whether it ever was: it is fetched then. */
function useCalendar() {
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState(false);
  const toggle = (): void => {
    setWanted(true);
    setOpen(!open);
  };
  return { open, wanted, toggle, close: () => setOpen(false) };
}

const Opens = ({
  label,
  open,
  toggle,
}: {
  readonly label: string;
  readonly open: boolean;
  readonly toggle: () => void;
}) => (
  <Button variant="plain" aria-label={texts.calendarLabel(label)} aria-expanded={open} onClick={toggle}>
    <CalendarDays size={17} aria-hidden="true" />
  </Button>
);

/** Why what is typed is no day that can be chosen. */
function Notes({
  outside,
  none,
  sample,
  max,
  min,
}: Pick<Props, 'max' | 'min'> & {
  readonly outside: string | undefined;
  readonly none: boolean;
  readonly sample: string;
}) {
  const { day } = useFormatters();
  if (none) return <span className="small-line quiet">{texts.writeDaySuch(sample)}</span>;
  if (outside === undefined) return null;
  return (
    <span role="alert" className="trouble">
      {max && outside > max ? texts.lastDay(day(max)) : texts.firstDay(day(min ?? ''))}
    </span>
  );
}

/** A day in the words of the kitchen's locale: typed as one writes it, or chosen from a calendar that agrees with them. */
export function DayField({
  label,
  value,
  onChange,
  max,
  min,
  invalid,
  describedBy,
  inputRef,
  lead,
  free,
}: Props) {
  const typing = useTypedDay({ value, onChange, max, min, free });
  const { text, type, forget, none, outside, sample, done } = typing;
  const calendar = useCalendar();
  const frame = useRef<HTMLDivElement>(null);
  return (
    <div ref={frame} className="day-field">
      <InputGroup className="flex-nowrap">
        {lead && <InputGroup.Text>{lead}</InputGroup.Text>}
        <Form.Control
          ref={inputRef}
          aria-label={label}
          autoComplete="off"
          value={text}
          isInvalid={invalid || none || outside !== undefined}
          aria-describedby={describedBy}
          onChange={(event) => type(event.target.value)}
          onBlur={done}
          onKeyDown={(event) => {
            if (event.key === 'Enter') done();
            if (event.key === 'Escape') forget();
          }}
        />
        <Opens label={label} open={calendar.open} toggle={calendar.toggle} />
      </InputGroup>
      <Notes {...{ outside: free ? undefined : outside, none, sample, max, min }} />
      {calendar.wanted && (
        <DayCalendar
          at={frame}
          open={calendar.open}
          close={calendar.close}
          value={value}
          max={max}
          min={min}
          choose={(chosen) => {
            calendar.close();
            forget();
            onChange(chosen);
          }}
        />
      )}
    </div>
  );
}
