import 'server-only';
import { getIronSession, type IronSession } from 'iron-session';
import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { personOf } from '@/db/people';
import { firstKitchen } from '@/db/read-kitchen';
import { database } from './database';
import { env } from './env';
import type { Worker } from './roles';

/** What the signed cookie carries. A PIN on the shared tablet never gives more than a cook's rights. */
export interface SessionData {
  kitchenId?: string;
  personId?: string;
  byPin?: boolean;
}

export const COOKIE = 'half-pot';

export const sessionOptions = () => ({
  password: env().HALFPOT_SECRET,
  cookieName: COOKIE,
  ttl: 60 * 60 * 24 * 14,
  // Loopback and a kitchen's own network have no certificate: a secure cookie would never come back.
  cookieOptions: { httpOnly: true, sameSite: 'lax' as const, secure: false, path: '/' },
});

export const session = async (): Promise<IronSession<SessionData>> =>
  getIronSession<SessionData>(await cookies(), sessionOptions());

/** Whoever is signed in, as the database has them now; undefined when nobody is. */
export async function worker(): Promise<Worker | undefined> {
  const { kitchenId, personId, byPin } = await session();
  if (!kitchenId || !personId) return undefined;
  const person = await personOf(database(), kitchenId, personId);
  if (!person) return undefined;
  const { zone, ...own } = person;
  return { kitchenId, person: own, role: byPin && own.role === 'manager' ? 'cook' : own.role, zone };
}

/** The same for a page: sends anybody else to the door. */
export async function mustWork(): Promise<Worker> {
  const who = await worker();
  if (!who) redirect('/sign-in');
  return who;
}

/** The kitchen this database serves. */
export async function kitchenHere(): Promise<{ id: string; name: string }> {
  const kitchen = await firstKitchen(database());
  if (!kitchen) throw new Error('the database holds no kitchen');
  return kitchen;
}

export { may, type Worker } from './roles';
