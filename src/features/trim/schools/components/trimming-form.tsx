import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import { FormField } from '@/ui/form-field';
import { KeptForm } from '@/ui/kept-form';
import { Trouble } from '@/ui/trouble';
import { SCHOOL_WORDS } from '../../words';
import type { SchoolsPage } from '../queries';
import type { Trimming } from './use-trimming';

interface Props {
  readonly page: SchoolsPage;
  readonly trimming: Trimming;
}

const FIGURES = [
  ['setValue', 'A kilo of trim at its set value', 'Set value of a kilo of trim'],
  ['wage', 'An hour of hands', 'An hour of hands costs'],
  ['electricity', 'A kilowatt hour of electricity', 'A kilowatt hour of electricity costs'],
  ['gas', '… and of gas', 'A kilowatt hour of gas costs'],
] as const;

/** What holds for the whole kitchen: its set value, wage and tariffs, how it learns, where its scale is. */
export function TrimmingForm({ page, trimming }: Props) {
  const { form, submit, read } = trimming;
  const fixed = !page.mayEdit;
  return (
    <KeptForm className="stacked" submit={submit}>
      <h2>This kitchen</h2>
      {FIGURES.map(([name, label, called]) => (
        <FormField key={name} {...{ form, name, label, called }} className="fig" disabled={fixed} />
      ))}
      <Trouble says={read.ok ? undefined : read.trouble.message} />
      <Form.Group controlId="learning">
        <Form.Label>What tests have taught</Form.Label>
        <Form.Select disabled={fixed} {...form.register('learning')}>
          <option value="ask">waits until a manager accepts it</option>
          <option value="at once">counts as soon as a test is finished</option>
        </Form.Select>
      </Form.Group>
      <FormField
        {...{ form, name: 'scale', label: 'The bench scale answers at' }}
        placeholder="no scale"
        disabled={fixed}
      />
      <Keeping page={page} trimming={trimming} />
    </KeptForm>
  );
}

/** The button, what became of it, and what the set value is for. */
function Keeping({ page, trimming }: Props) {
  const { school, changed, busy, kept, message, read, value, question } = trimming;
  const { money } = useFigures();
  return (
    <>
      {page.mayEdit && (
        <Button type="submit" disabled={!changed || busy || !read.ok}>
          {question
            ? 'It is right: keep it'
            : school === page.school
              ? 'Keep it'
              : `Cost ${SCHOOL_WORDS[school].name.toLowerCase()} from now on`}
        </Button>
      )}
      {kept && (
        <span role="status" className="small-line cheaper">
          ✓ kept
        </span>
      )}
      <Trouble says={message ?? question} />
      <p className="quiet small-line m-0">
        {money(value)} a kilo counts where an ingredient has no set value of its own. Hands judge a second
        pass; hands and energy stand beside the ingredients of every litre.
      </p>
    </>
  );
}
