'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { findToTest, scaleAddress, type BenchRow } from './queries';
import { tareScale } from '@/server/instruments';
import * as texts from './texts';

/** Things of the larder by name, for the bench. */
export const findForBench = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  (who, wanted): Promise<BenchRow[]> => findToTest(who, wanted),
);

type Tared = { readonly ok: true } | { readonly ok: false; readonly message: string };

/** Makes what lies on the scale nothing; a sentence where it does not answer. */
export const tare = serverQuery(
  {
    role: 'cook',
    of: z.tuple([]),
    otherwise: {
      ok: false,
      message: texts.onlyCookOrManager,
    },
  },
  async (who): Promise<Tared> => {
    const address = await scaleAddress(who);
    if (!address) return { ok: false, message: texts.kitchenNoScaleType };
    const done = await tareScale(address);
    return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
  },
);
