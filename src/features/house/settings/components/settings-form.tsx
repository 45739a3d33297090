'use client';

import Col from 'react-bootstrap/Col';
import Form from 'react-bootstrap/Form';
import Row from 'react-bootstrap/Row';
import type { UseFormReturn } from 'react-hook-form';
import { over } from '@/wire';
import { useHydrated } from '@/ui/forms/use-hydrated';
import { TheirValue } from '@/ui/forms/edit-conflict';
import type { ComboOption } from '@/ui/forms/combo';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { SelectField } from '../../components/select-field';
import { placesHere, type Places } from '../../first/components/places';
import type { HousePage } from '../../queries';
import { useFormatters } from '@/ui/formatters-context';
import { BESIDE, saveSettings, SettingsTyped } from '../wire';

type TheForm = UseFormReturn<SettingsTyped>;

/** What the kitchen is called and counts in, what plates begin with, and what its cooks may. */
export function Settings({ page }: { readonly page: HousePage }) {
  // The names of currencies and zones are the browser's own.
  return (
    <section aria-labelledby="settings">
      <h2 id="settings">Name, money, figures</h2>
      {useHydrated() && <SettingsForm page={page} places={placesHere()} />}
    </section>
  );
}

const withOwn = (list: readonly ComboOption[], id: string): readonly ComboOption[] =>
  list.some((c) => c.id === id) ? list : [{ id, name: id }, ...list];

function SettingsForm({ page, places }: { readonly page: HousePage; readonly places: Places }) {
  const { settings } = page;
  const keeping = useSaveForm(
    SettingsTyped,
    settings,
    (typed, _form, seen) => saveSettings({ ...typed, ...over(seen) }),
    ({ currency }) =>
      currency === settings.currency
        ? undefined
        : `Every price stays the figure it is, and is read as ${currency} from now on. Is that meant?`,
    { version: page.version },
  );
  const { form } = keeping;
  return (
    <SaveForm of={keeping}>
      <Row className="g-3">
        <Col sm={6}>
          <FormField
            {...{ form, name: 'name', label: 'What the kitchen is called' }}
            disabled={!page.mayEdit}
          />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="zone"
            label="Time zone"
            list={withOwn(places.zones, settings.zone)}
          />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="currency"
            label="Currency"
            list={places.currencies}
          />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="locale"
            label="Number and date format"
            list={withOwn(places.locales, settings.locale)}
          />
        </Col>
        <NewPlates form={form} page={page} />
        <HouseRules form={form} page={page} />
      </Row>
      {page.mayEdit && <SaveButton of={keeping} className="mt-3" />}
    </SaveForm>
  );
}

const LAYER_WORDS = {
  energy: 'energy',
  hands: 'labour',
  packaging: 'packaging',
} as const;
/** Of a week that begins on a Monday, in the words of the browser. */
const weekday = (n: number, locale: string): string =>
  new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' }).format(Date.UTC(2024, 0, n));

/** What is looked at and kept to here: units, layers, limits for cooling, closed days. */
function HouseRules({ form, page }: { readonly form: TheForm; readonly page: HousePage }) {
  const fixed = !page.mayEdit;
  return (
    <>
      <Col sm={6}>
        <Form.Group controlId="shown-in">
          <Form.Label>Amounts are shown in</Form.Label>
          <Form.Select disabled={fixed} {...form.register('shownIn')}>
            <option value="metric">kilos and litres</option>
            <option value="us">pounds and US quarts</option>
            <option value="imperial">pounds and imperial pints</option>
          </Form.Select>
          <Form.Text>Costs are still shown per kilo and per litre.</Form.Text>
          <TheirValue form={form} name="shownIn" />
        </Form.Group>
      </Col>
      <Col sm={6}>
        <fieldset disabled={fixed}>
          <legend className="form-label">Also shown</legend>
          {BESIDE.map((layer) => (
            <Form.Check
              key={layer}
              inline
              id={`layer-${layer}`}
              label={LAYER_WORDS[layer]}
              value={layer}
              {...form.register('layers')}
            />
          ))}
        </fieldset>
      </Col>
      <ColdAndHot form={form} fixed={fixed} />
      <Closed form={form} fixed={fixed} />
      <Losses form={form} fixed={fixed} />
      <Col sm={6}>
        <FormField
          {...{ form, name: 'strainers', label: 'Strainers of your own, and what stays in each' }}
          placeholder="superbag 60 ml; cone sieve 200 ml"
          disabled={fixed}
        />
        <Form.Text>
          Said on a sheet as “strain through a superbag”. A ladle is a measure: Buy, Larder.
        </Form.Text>
      </Col>
      <Col sm={6}>
        <FormField
          {...{ form, name: 'walls', label: 'On the walls of a pot that is poured out, times what is usual' }}
          placeholder="1"
          disabled={fixed}
        />
        <Form.Text>More where pots are tipped and not scraped.</Form.Text>
      </Col>
    </>
  );
}

