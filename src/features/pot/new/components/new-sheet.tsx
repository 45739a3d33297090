'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import type { UseFormReturn } from 'react-hook-form';
import { z } from 'zod';
import { Combo } from '@/ui/forms/combo';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { useSearch } from '@/ui/tables/use-search';
import { makeSheet } from '../../wire';
import type { NewSheetPage, StandChoice } from '../queries';
import * as texts from './texts';

const Typed = z.object({
  name: z.string().trim().min(1, texts.whatPotCalled),
  lines: z.string(),
});

const stoodAs = (choice: StandChoice) =>
  choice.id.startsWith('own:') ? { own: choice.id.slice(4) } : { like: choice.id.slice(5) };

const Pasted = ({ form }: { readonly form: UseFormReturn<z.infer<typeof Typed>> }) => (
  <Form.Group controlId="pasted">
    <Form.Label>{texts.linesYouAlreadyPasted}</Form.Label>
    <Form.Control
      as="textarea"
      rows={6}
      isInvalid={form.formState.errors.lines !== undefined}
      placeholder={texts.example40GButter300}
      {...form.register('lines')}
    />
    <TroubleText says={form.formState.errors.lines?.message} />
  </Form.Group>
);

function useNewSheet(page: NewSheetPage) {
  const router = useRouter();
  const { like } = page;
  const named = (list: readonly StandChoice[], id: string | undefined) =>
    list.find((c) => c.id === id) ?? list.find((c) => c.id.startsWith('own:'));
  const [vessel, setVessel] = useState(named(page.vessels, like?.vessel));
  const [hob, setHob] = useState(named(page.hobs, like?.hob));
  const keeping = useSaveForm(Typed, { name: '', lines: '' }, async ({ name, lines }) => {
    if (!vessel || !hob)
      return {
        ok: false,
        path: '',
        message: vessel ? texts.chooseHob : texts.chooseVessel,
      };
    const answer = await makeSheet({
      name,
      vessel: stoodAs(vessel),
      hob: stoodAs(hob),
      like: like?.id ?? null,
      lines,
    });
    if (answer.ok) router.push(`/pot/${answer.value.id}`);
    return answer;
  });
  return { vessel, setVessel, hob, setHob, keeping, busy: keeping.busy || keeping.kept };
}

/** A pot sheet that was not there: what it is called, what it stands in and on, and the lines there are already. */
export function NewSheet({ page }: { readonly page: NewSheetPage }) {
  const { like } = page;
  const { vessel, setVessel, hob, setHob, keeping, busy } = useNewSheet(page);
  const { form, message } = keeping;
  return (
    <>
      <h1>{like ? texts.copy(like.name) : texts.newRecipe}</h1>
      <p className="lead-line">{like ? texts.allStepsLaterChanges : texts.writeStepsSheetOne}</p>
      <SaveForm of={keeping}>
        <Row className="g-3 mt-1" style={{ maxWidth: '52rem' }}>
          <Col sm={12}>
            <FormField
              {...{ form, name: 'name', label: texts.whatCalled }}
              autoFocus
              placeholder={texts.onionSauce}
            />
          </Col>
          <Col sm={6}>
            <span className="form-label d-block">{texts.cooked}</span>
            <Combo
              label={texts.cooked}
              chosen={vessel}
              choose={setVessel}
              find={useSearch(page.vessels)}
              placeholder={texts.saucepan24Cm}
            />
          </Col>
          <Col sm={6}>
            <span className="form-label d-block">{texts.stands}</span>
            <Combo
              label={texts.stands}
              chosen={hob}
              choose={setHob}
              find={useSearch(page.hobs)}
              placeholder={texts.largeGasBurner}
            />
          </Col>
          {!like && (
            <Col sm={12}>
              <Pasted form={form} />
            </Col>
          )}
        </Row>
        <Button type="submit" className="mt-3" disabled={busy}>
          {busy ? texts.opening : texts.openSheet}
        </Button>
        <TroubleText says={message} />
      </SaveForm>
    </>
  );
}
