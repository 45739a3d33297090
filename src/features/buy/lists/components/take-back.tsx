'use client';

import { useState } from 'react';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { undo } from '../wire';
import type { ListPage } from '../queries';

/** An accepted list can be taken back whole; what somebody edited since is kept unless confirmed. */
export function TakeBack({ page }: { page: ListPage }) {
  const [keep, state] = useKept();
  const [also, setAlso] = useState(false);
  if (!page.mayEdit) return null;
  return (
    <div className="side-box">
      <p style={{ margin: 0 }}>
        <span className="cheaper">Its prices are in the book.</span>{' '}
        <button
          type="button"
          className="plain-button"
          disabled={state.busy}
          onClick={() => void keep(() => undo({ id: page.list.id, alsoEdited: also }))}
        >
          Take the whole list back
        </button>
      </p>
      {page.edited.length > 0 && (
        <>
          <p className="warning" style={{ margin: '0.5rem 0 0' }}>
            Edited since, and kept as they are unless you say so:{' '}
            {page.edited
              .slice(0, 12)
              .map((e) => `${e.name} (${e.price})`)
              .join(', ')}
            {page.edited.length > 12 && ` and ${page.edited.length - 12} more`}
          </p>
          <label>
            <input type="checkbox" className="radio-large" checked={also} onChange={() => setAlso(!also)} />{' '}
            take those list prices back too
          </label>
        </>
      )}
      <Trouble says={state.message} />
    </div>
  );
}
