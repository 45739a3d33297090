import 'fake-indexeddb/auto';
import { z } from 'zod';
import {
  atWork,
  giveUp,
  insist,
  onSent,
  readWaiting,
  sender,
  senderOf,
  sendWaiting,
  sentNow,
  canWait,
  wire,
  type Envelope,
} from '..';

const PERSON = '00000000-0000-7000-8000-000000000001';
const OTHER = '00000000-0000-7000-8000-000000000002';
const THING = '00000000-0000-7000-8000-00000000000a';

const PRICE = wire()({
  kind: 'article.price',
  version: 1,
  body: z.object({ id: z.string(), typed: z.string() }),
  waits: ({ id, typed }) => ({ thing: id, whole: true, words: `a price of ${typed}` }),
});
const WASTE = wire()({
  kind: 'stock.waste',
  version: 1,
  body: z.object({ id: z.string(), amount: z.string() }),
  waits: ({ id, amount }) => ({ thing: id, whole: false, words: `${amount} thrown away` }),
});
const TOLD = wire<{ stands: number }>()({
  kind: 'batch.note',
  version: 1,
  body: z.object({ id: z.string(), text: z.string() }),
  waits: ({ id, text }) => ({ thing: id, whole: false, remembered: true, words: text }),
});
const NEW = wire()({ kind: 'plate.new', version: 1, body: z.object({ name: z.string() }) });

/** The kitchen's computer: whether it answers, what it answers, and what came. */
let answers: 'nothing' | 'nothing, though it came' | ((e: Envelope) => object) = 'nothing';
let came: Envelope[] = [];
/** As the door does it: taken once, at the version it was written over. */
let version = 5;
let done: ReadonlyMap<string, object> = new Map();
const door = (e: Envelope): object => {
  const before = done.get(e.commandId);
  if (before) return before;
  if (e.seen !== version)
    return { ok: false, code: 'stale', message: 'Somebody was faster.', path: '', version };
  version += 1;
  const reply = { ok: true, value: null, version };
  done = new Map([...done, [e.commandId, reply]]);
  return reply;
};

beforeEach(async () => {
  Object.assign(globalThis, {
    window: { location: { pathname: '/buy', search: '' } },
    document: { title: 'Price book' },
    navigator: {},
    fetch: (_to: string, { body }: { body: string }) => {
      const envelope = JSON.parse(body) as Envelope;
      if (answers === 'nothing') return Promise.reject(new Error('no network'));
      came.push(envelope);
      if (answers !== 'nothing, though it came')
        return Promise.resolve({
          json: () => Promise.resolve((answers as (e: Envelope) => object)(envelope)),
        });
      door(envelope);
      return Promise.reject(new Error('the answer was lost'));
    },
  });
  atWork(PERSON);
  for (const w of await readWaiting()) await giveUp(w.id);
  [answers, came, version, done] = ['nothing', [], 5, new Map()];
});
jest.setTimeout(30_000);
afterAll(async () => {
  // Nothing is tried again when all has been said.
  for (const w of await readWaiting()) await giveUp(w.id);
  await sendWaiting();
});

const price = sender(PRICE);
const type = (typed: string) => price({ id: THING, typed, seen: version });

test('what nobody answers is kept, told so, and sent in its order when somebody does', async () => {
  expect(canWait(await type('12.00'))).toBe(true);
  expect(canWait(await sender(WASTE)({ id: THING, amount: '1 kg' }))).toBe(true);
  expect((await readWaiting()).map((w) => [w.words, w.page.title])).toEqual([
    ['a price of 12.00', 'Price book'],
    ['1 kg thrown away', 'Price book'],
  ]);
  answers = (e) => (e.kind === WASTE.kind ? { ok: true, value: null, version: null } : door(e));
  await sendWaiting();
  expect(came.map((e) => [e.kind, e.person])).toEqual([
    ['article.price', PERSON],
    ['stock.waste', PERSON],
  ]);
  expect(await readWaiting()).toEqual([]);
});

test('a kind whose declaration is fetched when it is sent is checked and sent like any other; one that cannot be fetched says so', async () => {
  answers = () => ({ ok: true, value: null, version: null });
  const make = senderOf(() => Promise.resolve(NEW));
  expect(await make({ name: 'Sole' })).toMatchObject({ ok: true });
  expect(await make({ name: 7 } as unknown as { name: string })).toMatchObject({
    ok: false,
    code: 'bad-field',
    path: 'name',
  });
  expect(came.map((e) => e.body)).toEqual([{ name: 'Sole' }]);
  const gone = senderOf<{ name: string }, null, undefined>(() => Promise.reject(new Error('no network')));
  expect(await gone({ name: 'Sole' })).toMatchObject({
    ok: false,
    code: 'no-answer',
    message: expect.stringMatching(/does not answer, or was brought up to date/) as unknown,
  });
  expect(came).toHaveLength(1);
});

