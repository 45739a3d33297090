'use server';

import { z } from 'zod';
import type { Edited } from '@/server/write';
import type { KeptAnswer } from '@/ui/use-kept';
import {
  defineMeasure,
  dropMeasure,
  mergeIngredients,
  setUsualBasis,
  takeApart,
  takeIngredient,
} from './service';

const Id = z.uuid();
const Seen = z.number().int().positive();
const Text = z.string().max(200);

async function answer(parsed: boolean, change: () => Promise<Edited>): Promise<KeptAnswer> {
  if (!parsed) return { ok: false, message: 'This could not be read: at most 200 characters are kept.' };
  const done = await change();
  return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
}

const fits = (...checks: readonly (readonly [z.ZodType, unknown])[]): boolean =>
  checks.every(([schema, value]) => schema.safeParse(value).success);

export const keepTaken = async (reference: string, name: string): Promise<KeptAnswer> =>
  answer(fits([Id, reference], [Text, name]), () => takeIngredient(reference, name));
export const keepMerge = async (from: string, seen: number, into: string): Promise<KeptAnswer> =>
  answer(fits([Id, from], [Seen, seen], [Id, into]), () => mergeIngredients(from, seen, into));
export const keepApart = async (from: string, seen: number): Promise<KeptAnswer> =>
  answer(fits([Id, from], [Seen, seen]), () => takeApart(from, seen));
export const keepMeasure = async (name: string, amount: string): Promise<KeptAnswer> =>
  answer(fits([Text, name], [Text, amount]), () => defineMeasure(name, amount));
export const keepNoMeasure = async (id: string): Promise<KeptAnswer> =>
  answer(fits([Id, id]), () => dropMeasure(id));

const UsualBy = z.enum(['latest', 'average', 'stock']);
export const keepUsualBasis = async (
  by: z.infer<typeof UsualBy>,
  days: string,
  seen: number,
): Promise<KeptAnswer> =>
  answer(fits([UsualBy, by], [Text, days], [Seen, seen]), () => setUsualBasis(by, days, seen));
