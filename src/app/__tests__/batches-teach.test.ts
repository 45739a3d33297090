import { v7 } from 'uuid';
import { UNDO } from '../../features/changes/wire';
import { PURCHASE } from '../../features/buy/purchases/wire';
import { settingsTyped } from '../../features/house/settings/typed';
import { SETTINGS } from '../../features/house/settings/wire';
import { learnable } from '../../features/stove/learnable';
import { learnedPage } from '../../features/stove/learned';
import { batchPage } from '../../features/stove/queries';
import { PotAdvisor, type Pantry } from '@/core/batch';
import { costedKitchen } from '@/server/kitchen';
import { ownConstants } from '@/core/kitchen-state';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { pantryText } from '../../features/stove/pantry';
import { BATCH, LEARN, LEARN_TIMES, UNDO_EVENT, TELL } from '../../features/stove/wire';
import { plates } from '../../features/pour/queries';
import { SHEET } from '../../features/pot/wire';
import { CLOCK, kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const sheet = (name: string) => here.file.recipes.find((r) => r.name === name)!;
const vessel = (name: string) => here.file.vessels.find((v) => v.name === name)!;
const ago = (minutes: number): string => new Date(Date.parse(CLOCK) - minutes * 60_000).toISOString();
const event = (of: object, minutes = 0) =>
  ({ id: v7(), at: ago(minutes), recordedAt: ago(minutes), ...of }) as never;
const STOCK = { heat: 'bare simmer', lid: 'off' } as const;
const rowOf = async () => {
  const page = await learnedPage(here.as('manager'));
  return page.rows.find(
    (r) => r.vesselName === 'Stockpot 36 l' && r.heat === STOCK.heat && r.lid === STOCK.lid,
  )!;
};

test('thirty batches teach; an outlier is flagged, left out by a person, and counts again when that is taken back', async () => {
  const page = await learnedPage(here.as('manager'));
  expect(page.batches).toBe(30);
  const row = await rowOf();
  expect(row.lessons.length).toBeGreaterThan(5);
  const far = row.lessons.find((l) => l.outlier)!;
  expect(far.name).toBe('Duck broth');
  // The table stands till somebody accepts.
  expect([row.inForce, row.waits]).toEqual([undefined, true]);
  const out = event({ is: 'left out', ...STOCK });
  expect(await here.send(TELL, { batch: far.batch, event: out }, { role: 'cook' })).toMatchObject({
    ok: true,
  });
  const without = await rowOf();
  expect(without.learned!.mean).toBeLessThan(row.learned!.mean);
  // With that one gone the forgotten lid stands out.
  const lid = without.lessons.find((l) => l.outlier)!;
  expect(lid.times).toBeLessThan(0.5);
  const other = event({ is: 'left out', ...STOCK });
  expect(await here.send(TELL, { batch: lid.batch, event: other })).toMatchObject({ ok: true });
  const { learned, lessons } = await rowOf();
  // What nobody told the model: 0.78.
  expect(learned!.mean).toBeGreaterThan(0.72);
  expect(learned!.mean).toBeLessThan(0.88);
  expect(lessons.filter((l) => l.leftOut !== undefined)).toHaveLength(2);
  const { leftOut } = lessons.find((l) => l.batch === lid.batch)!;
  expect(await here.send(UNDO_EVENT, { batch: lid.batch, event: leftOut! })).toMatchObject({ ok: true });
  expect((await rowOf()).learned!.mean).toBeLessThan(learned!.mean);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await rowOf()).learned!.mean).toBeCloseTo(learned!.mean, 9);
});

