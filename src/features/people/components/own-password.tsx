import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { changePassword } from '../send';
import { NewPassword } from '../wire';
import * as texts from './texts';

/** One's own password, changed: it ends every other place where one is signed in. */
export function OwnPassword({ name }: { readonly name: string }) {
  const [ended, setEnded] = useState(0);
  const keeping = useSaveForm(NewPassword, { before: '', next: '' }, async (typed, at) => {
    const answer = await changePassword(typed);
    if (answer.ok) {
      setEnded(answer.value.ended);
      at.setValue('before', '');
      at.setValue('next', '');
    }
    return answer;
  });
  const { form, busy, kept, message } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <h2>{texts.yourPassword(name)}</h2>
      <FormField
        {...{ form, name: 'before', label: texts.currentPassword }}
        type="password"
        autoComplete="current-password"
      />
      <FormField
        {...{ form, name: 'next', label: texts.newPassword }}
        type="password"
        autoComplete="new-password"
        placeholder={texts.least8Characters}
      />
      <Button type="submit" variant="outline-primary" disabled={busy}>
        {texts.changeHeading}
      </Button>
      {kept && (
        <span role="status" className="small-line cheaper">
          {texts.changed}
          {ended > 0 && texts.endedWhereYouSigned(ended)}
        </span>
      )}
      <TroubleText says={message} />
    </SaveForm>
  );
}
