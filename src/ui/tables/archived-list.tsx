'use client';

import Button from 'react-bootstrap/Button';
import ListGroup from 'react-bootstrap/ListGroup';
import { useFormatters } from '../formatters-context';
import { TroubleText } from '../forms/trouble-text';
import { useSave, type SaveAnswer } from '../forms/use-save';
import * as texts from './texts';

export interface ArchivedRow {
  readonly id: string;
  readonly name: string;
  /** Day since which it is away. */
  readonly since: string;
}

/** What was put away, and the way back. */
export function ArchivedList({
  rows,
  bringBack,
}: {
  readonly rows: readonly ArchivedRow[];
  readonly bringBack: (id: string) => Promise<SaveAnswer>;
}) {
  const [keep, state] = useSave();
  const { day } = useFormatters();
  if (rows.length === 0) return null;
  return (
    <details className="mt-4">
      <summary>{texts.archived(rows.length)}</summary>
      <ListGroup as="ul" variant="flush" style={{ maxWidth: '36rem' }}>
        {rows.map((r) => (
          <ListGroup.Item as="li" key={r.id} className="d-flex justify-content-between gap-3">
            <span>
              {r.name} <span className="quiet small-line">{texts.since(day(r.since))}</span>
            </span>
            <Button
              variant="plain"
              size="sm"
              aria-label={texts.restoreNamed(r.name)}
              disabled={state.busy}
              onClick={() => void keep(() => bringBack(r.id))}
            >
              {texts.restore}
            </Button>
          </ListGroup.Item>
        ))}
      </ListGroup>
      <TroubleText says={state.message} />
    </details>
  );
}
