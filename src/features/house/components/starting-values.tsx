import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Table from 'react-bootstrap/Table';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import type { HousePage } from '../queries';
import { giveStartingValuesBack, takeStartingValues } from '../send';
import { useFormatters } from '@/ui/formatters-context';
import * as texts from './texts';

const ONCE = 2000;
/** Rows told before somebody asks for all. */
const FIRST = 8;

/** What later starting values know of this kitchen's ingredients: nothing of it counts until it is taken, and it can be given back. */
export function StartingValues({ page: { improved, taken, mayEdit } }: { readonly page: HousePage }) {
  const [keep, state] = useSave();
  const [moved, setMoved] = useState<number>();
  const [all, setAll] = useState(false);
  if (improved.length === 0 && !taken) return null;
  const shown = all ? improved : improved.slice(0, FIRST);
  const take = (): Promise<boolean> =>
    keep(async () => {
      const answer = await takeStartingValues({ ids: improved.slice(0, ONCE).map((i) => i.id) });
      if (answer.ok) setMoved(answer.value.moved);
      return answer;
    });
  return (
    <section aria-labelledby="starting-values">
      <h2 id="starting-values">{texts.betterStartingValues}</h2>
      {improved.length > 0 && (
        <>
          <p>{texts.startingValuesLearnedSomething(improved.length)}</p>
          <Table responsive size="sm">
            <tbody>
              {shown.map((i) => (
                <tr key={i.id}>
                  <td>{i.name}</td>
                  <td className="quiet">{i.what}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          {shown.length < improved.length && (
            <Button variant="link" onClick={() => setAll(true)}>
              {texts.showAll(improved.length)}
            </Button>
          )}
          {mayEdit && (
            <Button disabled={state.busy} onClick={() => void take()}>
              {texts.takeAll(improved.length)}
            </Button>
          )}
        </>
      )}
      {taken && (
        <Taken
          taken={taken}
          moved={moved}
          onBack={
            mayEdit && !state.busy
              ? () => void keep(() => giveStartingValuesBack({ change: taken.change }))
              : undefined
          }
        />
      )}
      <TroubleText says={state.message} />
    </section>
  );
}

function Taken({
  taken,
  moved,
  onBack,
}: {
  readonly taken: NonNullable<HousePage['taken']>;
  readonly moved: number | undefined;
  readonly onBack: (() => void) | undefined;
}) {
  const { day } = useFormatters();
  return (
    <p>
      {texts.takenIngredientIngredients(day(taken.on), taken.count)}
      {moved !== undefined && texts.moved(moved)}.{' '}
      {onBack && (
        <Button variant="outline-primary" size="sm" onClick={onBack}>
          {texts.undo}
        </Button>
      )}
    </p>
  );
}
