'use server';

import { z } from 'zod';
import { whyCounted, type Why } from '@/core/why';
import { serverQuery } from '@/server/server-query';
import { countedLayers } from '@/server/counted-layers';
import { costedKitchen } from '@/server/kitchen';
import { formattersFor } from '@/ui/formatters';

const Key = z.string().regex(/^(usable|trim|product|plate):[0-9a-f-]{36}$/);

/** Answers *why* for a figure of the kitchen somebody is at work in; null when there is no such figure. */
export const askWhy = serverQuery(
  { role: 'reader', of: z.tuple([Key]), otherwise: null },
  async (who, key): Promise<Why | null> => {
    const { costing } = await costedKitchen(who.kitchenId);
    if (!costing.graph.has(key)) return null;
    const { locale, currency } = costing.state.kitchen;
    const { small } = formattersFor({ locale, currency });
    return whyCounted(costing, key, await countedLayers(), small);
  },
);
