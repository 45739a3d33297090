'use client';

import Stack from 'react-bootstrap/Stack';
import Button from 'react-bootstrap/Button';
import { X } from 'lucide-react';
import type { ComponentProps } from 'react';
import type { LiveTest } from '@/core/bench';
import type { SecondPassWorth } from '@/core/learning';
import { useFormatters } from '@/ui/formatters-context';
import type { TestTyped } from '../wire';
import type { useScale } from './use-scale';
import { WeightField } from './weight-field';
import * as texts from './texts';

interface Props {
  readonly typed: TestTyped;
  readonly live: LiveTest;
  readonly worth: SecondPassWorth | undefined;
  readonly troubleAt: (path: string) => string | undefined;
  readonly scale: ReturnType<typeof useScale> | undefined;
  readonly change: (typed: TestTyped) => void;
  readonly keep: (typed: TestTyped) => void;
}

/** A weight of the second pass, and the test with it typed. */
interface Weighed extends Pick<ComponentProps<typeof WeightField>, 'field' | 'value' | 'live' | 'trouble'> {
  readonly as: (text: string) => TestTyped;
}

export const emptySecond = (): NonNullable<TestTyped['second']> => ({
  how: 'mill',
  start: '',
  time: '',
  parts: [{ name: texts.secondPass, fate: 'usable', amount: '' }],
});

/** A second pass of the waste (a mill, a press) as a row of its own, with what its extra kilos cost. */
export function SecondPass({ typed, live, worth, troubleAt, scale, change, keep }: Props) {
  const second = typed.second;
  if (!second) return null;
  const usableAt = Math.max(
    0,
    second.parts.findIndex((p) => p.fate === 'usable'),
  );
  const put = (next: Partial<typeof second>): TestTyped => ({ ...typed, second: { ...second, ...next } });
  const withUsable = (amount: string): TestTyped =>
    put({ parts: second.parts.map((p, i) => (i === usableAt ? { ...p, amount } : p)) });
  const field = (name: 'how' | 'time') => ({
    value: second[name] ?? '',
    onTyped: (text: string) => change(put({ [name]: text })),
    onDone: () => keep(typed),
  });
  const weight = (words: string, label: string, { as, ...field }: Weighed) => (
    <label>
      {words}
      <WeightField
        label={label}
        scale={scale}
        {...field}
        onTyped={(text) => change(as(text))}
        onDone={(text) => keep(as(text))}
      />
    </label>
  );
  return (
    <section className="mt-3 pt-2 border-top" aria-label={texts.secondPassHeading}>
      <h2>{texts.secondPassWaste}</h2>
      <None
        act={() => {
          change({ ...typed, second: undefined });
          keep({ ...typed, second: undefined });
        }}
      />
      <Stack direction="horizontal" gap={3} className="fields flex-wrap align-items-start">
        <Said label={texts.withThe} placeholder={texts.millPress} {...field('how')} />
        {weight(texts.wentThroughAgain, texts.whatWentThroughAgain, {
          field: 'second.start',
          value: second.start,
          live: live.secondStart,
          trouble: troubleAt('second.start'),
          as: (start) => put({ start }),
        })}
        {weight(texts.usable, texts.usableSecondPass, {
          field: `second.parts.${usableAt}`,
          value: second.parts[usableAt]?.amount ?? '',
          live: live.secondParts[usableAt] ?? {},
          trouble: troubleAt('second.parts'),
          as: withUsable,
        })}
        <Said label={texts.labour} placeholder={texts.example10Min} {...field('time')} />
      </Stack>
      <Worth worth={worth} />
    </section>
  );
}

const None = ({ act }: { readonly act: () => void }) => (
  <Button variant="plain" size="sm" className="float-end" aria-label={texts.noSecondPass} onClick={act}>
    <X size={16} aria-hidden="true" />
  </Button>
);

function Said({
  label,
  placeholder,
  value,
  onTyped,
  onDone,
}: {
  readonly label: string;
  readonly placeholder: string;
  readonly value: string;
  readonly onTyped: (text: string) => void;
  readonly onDone: () => void;
}) {
  return (
    <label>
      {label}
      <input
        className="typed typed-text"
        aria-label={texts.secondPassLabel(label)}
        placeholder={placeholder}
        value={value}
        onChange={(event) => onTyped(event.target.value)}
        onBlur={onDone}
      />
    </label>
  );
}

/** Whether a second pass pays: what its kilos would have cost, against the hands it took. */
export function Worth({ worth }: { readonly worth: SecondPassWorth | undefined }) {
  const { money, kilos } = useFormatters();
  if (!worth || !(worth.extraG > 0)) return null;
  return (
    <p className="mt-2" role="status">
      <b>{texts.moreKilos(kilos(worth.extraG))}</b>
      {texts.whichWouldCostBuy(money(worth.saved))}{' '}
      {worth.hands !== undefined ? (
        <>
          {texts.takesLabourPerKilo(money(worth.hands), money(worth.handsPerKg))}{' '}
          <b className={worth.hands < worth.saved ? 'cheaper' : 'dearer'}>
            {worth.hands < worth.saved ? texts.pays : texts.doesNotPay}
          </b>
          .
        </>
      ) : worth.savedPerHour !== undefined ? (
        <>{texts.paysWhileHourLabour(money(worth.savedPerHour))}</>
      ) : (
        <>{texts.enterHowLongTook}</>
      )}
    </p>
  );
}
