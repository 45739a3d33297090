'use server';

import { z } from 'zod';
import { Test } from '@/core/kitchen-file';
import { worker } from '@/server/session';
import type { Edited } from '@/server/write';
import { findToTest, scaleAddress, type BenchRow } from './queries';
import { tareScale } from './read-scale';
import {
  addByProduct,
  apartTest,
  beginTest,
  dropOpenTest,
  finishTest,
  saveTest,
  type TestTyped,
  type TheirTest,
} from './service';

const Typed = Test.pick({
  kind: true,
  season: true,
  note: true,
  start: true,
  intoWater: true,
  time: true,
  parts: true,
  second: true,
}).extend({ purchase: z.uuid().nullable() });
const At = z.object({ id: z.uuid(), seen: z.number().int().positive() });

/** What comes back to the bench: the version it now stands at, or why not, with the place and both sides where there are two. */
export type BenchAnswer<T = number> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly code: string;
      readonly message: string;
      readonly path: string;
      readonly theirs?: TheirTest | undefined;
    };

async function answer<I, T>(
  schema: z.ZodType<I>,
  input: unknown,
  act: (asked: I) => Promise<Edited<T>>,
): Promise<BenchAnswer<T>> {
  const asked = schema.safeParse(input);
  if (!asked.success) {
    const issue = asked.error.issues[0];
    const path = (issue?.path ?? []).filter((p) => p !== 'typed').join('.');
    return { ok: false, code: 'bad', message: `This could not be read: ${issue?.message ?? ''}.`, path };
  }
  const done = await act(asked.data);
  return done.ok
    ? { ok: true, value: done.value }
    : {
        ok: false,
        code: done.trouble.code,
        message: done.trouble.message,
        path: done.trouble.path,
        theirs: done.theirs as TheirTest | undefined,
      };
}

const Begin = z.object({ ingredient: z.uuid() });
export const putOnBench = async (input: z.infer<typeof Begin>): Promise<BenchAnswer<{ id: string }>> =>
  answer(Begin, input, ({ ingredient }) => beginTest(ingredient));

const Weighed = At.extend({ typed: Typed });
type WeighedInput = { readonly id: string; readonly seen: number; readonly typed: TestTyped };
export const keepWeighing = async (input: WeighedInput): Promise<BenchAnswer> =>
  answer(Weighed, input, ({ id, seen, typed }) => saveTest(id, seen, typed));
export const keepTest = async (input: WeighedInput): Promise<BenchAnswer> =>
  answer(Weighed, input, ({ id, seen, typed }) => finishTest(id, seen, typed));
export const dropIt = async (input: { id: string; seen: number }): Promise<BenchAnswer<unknown>> =>
  answer(At, input, ({ id, seen }) => dropOpenTest(id, seen));

const Apart = z.object({ of: z.uuid(), typed: Typed });
export const keepApart = async (input: {
  readonly of: string;
  readonly typed: TestTyped;
}): Promise<BenchAnswer<{ id: string }>> => answer(Apart, input, ({ of, typed }) => apartTest(of, typed));

const Product = z.object({ of: z.uuid(), name: z.string().max(200), like: z.string().max(200) });
export const newByProduct = async (input: z.infer<typeof Product>): Promise<BenchAnswer<{ id: string }>> =>
  answer(Product, input, ({ of, name, like }) => addByProduct(of, name, like));

/** Things of the larder by name, for the bench. */
export async function findForBench(wanted: string): Promise<BenchRow[]> {
  const who = await worker();
  return who ? findToTest(who, wanted.slice(0, 80)) : [];
}

/** Makes what lies on the scale nothing; a sentence where it does not answer. */
export async function tare(): Promise<
  { readonly ok: true } | { readonly ok: false; readonly message: string }
> {
  const who = await worker();
  const address = who && (await scaleAddress(who));
  if (!address) return { ok: false, message: 'This kitchen has no scale: type the weights.' };
  const done = await tareScale(address);
  return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
}
