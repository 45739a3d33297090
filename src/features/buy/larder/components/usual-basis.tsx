'use client';

import { Panel } from '@/ui/panels/panel';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveUsualBasis } from '../wire';
import type { LarderPage } from '../queries';
import * as texts from './texts';

const WORDS = {
  latest: texts.latestPrice,
  average: texts.averageSomeDaysWeight,
  stock: texts.whatStockHandBought,
} as const;
type By = keyof typeof WORDS;

/** Which price counts for every ingredient that does not say otherwise. */
export function UsualBasis({ page }: { page: Pick<LarderPage, 'basis' | 'maySet' | 'kitchenVersion'> }) {
  const [keep, state] = useSave();
  const { basis } = page;
  const [by, setBy] = useState<By>(basis.by === 'fixed' ? 'latest' : basis.by);
  const days = basis.by === 'average' ? String(basis.days) : '28';
  const send = (next: By, typed: string): void =>
    void keep((seen) => saveUsualBasis({ by: next, days: typed, seen: seen ?? page.kitchenVersion }));
  return (
    <Panel as="section" aria-labelledby="usual-basis">
      <h2 id="usual-basis">{texts.whichPriceUsuallyCounts}</h2>
      <Form.Select
        aria-label={texts.whichPriceUsuallyCounts}
        value={by}
        disabled={!page.maySet}
        onChange={(event) => {
          setBy(event.target.value as By);
          send(event.target.value as By, days);
        }}
      >
        {(Object.keys(WORDS) as By[]).map((key) => (
          <option key={key} value={key}>
            {WORDS[key]}
          </option>
        ))}
      </Form.Select>
      {by === 'average' && (
        <p className="mt-2 mb-0">
          {texts.over}{' '}
          <TypedField
            narrow
            label={texts.daysUsualAverage}
            value={days}
            trouble={state.message}
            describedBy="usual-trouble"
            disabled={!page.maySet}
            onTyped={() => undefined}
            onDone={(typed) => send(by, typed)}
          />{' '}
          {texts.days}
        </p>
      )}
      <TroubleText id="usual-trouble" says={state.message} both={state.both} />
      <p className="quiet small-line">{texts.ingredientMayBasisOwn}</p>
    </Panel>
  );
}
