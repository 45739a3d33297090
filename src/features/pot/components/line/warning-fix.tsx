'use client';

import { createContext, useContext, useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import type { Warning } from '@/core/pot';
import { useFormatters } from '@/ui/formatters-context';
import { tryFix, type FixTried, type FixIn } from '../../warning-fixes';
import type { SheetLine } from '../sheet/sheet-lines';
import * as texts from './texts';

interface Curer extends FixIn {
  readonly onCure: (cured: FixTried) => void;
}
const Context = createContext<Curer | undefined>(undefined);

/** Gives the lines below the sheet that their cures are tried out on. */
export const WarningFixContext = Context.Provider;

/** Does what a warning says would put it right, where trying it out shows that it does. */
export function WarningFix({ warning, at }: { readonly warning: Warning; readonly at: number }) {
  const curer = useContext(Context);
  const cured = useMemo(() => curer && tryFix(warning, at, curer), [curer, warning, at]);
  if (!curer || !cured) return null;
  return (
    <>
      {' '}
      <Button
        variant="plain"
        size="sm"
        onClick={(event) => {
          event.stopPropagation();
          curer.onCure(cured);
        }}
      >
        {cured.words}
      </Button>
    </>
  );
}

/** What the pot would be with a line that is switched off: litres and what one costs. */
export function IfSwitchedOn({ line }: { readonly line: SheetLine }) {
  const curer = useContext(Context);
  const { litres, money } = useFormatters();
  const pot = useMemo(() => {
    if (!curer) return undefined;
    const lines = curer.draft.lines.map(({ off, ...l }) => (l.id === line.id || !off ? l : { ...l, off }));
    return curer.run({ ...curer.draft, lines });
  }, [curer, line.id]);
  if (!pot) return null;
  const perL = pot.money.at(-1)?.perL;
  return (
    <>
      {' '}
      {pot.refusedAt !== undefined
        ? texts.potCannotMade
        : texts.withIt(litres(pot.run.product?.ml ?? 0), perL, money(perL))}
    </>
  );
}
