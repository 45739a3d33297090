import 'server-only';
import { getIronSession, type IronSession } from 'iron-session';
import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { deviceOf } from '@/db/people/devices';
import { firstKitchen } from '@/db/kitchen/read-kitchen';
import { seenSignedIn, signedIn, SIGNED_IN_DAYS } from '@/db/people/sign-ins';
import { now } from './clock';
import { database } from './database';
import { env, overHttps } from './env';
import { log } from './log';
import { rankOf, type Worker } from './roles';

/** What the sealed cookie carries: which row of those who are signed in. All else is asked of the database, each time. */
interface SessionData {
  kitchenId?: string;
  id?: string;
}
/** What the cookie of a device carries that a manager has let in. */
interface DeviceData {
  kitchenId?: string;
  id?: string;
}

const DAY_S = 60 * 60 * 24;
const sealed = (cookieName: string, days: number) => ({
  password: env().HALFPOT_SECRET,
  cookieName,
  ttl: DAY_S * days,
  // Loopback and a kitchen's own network have no certificate: a secure cookie would never come back.
  cookieOptions: { httpOnly: true, sameSite: 'lax' as const, secure: overHttps(), path: '/' },
});

export const session = async (): Promise<IronSession<SessionData>> =>
  getIronSession<SessionData>(await cookies(), sealed('half-pot', SIGNED_IN_DAYS));

const deviceCookie = async (): Promise<IronSession<DeviceData>> =>
  getIronSession<DeviceData>(await cookies(), sealed('half-pot-device', 400));

/** The device this browser is, if a manager has let it in and nobody has ended it since. */
export async function currentDevice(kitchenId: string): Promise<{ id: string; name: string } | undefined> {
  const cookie = await deviceCookie();
  if (cookie.kitchenId !== kitchenId || !cookie.id) return undefined;
  return deviceOf(database(), kitchenId, cookie.id);
}

/** Makes this browser the device of an id. */
export async function registerDevice(kitchenId: string, id: string): Promise<void> {
  const cookie = await deviceCookie();
  cookie.kitchenId = kitchenId;
  cookie.id = id;
  await cookie.save();
}

/** ms between two times at which it is written down that somebody is still there. */
const SEEN_EVERY_MS = 60_000;

/** The person who is signed in, as the database has them now; undefined when nobody is. */
export async function currentWorker(): Promise<Worker | undefined> {
  const { kitchenId, id } = await session();
  if (!kitchenId || !id) return undefined;
  const at = now();
  const found = await signedIn(database(), kitchenId, id, at);
  if (!found) return undefined;
  if (at.getTime() - found.seenAt.getTime() > SEEN_EVERY_MS)
    seenSignedIn(database(), kitchenId, id, at).catch((error: unknown) =>
      log.warn({ err: error }, 'who was seen could not be written down'),
    );
  const { personId, name, role, byPin, zone, cooksMayChange } = found;
  return {
    kitchenId,
    person: { id: personId, name, role },
    role: rankOf(role, byPin, cooksMayChange),
    zone,
    signedIn: id,
  };
}

/** The same for a page: sends anybody else to the door. */
export async function requireWorker(): Promise<Worker> {
  const who = await currentWorker();
  if (!who) redirect('/sign-in');
  return who;
}

/** The kitchen this database serves. */
export async function currentKitchen(): Promise<{ id: string; name: string }> {
  const kitchen = await firstKitchen(database());
  if (!kitchen) throw new Error('the database holds no kitchen');
  return kitchen;
}

export { may, roleWords, type Worker } from './roles';
