import type { UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import { over } from '@/wire';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { useFormatters } from '@/ui/formatters-context';
import { SheetTable } from '@/ui/tables/sheet-table';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import type { LabourRow, HousePage } from '../queries';
import { saveLabour } from '../send';
import { LabourTyped } from '../wire';
import * as texts from './texts';

type Typed = z.infer<typeof LabourTyped>;
type HandsForm = UseFormReturn<Typed>;
const COLUMNS = [
  ['fixed', texts.howeverLittle],
  ['perKg', texts.eachKilo],
  ['perL', texts.eachLitre],
] as const;

/** Minutes of hands by kind of step: what is usual stands in the empty field, what is typed is this kitchen's own. */
export function LabourTable({ page }: { readonly page: HousePage }) {
  const { shared } = page;
  const keeping = useSaveForm(
    LabourTyped,
    {
      kinds: Object.fromEntries(page.hands.map((h) => [h.kind, h.own])),
      sharedBatch: shared.batch,
      sharedPerL: shared.perL,
    },
    (typed, _form, seen) => saveLabour({ ...typed, ...over(seen) }),
    undefined,
    { version: page.version },
  );
  const { form } = keeping;
  return (
    <section aria-labelledby="hands">
      <h2 id="hands">{texts.labourMinutes}</h2>
      <p className="quiet">{texts.labourMinutesStepWhose}</p>
      <SaveForm of={keeping}>
        <SheetTable>
          <thead>
            <tr>
              <th scope="col">{texts.step}</th>
              {COLUMNS.map(([key, words]) => (
                <th scope="col" key={key}>
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {page.hands.map((h) => (
              <HandsLine key={h.kind} row={h} form={form} mayEdit={page.mayEdit} />
            ))}
            <Shared page={page} form={form} />
          </tbody>
        </SheetTable>
        {page.mayEdit && (
          <SaveButton of={keeping} className="mt-2">
            {texts.saveTheseMinutes}
          </SaveButton>
        )}
      </SaveForm>
    </section>
  );
}

function HandsLine({
  row,
  form,
  mayEdit,
}: {
  readonly row: LabourRow;
  readonly form: HandsForm;
  readonly mayEdit: boolean;
}) {
  const { bare } = useFormatters();
  return (
    <tr>
      <th scope="row">{row.kind === 'puree' ? texts.pureE : row.kind}</th>
      {COLUMNS.map(([key, words]) => (
        <td key={key}>
          <Minutes
            label={texts.minutes(row.kind, words)}
            usual={row.usual[key] === 0 ? '0' : bare(row.usual[key], 2)}
            name={`kinds.${row.kind}.${key}`}
            form={form}
            disabled={!mayEdit}
          />
        </td>
      ))}
    </tr>
  );
}

function Shared({ page, form }: { readonly page: HousePage; readonly form: HandsForm }) {
  const { bare } = useFormatters();
  return (
    <tr>
      <th scope="row">{texts.settingUpWashingUp}</th>
      <td>
        <Minutes
          label={texts.settingUpWashingUpMinutesBatch}
          usual={bare(page.shared.usualBatch, 2)}
          name="sharedBatch"
          form={form}
          disabled={!page.mayEdit}
        />
      </td>
      <td className="quiet">{texts.mostOr}</td>
      <td>
        <Minutes
          label={texts.settingUpWashingUpMinutesEach}
          usual={bare(page.shared.usualPerL, 2)}
          name="sharedPerL"
          form={form}
          disabled={!page.mayEdit}
        />
      </td>
    </tr>
  );
}

function Minutes({
  label,
  usual,
  name,
  form,
  disabled,
}: {
  readonly label: string;
  readonly usual: string;
  readonly name: `kinds.${string}.${'fixed' | 'perKg' | 'perL'}` | 'sharedBatch' | 'sharedPerL';
  readonly form: HandsForm;
  readonly disabled: boolean;
}) {
  const wrong = form.getFieldState(name, form.formState).error?.message;
  return (
    <>
      <input
        className="typed"
        aria-label={label}
        aria-invalid={wrong ? true : undefined}
        placeholder={usual}
        inputMode="decimal"
        autoComplete="off"
        disabled={disabled}
        {...form.register(name)}
      />
      <TheirValue form={form} name={name} />
      <TroubleText as="div" says={wrong} />
    </>
  );
}
