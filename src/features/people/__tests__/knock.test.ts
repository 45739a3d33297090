import { z } from 'zod';
import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { revokeDevice, insertDevice } from '../../../db/people/devices';
import { newId } from '../../../db/mapping/ids';
import { beginSignedIn, revokeOtherSignIns, refusals, signedIn } from '../../../db/people/sign-ins';
import { many, run } from '../../../db/sql';
import { hashSecret } from '../../../server/passwords';
import type { ClientInfo } from '@/server/start-session';
import { signInAttempt } from '../service';
import { PASSWORD } from '../wire';

let here: AtWork;
let cook: string;
let tablet: string;
const OFFICE: ClientInfo = { address: '10.0.0.7', browser: 'Firefox on Linux' };
const ELSEWHERE: ClientInfo = { address: '203.0.113.9', browser: 'a browser' };
const atTablet = (): ClientInfo => ({ ...OFFICE, deviceId: tablet });

let clock = Date.parse('2026-03-14T09:00:00.000Z');
/** An instant after the last one; a good while later unless told. */
const later = (ms = 3_600_000): Date => new Date((clock += ms));

beforeAll(async () => {
  here = await kitchenAtWork();
  cook = here.as('cook').person.id;
  tablet = newId();
  const [password, pin] = await Promise.all([hashSecret('kestrel-weir'), hashSecret('1470')]);
  await run(here.pool, 'UPDATE person SET password_hash = ?, pin_hash = ?', [password, pin]);
  await insertDevice(
    here.pool,
    here.kitchenId,
    { id: tablet, name: 'Tablet', by: here.as('manager').person.id },
    later(),
  );
});
afterAll(() => here.end());
beforeEach(() => run(here.pool, 'DELETE FROM sign_in_tries'));

const tries = (person: string, secret: string, where: ClientInfo, at: Date) =>
  signInAttempt(here.kitchenId, { person, secret }, where, at);
const code = async (found: ReturnType<typeof tries>): Promise<string> => {
  const f = await found;
  return 'code' in f ? f.code : 'in';
};

test('a password opens anywhere, a PIN only on a device that is let in and not ended', async () => {
  expect(await code(tries(cook, 'kestrel-weir', ELSEWHERE, later()))).toBe('in');
  expect(await code(tries(cook, '1470', ELSEWHERE, later()))).toBe('not-let-in');
  expect(await tries(cook, '1470', atTablet(), later())).toEqual({ personId: cook, byPin: true });
  expect(await code(tries(cook, '1471', atTablet(), later()))).toBe('wrong-secret');
  // Three digits are no PIN, and seven are none: they are taken for a password, wherever they are typed.
  for (const secret of ['147', '1470147'])
    expect(await tries(cook, secret, ELSEWHERE, later())).toMatchObject({ code: 'wrong-secret' });
  expect(await code(tries(cook, '147014', ELSEWHERE, later()))).toBe('not-let-in');
  // A password is no PIN, and a PIN no password.
  expect(await code(tries(cook, 'kestrel-weir ', ELSEWHERE, later()))).toBe('wrong-secret');
});

test('who guesses for an hour from one place gets under eleven guesses a minute, however the id is written', async () => {
  const spelled = [cook, `${cook} `, cook.toUpperCase(), ` ${cook}`, `${cook}\u00a0`];
  let guesses = 0;
  for (let s = 0; s < 600; s += 1) {
    const at = later(1000);
    const found = await tries(spelled[s % 3] as string, `guess number ${s}`, ELSEWHERE, at);
    if ('code' in found && found.code === 'wrong-secret') guesses += 1;
  }
  // Ten minutes; ids with blanks around are nobody's, and those have a count of their own.
  const rows = await many(here.pool, z.object({ what: z.string() }), 'SELECT what FROM sign_in_tries');
  expect(rows.map((r) => r.what.replace(cook, 'cook')).sort()).toEqual([
    'cook 203.0.113.9',
    'cook anywhere',
    'nobody 203.0.113.9',
    'nobody anywhere',
  ]);
  expect(guesses).toBeLessThan(2 * 10 * 11);
});

