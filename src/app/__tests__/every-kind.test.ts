import { v7 as newId } from 'uuid';
import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { perform, type AnyDeclared } from '../../server/door';
import type { Rank, Worker } from '../../server/roles';
import { kinds } from '../command/kinds';
import { anotherKitchen, checksums } from '../../../tests/helpers/every-row';
import { afterwards, endStandIns, RIGHT } from '../../../tests/helpers/right-writes';

const RANKS: readonly Rank[] = ['reader', 'cook', 'changer', 'manager'];

let here: AtWork;
/** A manager of another kitchen in the same database. */
let stranger: Worker;

beforeAll(async () => {
  here = await kitchenAtWork();
  stranger = await anotherKitchen(here.pool);
});
afterAll(async () => {
  await endStandIns();
  await here.end();
});

const everyRow = (): ReturnType<typeof checksums> => checksums(here.pool);

const envelope = ({ wire }: AnyDeclared, body: unknown, seen: number | null, commandId = newId()) => ({
  commandId,
  kind: wire.kind,
  kindVersion: wire.version,
  seen,
  body,
});

/** Kinds whose body may name what is not there (any more): a trial of something that has gone says so and does nothing. */
const MAY_NAME_NOTHING = new Set(['tray.keep']);

/** Ids of this kitchen that a body names: anyone who is of another kitchen must not get anywhere with them. */
const namesOurs = (body: unknown): boolean => {
  const ours = JSON.stringify(here.file);
  return (JSON.stringify(body).match(/"019[0-9a-f-]{33}"/g) ?? []).some((id) => ours.includes(id));
};

/** A body in which one field is something that no field can be. */
const without = (body: unknown): unknown[] =>
  Object.keys(body as object).map((key) => ({ ...(body as object), [key]: { never: true } }));

test('there is one right write of each kind', () => {
  expect(Object.keys(RIGHT).sort()).toEqual([...kinds().keys()].sort());
});

test.each([...kinds().keys()])(
  '%s: refused to a lesser role, stale, misshapen or of another kitchen; done once',
  async (kind) => {
    const declared = kinds().get(kind) as AnyDeclared;
    const make = RIGHT[kind];
    if (!make) throw new Error(`nothing right is known of ${kind}`);
    const { body, seen = null } = await make(here);
    const right = here.as('manager');
    const before = await everyRow();
    const unchanged = async (what: string): Promise<void> => {
      const now = await everyRow();
      expect([what, [...now].filter(([t, sum]) => before.get(t) !== sum).map(([t]) => t)]).toEqual([
        what,
        [],
      ]);
    };

    const lesser = RANKS[RANKS.indexOf(declared.role) - 1];
    const nobodyEnough = lesser === undefined ? undefined : { ...right, role: lesser };
    expect(await perform(declared, envelope(declared, body, seen), nobodyEnough)).toMatchObject({
      ok: false,
      code: lesser === undefined ? 'signed-out' : 'not-allowed',
    });
    await unchanged('a lesser role');

    for (const wrong of [null, 7])
      expect(await perform(declared, envelope(declared, wrong, seen), right)).toMatchObject({
        ok: false,
        code: 'bad-field',
      });
    for (const wrong of without(body))
      expect(await perform(declared, envelope(declared, wrong, seen), right)).toMatchObject({
        ok: false,
        code: expect.stringMatching(/^(bad-field|no-day)$/) as string,
      });
    await unchanged('a misshapen body');

    const changed = declared.changes?.id(body, right) ?? null;
    if (changed !== null) {
      for (const old of [null, (seen ?? 1) + 1]) {
        const stale = await perform(declared, envelope(declared, body, old), right);
        expect(stale).toMatchObject({ ok: false, code: 'stale', version: seen });
      }
      await unchanged('a stale version');
    }

    const foreign = await perform(declared, envelope(declared, body, seen), stranger);
    if (namesOurs(body) && !MAY_NAME_NOTHING.has(kind)) {
      expect(foreign).toMatchObject({ ok: false });
      await unchanged('another kitchen’s ids');
    }

    const commandId = newId();
    const stood = await everyRow();
    const first = await perform(declared, envelope(declared, body, seen, commandId), right);
    expect(first).toMatchObject({ ok: true });
    await afterwards(body, first);
    const done = await everyRow();
    expect([...done].some(([t, sum]) => stood.get(t) !== sum)).toBe(true);
    const again = await perform(declared, envelope(declared, body, seen, commandId), right);
    expect(JSON.parse(JSON.stringify(again))).toEqual(JSON.parse(JSON.stringify(first)));
    expect(await everyRow()).toEqual(done);
  },
);
