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
import * as texts from './texts';

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
      <FormField {...{ form, name: 'overfill', label: texts.overfilled }} placeholder={texts.noOverfill} />
      <FormField {...{ form, name: 'taken', label: texts.sideHowMuchGuests }} placeholder={texts.all} />
      <p className="quiet small-line m-0">{texts.whatTheyLeaveGoes}</p>
      {'ingredient' in line.of && line.followed === undefined && (
        <Form.Check id="packaging" label={texts.packagingJarLidBox} {...form.register('packaging')} />
      )}
      <SaveButton of={keeping} />
    </SaveForm>
  );
}

const Named = z.object({ name: z.string().trim().min(1, texts.whatSmallPotCalled) });

/** Finishes it in a small pot of its own, plate by plate. */
export function FinishForm({ line, data: { plate }, version }: OfLine) {
  const router = useRouter();
  const named = { name: texts.forText(line.name, plate.name).slice(0, 100) };
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
    <section className="mt-4" aria-label={texts.finishedSmallPot}>
      <h3 className="fs-6">{texts.finishedSmallPotOrder}</h3>
      <p className="quiet small-line">{texts.potSheetWhoseBatch}</p>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: texts.whatSmallPotCalledHeading }} />
        <Button type="submit" variant="plain" disabled={busy}>
          {texts.finishSmallPot}
        </Button>
        <TroubleText says={message} />
      </SaveForm>
    </section>
  );
}
