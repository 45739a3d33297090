'use client';

import Stack from 'react-bootstrap/Stack';
import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useController, type UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import { DayField } from '@/ui/forms/day-field';
import { FormField } from '@/ui/forms/form-field';
import { useSave } from '@/ui/forms/use-save';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { dropList, requestPreview, PreviewRequest } from '../wire';
import type { ListPage } from '../queries';
import type { ColumnsAsked } from '../lists';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

const KEYS = [
  ['code', texts.code],
  ['name', texts.what],
  ['pack', texts.howPacked],
  ['unit', texts.packsUnitIfApart],
  ['price', texts.netPrice],
] as const;

/** Which column is what: asked once for each supplier, and remembered. */
export function ChooseColumns({ page, asked }: { page: ListPage; asked: ColumnsAsked }) {
  const router = useRouter();
  const [keep, state] = useSave();
  const { guess } = asked;
  const keeping = useSaveForm(
    PreviewRequest,
    {
      id: page.list.id,
      on: page.list.on ?? page.today,
      odd: String(Math.round(page.list.oddShare * 1000) / 10),
      columns: { ...guess, price: guess.price ?? '' },
    },
    async (typed) => {
      const answer = await requestPreview(typed);
      if (answer.ok) router.push(`/buy/lists/${page.list.id}`);
      return answer;
    },
  );
  const { form, busy, message } = keeping;
  return (
    <SaveForm of={keeping}>
      <h2>{texts.whichColumnWhat}</h2>
      <Stack direction="horizontal" gap={3} className="fields flex-wrap align-items-end my-3">
        <Heads form={form} heads={asked.heads} />
        <Form.Group controlId="mark">
          <Form.Label>{texts.decimalMark}</Form.Label>
          <Form.Select
            aria-label={texts.decimalMarkHeading}
            {...form.register('columns.mark', { setValueAs: (v: '.' | ',' | '') => v || undefined })}
          >
            <option value="">{texts.sayWhich}</option>
            <option value=".">{texts.point1250}</option>
            <option value=",">{texts.comma1250}</option>
          </Form.Select>
        </Form.Group>
        <HoldsFrom form={form} />
        <FormField
          {...{ form, name: 'odd', label: texts.flagChangesOver, called: texts.flagChangesOverHeading }}
          htmlSize={6}
        />
      </Stack>
      <Sample asked={asked} />
      <Stack direction="horizontal" gap={3} className="flex-wrap mt-3">
        <Button type="submit" disabled={busy}>
          {texts.preview}
        </Button>
        <Button
          variant="plain"
          onClick={() =>
            void keep(() => dropList({ id: page.list.id })).then((ok) => ok && router.push('/buy/lists'))
          }
        >
          {texts.discardList}
        </Button>
        <TroubleText as="span" says={message ?? form.formState.errors.columns?.message ?? state.message} />
      </Stack>
    </SaveForm>
  );
}

/** Which head stands for what. */
function Heads({
  form,
  heads,
}: {
  readonly form: UseFormReturn<z.infer<typeof PreviewRequest>>;
  readonly heads: readonly string[];
}) {
  return (
    <>
      {KEYS.map(([key, words]) => (
        <Form.Group key={key} controlId={`column-${key}`}>
          <Form.Label>{words}</Form.Label>
          <Form.Select
            aria-label={texts.column(words)}
            {...form.register(`columns.${key}`, {
              setValueAs: (v: string) => v || (key === 'price' ? '' : undefined),
            })}
          >
            <option value="">{texts.notList}</option>
            {heads.map((h) => (
              <option key={h} value={h}>
                {h}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      ))}
    </>
  );
}

function HoldsFrom({ form }: { readonly form: UseFormReturn<z.infer<typeof PreviewRequest>> }) {
  const { field, fieldState } = useController({ control: form.control, name: 'on' });
  return (
    <div>
      <Form.Label>{texts.pricesHoldFrom}</Form.Label>
      <DayField
        free
        label={texts.pricesHoldFromHeading}
        value={field.value}
        inputRef={field.ref}
        onChange={field.onChange}
      />
      <TroubleText as="span" says={fieldState.error?.message} />
    </div>
  );
}

/** The first rows as they stand in the file. */
function Sample({ asked }: { readonly asked: ColumnsAsked }) {
  return (
    <SheetTable>
      <thead>
        <tr>
          {asked.heads.map((h) => (
            <th key={h} scope="col" className="left">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {asked.sample.map((row, i) => (
          <tr key={i}>
            {asked.heads.map((h, j) => (
              <td key={h} className="left text-truncate" style={{ maxWidth: 190 }}>
                {row[j] ?? ''}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </SheetTable>
  );
}
