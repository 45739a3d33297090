'use client';

import { EllipsisVertical, X } from 'lucide-react';
import Link from 'next/link';
import { useParams } from 'next/navigation';
import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import type { WrittenChoice } from '@/core/kitchen-file';
import type { SheetLine } from '../sheet/sheet-lines';
import type { LineActions } from './use-line-actions';
import * as texts from './texts';

interface Props {
  readonly index: number;
  readonly line: SheetLine;
  readonly choices: readonly WrittenChoice[];
  readonly acts: LineActions;
  readonly handle: ReactNode;
  readonly onNote: () => void;
  readonly onOtherWay: () => void;
  readonly onFields: () => void;
}

/** A thing to do with a line, and the key that does it. */
const Item = ({ words, keys, act }: { words: string; keys?: string; act: () => void }) => (
  <Dropdown.Item as="button" type="button" onClick={act} className="d-flex justify-content-between gap-4">
    {words}
    {keys && <span className="quiet small-line">{keys}</span>}
  </Dropdown.Item>
);

/** The questions that arise at a line, on a page of their own. */
function WeighUp({ line }: { readonly line: string }) {
  const { id } = useParams<{ id: string }>();
  return (
    <Dropdown.Item as={Link} prefetch={false} href={`/weigh?of=${id}&line=${line}`}>
      {texts.weighUpWhatCould}
    </Dropdown.Item>
  );
}

/** What is done with a line: moved, doubled, switched off, noted on, given to a way, taken out. */
export function StepMenu({ index, line, choices, acts, handle, onNote, onOtherWay, onFields }: Props) {
  const { id } = line;
  return (
    <span className="step-tools d-flex" onClick={(event) => event.stopPropagation()}>
      {handle}
      <Dropdown align="end">
        <Dropdown.Toggle variant="tool" size="sm" aria-label={texts.moreStep(index + 1)} className="no-caret">
          <EllipsisVertical size={16} aria-hidden="true" />
        </Dropdown.Toggle>
        <Dropdown.Menu>
          <Item words={texts.lineBelow} keys={texts.shiftEnter} act={() => acts.put(id, 'below')} />
          <Item words={texts.lineAbove} act={() => acts.put(id, 'above')} />
          <Item words={texts.duplicateLine} keys={texts.altShift} act={() => acts.twin(id)} />
          <Item words={texts.moveUp} keys={texts.alt} act={() => acts.move(id, -1)} />
          <Item words={texts.moveDown} keys={texts.altHeading} act={() => acts.move(id, 1)} />
          <Item
            words={line.off ? texts.switchAgain : texts.switchOff}
            keys={texts.ctrl}
            act={() => acts.off(id)}
          />
          <Item words={line.note ? texts.note : texts.noteCook} act={onNote} />
          <Item words={texts.editForm} act={onFields} />
          <Dropdown.Divider />
          <WeighUp line={id} />
          <Item words={texts.anotherWayDoing} act={onOtherWay} />
          {line.way !== undefined && (
            <Item words={texts.useEveryVariant} act={() => acts.way(id, undefined)} />
          )}
          {choices.flatMap((c) =>
            c.ways
              .filter((w) => w.id !== line.way)
              .map((w) => (
                <Item key={w.id} words={texts.onlyWhere(c.name, w.name)} act={() => acts.way(id, w.id)} />
              )),
          )}
        </Dropdown.Menu>
      </Dropdown>
      <Button
        variant="tool"
        size="sm"
        aria-label={texts.removeStep(index + 1)}
        onClick={() => acts.remove(id)}
      >
        <X size={16} aria-hidden="true" />
      </Button>
    </span>
  );
}
