'use client';

import { StationNav } from '@/ui/frame/station-nav';
import * as texts from './texts';

const PAGES = [
  ['/trim', 'Bench'],
  ['/trim/flow', texts.whereTrimGoes],
  ['/trim/schools', texts.whoPays],
] as const;

/** The pages of the trimming station. */
export const TrimNav = () => <StationNav label={texts.trimming} pages={PAGES} />;
