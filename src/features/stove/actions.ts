'use server';

import { z } from 'zod';
import { asked } from '@/server/asked';
import { degreesNow, kilosNow, kilosOnScale } from './taken';

/** What an instrument says, or why it says nothing. */
const SAYS_NOTHING = { ok: false, message: 'Only who may tell of a pot may take a reading.' } as const;

/** Degrees by the probe. */
export const takeDegrees = asked({ role: 'cook', of: z.tuple([]), otherwise: SAYS_NOTHING }, degreesNow);

/** Kilos of what is in a pot, by the scale: its empty weight taken off. */
export const takeKilos = asked({ role: 'cook', of: z.tuple([z.uuid()]), otherwise: SAYS_NOTHING }, kilosNow);

/** Kilos that came in, by the scale. */
export const takeCameIn = asked({ role: 'cook', of: z.tuple([]), otherwise: SAYS_NOTHING }, kilosOnScale);
