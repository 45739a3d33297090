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
        for (const remark of answer.value.remarks) tell(`${typed.name}: ${remark}`);
        kept(typed.name, answer.value.id);
      }
      return answer;
    },
    undefined,
    { anew: false },
  );
  const { form, busy, message } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: 'What it is called here' }} autoFocus />
      <Form.Group controlId="own-role">
        <Form.Label>In the pot it is</Form.Label>
        <Form.Select {...form.register('role')}>
          <option value="piece">pieces, until they are strained off (meat, bones, vegetables)</option>
          <option value="liquid">part of the liquid (milk, wine, sugar, flour, a paste)</option>
        </Form.Select>
      </Form.Group>
      <Table form={form} />
      <Row className="g-2">
        <Col xs={6}>
          <FormField {...{ form, name: 'usable', label: 'usable after trimming, %' }} placeholder="100" />
        </Col>
        <Col xs={6}>
          <FormField
            {...{ form, name: 'eachWeighs', label: 'one weighs, if it is counted' }}
            placeholder="not counted"
          />
        </Col>
      </Row>
      <Carries form={form} />
      <Button type="submit" disabled={busy}>
        {busy ? 'Saving …' : 'Add to my ingredients'}
      </Button>
      <TroubleText says={message} />
    </SaveForm>
  );
}

const FIGURES = [
  ['energyKj', 'energy, kJ'],
  ['fat', 'fat, g'],
  ['carbohydrate', 'carbohydrate, g'],
  ['sugars', 'of which sugars, g'],
  ['fibre', 'fibre, g'],
  ['protein', 'protein, g'],
  ['salt', 'salt, g'],
  ['alcoholVolPct', 'alcohol, % vol'],
] as const;

/** The table as it stands on the packet; what it does not account for is water. */
const Table = ({ form }: { readonly form: TheForm }) => (
  <fieldset>
    <legend className="fs-6">
      The table on its packet, in{' '}
      <Form.Select
        size="sm"
        className="d-inline-block w-auto"
        aria-label="The table is per"
        {...form.register('label.per')}
      >
        <option value="100 g">100 g</option>
        <option value="100 ml">100 ml</option>
      </Form.Select>
    </legend>
    <Row className="g-2">
      {FIGURES.map(([field, label]) => (
        <Col xs={6} key={field}>
          <FormField {...{ form, name: `label.${field}`, label }} inputMode="decimal" />
        </Col>
      ))}
    </Row>
    <p className="quiet small-line mb-0">
      Leave out what is not stated. What the table does not account for is water.
    </p>
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
