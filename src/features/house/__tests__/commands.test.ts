import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { MODEL } from '../../../core/reference';
import { lastCosts, modelChanges, setLastCosts } from '../../../db/kitchen/model-changes';
import { savedCostings } from '../../../db/kitchen/saved-costings';
import { bumpRevision, currentRevision } from '../../../db/revisions';
import { costedKitchen } from '../../../server/kitchen';
import { costsOf, recordCosts } from '../../../server/model-changes';
import { housePage } from '../queries';
import {
  COSTING_AWAY,
  CUPS,
  OWN_LABOUR,
  KEEP_COSTING,
  MODEL_SEEN,
  STARTING_VALUES,
  STARTING_VALUES_BACK,
} from '../wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const none = { fixed: '', perKg: '', perL: '' };
const recipe = (name: string) => {
  const found = here.file.recipes.find((r) => r.name === name);
  if (!found) throw new Error(name);
  return found;
};
const handsOf = async (name: string): Promise<number> => {
  const { costing } = await costedKitchen(here.kitchenId);
  const rows = costing.recipes.get(recipe(name).id)?.run.rows ?? [];
  return rows.reduce((h, row) => h + row.handsHours, 0) * 60;
};

describe('hands of the kitchen’s own', () => {
  test('are kept, move what hands cost, and go back to what is usual when they are emptied', async () => {
    const before = await handsOf('Venison bone stock');
    const own = { kinds: { strain: { fixed: '30', perKg: '', perL: '0' } }, sharedBatch: '', sharedPerL: '' };
    const kept = await here.send(OWN_LABOUR, own, { seen: (await housePage(here.as('manager'))).version });
    expect(kept).toMatchObject({ ok: true });
    expect((await here.read()).kitchen.hands).toEqual({ strain: { fixedMin: 30, perLMin: 0 } });
    expect(await handsOf('Venison bone stock')).toBeGreaterThan(before + 15);
    const usual = { kinds: { strain: none }, sharedBatch: '', sharedPerL: '' };
    await here.send(OWN_LABOUR, usual, { seen: (await housePage(here.as('manager'))).version });
    expect((await here.read()).kitchen.hands).toBeUndefined();
    expect(await handsOf('Venison bone stock')).toBeCloseTo(before, 9);
  });

  test('minutes that cannot be are refused with number and limit, and a kind nobody knows by name', async () => {
    const seen = (await housePage(here.as('manager'))).version;
    const with1 = (kinds: Record<string, typeof none>) => ({ kinds, sharedBatch: '', sharedPerL: '' });
    expect(await here.send(OWN_LABOUR, with1({ strain: { ...none, fixed: '601' } }), { seen })).toMatchObject(
      {
        path: 'strain.fixed',
        message: '601 minutes cannot be: from 0 to 600.',
      },
    );
    expect(await here.send(OWN_LABOUR, with1({ juggle: none }), { seen })).toMatchObject({
      code: 'unknown-kind',
    });
  });
});

test('cups are asked once: said, they are read everywhere; another country’s are refused while these stand', async () => {
  expect(await here.send(CUPS, { of: 'us' })).toMatchObject({ ok: true });
  const cup = (await here.read()).measures.find((m) => m.name === 'cup');
  expect(cup?.amount).toBe('1 us cup');
  expect(await here.send(CUPS, { of: 'metric' })).toMatchObject({ code: 'measure-taken' });
});

describe('saved costings', () => {
  test('say what it cost then whatever is done afterwards; archived and restored', async () => {
    const { id } = recipe('Crab bisque');
    const kept = await here.send(KEEP_COSTING, { what: 'product', subject: id });
    if (!kept.ok) throw new Error(kept.message);
    const before = await savedCostings(here.pool, here.kitchenId, id);
    expect(before).toHaveLength(1);
    expect(before[0]?.body.layers.ingredients).toBeGreaterThan(0);
    expect(before[0]?.model).toBe(MODEL);
    await here.pool.query('UPDATE ingredient_yield SET usable_pct = usable_pct / 2 WHERE kitchen_id = ?', [
      here.kitchenId,
    ]);
    expect(await savedCostings(here.pool, here.kitchenId, id)).toEqual(before);
    await expect(
      here.pool.query("UPDATE kept_costing SET body = '{}' WHERE kitchen_id = ?", [here.kitchenId]),
    ).rejects.toThrow('a kept costing is not written over');
    await here.pool.query('UPDATE ingredient_yield SET usable_pct = usable_pct * 2 WHERE kitchen_id = ?', [
      here.kitchenId,
    ]);
    const away = kept.value.id;
    await here.send(COSTING_AWAY, { id: away, away: true });
    expect((await savedCostings(here.pool, here.kitchenId, id)).map((k) => k.away)).toEqual([true]);
    expect(await here.send(COSTING_AWAY, { id: away, away: true })).toMatchObject({ code: 'gone' });
    await here.send(COSTING_AWAY, { id: away, away: false });
    expect(await savedCostings(here.pool, here.kitchenId, id)).toEqual(before);
  });
});

