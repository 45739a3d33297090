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
import * as texts from './texts';

type TheForm = UseFormReturn<SettingsTyped>;

/** What the kitchen is called and counts in, what plates begin with, and what its cooks may. */
export function Settings({ page }: { readonly page: HousePage }) {
  // The names of currencies and zones are the browser's own.
  return (
    <section aria-labelledby="settings">
      <h2 id="settings">{texts.nameMoneyFigures}</h2>
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
    ({ currency }) => (currency === settings.currency ? undefined : texts.everyPriceStaysFigure(currency)),
    { version: page.version },
  );
  const { form } = keeping;
  return (
    <SaveForm of={keeping}>
      <Row className="g-3">
        <Col sm={6}>
          <FormField {...{ form, name: 'name', label: texts.whatKitchenCalled }} disabled={!page.mayEdit} />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="zone"
            label={texts.timeZone}
            list={withOwn(places.zones, settings.zone)}
          />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="currency"
            label={texts.currency}
            list={places.currencies}
          />
        </Col>
        <Col sm={6}>
          <SelectField
            {...{ form, fixed: !page.mayEdit }}
            name="locale"
            label={texts.numberDateFormat}
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
          <Form.Label>{texts.amountsShown}</Form.Label>
          <Form.Select disabled={fixed} {...form.register('shownIn')}>
            <option value="metric">{texts.kilosLitres}</option>
            <option value="us">{texts.poundsUsQuarts}</option>
            <option value="imperial">{texts.poundsImperialPints}</option>
          </Form.Select>
          <Form.Text>{texts.costsStillShownPer}</Form.Text>
          <TheirValue form={form} name="shownIn" />
        </Form.Group>
      </Col>
      <Col sm={6}>
        <fieldset disabled={fixed}>
          <legend className="form-label">{texts.alsoShown}</legend>
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
          {...{ form, name: 'strainers', label: texts.strainersYourOwnWhat }}
          placeholder={texts.superbag60MlCone}
          disabled={fixed}
        />
        <Form.Text>{texts.saidSheetStrainThrough}</Form.Text>
      </Col>
      <Col sm={6}>
        <FormField
          {...{ form, name: 'walls', label: texts.wallsPotPouredOut }}
          placeholder="1"
          disabled={fixed}
        />
        <Form.Text>{texts.moreWherePotsTipped}</Form.Text>
      </Col>
    </>
  );
}

/** Limits for cooling, rules for hot food, and the probe that is read beside them. */
const ColdAndHot = ({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) => (
  <>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'cooling', label: texts.potCooled }}
        placeholder={texts.example21C2H}
        disabled={fixed}
      />
      <Form.Text>{texts.sheetWarnsWhereChilling}</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'warm', label: texts.hotFood }}
        placeholder={texts.reheated75C1}
        disabled={fixed}
      />
      <Form.Text>{texts.stoveProbeReadBeside}</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'night', label: texts.mayStayHeatOvernight }}
        placeholder={texts.electricityBareSimmerBack}
        disabled={fixed}
      />
      <Form.Text>{texts.stoveShowsPotLeft}</Form.Text>
    </Col>
    <Col sm={6}>
      <FormField
        {...{ form, name: 'probe', label: texts.probeStoveAnswers }}
        placeholder={'http://127.0.0.1:4192'}
        disabled={fixed}
      />
      <Form.Text>{texts.thenDegreesTakenInstead}</Form.Text>
    </Col>
  </>
);

/** What is lost in each way of serving. */
const Losses = ({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) => (
  <Col sm={12}>
    <FormField
      {...{ form, name: 'losses', label: texts.lostServiceWhatPlated }}
      placeholder={texts.banquet6Staff10}
      disabled={fixed}
    />
    <Form.Text>{texts.countsDishesServedSay}</Form.Text>
  </Col>
);

/** Weekdays and single days on which nobody works here. */
function Closed({ form, fixed }: { readonly form: TheForm; readonly fixed: boolean }) {
  const { locale } = useFormatters();
  return (
    <Col sm={6}>
      <fieldset disabled={fixed}>
        <legend className="form-label">{texts.closed}</legend>
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
        {...{ form, name: 'days', label: texts.singleDays, hideLabel: true }}
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
        {...{ form, name: 'tax', label: texts.taxNewDish }}
        placeholder="0"
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={3}>
      <FormField
        {...{ form, name: 'target', label: texts.targetFoodCost }}
        placeholder={texts.noTarget}
        disabled={!page.mayEdit}
      />
    </Col>
    <Col sm={6}>
      <Form.Group controlId="cooks">
        <Form.Label>{texts.cooksMayChange}</Form.Label>
        <Form.Select disabled={!page.mayEdit} {...form.register('cooks')}>
          <option value={texts.ownWork}>{texts.theirOwnWorkTests}</option>
          <option value={texts.recipesPrices}>{texts.recipesDishesPricesToo}</option>
        </Form.Select>
        <TheirValue form={form} name="cooks" />
      </Form.Group>
    </Col>
  </>
);
