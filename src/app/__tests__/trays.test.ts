import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { costOfPlate } from '../../core/costing';
import { CostGraph } from '../../core/graph';
import { mannerIn, type WrittenPlate, type WrittenTrial } from '../../core/kitchen-file';
import { sliderPlates } from '../../core/trials';
import { UNDO } from '../../features/changes/wire';
import { TRIMMING } from '../../features/trim/schools/wire';
import { trimmingTyped } from '../../features/trim/schools/typed';
import { NEW_SHEET, SHEET_AWAY } from '../../features/pot/wire';
import { whatChangedPage } from '../../features/pour/what-changed/queries';
import { traysPage } from '../../features/pour/what-if/queries';
import { APPLY, TRAY, TRAY_AWAY } from '../../features/pour/what-if/wire';
import {
  BY_ITSELF,
  FINISH,
  LINE_SERVED,
  NEW_PLATE,
  PLATE,
  PLATE_AWAY,
  PLATE_HEAD,
  PLATE_LINES,
} from '../../features/pour/wire';
import { costedKitchen } from '../../server/kitchen';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const costing = async () => (await costedKitchen(here.kitchenId)).costing;
const costs = async () => {
  const now = await costing();
  return new Map([...now.plates.keys()].map((id) => [id, costOfPlate(now, id).cost]));
};
const plateCalled = async (name: string): Promise<WrittenPlate> => {
  const found = (await here.read()).plates.find((p) => p.name === name);
  if (!found) throw new Error(`no dish is called ${name}`);
  return found;
};
const seen = async (id: string) => here.seen('plate', id);

describe('a size of a dish', () => {
  test('is made from nothing, says what is otherwise, follows for the rest, and stands by itself when it is let', async () => {
    const parent = await plateCalled('River trout, sorrel sauce');
    const body = { name: 'Half a trout', like: parent.id };
    expect(await here.send(NEW_PLATE, { ...body, size: '0' })).toMatchObject({
      code: 'size-out-of-range',
      path: 'size',
    });
    expect(await here.send(NEW_PLATE, { ...body, size: 'some' })).toMatchObject({ ok: false, path: 'size' });
    const made = await here.send(NEW_PLATE, { ...body, size: '50 %' });
    if (!made.ok) throw new Error(made.message);
    const { id } = made.value;
    const cost = async (of: string) => (await costs()).get(of) ?? NaN;
    expect(await cost(id)).toBeCloseTo((await cost(parent.id)) / 2, 9);
    // Another portion of one line, one line out, one of its own.
    const stands = (await costing()).plates.get(id)?.plate;
    const [first, second, ...rest] = stands?.lines ?? [];
    if (!stands || !first?.id || !second?.id) throw new Error('it has the lines of its dish');
    const lines = stands.lines.map((l) => ({
      id: l.id ?? '',
      amount: l.id === first.id ? '60 g' : l.amount,
    }));
    expect(await here.send(PLATE, { id, lines, menuPrice: '12' }, await seen(id))).toMatchObject({
      ok: true,
    });
    const butter = here.file.ingredients.find((i) => i.name === 'Butter')?.id ?? '';
    const own = { id: '019cabd9-0000-7000-8000-0000000000aa', of: { ingredient: butter }, amount: '4 g' };
    const wanted = [
      { id: first.id, of: first.of, amount: '60 g' },
      ...rest.map((l) => ({ id: l.id ?? '', of: l.of, amount: l.amount })),
      own,
    ];
    expect(await here.send(PLATE_LINES, { id, lines: wanted }, await seen(id))).toMatchObject({ ok: true });
    const written = await plateCalled('Half a trout');
    expect(written.follows?.but).toEqual([
      { line: first.id, amount: '60 g' },
      { line: second.id, out: true },
    ]);
    expect(written.lines).toMatchObject([own]);
    // What the plate it follows changes, it changes too; what it says itself stays.
    const dearer = parent.lines.map((l) => ({
      id: l.id ?? '',
      amount: l.id === rest[0]?.id ? '400 g' : l.amount,
    }));
    expect(
      await here.send(PLATE, { id: parent.id, lines: dearer, menuPrice: '24.50' }, await seen(parent.id)),
    ).toMatchObject({ ok: true });
    const then = (await costing()).plates.get(id)?.plate.lines.map((l) => l.amount);
    expect(then).toEqual(['60 g', '200 g', ...rest.slice(1).map((l) => l.amount), '4 g']);
    // A screen that was read before that changes nothing of what is followed.
    expect(await here.send(PLATE, { id, lines: [], menuPrice: '12.50' }, await seen(id))).toMatchObject({
      ok: true,
    });
    expect(await here.send(PLATE_LINES, { id, lines: wanted }, await seen(id))).toMatchObject({ ok: true });
    expect((await costing()).plates.get(id)?.plate.lines.map((l) => l.amount)).toEqual(then);
    // It cannot lose its plate; and a size of a size is refused.
    expect(await here.send(PLATE_AWAY, { id: parent.id, away: true })).toMatchObject({ code: 'followed' });
    expect(await here.send(NEW_PLATE, { name: 'A quarter', like: id, size: '0.5' })).toMatchObject({
      code: 'size-of-a-size',
    });
    const before = await cost(id);
    expect(await here.send(BY_ITSELF, { id }, await seen(id))).toMatchObject({ ok: true });
    expect(await cost(id)).toBeCloseTo(before, 9);
    expect((await plateCalled('Half a trout')).follows).toBeUndefined();
    expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
    expect((await plateCalled('Half a trout')).follows?.plate).toBe(parent.id);
    expect(
      await here.send(
        PLATE_HEAD,
        { id, name: 'Half a trout', tax: '', target: '', size: '2', minutes: '3', plates: '' },
        await seen(id),
      ),
    ).toMatchObject({ ok: true });
    expect((await plateCalled('Half a trout')).hands).toEqual({ minutes: 3, plates: 1 });
    expect(
      await here.send(
        PLATE_HEAD,
        { id, name: 'Half a trout', tax: '', target: '', minutes: '0' },
        await seen(id),
      ),
    ).toMatchObject({ path: 'minutes' });
  });

  test('what it is put in is packaging, and only what is bought can be that', async () => {
    const jar = await plateCalled('Jar of game gravy');
    const [gravy, glass] = jar.lines;
    const body = { id: jar.id, overfill: '', taken: '' };
    expect(
      await here.send(LINE_SERVED, { ...body, line: gravy?.id ?? '', packaging: true }, await seen(jar.id)),
    ).toMatchObject({ code: 'not-packaging' });
    const before = (await costs()).get(jar.id) ?? NaN;
    expect(
      await here.send(LINE_SERVED, { ...body, line: glass?.id ?? '', packaging: false }, await seen(jar.id)),
    ).toMatchObject({ ok: true });
    expect((await costs()).get(jar.id)).toBeGreaterThan(before + 0.5);
    expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
    expect((await costs()).get(jar.id)).toBeCloseTo(before, 9);
  });
});

