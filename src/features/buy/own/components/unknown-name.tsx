'use client';

import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { withRetry } from '@/ui/hooks/with-retry';
import { SidePanel } from '@/ui/panels/side-panel';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { saveTaken } from '../../larder/wire';
import { startingLike, type Starting } from '../actions';
import { NewIngredientForm } from './new-ingredient-form';
import * as texts from './texts';

/** ms a name must have stood before anything is asked about it. */
const STANDS_MS = 250;

/** A name that nothing in the kitchen has: a starting point that fits is taken with a click, or it becomes one of the kitchen's own. */
export function UnknownName({
  said,
  there,
}: {
  readonly said: string;
  readonly there: (name: string) => void;
}) {
  const [found, setFound] = useState<readonly Starting[]>();
  const [making, setMaking] = useState(false);
  const [keep, state] = useSave(false);
  useEffect(() => {
    let here = true;
    // A name on its way is another at every key, and one question waits for the other.
    const soon = setTimeout(() => {
      void withRetry(() => startingLike(said)).then((rows) => here && setFound(rows));
    }, STANDS_MS);
    return () => {
      here = false;
      clearTimeout(soon);
    };
  }, [said]);
  return (
    <span className="d-block mt-1" onClick={(event) => event.stopPropagation()}>
      {found?.map((s) => (
        <Button
          key={s.id}
          variant="plain"
          size="sm"
          className="me-2 mb-1"
          title={s.says}
          disabled={state.busy}
          onClick={() =>
            void keep(() => saveTaken({ reference: s.id, name: s.called })).then(
              (ok) => ok && there(s.called),
            )
          }
        >
          {texts.use(s.name)}
          {s.called.toLowerCase() !== s.name.toLowerCase() && texts.call(s.called)}
        </Button>
      ))}
      <Button variant="plain" size="sm" className="mb-1" onClick={() => setMaking(true)}>
        {texts.newIngredient}
      </Button>
      <TroubleText as="span" says={state.message} />
      {making && (
        <SidePanel title={texts.ingredientYourOwn} open close={() => setMaking(false)}>
          <NewIngredientForm
            name={said}
            kept={(name) => {
              setMaking(false);
              there(name);
            }}
          />
        </SidePanel>
      )}
    </span>
  );
}