describe('an update of the model', () => {
  const costedFor = (kitchenId: string, day: string) => costedKitchen(kitchenId, { day, known: 'since' });

  test('shows which costs moved because the model did, once, until it is seen', async () => {
    const costed = await costedKitchen(here.kitchenId);
    const stood = await currentRevision(here.pool, here.kitchenId);
    const costs = costsOf(costed.costing);
    const [moved] = costs.filter(([key, , cost]) => key.startsWith('product:') && cost !== null);
    await setLastCosts(here.pool, here.kitchenId, {
      model: MODEL - 1,
      revision: stood.revision,
      mark: stood.mark,
      forDay: costed.costing.day,
      costs: costs.map(([key, name, cost]) => [key, name, key === moved?.[0] ? (cost ?? 0) * 0.9 : cost]),
    });
    await recordCosts(here.kitchenId, costed, costedFor);
    const [move, ...more] = await modelChanges(here.pool, here.kitchenId);
    expect(more).toEqual([]);
    expect(move).toMatchObject({ fromModel: MODEL - 1, toModel: MODEL, exact: true, seenAt: undefined });
    expect(move?.moves).toEqual([[moved?.[0], moved?.[1], (moved?.[2] ?? 0) * 0.9, moved?.[2]]]);
    expect((await lastCosts(here.pool, here.kitchenId))?.model).toBe(MODEL);
    await recordCosts(here.kitchenId, costed, costedFor);
    expect(await modelChanges(here.pool, here.kitchenId)).toHaveLength(1);
    await here.send(MODEL_SEEN, { id: move?.id ?? '' });
    expect((await modelChanges(here.pool, here.kitchenId))[0]?.seenAt).toBeInstanceOf(Date);
  });
});

describe('better starting values', () => {
  test('wait until they are taken, move what they move, and can be given back to the letter', async () => {
    // A copy as an older edition left it: without what was learned since.
    await here.pool.query(
      "UPDATE ingredient SET physics = JSON_REMOVE(physics, '$.is.juice', '$.juice'), version = version + 1 WHERE kitchen_id = ? AND name = 'Mutton neck'",
      [here.kitchenId],
    );
    await bumpRevision(here.pool, here.kitchenId);
    const wanted = async () => (await housePage(here.as('manager'))).improved;
    const mutton = (await wanted()).find((i) => i.name === 'Mutton neck');
    expect(mutton?.what).toContain('juice it gives up');
    const juice = async () => (await here.read()).ingredients.find((i) => i.name === 'Mutton neck')?.juice;
    expect(await juice()).toBeUndefined();
    const taken = await here.send(STARTING_VALUES, { ids: [mutton?.id ?? ''] });
    expect(taken).toMatchObject({ ok: true });
    expect(taken.ok && taken.value.moved).toBeGreaterThan(0);
    expect((await juice())?.pct).toBeGreaterThan(10);
    // Which costs that moved is listed, until it is seen.
    const [move] = (await housePage(here.as('manager'))).moved;
    expect(move).toMatchObject({ seen: false, says: expect.stringContaining('starting values') });
    expect(move?.moves.map((m) => m.name)).toContain('Mutton broth');
    const page = await housePage(here.as('manager'));
    expect(page.taken).toMatchObject({ count: 1 });
    await here.send(STARTING_VALUES_BACK, { change: page.taken?.change ?? '' });
    expect(await juice()).toBeUndefined();
    expect((await housePage(here.as('manager'))).taken).toBeUndefined();
  });
});