test('a sauce is finished in a small pot: a sheet and a batch of it in the dish, taken back as one', async () => {
  const plate = await plateCalled('Venison loin, juniper sauce, celeriac');
  const line = plate.lines.find((l) => 'product' in l.of);
  const before = await here.read();
  const body = { id: plate.id, line: line?.id ?? '', name: 'Juniper sauce, mounted to order' };
  const made = await here.send(FINISH, body, await seen(plate.id));
  if (!made.ok) throw new Error(made.message);
  const now = await costing();
  const pot = now.recipes.get(made.value.pot);
  expect(pot?.recipe.steps).toMatchObject([{ do: 'add', of: line?.of, amount: line?.amount }]);
  const stands = now.plates
    .get(plate.id)
    ?.plate.lines.find((l) => 'product' in l.of && l.of.product === made.value.pot);
  expect(stands?.amount).toBe('1 batch');
  // Nothing has been done to it yet: it costs what it cost.
  const was = costOfPlate(now, plate.id).cost;
  expect(
    await here.send(FINISH, { ...body, line: plate.lines[0]?.id ?? '' }, await seen(plate.id)),
  ).toMatchObject({ code: 'not-cooked' });
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  const after = await here.read();
  expect(after.plates).toEqual(before.plates);
  expect(after.recipes).toEqual(before.recipes);
  expect((await costs()).get(plate.id)).toBeCloseTo(was ?? NaN, 9);
  expect(await here.send(UNDO, { change: null, again: true })).toMatchObject({ ok: true });
  expect((await here.read()).recipes.map((r) => r.id)).toContain(made.value.pot);
  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
});