test('what is typed while something before it is being tried again comes after it', async () => {
  const waste = (amount: string) => sender(WASTE)({ id: THING, amount });
  const first = waste('1 kg');
  // The first try has failed; the next is a moment away when the network is back and something else is typed.
  await new Promise((soon) => setTimeout(soon, 100));
  answers = () => ({ ok: true, value: null, version: null });
  const second = waste('2 kg');
  expect(await Promise.all([first, second])).toMatchObject([{ ok: true }, { ok: true }]);
  expect(came.map((e) => (e.body as { amount: string }).amount)).toEqual(['1 kg', '2 kg']);
});

test('what is remembered is remembered once it is done, by its own way or out of the queue', async () => {
  const told = sender(TOLD);
  expect(canWait(await told({ id: THING, text: 'a' }))).toBe(true);
  expect(sentNow()).toEqual([]);
  let stands = 0;
  answers = () => ({ ok: true, value: { stands: (stands += 1) }, version: null });
  await sendWaiting();
  expect(await told({ id: THING, text: 'b' })).toMatchObject({ ok: true });
  await sender(WASTE)({ id: THING, amount: '1 kg' });
  expect(sentNow()).toMatchObject([
    { thing: THING, kind: 'batch.note', body: { text: 'a' }, value: { stands: 1 } },
    { thing: THING, kind: 'batch.note', body: { text: 'b' }, value: { stands: 2 } },
  ]);
});

test('what makes something new cannot wait: it says so, and what was typed stands in its field', async () => {
  expect(await sender(NEW)({ name: 'Broth' })).toMatchObject({ ok: false, code: 'no-answer' });
  expect(await readWaiting()).toEqual([]);
});

test('a write that arrived though its answer was lost happens once, and what was typed after it is no conflict', async () => {
  answers = 'nothing, though it came';
  expect(canWait(await type('12.00'))).toBe(true);
  expect(version).toBe(6);
  answers = 'nothing';
  // The screen has heard nothing: it still sees the version it began with.
  expect(canWait(await price({ id: THING, typed: '13.00', seen: 5 }))).toBe(true);
  expect(canWait(await price({ id: THING, typed: '14.00', seen: 5 }))).toBe(true);
  // What has never been on its way is said again; what may have arrived is not.
  expect((await readWaiting()).map((w) => w.words)).toEqual(['a price of 12.00', 'a price of 14.00']);
  answers = door;
  await sendWaiting();
  expect(version).toBe(7);
  expect(await readWaiting()).toEqual([]);
});

test('what one person typed is not sent by another', async () => {
  await type('12.00');
  atWork(OTHER);
  answers = door;
  await sendWaiting();
  expect(came).toEqual([]);
  expect(await readWaiting()).toHaveLength(1);
  atWork(PERSON);
  await sendWaiting();
  expect(version).toBe(6);
});

test('where somebody else was faster it stays, with both ways on', async () => {
  await type('12.00');
  version = 8;
  answers = door;
  await sendWaiting();
  const [held] = await readWaiting();
  expect(held?.refused).toMatchObject({ code: 'stale', version: 8 });
  // It is not tried again by itself.
  came = [];
  await sendWaiting();
  expect(came).toEqual([]);
  await insist(held?.id ?? '', '00000000-0000-7000-8000-0000000000ff');
  expect([version, await readWaiting()]).toEqual([9, []]);
});

test('a screen that still shows it hears the answer and tells of it itself', async () => {
  const heard: unknown[] = [];
  const end = onSent((sent, reply) => {
    heard.push([sent.thing, reply.ok]);
    return true;
  });
  await type('12.00');
  version = 8;
  answers = door;
  await sendWaiting();
  end();
  expect(heard).toEqual([[THING, false]]);
  expect(await readWaiting()).toEqual([]);
});

test('while the kitchen has no database, and for whoever is signed out, it waits on', async () => {
  await type('12.00');
  for (const code of ['no-database', 'signed-out', 'busy']) {
    answers = () => ({ ok: false, code, message: '', path: '' });
    await sendWaiting();
    expect(await readWaiting()).toHaveLength(1);
  }
  answers = door;
  await sendWaiting();
  expect(await readWaiting()).toEqual([]);
});
