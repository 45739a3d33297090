'use client';

import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { z } from 'zod';
import { SERVICES } from '@/core/kitchen-file';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { headTyped } from '../head-typed';
import type { PlateData } from '../queries';
import { savePlateHead, makePlate } from '../send';
import { PlateHead } from '../wire';
import * as texts from './texts';

const Named = z.object({ name: z.string().trim().min(1, texts.whatDishCalled), size: z.string() });

/** A plate’s name, tax and target, and how it is served. */
export function HeadForm({
  data: { plate, written, parent, mark },
  version,
  close,
}: {
  readonly data: PlateData;
  readonly version: () => number;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(PlateHead, headTyped(written, mark), async (typed, _form, seen) => {
    const answer = await savePlateHead({ id: plate.id, seen: Math.max(seen ?? 0, version()), ...typed });
    if (answer.ok) close();
    return answer;
  });
  const { form } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.whatCalled }} />
      {parent ? (
        <>
          <FormField {...{ form, name: 'size', label: texts.howMuchEachPortionNamed(parent.name) }} />
          <p className="quiet small-line m-0">{texts.taxDishsLeaveField}</p>
        </>
      ) : (
        <FormField {...{ form, name: 'tax', label: texts.taxPrice }} placeholder="0" />
      )}
      <FormField
        {...{ form, name: 'target', label: texts.targetFoodCostNet }}
        placeholder={parent ? asThere(parent.targetFoodCostPct, texts.noTarget) : texts.noTarget}
      />
      <Form.Group controlId="service">
        <Form.Label>{texts.howServed}</Form.Label>
        <Form.Select {...form.register('service')}>
          <option value="">{parent ? texts.asThere : texts.may}</option>
          {SERVICES.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <FormField
        {...{ form, name: 'loss', label: texts.lostServiceWhatPlated }}
        placeholder={parent ? asThere(parent.serviceLossPct, texts.usualHere) : texts.usualHere}
      />
      <FormField
        {...{ form, name: 'minutes', label: texts.labourMinutesPlate }}
        placeholder={parent ? asThere(parent.hands?.minutes, texts.notCounted) : texts.notCounted}
      />
      <FormField
        {...{ form, name: 'plates', label: texts.dishesPlatedOnce }}
        placeholder={texts.oneEachToOrder}
      />
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

/** What counts where a size says nothing. */
const asThere = (there: number | undefined, nothing: string): string =>
  there === undefined ? nothing : texts.asThereThere(there);

/** A plate that was not there: empty, like another, or another size of one. */
export function NewPlateForm({
  like,
  asSize = false,
}: {
  readonly like: string | null;
  readonly asSize?: boolean;
}) {
  const router = useRouter();
  const keeping = useSaveForm(Named, { name: '', size: asSize ? 'half' : '' }, async ({ name, size }) => {
    const answer = await makePlate({ name, like, ...(asSize ? { size } : {}) });
    if (answer.ok) router.push(`/pour/${answer.value.id}`);
    return answer;
  });
  const { form, busy, kept, message } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.whatDishCalledHeading }} autoFocus />
      {asSize && (
        <>
          <FormField {...{ form, name: 'size', label: texts.howMuchEachPortion }} placeholder={texts.half} />
          <p className="quiet small-line m-0">{texts.suchHalf60Or}</p>
        </>
      )}
      <Button type="submit" disabled={busy || kept}>
        {busy || kept ? texts.opening : texts.openDish}
      </Button>
      <TroubleText says={message} />
    </SaveForm>
  );
}
