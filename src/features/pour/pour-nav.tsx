'use client';

import { StationNav } from '@/ui/frame/station-nav';

const PAGES = [
  ['/pour', 'Dishes'],
  ['/pour/menus', 'Menus'],
  ['/pour/what-if', 'What if'],
  ['/pour/happened', 'What happened'],
  ['/pour/family', 'Family'],
  ['/pour/used', 'Where used'],
  ['/pour/allergens', 'Allergens'],
] as const;

/** The pages of the pouring station. */
export const PourNav = () => <StationNav label="Pouring" pages={PAGES} />;
