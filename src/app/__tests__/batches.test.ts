import { v7 } from 'uuid';
import { settingsTyped } from '../../features/house/settings/typed';
import { SETTINGS } from '../../features/house/settings/wire';
import { UNDO } from '../../features/changes/wire';
import { batchPage, boardPage } from '../../features/stove/queries';
import { BATCH, BATCH_AWAY, UNDO_EVENT, TELL } from '../../features/stove/wire';
import { CLOCK, kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const sheet = (name: string) => here.file.recipes.find((r) => r.name === name)!;
const ago = (minutes: number): string => new Date(Date.parse(CLOCK) - minutes * 60_000).toISOString();
const event = (of: object, minutes = 0) =>
  ({ id: v7(), at: ago(minutes), recordedAt: ago(minutes), ...of }) as never;
const free = () => here.file.vessels.find((v) => v.name === 'Stockpot 50 l')!.id;

async function putOn(name: string, more: object = {}) {
  const { id: recipe, hob } = sheet(name);
  const id = v7();
  return {
    id,
    answer: await here.send(
      BATCH,
      { id, recipe, vessel: free(), hob, times: 1, startedAt: ago(60), ...more },
      { role: 'cook' },
    ),
  };
}

test('a pot is put on at the size that came in, told of, taken back as one, and stands so when it is read again', async () => {
  const { id, answer } = await putOn('Reduced game base', { times: 1.5 });
  expect(answer).toMatchObject({ ok: true });
  const [batch] = (await here.read()).batches.filter((b) => b.id === id);
  expect(batch).toMatchObject({ name: 'Reduced game base', startedAt: ago(60), events: [] });
  expect(batch!.steps[0]).toMatchObject({ do: 'add', amount: '15 l' });

  const filled = event({ is: 'done', step: batch!.steps[0]!.id }, 55);
  expect(await here.send(TELL, { batch: id, event: filled }, { role: 'cook' })).toMatchObject({ ok: true });
  const dip = event({ is: 'dip', cm: 27.9, with: 'ruler' }, 20);
  for (let twice = 0; twice < 2; twice += 1)
    expect(await here.send(TELL, { batch: id, event: dip }, { role: 'cook' })).toMatchObject({ ok: true });
  const page = await batchPage(here.as('cook'), id);
  expect(page.events.map((e) => [e.is, e.by !== undefined])).toEqual([
    ['done', true],
    ['dip', true],
  ]);
  expect(page.first!.at).toBe(1);
  expect(page.first!.left!.low).toBeLessThan(page.first!.left!.high);
  expect(page.first!.asked).toEqual([]);

  // The same told twice is nothing to take back; what was told first is.
  expect(await here.send(UNDO_EVENT, { batch: id, event: (dip as { id: string }).id })).toMatchObject({
    ok: true,
  });
  expect((await batchPage(here.as('cook'), id)).events).toHaveLength(1);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await batchPage(here.as('cook'), id)).events).toHaveLength(2);

  expect(await here.send(TELL, { batch: id, event: event({ is: 'ended', l: 4.9 }, 1) })).toMatchObject({
    ok: true,
  });
  const [over] = (await boardPage(here.as('cook'))).ended;
  expect(over).toMatchObject({ id, end: { got: 4.9 } });
  expect(over!.end!.should).toBeCloseTo(5, 9);
  expect(await here.send(TELL, { batch: id, event: event({ is: 'litres', l: 4 }) })).toMatchObject({
    ok: false,
    message: expect.stringContaining('is finished'),
  });
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await boardPage(here.as('cook'))).batches.map((b) => b.id)).toContain(id);
  expect(await here.send(BATCH_AWAY, { id, away: true }, { role: 'cook' })).toMatchObject({ ok: true });
  expect((await boardPage(here.as('manager'))).away.map((a) => a.id)).toContain(id);
});

