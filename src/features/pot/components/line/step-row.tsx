'use client';

import equal from 'fast-deep-equal/es6/index.js';
import { memo, use, useId, useState, type ComponentProps, type KeyboardEvent } from 'react';
import { useInView } from 'react-intersection-observer';
import { markOf } from '@/core/verbs';
import { useFormatters } from '@/ui/formatters-context';
import { useMovable } from '../sheet/movable-steps';
import { LineNote } from './line-note';
import { NewChoice } from './new-choice';
import { LineInput } from './line-input';
import { usePotContext } from '../figures/pot-context';
import { StepMenu } from './step-menu';
import { NoteRow } from './step-notes';
import type { StepRowProps } from './step-props';
import { NO_SUGGESTIONS, SuggestionsContext } from './use-suggestions';
import * as texts from './texts';

const KIND_WORDS = {
  in: texts.somethingComes,
  hot: texts.heat,
  out: texts.somethingLeaves,
  unread: texts.notUnderstood,
} as const;

/** Lines a little out of sight count as in it: anyone who scrolls finds them drawn. */
const IN_SIGHT = { rootMargin: '200px 0px', initialInView: true } as const;

/** One step: typed over in place, with what the pot then holds. */
export const StepRow = memo(function StepRow(props: StepRowProps) {
  const { index, line, step, done, chosen, mayEdit, acts, trouble } = props;
  const { body, handle } = useMovable(line.id, `step ${index + 1}`);
  const { ref, inView } = useInView(IN_SIGHT);
  const [asking, setAsking] = useState<'note' | 'way'>();
  const noteId = useId();
  const kind = markOf(step?.do ?? 'unread');
  const names = [
    chosen ? 'chosen' : '',
    done ? '' : 'left-out',
    line.off ? 'off' : '',
    props.arrived ? 'arrived' : '',
  ];
  return (
    <tbody {...body}>
      <Line
        of={{ index, inSight: inView }}
        ref={ref}
        className={names.filter(Boolean).join(' ')}
        onClick={() => acts.choose(line.id)}
      >
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
        <Figures index={index} done={done} inSight={inView} />
      </Line>
      <NoteRow {...props} id={noteId} inSight={inView} open={asking !== undefined}>
        {asking === 'note' && (
          <LineNote line={line} index={index} acts={acts} close={() => setAsking(undefined)} />
        )}
        {asking === 'way' && <NewChoice line={line} acts={acts} close={() => setAsking(undefined)} />}
      </NoteRow>
    </tbody>
  );
}, sameLine);

/** The row of a line. That it stands after a step that cannot be done is told to it alone: its words are not drawn again for that. */
function Line({
  of: { index, inSight },
  className = '',
  ...row
}: ComponentProps<'tr'> & { readonly of: { readonly index: number; readonly inSight: boolean } }) {
  const after = usePotContext(inSight).pot.run.rows[index] === undefined;
  return <tr {...row} className={after ? `${className} after-refusal`.trim() : className} />;
}

/** Whether a line says the same as before: things are compared by what they say, not by the objects they come in. */
function sameLine(a: StepRowProps, b: StepRowProps): boolean {
  return (Object.keys(a) as (keyof StepRowProps)[]).every((key) => {
    const [x, y] = [a[key], b[key]];
    return x === y || (typeof x === 'object' && typeof y === 'object' && equal(x, y));
  });
}

/** Which way a line belongs to, where it belongs to one. */
function WayOf({ line, choices }: Pick<StepRowProps, 'line' | 'choices'>) {
  if (line.way === undefined) return null;
  const choice = choices.find((c) => c.ways.some((w) => w.id === line.way));
  const way = choice?.ways.find((w) => w.id === line.way);
  if (!choice || !way) return null;
  return (
    <span className="way" title={`${choice.name}: ${way.name}${choice.house === way.id ? texts.ourWay : ''}`}>
      {way.name}
    </span>
  );
}

/** The step as it is said, typed over in place; Escape puts back what stood there. */
function Said({
  index,
  line,
  trouble,
  mayEdit,
  acts,
  chosen,
  describedBy,
}: StepRowProps & { readonly describedBy: string | undefined }) {
  const offered = chosen ? use(SuggestionsContext) : undefined;
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
    <LineInput
      id={`step-${id}`}
      lineId={id}
      name={`Step ${index + 1}`}
      value={line.text}
      readOnly={!mayEdit}
      settled={line.text === settled}
      invalid={trouble !== undefined}
      describedBy={describedBy}
      offers={offered?.at === index ? offered.offers : NO_SUGGESTIONS}
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
function Figures({
  index,
  done,
  inSight,
}: Pick<StepRowProps, 'index' | 'done'> & { readonly inSight: boolean }) {
  const f = useFormatters();
  const { pot, columns, most } = usePotContext(inSight);
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
