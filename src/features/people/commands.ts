import 'server-only';
import { refuse } from '@/core/trouble';
import { deviceOf, endDevice } from '@/db/devices';
import { secretsOf, setPassword } from '@/db/people';
import { endOthers, endSignedIn, FREE_TRIES, signedInOf, takeTry, tryWasRight } from '@/db/sign-ins';
import { database } from '@/server/database';
import { declare, Refused } from '@/server/door';
import { hashSecret, isSecret } from '@/server/passwords';
import { may } from '@/server/roles';
import { tooSoon } from './service';
import { END_DEVICE, END_SIGNED_IN, PASSWORD } from './wire';

const gone = (what: string): Refused =>
  new Refused(refuse('gone', '', `${what} has been ended already.`).trouble);

/** Changes one's own password; the change log says that it was, not what it is. */
const password = declare({
  wire: PASSWORD,
  role: 'reader',
  moves: 'nothing that is costed',
  async look({ before, next }, { who }) {
    // Whoever has found a screen left open is not to find out the password by it.
    const key = `${who.person.id} own password`;
    const tried = await takeTry(database(), who.kitchenId, { what: key, free: FREE_TRIES.here }, new Date());
    if (!tried.open) throw new Refused({ ...tooSoon(tried.inMs), path: 'before' });
    const kept = await secretsOf(database(), who.kitchenId, who.person.id);
    if (!kept?.password || !(await isSecret(kept.password, before)))
      throw new Refused(refuse('wrong-secret', 'before', 'That is not the password you have now.').trouble);
    await tryWasRight(database(), who.kitchenId, key, new Date());
    if (before === next)
      throw new Refused(refuse('same-secret', 'next', 'The new password is the one you have now.').trouble);
    return { hash: await hashSecret(next) };
  },
  async write({ sql, kitchenId, who, at }, _body, { hash }) {
    await setPassword(sql, kitchenId, who.person.id, hash);
    const ended = await endOthers(sql, kitchenId, who.person.id, who.signedIn, at);
    return { value: { ended }, what: 'password', subject: who.person.id, before: null, after: null };
  },
});

/** Ends where somebody is signed in: one's own anybody may, another's a manager. */
const signedIn = declare({
  wire: END_SIGNED_IN,
  role: 'reader',
  moves: 'nothing that is costed',
  async look({ id }, { who }) {
    const of = await signedInOf(database(), who.kitchenId, id);
    if (!of) throw gone('That');
    if (of.personId !== who.person.id && !may(who.role, 'manager'))
      throw new Refused(
        refuse('not-allowed', '', 'Only a manager may end where somebody else is signed in.').trouble,
      );
    return of;
  },
  async write({ sql, kitchenId, at }, { id }, { personId }) {
    await endSignedIn(sql, kitchenId, id, at);
    return { value: null, what: 'signed-in', subject: personId, before: { signedIn: id }, after: null };
  },
});

const device = declare({
  wire: END_DEVICE,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id }, { who }) {
    const found = await deviceOf(database(), who.kitchenId, id);
    if (!found) throw gone('That device');
    return found;
  },
  async write({ sql, kitchenId, at }, { id }, before) {
    await endDevice(sql, kitchenId, id, at);
    return { value: null, what: 'device', subject: id, before, after: null };
  },
});

export const commands = [password, signedIn, device];
