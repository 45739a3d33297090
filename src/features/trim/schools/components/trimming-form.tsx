'use client';

import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { useFormatters } from '@/ui/formatters-context';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { Panel } from '@/ui/panels/panel';
import { TroubleText } from '@/ui/forms/trouble-text';
import { SCHOOL_WORDS } from '../../words';
import type { SchoolsPage } from '../queries';
import { useTrimming, type Trimming } from './use-trimming';
import * as texts from './texts';

interface Props {
  readonly page: SchoolsPage;
  readonly trimming: Trimming;
}

const FIGURES = [
  ['setValue', texts.kiloTrimSetValue, texts.setValueKiloTrim],
  ['wage', texts.labourPerHour, texts.hourLabourCosts],
  ['electricity', texts.kilowattHourElectricity, texts.kilowattHourElectricityCosts],
  ['gas', texts.gas, texts.kilowattHourGasCosts],
] as const;

/** The same away from its station: with the school in it, which stands over the plates there. */
export function TrimmingHere({ page }: { readonly page: SchoolsPage }) {
  const trimming = useTrimming(page);
  return (
    <Panel as="section" aria-label={texts.howKitchenTrims}>
      <Form.Group controlId="school-here" className="mb-2">
        <Form.Label>
          {texts.howTrimCosted} <Link href="/trim/schools">{texts.threeDishes}</Link>
        </Form.Label>
        <Form.Select
          value={trimming.school}
          disabled={!page.mayEdit}
          onChange={(event) => trimming.choose(event.target.value as TrimSchool)}
        >
          {TRIM_SCHOOLS.map((s) => (
            <option key={s} value={s}>
              {SCHOOL_WORDS[s].name}: {SCHOOL_WORDS[s].says}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <TrimmingForm page={page} trimming={trimming} />
    </Panel>
  );
}

/** What holds for the whole kitchen: its set value, wage and tariffs, how it learns, where its scale is. */
export function TrimmingForm({ page, trimming }: Props) {
  const { form, read } = trimming;
  const fixed = !page.mayEdit;
  return (
    <SaveForm className="stacked" of={trimming}>
      <h2>{texts.trimLabourEnergy}</h2>
      <TheirValue form={form} name="school" say={(is) => SCHOOL_WORDS[is as TrimSchool].name} />
      {FIGURES.map(([name, label, called]) => (
        <FormField key={name} {...{ form, name, label, called }} className="fig" disabled={fixed} />
      ))}
      <TroubleText says={read.ok ? undefined : read.trouble.message} />
      <Form.Group controlId="learning">
        <Form.Label>{texts.learnedFromYieldTests}</Form.Label>
        <Form.Select disabled={fixed} {...form.register('learning')}>
          <option value="ask">{texts.waitsUntilManagerAccepts}</option>
          <option value={texts.once}>{texts.countsSoonTestFinished}</option>
        </Form.Select>
        <TheirValue form={form} name="learning" />
      </Form.Group>
      <FormField
        {...{ form, name: 'scale', label: texts.addressScale }}
        placeholder={texts.noScale}
        disabled={fixed}
      />
      <Keeping page={page} trimming={trimming} />
    </SaveForm>
  );
}

/** The button, what became of it, and what the set value is for. */
function Keeping({ page, trimming }: Props) {
  const { school, changed, busy, kept, message, read, value, question } = trimming;
  const { money } = useFormatters();
  return (
    <>
      {page.mayEdit && (
        <Button type="submit" disabled={!changed || busy || !read.ok}>
          {question
            ? texts.yesSave
            : school === page.school
              ? texts.save
              : texts.costFromNow(SCHOOL_WORDS[school].name.toLowerCase())}
        </Button>
      )}
      {kept && (
        <span role="status" className="small-line cheaper">
          {texts.saved}
        </span>
      )}
      <TroubleText says={message ?? question} />
      <p className="quiet small-line m-0">{texts.perKiloUsedIngredients(money(value))}</p>
    </>
  );
}
