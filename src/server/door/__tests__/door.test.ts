import fc from 'fast-check';
import { z } from 'zod';
import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { commandDone, forgetCommands } from '../../../db/commands';
import { newId } from '../../../db/mapping/ids';
import { currentRevision } from '../../../db/revisions';
import { many, one, run } from '../../../db/sql';
import { wire } from '../../../wire';
import { refuse } from '../../../core/trouble';
import { declare, kindsOf, perform, Refused } from '..';
import { bodyHash } from '../perform';
import { isFromHere } from '../request';

/** A write that does nothing but be counted, for looking at what the door does with any of them. */
const NOTE = wire<{ readonly n: number }>()({
  kind: 'test.note',
  version: 2,
  body: z.object({ text: z.string().max(5, 'At most 5 letters.'), refuse: z.boolean().default(false) }),
});
const RECIPE = wire<null, { readonly name: string }>()({
  kind: 'test.recipe',
  version: 1,
  body: z.object({ id: z.uuid() }),
});
let written = 0;
let then = 0;
let looks = 0;
const note = declare({
  wire: NOTE,
  role: 'cook',
  moves: 'nothing that is costed',
  upgrades: [(older) => ({ text: (older as { words: string }).words })],
  look: ({ refuse: no }) => {
    looks += 1;
    if (no) throw new Refused(refuse('no', 'text', 'No, 3 is above 2.', { value: 3, limit: 2 }).trouble);
    return Promise.resolve();
  },
  write: ({ kitchenId }, { text }) => {
    written += 1;
    return Promise.resolve({
      value: { n: written },
      what: 'note',
      subject: kitchenId,
      before: null,
      after: text,
    });
  },
  then: ({ text }) => {
    then += 1;
    if (text === 'boom') throw new Error('what follows went wrong');
  },
});
/** A write whose row is there already. */
const TWIN = wire()({ kind: 'test.twin', version: 1, body: z.object({ name: z.string() }) });
const twin = declare({
  wire: TWIN,
  role: 'cook',
  moves: 'nothing that is costed',
  look: () => Promise.resolve(),
  async write({ sql, kitchenId }, { name }) {
    await run(sql, 'INSERT INTO person (kitchen_id, id, name, role) VALUES (?,?,?,?)', [
      kitchenId,
      newId(),
      name,
      'cook',
    ]);
    return { value: null, what: 'twin', subject: kitchenId, before: null, after: null };
  },
});
const touch = declare({
  wire: RECIPE,
  role: 'manager',
  moves: 'costs',
  changes: {
    table: 'recipe',
    id: (body) => body.id,
    theirs: async ({ id }, { state }) => {
      const found = (await state()).recipes.find((r) => r.id === id);
      return found && { name: found.name };
    },
  },
  look: async (_body, { state }) => (await state()).recipes.length,
  write: (_writing, { id }) =>
    Promise.resolve({ value: null, what: 'touched', subject: id, before: null, after: null }),
});

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork([note, touch, twin]);
});
afterAll(() => here.end());

const count = z.object({ n: z.coerce.number() });

