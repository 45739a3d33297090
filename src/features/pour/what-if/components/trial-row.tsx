'use client';

import { X } from 'lucide-react';
import { memo, useId, useState, type KeyboardEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TIMES, type WrittenTrial } from '@/core/kitchen-file';
import { mannerOf, readAmountOf, readNumber, writeAmount, type DecimalMark } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { TraysPage, TrialText } from '../queries';
import * as texts from './texts';

interface Props {
  readonly trial: WrittenTrial;
  readonly said: TrialText | undefined;
  readonly page: Pick<TraysPage, 'mark' | 'measures' | 'mayEdit'>;
  readonly set: (trial: WrittenTrial) => void;
}

/** One trial: what it is of, what stands there now, and what is tried instead. */
export const TrialRow = memo(function TrialRow({
  i,
  trial,
  said,
  page,
  set,
  remove,
}: Omit<Props, 'set'> & {
  /** Its place on the tray. */
  readonly i: number;
  readonly set: (i: number, trial: WrittenTrial) => void;
  readonly remove: (i: number) => void;
}) {
  const title = said?.title ?? '…';
  return (
    <section className="tray-trial" aria-label={title}>
      <Form.Group className="d-flex align-items-baseline gap-2">
        <b className="me-auto">{title}</b>
        {page.mayEdit && (
          <Button variant="tool" size="sm" aria-label={texts.remove(title)} onClick={() => remove(i)}>
            <X size={16} aria-hidden="true" />
          </Button>
        )}
      </Form.Group>
      {said?.now !== undefined && (
        <div className="quiet small-line">
          {trial.of === 'group' || trial.of === 'supplier' ? texts.ofWhat(said.now) : texts.now(said.now)}
        </div>
      )}
      <Tried trial={trial} said={said} page={page} set={(t) => set(i, t)} title={title} />
      <TroubleText says={said?.flaw} />
    </section>
  );
});

type Field = Props & { readonly title: string };

function Tried({ trial, said, page, set, title }: Field) {
  const off = !page.mayEdit;
  switch (trial.of) {
    case 'price':
    case 'group':
    case 'supplier':
    case 'layer':
      return <Times trial={trial} said={said} page={page} set={set} title={title} />;
    case 'yield':
      return (
        <Slide
          label={title}
          unit="%"
          value={trial.usablePct}
          range={[5, 100, 0.5]}
          limits={[1, 100]}
          {...{ mark: page.mark, off }}
          set={(usablePct) => set({ ...trial, usablePct })}
        />
      );
    case 'menu price':
      return (
        <Slide
          label={title}
          unit=""
          value={Number(trial.price)}
          range={[0.5 * (said?.money ?? 10), 2 * (said?.money ?? 10), 0.1]}
          limits={[0.01, 100_000]}
          digits={2}
          {...{ mark: page.mark, off }}
          set={(price) => set({ ...trial, price: price.toFixed(2) })}
        />
      );
    case 'portion':
      return <Portion trial={trial} said={said} page={page} set={set} title={title} />;
    case 'line':
      return (
        <Text
          label={title}
          value={trial.says}
          off={off}
          set={(says) => says.trim() !== '' && set({ ...trial, says: says.trim() })}
        />
      );
    case 'school':
      return <School trial={trial} title={title} off={off} set={set} />;
    case 'instead':
      return null;
  }
}

function School({
  trial,
  title,
  off,
  set,
}: Pick<Field, 'title' | 'set'> & {
  readonly trial: Extract<WrittenTrial, { of: 'school' }>;
  readonly off: boolean;
}) {
  return (
    <Form.Select
      size="sm"
      aria-label={title}
      disabled={off}
      value={trial.school}
      onChange={(e) => set({ ...trial, school: e.target.value as typeof trial.school })}
    >
      <option value="free">{texts.trimFree}</option>
      <option value="value">{texts.trimSetValue}</option>
      <option value="weight">{texts.sharedWeight}</option>
    </Form.Select>
  );
}

/** So many per cent more or less than now, and what that comes to. */
function Times({
  trial,
  said,
  page,
  set,
  title,
}: Field & { readonly trial: Extract<WrittenTrial, { times: number }> }) {
  const { money } = useFormatters();
  return (
    <>
      <Slide
        label={title}
        unit={texts.percentMoreOrLess}
        value={(trial.times - 1) * 100}
        range={[-50, 100, 1]}
        limits={[(TIMES.least - 1) * 100, (TIMES.most - 1) * 100]}
        mark={page.mark}
        off={!page.mayEdit}
        signed
        set={(pct) => set({ ...trial, times: Number((1 + pct / 100).toFixed(6)) })}
      />
      {said?.money !== undefined && (
        <div className="quiet small-line">
          {texts.perKiloNowThen(money(said.money), money(said.money * trial.times))}
        </div>
      )}
    </>
  );
}

