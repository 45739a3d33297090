'use client';

import Form from 'react-bootstrap/Form';
import Link from 'next/link';
import { useState } from 'react';
import { outlierQuestion, readPrice, TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import type { DecimalMark } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import { TypedField } from '@/ui/forms/typed-field';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { SCHOOL_WORDS } from '../../words';
import { saveComesOff, saveTrim } from '../send';
import type { TaughtPage } from '../queries';
import * as texts from './texts';

/** Who pays for what comes off this ingredient: the kitchen's school, or one of its own. */
export function TrimMethodForm({ page }: { readonly page: TaughtPage }) {
  const [keep, state] = useSave();
  const { currencySign, money } = useFormatters();
  const { trim } = page;
  const [typed, setTyped] = useState({ setValue: trim.setValue, takenPct: String(trim.takenPct) });
  const school = trim.own ?? trim.kitchens;
  const send = (next: Partial<{ school: TrimSchool | null; setValue: string; takenPct: string }>): void => {
    const value = next.setValue ?? typed.setValue;
    const taken = next.takenPct ?? typed.takenPct;
    void keep((seen) =>
      saveTrim({
        id: page.id,
        seen: seen ?? page.version,
        school: next.school === undefined ? (trim.own ?? null) : next.school,
        setValue: value.trim() === '' ? null : next.setValue !== undefined || trim.ownValue ? value : null,
        takenPct: taken.trim() === '' || taken.trim() === '100' ? null : taken,
      }),
    );
  };
  if (page.comesOff) return <ComesOff page={page} />;
  return (
    <section>
      <h2>{texts.howTrimCosted}</h2>
      <WhichSchool page={page} onChoose={(school) => send({ school })} />
      {school === 'value' && (
        <p className="mt-2 mb-0">
          {texts.stockTrim}{' '}
          <TypedField
            narrow
            label={texts.stockTrimSetValue}
            asks={(typed) => asksValue(typed, trim.setValue, page.mark, money)}
            value={trim.setValue}
            trouble={state.message}
            describedBy="trim-trouble"
            disabled={!page.mayEdit}
            onTyped={(setValue) => setTyped((all) => ({ ...all, setValue }))}
            onDone={(setValue) => send({ setValue })}
            unit={`${currencySign} per kilo${trim.ownValue ? ', its own' : ', the kitchen’s'}`}
          />
        </p>
      )}
      {school !== 'free' && (
        <PotsTake
          page={page}
          onTyped={(takenPct) => setTyped((all) => ({ ...all, takenPct }))}
          onDone={(takenPct) => send({ takenPct })}
        />
      )}
      <TroubleText id="trim-trouble" says={state.message} both={state.both} />
    </section>
  );
}

/** A set value far from what it was is asked about; free is a way to share, and none at all the kitchen's own. */
function asksValue(
  typed: string,
  was: string,
  mark: DecimalMark,
  money: (value: number) => string,
): string | undefined {
  const read = readPrice(typed, mark);
  return read.ok && !read.value.isZero()
    ? outlierQuestion({ what: 'set value', before: Number(was), after: read.value.toNumber(), words: money })
    : undefined;
}

/** A by-product is not bought: what it costs is what it comes off charges for it. */
function ComesOff({ page }: { readonly page: TaughtPage }) {
  const [keep, state] = useSave();
  const { money, currencySign } = useFormatters();
  const off = page.comesOff;
  if (!off) return null;
  const send = (next: { setValue?: string; sold?: boolean }): void => {
    const value = next.setValue ?? (off.ownValue ? off.setValue : '');
    void keep((seen) =>
      saveComesOff({
        id: page.id,
        seen: seen ?? page.version,
        setValue: value.trim() === '' ? null : value,
        sold: next.sold ?? off.sold,
      }),
    );
  };
  return (
    <section>
      <h2>
        {texts.comesOff}{' '}
        <Link prefetch={false} href={`/trim/${off.of.id}`}>
          {off.of.name}
        </Link>
      </h2>
      <p className="small-line">{texts.costsPerKiloComes(money(off.perKg), off.of.name)}</p>
      <p className="mt-2 mb-0">
        {texts.setValue}{' '}
        <TypedField
          narrow
          label={texts.productSetValuePer}
          asks={(typed) => asksValue(typed, off.setValue, page.mark, money)}
          value={off.setValue}
          trouble={state.message}
          describedBy="off-trouble"
          disabled={!page.mayEdit}
          onTyped={() => undefined}
          onDone={(setValue) => send({ setValue })}
          unit={`${currencySign} per kilo`}
        />
      </p>
      <Form.Check
        id="sold"
        className="mt-2 mb-0"
        checked={off.sold}
        disabled={!page.mayEdit}
        onChange={(event) => send({ sold: event.target.checked })}
        label={texts.soldPriceMoneyBack}
      />
      <TroubleText id="off-trouble" says={state.message} both={state.both} />
    </section>
  );
}

function WhichSchool({
  page,
  onChoose,
}: {
  readonly page: TaughtPage;
  readonly onChoose: (school: TrimSchool | null) => void;
}) {
  const { trim } = page;
  return (
    <Form.Select
      aria-label={texts.howTrimCosted}
      value={trim.own ?? ''}
      disabled={!page.mayEdit}
      onChange={(event) => onChoose((event.target.value || null) as TrimSchool | null)}
    >
      <option value="">{texts.kitchenDoes(SCHOOL_WORDS[trim.kitchens].name.toLowerCase())}</option>
      {TRIM_SCHOOLS.map((s) => (
        <option key={s} value={s}>
          {SCHOOL_WORDS[s].name}: {SCHOOL_WORDS[s].says}
        </option>
      ))}
    </Form.Select>
  );
}

function PotsTake({
  page,
  onTyped,
  onDone,
}: {
  readonly page: TaughtPage;
  readonly onTyped: (takenPct: string) => void;
  readonly onDone: (takenPct: string) => void;
}) {
  return (
    <p className="mt-2 mb-0">
      {texts.potsTake}{' '}
      <TypedField
        narrow
        label={texts.howMuchTrimPots}
        value={String(page.trim.takenPct)}
        disabled={!page.mayEdit}
        onTyped={onTyped}
        onDone={onDone}
        unit={
          <>
            {texts.shareOfTrim}
            <Link href="/trim/flow">{texts.whereTrimGoes}</Link>
          </>
        }
      />
    </p>
  );
}
