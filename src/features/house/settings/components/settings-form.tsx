'use client';

import Button from 'react-bootstrap/Button';
import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import type { UseFormReturn } from 'react-hook-form';
import { useAlive } from '@/ui/alive';
import type { Choice } from '@/ui/combo';
import { FormField } from '@/ui/form-field';
import { KeptForm } from '@/ui/kept-form';
import { Trouble } from '@/ui/trouble';
import { useKeptForm } from '@/ui/use-kept-form';
import { Chosen } from '../../components/chosen';
import { placesHere, type Places } from '../../first/components/places';
import type { HousePage } from '../../queries';
import { keepSettings, SettingsTyped } from '../wire';

type TheForm = UseFormReturn<SettingsTyped>;

/** What the kitchen is called and counts in, what plates begin with, and what its cooks may. */
export function Settings({ page }: { readonly page: HousePage }) {
  // The names of currencies and zones are the browser's own.
  return (
    <section aria-labelledby="settings">
      <h2 id="settings">Name, money, figures</h2>
      {useAlive() && <SettingsForm page={page} places={placesHere()} />}
    </section>
  );
}

const withOwn = (list: readonly Choice[], id: string): readonly Choice[] =>
  list.some((c) => c.id === id) ? list : [{ id, name: id }, ...list];

function SettingsForm({ page, places }: { readonly page: HousePage; readonly places: Places }) {
  const { settings } = page;
  const { form, submit, busy, kept, message, question } = useKeptForm(
    SettingsTyped,
    settings,
    (typed) => keepSettings({ seen: page.version, ...typed }),
    ({ currency }) =>
      currency === settings.currency
        ? undefined
        : `Every price stays the figure it is, and is read as ${currency} from now on. Is that meant?`,
  );
  return (
    <KeptForm submit={submit}>
      <Row className="g-3">
        <Col sm={6}>
          <FormField
            {...{ form, name: 'name', label: 'What the kitchen is called' }}
            disabled={!page.mayEdit}
          />
        </Col>
        <Col sm={6}>
          <Chosen
            {...{ form, fixed: !page.mayEdit }}
            name="zone"
            label="Time zone"
            list={withOwn(places.zones, settings.zone)}
          />
        </Col>
        <Col sm={6}>
          <Chosen
            {...{ form, fixed: !page.mayEdit }}
            name="currency"
            label="Currency"
            list={places.currencies}
          />
        </Col>
        <Col sm={6}>
          <Chosen
            {...{ form, fixed: !page.mayEdit }}
            name="locale"
            label="Figures and days written as in"
            list={withOwn(places.locales, settings.locale)}
          />
        </Col>
        <NewPlates form={form} page={page} />
      </Row>
      {page.mayEdit && (
        <Button type="submit" className="mt-3" disabled={busy}>
          {question ? 'It is meant: keep it' : 'Keep it'}
        </Button>
      )}
      {kept && (
        <span role="status" className="small-line cheaper ms-2">
          ✓ kept
        </span>
      )}
      <Trouble says={message ?? question} />
    </KeptForm>
  );
}

/** What a new plate begins with, and what cooks may. */
const NewPlates = ({ form, page }: { readonly form: TheForm; readonly page: HousePage }) => (
  <>
    <Col sm={3}>
      <FormField
        {...{ form, name: 'tax', label: 'Tax on a new plate, %' }}
        placeholder="0"
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={3}>
      <FormField
        {...{ form, name: 'target', label: 'Its food may cost, %' }}
        placeholder="no target"
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={6}>
      <Form.Group controlId="cooks">
        <Form.Label>Cooks may change</Form.Label>
        <Form.Select disabled={!page.mayEdit} {...form.register('cooks')}>
          <option value="own work">their own work: tests, waste, kept costings</option>
          <option value="recipes and prices">recipes, plates and prices too</option>
        </Form.Select>
      </Form.Group>
    </Col>
  </>
);
