'use client';

import Button from 'react-bootstrap/Button';
import { X } from 'lucide-react';
import { useId, useRef, type ReactNode } from 'react';
import type { RowCost } from '@/core/layers';
import { cautionFor, markOf, ofStep, type Counted, type WrittenStep } from '@/core/verbs';
import { type LedgerRow } from '@/core/pot';
import type { Batches } from '@/core/shelf';
import type { Trouble } from '@/core/trouble';
import { useFigures } from '@/ui/figures';
import { useMissing } from '@/ui/missing';
import { useMovable } from './movable-steps';

interface Props {
  readonly id: string;
  readonly index: number;
  readonly text: string;
  readonly step: WrittenStep | undefined;
  readonly row: LedgerRow | undefined;
  readonly before: LedgerRow | undefined;
  readonly money: RowCost | undefined;
  readonly trouble: Trouble | undefined;
  readonly counted: Counted | undefined;
  readonly batches: Batches | undefined;
  readonly most: number;
  readonly chosen: boolean;
  readonly mayEdit: boolean;
  readonly onChoose: () => void;
  readonly onTyped: (text: string) => void;
  readonly onDone: () => void;
  /** Takes one of the lines that would be understood. */
  readonly onInstead: (text: string) => void;
  /** Takes a count for things as bought. */
  readonly onAsBought: () => void;
  readonly onRemove: () => void;
  /** What the line misses has come to be known. */
  readonly onLearned: () => void;
}

const KIND_WORDS = {
  in: 'something comes in',
  hot: 'on the heat',
  out: 'something leaves',
  unread: 'not understood',
} as const;

/** One step: typed over in place, with what the pot then holds. */
export function StepRow(props: Props) {
  const { index, step, row, before, money, trouble, counted, batches, most, chosen, mayEdit } = props;
  const { onChoose, onRemove } = props;
  const { hours } = useFigures();
  const { body, handle } = useMovable(props.id, `step ${index + 1}`);
  const noteId = useId();
  const kind = markOf(step?.do ?? 'unread');
  const caution = row && cautionFor(row, before);
  const took = row && row.do === 'reduce' ? `takes ${hours(row.heatHours)}` : undefined;
  const up = row && row.upHours > 0.05 ? `${hours(row.upHours)} to come up to heat` : undefined;
  const notes = [took, up, row && handsWords(row, hours)].filter(Boolean).join(' · ');
  const hasNote =
    trouble !== undefined ||
    batches !== undefined ||
    (row?.warnings.length ?? 0) > 0 ||
    (counted !== undefined && (chosen || counted.trimmed)) ||
    (chosen && (caution !== undefined || notes !== ''));
  return (
    <tbody {...body}>
      <tr className={`${chosen ? 'chosen' : ''}${row ? '' : ' after-refusal'}`} onClick={onChoose}>
        <td>
          <span className="d-flex align-items-center gap-2">
            <span className={`verb verb-${kind}`} title={KIND_WORDS[kind]} />
            <Said {...props} describedBy={hasNote ? noteId : undefined} />
            {mayEdit && <Tools index={index} handle={handle} onRemove={onRemove} />}
          </span>
        </td>
        <Figures row={row} money={money} most={most} />
      </tr>
      {hasNote && (
        <tr className="note-row">
          <td colSpan={6} id={noteId}>
            {trouble !== undefined && (
              <div role="alert" className="trouble">
                {trouble.message}{' '}
                <Instead lines={trouble.instead} mayEdit={mayEdit} onTake={props.onInstead} />
                {mayEdit && <Missed trouble={trouble} step={step} onLearned={props.onLearned} />}
              </div>
            )}
            {counted && (chosen || counted.trimmed) && <CountedAs {...counted} {...props} />}
            {batches && <SoManyBatches {...batches} />}
            {row?.warnings.map((w, i) => (
              <div key={`${w.code} ${i}`} className="warning">
                {w.message} <span className="cure">{w.cure.message}</span>
              </div>
            ))}
            {chosen && notes !== '' && <span className="quiet">{notes}</span>}
            {chosen && caution !== undefined && <div className="caution">{caution}</div>}
          </td>
        </tr>
      )}
    </tbody>
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
}: Counted & Pick<Props, 'mayEdit' | 'onAsBought'>) {
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
  text,
  trouble,
  mayEdit,
  onChoose,
  onTyped,
  onDone,
  describedBy,
}: Props & { readonly describedBy: string | undefined }) {
  const settled = useRef(text);
  return (
    <input
      className="step-input"
      aria-label={`Step ${index + 1}`}
      aria-invalid={trouble ? true : undefined}
      aria-describedby={describedBy}
      autoComplete="off"
      readOnly={!mayEdit}
      value={text}
      onFocus={() => {
        settled.current = text;
        onChoose();
      }}
      onChange={(event) => onTyped(event.target.value)}
      onBlur={onDone}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onDone();
        if (event.key === 'Escape') onTyped(settled.current);
      }}
    />
  );
}

function Tools({
  index,
  handle,
  onRemove,
}: Pick<Props, 'index' | 'onRemove'> & { readonly handle: ReactNode }) {
  return (
    <span className="step-tools d-flex" onClick={(event) => event.stopPropagation()}>
      {handle}
      <Button variant="tool" size="sm" aria-label={`Take step ${index + 1} out`} onClick={onRemove}>
        <X size={16} aria-hidden="true" />
      </Button>
    </span>
  );
}

/** What the pot then holds: nothing is said of a pot that is all but empty. */
function Figures({ row, money, most }: Pick<Props, 'row' | 'money' | 'most'>) {
  const { bare } = useFigures();
  return (
    <>
      <td className="fig litre-cell" data-of="litres">
        {row && row.ml > 0.5 && <i style={{ width: `${Math.min(100, (row.ml / most) * 100)}%` }} />}
        <span>{row && row.ml > 0.5 ? bare(row.ml / 1000, row.ml < 995 ? 2 : 1) : ''}</span>
      </td>
      <td className="fig" data-of="dip cm">
        {row && row.ml > 0.5 ? bare(row.dipCm, 1) : ''}
      </td>
      <td className="fig" data-of="body">
        {row && row.ml > 0.5 ? bare(row.body, 2) : ''}
      </td>
      <td className="fig" data-of="salt %">
        {row && row.ml > 0.5 ? bare(row.saltPct, 2) : ''}
      </td>
      <td className="fig strong" data-of="a litre">
        {money?.perL === null || money?.perL === undefined ? '' : bare(money.perL)}
      </td>
    </>
  );
}
