'use client';

import Button from 'react-bootstrap/Button';
import { useRef, useState } from 'react';
import Stack from 'react-bootstrap/Stack';
import { readSupply } from '@/core/supply';
import { useFigures } from '@/ui/figures';
import { Combo } from '@/ui/combo';
import { useMissing } from '@/ui/missing';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useSearch } from '@/ui/use-search';
import type { No } from '@/wire';
import type { PotSheetData } from '../queries';
import type { TheirSheet } from '../wire';
import { linesOf, newLine, type SheetLine } from './sheet-lines';
import { MovableSteps } from './movable-steps';
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
  readonly onLearned: () => void;
  readonly onPriced: () => void;
}

/** What is done to the lines of a sheet: one more, one elsewhere, one out. */
function useEdits({ lines, pot, onDone, onChoose }: Props) {
  const tell = useTell();
  // A portioning stays last: what is added goes before it.
  const last = lines.length - (pot.steps.at(-1)?.do === 'portion' ? 1 : 0);
  return {
    add: (text: string): void => {
      onDone([...lines.slice(0, last), newLine(text), ...lines.slice(last)]);
      onChoose(last);
    },
    move: (i: number, to: number): void => {
      const at = Math.min(lines.length - 1, Math.max(0, to));
      if (at === i) return;
      onDone(moved(lines, i, at));
      onChoose(at);
    },
    remove: (i: number): void => {
      onDone(lines.filter((_, j) => j !== i));
      tell(`“${lines[i]?.text ?? ''}” is taken out.`, () => onDone(lines));
    },
  };
}

/** Steps as they are said, each with what the pot then holds and costs. */
export function Ledger(props: Props) {
  const { data, lines, pot, chosen, refusal, onChoose, onTyped, onDone } = props;
  const most = Math.max(1, ...pot.run.rows.map((r) => r.ml));
  const { add, move, remove } = useEdits(props);
  return (
    <>
      <Standing {...props} />
      <SheetTable className="ledger folds">
        <LedgerHead />
        <MovableSteps lines={lines} onMove={move}>
          {lines.map(({ id, text }, i) => (
            <StepRow
              key={id}
              id={id}
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
              onRemove={() => remove(i)}
              onLearned={props.onLearned}
            />
          ))}
        </MovableSteps>
      </SheetTable>
      {lines.length === 0 && <EmptyPot />}
      {data.mayEdit && <NextStep onAdd={add} />}
      {data.mayEdit && <NoPrices data={data} pot={pot} onPriced={props.onPriced} />}
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

/** What goes in and has no price yet, asked for one after the other. */
function NoPrices({ data, pot, onPriced }: Pick<Props, 'data' | 'pot' | 'onPriced'>) {
  const missing = useMissing();
  const names = new Map(data.standsOn.map((s) => [s.id, s.name]));
  const ids = pot.run.inputs.flatMap(({ supply }, i) => {
    const from = pot.inputMoney[i] === null ? readSupply(supply) : undefined;
    return from?.is === 'usable' && names.has(from.id) ? [from.id] : [];
  });
  const first = ids[0];
  if (!missing || first === undefined) return null;
  const more = new Set(ids).size - 1;
  return (
    <section className="mt-3" aria-label="What has no price yet">
      <missing.NoPrice key={first} ingredient={first} name={names.get(first) ?? ''} there={onPriced} />
      {more > 0 && <p className="quiet small-line mb-0">{more} more after it.</p>}
    </section>
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

function moved(lines: readonly SheetLine[], i: number, to: number): SheetLine[] {
  const order = [...lines];
  order.splice(to, 0, ...order.splice(i, 1));
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
    <div className="d-inline-flex flex-wrap gap-2 ms-2">
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
      <Button variant="plain" size="sm" onClick={() => onKeep(theirs)}>
        Keep mine
      </Button>{' '}
      <Button variant="plain" size="sm" onClick={() => onTake(theirs)}>
        Take theirs
      </Button>
    </div>
  );
}

/** Where the pot starts, and what it stands on: another is taken when it is said, and can be put back. */
function Standing({ data, vessel, hob, onStand }: Pick<Props, 'data' | 'vessel' | 'hob' | 'onStand'>) {
  const { vessels, hobs } = data.names;
  const tell = useTell();
  const stand = (v: string, h: string, words: string): void => {
    onStand(v, h);
    tell(words, () => onStand(vessel, hob));
  };
  return (
    <Stack direction="horizontal" gap={2} className="mb-1">
      <Combo
        size="sm"
        label="Starts in"
        disabled={!data.mayEdit}
        chosen={vessels.find((v) => v.id === vessel)}
        find={useSearch(vessels)}
        choose={(v) => v && v.id !== vessel && stand(v.id, hob, `It starts in the ${v.name} now.`)}
      />
      <Combo
        size="sm"
        label="Stands on"
        disabled={!data.mayEdit}
        chosen={hobs.find((h) => h.id === hob)}
        find={useSearch(hobs)}
        choose={(h) => h && h.id !== hob && stand(vessel, h.id, `It stands on ${h.name} now.`)}
      />
    </Stack>
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
    <div className="next-step d-flex align-items-center gap-2 pt-2 ps-3">
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
      <Button variant="plain" size="sm" onClick={add} disabled={next.trim() === ''}>
        Add
      </Button>
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
