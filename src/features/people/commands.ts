import 'server-only';
import { deviceOf, revokeDevice } from '@/db/people/devices';
import { newId } from '@/db/mapping/ids';
import {
  allPeople,
  archivePerson,
  managersLocked,
  personCalled,
  writePerson,
  secretsOf,
  setPassword,
} from '@/db/people/people';
import {
  revokeOtherSignIns,
  revokePinSignIns,
  revokeSignIn,
  FREE_TRIES,
  signedInOf,
  countTry,
  clearTries,
} from '@/db/people/sign-ins';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { hashSecret, isSecret } from '@/server/passwords';
import { may } from '@/server/roles';
import { tooSoon } from './service';
import { END_DEVICE, END_SIGNED_IN, PASSWORD, PERSON, PERSON_AWAY } from './wire';
import * as texts from './texts';

const gone = (what: string): Refused => refused('gone', '', texts.endedAlready(what));

/** Changes one's own password; the change log says that it was, not what it is. */
const password = declare({
  wire: PASSWORD,
  role: 'reader',
  moves: 'nothing that is costed',
  async look({ before, next }, { who }) {
    // Anyone who has found a screen left open is not to find out the password by it.
    const key = `${who.person.id} own password`;
    const tried = await countTry(database(), who.kitchenId, { what: key, free: FREE_TRIES.here }, new Date());
    if (!tried.open) throw new Refused({ ...tooSoon(tried.inMs), path: 'before' });
    const kept = await secretsOf(database(), who.kitchenId, who.person.id);
    if (!kept?.password || !(await isSecret(kept.password, before)))
      throw refused('wrong-secret', 'before', texts.notYourCurrentPassword);
    await clearTries(database(), who.kitchenId, key, new Date());
    if (before === next) throw refused('same-secret', 'next', texts.newPasswordSameCurrent);
    return { hash: await hashSecret(next) };
  },
  async write({ sql, kitchenId, who, at }, _body, { hash }) {
    await setPassword(sql, kitchenId, who.person.id, hash);
    const ended = await revokeOtherSignIns(sql, kitchenId, who.person.id, who.signedIn, at);
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
      throw refused('not-allowed', '', texts.onlyManagerMayEnd);
    return of;
  },
  async write({ sql, kitchenId, at }, { id }, { personId }) {
    await revokeSignIn(sql, kitchenId, id, at);
    return { value: null, what: 'signed-in', subject: personId, before: { signedIn: id }, after: null };
  },
});

const device = declare({
  wire: END_DEVICE,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id }, { who }) {
    const found = await deviceOf(database(), who.kitchenId, id);
    if (!found) throw gone(texts.device);
    return found;
  },
  async write({ sql, kitchenId, at }, { id }, before) {
    await revokeDevice(sql, kitchenId, id, at);
    return { value: null, what: 'device', subject: id, before, after: null };
  },
});

const LAST = texts.lastManagerKitchenNobody;

/** Somebody new, or another name, role, password or PIN. Anyone who has another role or password is signed in again. */
const person = declare({
  wire: PERSON,
  role: 'manager',
  moves: 'nothing that is costed',
  changes: {
    table: 'person',
    id: ({ id }) => id,
    theirs: async ({ id }, { who }) => {
      const theirs = (await allPeople(database(), who.kitchenId)).find((p) => p.id === id);
      return theirs && { name: theirs.name, role: theirs.role, password: '', pin: '' };
    },
  },
  async look({ id, name, role, password: secret, pin }, { who }) {
    const all = await allPeople(database(), who.kitchenId);
    const before = all.find((p) => p.id === id);
    if (id !== null && (!before || before.leftAt)) throw refused('gone', '', texts.personLeft);
    const twinId = await personCalled(database(), who.kitchenId, name, id);
    const twin = all.find((p) => p.id === twinId);
    if (twin)
      throw refused(
        'name-twice',
        'name',
        twin.leftAt ? texts.workedHereBeforeLeft(twin.name) : texts.worksHereAlreadyTwo(twin.name),
      );
    if (id === null && secret === '') throw refused('no-password', 'password', texts.passwordNeededBeginThey);
    return {
      before: before ? { name: before.name, role: before.role } : null,
      id: id ?? newId(),
      hashes: {
        password: secret === '' ? undefined : await hashSecret(secret),
        pin: pin === '' ? undefined : await hashSecret(pin),
      },
      after: { name, role },
    };
  },
  async write({ sql, kitchenId, at, who }, _body, { id, before, after, hashes }) {
    if (before?.role === 'manager' && after.role !== 'manager') await mustNotBeLast(sql, kitchenId, id);
    await writePerson(sql, kitchenId, { id, ...after }, hashes);
    if (hashes.password !== undefined || (before && before.role !== after.role))
      await revokeOtherSignIns(sql, kitchenId, id, id === who.person.id ? who.signedIn : undefined, at);
    if (hashes.pin !== undefined) await revokePinSignIns(sql, kitchenId, id, at);
    return {
      value: { id },
      what: 'person',
      subject: id,
      before,
      // That a secret was set is said; what it is, nowhere.
      after: {
        ...after,
        ...(hashes.password ? { password: 'set' } : {}),
        ...(hashes.pin ? { pin: 'set' } : {}),
      },
    };
  },
});

async function mustNotBeLast(
  sql: Parameters<typeof managersLocked>[0],
  kitchenId: string,
  id: string,
): Promise<void> {
  const managers = await managersLocked(sql, kitchenId);
  if (managers.every((m) => m === id)) throw refused('last-manager', 'role', LAST);
}

const personAway = declare({
  wire: PERSON_AWAY,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id, away }, { who }) {
    const found = (await allPeople(database(), who.kitchenId)).find((p) => p.id === id);
    if (!found || away === (found.leftAt !== null))
      throw refused('gone', '', away ? texts.personLeftAlready : texts.personWorksHereAlready);
    return found;
  },
  async write({ sql, kitchenId, at }, { id, away }, { name, role }) {
    if (away && role === 'manager') await mustNotBeLast(sql, kitchenId, id);
    await archivePerson(sql, kitchenId, id, away ? at : null);
    if (away) await revokeOtherSignIns(sql, kitchenId, id, undefined, at);
    return {
      value: null,
      what: away ? 'left' : 'came back',
      subject: id,
      before: { name, role, away: !away },
      after: { name, role, away },
    };
  },
});

export const commands = [password, signedIn, device, person, personAway];
