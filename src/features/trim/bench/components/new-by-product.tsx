'use client';

import Button from 'react-bootstrap/Button';
import { useId, useState } from 'react';
import { TroubleText } from '@/ui/forms/trouble-text';
import { newByProduct } from '../wire';
import { TRY_AGAIN } from '@/wire';
import * as texts from './texts';

/** Names a by-product that is not in the kitchen yet, and what it is treated as. */
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
    <div className="fields d-flex flex-wrap align-items-end gap-3" role="group" aria-label={texts.newProduct}>
      <label>
        {texts.called}
        <input
          className="typed typed-text"
          aria-label={texts.newProductName}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label>
        {texts.potLikeEmptyLike}
        <input
          className="typed typed-text"
          aria-label={texts.newProductWhatLike}
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
        {texts.create}
      </Button>
      <Button variant="plain" size="sm" onClick={onLeave}>
        {texts.cancel}
      </Button>
      <TroubleText says={message} />
    </div>
  );
}