describe('a what-if', () => {
  const who = () => here.as('manager');
  const idOf = (list: readonly { readonly id: string; readonly name: string }[], name: string): string =>
    list.find((x) => x.name === name)?.id ?? '';

  test('leaves the book as it is, is applied as one change, and taken back whole', async () => {
    const file = await here.read();
    const before = await costs();
    const jun = file.recipes.find((r) => r.name === 'Juniper sauce');
    const reduce = jun?.steps.find((s) => s.do === 'reduce');
    const loin = await plateCalled('Venison loin, juniper sauce, celeriac');
    const trials: WrittenTrial[] = [
      { of: 'price', ingredient: idOf(file.ingredients, 'Venison bones'), times: 1.2 },
      { of: 'supplier', supplier: idOf(file.suppliers, 'Tarn Hatchery'), times: 0.95 },
      { of: 'yield', ingredient: idOf(file.ingredients, 'Celeriac'), usablePct: 70 },
      { of: 'line', recipe: jun?.id ?? '', step: reduce?.id ?? '', says: 'reduce by half' },
      { of: 'portion', plate: loin.id, line: loin.lines[0]?.id ?? '', amount: '160 g' },
      { of: 'menu price', plate: loin.id, price: '31.00' },
      { of: 'school', school: 'weight' },
      { of: 'layer', layer: 'hands', times: 1.1 },
      {
        of: 'instead',
        kind: 'ingredient',
        from: idOf(file.ingredients, 'Watercress'),
        to: idOf(file.ingredients, 'Chard'),
      },
    ];
    const made = await here.send(TRAY, { id: null, name: 'All at once', trials });
    if (!made.ok) throw new Error(made.message);
    const { id } = made.value;
    expect(await costs()).toEqual(before);
    const page = await traysPage(who(), id);
    expect(page.answer?.said.map((s) => s.flaw)).toEqual(trials.map(() => undefined));
    // A cook may not change what hands cost; nothing happens then.
    expect(await here.send(APPLY, { id }, { role: 'reader' })).toMatchObject({ code: 'not-allowed' });
    expect(await here.send(APPLY, { id }, { seen: 1 })).toMatchObject({ ok: true });
    const after = await costs();
    const now = await costing();
    // What the page said it would cost is what it costs.
    if (!page.answer) throw new Error('a what-if is answered');
    const { slid, plates } = page.answer;
    const graph = new CostGraph(slid.graph);
    graph.set(slid.prices);
    for (const p of sliderPlates(plates, slid, graph, trials, mannerIn(file)))
      // A quote is kept to a hundredth of a cent.
      expect(after.get(p.id) ?? NaN).toBeCloseTo(p.then ?? NaN, 3);
    expect(now.state.kitchen).toMatchObject({ trim: { school: 'weight' }, wagePerHour: '19.25' });
    expect(now.plates.get(loin.id)?.plate).toMatchObject({ menuPrice: '31.00' });
    expect(now.plates.get(loin.id)?.plate.lines[0]?.amount).toBe('160 g');
    expect(after).not.toEqual(before);
    expect((await traysPage(who(), id)).gone).toBe(true);
    const undone = await here.send(UNDO, { change: null, again: false });
    expect(undone).toMatchObject({ ok: true });
    for (const [plate, cost] of await costs()) expect(cost ?? NaN).toBeCloseTo(before.get(plate) ?? NaN, 4);
    const back = await here.read();
    expect(back.recipes).toEqual(file.recipes);
    expect(back.plates).toEqual(file.plates);
    expect(back.trays.find((t) => t.id === id)?.trials).toEqual(trials);
  });

  test('whose pot has been archived says so, and is not applied', async () => {
    const sheet = await here.send(NEW_SHEET, {
      name: 'Gone soon',
      vessel: { own: here.file.vessels[0]?.id ?? '' },
      hob: { own: here.file.hobs[0]?.id ?? '' },
      like: null,
      lines: '1 l water',
    });
    if (!sheet.ok) throw new Error(sheet.message);
    const step = (await here.read()).recipes.find((r) => r.name === 'Gone soon')?.steps[0]?.id ?? '';
    const [recipe] = (await here.read()).recipes.filter((r) => r.name === 'Gone soon');
    const trials: WrittenTrial[] = [{ of: 'line', recipe: recipe?.id ?? '', step, says: '2 l water' }];
    const made = await here.send(TRAY, { id: null, name: 'Of a pot that goes', trials });
    if (!made.ok) throw new Error(made.message);
    expect(
      await here.send(
        SHEET_AWAY,
        { id: recipe?.id ?? '', away: true, instead: null },
        await here.seen('recipe', recipe?.id ?? ''),
      ),
    ).toMatchObject({ ok: true });
    const page = await traysPage(who(), made.value.id);
    expect(page.answer?.said[0]?.flaw).toContain('archived');
    expect(await here.send(APPLY, { id: made.value.id })).toMatchObject({ code: 'gone' });
    expect(await here.send(TRAY, { id: null, name: 'of a POT that goes', trials: [] })).toMatchObject({
      ok: false,
    });
    expect(await here.send(TRAY_AWAY, { id: made.value.id, away: true })).toMatchObject({ ok: true });
    expect(await here.send(APPLY, { id: made.value.id })).toMatchObject({ code: 'gone' });
    expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
    expect((await traysPage(who(), made.value.id)).tray?.name).toBe('Of a pot that goes');
  });

  test('that would leave a dish without a cost says which and why, and is not applied', async () => {
    const jun = (await here.read()).recipes.find((r) => r.name === 'Juniper sauce');
    const step = jun?.steps.find((s) => s.do === 'reduce')?.id ?? '';
    // With so much wine left the pan runs over.
    const trials: WrittenTrial[] = [{ of: 'line', recipe: jun?.id ?? '', step, says: 'reduce to 0.9' }];
    const made = await here.send(TRAY, { id: null, name: 'Too full', trials });
    if (!made.ok) throw new Error(made.message);
    const page = await traysPage(who(), made.value.id);
    const loin = page.answer?.plates.find((p) => p.name.startsWith('Venison loin'));
    expect(loin).toMatchObject({
      cost: null,
      lost: expect.stringContaining('Juniper sauce, step') as string,
    });
    expect(await here.send(APPLY, { id: made.value.id })).toMatchObject({
      code: 'lost',
      message: expect.stringContaining('Venison loin, juniper sauce, celeriac would have no cost') as string,
    });
  });

  test('with a price that no quote moves is refused by name, and with nothing that changes anything', async () => {
    const empty = await here.send(TRAY, { id: null, name: 'Nothing', trials: [] });
    if (!empty.ok) throw new Error(empty.message);
    expect(await here.send(APPLY, { id: empty.value.id })).toMatchObject({ code: 'nothing' });
    const supplied = [...(await costing()).supplies.values()].find(
      (s) => s.price && s.price.basis.by !== 'latest',
    );
    if (!supplied) return;
    const trials: WrittenTrial[] = [{ of: 'price', ingredient: supplied.ingredient.id, times: 2 }];
    const made = await here.send(TRAY, { id: null, name: 'By an average', trials });
    if (!made.ok) throw new Error(made.message);
    expect(await here.send(APPLY, { id: made.value.id })).toMatchObject({ code: 'not-a-quote' });
  });
});

