'use client';

import { StationNav } from '@/ui/frame/station-nav';

const PAGES = [
  ['/trim', 'Bench'],
  ['/trim/flow', 'Where trim goes'],
  ['/trim/schools', 'Who pays'],
] as const;

/** The pages of the trimming station. */
export const TrimNav = () => <StationNav label="Trimming" pages={PAGES} />;
