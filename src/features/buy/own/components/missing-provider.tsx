'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { MissingContext, type Missing } from '@/ui/missing';

/**
 * Shown while a form is being fetched. Without a fallback of its own the form would suspend the whole page, and what is
 * typed elsewhere meanwhile would be lost.
 */
const loading = (): null => null;

/** Fetched when something is missing. */
const MISSING: Missing = {
  UnknownName: dynamic(() => import('./unknown-name').then((m) => m.UnknownName), { loading }),
  OneWeighs: dynamic(() => import('./one-weighs').then((m) => m.OneWeighs), { loading }),
  NoPrice: dynamic(() => import('./no-price').then((m) => m.NoPrice), { loading }),
};

/** How the larder answers what other stations miss. */
export const MissingProvider = ({ children }: { readonly children: ReactNode }) => (
  <MissingContext of={MISSING}>{children}</MissingContext>
);
