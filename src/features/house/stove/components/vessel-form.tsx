'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { readNumber } from '@/core/quantity';
import { vesselByWater } from '@/core/stove';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { Combo, type ComboOption } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { useSearch } from '@/ui/tables/use-search';
import type { StovePage, VesselRow } from '../queries';
import { over } from '@/wire';
import { saveVessel, VesselTyped } from '../wire';
import * as texts from './texts';

type TheForm = UseFormReturn<VesselTyped>;
const NEW: VesselTyped = {
  name: '',
  shape: 'round',
  base: '',
  top: '',
  length: '',
  width: '',
  height: '',
  fill: '85',
  empty: '',
};

const ROUND = [
  ['base', texts.acrossBaseCm],
  ['top', texts.acrossRimCm],
] as const;
const BOX = [
  ['length', texts.longCm],
  ['width', texts.wideCm],
] as const;

/** A vessel by its inside: like a usual one, with a ruler, or by its water. */
export function VesselForm({
  page,
  row,
  close,
}: {
  readonly page: StovePage;
  readonly row: VesselRow | undefined;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(
    VesselTyped,
    row?.typed ?? NEW,
    async (typed, _form, seen) => {
      const answer = await saveVessel({ id: row?.id ?? null, ...typed, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: row?.version },
  );
  const { form } = keeping;
  const shape = useWatch({ control: form.control, name: 'shape' });
  const round = shape === 'round';
  const ruler = round ? ROUND : BOX;
  return (
    <SaveForm className="stacked" of={keeping}>
      {!row && <Like form={form} page={page} />}
      <FormField {...{ form, name: 'name', label: texts.whatCalled }} />
      <Form.Group controlId="vessel-shape">
        <Form.Label>{texts.itIs}</Form.Label>
        <Form.Select {...form.register('shape')}>
          <option value="round">{texts.roundPotPan}</option>
          <option value="box">{texts.boxTrayBrattPan}</option>
        </Form.Select>
        <TheirValue form={form} name="shape" />
      </Form.Group>
      <Row className="g-2">
        {ruler.map(([name, label]) => (
          <Col xs={4} key={name}>
            <FormField {...{ form, name, label }} />
          </Col>
        ))}
        <Col xs={4}>
          <FormField {...{ form, name: 'height', label: texts.highInsideCm }} />
        </Col>
      </Row>
      {round && <ByWater form={form} page={page} />}
      <Row className="g-2">
        <Col xs={6}>
          <FormField {...{ form, name: 'fill', label: texts.filledMost }} />
        </Col>
        <Col xs={6}>
          <FormField {...{ form, name: 'empty', label: texts.weighsEmpty }} placeholder={texts.notWeighed} />
        </Col>
      </Row>
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

/** One as they are usually made fills the form; a ruler corrects it. */
function Like({ form, page }: { readonly form: TheForm; readonly page: StovePage }) {
  const [like, setLike] = useState<ComboOption>();
  const choices = page.usualVessels.map((v) => ({ id: v.name, name: v.name, says: `${v.litres} l` }));
  const words = (x: number): string => String(x).replace('.', page.mark);
  const choose = (choice: ComboOption | undefined): void => {
    setLike(choice);
    const usual = page.usualVessels.find((v) => v.name === choice?.id);
    if (!usual) return;
    form.reset({
      ...NEW,
      name: usual.name,
      shape: usual.shape,
      height: words(usual.heightCm),
      fill: words(usual.maxFillPct),
      ...(usual.shape === 'round'
        ? { base: words(usual.baseCm), top: words(usual.topCm) }
        : { length: words(usual.lengthCm), width: words(usual.widthCm) }),
    });
  };
  return (
    <div>
      <span className="form-label d-block">{texts.likeUsualOneThen}</span>
      <Combo
        label={texts.likeUsualOne}
        placeholder={texts.stockpot36L}
        chosen={like}
        choose={choose}
        find={useSearch(choices)}
      />
    </div>
  );
}

const NO_READINGS = [
  { litres: '', dip: '' },
  { litres: '', dip: '' },
  { litres: '', dip: '' },
];

/** Litres and dips as they are typed, and the vessel they make. */
function useReadings(form: TheForm, page: StovePage) {
  const [readings, setReadings] = useState(NO_READINGS);
  const height = useWatch({ control: form.control, name: 'height' });
  const number = (typed: string): number | undefined => {
    const read = readNumber(typed.trim().replace(/\s*(?:l|cm)$/i, ''), page.mark);
    return read.ok ? read.value.toNumber() : undefined;
  };
  const high = number(height);
  const poured = readings.flatMap(({ litres, dip }) => {
    const [l, d] = [number(litres), number(dip)];
    return l !== undefined && d !== undefined ? [{ ml: l * 1000, dipCm: d }] : [];
  });
  const found = high !== undefined && poured.length >= 2 ? vesselByWater(high, poured) : undefined;
  return { readings, setReadings, high, poured, found };
}

/** Taper and volume out of known litres and the dips read with them. */
function ByWater({ form, page }: { readonly form: TheForm; readonly page: StovePage }) {
  const { bare } = useFormatters();
  const { readings, setReadings, high, poured, found } = useReadings(form, page);
  const set = (i: number, field: 'litres' | 'dip', text: string): void =>
    setReadings((all) => all.map((r, j) => (i === j ? { ...r, [field]: text } : r)));
  const words = (x: number): string => x.toFixed(1).replace('.', page.mark);
  return (
    <details>
      <summary>{texts.measureWaterInstead}</summary>
      <p className="quiet small-line">{texts.pourManyLitresRead}</p>
      {readings.map((r, i) => (
        <div key={i} className="d-flex gap-2 align-items-center mb-1">
          {texts.withText}{' '}
          <input
            className="typed typed-narrow"
            aria-label={texts.readingLitres(i + 1)}
            value={r.litres}
            onChange={(event) => set(i, 'litres', event.target.value)}
          />{' '}
          {texts.lDip}{' '}
          <input
            className="typed typed-narrow"
            aria-label={texts.readingDipCm(i + 1)}
            value={r.dip}
            onChange={(event) => set(i, 'dip', event.target.value)}
          />{' '}
          {texts.cm}
        </div>
      ))}
      {poured.length >= 2 && high === undefined && <TroubleText says={texts.howHighInsideMeasured} />}
      {found && !found.ok && <TroubleText says={found.trouble.message} />}
      {found?.ok && (
        <p role="status" className="mb-1">
          {texts.cmAcrossBaseRim(
            bare(found.value.shape.baseCm, 1),
            bare(found.value.shape.topCm, 1),
            bare(found.value.brimMl / 1000, 1),
            found.value.offCm,
            bare(found.value.offCm, 1),
          )}{' '}
          <Button
            variant="plain"
            size="sm"
            onClick={() => {
              form.setValue('base', words(found.value.shape.baseCm), { shouldDirty: true });
              form.setValue('top', words(found.value.shape.topCm), { shouldDirty: true });
            }}
          >
            {texts.useThese}
          </Button>
        </p>
      )}
    </details>
  );
}
