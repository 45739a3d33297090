'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { UseFormReturn } from 'react-hook-form';
import { readNumber } from '@/core/quantity';
import { netKwByBoiling, netKwByLabel } from '@/core/stove';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { useFormatters } from '@/ui/formatters-context';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import type { HobRow, StovePage } from '../queries';
import { over } from '@/wire';
import { HobTyped, saveHob } from '../wire';
import * as texts from './texts';

type TheForm = UseFormReturn<HobTyped>;
const NEW: HobTyped = { name: '', fuel: 'gas', netKw: '', efficiency: '', draught: false };

/** A hob: what it burns and how much of that reaches a pot, off its label or by how long water takes to boil. */
export function HobForm({
  page,
  row,
  close,
}: {
  readonly page: StovePage;
  readonly row: HobRow | undefined;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(
    HobTyped,
    row?.typed ?? NEW,
    async (typed, _form, seen) => {
      const answer = await saveHob({ id: row?.id ?? null, ...typed, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: row?.version },
  );
  const { form } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.whatCalled }} />
      <Form.Group controlId="hob-fuel">
        <Form.Label>{texts.fuel}</Form.Label>
        <Form.Select {...form.register('fuel')}>
          <option value="gas">{texts.gas}</option>
          <option value="electricity">{texts.electricity}</option>
        </Form.Select>
        <TheirValue form={form} name="fuel" />
      </Form.Group>
      <FormField {...{ form, name: 'netKw', label: texts.kwReachPot }} placeholder={texts.noLimit} />
      <ByKind form={form} page={page} />
      <ByBoiling form={form} page={page} />
      <FormField
        {...{ form, name: 'efficiency', label: texts.whatBurnsReachesPot }}
        placeholder={texts.whatUsual}
      />
      <Form.Check id="hob-draught" label={texts.underHoodPullsSteam} {...form.register('draught')} />
      <TheirValue form={form} name="draught" say={(is) => (is === true ? texts.underHood : texts.noHood)} />
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

const numberOf = (typed: string, page: StovePage): number | undefined => {
  const read = readNumber(typed.trim(), page.mark);
  return read.ok ? read.value.toNumber() : undefined;
};
const wordsOf = (kw: number, page: StovePage): string => kw.toFixed(2).replace('.', page.mark);

/** Off the label: what its kind usually brings into a pot of the kW that are written there. */
function ByKind({ form, page }: { readonly form: TheForm; readonly page: StovePage }) {
  const { bare } = useFormatters();
  const [kind, setKind] = useState('');
  const [label, setLabel] = useState('');
  const usual = page.usualHobs.find((h) => h.name === kind);
  const kw = numberOf(label, page);
  const found = usual && kw !== undefined ? netKwByLabel(kw, usual.ofLabel) : undefined;
  const take = (net: number): void => {
    form.setValue('netKw', wordsOf(net, page), { shouldDirty: true });
    if (usual) form.setValue('fuel', usual.fuel, { shouldDirty: true });
    if (usual && form.getValues('name') === '') form.setValue('name', usual.name, { shouldDirty: true });
  };
  return (
    <details open={form.getValues('netKw') === ''}>
      <summary>{texts.offLabelOrWhat}</summary>
      <Form.Select aria-label={texts.whatKind} value={kind} onChange={(event) => setKind(event.target.value)}>
        <option value="">{texts.whatKindInline}</option>
        {page.usualHobs.map((h) => (
          <option key={h.name} value={h.name}>
            {h.name}
          </option>
        ))}
      </Form.Select>
      {usual && (
        <p className="small-line mt-1 mb-0">
          {texts.usuallyKwReachPot(bare(usual.netKw, 1), bare(usual.low, 1), bare(usual.high, 1))}{' '}
          <Button variant="plain" size="sm" onClick={() => take(usual.netKw)}>
            {texts.use}
          </Button>{' '}
          {texts.orLabelSays}{' '}
          <input
            className="typed typed-narrow"
            aria-label={texts.kwLabel}
            value={label}
            onChange={(event) => setLabel(event.target.value)}
          />{' '}
          {texts.kw}
          {found?.ok && (
            <>
              {texts.kwReachPotBare(bare(found.value, 2))}{' '}
              <Button variant="plain" size="sm" onClick={() => take(found.value)}>
                {texts.use}
              </Button>
            </>
          )}
        </p>
      )}
      {found && !found.ok && <TroubleText says={found.trouble.message} />}
    </details>
  );
}

/** By how long so many litres take to boil, with the lid on. */
function ByBoiling({ form, page }: { readonly form: TheForm; readonly page: StovePage }) {
  const { bare } = useFormatters();
  const [typed, setTyped] = useState({ litres: '', from: '15', minutes: '' });
  const [l, from, min] = [typed.litres, typed.from, typed.minutes].map((t) => numberOf(t, page));
  const found =
    l !== undefined && from !== undefined && min !== undefined ? netKwByBoiling(l, from, min) : undefined;
  const field = (name: keyof typeof typed, label: string) => (
    <input
      className="typed typed-narrow"
      aria-label={label}
      value={typed[name]}
      onChange={(event) => setTyped((all) => ({ ...all, [name]: event.target.value }))}
    />
  );
  return (
    <details>
      <summary>{texts.measureHowLongDoes}</summary>
      <p className="small-line mb-1">
        {field('litres', texts.litresWater)} {texts.lWaterFrom} {field('from', texts.degreesStarted)}{' '}
        {texts.cLidBoilAfter} {field('minutes', texts.minutesUntilBoiled)} {texts.minutes}
      </p>
      {found?.ok && (
        <p role="status" className="mb-1">
          {texts.hobFormKwReachPot(bare(found.value, 2))}{' '}
          <Button
            variant="plain"
            size="sm"
            onClick={() => form.setValue('netKw', wordsOf(found.value, page), { shouldDirty: true })}
          >
            {texts.use}
          </Button>
        </p>
      )}
      {found && !found.ok && <TroubleText says={found.trouble.message} />}
    </details>
  );
}
