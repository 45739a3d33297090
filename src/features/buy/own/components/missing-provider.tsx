'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { MissingContext, type Missing } from '@/ui/missing';

/** They come when something is missed. */
const MISSING: Missing = {
  UnknownName: dynamic(() => import('./unknown-name').then((m) => m.UnknownName)),
  OneWeighs: dynamic(() => import('./one-weighs').then((m) => m.OneWeighs)),
  NoPrice: dynamic(() => import('./no-price').then((m) => m.NoPrice)),
};

/** How the larder answers what other stations miss. */
export const MissingProvider = ({ children }: { readonly children: ReactNode }) => (
  <MissingContext of={MISSING}>{children}</MissingContext>
);
