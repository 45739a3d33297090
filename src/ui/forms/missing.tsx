'use client';

import { createContext, useContext, type ComponentType, type ReactNode } from 'react';

/** Asks for what is missed where it is missed; `there` is called when it has been answered, and the place reads again. */
export interface Missing {
  /** A name that nothing in the kitchen has. */
  readonly UnknownName: ComponentType<{ readonly said: string; readonly there: (name: string) => void }>;
  /** What one (bunch, bottle, piece) of an ingredient weighs. */
  readonly OneWeighs: ComponentType<{
    readonly ingredient: string;
    readonly name: string;
    readonly unit: string;
    readonly there: () => void;
  }>;
  /** What an ingredient is bought as, from whom, and for how much. */
  readonly NoPrice: ComponentType<{
    readonly ingredient: string;
    readonly name: string;
    readonly there: () => void;
  }>;
}

const Context = createContext<Missing | undefined>(undefined);

/** Gives every station below the ways to answer what the kitchen does not know yet. */
export const MissingContext = ({ of, children }: { readonly of: Missing; readonly children: ReactNode }) => (
  <Context value={of}>{children}</Context>
);

export const useMissing = (): Missing | undefined => useContext(Context);
