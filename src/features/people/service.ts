import 'server-only';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { refuse, type Trouble } from '@/core/trouble';
import { peopleOf, secretsOf } from '@/db/people';
import { database } from '@/server/database';
import { env } from '@/server/env';
import { log } from '@/server/log';
import { isSecret } from '@/server/passwords';
import { kitchenHere, session } from '@/server/session';

const TRIES = 8;
const MINUTES = 5;
/** A PIN has few digits: eight wrong ones close the name for five minutes. */
const tries = new RateLimiterMemory({ points: TRIES, duration: MINUTES * 60 });

/** Signs somebody in by password, or by PIN with at most a cook's rights. */
export async function signInWith(personId: string, secret: string): Promise<Trouble | undefined> {
  const kitchen = await kitchenHere();
  const allowed = await tries.consume(personId).then(
    () => true,
    () => false,
  );
  if (!allowed)
    return refuse(
      'too-many-tries',
      'secret',
      `${TRIES} wrong tries: this name opens again in ${MINUTES} minutes.`,
      { value: TRIES, limit: TRIES },
    ).trouble;
  const kept = await secretsOf(database(), kitchen.id, personId);
  const byPin = /^\d{4,6}$/.test(secret);
  const hash = byPin ? kept?.pin : kept?.password;
  if (!hash || !(await isSecret(hash, secret))) {
    log.warn({ personId, byPin }, 'a sign-in was refused');
    return refuse(
      'wrong-secret',
      'secret',
      byPin ? 'That is not the PIN of this name.' : 'That is not the password of this name.',
    ).trouble;
  }
  await tries.delete(personId);
  await open(kitchen.id, personId, byPin);
  return undefined;
}

async function open(kitchenId: string, personId: string, byPin: boolean): Promise<void> {
  const here = await session();
  here.kitchenId = kitchenId;
  here.personId = personId;
  here.byPin = byPin;
  await here.save();
}

/** Signs in as the demo's manager; false anywhere but in the demo. */
export async function signInDemoManager(): Promise<boolean> {
  if (!env().HALFPOT_DEMO) return false;
  const kitchen = await kitchenHere();
  const manager = (await peopleOf(database(), kitchen.id)).find((p) => p.role === 'manager');
  if (!manager) return false;
  await open(kitchen.id, manager.id, false);
  return true;
}
