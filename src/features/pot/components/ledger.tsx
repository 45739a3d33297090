'use client';

import { useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import { Trouble } from '@/ui/trouble';
import type { No } from '@/wire';
import type { PotSheetData } from '../queries';
import type { TheirSheet } from '../wire';
import { linesOf, newLine, type SheetLine } from './sheet-lines';
import { StepRow } from './step-row';
import type { LivePot } from './use-pot';
import { SheetTable } from '@/ui/sheet-table';

interface Props {
  readonly data: PotSheetData;
  readonly lines: readonly SheetLine[];
  readonly pot: LivePot;
  readonly chosen: number;
  readonly vessel: string;
  readonly hob: string;
  readonly refusal: No<TheirSheet> | null;
  readonly onStand: (vessel: string, hob: string) => void;
  readonly onChoose: (i: number) => void;
  readonly onTyped: (i: number, text: string) => void;
  readonly onDone: (lines: readonly SheetLine[]) => void;
  readonly onTakeTheirs: (theirs: TheirSheet) => void;
  readonly onKeepMine: (theirs: TheirSheet) => void;
}

/** Steps as they are said, each with what the pot then holds and costs. */
export function Ledger(props: Props) {
  const { data, lines, pot, chosen, refusal, onChoose, onTyped, onDone } = props;
  const most = Math.max(1, ...pot.run.rows.map((r) => r.ml));
  // A portioning stays last: what is added goes before it.
  const last = lines.length - (pot.steps.at(-1)?.do === 'portion' ? 1 : 0);
  const add = (text: string): void => {
    onDone([...lines.slice(0, last), newLine(text), ...lines.slice(last)]);
    onChoose(last);
  };
  const move = (i: number, by: number): void => {
    onDone(moved(lines, i, by));
    onChoose(Math.min(lines.length - 1, Math.max(0, i + by)));
  };
  return (
    <>
      <Standing {...props} />
      <SheetTable className="ledger">
        <LedgerHead />
        <tbody>
          {lines.map(({ id, text }, i) => (
            <StepRow
              key={id}
              index={i}
              text={text}
              step={pot.steps[i]}
              row={pot.run.rows[i]}
              before={pot.run.rows[i - 1]}
              money={pot.money[i]}
              trouble={pot.troubles.get(i)}
              counted={pot.counted.get(i)}
              batches={pot.batches.get(i)}
              most={most}
              chosen={i === chosen}
              mayEdit={data.mayEdit}
              onChoose={() => onChoose(i)}
              onTyped={(t) => onTyped(i, t)}
              onDone={() => onDone(lines)}
              onInstead={(t) => onDone(withText(lines, i, t))}
              onAsBought={() => onDone(withAsBought(lines, i))}
              onRemove={() => onDone(lines.filter((_, j) => j !== i))}
              onMove={(by) => move(i, by)}
            />
          ))}
        </tbody>
      </SheetTable>
      {lines.length === 0 && <EmptyPot />}
      {data.mayEdit && <NextStep onAdd={add} />}
      <Trouble says={refusal?.message} />
      {refusal?.theirs && (
        <Theirs
          data={data}
          theirs={refusal.theirs}
          mine={lines}
          onTake={props.onTakeTheirs}
          onKeep={props.onKeepMine}
        />
      )}
    </>
  );
}

const EmptyPot = () => (
  <p className="quiet">An empty pot. Say what goes in first, such as “8 kg venison bones”.</p>
);

const withText = (lines: readonly SheetLine[], i: number, text: string): SheetLine[] =>
  lines.map((l, j) => (i === j ? { ...l, text } : l));

/** Lines in which the count of one stands for things as bought. */
const withAsBought = (lines: readonly SheetLine[], i: number): SheetLine[] =>
  withText(lines, i, (lines[i]?.text ?? '').replace(/,\s*counted trimmed(?=,|$)/i, ''));

function moved(lines: readonly SheetLine[], i: number, by: number): SheetLine[] {
  const order = [...lines];
  order.splice(Math.max(0, i + by), 0, ...order.splice(i, 1));
  return order;
}

/** The lines in which somebody else's sheet differs from this one: one of the two is kept. */
function Theirs({
  data,
  theirs,
  mine,
  onTake,
  onKeep,
}: {
  readonly data: PotSheetData;
  readonly theirs: TheirSheet;
  readonly mine: readonly SheetLine[];
  readonly onTake: (theirs: TheirSheet) => void;
  readonly onKeep: (theirs: TheirSheet) => void;
}) {
  const lines = linesOf(theirs.steps, data.names);
  const here = new Map(mine.map((l) => [l.id, l.text]));
  const there = new Set(lines.map((l) => l.id));
  return (
    <div className="both-sides">
      {lines
        .filter((l) => here.get(l.id) !== l.text)
        .map((l) => (
          <p key={l.id}>
            Theirs: “{l.text}”, yours: {here.has(l.id) ? `“${here.get(l.id) ?? ''}”` : 'no such line'}.
          </p>
        ))}
      {mine
        .filter((l) => !there.has(l.id))
        .map((l) => (
          <p key={l.id}>Yours only: “{l.text}”.</p>
        ))}
      <button type="button" className="plain-button" onClick={() => onKeep(theirs)}>
        Keep mine
      </button>{' '}
      <button type="button" className="plain-button" onClick={() => onTake(theirs)}>
        Take theirs
      </button>
    </div>
  );
}

function Standing({ data, vessel, hob, onStand }: Pick<Props, 'data' | 'vessel' | 'hob' | 'onStand'>) {
  return (
    <div style={{ display: 'flex', gap: '0.6rem', marginBottom: '0.3rem' }}>
      <Form.Select
        size="sm"
        aria-label="Starts in"
        value={vessel}
        disabled={!data.mayEdit}
        onChange={(event) => onStand(event.target.value, hob)}
        style={{ width: 'auto' }}
      >
        {data.names.vessels.map((v) => (
          <option key={v.id} value={v.id}>
            {v.name}
          </option>
        ))}
      </Form.Select>
      <Form.Select
        size="sm"
        aria-label="Stands on"
        value={hob}
        disabled={!data.mayEdit}
        onChange={(event) => onStand(vessel, event.target.value)}
        style={{ width: 'auto' }}
      >
        {data.names.hobs.map((h) => (
          <option key={h.id} value={h.id}>
            {h.name}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}

/** The line under the others: said, and Enter puts it in. */
function NextStep({ onAdd }: { readonly onAdd: (text: string) => void }) {
  const [next, setNext] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const add = (): void => {
    if (next.trim() === '') return;
    onAdd(next);
    setNext('');
    field.current?.focus();
  };
  return (
    <div className="next-step">
      <label htmlFor="next-step" className="visually-hidden">
        Next step
      </label>
      <input
        id="next-step"
        ref={field}
        className="step-input"
        autoComplete="off"
        placeholder="next step: say it, e.g. simmer 20 min, reduce by half, season to 0.6 %"
        value={next}
        onChange={(event) => setNext(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <button type="button" className="plain-button" onClick={add} disabled={next.trim() === ''}>
        Add
      </button>
    </div>
  );
}

function LedgerHead() {
  const { currencySign } = useFigures();
  return (
    <thead>
      <tr>
        <th scope="col">Step, as it is said</th>
        <th scope="col">litres</th>
        <th scope="col">dip cm</th>
        <th scope="col">body</th>
        <th scope="col">salt %</th>
        <th scope="col">{currencySign} a litre</th>
      </tr>
    </thead>
  );
}
