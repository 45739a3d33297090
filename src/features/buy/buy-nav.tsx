'use client';

import { StationNav } from '@/ui/frame/station-nav';
import * as texts from './texts';

const PAGES = [
  ['/buy', texts.priceBook],
  ['/buy/purchases', 'Purchases'],
  ['/buy/lists', texts.priceLists],
  ['/buy/larder', 'Larder'],
  ['/buy/suppliers', 'Suppliers'],
] as const;

/** The pages of the buying station. */
export const BuyNav = () => <StationNav label={texts.buying} pages={PAGES} />;
