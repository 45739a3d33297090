import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import * as texts from './texts';

/** Where a part of a screen could not be fetched: the rest of it stands. */
const NotHere = () => (
  <p className="warning" role="alert">
    {texts.noConnectionPartScreen}
  </p>
);

/**
 * A part of a screen that comes when it is asked for. Without a network it may not come: that is said in its place, and whatever
 * stands beside it goes on.
 */
export const lazyPart = <Props extends object>(
  load: () => Promise<ComponentType<Props>>,
): ComponentType<Props> =>
  dynamic<Props>(() => load().catch(() => NotHere as ComponentType<Props>), { ssr: false });
