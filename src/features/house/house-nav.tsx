'use client';

import { StationNav } from '@/ui/frame/station-nav';

const PAGES = [
  ['/house', 'The whole kitchen'],
  ['/house/stove', 'Vessels and hobs'],
  ['/people', 'People'],
  ['/house/changes', 'What was changed'],
] as const;

/** The pages of what belongs to the house. */
export const HouseNav = () => <StationNav label="This kitchen" pages={PAGES} />;