test('nobody locks anybody else out for longer than seconds', async () => {
  const from = later();
  for (let s = 0; s < 200; s += 1)
    await tries(cook, 'nonsense', { ...ELSEWHERE, address: `198.51.100.${s}` }, new Date(from.getTime() + s));
  clock = from.getTime() + 200;
  // On a device of their own they wait for nothing.
  expect(await code(tries(cook, 'kestrel-weir', atTablet(), later(1)))).toBe('in');
  // From anywhere else for some seconds at most.
  expect(await code(tries(cook, 'kestrel-weir', OFFICE, later(1)))).toBe('too-soon');
  expect(await code(tries(cook, 'kestrel-weir', OFFICE, later(9000)))).toBe('in');
});

test('many tries at once are one after the other: the ninth of nine has to wait', async () => {
  const at = later();
  const all = await Promise.all(Array.from({ length: 9 }, () => code(tries(cook, '0000', atTablet(), at))));
  expect(all.filter((c) => c === 'wrong-secret')).toHaveLength(4);
  expect(all.filter((c) => c === 'too-soon')).toHaveLength(5);
});

test('what the door refused is kept by the hundred, with nothing of what was typed, and moves no revision', async () => {
  const stood = () =>
    many(
      here.pool,
      z.object({ revision: z.coerce.number(), mark: z.string() }),
      'SELECT revision, mark FROM kitchen',
    );
  const before = await stood();
  for (let i = 0; i < 520; i += 1)
    await tries('somebody-else', `secret ${i}`, { ...ELSEWHERE, address: `192.0.2.${i % 200}` }, later(1000));
  const rows = await many(here.pool, z.record(z.string(), z.unknown()), 'SELECT * FROM sign_in_refused');
  expect(rows.length).toBeLessThanOrEqual(501);
  expect(rows.length).toBeGreaterThan(450);
  expect(JSON.stringify(rows)).not.toMatch(/secret \d|somebody-else/);
  expect((await refusals(here.pool, here.kitchenId))[0]).toMatchObject({ name: null, byPin: false });
  expect(await stood()).toEqual(before);
});

test('whoever has found a screen left open does not find out the password by it', async () => {
  const change = (before: string) =>
    here.send(PASSWORD, { before, next: 'a-newer-one' }, { seen: null, role: 'cook' });
  const codes: string[] = [];
  for (let i = 0; i < 5; i += 1) {
    const done = await change(`guess ${i}`);
    codes.push(done.ok ? 'kept' : done.code);
  }
  expect(codes).toEqual([...Array.from({ length: 4 }, () => 'wrong-secret'), 'too-soon']);
});

test('who is signed in stays so until it is ended, the device is, or a fortnight has gone', async () => {
  const began = later();
  const sign = async (deviceId: string | null, byPin: boolean): Promise<string> => {
    const id = newId();
    const where = { deviceId, byPin, address: '10.0.0.7', browser: 'Firefox' };
    await beginSignedIn(here.pool, here.kitchenId, { id, personId: cook, ...where }, began);
    return id;
  };
  const isIn = async (id: string, at = later(1000)): Promise<boolean> =>
    (await signedIn(here.pool, here.kitchenId, id, at)) !== undefined;
  const [one, other, onTablet, byPassword] = [
    await sign(null, false),
    await sign(null, false),
    await sign(tablet, true),
    await sign(tablet, false),
  ];
  expect(await Promise.all([one, other, onTablet].map((id) => isIn(id)))).toEqual([true, true, true]);
  expect(await isIn(one, new Date(began.getTime() + 14.1 * 86_400_000))).toBe(false);
  await revokeDevice(here.pool, here.kitchenId, tablet, later(1000));
  expect([await isIn(onTablet), await isIn(byPassword)]).toEqual([false, true]);
  expect(await revokeOtherSignIns(here.pool, here.kitchenId, cook, one, later(1000))).toBe(2);
  expect([await isIn(one), await isIn(other), await isIn(byPassword)]).toEqual([true, false, false]);
  await run(here.pool, 'UPDATE person SET archived_at = ? WHERE id = ?', [later(), cook]);
  expect(await isIn(one)).toBe(false);
});