describe('what happened', () => {
  test('today is told by kind: a portion, a pot and who pays for trim, adding up', async () => {
    const [yesterday, today] = ['2026-03-13', '2026-03-14'];
    const loin = await plateCalled('Venison loin, juniper sauce, celeriac');
    const lines = loin.lines.map((l, i) => ({ id: l.id ?? '', amount: i === 0 ? '200 g' : l.amount }));
    expect(
      await here.send(PLATE, { id: loin.id, lines, menuPrice: '29.00' }, await seen(loin.id)),
    ).toMatchObject({ ok: true });
    const { kitchen } = await here.read();
    const typed = trimmingTyped(kitchen);
    expect(
      await here.send(TRIMMING, { ...typed, school: 'free' }, await here.seen('kitchen', here.kitchenId)),
    ).toMatchObject({ ok: true });
    const page = await whatChangedPage(here.as('manager'), { from: yesterday, to: today, of: loin.id });
    const moved = page.plates.find((p) => p.id === loin.id);
    expect(moved?.by?.plates).toBeGreaterThan(0.5);
    expect(moved?.by?.reckoning).not.toBeCloseTo(0, 6);
    const sum = Object.values(moved?.by ?? {}).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo((moved?.is ?? NaN) - (moved?.was ?? NaN), 9);
    expect((await costs()).get(loin.id)).toBeCloseTo(moved?.is ?? NaN, 9);
    const meanwhile = await page.closely?.meanwhile;
    expect(meanwhile?.events.some((e) => e.what === 'plate' && e.on === today)).toBe(true);
  });

  test('on a day before anything was bought nothing is called free, and the wrong way round is told', async () => {
    const page = await whatChangedPage(here.as('manager'), { from: '2019-01-01', to: '2019-02-01' });
    expect(page.trouble).toContain('nothing had been bought');
    expect(page.plates.every((p) => p.was === null && p.by === null)).toBe(true);
    const wrong = await whatChangedPage(here.as('manager'), { from: '2026-03-14', to: '2026-03-01' });
    expect(wrong.trouble).toContain('before the second');
  });
});