test('accepted by a manager it moves its sheets and what is made from them, as it said; undone it is the table again', async () => {
  const before = await rowOf();
  const { id } = vessel('Stockpot 36 l');
  const moves = before.moves.find((m) => m.name === 'Venison bone stock')!;
  const moved = moves.cells.find((cell) => cell.of === 'litres')!;
  expect(moved.after).toBeGreaterThan(moved.before!);
  const litres = async () => {
    const page = await learnedPage(here.as('manager'));
    return page.rows.find((r) => r.vessel === id && r.heat === STOCK.heat)!;
  };
  const costs = async () => (await plates(here.as('manager'))).map((p) => JSON.stringify(p));
  const cost = await costs();
  const learn = (accept: boolean, role: 'cook' | 'manager' = 'manager') =>
    here.send(LEARN, { vessel: id, ...STOCK, accept }, { role });
  expect(await learn(true, 'cook')).toMatchObject({ ok: false });
  expect(await learn(true)).toMatchObject({ ok: true });
  const after = await litres();
  expect(after.inForce!.times).toBeCloseTo(before.learned!.mean, 2);
  expect(after.waits).toBe(false);
  // What it teaches is the same: no batch is counted against what it has taught itself.
  expect(after.learned!.mean).toBeCloseTo(before.learned!.mean, 4);
  expect(await costs()).not.toEqual(cost);
  const [kept] = (await here.read()).vessels.filter((v) => v.id === id);
  expect(kept!.boils).toMatchObject([{ ...STOCK, batches: expect.any(Number) }]);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect(await costs()).toEqual(cost);
  expect((await here.read()).vessels.find((v) => v.id === id)!.boils).toBeUndefined();
  expect(await here.send(LEARN, { vessel: id, heat: 'wide pan', lid: 'on', accept: true })).toMatchObject({
    ok: false,
    message: expect.stringContaining('nothing is learned'),
  });
});

test('how often a forecast was right is counted, and a new batch keeps its own forecast', async () => {
  const { judged } = await learnedPage(here.as('manager'));
  const litres = judged.filter((j) => j.of === 'litres');
  expect(litres).toHaveLength(30);
  expect(litres.some((j) => !j.within)).toBe(true);
  const { id: recipe, hob } = sheet('Reduced game base');
  const put = async (startedAt: string | null) => {
    const id = v7();
    const answer = await here.send(
      BATCH,
      { id, recipe, vessel: vessel('Stockpot 50 l').id, hob, times: 1, startedAt },
      { role: 'cook' },
    );
    expect(answer).toMatchObject({ ok: true });
    const [batch] = (await here.read()).batches.filter((b) => b.id === id);
    await here.send(TELL, { batch: id, event: event({ is: 'ended', l: 3 }) });
    return batch!;
  };
  const now = await put(null);
  expect(now.foretold!.lines).toHaveLength(1);
  expect(now.foretold!.l!.low).toBeLessThan(now.foretold!.l!.high);
  // Of one that was on already it would be no foretelling.
  expect((await put(ago(30))).foretold).toBeUndefined();
});

test('a line done differently is this batch’s alone; a share that is gone takes of everything; what came in is told with its allergens', async () => {
  const { id: recipe, hob } = sheet('Duck broth');
  const id = v7();
  const put = { vessel: vessel('Stockpot 50 l').id, hob, times: 1, startedAt: ago(60) };
  expect(await here.send(BATCH, { id, recipe, ...put }, { role: 'cook' })).toMatchObject({ ok: true });
  const who = here.as('cook');
  const { lines } = await batchPage(who, id);
  // As a tablet has it: what the house has, as it travels, and the batch as its page reads it.
  const at = new PotAdvisor(JSON.parse((await pantryText(who)).text) as Pantry);
  const { written, events: none } = await batchPage(who, id);
  const stands = { ...written, events: [...none] };
  const said = at.line(stands, lines[0]!.id);
  expect(said).toMatch(/duck/i);
  expect(at.read(stands, 'a bit of something unheard of')).toMatchObject({ ok: false });
  const read = at.read(stands, said!.replace(/^[\d.]+/, '2'));
  if (!read.ok) throw new Error(read.message);
  const tell = (of: object, minutes = 0) =>
    here.send(TELL, { batch: id, event: event(of, minutes) }, { role: 'cook' });
  expect(await tell({ is: 'otherwise', step: lines[0]!.id, as: read.as }, 58)).toMatchObject({ ok: true });
  const page = await batchPage(who, id);
  expect(page.lines[0]!.words).not.toBe(lines[0]!.words);
  expect(JSON.stringify((await here.read()).recipes.find((r) => r.id === recipe))).toBe(
    JSON.stringify(sheet('Duck broth')),
  );
  for (const [i, line] of lines.slice(0, 3).entries())
    expect(await tell({ is: 'done', step: line.id, handsMin: 4 }, 50 - i)).toMatchObject({ ok: true });
  const full = (await batchPage(who, id)).first!.pot!;
  expect(
    await tell({ is: 'left', l: Number((full.ml / 2000).toFixed(2)), why: 'boiled over' }, 5),
  ).toMatchObject({
    ok: true,
  });
  const half = (await batchPage(who, id)).first!;
  expect(half.pot!.ml / full.ml).toBeCloseTo(0.5, 1);
  expect(half.pot!.saltPct).toBeCloseTo(full.saltPct, 2);
  expect(half.asked).toEqual([]);
  const boiledOver = await batchPage(who, id);
  const c = ownConstants(boiledOver.own, CONSTANTS);
  const then = { ...written, events: [...boiledOver.events] };
  const wrong = at.cameIn(then, '200 ml whipping cream', Date.parse(CLOCK), c);
  if (!wrong?.ok) throw new Error(wrong?.message);
  expect(wrong.allergens).toContain('milk');
  expect(wrong.after.ml).toBeGreaterThan(wrong.before.ml + 150);
  expect(await tell({ is: 'rescue', problem: 'wrong thing in', steps: [wrong.as] })).toMatchObject({
    ok: true,
  });
  expect((await batchPage(who, id)).first!.pot!.ml).toBeCloseTo(wrong.after.ml, -1);
});

