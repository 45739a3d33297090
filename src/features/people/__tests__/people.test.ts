import { CLOCK, kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { newId } from '../../../db/mapping/ids';
import { allPeople, peopleToSignIn } from '../../../db/people/people';
import { beginSignedIn, signedIn } from '../../../db/people/sign-ins';
import { PERSON, PERSON_AWAY } from '../wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const somebody = (name: string, more: object = {}) => ({
  id: null,
  name,
  role: 'cook' as const,
  password: 'copper-pans',
  pin: '',
  ...more,
});

test('somebody new works here, leaves and comes back; two people with one name are refused', async () => {
  const made = await here.send(PERSON, somebody('Nan Tully', { pin: '4711' }));
  if (!made.ok) throw new Error(made.message);
  const { id } = made.value;
  expect(await here.send(PERSON, somebody('nan tully'))).toMatchObject({
    path: 'name',
    message: expect.stringMatching(/works here already: two people with one name/) as string,
  });
  expect(await here.send(PERSON_AWAY, { id, away: true })).toMatchObject({ ok: true });
  expect(await here.send(PERSON, somebody('Nan Tully'))).toMatchObject({
    message: expect.stringMatching(/has left: add them again/) as string,
  });
  expect(await here.send(PERSON_AWAY, { id, away: false })).toMatchObject({ ok: true });
  const now = (await allPeople(here.pool, here.kitchenId)).find((p) => p.id === id);
  expect(now).toMatchObject({ role: 'cook', hasPin: true, leftAt: null });
  // What is written down says that a secret was set, and not what it is.
  const log = JSON.stringify(await here.changes(id));
  expect(log).toContain('"password":"set"');
  expect(log).not.toMatch(/copper|4711|argon/);
});

test('a new PIN ends where somebody is signed in by the old one, and nothing else', async () => {
  const made = await here.send(PERSON, somebody('Ros Dunne', { pin: '4711' }));
  if (!made.ok) throw new Error(made.message);
  const { id } = made.value;
  const at = new Date(CLOCK);
  const [byPin, byPassword] = [newId(), newId()];
  for (const row of [byPin, byPassword])
    await beginSignedIn(
      here.pool,
      here.kitchenId,
      { id: row, personId: id, byPin: row === byPin, deviceId: null, address: '127.0.0.1', browser: 'one' },
      at,
    );
  const now = { ...somebody('Ros Dunne', { pin: '0815' }), id, password: '' };
  expect(await here.send(PERSON, now, await here.seen('person', id))).toMatchObject({ ok: true });
  expect(await signedIn(here.pool, here.kitchenId, byPin, at)).toBeUndefined();
  expect(await signedIn(here.pool, here.kitchenId, byPassword, at)).toBeDefined();
});

test('Zoé and Zoe are one name, to the form and to the database alike', async () => {
  expect(await here.send(PERSON, somebody('Zoé'))).toMatchObject({ ok: true });
  for (const name of ['Zoe', 'ZOË', 'zoé ', 'Ｚoe'])
    expect(await here.send(PERSON, somebody(name))).toMatchObject({ code: 'name-twice', path: 'name' });
});

test('a weak password is refused with its limit, and a first one is asked for', async () => {
  expect(await here.send(PERSON, somebody('A', { password: 'short' }))).toMatchObject({
    message: 'A password has at least 8 characters.',
  });
  expect(await here.send(PERSON, somebody('A', { password: '12345678' }))).toMatchObject({
    message: 'A password is not made of digits alone.',
  });
  expect(await here.send(PERSON, somebody('A', { password: '' }))).toMatchObject({ path: 'password' });
  expect(await here.send(PERSON, somebody('A', { pin: '12' }))).toMatchObject({
    message: 'A PIN is four to six digits.',
  });
  expect(await here.send(PERSON, somebody('A'), { role: 'cook' })).toMatchObject({ code: 'not-allowed' });
});

test('the last manager cannot leave or become something else, however many try at once', async () => {
  const managers = (await allPeople(here.pool, here.kitchenId)).filter((p) => p.role === 'manager');
  const [boss] = managers;
  if (!boss) throw new Error('nobody manages');
  await here.send(PERSON, {
    id: boss.id,
    name: boss.name,
    role: 'manager',
    password: 'kestrel-weir-2',
    pin: '',
  });
  for (const p of managers.slice(1)) await here.send(PERSON_AWAY, { id: p.id, away: true });
  const demoted = { id: boss.id, name: boss.name, role: 'cook' as const, password: '', pin: '' };
  expect(await here.send(PERSON, demoted)).toMatchObject({ code: 'stale' });
  expect(await here.send(PERSON, demoted, { seen: 2 })).toMatchObject({ code: 'last-manager' });
  expect(await here.send(PERSON_AWAY, { id: boss.id, away: true })).toMatchObject({ code: 'last-manager' });
  const second = await here.send(PERSON, somebody('Second', { role: 'manager' as const }));
  if (!second.ok) throw new Error(second.message);
  // Both at once: one of them stays.
  const both = await Promise.all([
    here.send(PERSON_AWAY, { id: boss.id, away: true }),
    here.send(PERSON_AWAY, { id: second.value.id, away: true }),
  ]);
  expect(both.filter((a) => a.ok)).toHaveLength(1);
});

test('at the door stands who can sign in: nobody without a password or a PIN', async () => {
  const made = await here.send(PERSON, somebody('Odd Quay'));
  if (!made.ok) throw new Error(made.message);
  const there = await peopleToSignIn(here.pool, here.kitchenId);
  expect(there.map((p) => p.name)).toContain('Odd Quay');
  // The demo's own people were loaded without secrets here.
  const reader = here.file.people.find((p) => p.role === 'reader');
  expect((await allPeople(here.pool, here.kitchenId)).map((p) => p.name)).toContain(reader?.name);
  expect(there.map((p) => p.name)).not.toContain(reader?.name);
});
