'use client';

import { Panel } from '@/ui/panels/panel';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import ListGroup from 'react-bootstrap/ListGroup';
import { useController } from 'react-hook-form';
import { IngredientCombo } from '@/ui/forms/ingredient-combo';
import type { FoundIngredient } from '@/ui/forms/ingredient-search';
import { useFormatters } from '@/ui/formatters-context';
import { FormField } from '@/ui/forms/form-field';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { canWait } from '@/wire';
import { saveWaste, Waste } from '../wire';
import type { FlowPage } from '../queries';
import * as texts from './texts';

const REASONS = [texts.noPotTook, 'spoiled', texts.pastDay, texts.cutTooMuch, 'dropped', texts.cameOffBad];

/** What was thrown away and why: booked as a movement of stock. */
export function ThrownAway({ page }: { readonly page: FlowPage }) {
  const { money } = useFormatters();
  const lost = page.wastes.reduce((sum, w) => sum + (w.money ?? 0), 0);
  return (
    <Panel aria-label={texts.waste}>
      <section>
        <h2>{texts.waste}</h2>
        <p className="lead-line">
          <span className="fig-large">{money(lost)}</span>
          <span className="fig-label">{texts.fourWeeksWhatHad}</span>
        </p>
        {page.mayWaste && <WasteForm />}
      </section>
      <Wastes page={page} />
    </Panel>
  );
}

const EMPTY = { ingredient: '', part: 'stock trim', amount: '', reason: '' } as const;

/** A waste as it is typed: what, which part, how much, why. */
function useWaste() {
  const [thing, setThing] = useState<FoundIngredient>();
  const whole = thing?.trims === false;
  const kept = useSaveForm(Waste, EMPTY, async (typed, at) => {
    const answer = await saveWaste({ ...typed, part: whole ? 'whole' : typed.part });
    if (answer.ok || canWait(answer)) {
      setThing(undefined);
      at.setValue('ingredient', '');
      at.setValue('amount', '');
    }
    return answer;
  });
  return { ...kept, thing, setThing, whole };
}

function WasteForm() {
  const keeping = useWaste();
  const { form, thing, setThing, whole } = keeping;
  const which = useController({ control: form.control, name: 'ingredient' });
  const wrong = which.fieldState.error?.message;
  return (
    <SaveForm className="stacked" of={keeping}>
      <IngredientCombo
        label={texts.whatWasted}
        placeholder={texts.what}
        inputRef={which.field.ref}
        invalid={wrong !== undefined}
        chosen={thing}
        choose={(found) => {
          setThing(found);
          which.field.onChange(found?.id ?? '');
        }}
      />
      <TroubleText says={wrong} />
      <Form.Select
        aria-label={texts.whichPart}
        disabled={whole}
        {...form.register('part')}
        {...(whole ? { value: 'whole' } : {})}
      >
        <option value={'stock trim'}>{texts.stockTrim}</option>
        <option value="whole">{texts.bought}</option>
      </Form.Select>
      <FormField
        {...{ form, name: 'amount', label: texts.amountWasted, hideLabel: true }}
        placeholder={texts.howMuch800G}
      />
      <FormField
        {...{ form, name: 'reason', label: texts.reason, hideLabel: true }}
        placeholder={texts.why}
        list="reasons"
      />
      <datalist id="reasons">
        {REASONS.map((r) => (
          <option key={r} value={r} />
        ))}
      </datalist>
      <SaveButton of={keeping}>{texts.save}</SaveButton>
    </SaveForm>
  );
}

function Wastes({ page }: { readonly page: FlowPage }) {
  const { money, day } = useFormatters();
  return (
    <ListGroup variant="flush" as="ul">
      {page.wastes.map((w) => (
        <ListGroup.Item as="li" key={w.id} className="d-flex justify-content-between gap-2">
          <span>
            <b>{w.name}</b> <span className="fig">{w.amount}</span>
            <span className="quiet small-line d-block">
              {day(w.on)}
              {w.who ? `, ${w.who}` : ''}: {w.reason}
            </span>
          </span>
          <span className="fig">{w.money === 0 ? '–' : money(w.money)}</span>
        </ListGroup.Item>
      ))}
      {page.wastes.length === 0 && (
        <ListGroup.Item as="li" className="quiet">
          {texts.nothingFourWeeks}
        </ListGroup.Item>
      )}
    </ListGroup>
  );
}