test('a name said without the network is kept as said; nobody’s name is not taken', async () => {
  const [batch] = (await here.read()).batches.filter((b) => !b.events.some((e) => e.is === 'ended'));
  const told = async (of: object) => {
    const it = event({ is: 'note', text: 'all is well', ...of });
    expect(await here.send(TELL, { batch: batch!.id, event: it }, { role: 'cook' })).toMatchObject({
      ok: true,
    });
    return (await batchPage(here.as('cook'), batch!.id)).events.find(
      (e) => e.id === (it as { id: string }).id,
    )!;
  };
  const me = here.as('cook').person.name;
  const other = here.file.people.find((p) => p.name !== me)!.name;
  expect(await told({ by: other, said: 'unverified' })).toMatchObject({ by: other, said: 'unverified' });
  for (const claim of [{ by: other }, { by: 'Nobody Here', said: 'unverified' }]) {
    const kept = await told(claim);
    expect([kept.by, kept.said]).toEqual([me, undefined]);
  }
});

test('rules for hot food are read, said back as typed, and a bad one is refused with its number', async () => {
  const kitchen = async () => (await here.read()).kitchen;
  const send = async (more: object) =>
    here.send(
      SETTINGS,
      { ...settingsTyped(await kitchen()), ...more },
      await here.seen('kitchen', here.kitchenId),
    );
  expect(await send({ warm: 'reheated to 75 °C in 1 h; held at 63 °C' })).toMatchObject({ ok: true });
  expect((await kitchen()).rules).toMatchObject({ reheat: { toC: 75, withinH: 1 }, holdAtC: 63 });
  expect(settingsTyped(await kitchen()).warm).toBe('reheated to 75 °C in 1 h; held at 63 °C');
  expect(await send({ warm: 'held at 130 °C' })).toMatchObject({
    ok: false,
    message: expect.stringMatching(/40 and 100 °C, not 130/),
  });
  expect(await send({ warm: 'hot enough' })).toMatchObject({ ok: false });
  expect((await kitchen()).rules).toMatchObject({ holdAtC: 63 });
  expect(await send({ night: 'Gas and electricity at simmer, back at 7:30' })).toMatchObject({ ok: true });
  expect((await kitchen()).rules!.night).toEqual({
    fuels: ['electricity', 'gas'],
    heat: 'simmer',
    back: '07:30',
  });
  const typed = settingsTyped(await kitchen()).night;
  expect(await send({ night: typed })).toMatchObject({ ok: true });
  expect(settingsTyped(await kitchen()).night).toBe(typed);
  expect(await send({ night: 'nothing; back at 06:00' })).toMatchObject({ ok: true });
  expect((await kitchen()).rules!.night).toMatchObject({ fuels: [], back: '06:00' });
  for (const night of [
    'electricity at simmer',
    'candles at simmer; back at 06:00',
    'gas at simmer; back at 26:00',
  ])
    expect(await send({ night })).toMatchObject({
      ok: false,
      message: expect.stringContaining('not an overnight rule'),
    });
});

