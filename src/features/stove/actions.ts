'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { readCelsius, readPotKg, readScaleKg } from './instrument-readings';
import * as texts from './texts';

/** What an instrument says, or why it says nothing. */
const SAYS_NOTHING = { ok: false, message: texts.onlySomeoneWhoMay } as const;

/** Degrees by the probe. */
export const takeDegrees = serverQuery(
  { role: 'cook', of: z.tuple([]), otherwise: SAYS_NOTHING },
  readCelsius,
);

/** Kilos of what is in a pot, by the scale: its empty weight taken off. */
export const takeKilos = serverQuery(
  { role: 'cook', of: z.tuple([z.uuid()]), otherwise: SAYS_NOTHING },
  readPotKg,
);

/** Kilos that came in, by the scale. */
export const takeCameIn = serverQuery(
  { role: 'cook', of: z.tuple([]), otherwise: SAYS_NOTHING },
  readScaleKg,
);
