import { randomInt } from 'node:crypto';
import { firstKitchen } from '@/db/kitchen/read-kitchen';
import { allPeople, setPassword } from '@/db/people/people';
import { revokeOtherSignIns } from '@/db/people/sign-ins';
import { openPool } from '@/db/sql';
import { hashSecret } from '@/server/passwords';
import { say, Stop } from '../stop';
import { withKept } from './backup';

const CLEAR = 'abcdefghjkmnpqrstuvwxyz23456789';
const LENGTH = 12;

/** `halfpot people [password NAME]`: who works in the kept kitchen; a new password for somebody who has forgotten theirs. */
export const people = ([what, ...name]: readonly string[]): Promise<number> =>
  withKept(async (url) => {
    const pool = openPool(url);
    try {
      const kitchen = await firstKitchen(pool);
      if (!kitchen) throw new Stop('There is no kitchen yet: ./halfpot start, and open it in a browser.');
      const all = await allPeople(pool, kitchen.id);
      if (what === undefined) {
        for (const p of all) process.stdout.write(`${p.name}, ${p.role}${p.leftAt ? ', has left' : ''}\n`);
        return 0;
      }
      const called = name.join(' ').trim();
      if (what !== 'password' || called === '')
        throw new Stop('./halfpot people, or ./halfpot people password NAME');
      const found = all.find((p) => p.leftAt === null && p.name.toLowerCase() === called.toLowerCase());
      if (!found)
        throw new Stop(
          `Nobody called ${called} works here: ${all
            .filter((p) => p.leftAt === null)
            .map((p) => p.name)
            .join(', ')}.`,
        );
      const fresh = Array.from({ length: LENGTH }, () => CLEAR[randomInt(CLEAR.length)]).join('');
      await setPassword(pool, kitchen.id, found.id, await hashSecret(fresh));
      await revokeOtherSignIns(pool, kitchen.id, found.id, undefined, new Date());
      process.stdout.write(`${fresh}\n`);
      say(`That is ${found.name}’s password from now on; everywhere they were signed in they sign in anew.`);
      return 0;
    } finally {
      await pool.end();
    }
  });