test('what bones give and how long hands are at it are learned, too: held back, accepted, and undone', async () => {
  const rows = async () => (await learnedPage(here.as('manager'))).times;
  const bones = (await rows()).find((r) => r.kind === 'gives' && r.title.startsWith('Venison bones'))!;
  // What nobody told the model: 0.86.
  expect(bones.learned!.mean).toBeGreaterThan(0.74);
  expect(bones.learned!.mean).toBeLessThan(0.97);
  expect(bones.waits).toBe(true);
  const gelatin = async () => (await here.read()).ingredients.find((i) => i.id === bones.of)!.gelatin!.gPerKg;
  const before = await gelatin();
  expect(await here.send(LEARN_TIMES, { kind: 'gives', of: bones.of }, { role: 'cook' })).toMatchObject({
    ok: false,
  });
  expect(await here.send(LEARN_TIMES, { kind: 'gives', of: bones.of })).toMatchObject({ ok: true });
  expect((await gelatin()) / before).toBeCloseTo(bones.learned!.mean, 2);
  // As a multiple of the value now in use it says nothing more.
  const after = (await rows()).find((r) => r.of === bones.of)!;
  expect(Math.abs(after.learned!.mean - 1)).toBeLessThan(Math.abs(bones.learned!.mean - 1));
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect(await gelatin()).toBe(before);

  const hands = (await rows()).find((r) => r.kind === 'hands' && r.of === 'strain')!;
  expect(hands.lessons.length).toBeGreaterThan(3);
  const own = async () => (await here.read()).kitchen.hands?.strain;
  const stood = await own();
  const one = hands.lessons[0]!.batch;
  const out = event({ is: 'not learned', kind: 'hands', of: 'strain' });
  expect(await here.send(TELL, { batch: one, event: out }, { role: 'cook' })).toMatchObject({ ok: true });
  const without = (await rows()).find((r) => r.kind === 'hands' && r.of === 'strain')!;
  expect(without.lessons.find((l) => l.batch === one)!.weight).toBe(0);
  expect(await here.send(LEARN_TIMES, { kind: 'hands', of: 'strain' })).toMatchObject({ ok: true });
  expect((await own())!.fixedMin).toBeGreaterThan(0);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect(await own()).toEqual(stood);
  expect(await here.send(LEARN_TIMES, { kind: 'hands', of: 'juggle' })).toMatchObject({ ok: false });
});

test('what the strainer kept is learned from litres before and after it: accepted, undone, and not where it was weighed on the bench', async () => {
  const rows = async () => (await learnedPage(here.as('manager'))).times.filter((r) => r.kind === 'keeps');
  const found = await rows();
  expect(found.length).toBeGreaterThan(1);
  for (const row of found) expect(Math.abs(row.learned!.mean - 1)).toBeLessThan(0.4);
  const ingredient = async (id: string) => (await here.read()).ingredients.find((i) => i.id === id)!;
  const free = found.find((r) => !r.weighed && r.learned)!;
  const before = await ingredient(free.of);
  expect(await here.send(LEARN_TIMES, { kind: 'keeps', of: free.of }, { role: 'cook' })).toMatchObject({
    ok: false,
  });
  expect(await here.send(LEARN_TIMES, { kind: 'keeps', of: free.of })).toMatchObject({ ok: true });
  expect((await ingredient(free.of)).retentionMlPerKg / before.retentionMlPerKg).toBeCloseTo(
    free.learned!.mean,
    2,
  );
  const after = (await rows()).find((r) => r.of === free.of)!;
  expect(Math.abs(after.learned!.mean - 1)).toBeLessThan(Math.abs(free.learned!.mean - 1) + 0.01);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect(await ingredient(free.of)).toEqual(before);
  const weighed = found.find((r) => r.weighed);
  if (weighed) {
    expect(weighed.waits).toBe(false);
    expect(await here.send(LEARN_TIMES, { kind: 'keeps', of: weighed.of })).toMatchObject({
      code: 'weighed',
    });
  }
});