/** An amount that slides from a quarter of what it is to twice that, or is typed. */
function Portion({
  trial,
  said,
  page,
  set,
  title,
}: Field & { readonly trial: Extract<WrittenTrial, { of: 'portion' }> }) {
  const manner = mannerOf(page.mark, page.measures);
  const kinds = ['mass', 'volume', 'count'] as const;
  const [now, then] = [said?.now ?? trial.amount, trial.amount].map((t) =>
    readAmountOf([...kinds], t, manner),
  );
  const share =
    now?.ok && then?.ok && now.value.kind === then.value.kind
      ? then.value.value / now.value.value
      : undefined;
  const at = (times: number): string =>
    now?.ok
      ? writeAmount(
          { unit: now.value.unit, value: Number((now.value.value * times).toPrecision(3)) },
          page.mark,
          manner.measures,
        )
      : trial.amount;
  return (
    <>
      {share !== undefined && (
        <Form.Range
          aria-label={texts.shareNow(title)}
          min={0.25}
          max={2}
          step={0.05}
          disabled={!page.mayEdit}
          value={Math.min(2, Math.max(0.25, share))}
          onChange={(e) => set({ ...trial, amount: at(Number(e.target.value)) })}
        />
      )}
      <Text
        label={title}
        value={trial.amount}
        off={!page.mayEdit}
        set={(amount) => amount.trim() !== '' && set({ ...trial, amount: amount.trim() })}
      />
    </>
  );
}

/** Words that are tried: they count when the field is left or Enter is pressed. */
function Text({
  label,
  value,
  off,
  set,
}: {
  readonly label: string;
  readonly value: string;
  readonly off: boolean;
  readonly set: (text: string) => void;
}) {
  const [typed, setTyped] = useState(value);
  const [was, setWas] = useState(value);
  if (was !== value) {
    setWas(value);
    setTyped(value);
  }
  return (
    <Form.Control
      size="sm"
      aria-label={label}
      value={typed}
      disabled={off}
      autoComplete="off"
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => typed !== value && set(typed)}
      onKeyDown={(e) => {
        if (e.key === 'Enter') set(typed);
        if (e.key === 'Escape') setTyped(value);
      }}
    />
  );
}

/** A figure that slides, or is typed where it is to be exact. */
function Slide({
  label,
  unit,
  value,
  range: [min, max, step],
  limits: [least, most],
  digits = 1,
  signed = false,
  mark,
  off,
  set,
}: {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly range: readonly [number, number, number];
  readonly limits: readonly [number, number];
  readonly digits?: number;
  readonly signed?: boolean;
  readonly mark: DecimalMark;
  readonly off: boolean;
  readonly set: (value: number) => void;
}) {
  const id = useId();
  const figure = useFigure(value, [least, most], digits, signed, mark, set);
  return (
    <>
      <div className="d-flex align-items-center gap-2">
        <Form.Range
          aria-label={label}
          {...{ min, max, step }}
          disabled={off}
          value={Math.min(max, Math.max(min, value))}
          onChange={(e) => {
            figure.setTyped(undefined);
            set(Number(e.target.value));
          }}
        />
        <Figure label={label} off={off} id={id} figure={figure} />
        {unit !== '' && <span className="quiet small-line text-nowrap">{unit}</span>}
      </div>
      <span id={id}>
        <TroubleText as="span" says={figure.wrong} />
      </span>
    </>
  );
}

/** The field beside a slider. */
function Figure({
  label,
  off,
  id,
  figure: { shown, typed, setTyped, wrong, take, onKeyDown },
}: {
  readonly label: string;
  readonly off: boolean;
  readonly id: string;
  readonly figure: ReturnType<typeof useFigure>;
}) {
  return (
    <Form.Control
      size="sm"
      className="fig"
      style={{ width: '6rem' }}
      aria-label={texts.typed(label)}
      aria-invalid={wrong ? true : undefined}
      aria-describedby={wrong ? id : undefined}
      autoComplete="off"
      disabled={off}
      value={typed ?? shown}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={take}
      onKeyDown={onKeyDown}
    />
  );
}

/** A figure as it is typed beside its slider: it counts when the field is left or Enter is pressed. */
function useFigure(
  value: number,
  [least, most]: readonly [number, number],
  digits: number,
  signed: boolean,
  mark: DecimalMark,
  set: (value: number) => void,
) {
  const figure = value.toFixed(digits).replace('.', mark);
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? undefined : readNumber(typed.replace(/^\+/, ''), mark);
  const number = read?.ok ? read.value.toNumber() : undefined;
  const outside = number !== undefined && (number < least || number > most);
  const wrong = outside
    ? texts.cannotTriedFrom(typed ?? '', least, most)
    : read && !read.ok
      ? read.trouble.message
      : undefined;
  const take = (): void => {
    if (typed === undefined || wrong !== undefined) return;
    if (number !== undefined && number !== value) set(number);
    setTyped(undefined);
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    if (e.key === 'Enter') take();
    if (e.key === 'Escape') setTyped(undefined);
  };
  return {
    shown: signed && value > 0 ? `+${figure}` : figure,
    typed,
    setTyped,
    wrong,
    take,
    onKeyDown,
  };
}
