'use client';

import dynamic from 'next/dynamic';
import { createContext, useCallback, useContext, useState, useTransition, type ReactNode } from 'react';
import type { Why } from '@/core/why';
import * as texts from './texts';

/** The panel comes when it is first asked for: a page that only shows figures needs none of it. */
const WhyPanel = dynamic(() => import('./why-panel').then((m) => m.WhyPanel), { ssr: false });

type Ask = (key: string) => Promise<Why | null>;
const Context = createContext<(key: string) => void>(() => undefined);

/** Holds the panel that answers *why*, and gives every figure below a way to ask it. */
export function WhyProvider({ ask, children }: { ask: Ask; children: ReactNode }) {
  const [why, setWhy] = useState<Why | null>(null);
  const [asked, setAsked] = useState(false);
  const [open, setOpen] = useState(false);
  const [waiting, startAsking] = useTransition();
  const show = useCallback(
    (key: string) => {
      setAsked(true);
      setOpen(true);
      setWhy(null);
      startAsking(async () => setWhy(await ask(key)));
    },
    [ask],
  );
  return (
    <Context value={show}>
      {children}
      {asked && <WhyPanel why={waiting ? null : why} open={open} close={() => setOpen(false)} />}
    </Context>
  );
}

/** A figure that can be asked *why*. */
export function WhyFigure({
  of,
  children,
  label,
  className = '',
}: {
  of: string;
  children: ReactNode;
  label: string;
  className?: string;
}) {
  const ask = useContext(Context);
  return (
    <button
      type="button"
      className={`why-button fig ${className}`}
      onClick={() => ask(of)}
      aria-label={texts.whyLabel(label)}
    >
      {children}
    </button>
  );
}