test('what stays in the sieve is learned of its own sheet: accepted it stands in its line, moves what was said, and is taken back', async () => {
  const rows = async () => (await learnedPage(here.as('manager'))).times.filter((r) => r.kind === 'loses');
  const row = (await rows()).find((r) => r.title.startsWith('Pepper passata'))!;
  expect(row).toMatchObject({ waits: true, figure: { now: 16, unit: '%' } });
  // The pretended cook lost 1.3 times what the line says.
  expect(row.learned!.mean).toBeGreaterThan(1.1);
  expect(row.learned!.mean).toBeLessThan(1.5);
  const sheet = async () => (await here.read()).recipes.find((r) => row.of.startsWith(r.id))!;
  const before = await sheet();
  const [moved] = row.moves;
  expect(moved!.name).toBe('Pepper passata');
  expect(await here.send(LEARN_TIMES, { kind: 'loses', of: row.of })).toMatchObject({ ok: true });
  const line = (await sheet()).steps.find((s) => s.do === 'sieve');
  expect(line).toMatchObject({ loss: `${row.figure!.after} %` });
  const now = (await rows()).find((r) => r.of === row.of)!;
  expect(now.waits).toBe(false);
  expect(now.learned!.mean).toBeCloseTo(1, 1);
  // It moved what it said it would: the sheet as it now runs, from the batches that taught it.
  const { costing } = await costedKitchen(here.as('manager').kitchenId);
  const litres = moved!.cells.find((c) => c.of === 'litres')!;
  expect(costing.recipes.get(before.id)!.run.product!.ml / 1000).toBeCloseTo(litres.after!, 3);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await sheet()).steps).toEqual(before.steps);
});

test('a lesson that a later line of its sheet could not bear is told with that line, and nothing is written', async () => {
  const passata = async () => (await here.read()).recipes.find((r) => r.name === 'Pepper passata')!;
  const { id, vessel: pot, hob, steps } = await passata();
  const { costing } = await costedKitchen(here.as('manager').kitchenId);
  const reduced = steps.findIndex((s) => s.do === 'reduce');
  const { ml } = costing.recipes.get(id)!.run.rows[reduced]!;
  // A little lower still: where the sieve keeps more, it stands lower than that already.
  const lower = { id: v7(), do: 'reduce', until: 'volume', to: `${(ml * 0.99).toFixed(0)} ml` } as const;
  const longer = steps.toSpliced(reduced + 1, 0, { ...lower, heat: 'simmer', lid: 'off' });
  expect(
    await here.send(SHEET, { id, vessel: pot, hob, steps: longer }, await here.seen('recipe', id)),
  ).toMatchObject({ ok: true });
  expect(await here.send(LEARN_TIMES, { kind: 'loses', of: `${id} sieve` })).toMatchObject({
    ok: false,
    code: 'reduce-to-more',
    path: `steps[${reduced + 1}]`,
  });
  expect((await passata()).steps).toEqual(longer);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await passata()).steps).toEqual(steps);
});

test('of a sheet that is sieved twice the line that was read is the one that moves, and the other stays', async () => {
  const { costing } = await costedKitchen(here.as('manager').kitchenId);
  const passata = sheet('Pepper passata');
  const at = passata.steps.findIndex((s) => s.do === 'sieve');
  const again = { ...passata.steps[at]!, id: v7(), loss: '5 %' } as (typeof passata.steps)[number];
  const recipe = {
    ...passata,
    steps: [...passata.steps.slice(0, at + 1), again, ...passata.steps.slice(at + 1)],
  };
  const twice = {
    ...costing,
    state: { ...costing.state, recipes: costing.state.recipes.map((r) => (r.id === recipe.id ? recipe : r)) },
  };
  const second = learnable(twice, 'loses', `${recipe.id} sieve 2`)!;
  expect(second.figure(2)).toMatchObject({ now: 5, after: 10, unit: '%' });
  const { after } = second.change(2) as { after: typeof recipe };
  expect(after.steps.flatMap((s) => (s.do === 'sieve' ? [s.loss] : []))).toEqual(['16 %', '10 %']);
  const moved = second.lines!(potOf(recipe, costing.shelf).steps, 2);
  expect(moved.flatMap((s) => (s.do === 'sieve' ? [s.loss] : []))).toEqual([0.16, 0.1]);
  expect(learnable(costing, 'loses', `${recipe.id} sieve 2`)).toBeUndefined();
});