describe('the door', () => {
  test('a row whose key is there already is refused in a sentence, and is no fault on our side', async () => {
    const { name } = here.as('cook').person;
    expect(await here.send(TWIN, { name })).toMatchObject({
      ok: false,
      code: 'there-already',
      message: expect.stringContaining('is here already: choose another') as string,
    });
  });

  test('what follows a write may fail: the write has been kept, and nobody is told otherwise', async () => {
    const commandId = newId();
    const [before, thens] = [written, then];
    const answer = await here.send(NOTE, { text: 'boom', refuse: false }, { commandId });
    expect(answer).toMatchObject({ ok: true });
    expect([written, then]).toEqual([before + 1, thens + 1]);
    expect(await commandDone(here.pool, here.kitchenId, commandId)).toBeDefined();
  });

  test('sent twice it happens once and answers the same; what was remembered is in the write’s own transaction', async () => {
    const commandId = newId();
    const before = written;
    const first = await here.send(NOTE, { text: 'salt', refuse: false }, { commandId });
    const again = await here.send(NOTE, { refuse: false, text: 'salt' }, { commandId });
    expect(first).toEqual({ ok: true, value: { n: before + 1 }, version: null });
    expect(again).toEqual(first);
    expect([written, then]).toEqual([before + 1, before + 1]);
    expect(await commandDone(here.pool, here.kitchenId, commandId)).toMatchObject({
      kind: 'test.note',
      answer: first,
    });
  });

  test('many times at once it happens once, and every sender is told the same', async () => {
    const commandId = newId();
    const before = written;
    const all = await Promise.all(
      Array.from({ length: 12 }, () => here.send(NOTE, { text: 'x', refuse: false }, { commandId })),
    );
    expect(new Set(all.map((a) => JSON.stringify(a))).size).toBe(1);
    expect(written).toBe(before + 1);
  });

  test('the same id with another body, kind or person is refused', async () => {
    const commandId = newId();
    await here.send(NOTE, { text: 'one', refuse: false }, { commandId });
    const code = async (...[body, role]: [string, 'manager' | 'cook']) => {
      const answer = await here.send(NOTE, { text: body, refuse: false }, { commandId, role });
      return answer.ok ? 'ok' : answer.code;
    };
    expect([await code('two', 'manager'), await code('one', 'cook'), await code('one', 'manager')]).toEqual([
      'id-twice',
      'id-twice',
      'ok',
    ]);
  });

  test('a refusal is not remembered, carries its number and limit, and leaves nothing', async () => {
    const commandId = newId();
    const before = written;
    expect(await here.send(NOTE, { text: 'no', refuse: true }, { commandId })).toEqual({
      ok: false,
      code: 'no',
      path: 'text',
      message: 'No, 3 is above 2.',
      numbers: { value: 3, limit: 2 },
    });
    expect(await commandDone(here.pool, here.kitchenId, commandId)).toBeUndefined();
    expect(written).toBe(before);
    expect(await here.send(NOTE, { text: 'yes', refuse: false }, { commandId })).toMatchObject({ ok: true });
  });

  test('an older build’s command is brought up to date; a newer one’s and an unknown kind get a sentence', async () => {
    const send = (kind: string, kindVersion: number, body: unknown) =>
      perform(
        kind === NOTE.kind ? note : undefined,
        { commandId: newId(), kind, kindVersion, seen: null, body },
        here.as('manager'),
      );
    expect(await send(NOTE.kind, 1, { words: 'old' })).toMatchObject({ ok: true });
    expect(await send(NOTE.kind, 3, { text: 'new' })).toMatchObject({ code: 'newer-kind' });
    expect(await send('test.unheard', 1, {})).toMatchObject({ code: 'unknown-kind' });
  });

  test('nobody signed in, too small a role, and a body of another shape are refused before anything is looked at', async () => {
    const before = [written, looks];
    const envelope = { commandId: newId(), kind: NOTE.kind, kindVersion: 2, seen: null, body: { text: 'a' } };
    expect(await perform(note, envelope, undefined)).toMatchObject({ ok: false, code: 'signed-out' });
    expect(await perform(note, envelope, here.as('reader'))).toMatchObject({
      code: 'not-allowed',
      message: 'A reader may look at this but not change it; a cook may.',
    });
    expect(await perform(note, { ...envelope, body: { text: 'too long' } }, here.as('cook'))).toMatchObject({
      code: 'bad-field',
      path: 'text',
      message: 'At most 5 letters.',
    });
    expect([written, looks]).toEqual(before);
  });

  test('of a stale write both sides come back, with who it was and the time on the kitchen’s clock', async () => {
    const { id, name } = here.file.recipes[0] as { id: string; name: string };
    expect(await here.send(RECIPE, { id }, { seen: 1 })).toEqual({ ok: true, value: null, version: 2 });
    expect(await here.send(RECIPE, { id }, { seen: 1 })).toMatchObject({
      ok: false,
      code: 'stale',
      message: 'Maren Holt changed this at 12:00 while you were editing: keep yours or take theirs.',
      theirs: { name },
    });
    expect(await here.send(RECIPE, { id }, { seen: null })).toMatchObject({ code: 'stale' });
  });

  test('every write moves the revision once or not at all, and leaves one row in the change log', async () => {
    const { id } = here.file.recipes[1] as { id: string };
    const before = (await currentRevision(here.pool, here.kitchenId)).revision;
    await here.send(NOTE, { text: 'calm', refuse: false });
    expect((await currentRevision(here.pool, here.kitchenId)).revision).toBe(before);
    await here.send(RECIPE, { id }, { seen: 1 });
    expect((await currentRevision(here.pool, here.kitchenId)).revision).toBe(before + 1);
    expect(await here.changes(id)).toEqual([{ what: 'touched', before: null, after: null }]);
  });

  test('people who edit different things at once never stand in each other’s way, and none of it is lost', async () => {
    const recipes = here.file.recipes.slice(2, 18);
    const before = (await currentRevision(here.pool, here.kitchenId)).revision;
    const rounds = 3;
    const all = await Promise.all(
      recipes.map(async ({ id }) => {
        const answers = [];
        for (let seen = 1; seen <= rounds; seen += 1) answers.push(await here.send(RECIPE, { id }, { seen }));
        return answers;
      }),
    );
    expect(all.flat().filter((a) => !a.ok)).toEqual([]);
    expect((await currentRevision(here.pool, here.kitchenId)).revision).toBe(
      before + recipes.length * rounds,
    );
    const versions = await many(
      here.pool,
      z.object({ version: z.coerce.number() }),
      `SELECT version FROM recipe WHERE kitchen_id = ? AND id IN (${recipes.map(() => '?').join(',')})`,
      [here.kitchenId, ...recipes.map((r) => r.id)],
    );
    expect(new Set(versions.map((v) => v.version))).toEqual(new Set([rounds + 1]));
  });

  test('people who edit the same thing at once: one is first, the others are told', async () => {
    const { id } = here.file.recipes[20] as { id: string };
    const all = await Promise.all(Array.from({ length: 16 }, () => here.send(RECIPE, { id }, { seen: 1 })));
    expect(all.filter((a) => a.ok)).toHaveLength(1);
    expect(all.flatMap((a) => (a.ok ? [] : [a.code]))).toEqual(Array.from({ length: 15 }, () => 'stale'));
  });

  test('what is older than it needs to be is forgotten', async () => {
    const commandId = newId();
    await here.send(NOTE, { text: 'old', refuse: false }, { commandId });
    await forgetCommands(here.pool, new Date('2026-03-14T12:00:00.000Z'));
    expect(await commandDone(here.pool, here.kitchenId, commandId)).toBeDefined();
    await forgetCommands(here.pool, new Date('2026-03-14T12:00:00.001Z'));
    const left = await one(here.pool, count, 'SELECT COUNT(*) AS n FROM command_done WHERE kitchen_id = ?', [
      here.kitchenId,
    ]);
    expect(left.n).toBe(0);
  });

  test('only a page of this house may write', () => {
    const from = (headers: Record<string, string>) => isFromHere(new Headers(headers));
    expect(from({ origin: 'http://127.0.0.1:4180', host: '127.0.0.1:4180' })).toBe(true);
    expect(from({ origin: 'http://127.0.0.1:4181', host: '127.0.0.1:4180' })).toBe(false);
    expect(from({ origin: 'https://elsewhere.example', host: '127.0.0.1:4180' })).toBe(false);
    expect(from({ origin: 'null', host: '127.0.0.1:4180' })).toBe(false);
    expect(from({ host: '127.0.0.1:4180' })).toBe(false);
    expect(
      from({ origin: 'https://kitchen.example', host: 'inside:4180', 'x-forwarded-host': 'kitchen.example' }),
    ).toBe(false);
  });

  test('two kinds of one name, or a version without its upgrades, are noticed when the door opens', () => {
    expect(() => kindsOf([note, note])).toThrow('two writes are called test.note');
    const { upgrades: _u, ...bare } = note;
    expect(() => kindsOf([bare])).toThrow('test.note is of version 2 and needs 1 upgrades');
  });

  test('a hash tells what a body says, whatever order its fields came in', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (body) => {
        const turned = Object.fromEntries(Object.entries(body).reverse());
        expect(bodyHash(turned)).toBe(bodyHash(body));
        expect(bodyHash({ ...body, more: 1 })).not.toBe(bodyHash({ ...body, more: 2 }));
      }),
    );
  });
});
