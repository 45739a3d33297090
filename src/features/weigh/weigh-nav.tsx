'use client';

import { StationNav } from '@/ui/frame/station-nav';
import * as texts from './texts';

const PAGES = [
  ['/weigh', 'Questions'],
  ['/weigh/rules', texts.rulesThumb],
] as const;

/** The pages of weighing up. */
export const WeighNav = () => <StationNav label={texts.weighingUp} pages={PAGES} />;