test('a line ticked on two tablets was done when the first said so, in whatever order they are heard', async () => {
  const ended = async (order: readonly number[]) => {
    const { id, answer } = await putOn('Reduced game base');
    expect(answer).toMatchObject({ ok: true });
    const [batch] = (await here.read()).batches.filter((b) => b.id === id);
    const step = batch!.steps[0]!.id;
    const told: string[] = [];
    for (const minutes of order) {
      const tick = event({ is: 'done', step }, minutes);
      told.push((tick as { id: string }).id);
      expect(await here.send(TELL, { batch: id, event: tick }, { role: 'cook' })).toMatchObject({ ok: true });
    }
    const { first, events } = await batchPage(here.as('cook'), id);
    const done = { at: first!.at, left: first!.left, events: events.length };
    // The earlier tick taken back, it was done when the other tablet said so.
    const earlier = told[order.indexOf(Math.max(...order))]!;
    await here.send(UNDO_EVENT, { batch: id, event: earlier });
    const after = (await batchPage(here.as('cook'), id)).first!;
    await here.send(BATCH_AWAY, { id, away: true });
    return { done, after: { at: after.at, left: after.left } };
  };
  const [once, both, late] = [await ended([50]), await ended([50, 40]), await ended([40, 50])];
  expect(both.done).toEqual({ ...once.done, events: 2 });
  expect(late.done).toEqual(both.done);
  expect(late.after).toEqual(both.after);
  // Once taken back altogether the line is to be done again; ticked twice it is still done.
  expect([once.after.at, both.after.at]).toEqual([0, 1]);
});

test('what cannot be is said with the number and the limit, and nothing of it is kept', async () => {
  const { id } = await putOn('Leek and oat soup');
  const says = async (of: object, minutes = 0) => {
    const answer = await here.send(TELL, { batch: id, event: event(of, minutes) }, { role: 'cook' });
    return answer.ok ? 'kept' : answer.message;
  };
  expect(await says({ is: 'dip', cm: 41, with: 'ruler' })).toMatch(/41 cm below the rim .* 40 cm high/);
  expect(await says({ is: 'litres', l: 5 }, -60)).toMatch(/60 min from now/);
  expect(await says({ is: 'litres', l: 5 }, 90)).toMatch(/before the batch started/);
  expect(await says({ is: 'done', step: v7() })).toMatch(/not part of this batch/);
  expect((await batchPage(here.as('cook'), id)).events).toEqual([]);

  const twin = await putOn('Duck broth');
  expect(twin.answer).toMatchObject({
    ok: false,
    message: expect.stringMatching(/Stockpot 50 l has held Leek and oat soup/),
  });
  expect((await putOn('Duck broth', { recipe: v7() })).answer).toMatchObject({
    ok: false,
    message: expect.stringMatching(/archived/),
  });
  expect(await here.send(BATCH_AWAY, { id, away: true }, { role: 'reader' })).toMatchObject({ ok: false });
});

test('a pot cools on when it is over: read, kept with who read it, against the limits of the house', async () => {
  const vessel = here.file.vessels.find((v) => v.name === 'Saucepan 24 cm')!.id;
  const { id, answer: on } = await putOn('White roux', { vessel });
  expect(on).toMatchObject({ ok: true });
  const tell = async (of: object, minutes: number) => {
    const answer = await here.send(TELL, { batch: id, event: event(of, minutes) }, { role: 'cook' });
    if (!answer.ok) throw new Error(answer.message);
  };
  await tell({ is: 'ended', l: 1 }, 50);
  await tell({ is: 'off' }, 45);
  await tell({ is: 'degrees', celsius: 61 }, 15);
  const { first, events } = await batchPage(here.as('cook'), id);
  expect(first!.cooling).toMatchObject({
    since: 0.75,
    limits: [
      { toC: 21, withinH: 2, read: undefined },
      { toC: 5, withinH: 6, read: undefined },
    ],
    reads: [{ h: 0.5, celsius: 61 }],
  });
  expect(first!.cooling!.now.middle).toBeLessThan(61);
  expect(events.at(-1)!.by).toBeDefined();
  expect((await here.read()).batches.find((b) => b.id === id)!.events.map((e) => e.is)).toEqual([
    'ended',
    'off',
    'degrees',
  ]);
  expect(await here.send(BATCH_AWAY, { id, away: true })).toMatchObject({ ok: true });
});

