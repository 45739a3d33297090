'use client';

import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import type { UseFormReturn } from 'react-hook-form';
import { useHydrated } from '@/ui/forms/use-hydrated';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { PotMark } from '@/ui/drawings/pot-mark';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { CUP_WORDS, type Cups } from '../../cups';
import { SelectField } from '../../components/select-field';
import { openKitchen } from '../actions';
import { FirstTyped } from '../wire';
import { placesHere, type Places } from './places';
import * as texts from './texts';

const NOTHING = {
  word: '',
  name: '',
  units: 'metric' as const,
  begins: 'empty' as const,
  file: '',
  manager: '',
  password: '',
};

type TheForm = UseFormReturn<FirstTyped>;

/** The first visit of a kitchen of one's own: what it is called, how it counts, who manages it, and what it begins with. */
export function FirstVisit() {
  return (
    <main className="mt-5" style={{ maxWidth: 760 }}>
      <h1 className="fs-1">
        <PotMark /> {texts.halfPot}
      </h1>
      <p className="lead-line">{texts.kitchenYourOwnAll}</p>
      {/* What the browser stands in is known only there. */}
      {useHydrated() && <Beginning places={placesHere()} />}
    </main>
  );
}

function Beginning({ places }: { readonly places: Places }) {
  const router = useRouter();
  const keeping = useSaveForm(FirstTyped, { ...NOTHING, ...places.here }, async (typed) => {
    const answer = await openKitchen(typed);
    if (answer.ok) router.push('/pot');
    return answer;
  });
  const { form, busy, kept, message } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <Row className="g-3 my-1">
        <Col sm={8}>
          <FormField {...{ form, name: 'name', label: texts.whatKitchenCalled }} autoFocus />
        </Col>
        <Col sm={4}>
          <FormField {...{ form, name: 'word', label: texts.wordCommandPrinted }} />
        </Col>
        <Col sm={6}>
          <FormField {...{ form, name: 'manager', label: texts.yourNameFirstManager }} />
        </Col>
        <Col sm={6}>
          <FormField
            {...{ form, name: 'password', label: texts.yourPassword }}
            type="password"
            autoComplete="new-password"
            placeholder={texts.least8Characters}
          />
        </Col>
        <Col sm={4}>
          <SelectField form={form} name="currency" label={texts.currency} list={places.currencies} />
        </Col>
        <Col sm={4}>
          <SelectField form={form} name="locale" label={texts.numberDateFormat} list={places.locales} />
        </Col>
        <Col sm={4}>
          <SelectField form={form} name="zone" label={texts.timeZone} list={places.zones} />
        </Col>
        <Col sm={12}>
          <WhichCups form={form} />
        </Col>
      </Row>
      <Begins form={form} />
      <Button type="submit" className="mt-3" disabled={busy || kept}>
        {busy || kept ? texts.opening : texts.openKitchen}
      </Button>
      <TroubleText says={message} />
    </SaveForm>
  );
}

const WhichCups = ({ form }: { readonly form: TheForm }) => (
  <Form.Group controlId="units">
    <Form.Label>{texts.amountsCupsSpoons}</Form.Label>
    <Form.Select {...form.register('units')}>
      {(['metric', 'us', 'imperial'] satisfies Cups[]).map((of) => (
        <option key={of} value={of}>
          {CUP_WORDS[of]}
        </option>
      ))}
    </Form.Select>
  </Form.Group>
);

const BEGINS = [
  ['empty', texts.emptyFirstPotSheet],
  ['demo', texts.copyDemoTryThings],
  ['file', texts.fromKitchenFile],
] as const;

/** What of the fields above does not count where it does not begin empty. */
const KEEPS = {
  demo: texts.pricesStayEuroFigures,
  file: texts.nameCurrencyFiguresZone,
} as const;

function Begins({ form }: { readonly form: TheForm }) {
  const begins = form.watch('begins');
  return (
    <fieldset className="mt-3">
      <legend className="fs-6 mb-2">{texts.start}</legend>
      {BEGINS.map(([value, words]) => (
        <Form.Check
          key={value}
          type="radio"
          id={`begins-${value}`}
          value={value}
          label={words}
          {...form.register('begins')}
        />
      ))}
      {begins === 'file' && (
        <Form.Group controlId="kitchen-file" className="mt-2">
          <Form.Label visuallyHidden>{texts.kitchenFile}</Form.Label>
          <Form.Control
            type="file"
            accept=".json,application/json"
            isInvalid={form.formState.errors.file !== undefined}
            onChange={(event) => {
              const chosen = (event.target as HTMLInputElement).files?.[0];
              void chosen?.text().then((text) => form.setValue('file', text));
            }}
          />
        </Form.Group>
      )}
      {begins !== 'empty' && <p className="quiet small-line mb-0">{KEEPS[begins]}</p>}
      <TroubleText says={form.formState.errors.file?.message} />
    </fieldset>
  );
}
