import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { useFigures } from '@/ui/figures';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import type { HandsRow, HousePage } from '../queries';
import { keepHands } from '../wire';

type Typed = Readonly<Record<string, HandsRow['own']>>;
const COLUMNS = [
  ['fixed', 'however little there is'],
  ['perKg', 'for each kilo'],
  ['perL', 'for each litre'],
] as const;

/** Minutes of hands by kind of step: what is usual stands in the empty field, what is typed is this kitchen's own. */
export function Hands({ page }: { readonly page: HousePage }) {
  const [kinds, setKinds] = useState<Typed>(() => Object.fromEntries(page.hands.map((h) => [h.kind, h.own])));
  const [shared, setShared] = useState({ batch: page.shared.batch, perL: page.shared.perL });
  const [keep, state] = useKept();
  const done = (): Promise<boolean> =>
    keep(() => keepHands({ seen: page.version, kinds, sharedBatch: shared.batch, sharedPerL: shared.perL }));
  return (
    <section aria-labelledby="hands">
      <h2 id="hands">Minutes of hands</h2>
      <p className="quiet">
        What a step takes of somebody’s hands where its line does not say: so many minutes however little
        there is, and more for each kilo and each litre. In grey what is usual; type over it what it is here.
      </p>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void done();
        }}
      >
        <Table responsive size="sm" className="house-table hands-table">
          <thead>
            <tr>
              <th scope="col">Step</th>
              {COLUMNS.map(([key, words]) => (
                <th scope="col" key={key} className="fig">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {page.hands.map((h) => (
              <HandsLine
                key={h.kind}
                row={h}
                typed={kinds[h.kind] ?? h.own}
                mayEdit={page.mayEdit}
                onTyped={(own) => setKinds((now) => ({ ...now, [h.kind]: own }))}
              />
            ))}
            <Shared page={page} typed={shared} onTyped={setShared} />
          </tbody>
        </Table>
        {page.mayEdit && (
          <Button type="submit" disabled={state.busy}>
            Keep these minutes
          </Button>
        )}{' '}
        {state.kept && (
          <span role="status" className="kept">
            ✓ kept
          </span>
        )}
        <Trouble says={state.message} />
      </Form>
    </section>
  );
}

function HandsLine({
  row,
  typed,
  mayEdit,
  onTyped,
}: {
  readonly row: HandsRow;
  readonly typed: HandsRow['own'];
  readonly mayEdit: boolean;
  readonly onTyped: (own: HandsRow['own']) => void;
}) {
  const { bare } = useFigures();
  return (
    <tr>
      <th scope="row">{row.kind === 'puree' ? 'purée' : row.kind}</th>
      {COLUMNS.map(([key, words]) => (
        <td key={key} className="fig">
          <Minutes
            label={`${row.kind}, minutes ${words}`}
            usual={row.usual[key] === 0 ? '0' : bare(row.usual[key], 2)}
            value={typed[key]}
            disabled={!mayEdit}
            onTyped={(text) => onTyped({ ...typed, [key]: text })}
          />
        </td>
      ))}
    </tr>
  );
}

function Shared({
  page,
  typed,
  onTyped,
}: {
  readonly page: HousePage;
  readonly typed: { readonly batch: string; readonly perL: string };
  readonly onTyped: (typed: { readonly batch: string; readonly perL: string }) => void;
}) {
  const { bare } = useFigures();
  return (
    <tr>
      <th scope="row">setting up and washing up, shared with what is made beside it</th>
      <td className="fig">
        <Minutes
          label="Setting up and washing up, minutes a batch at most"
          usual={bare(page.shared.usualBatch, 2)}
          value={typed.batch}
          disabled={!page.mayEdit}
          onTyped={(batch) => onTyped({ ...typed, batch })}
        />
      </td>
      <td className="quiet fig">at most, or</td>
      <td className="fig">
        <Minutes
          label="Setting up and washing up, minutes for each litre"
          usual={bare(page.shared.usualPerL, 2)}
          value={typed.perL}
          disabled={!page.mayEdit}
          onTyped={(perL) => onTyped({ ...typed, perL })}
        />
      </td>
    </tr>
  );
}

function Minutes({
  label,
  usual,
  value,
  disabled,
  onTyped,
}: {
  readonly label: string;
  readonly usual: string;
  readonly value: string;
  readonly disabled: boolean;
  readonly onTyped: (text: string) => void;
}) {
  return (
    <Form.Control
      className="typed minutes"
      aria-label={label}
      placeholder={usual}
      inputMode="decimal"
      autoComplete="off"
      disabled={disabled}
      value={value}
      onChange={(event) => onTyped(event.target.value)}
    />
  );
}
