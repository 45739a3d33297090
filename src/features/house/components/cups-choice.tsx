import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { CUP_WORDS, CUPS_OF, type Cups as Of } from '../cups';
import type { HousePage } from '../queries';
import { saveCups } from '../send';
import * as texts from './texts';

/** Which country's cups and spoons are meant here: said once, and then a cup is read everywhere. */
export function CupChoice({ page }: { readonly page: HousePage }) {
  const [of, setOf] = useState<Of>('metric');
  const [keep, state] = useSave();
  const said = (Object.keys(CUPS_OF) as Of[]).find((one) =>
    Object.entries(CUPS_OF[one]).every(([name, amount]) =>
      page.measures.some((m) => m.name === name && m.amount === amount),
    ),
  );
  return (
    <section aria-labelledby="cups">
      <h2 id="cups">{texts.cupsSpoonsPints}</h2>
      {said ? (
        <p>{texts.theyStandAmongHouses(CUP_WORDS[said])}</p>
      ) : (
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            void keep(() => saveCups({ of }));
          }}
        >
          <p className="quiet">{texts.theyDifferBetweenCountries}</p>
          {(Object.keys(CUPS_OF) as Of[]).map((one) => (
            <Form.Check
              key={one}
              id={`cups-${one}`}
              type="radio"
              name="cups"
              label={CUP_WORDS[one]}
              disabled={!page.mayEdit}
              checked={of === one}
              onChange={() => setOf(one)}
            />
          ))}
          {page.mayEdit && (
            <Button type="submit" variant="outline-primary" disabled={state.busy}>
              {texts.useThese}
            </Button>
          )}
        </Form>
      )}
      <TroubleText says={state.message} />
    </section>
  );
}