/** Limits for cooling, rules for hot food, and the probe that is read beside them. */
const ColdAndHot = ({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) => (
  <>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'cooling', label: 'A pot is cooled to' }}
        placeholder="21 °C in 2 h; 5 °C in 6 h"
        disabled={fixed}
      />
      <Form.Text>A sheet warns where its chilling takes longer.</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'warm', label: 'Hot food is' }}
        placeholder="reheated to 75 °C in 1 h; held at 63 °C"
        disabled={fixed}
      />
      <Form.Text>At the stove a probe is read beside it. The food-safety plan comes first.</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'night', label: 'For the night may stand on the heat' }}
        placeholder="electricity at bare simmer; back at 06:00"
        disabled={fixed}
      />
      <Form.Text>A pot that is left alone is told so beside it, and how it will stand.</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'probe', label: 'The probe of the stove answers at' }}
        placeholder="http://127.0.0.1:4192"
        disabled={fixed}
      />
      <Form.Text>Then its degrees are taken instead of typed.</Form.Text>
    </Col>
  </>
);

/** What is lost in each way of serving. */
const Losses = ({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) => (
  <Col sm={12}>
    <FormField
      {...{ form, name: 'losses', label: 'Lost in service, of what is made up' }}
      placeholder="banquet 6 %; staff 10 %"
      disabled={fixed}
    />
    <Form.Text>Counts for dishes that are served so and say nothing themselves.</Form.Text>
  </Col>
);

/** Weekdays and single days on which nobody works here. */
function Closed({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) {
  const { locale } = useFormatters();
  return (
    <Col sm={6}>
      <fieldset disabled={fixed}>
        <legend className="form-label">Closed on</legend>
        {[1, 2, 3, 4, 5, 6, 7].map((n) => (
          <Form.Check
            key={n}
            inline
            id={`closed-${n}`}
            label={weekday(n, locale)}
            value={String(n)}
            {...form.register('weekdays')}
          />
        ))}
      </fieldset>
      <FormField
        {...{ form, name: 'days', label: 'and on single days', hideLabel: true }}
        placeholder="2026-12-25, 2026-12-26"
        disabled={fixed}
      />
    </Col>
  );
}

/** What a new plate begins with, and what cooks may. */
const NewPlates = ({ form, page }: { readonly form: TheForm; readonly page: HousePage }) => (
  <>
    <Col sm={3}>
      <FormField
        {...{ form, name: 'tax', label: 'Tax on a new dish, %' }}
        placeholder="0"
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={3}>
      <FormField
        {...{ form, name: 'target', label: 'Target food cost, %' }}
        placeholder="no target"
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={6}>
      <Form.Group controlId="cooks">
        <Form.Label>Cooks may change</Form.Label>
        <Form.Select disabled={!page.mayEdit} {...form.register('cooks')}>
          <option value="own work">their own work: tests, waste, saved costings</option>
          <option value="recipes and prices">recipes, dishes and prices too</option>
        </Form.Select>
        <TheirValue form={form} name="cooks" />
      </Form.Group>
    </Col>
  </>
);
