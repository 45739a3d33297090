'use client';

import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import InputGroup from 'react-bootstrap/InputGroup';
import type { PriceBookOrder, PriceBookAsked, PriceBookData } from '../queries';
import { DayField } from '@/ui/forms/day-field';
import { useFormatters } from '@/ui/formatters-context';
import * as texts from './texts';

const ORDER_WORDS: Readonly<Record<PriceBookOrder, string>> = {
  name: texts.name,
  moved: texts.biggestChangeFirst,
  cost: texts.dearestUsableKilo,
};

/** The day the figures are for, the day movement is counted from, and the order of the rows. */
export function AsOfBar({
  data,
  go,
  children,
}: {
  readonly data: PriceBookData;
  readonly go: (next: PriceBookAsked) => void;
  readonly children: ReactNode;
}) {
  const past = data.day !== data.today || data.known === 'then';
  return (
    <Stack direction="horizontal" gap={3} className="flex-wrap mt-2">
      <DayField
        label={texts.costs}
        lead={texts.costs}
        value={data.day}
        max={data.today}
        onChange={(on) => go({ on, since: undefined })}
      />
      <DayField
        label={texts.changedSince}
        lead={texts.movedSince}
        value={data.since}
        max={data.day}
        onChange={(since) => go({ since })}
      />
      <InputGroup className="w-auto flex-nowrap">
        <InputGroup.Text>{texts.order}</InputGroup.Text>
        <Form.Select
          aria-label={texts.orderRows}
          value={data.order}
          onChange={(event) => go({ order: event.target.value as PriceBookOrder })}
        >
          {(Object.keys(ORDER_WORDS) as PriceBookOrder[]).map((key) => (
            <option key={key} value={key}>
              {ORDER_WORDS[key]}
            </option>
          ))}
        </Form.Select>
      </InputGroup>
      {children}
      {past && <InThePast data={data} go={go} />}
    </Stack>
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
  const { day } = useFormatters();
  return (
    <p className="warning w-100 m-0" role="status">
      {texts.pricesYieldsThenThey(day(data.day), data.known)}{' '}
      <Button
        variant="plain"
        size="sm"
        onClick={() => go({ known: data.known === 'then' ? 'since' : 'then' })}
      >
        {data.known === 'then' ? texts.countLaterCorrections : texts.knownThen}
      </Button>{' '}
      <Button
        variant="plain"
        size="sm"
        onClick={() => go({ on: data.today, known: 'since', since: undefined })}
      >
        {texts.backToday}
      </Button>
    </p>
  );
}
