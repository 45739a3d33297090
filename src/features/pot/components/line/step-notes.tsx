'use client';

import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { cautionFor, ofStep, type Counted, type WrittenStep } from '@/core/verbs';
import { type LedgerRow } from '@/core/pot';
import type { Batches } from '@/core/shelf';
import type { Trouble } from '@/core/trouble';
import { useFormatters } from '@/ui/formatters-context';
import { useMissing } from '@/ui/forms/missing';
import { WarningFix, IfSwitchedOn } from './warning-fix';
import { usePotContext } from '../figures/pot-context';
import type { StepRowProps } from './step-props';
import { LineConflict } from './line-conflict';
import * as texts from './texts';

/** What is said under a line, where there is anything. */
export function NoteRow({
  id,
  open,
  inSight,
  children,
  ...props
}: StepRowProps & {
  readonly id: string;
  readonly open: boolean;
  readonly inSight: boolean;
  readonly children: ReactNode;
}) {
  const { pot, columns } = usePotContext(inSight);
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
  const { hours } = useFormatters();
  const caution = row && done && cautionFor(row, before);
  const words = { took: 'takes', up: texts.comeUpHeat };
  const notes = (row && done ? notesOf(row) : []).map((n) =>
    n === 'took'
      ? `${words.took} ${hours(row?.heatHours ?? 0)}`
      : n === 'up'
        ? `${hours(row?.upHours ?? 0)} ${words.up}`
        : row && handsWords(row, hours),
  );
  return (
    <>
      {props.touched && <LineConflict touched={props.touched} onSettle={acts.settle} />}
      {line.note !== undefined && <div className="step-note">{line.note}</div>}
      {!done && chosen && (
        <span className="quiet">
          {line.off ? texts.switchedOffStaysHere : texts.notPartVariantUse}
          {line.off && <IfSwitchedOn line={line} />}
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
            {mayEdit && chosen && <WarningFix warning={w} at={props.index} />}
          </div>
        ))}
      {chosen && notes.length > 0 && <span className="quiet">{notes.join(' · ')}</span>}
      {chosen && caution !== undefined && <div className="caution">{caution}</div>}
    </>
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
  return texts.labour(hours(handsHours), shared, 1 / 120, hours(shared));
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
  const { kilos } = useFormatters();
  return <div className="quiet">{texts.meansBatchesOneGives(kilos(g), name, batches, kilos(eachG))}</div>;
}

/** What a count was taken for: pieces as bought, of which the usable part goes in; or trimmed ones, as older sheets meant it. */
function CountedAs({
  usableG,
  wholeG,
  trimmed,
  mayEdit,
  onAsBought,
}: Counted & { readonly mayEdit: boolean; readonly onAsBought: () => void }) {
  const { kilos } = useFormatters();
  if (!trimmed) return <div className="quiet">{texts.usableBought(kilos(usableG), kilos(wholeG))}</div>;
  return (
    <div className="warning">
      {texts.countedTrimmedPiecesSheet(kilos(wholeG), kilos(usableG))}{' '}
      {mayEdit && (
        <Button variant="plain" size="sm" onClick={onAsBought}>
          {texts.countBought}
        </Button>
      )}
    </div>
  );
}
