'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import type { UseFormReturn } from 'react-hook-form';
import { labelWords } from '@/core/safety';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { makeOwn, OwnTyped } from '../wire';
import { AllergenBoxes } from './allergen-boxes';
import * as texts from './texts';

type TheForm = UseFormReturn<OwnTyped>;

const NOTHING = {
  per: '100 g' as const,
  energyKj: '',
  fat: '',
  carbohydrate: '',
  sugars: '',
  fibre: '',
  protein: '',
  salt: '',
  alcoholVolPct: '',
};

const NEW: OwnTyped = {
  name: '',
  role: 'piece',
  label: NOTHING,
  allergens: [],
  allergensRead: false,
  eachUnit: 'each',
  eachWeighs: '',
  usable: '',
};

/** An ingredient that no starting point is like, out of the table on its packet. */
export function NewIngredientForm({
  name,
  kept,
}: {
  readonly name: string;
  readonly kept: (name: string, id: string) => void;
}) {
  const tell = useToast();
  const keeping = useSaveForm(
    OwnTyped,
    { ...NEW, name: name.charAt(0).toUpperCase() + name.slice(1) },
    async (typed) => {
      const answer = await makeOwn(typed);
      if (answer.ok) {
        for (const remark of answer.value.remarks) tell(texts.remarkOn(typed.name, remark));
        kept(typed.name, answer.value.id);
      }
      return answer;
    },
    undefined,
    { refresh: false },
  );
  const { form, busy, message } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.whatCalledHere }} autoFocus />
      <Form.Group controlId="own-role">
        <Form.Label>{texts.pot}</Form.Label>
        <Form.Select {...form.register('role')}>
          <option value="piece">{texts.piecesUntilTheyStrained}</option>
          <option value="liquid">{texts.partLiquidMilkWine}</option>
        </Form.Select>
      </Form.Group>
      <Table form={form} />
      <Row className="g-2">
        <Col xs={6}>
          <FormField {...{ form, name: 'usable', label: texts.usableAfterTrimming }} placeholder="100" />
        </Col>
        <Col xs={6}>
          <FormField
            {...{ form, name: 'eachWeighs', label: texts.oneWeighsIfCounted }}
            placeholder={texts.notCounted}
          />
        </Col>
      </Row>
      <Carries form={form} />
      <Button type="submit" disabled={busy}>
        {busy ? texts.saving : texts.addMyIngredients}
      </Button>
      <TroubleText says={message} />
    </SaveForm>
  );
}

const FIGURES = [
  ['energyKj', texts.energyKj],
  ['fat', texts.fatG],
  ['carbohydrate', texts.carbohydrateG],
  ['sugars', texts.whichSugarsG],
  ['fibre', texts.fibreG],
  ['protein', texts.proteinG],
  ['salt', texts.saltG],
  ['alcoholVolPct', 'alcohol, % vol'],
] as const;

/** The table as it is on the packet; what it does not account for is water. */
const Table = ({ form }: { readonly form: TheForm }) => (
  <fieldset>
    <legend className="fs-6">
      {texts.tablePacket}{' '}
      <Form.Select
        size="sm"
        className="d-inline-block w-auto"
        aria-label={texts.tablePer}
        {...form.register('label.per')}
      >
        <option value="100 g">{texts.per100G}</option>
        <option value={texts.per100Ml}>{texts.per100Ml}</option>
      </Form.Select>
    </legend>
    <Row className="g-2">
      {FIGURES.map(([field, label]) => (
        <Col xs={6} key={field}>
          <FormField {...{ form, name: `label.${field}`, label }} inputMode="decimal" />
        </Col>
      ))}
    </Row>
    <p className="quiet small-line mb-0">{texts.leaveOutWhatNot}</p>
  </fieldset>
);

/** What its label names, and whether it has been read. */
function Carries({ form }: { readonly form: TheForm }) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  return (
    <>
      <AllergenBoxes
        chosen={chosen}
        set={(next) => {
          setChosen(next);
          form.setValue('allergens', [...next], { shouldDirty: true });
        }}
      />
      {chosen.length === 0 && (
        <Form.Check id="carries-none" label={labelWords.read} {...form.register('allergensRead')} />
      )}
    </>
  );
}
