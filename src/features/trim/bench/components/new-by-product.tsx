'use client';

import Button from 'react-bootstrap/Button';
import { useId, useState } from 'react';
import { TroubleText } from '@/ui/forms/trouble-text';
import { newByProduct } from '../wire';
import { TRY_AGAIN } from '@/wire';

/** Names a by-product that is not in the kitchen yet, and what it is reckoned as. */
export function NewByProduct({
  of,
  likes,
  onMade,
  onLeave,
}: {
  readonly of: string;
  readonly likes: readonly string[];
  readonly onMade: (product: { id: string; name: string }) => void;
  readonly onLeave: () => void;
}) {
  const [name, setName] = useState('');
  const [like, setLike] = useState('');
  const [message, setMessage] = useState<string>();
  const list = useId();
  const make = async (): Promise<void> => {
    const answer = await newByProduct({ of, name, like }).catch(() => ({
      ok: false as const,
      message: TRY_AGAIN,
    }));
    if (answer.ok) onMade({ id: answer.value.id, name: name.trim() });
    else setMessage(answer.message);
  };
  return (
    <div className="fields d-flex flex-wrap align-items-end gap-3" role="group" aria-label="A new by-product">
      <label>
        called
        <input
          className="typed typed-text"
          aria-label="New by-product, its name"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label>
        in the pot it is like (empty: like what it comes off)
        <input
          className="typed typed-text"
          aria-label="New by-product, what it is like"
          list={list}
          value={like}
          onChange={(event) => setLike(event.target.value)}
        />
      </label>
      <datalist id={list}>
        {likes.map((l) => (
          <option key={l} value={l} />
        ))}
      </datalist>
      <Button variant="plain" size="sm" onClick={() => void make()}>
        Create
      </Button>
      <Button variant="plain" size="sm" onClick={onLeave}>
        Cancel
      </Button>
      <TroubleText says={message} />
    </div>
  );
}
