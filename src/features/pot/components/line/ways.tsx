'use client';

import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { v7 } from 'uuid';
import { MOST_WAYS, type WrittenChoice } from '@/core/kitchen-file';
import { useFormatters } from '@/ui/formatters-context';
import { useDebounced } from '@/ui/hooks/use-debounced';
import { useToast } from '@/ui/frame/toasts';
import type { Draft } from '../sheet/sheet-lines';
import type { LivePot } from '../figures/use-pot';
import type { useSheet } from '../sheet/use-sheet';
import * as texts from './texts';

type Sheet = ReturnType<typeof useSheet>;

/** A draft with another way taken of one of its choices. */
const taking = (draft: Draft, choice: string, way: string): Draft => ({
  ...draft,
  choices: draft.choices.map((c) => (c.id === choice ? { ...c, house: way } : c)),
});

/** A draft with nothing left of a choice but the way this house takes. */
function onlyHouse(now: Draft, choice: WrittenChoice): Draft {
  const others = new Set(choice.ways.map((w) => w.id).filter((id) => id !== choice.house));
  const lines = now.lines
    .filter((l) => l.way === undefined || !others.has(l.way))
    .map(({ way, ...l }) => (way === undefined || way === choice.house ? l : { ...l, way }));
  return { ...now, lines, choices: now.choices.filter((c) => c.id !== choice.id) };
}

/** Where this sheet can be done in more than one way: each way's pot beside the others', and which one is this house's. */
export function ChoiceWays({ sheet }: { readonly sheet: Sheet }) {
  const { draft, run, known } = sheet;
  const settled = useDebounced(draft, 150);
  const pots = useMemo(
    () =>
      new Map(
        settled.choices.flatMap((c) => c.ways.map((w) => [w.id, run(taking(settled, c.id, w.id))] as const)),
      ),
    [settled, run],
  );
  if (draft.choices.length === 0) return null;
  return (
    <section className="mt-3" aria-label={texts.variants}>
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
  const tell = useToast();
  const change = (next: Draft, words: string): void => {
    const before = asItStands();
    done(next);
    tell(words, () => done(before));
  };
  const away = (): void => change(onlyHouse(asItStands(), choice), texts.onlyOurWayLeft(choice.name));
  const take = ({ id, name }: WrittenChoice['ways'][number]): void =>
    change(taking(asItStands(), choice.id, id), texts.ourWayNow(choice.name, name));
  const more = (name: string): void =>
    done({
      ...asItStands(),
      choices: asItStands().choices.map((c) =>
        c.id === choice.id ? { ...c, ways: [...c.ways, { id: v7(), name }] } : c,
      ),
    });
  return (
    <>
      <Table size="sm" className="align-middle mb-1">
        <WaysHead name={choice.name} />
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
              onTake={() => take(way)}
            />
          ))}
        </tbody>
      </Table>
      {mayEdit && (
        <div className="d-flex flex-wrap gap-2 mb-3">
          {choice.ways.length < MOST_WAYS && <AnotherWay onAdd={more} />}
          <Button variant="link" size="sm" onClick={away}>
            {texts.keepOnlyOurOwn}
          </Button>
        </div>
      )}
    </>
  );
}

function WaysHead({ name }: { readonly name: string }) {
  const { currencySign } = useFormatters();
  return (
    <thead>
      <tr>
        <th scope="col">{texts.ourWayWhatOthers(name)}</th>
        {['litres', 'salt %', 'body', texts.hob, texts.perLitreCurrencySign(currencySign)].map((head) => (
          <th key={head} scope="col" className="text-end text-nowrap">
            {head}
          </th>
        ))}
      </tr>
    </thead>
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
        aria-label={texts.oneMoreWayCalled}
        placeholder={texts.oneMoreWay}
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" variant="plain" size="sm" disabled={name.trim() === ''}>
        {texts.add}
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
  const { bare, hours } = useFormatters();
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
          label={`${name}${lines === 0 ? texts.withoutAnyLineOwn : ''}`}
          checked={taken}
          disabled={!mayEdit}
          onChange={onTake}
        />
      </td>
      {cannot ? (
        <td colSpan={5} className="quiet">
          {pot?.refusedAt === undefined ? texts.nothingMade : texts.stepCannotDone(pot.refusedAt + 1)}
        </td>
      ) : (
        <>
          <td className="fig">{bare((pot.run.product?.ml ?? 0) / 1000, 2)}</td>
          <td className="fig">{bare(last.saltPct, 2)}</td>
          <td className="fig">{bare(last.body, 2)}</td>
          <td className="fig">{hours(last.hobHours)}</td>
          <td className="fig strong">
            {perL === null || perL === undefined ? texts.incomplete : bare(perL)}
          </td>
        </>
      )}
    </tr>
  );
}
