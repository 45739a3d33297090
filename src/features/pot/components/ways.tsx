'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { v7 } from 'uuid';
import { MOST_WAYS, type WrittenChoice } from '@/core/kitchen-file';
import { useFigures } from '@/ui/figures';
import { useTell } from '@/ui/toasts';
import type { Draft } from './sheet-lines';
import type { LivePot } from './use-pot';
import type { useSheet } from './use-sheet';

type Sheet = ReturnType<typeof useSheet>;

/** A draft with another way taken of one of its choices. */
const taking = (draft: Draft, choice: string, way: string): Draft => ({
  ...draft,
  choices: draft.choices.map((c) => (c.id === choice ? { ...c, house: way } : c)),
});

/** Where this sheet can be done in more than one way: each way's pot beside the others', and which one is this house's. */
export function Ways({ sheet }: { readonly sheet: Sheet }) {
  const { draft, run, known } = sheet;
  const settled = useDeferredValue(draft);
  const pots = useMemo(
    () =>
      new Map(
        settled.choices.flatMap((c) => c.ways.map((w) => [w.id, run(taking(settled, c.id, w.id))] as const)),
      ),
    [settled, run],
  );
  if (draft.choices.length === 0) return null;
  return (
    <section className="mt-3" aria-label="Ways it can be done">
      {draft.choices.map((choice) => (
        <OneChoice key={choice.id} choice={choice} pots={pots} sheet={sheet} mayEdit={known.mayEdit} />
      ))}
    </section>
  );
}

function OneChoice({
  choice,
  pots,
  sheet,
  mayEdit,
}: {
  readonly choice: WrittenChoice;
  readonly pots: ReadonlyMap<string, LivePot>;
  readonly sheet: Sheet;
  readonly mayEdit: boolean;
}) {
  const { asItStands, done } = sheet;
  const tell = useTell();
  const change = (next: Draft, words: string): void => {
    const before = asItStands();
    done(next);
    tell(words, () => done(before));
  };
  const away = (): void => {
    const now = asItStands();
    const others = new Set(choice.ways.map((w) => w.id).filter((id) => id !== choice.house));
    const lines = now.lines
      .filter((l) => l.way === undefined || !others.has(l.way))
      .map(({ way, ...l }) => (way === undefined || way === choice.house ? l : { ...l, way }));
    change(
      { ...now, lines, choices: now.choices.filter((c) => c.id !== choice.id) },
      `Only this house’s way of ${choice.name} is left.`,
    );
  };
  return (
    <Table size="sm" className="align-middle">
      <thead>
        <tr>
          <th scope="col">{choice.name}: this house’s way, and what the others would come to</th>
          <th scope="col" className="text-end">
            litres
          </th>
          <th scope="col" className="text-end">
            salt %
          </th>
          <th scope="col" className="text-end">
            body
          </th>
          <th scope="col" className="text-end">
            on the hob
          </th>
          <CostHead />
        </tr>
      </thead>
      <tbody>
        {choice.ways.map((way) => (
          <WayRow
            key={way.id}
            name={way.name}
            choice={choice}
            lines={sheet.draft.lines.filter((l) => l.way === way.id).length}
            taken={choice.house === way.id}
            pot={pots.get(way.id)}
            mayEdit={mayEdit}
            onTake={() =>
              change(
                taking(asItStands(), choice.id, way.id),
                `${choice.name}: ${way.name} is this house’s way now.`,
              )
            }
          />
        ))}
      </tbody>
      {mayEdit && (
        <caption className="caption-top-0">
          {choice.ways.length < MOST_WAYS && (
            <AnotherWay
              onAdd={(name) =>
                done({
                  ...asItStands(),
                  choices: asItStands().choices.map((c) =>
                    c.id === choice.id ? { ...c, ways: [...c.ways, { id: v7(), name }] } : c,
                  ),
                })
              }
            />
          )}
          <Button variant="link" size="sm" onClick={away}>
            Keep only this house’s way
          </Button>
        </caption>
      )}
    </Table>
  );
}

function CostHead() {
  const { currencySign } = useFigures();
  return (
    <th scope="col" className="text-end">
      {currencySign} a litre
    </th>
  );
}

/** A further way, by its name: lines are given to it from their own menus. */
function AnotherWay({ onAdd }: { readonly onAdd: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <Form
      className="d-inline-flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return;
        onAdd(name.trim());
        setName('');
      }}
    >
      <Form.Control
        size="sm"
        aria-label="One more way is called"
        placeholder="one more way"
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" variant="plain" size="sm" disabled={name.trim() === ''}>
        Add
      </Button>
    </Form>
  );
}

function WayRow({
  name,
  choice,
  lines,
  taken,
  pot,
  mayEdit,
  onTake,
}: {
  readonly name: string;
  readonly choice: WrittenChoice;
  readonly lines: number;
  readonly taken: boolean;
  readonly pot: LivePot | undefined;
  readonly mayEdit: boolean;
  readonly onTake: () => void;
}) {
  const { bare, hours } = useFigures();
  const last = pot?.run.rows.at(-1);
  const cannot = pot === undefined || pot.refusedAt !== undefined || !last;
  const perL = pot?.money.at(-1)?.perL;
  return (
    <tr>
      <td>
        <Form.Check
          type="radio"
          id={`way-${choice.id}-${name}`}
          name={`way-${choice.id}`}
          label={`${name}${lines === 0 ? ', without any line of its own' : ''}`}
          checked={taken}
          disabled={!mayEdit}
          onChange={onTake}
        />
      </td>
      {cannot ? (
        <td colSpan={5} className="quiet">
          {pot?.refusedAt === undefined ? 'nothing is made' : `step ${pot.refusedAt + 1} cannot be done`}
        </td>
      ) : (
        <>
          <td className="fig">{bare((pot.run.product?.ml ?? 0) / 1000, 2)}</td>
          <td className="fig">{bare(last.saltPct, 2)}</td>
          <td className="fig">{bare(last.body, 2)}</td>
          <td className="fig">{hours(last.hobHours)}</td>
          <td className="fig strong">{perL === null || perL === undefined ? 'incomplete' : bare(perL)}</td>
        </>
      )}
    </tr>
  );
}
