'use client';

import { StationNav } from '@/ui/frame/station-nav';
import * as texts from './texts';

const PAGES = [
  ['/pour', 'Dishes'],
  ['/pour/menus', 'Menus'],
  ['/pour/what-if', texts.whatIf],
  ['/pour/happened', texts.whatChanged],
  ['/pour/family', 'Family'],
  ['/pour/used', texts.whereUsed],
  ['/pour/allergens', 'Allergens'],
] as const;

/** The pages of the pouring station. */
export const PourNav = () => <StationNav label={texts.pouring} pages={PAGES} />;
