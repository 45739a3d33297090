'use client';

import { useMemo, type RefObject } from 'react';
import Overlay from 'react-bootstrap/Overlay';
import { DayPicker } from 'react-day-picker';
import { useFormatters } from '../formatters-context';
import * as texts from './texts';

/** A day as the calendar counts them: noon of it, wherever the browser stands. */
const noon = (iso: string): Date => {
  const [y = 0, m = 1, d = 1] = iso.split('-').map(Number);
  return new Date(y, m - 1, d, 12);
};
const isoOf = (day: Date): string =>
  `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;

/** First day of a locale's week, 0 for Sunday. */
function weekBegins(locale: string): 0 | 1 | 6 {
  const known = new Intl.Locale(locale) as {
    getWeekInfo?: () => { firstDay: number };
    weekInfo?: { firstDay: number };
  };
  const first = (known.getWeekInfo?.() ?? known.weekInfo)?.firstDay ?? 1;
  return first === 7 ? 0 : first === 6 ? 6 : 1;
}

/** A month to choose a day from, in the words the kitchen writes days in. */
export function DayCalendar({
  at,
  open,
  close,
  value,
  max,
  min,
  choose,
}: {
  readonly at: RefObject<HTMLElement | null>;
  readonly open: boolean;
  readonly close: () => void;
  readonly value: string;
  readonly max: string | undefined;
  readonly min: string | undefined;
  readonly choose: (day: string) => void;
}) {
  const { locale, dayManner } = useFormatters();
  const words = useMemo(() => {
    const of = (how: Intl.DateTimeFormatOptions) => {
      const written = new Intl.DateTimeFormat(locale, how);
      return (day: Date): string => written.format(day);
    };
    return {
      month: of({ month: 'long', year: 'numeric' }),
      weekday: of({ weekday: 'short' }),
      whole: of({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }),
    };
  }, [locale]);
  const chosen = value === '' ? undefined : noon(value);
  return (
    <Overlay target={at.current} show={open} placement="bottom-start" rootClose onHide={close}>
      {({ ref, style }) => (
        <div
          ref={ref}
          style={{ ...style, zIndex: 20 }}
          className="day-picker"
          role="dialog"
          aria-label={texts.calendar}
        >
          <DayPicker
            mode="single"
            autoFocus
            selected={chosen}
            defaultMonth={chosen ?? noon(dayManner.today)}
            today={noon(dayManner.today)}
            weekStartsOn={weekBegins(locale)}
            disabled={[...(max ? [{ after: noon(max) }] : []), ...(min ? [{ before: noon(min) }] : [])]}
            formatters={{ formatCaption: words.month, formatWeekdayName: words.weekday }}
            labels={{ labelDayButton: words.whole, labelGrid: words.month }}
            onSelect={(day) => day && choose(isoOf(day))}
          />
        </div>
      )}
    </Overlay>
  );
}
