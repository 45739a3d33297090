'use client';

import equal from 'fast-deep-equal/es6/index.js';
import { createContext, memo, useContext, useId, useState, type KeyboardEvent, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import type { WrittenChoice } from '@/core/kitchen-file';
import { cautionFor, markOf, ofStep, type Counted, type WrittenStep } from '@/core/verbs';
import { type LedgerRow } from '@/core/pot';
import type { Batches } from '@/core/shelf';
import type { Trouble } from '@/core/trouble';
import { useFigures } from '@/ui/figures';
import { useMissing } from '@/ui/missing';
import type { Touched } from '../merge';
import type { Column } from './columns';
import { Curing, WithIt } from './curing';
import { useMovable } from './movable-steps';
import { NoteOf } from './note-of';
import { OtherWay } from './other-way';
import { SaidInput } from './said-input';
import type { SheetLine } from './sheet-lines';
import { StepMenu } from './step-menu';
import { TouchedLine } from './touched-line';
import type { LineActs } from './use-acts';
import type { Offered } from './use-offers';
import type { LivePot } from './use-pot';

/** The pot that the figures beside the lines are of, and what of it is shown. */
interface Shown {
  readonly pot: LivePot;
  readonly columns: readonly Column[];
  readonly most: number;
}
const ShownContext = createContext<Shown | undefined>(undefined);
/**
 * Gives the lines below the pot they make. A key changes the figures of every line under it and the words of none: what stands
 * beside a line reads its figures here, and the line itself is not drawn again.
 */
export const ShownPot = ShownContext.Provider;
const useShown = (): Shown => {
  const shown = useContext(ShownContext);
  if (!shown) throw new Error('a line is drawn without its pot');
  return shown;
};

export interface StepRowProps {
  readonly index: number;
  readonly line: SheetLine;
  readonly choices: readonly WrittenChoice[];
  readonly step: WrittenStep | undefined;
  /** Whether it is done: not switched off, and of no way that is not taken. */
  readonly done: boolean;
  /** Whether it stands after a step that cannot be done: nothing is known of it. */
  readonly after: boolean;
  readonly trouble: Trouble | undefined;
  readonly chosen: boolean;
  readonly mayEdit: boolean;
  /** Whether somebody else has just put it so. */
  readonly arrived: boolean;
  readonly touched: Touched | undefined;
  readonly offers: readonly Offered[];
  readonly acts: LineActs;
}

const KIND_WORDS = {
  in: 'something comes in',
  hot: 'on the heat',
  out: 'something leaves',
  unread: 'not understood',
} as const;

/** One step: typed over in place, with what the pot then holds. */
export const StepRow = memo(function StepRow(props: StepRowProps) {
  const { index, line, step, done, chosen, mayEdit, acts, trouble } = props;
  const { body, handle } = useMovable(line.id, `step ${index + 1}`);
  const [asking, setAsking] = useState<'note' | 'way'>();
  const noteId = useId();
  const kind = markOf(step?.do ?? 'unread');
  const names = [
    chosen ? 'chosen' : '',
    props.after ? 'after-refusal' : '',
    done ? '' : 'left-out',
    line.off ? 'off' : '',
    props.arrived ? 'arrived' : '',
  ];
  return (
    <tbody {...body}>
      <tr className={names.filter(Boolean).join(' ')} onClick={() => acts.choose(line.id)}>
        <td>
          <span className="d-flex align-items-center gap-2">
            <span className={`verb verb-${kind}`} title={KIND_WORDS[kind]} />
            <WayOf line={line} choices={props.choices} />
            <Said {...props} describedBy={chosen || trouble ? noteId : undefined} />
            {mayEdit && chosen && (
              <StepMenu
                index={index}
                line={line}
                choices={props.choices}
                acts={acts}
                handle={handle}
                onNote={() => setAsking('note')}
                onOtherWay={() => setAsking('way')}
                onFields={() => acts.fields(line.id)}
              />
            )}
          </span>
        </td>
        <Figures index={index} done={done} />
      </tr>
      <NoteRow {...props} id={noteId} open={asking !== undefined}>
        {asking === 'note' && (
          <NoteOf line={line} index={index} acts={acts} close={() => setAsking(undefined)} />
        )}
        {asking === 'way' && <OtherWay line={line} acts={acts} close={() => setAsking(undefined)} />}
      </NoteRow>
    </tbody>
  );
}, sameLine);

/** Whether a line says the same as before: things are compared by what they say, not by the objects they come in. */
function sameLine(a: StepRowProps, b: StepRowProps): boolean {
  return (Object.keys(a) as (keyof StepRowProps)[]).every((key) => {
    const [x, y] = [a[key], b[key]];
    return x === y || (key !== 'offers' && typeof x === 'object' && typeof y === 'object' && equal(x, y));
  });
}

/** What is said under a line, where there is anything. */
function NoteRow({
  id,
  open,
  children,
  ...props
}: StepRowProps & { readonly id: string; readonly open: boolean; readonly children: ReactNode }) {
  const { pot, columns } = useShown();
  const { index } = props;
  const of = {
    row: pot.run.rows[index],
    before: pot.run.rows[index - 1],
    counted: pot.counted.get(index),
    batches: pot.batches.get(index),
  };
  if (!open && !anyWords(props, of)) return null;
  return (
    <tr className="note-row">
      <td colSpan={columns.length + 1} id={id}>
        <Under {...props} {...of} />
        {children}
      </td>
    </tr>
  );
}

/** What the pot says of a line. */
interface OfPot {
  readonly row: LedgerRow | undefined;
  readonly before: LedgerRow | undefined;
  readonly counted: Counted | undefined;
  readonly batches: Batches | undefined;
}

/** Whether anything is to be said under a line. */
function anyWords(
  { line, trouble, chosen, touched, done }: StepRowProps,
  { row, before, batches, counted }: OfPot,
): boolean {
  if (touched || trouble || line.note !== undefined) return true;
  if (!done) return chosen;
  return (
    batches !== undefined ||
    (row?.warnings.length ?? 0) > 0 ||
    (counted !== undefined && (chosen || counted.trimmed)) ||
    (chosen && row !== undefined && (cautionFor(row, before) !== undefined || notesOf(row).length > 0))
  );
}

/** Times and hands of a step that are worth a word. */
function notesOf(row: LedgerRow): readonly ('took' | 'up' | 'hands')[] {
  return [
    ...(row.do === 'reduce' ? (['took'] as const) : []),
    ...(row.upHours > 0.05 ? (['up'] as const) : []),
    ...(row.handsHours >= 1 / 120 ? (['hands'] as const) : []),
  ];
}

/** What is said under a line: what is wrong with it, what it means, what to watch for, what the cook is told. */
function Under(props: StepRowProps & OfPot) {
  const { line, step, row, before, trouble, counted, batches, chosen, mayEdit, acts, done } = props;
  const { hours } = useFigures();
  const caution = row && done && cautionFor(row, before);
  const words = { took: 'takes', up: 'to come up to heat' };
  const notes = (row && done ? notesOf(row) : []).map((n) =>
    n === 'took'
      ? `${words.took} ${hours(row?.heatHours ?? 0)}`
      : n === 'up'
        ? `${hours(row?.upHours ?? 0)} ${words.up}`
        : row && handsWords(row, hours),
  );
  return (
    <>
      {props.touched && <TouchedLine touched={props.touched} onSettle={acts.settle} />}
      {line.note !== undefined && <div className="step-note">{line.note}</div>}
      {!done && chosen && (
        <span className="quiet">
          {line.off ? 'Switched off: it stands here and is not done.' : 'Not done in the way that is taken.'}
          {line.off && <WithIt line={line} />}
        </span>
      )}
      {trouble !== undefined && (
        <div role="alert" className="trouble">
          {trouble.message}{' '}
          <Instead lines={trouble.instead} mayEdit={mayEdit} onTake={(text) => acts.says(line.id, text)} />
          {mayEdit && <Missed trouble={trouble} step={step} onLearned={acts.learned} />}
        </div>
      )}
      {done && counted && (chosen || counted.trimmed) && (
        <CountedAs
          {...counted}
          mayEdit={mayEdit}
          onAsBought={() => acts.says(line.id, line.text.replace(/,\s*counted trimmed(?=,|$)/i, ''))}
        />
      )}
      {done && batches && <SoManyBatches {...batches} />}
      {done &&
        row?.warnings.map((w, i) => (
          <div key={`${w.code} ${i}`} className="warning">
            {w.message} <span className="cure">{w.cure.message}</span>
            {mayEdit && chosen && <Curing warning={w} at={props.index} />}
          </div>
        ))}
      {chosen && notes.length > 0 && <span className="quiet">{notes.join(' · ')}</span>}
      {chosen && caution !== undefined && <div className="caution">{caution}</div>}
    </>
  );
}

/** Which way a line belongs to, where it belongs to one. */
function WayOf({ line, choices }: Pick<StepRowProps, 'line' | 'choices'>) {
  if (line.way === undefined) return null;
  const choice = choices.find((c) => c.ways.some((w) => w.id === line.way));
  const way = choice?.ways.find((w) => w.id === line.way);
  if (!choice || !way) return null;
  return (
    <span
      className="way"
      title={`${choice.name}: ${way.name}${choice.house === way.id ? ', this house’s way' : ''}`}
    >
      {way.name}
    </span>
  );
}

/** What a line misses is asked for beside it: a name that nothing has, or what one of it weighs. */
function Missed({
  trouble: { code, unknown },
  step,
  onLearned,
}: {
  readonly trouble: Trouble;
  readonly step: WrittenStep | undefined;
  readonly onLearned: () => void;
}) {
  const missing = useMissing();
  if (!missing || !unknown) return null;
  const of = step && ofStep(step);
  if (code === 'piece-weight-unknown' && of && 'ingredient' in of)
    return (
      <missing.OneWeighs
        ingredient={of.ingredient}
        name={unknown.said}
        unit={unknown.kind}
        there={onLearned}
      />
    );
  return code === 'name-unknown' && unknown.kind.startsWith('ingredient') ? (
    <missing.UnknownName said={unknown.said} there={onLearned} />
  ) : null;
}

/** What a step takes of hands, and how much of that is the batch's setting up and washing up. */
function handsWords(row: LedgerRow, hours: (h: number) => string): string | undefined {
  const { handsHours, sharedHandsHours: shared = 0 } = row;
  if (handsHours < 1 / 120) return undefined;
  return `${hours(handsHours)} of hands${shared > 1 / 120 ? `, ${hours(shared)} of them setting up and washing up` : ''}`;
}

/** Lines that would be understood in place of one that is not: a click takes one. */
function Instead({
  lines = [],
  mayEdit,
  onTake,
}: {
  readonly lines: readonly string[] | undefined;
  readonly mayEdit: boolean;
  readonly onTake: (text: string) => void;
}) {
  if (!mayEdit || lines.length === 0) return null;
  return (
    <span className="instead">
      {lines.map((line) => (
        <Button
          key={line}

          variant="plain"
          size="sm"
          onClick={(event) => {
            event.stopPropagation();
            onTake(line);
          }}
        >
          {line}
        </Button>
      ))}
    </span>
  );
}

/** More than one batch gives is not wrong: it means so many batches. */
function SoManyBatches({ name, g, eachG, batches }: Batches) {
  const { kilos } = useFigures();
  return (
    <div className="quiet">
      {kilos(g)} of {name} means {batches} batches: one gives {kilos(eachG)}
    </div>
  );
}

/** What a count was taken for: pieces as bought, of which the usable part goes in; or trimmed ones, as older sheets meant it. */
function CountedAs({
  usableG,
  wholeG,
  trimmed,
  mayEdit,
  onAsBought,
}: Counted & { readonly mayEdit: boolean; readonly onAsBought: () => void }) {
  const { kilos } = useFigures();
  if (!trimmed)
    return (
      <div className="quiet">
        usable {kilos(usableG)} of {kilos(wholeG)} as bought
      </div>
    );
  return (
    <div className="warning">
      Counted as trimmed pieces, as this sheet was first written: {kilos(wholeG)} go in. As bought it would be{' '}
      {kilos(usableG)} of {kilos(wholeG)}.{' '}
      {mayEdit && (
        <Button variant="plain" size="sm" onClick={onAsBought}>
          Count as bought
        </Button>
      )}
    </div>
  );
}

/** The step as it is said, typed over in place; Escape puts back what stood there. */
function Said({
  index,
  line,
  trouble,
  mayEdit,
  acts,
  offers,
  describedBy,
}: StepRowProps & { readonly describedBy: string | undefined }) {
  const [settled, setSettled] = useState(line.text);
  const { id } = line;
  const onKey = (event: KeyboardEvent<HTMLInputElement>): boolean => {
    const up = event.key === 'ArrowUp';
    if (up || event.key === 'ArrowDown') {
      if (event.altKey && event.shiftKey && !up) acts.twin(id);
      else if (event.altKey) acts.move(id, up ? -1 : 1);
      else acts.next(id, up ? -1 : 1);
      return true;
    }
    if (event.key === '/' && (event.ctrlKey || event.metaKey)) {
      acts.off(id);
      return true;
    }
    if (event.key === 'Enter' && event.shiftKey) {
      acts.done(id);
      acts.put(id, 'below');
      return true;
    }
    return false;
  };
  return (
    <SaidInput
      id={`step-${id}`}
      lineId={id}
      name={`Step ${index + 1}`}
      value={line.text}
      readOnly={!mayEdit}
      settled={line.text === settled}
      invalid={trouble !== undefined}
      describedBy={describedBy}
      offers={offers}
      onFocus={() => {
        setSettled(line.text);
        acts.choose(id);
      }}
      onBlur={() => mayEdit && acts.done(id)}
      onTyped={(text) => acts.typed(id, text)}
      onTake={(text) => acts.says(id, text)}
      onLines={(text) => acts.pasted(id, text)}
      onKey={mayEdit ? onKey : () => false}
      onEnter={() => {
        setSettled(line.text);
        acts.done(id);
        acts.next(id, 1);
      }}
      onEscape={() => acts.typed(id, settled)}
    />
  );
}

/** What the pot then holds: nothing is said of a pot that is all but empty. */
function Figures({ index, done }: Pick<StepRowProps, 'index' | 'done'>) {
  const f = useFigures();
  const { pot, columns, most } = useShown();
  const row = done ? pot.run.rows[index] : undefined;
  return columns.map((column) => (
    <td
      key={column.head}
      className={`fig ${column.bar ? 'litre-cell' : ''} ${column.strong ? 'strong' : ''}`}
      data-of={column.head}
    >
      {column.bar && row && row.ml > 0.5 && (
        <i style={{ width: `${Math.min(100, (row.ml / most) * 100)}%` }} />
      )}
      <span>{row ? column.of(row, pot.money[index], f) : ''}</span>
    </td>
  ));
}
