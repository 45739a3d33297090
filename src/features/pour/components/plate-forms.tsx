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

const Named = z.object({ name: z.string().trim().min(1, 'What is the dish called?'), size: z.string() });

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
      <FormField {...{ form, name: 'name', label: 'What it is called' }} />
      {parent ? (
        <>
          <FormField {...{ form, name: 'size', label: `How much of each portion of ${parent.name}` }} />
          <p className="quiet small-line m-0">
            Its tax is that dish’s. What is left empty here is as it is there.
          </p>
        </>
      ) : (
        <FormField {...{ form, name: 'tax', label: 'Tax in its price, %' }} placeholder="0" />
      )}
      <FormField
        {...{ form, name: 'target', label: 'Target food cost, % of the net price' }}
        placeholder={parent ? asThere(parent.targetFoodCostPct, 'no target') : 'no target'}
      />
      <Form.Group controlId="service">
        <Form.Label>How it is served</Form.Label>
        <Form.Select {...form.register('service')}>
          <option value="">{parent ? 'as there' : 'as it may be'}</option>
          {SERVICES.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <FormField
        {...{ form, name: 'loss', label: 'Lost in service, % of what is made up' }}
        placeholder={parent ? asThere(parent.serviceLossPct, 'as usual here') : 'as usual here'}
      />
      <FormField
        {...{ form, name: 'minutes', label: 'Labour minutes to plate it' }}
        placeholder={parent ? asThere(parent.hands?.minutes, 'not counted') : 'not counted'}
      />
      <FormField
        {...{ form, name: 'plates', label: 'Dishes put together in them' }}
        placeholder="1, each to order"
      />
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

/** What counts where a size says nothing. */
const asThere = (there: number | undefined, nothing: string): string =>
  there === undefined ? nothing : `as there, ${there}`;

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
      <FormField {...{ form, name: 'name', label: 'What the dish is called' }} autoFocus />
      {asSize && (
        <>
          <FormField {...{ form, name: 'size', label: 'How much of each portion' }} placeholder="half" />
          <p className="quiet small-line m-0">
            Such as half, 60 % or 1.5. It follows the dish but for what it then says itself.
          </p>
        </>
      )}
      <Button type="submit" disabled={busy || kept}>
        {busy || kept ? 'Opening …' : 'Open the dish'}
      </Button>
      <TroubleText says={message} />
    </SaveForm>
  );
}
