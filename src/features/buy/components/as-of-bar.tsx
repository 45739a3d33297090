'use client';

import Form from 'react-bootstrap/Form';
import type { Order, PriceBookAsked, PriceBookData } from '../queries';
import { useFigures } from '@/ui/figures';

const ORDER_WORDS: Readonly<Record<Order, string>> = {
  name: 'by name',
  moved: 'what moved most',
  cost: 'dearest usable kilo',
};

/** The day the figures are for, the day movement is counted from, and the order of the rows. */
export function AsOfBar({ data, go }: { data: PriceBookData; go: (next: PriceBookAsked) => void }) {
  const past = data.day !== data.today || data.known === 'then';
  return (
    <div className="as-of">
      <label>
        Costs as of
        <Form.Control
          aria-label="Costs as of"
          type="date"
          value={data.day}
          max={data.today}
          onChange={(event) => event.target.value !== '' && go({ on: event.target.value, since: undefined })}
        />
      </label>
      <label>
        Moved since
        <Form.Control
          aria-label="Moved since"
          type="date"
          value={data.since}
          max={data.day}
          onChange={(event) => event.target.value !== '' && go({ since: event.target.value })}
        />
      </label>
      <label>
        Order
        <Form.Select
          aria-label="Order of the rows"
          value={data.order}
          onChange={(event) => go({ order: event.target.value as Order })}
        >
          {(Object.keys(ORDER_WORDS) as Order[]).map((key) => (
            <option key={key} value={key}>
              {ORDER_WORDS[key]}
            </option>
          ))}
        </Form.Select>
      </label>
      {past && <InThePast data={data} go={go} />}
    </div>
  );
}

/** Which past these figures are of, and the way back. */
function InThePast({
  data,
  go,
}: {
  readonly data: PriceBookData;
  readonly go: (next: PriceBookAsked) => void;
}) {
  const { day } = useFigures();
  return (
    <p className="warning" role="status">
      Prices and yields of {day(data.day)},{' '}
      {data.known === 'then' ? 'as they were known then' : 'as corrected since'}; recipes as they are today.{' '}
      <button
        type="button"
        className="plain-button"
        onClick={() => go({ known: data.known === 'then' ? 'since' : 'then' })}
      >
        {data.known === 'then' ? 'Count later corrections' : 'As known then'}
      </button>{' '}
      <button
        type="button"
        className="plain-button"
        onClick={() => go({ on: data.today, known: 'since', since: undefined })}
      >
        Back to today
      </button>
    </p>
  );
}