test('how full portions are is learned from litres over portions, and stands in the line of its sheet', async () => {
  const rows = async () => (await learnedPage(here.as('manager'))).times.filter((r) => r.kind === 'pours');
  const row = (await rows()).find((r) => r.title.startsWith('Leek and oat soup'))!;
  expect(row).toMatchObject({ waits: true, figure: { now: 3, unit: '% over' } });
  const sheet = async () => (await here.read()).recipes.find((r) => row.of.startsWith(r.id))!;
  const before = await sheet();
  const cost = row.moves[0]!.cells.find((c) => c.of === 'perPortion')!;
  expect(cost.after).toBeGreaterThan(cost.before!);
  expect(await here.send(LEARN_TIMES, { kind: 'pours', of: row.of })).toMatchObject({ ok: true });
  expect((await sheet()).steps.find((s) => s.do === 'portion')).toMatchObject({
    overfill: `${row.figure!.after} %`,
  });
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await sheet()).steps).toEqual(before.steps);
  // A batch that is not to be learned from counts for nothing.
  const [one] = row.lessons;
  const out = event({ is: 'not learned', kind: 'pours', of: row.of });
  expect(await here.send(TELL, { batch: one!.batch, event: out }, { role: 'cook' })).toMatchObject({
    ok: true,
  });
  const without = (await rows()).find((r) => r.of === row.of)!;
  expect(without.lessons.find((l) => l.batch === one!.batch)!.weight).toBe(0);
  expect(await here.send(LEARN_TIMES, { kind: 'loses', of: `${before.id} juggle` })).toMatchObject({
    ok: false,
  });
});

test('bones of two suppliers are told apart by the last delivery before each batch, and may be used as one’s give', async () => {
  const row = async () =>
    (await learnedPage(here.as('manager'))).times.find(
      (r) => r.kind === 'gives' && r.title.startsWith('Venison bones'),
    )!;
  const before = await row();
  // All came from one house.
  expect(before.suppliers).toEqual([]);
  const article = here.file.articles.find((a) => a.ingredient === before.of)!;
  const other = here.file.suppliers.find((s) => s.id !== article.supplier)!;
  const goods = {
    is: 'goods',
    article: '',
    packs: '2',
    packPrice: '30',
    delivered: '',
    rejected: '',
  } as const;
  const sold = {
    ingredient: before.of,
    name: 'Bones',
    code: '',
    pack: '10 kg',
    eachWeighs: '',
    litreWeighs: '',
  };
  expect(
    await here.send(PURCHASE, {
      kind: 'invoice',
      supplier: other.id,
      on: '2026-02-15',
      number: 'OTHER-1',
      lines: [{ ...goods, newArticle: sold, inPlaceOf: '', note: '' }],
    }),
  ).toMatchObject({ ok: true });
  const { suppliers, lessons } = await row();
  expect(suppliers.map((s) => [s.name, s.batches]).sort()).toEqual(
    [
      [other.name, 1],
      [here.file.suppliers.find((s) => s.id === article.supplier)!.name, lessons.length - 1],
    ].sort(),
  );
  const theirs = suppliers.find((s) => s.id === other.id)!;
  expect(await here.send(LEARN_TIMES, { kind: 'gives', of: before.of, supplier: other.id })).toMatchObject({
    ok: true,
  });
  const gelatin = (await here.read()).ingredients.find((i) => i.id === before.of)!.gelatin!.gPerKg;
  expect(gelatin).toBeCloseTo(theirs.figure!.after, 6);
  // With one supplier's value in use, the mean of both asks for nothing, though it differs.
  const now = await row();
  expect(Math.abs(now.suppliers.find((s) => s.id === other.id)!.mean - 1)).toBeLessThan(0.05);
  expect(Math.abs(now.learned!.mean - 1)).toBeGreaterThan(0.05);
  expect(now.waits).toBe(false);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await row()).figure!.now).toBe(before.figure!.now);
});
