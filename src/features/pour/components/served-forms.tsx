'use client';

import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { z } from 'zod';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { servedTyped } from '../head-typed';
import type { PlateData } from '../queries';
import { finishLine, saveLineServed } from '../send';
import { LineServed } from '../wire';

/** A line of a plate, and the version of the plate that is on the screen. */
export interface OfLine {
  readonly line: PlateData['lines'][number];
  readonly data: PlateData;
  readonly version: () => number;
}

/** Says how a line is served, beyond its portion. */
export function ServedForm({
  line,
  data: { plate, mark },
  version,
  close,
}: OfLine & { readonly close: () => void }) {
  const keeping = useSaveForm(LineServed, servedTyped(line, mark), async (typed, _form, seen) => {
    const answer = await saveLineServed({
      id: plate.id,
      line: line.id,
      seen: Math.max(seen ?? 0, version()),
      ...typed,
    });
    if (answer.ok) close();
    return answer;
  });
  const { form } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField
        {...{ form, name: 'overfill', label: 'More goes on than its portion, %' }}
        placeholder="none"
      />
      <FormField
        {...{ form, name: 'taken', label: 'On the side: how much of it guests take, %' }}
        placeholder="all of it"
      />
      <p className="quiet small-line m-0">What they leave goes back to the store and is not counted.</p>
      {'ingredient' in line.of && line.followed === undefined && (
        <Form.Check
          id="packaging"
          label="It is packaging: a jar, a lid, a box"
          {...form.register('packaging')}
        />
      )}
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

const Named = z.object({ name: z.string().trim().min(1, 'What is the small pot called?') });

/** Finishes it in a small pot of its own, plate by plate. */
export function FinishForm({ line, data: { plate }, version }: OfLine) {
  const router = useRouter();
  const named = { name: `${line.name} for ${plate.name}`.slice(0, 100) };
  const keeping = useSaveForm(Named, named, async ({ name }, _form, seen) => {
    const answer = await finishLine({
      id: plate.id,
      line: line.id,
      name,
      seen: Math.max(seen ?? 0, version()),
    });
    if (answer.ok) router.push(`/pot/${answer.value.pot}`);
    return answer;
  });
  const { form, busy, message } = keeping;
  return (
    <section className="mt-4" aria-label="Finished in a small pot">
      <h3 className="fs-6">Finished in a small pot, to order</h3>
      <p className="quiet small-line">
        A pot sheet whose batch is one dish, for what is reduced, mounted or seasoned to order. It starts with
        what is in the dish here, and the dish takes a batch of it.
      </p>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: 'What the small pot is called' }} />
        <Button type="submit" variant="plain" disabled={busy}>
          Finish it in a small pot
        </Button>
        <TroubleText says={message} />
      </SaveForm>
    </section>
  );
}
