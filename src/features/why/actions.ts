'use server';

import { z } from 'zod';
import { whyCost, type Why } from '@/core/why';
import { figuresFor } from '@/ui/figure-words';
import { costedKitchen } from '@/server/kitchen';
import { worker } from '@/server/session';

const Key = z.string().regex(/^(usable|trim|product|plate):[0-9a-f-]{36}$/);

/** Answers *why* for a figure of the kitchen somebody is at work in; null when there is no such figure. */
export async function askWhy(key: string): Promise<Why | null> {
  const who = await worker();
  const asked = Key.safeParse(key);
  if (!who || !asked.success) return null;
  const { costing } = await costedKitchen(who.kitchenId);
  if (!costing.graph.has(asked.data)) return null;
  const { locale, currency } = costing.state.kitchen;
  return whyCost(costing, asked.data, figuresFor({ locale, currency }).small);
}
