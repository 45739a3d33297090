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

interface Props {
  readonly page: SchoolsPage;
  readonly trimming: Trimming;
}

const FIGURES = [
  ['setValue', 'A kilo of trim at its set value', 'Set value of a kilo of trim'],
  ['wage', 'Labour per hour', 'An hour of labour costs'],
  ['electricity', 'A kilowatt hour of electricity', 'A kilowatt hour of electricity costs'],
  ['gas', '… and of gas', 'A kilowatt hour of gas costs'],
] as const;

/** The same away from its station: with the school in it, which stands over the plates there. */
export function TrimmingHere({ page }: { readonly page: SchoolsPage }) {
  const trimming = useTrimming(page);
  return (
    <Panel as="section" aria-label="How this kitchen trims">
      <Form.Group controlId="school-here" className="mb-2">
        <Form.Label>
          How trim is costed, as on <Link href="/trim/schools">three dishes</Link>
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
      <h2>Trim, labour, energy</h2>
      <TheirValue form={form} name="school" say={(is) => SCHOOL_WORDS[is as TrimSchool].name} />
      {FIGURES.map(([name, label, called]) => (
        <FormField key={name} {...{ form, name, label, called }} className="fig" disabled={fixed} />
      ))}
      <TroubleText says={read.ok ? undefined : read.trouble.message} />
      <Form.Group controlId="learning">
        <Form.Label>Learned from yield tests</Form.Label>
        <Form.Select disabled={fixed} {...form.register('learning')}>
          <option value="ask">waits until a manager accepts it</option>
          <option value="at once">counts as soon as a test is finished</option>
        </Form.Select>
        <TheirValue form={form} name="learning" />
      </Form.Group>
      <FormField
        {...{ form, name: 'scale', label: 'Address of the scale' }}
        placeholder="no scale"
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
            ? 'Yes, save it'
            : school === page.school
              ? 'Save'
              : `Cost ${SCHOOL_WORDS[school].name.toLowerCase()} from now on`}
        </Button>
      )}
      {kept && (
        <span role="status" className="small-line cheaper">
          ✓ saved
        </span>
      )}
      <TroubleText says={message ?? question} />
      <p className="quiet small-line m-0">
        {money(value)} per kilo is used for ingredients without a set value of their own. The wage decides
        whether a second pass pays. Labour and energy are shown beside the ingredients of every litre.
      </p>
    </>
  );
}
