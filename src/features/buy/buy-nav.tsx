'use client';

import { StationNav } from '@/ui/frame/station-nav';

const PAGES = [
  ['/buy', 'Price book'],
  ['/buy/purchases', 'Purchases'],
  ['/buy/lists', 'Price lists'],
  ['/buy/larder', 'Larder'],
  ['/buy/suppliers', 'Suppliers'],
] as const;

/** The pages of the buying station. */
export const BuyNav = () => <StationNav label="Buying" pages={PAGES} />;
