'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { MissingContext, type Missing } from '@/ui/forms/missing';

/**
 * Shown while a form is being fetched. Without a fallback of its own the form would suspend the whole page, and what is
 * typed elsewhere meanwhile would be lost.
 */
const loading = (): null => null;

/** Fetched when something is missing. */
const MISSING: Missing = {
  UnknownName: dynamic(() => import('./unknown-name').then((m) => m.UnknownName), { loading }),
  OneWeighs: dynamic(() => import('./piece-weight-form').then((m) => m.PieceWeightForm), { loading }),
  NoPrice: dynamic(() => import('./first-price-form').then((m) => m.FirstPriceForm), { loading }),
};

/** How the larder answers what other stations miss. */
export const MissingProvider = ({ children }: { readonly children: ReactNode }) => (
  <MissingContext of={MISSING}>{children}</MissingContext>
);
