'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { COUNT_UNITS } from '@/core/quantity';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { saveOneWeighs } from '../wire';
import * as texts from './texts';

interface Props {
  readonly ingredient: string;
  readonly name: string;
  readonly unit: string;
  readonly there: () => void;
}

/** What one of it weighs, asked where a line counts it. */
export function PieceWeightForm({ ingredient, name, unit, there }: Props) {
  const [typed, setTyped] = useState('');
  const [keep, state] = useSave(false);
  const of = COUNT_UNITS.find((u) => u === unit) ?? 'each';
  const one = of === 'each' ? texts.one(name) : texts.aOf(of, name);
  const send = (): void =>
    void keep(() => saveOneWeighs({ id: ingredient, unit: of, typed })).then((ok) => ok && there());
  return (
    <span className="d-block mt-1" onClick={(event) => event.stopPropagation()}>
      {texts.weighs(one)}{' '}
      <input
        className="typed typed-narrow"
        aria-label={texts.weighs(one)}
        placeholder="35 g"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && send()}
      />{' '}
      <Button variant="plain" size="sm" disabled={state.busy || typed.trim() === ''} onClick={send}>
        {texts.save}
      </Button>
      <TroubleText as="span" says={state.message} />
    </span>
  );
}
