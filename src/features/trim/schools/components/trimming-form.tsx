import Button from 'react-bootstrap/Button';
import { useFigures } from '@/ui/figures';
import { Trouble } from '@/ui/trouble';
import { SCHOOL_WORDS } from '../../words';
import type { SchoolsPage } from '../queries';
import type { Trimming } from './use-trimming';

interface Props {
  readonly page: SchoolsPage;
  readonly form: Trimming;
}

const COSTS = [
  ['wage', 'An hour of hands', 'An hour of hands costs'],
  ['electricity', 'A kilowatt hour of electricity', 'A kilowatt hour of electricity costs'],
  ['gas', '… and of gas', 'A kilowatt hour of gas costs'],
] as const;

/** What holds for the whole kitchen: its set value, wage and tariffs, how it learns, where its scale is. */
export function TrimmingForm({ page, form }: Props) {
  const { typed, type, read } = form;
  return (
    <form
      className="trimming-form"
      onSubmit={(event) => {
        event.preventDefault();
        form.keep();
      }}
    >
      <h2>This kitchen</h2>
      <label>
        A kilo of trim at its set value
        <input
          className="typed"
          aria-label="Set value of a kilo of trim"
          aria-invalid={read.ok ? undefined : true}
          disabled={!page.mayEdit}
          value={typed.setValue}
          onChange={(event) => type({ setValue: event.target.value })}
        />
      </label>
      <Trouble says={read.ok ? undefined : read.trouble.message} />
      {COSTS.map(([of, label, aria]) => (
        <Typed key={of} label={label} aria={aria} of={of} form={form} disabled={!page.mayEdit} />
      ))}
      <label>
        What tests have taught
        <select
          className="form-select"
          aria-label="What tests have taught"
          value={typed.learning}
          disabled={!page.mayEdit}
          onChange={(event) => type({ learning: event.target.value as typeof typed.learning })}
        >
          <option value="ask">waits until a manager accepts it</option>
          <option value="at once">counts as soon as a test is finished</option>
        </select>
      </label>
      <label>
        The bench scale answers at
        <input
          className="typed typed-text"
          aria-label="The bench scale answers at"
          placeholder="no scale"
          disabled={!page.mayEdit}
          value={typed.scale}
          onChange={(event) => type({ scale: event.target.value })}
        />
      </label>
      <Keeping page={page} form={form} />
    </form>
  );
}

function Typed({
  label,
  aria,
  of,
  form: { typed, type },
  disabled,
}: {
  readonly label: string;
  readonly aria: string;
  readonly of: 'wage' | 'electricity' | 'gas';
  readonly form: Trimming;
  readonly disabled: boolean;
}) {
  return (
    <label>
      {label}
      <input
        className="typed"
        aria-label={aria}
        disabled={disabled}
        value={typed[of]}
        onChange={(event) => type({ [of]: event.target.value })}
      />
    </label>
  );
}

/** The button, what became of it, and what the set value is for. */
function Keeping({ page, form: { typed, changed, state, read, value } }: Props) {
  const { money } = useFigures();
  return (
    <>
      {page.mayEdit && (
        <Button type="submit" disabled={!changed || state.busy || !read.ok}>
          {typed.school === page.school
            ? 'Keep it'
            : `Cost ${SCHOOL_WORDS[typed.school].name.toLowerCase()} from now on`}
        </Button>
      )}
      {state.kept && !changed && (
        <span role="status" className="kept">
          ✓ kept
        </span>
      )}
      <Trouble says={state.message} />
      <p className="quiet small-line">
        {money(value)} a kilo counts where an ingredient has no set value of its own. Hands judge a second
        pass; hands and energy stand beside the ingredients of every litre.
      </p>
    </>
  );
}
