'use client';

import { StationNav } from '@/ui/frame/station-nav';

const PAGES = [
  ['/weigh', 'Questions'],
  ['/weigh/rules', 'Rules of thumb'],
] as const;

/** The pages of weighing up. */
export const WeighNav = () => <StationNav label="Weighing up" pages={PAGES} />;
