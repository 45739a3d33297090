'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { BatchFigures } from '@/core/batch';
import { clockIn } from '@/core/day';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import type { BatchShown } from '../../queries';
import { eventWords } from '../../words';
import type { LiveBatch } from './use-batch-estimate';
import * as texts from './texts';

/** Its lines: done, at hand, and to come. */
export function BatchLines({
  batch,
  figures,
  events,
}: {
  readonly batch: BatchShown;
  readonly figures: BatchFigures | undefined;
  readonly events: readonly WrittenBatchEvent[];
}) {
  const done = new Map(events.flatMap((e) => (e.is === 'done' ? [[e.step, e] as const] : [])));
  return (
    <section aria-label={texts.steps}>
      <h2>{texts.steps}</h2>
      <ol className="batch-lines">
        {batch.lines.map(({ id, words }, i) => {
          const tick = done.get(id);
          return (
            <li key={id} aria-current={figures?.at === i ? 'step' : undefined}>
              {words}
              {tick && (
                <span className="quiet small-line">
                  {' '}
                  ✓ {clockIn(batch.zone, new Date(tick.at))}
                  {tick.by !== undefined && `, ${tick.by}`}
                  {tick.said && texts.notVerified}
                </span>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** A note of the shift. */
function NoteIt({ tell }: { readonly tell: LiveBatch['tell'] }) {
  const [text, setText] = useState('');
  return (
    <Form
      className="d-flex gap-2 mb-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return;
        void tell({ is: 'note', text: text.trim() }).then((ok) => {
          if (ok) setText('');
        });
      }}
    >
      <Form.Control
        aria-label={texts.note}
        placeholder={texts.noteNextShift}
        maxLength={400}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" variant="outline-primary" className="flex-shrink-0" disabled={text.trim() === ''}>
        {texts.saveNote}
      </Button>
    </Form>
  );
}

/** What has been told, the newest first, each to be taken back. */
export function LogTable({
  batch,
  following,
}: {
  readonly batch: BatchShown;
  readonly following: LiveBatch;
}) {
  const { events, back } = following;
  const words = new Map(batch.lines.map((l) => [l.id, l.words]));
  const newest = [...events].reverse();
  return (
    <section aria-label={texts.log}>
      <h2>{texts.log}</h2>
      {batch.mayTell && <NoteIt tell={following.tell} />}
      {newest.length === 0 && <p className="quiet">{texts.nothingYetHeading}</p>}
      <ul className="list-unstyled">
        {newest.map((e) => (
          <li key={e.id} className="told">
            <span className="fig quiet">{clockIn(batch.zone, new Date(e.at))}</span>{' '}
            <span className="flex-grow-1">
              {eventWords(e, e.is === 'done' ? words.get(e.step) : undefined)}
              {e.by !== undefined && (
                <span className="quiet small-line">
                  , {e.by}
                  {e.said && texts.notVerified}
                </span>
              )}
            </span>
            {batch.mayTell && (
              <Button
                variant="link"
                size="sm"
                aria-label={`Undo: ${eventWords(e, e.is === 'done' ? words.get(e.step) : undefined)}`}
                onClick={() => void back(e.id)}
              >
                {texts.undo}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
