'use server';

import { z } from 'zod';
import { Day } from '@/core/kitchen-file';
import { readPct } from '@/core/larder';
import { VERDICTS, type Verdict } from '@/core/price-list';
import { importById } from '@/db/price-lists';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, worker } from '@/server/session';
import type { Edited } from '@/server/write';
import type { KeptAnswer } from '@/ui/use-kept';
import { acceptList, undoList } from './accept';
import { fetchList } from './fetch-list';
import { jobOf } from './jobs';
import { assign, drop, lookThrough, stopJob, takeList, want } from './service';

const Id = z.uuid();
export type ListAnswer =
  { readonly ok: true; readonly id: string } | { readonly ok: false; readonly message: string };

const kept = (done: Edited): KeptAnswer =>
  done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
const UNREAD: KeptAnswer = { ok: false, message: 'This could not be read: load the page again.' };

/** Takes a file in. */
export async function takeFile(form: FormData): Promise<ListAnswer> {
  // Asked before the file is read: reading a long one is work.
  const who = await worker();
  if (!who || !may(who.role, 'manager'))
    return { ok: false, message: 'Only a manager may bring price lists in.' };
  const file = form.get('list');
  const supplier = z.uuid().safeParse(form.get('supplier'));
  if (!supplier.success) return { ok: false, message: 'Whose list is it? Choose the supplier.' };
  if (!(file instanceof File)) return { ok: false, message: 'There is no file: choose one or drop it here.' };
  const done = await takeList(supplier.data, file.name, Buffer.from(await file.arrayBuffer()));
  return done.ok ? { ok: true, id: done.value.id } : { ok: false, message: done.trouble.message };
}

/** Fetches a supplier's list from its own address. */
export async function takeFetched(supplier: string): Promise<ListAnswer> {
  const who = await worker();
  if (!who || !may(who.role, 'manager'))
    return { ok: false, message: 'Only a manager may fetch price lists.' };
  const { file } = (await costedKitchen(who.kitchenId)).costing;
  const known = file.suppliers.find((s) => s.id === supplier);
  if (!known?.priceList) return { ok: false, message: 'This supplier has no address for its list.' };
  const got = await fetchList(known.priceList);
  if (!got.ok) return { ok: false, message: got.trouble.message };
  const done = await takeList(supplier, got.value.name, got.value.bytes);
  return done.ok ? { ok: true, id: done.value.id } : { ok: false, message: done.trouble.message };
}

const Head = z.string().max(80).optional();
const Look = z.object({
  id: Id,
  on: Day,
  odd: z.string().max(20),
  columns: z.object({
    code: Head,
    name: Head,
    pack: Head,
    unit: Head,
    price: z.string().max(80),
    mark: z.enum(['.', ',']).optional(),
  }),
});

export async function look(input: z.infer<typeof Look>): Promise<KeptAnswer> {
  const asked = Look.safeParse(input);
  if (!asked.success)
    return asked.error.issues[0]?.path[0] === 'on'
      ? { ok: false, message: 'From which day on do these prices hold? Choose a day of the calendar.' }
      : UNREAD;
  const share = readPct(asked.data.odd, '.');
  if (!share.ok) return { ok: false, message: share.trouble.message.replace('yield', 'share') };
  return kept(await lookThrough(asked.data.id, asked.data.columns, asked.data.on, share.value / 100));
}

export async function keepWanted(
  id: string,
  where: { line: number } | { verdict: Verdict },
  wanted: boolean,
): Promise<KeptAnswer> {
  const asked = z
    .tuple([
      Id,
      z.union([z.object({ line: z.number().int().positive() }), z.object({ verdict: z.enum(VERDICTS) })]),
      z.boolean(),
    ])
    .safeParse([id, where, wanted]);
  return asked.success ? kept(await want(...asked.data)) : UNREAD;
}

export async function keepAssigned(
  id: string,
  line: number,
  to: { article: string } | { ingredient: string },
): Promise<KeptAnswer> {
  const asked = z
    .tuple([
      Id,
      z.number().int().positive(),
      z.union([z.strictObject({ article: Id }), z.strictObject({ ingredient: Id })]),
    ])
    .safeParse([id, line, to]);
  return asked.success ? kept(await assign(...asked.data)) : UNREAD;
}

const withId = async (id: string, change: (id: string) => Promise<Edited>): Promise<KeptAnswer> =>
  Id.safeParse(id).success ? kept(await change(id)) : UNREAD;

export const accept = async (id: string): Promise<KeptAnswer> => withId(id, acceptList);
export const dropList = async (id: string): Promise<KeptAnswer> => withId(id, drop);
export const undo = async (id: string, alsoEdited: boolean): Promise<KeptAnswer> =>
  withId(id, (at) => undoList(at, alsoEdited === true));
export const stop = async (id: string): Promise<void> => stopJob(id);

export interface Progress {
  readonly stage: 'looking' | 'writing';
  readonly done: number;
  readonly total: number;
  readonly ended: boolean;
  readonly trouble?: string | undefined;
}

/** How far the work on a list is; null when none is under way or was. */
export async function progress(id: string): Promise<Progress | null> {
  const who = await worker();
  const job = jobOf(id);
  if (!who || !job || !(await importById(database(), who.kitchenId, id))) return null;
  const { stage, done, total, ended, trouble } = job;
  return { stage, done, total, ended, trouble };
}
