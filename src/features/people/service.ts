import 'server-only';
import { z } from 'zod';
import { refuse, type Trouble } from '@/core/trouble';
import { insertDevice } from '@/db/people/devices';
import { newId } from '@/db/mapping/ids';
import { peopleOf, secretsOf } from '@/db/people/people';
import {
  revokeSignIn,
  rememberRefusal,
  FREE_TRIES,
  countTry,
  type TryResult,
  clearTries,
  type WhyRefused,
} from '@/db/people/sign-ins';
import { startSession, clientInfo, type ClientInfo, type Authenticated } from '@/server/start-session';
import { now } from '@/server/clock';
import { database } from '@/server/database';
import { env } from '@/server/env';
import { log } from '@/server/log';
import { isSecret } from '@/server/passwords';
import { registerDevice, currentKitchen, session } from '@/server/session';
import * as texts from './texts';

const Id = z.uuid();
/** A PIN: digits alone. A password is anything else. */
const PIN = /^\d{4,6}$/;

const WRONG = (byPin: boolean): Trouble =>
  refuse('wrong-secret', 'secret', byPin ? texts.notPinName : texts.notPasswordName).trouble;

/**
 * Whether somebody may come in, by password, or by PIN on a device that has been let in. Tries count by the person the database
 * has found, and by device or address: after three wrong ones the next is open a second later, then two, four, at most eight. Who
 * has a device of their own waits for nobody else's tries.
 * @param at the instant, by the real clock
 */
export async function signInAttempt(
  kitchenId: string,
  typed: { readonly person: string; readonly secret: string },
  where: ClientInfo,
  at: Date,
): Promise<Authenticated | Trouble> {
  const { address, deviceId } = where;
  const byPin = PIN.test(typed.secret);
  const id = Id.safeParse(typed.person);
  const kept = id.success ? await secretsOf(database(), kitchenId, id.data.toLowerCase()) : undefined;
  const personId = kept && id.success ? id.data.toLowerCase() : null;
  const refused = async (why: WhyRefused, trouble: Trouble): Promise<Trouble> => {
    // Nothing that was typed goes into the log.
    log.warn({ personId, byPin, why }, 'a sign-in was refused');
    await rememberRefusal(database(), kitchenId, { personId, address, byPin, why }, at);
    return trouble;
  };
  const whom = personId ?? 'nobody';
  const keys: TryResult[] = deviceId
    ? [{ what: `${whom} device ${deviceId}`, free: FREE_TRIES.here }]
    : [
        { what: `${whom} ${address}`, free: FREE_TRIES.here },
        { what: `${whom} anywhere`, free: FREE_TRIES.anywhere },
      ];
  for (const key of keys) {
    const tried = await countTry(database(), kitchenId, key, at);
    if (!tried.open) return refused('too soon', tooSoon(tried.inMs));
  }
  if (!kept || personId === null) return refused('nobody', WRONG(byPin));
  if (byPin && !deviceId)
    return refused('not let in', refuse('not-let-in', 'secret', texts.pinWorksOnlyDevice).trouble);
  const hash = byPin ? kept.pin : kept.password;
  if (!hash || !(await isSecret(hash, typed.secret))) return refused('wrong', WRONG(byPin));
  for (const key of keys) await clearTries(database(), kitchenId, key.what, at);
  return { personId, byPin };
}

/** What is said to anyone who tries too soon after too many wrong ones. */
export function tooSoon(inMs: number): Trouble {
  const s = Math.ceil(inMs / 1000);
  return refuse('too-soon', 'secret', texts.tooManyWrongTries(s), { value: s }).trouble;
}

/** Signs somebody in; or says why not. */
export async function signInWith(person: string, secret: string): Promise<Trouble | undefined> {
  const kitchen = await currentKitchen();
  const where = await clientInfo(kitchen.id);
  const found = await signInAttempt(kitchen.id, { person, secret }, where, new Date());
  if ('code' in found) return found;
  await startSession(kitchen.id, found, where);
  return undefined;
}

/** Ends it on the server too: the cookie is worth nothing any more, whoever has kept it. */
export async function signOutHere(): Promise<void> {
  const here = await session();
  if (here.kitchenId && here.id) await revokeSignIn(database(), here.kitchenId, here.id, now());
  here.destroy();
}

/** Signs in as the demo's manager, on a device that is let in; false anywhere but in the demo. */
export async function signInDemoManager(): Promise<boolean> {
  if (!env().HALFPOT_DEMO) return false;
  const kitchen = await currentKitchen();
  const manager = (await peopleOf(database(), kitchen.id)).find((p) => p.role === 'manager');
  if (!manager) return false;
  const where = await clientInfo(kitchen.id);
  const deviceId = where.deviceId ?? (await registerThisDevice(kitchen.id, manager.id, texts.demosTablet));
  await startSession(kitchen.id, { personId: manager.id, byPin: false }, { ...where, deviceId });
  return true;
}

/** Lets the browser that asks in: from now on a PIN opens on it. */
export async function registerThisDevice(kitchenId: string, by: string, name: string): Promise<string> {
  const id = newId();
  await insertDevice(database(), kitchenId, { id, name, by }, now());
  await registerDevice(kitchenId, id);
  return id;
}