test('a tick that comes after the end but happened before it is taken; one that happened after it is not', async () => {
  const vessel = here.file.vessels.find((v) => v.name === 'Saucepan 24 cm')!.id;
  const { id } = await putOn('White roux', { vessel });
  const tell = (of: object, minutes: number) =>
    here.send(TELL, { batch: id, event: event(of, minutes) }, { role: 'cook' });
  const page = await batchPage(here.as('cook'), id);
  expect(await tell({ is: 'ended', l: 1 }, 5)).toMatchObject({ ok: true });
  const late = await tell({ is: 'done', step: page.lines[0]!.id }, 10);
  expect(late).toMatchObject({ ok: true });
  expect(await tell({ is: 'litres', l: 1 }, 2)).toMatchObject({ ok: false, code: 'ended' });
  const night = (hours: number) => ({
    is: 'night',
    until: new Date(Date.parse(CLOCK) + hours * 3_600_000).toISOString(),
  });
  expect(await tell(night(200), 10)).toMatchObject({ ok: false, code: 'no-night' });
  expect(await tell(night(-1), 10)).toMatchObject({ ok: false, code: 'no-night' });
  const after = await batchPage(here.as('cook'), id);
  expect(after.events.map((e) => e.is)).toEqual(['done', 'ended']);
  // A page that was read before knows by this that something of it is newer.
  expect(after.stands).toBeGreaterThan(page.stands);
  expect(late).toMatchObject({ value: { stands: after.stands } });
  expect(await here.send(BATCH_AWAY, { id, away: true })).toMatchObject({ ok: true });
});

test('past a limit of the house the door takes no rescue, whatever a tablet still shows', async () => {
  const typed = settingsTyped((await here.read()).kitchen);
  expect(
    await here.send(
      SETTINGS,
      { ...typed, cooling: '60 °C in 0.5 h' },
      await here.seen('kitchen', here.kitchenId),
    ),
  ).toMatchObject({ ok: true });
  const vessel = here.file.vessels.find((v) => v.name === 'Small pan 20 cm')!.id;
  const { id } = await putOn('White roux', { vessel });
  const water = { is: 'rescue', problem: 'too thick', steps: [{ do: 'water', amount: '100 ml' }] };
  const tell = (of: object, minutes: number) =>
    here.send(TELL, { batch: id, event: event(of, minutes) }, { role: 'cook' });
  expect(await tell({ is: 'off' }, 25)).toMatchObject({ ok: true });
  expect(await tell(water, 1)).toMatchObject({ ok: true });
  expect(await tell({ is: 'off' }, 45)).toMatchObject({ ok: true });
  expect(await tell(water, 0)).toMatchObject({ ok: false, message: expect.stringContaining('past a limit') });
  const torn = { ...water, steps: [{ do: 'water', amount: 'a bit' }] };
  expect(await tell(torn, 0)).toMatchObject({ ok: false });
  expect((await batchPage(here.as('cook'), id)).events.filter((e) => e.is === 'rescue')).toHaveLength(1);
});

test('the demo has pots under way, and each can be followed', async () => {
  const { batches } = await boardPage(here.as('cook'));
  const demo = batches.filter((b) => here.file.batches.some((d) => d.id === b.id));
  expect(demo.map((b) => b.name).sort()).toEqual([
    'Leek and oat soup',
    'Reduced game base',
    'Venison bone stock',
  ]);
  for (const { first } of demo) {
    expect(first?.trouble).toBeUndefined();
    expect(first?.asked).toEqual([]);
    expect(first?.left).toBeDefined();
  }
});
