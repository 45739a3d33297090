import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { ArchivedList } from '@/ui/tables/archived-list';
import { TheirValue } from '@/ui/forms/edit-conflict';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SheetTable } from '@/ui/tables/sheet-table';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { over } from '@/wire';
import type { PeoplePage, PersonRow } from '../queries';
import { savePerson, archivePerson } from '../send';
import { PersonTyped } from '../wire';
import * as texts from './texts';

/** What a role may, in words. */
const MAY: Readonly<Record<PersonRow['role'], string>> = {
  manager: texts.everythingRecipesPricesPeople,
  cook: texts.testsWasteSavedCostings,
  reader: texts.looksEverythingChangesNothing,
};

/** Who works here, and what each may. */
export function PeopleTable({ page }: { readonly page: PeoplePage }) {
  const [open, setOpen] = useState<PersonRow | 'new'>();
  const here = page.people.filter((p) => p.left === undefined);
  const gone = page.people.flatMap((p) =>
    p.left === undefined ? [] : [{ id: p.id, name: p.name, since: p.left }],
  );
  return (
    <section className="mb-4">
      <div className="d-flex align-items-center gap-3 mb-1">
        <h2 className="mb-0">{texts.whoWorksHere}</h2>
        <Button variant="outline-primary" size="sm" onClick={() => setOpen('new')}>
          {texts.addPerson}
        </Button>
      </div>
      <SheetTable>
        <thead>
          <tr>
            <th scope="col">{texts.name}</th>
            <th scope="col" className="left">
              {texts.may}
            </th>
            <th scope="col">
              <span className="visually-hidden">{texts.change}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {here.map((p) => (
            <Row key={p.id} person={p} change={() => setOpen(p)} />
          ))}
        </tbody>
      </SheetTable>
      <ArchivedList rows={gone} bringBack={(id) => archivePerson({ id, away: false })} />
      {open && (
        <SidePanel title={open === 'new' ? texts.addPerson : open.name} open close={() => setOpen(undefined)}>
          <PersonForm person={open === 'new' ? undefined : open} close={() => setOpen(undefined)} />
        </SidePanel>
      )}
    </section>
  );
}

function Row({ person: p, change }: { readonly person: PersonRow; readonly change: () => void }) {
  const [keep, state] = useSave();
  const tell = useToast();
  const leaves = (): void =>
    void keep(() => archivePerson({ id: p.id, away: true })).then(
      (ok) => ok && tell(texts.left(p.name), () => void keep(() => archivePerson({ id: p.id, away: false }))),
    );
  return (
    <tr>
      <td>
        {p.name}
        <div className="quiet small-line">
          {p.role}
          {p.hasPin && texts.pin}
        </div>
        <TroubleText says={state.message} />
      </td>
      <td className="left small-line">{MAY[p.role]}</td>
      <td>
        <span className="d-flex justify-content-end gap-3">
          <Button variant="link" size="sm" aria-label={texts.changeName(p.name)} onClick={change}>
            {texts.change}
          </Button>
          <Button
            variant="link"
            size="sm"
            aria-label={texts.leaves(p.name)}
            disabled={state.busy}
            onClick={leaves}
          >
            {texts.remove}
          </Button>
        </span>
      </td>
    </tr>
  );
}

function PersonForm({
  person,
  close,
}: {
  readonly person: PersonRow | undefined;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(
    PersonTyped,
    { name: person?.name ?? '', role: person?.role ?? 'cook', password: '', pin: '' },
    async (typed, _form, seen) => {
      const answer = await savePerson({ id: person?.id ?? null, ...typed, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: person?.version },
  );
  const { form } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.name }} autoFocus />
      <Form.Group controlId="person-role">
        <Form.Label>{texts.role}</Form.Label>
        <Form.Select isInvalid={form.formState.errors.role !== undefined} {...form.register('role')}>
          {(['cook', 'manager', 'reader'] as const).map((role) => (
            <option key={role} value={role}>
              {role}: {MAY[role]}
            </option>
          ))}
        </Form.Select>
        <TheirValue form={form} name="role" />
        <TroubleText as="span" says={form.formState.errors.role?.message} />
      </Form.Group>
      <FormField
        {...{
          form,
          name: 'password',
          label: person ? texts.newPasswordOrLeave : texts.firstPassword,
        }}
        type="password"
        autoComplete="new-password"
        placeholder={texts.least8Characters}
      />
      <FormField
        {...{ form, name: 'pin', label: texts.pinSharedTablet }}
        inputMode="numeric"
        placeholder={person?.hasPin ? texts.asItIs : 'none'}
      />
      <SaveButton of={keeping} />
    </SaveForm>
  );
}
