'use client';

import { StationNav } from '@/ui/frame/station-nav';
import * as texts from './texts';

const PAGES = [
  ['/house', texts.wholeKitchen],
  ['/house/stove', texts.vesselsHobs],
  ['/people', 'People'],
  ['/house/changes', texts.history],
] as const;

/** The pages of what belongs to the house. */
export const HouseNav = () => <StationNav label={texts.kitchen} pages={PAGES} />;
