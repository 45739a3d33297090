'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { outlierQuestion, readPrice } from '@/core/larder';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { saveBasis, saveCount, saveSetting } from '../wire';
import type { IngredientPage } from '../queries';
import { useWeighed } from './use-weighed';
import { useFormatters } from '@/ui/formatters-context';
import * as texts from './texts';

const WORDS = {
  kitchen: texts.kitchensUsualSeeBelow,
  latest: texts.latestPrice,
  average: texts.averageSomeDaysWeight,
  stock: texts.whatStockHandBought,
  fixed: texts.priceAgreed,
} as const;
type By = keyof typeof WORDS;

/** Which price counts, what is on hand for it to stand on, and what becomes of an opened pack. */
export function WhichPrice({ page }: { page: IngredientPage }) {
  const [keep, state] = useSave();
  const [by, setBy] = useState<By>(page.ownBasis ? page.basis.by : 'kitchen');
  // What stands there before anybody types; a field compares itself with it.
  const first = {
    days: page.basis.by === 'average' ? String(page.basis.days) : '28',
    price: page.basis.by === 'fixed' ? page.basis.price : '',
    per: page.basis.by === 'fixed' ? page.basis.per : '1 kg',
  };
  const [days, setDays] = useState(first.days);
  const [price, setPrice] = useState(first.price);
  const [per, setPer] = useState(first.per);
  const send = (next: Partial<{ by: By; days: string; price: string; per: string }>): void => {
    const wanted = { by, days, price, per, ...next };
    if (wanted.by === 'fixed' && wanted.price.trim() === '') return;
    void keep((seen) => saveBasis({ id: page.id, seen: seen ?? page.version, ...wanted }));
  };
  return (
    <section>
      <h2>{texts.priceBasis}</h2>
      <Basis
        page={page}
        by={by}
        onChoose={(next) => {
          setBy(next);
          send({ by: next });
        }}
      />
      {by === 'average' && (
        <p className="mt-2 mb-0">
          {texts.over}{' '}
          <TypedField
            narrow
            label={texts.daysAverage}
            value={first.days}
            trouble={state.message}
            describedBy="basis-trouble"
            disabled={!page.mayEdit}
            onTyped={setDays}
            onDone={(typed) => send({ days: typed })}
          />{' '}
          {texts.days}
        </p>
      )}
      {by === 'fixed' && (
        <FixedPrice
          page={page}
          first={first}
          trouble={state.message}
          setPrice={setPrice}
          setPer={setPer}
          send={send}
        />
      )}
      <TroubleText id="basis-trouble" says={state.message} both={state.both} />
      <Count page={page} />
      <OpenedPack page={page} />
    </section>
  );
}

function Count({ page }: { page: IngredientPage }) {
  const { day } = useFormatters();
  const [keep, state] = useSave();
  const weighed = useWeighed(page);
  return (
    <>
      <p className="mt-2 mb-0">
        {texts.hand}{' '}
        <TypedField
          label={texts.countedHand}
          understood={weighed.words}
          asks={(text) => {
            const before = weighed.gramsIn(page.lastCount?.amount ?? '');
            // Nothing left is what is counted most often.
            return weighed.gramsIn(text) === 0 ? undefined : weighed.asks(text, before);
          }}
          value={page.lastCount?.amount ?? ''}
          trouble={state.message}
          describedBy="count-trouble"
          disabled={!page.mayEdit}
          onTyped={() => undefined}
          onDone={(typed) =>
            void keep((seen) => saveCount({ id: page.id, seen: seen ?? page.version, typed }))
          }
        />{' '}
        <span className="quiet small-line">
          {page.lastCount ? texts.counted(day(page.lastCount.on)) : texts.notCountedYet}
        </span>
      </p>
      <TroubleText id="count-trouble" says={state.message} both={state.both} />
    </>
  );
}

function OpenedPack({ page }: { page: IngredientPage }) {
  const [keep, state] = useSave();
  const [chosen, choose] = useState(page.partPack);
  const set = (partPack: typeof chosen): void => {
    choose(partPack);
    void keep((seen) => saveSetting({ id: page.id, seen: seen ?? page.version, partPack })).then((ok) => {
      if (!ok) choose(page.partPack);
    });
  };
  return (
    <fieldset className="mt-3" disabled={!page.mayEdit}>
      <legend className="fig-label">{texts.openedPackCharged}</legend>
      {(['part', 'whole'] as const).map((partPack) => (
        <Form.Check
          key={partPack}
          type="radio"
          id={`part-pack-${partPack}`}
          name="part-pack"
          checked={chosen === partPack}
          onChange={() => set(partPack)}
          label={partPack === 'part' ? texts.partUsedRestBack : texts.wholeRestLost}
        />
      ))}
      <TroubleText says={state.message} both={state.both} />
    </fieldset>
  );
}

function Basis({
  page,
  by,
  onChoose,
}: {
  readonly page: IngredientPage;
  readonly by: By;
  readonly onChoose: (by: By) => void;
}) {
  return (
    <Form.Select
      aria-label={texts.priceBasis}
      value={by}
      disabled={!page.mayEdit}
      onChange={(event) => onChoose(event.target.value as By)}
    >
      {(Object.keys(WORDS) as By[]).map((key) => (
        <option key={key} value={key}>
          {key === 'kitchen' && !page.ownBasis ? texts.kitchensUsual(WORDS[page.basis.by]) : WORDS[key]}
        </option>
      ))}
    </Form.Select>
  );
}

/** A price agreed on, and what it is for. */
function FixedPrice({
  page,
  first,
  trouble,
  setPrice,
  setPer,
  send,
}: {
  readonly page: IngredientPage;
  readonly first: { readonly price: string; readonly per: string };
  readonly trouble: string | undefined;
  readonly setPrice: (typed: string) => void;
  readonly setPer: (typed: string) => void;
  readonly send: (next: { price?: string; per?: string }) => void;
}) {
  const { money } = useFormatters();
  return (
    <p className="mt-2 mb-0">
      <TypedField
        narrow
        label={texts.fixedPrice}
        asks={(text) => {
          const read = readPrice(text, page.mark);
          const before = first.price === '' ? undefined : Number(first.price);
          return read.ok
            ? outlierQuestion({ what: 'price', before, after: read.value.toNumber(), words: money })
            : undefined;
        }}
        value={first.price}
        trouble={trouble}
        describedBy="basis-trouble"
        disabled={!page.mayEdit}
        onTyped={setPrice}
        onDone={(typed) => send({ price: typed })}
      />{' '}
      {texts.forText}{' '}
      <TypedField
        narrow
        label={texts.whatFixedPrice}
        value={first.per}
        disabled={!page.mayEdit}
        onTyped={setPer}
        onDone={(typed) => send({ per: typed })}
      />
    </p>
  );
}
