import fc from 'fast-check';
import { z } from 'zod';
import { anotherProcess } from '../../../tests/helpers/another-process';
import { DAY, kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { costFile, gapsOf, type KitchenCosting } from '../../core/costing';
import { LAYERS } from '../../core/layers';
import { CONSTANTS } from '../../core/reference';
import { cases, isFullRun } from '../../core/testing/cases';
import { run } from '../../db/sql';
import type * as Kitchen from '../kitchen';

/** The kitchens one process of the application holds in memory. */
const process = (): typeof Kitchen => anotherProcess<typeof Kitchen>('src/server/kitchen.ts');

/** A kind of write by its name: what its body is, the door knows. */
const say = (kind: string) => ({ kind, version: 1, body: z.unknown() });
const [PRICE, YIELD, SHEET] = [say('article.price'), say('ingredient.yield'), say('recipe.sheet')];
const [BASIS, SETTING, COUNT] = [say('ingredient.basis'), say('ingredient.buying'), say('ingredient.count')];
const [WEIGHING, MERGE, APART, TAKE] = [
  say('article.weighed'),
  say('ingredient.merge'),
  say('ingredient.apart'),
  say('ingredient.take'),
];

let here: AtWork;
let one: typeof Kitchen;
let other: typeof Kitchen;
beforeAll(async () => {
  here = await kitchenAtWork();
  [one, other] = [process(), process()];
});
afterAll(() => here.end());

const oneOf = <T>(list: readonly T[], pick: number): T => list[pick % list.length] as T;

/** What people send, at the versions that stand; what is refused changes nothing and is no mistake here. */
const EDITS: Readonly<Record<string, (pick: number, amount: number) => Promise<unknown>>> = {
  async price(pick, amount) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id, ingredient } = oneOf(costing.state.articles, pick);
    return here.send(
      PRICE,
      { article: id, row: ingredient, typed: `${amount}.50` },
      { seen: versions.articles.get(id) ?? 1 },
    );
  },
  async yield(pick, amount) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id } = oneOf(costing.state.ingredients, pick);
    return here.send(
      YIELD,
      { ingredient: id, typed: String(amount) },
      { seen: versions.ingredients.get(id) ?? 1 },
    );
  },
  async sheet(pick, amount) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id, vessel, hob, steps } = oneOf(costing.state.recipes, pick);
    const next = steps.map((s) =>
      s.do === 'add' && 'ingredient' in s.of ? { ...s, amount: `${amount * 10} g` } : s,
    );
    return here.send(SHEET, { id, vessel, hob, steps: next }, { seen: versions.recipes.get(id) ?? 1 });
  },
  async 'a line nobody reads'(pick) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id, vessel, hob, steps } = oneOf(costing.state.recipes, pick);
    const next = [
      ...steps.slice(0, 1),
      { do: 'unread' as const, said: 'a pinch of something' },
      ...steps.slice(1),
    ];
    return here.send(SHEET, { id, vessel, hob, steps: next }, { seen: versions.recipes.get(id) ?? 1 });
  },
  async basis(pick) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id } = oneOf(costing.state.ingredients, pick);
    const by = oneOf(['latest', 'average', 'stock'] as const, pick);
    return here.send(
      BASIS,
      { id, by, days: '60', price: '', per: '1 kg' },
      { seen: versions.ingredients.get(id) ?? 1 },
    );
  },
  async pack(pick) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id } = oneOf(costing.state.ingredients, pick);
    return here.send(
      SETTING,
      { id, partPack: pick % 2 === 0 ? 'whole' : 'part' },
      { seen: versions.ingredients.get(id) ?? 1 },
    );
  },
  async count(pick, amount) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id } = oneOf(costing.state.ingredients, pick);
    return here.send(COUNT, { id, typed: `${amount} kg` }, { seen: versions.ingredients.get(id) ?? 1 });
  },
  async weighing(pick, amount) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const { id, ingredient } = oneOf(costing.state.articles, pick);
    return here.send(
      WEIGHING,
      { id: ingredient, article: id, typed: `${amount} kg` },
      { seen: versions.ingredients.get(ingredient) ?? 1 },
    );
  },
  async merge(pick) {
    const { costing, versions } = await one.costedKitchen(here.kitchenId);
    const [a, b] = [oneOf(costing.state.ingredients, pick), oneOf(costing.state.ingredients, pick + 5)];
    return here.send(MERGE, { id: a.id, into: b.id }, { seen: versions.ingredients.get(a.id) ?? 1 });
  },
  async apart() {
    const { costing } = await one.costedKitchen(here.kitchenId);
    const file = await here.read();
    const merged = file.ingredients.find((i) => i.mergedInto !== undefined);
    if (!merged) return costing;
    const { versions } = await other.standingKitchen(here.kitchenId);
    return here.send(APART, { id: merged.id }, { seen: versions.ingredients.get(merged.id) ?? 1 });
  },
  take: (pick) =>
    here.send(
      TAKE,
      { reference: oneOf(['chervil', 'tarragon', 'veal-bones', 'parsnip'], pick), name: `Taken ${pick}` },
      { seen: null },
    ),
};

/** Everything a costing says: each node of each layer, and why a cost is not whole. */
const told = (k: KitchenCosting) => ({
  costs: LAYERS.map((layer) =>
    k.layer(layer).nodes.map(({ key }) => [key, k.layer(layer).cost(key)] as const),
  ),
  gaps: k.graph.nodes
    .filter(({ key }) => k.graph.cost(key) === null)
    .map(({ key }) => [key, gapsOf(k, key).map((t) => t.message)]),
});

function expectSame(now: KitchenCosting, fromNothing: KitchenCosting): void {
  const [a, b] = [told(now), told(fromNothing)];
  expect(a.gaps).toEqual(b.gaps);
  for (const [i, layer] of b.costs.entries()) {
    expect(a.costs[i]?.map(([key]) => key)).toEqual(layer.map(([key]) => key));
    for (const [j, [key, want]] of layer.entries()) {
      const found = a.costs[i]?.[j]?.[1] ?? null;
      if (want === null || found === null || Math.abs(found - want) > 1e-9 * Math.max(1, Math.abs(want)))
        expect([key, found]).toEqual([key, want]);
    }
  }
}

test('two processes on one database say what a costing from nothing says, whoever edits and whoever looks', async () => {
  const edit = fc.tuple(
    fc.constantFrom(...Object.keys(EDITS)),
    fc.nat(400),
    fc.integer({ min: 1, max: 90 }),
    fc.boolean(),
  );
  let done = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(edit, { minLength: 3, maxLength: 6 }), async (edits) => {
      for (const [name, pick, amount, look] of edits) {
        const reply = (await EDITS[name]?.(pick, amount)) as { ok?: boolean };
        if (reply.ok) done += 1;
        // The other one has not looked at every revision: it catches up over several.
        if (look) await other.costedKitchen(here.kitchenId);
      }
      const fromNothing = costFile(await here.read(), DAY, CONSTANTS);
      for (const kitchen of [one, other, process()])
        expectSame((await kitchen.costedKitchen(here.kitchenId)).costing, fromNothing);
      const { supplies } = await other.pricedKitchen(here.kitchenId);
      // An average is summed in the order in which its receipts are read: the last bit is nobody's.
      for (const [id, { usablePerKg: want }] of fromNothing.supplies) {
        const found = supplies.get(id)?.usablePerKg;
        if (found === undefined || want === undefined) expect([id, found]).toEqual([id, want]);
        else expect(Math.abs(found - want)).toBeLessThanOrEqual(1e-9 * Math.max(1, want));
      }
    }),
    { numRuns: cases(20) },
  );
  // A good part of it was really done; of a few cases chance may have refused most.
  if (isFullRun) expect(done).toBeGreaterThan(20);
}, 300_000);

/** A price typed over for an article that its ingredient is costed from, whatever has been done before: it is not refused. */
async function dearer(by: number): Promise<string> {
  const { costing, versions } = await one.costedKitchen(here.kitchenId);
  const supply = [...costing.supplies.values()].find((s) => s.price?.basis.by === 'latest' && !s.comesOff);
  if (!supply?.price) throw new Error('nothing is bought here');
  const { id } = supply.price.article;
  const body = { article: id, row: supply.ingredient.id, typed: supply.price.packPrice.plus(by).toFixed(2) };
  const reply = await here.send(PRICE, body, { seen: versions.articles.get(id) ?? 1 });
  if (!reply.ok) throw new Error(reply.message);
  return supply.ingredient.id;
}

test('what stands in memory is brought up to date and not built again: pots and ingredients that have not moved are the same', async () => {
  const before = await one.costedKitchen(here.kitchenId);
  const id = await dearer(3);
  const after = await one.costedKitchen(here.kitchenId);
  expect(after.stood.revision).toBe(before.stood.revision + 1);
  for (const [of, { run: was }] of before.costing.recipes)
    expect(after.costing.recipes.get(of)?.run).toBe(was);
  const comesOff = (of: string | undefined): boolean =>
    of !== undefined &&
    (of === id || comesOff(after.costing.supplies.get(of)?.ingredient.comesOff?.ingredient));
  const moved = [...after.costing.supplies].filter(([of, s]) => before.costing.supplies.get(of) !== s);
  expect(moved.map(([of]) => of)).toContain(id);
  for (const [of] of moved) expect(comesOff(of)).toBe(true);
  // Asked again where nothing has moved, it is the very same.
  expect(await one.costedKitchen(here.kitchenId)).toBe(after);
});

test('everybody asks at once after an edit: it is worked out once', async () => {
  await dearer(4);
  const all = await Promise.all(Array.from({ length: 8 }, () => one.costedKitchen(here.kitchenId)));
  expect(new Set(all).size).toBe(1);
});

test('a zone that somebody changed is the zone of every process: the day is another at once', async () => {
  // At noon by UTC on the 14th it is the 15th on Kiritimati.
  expect((await other.costedKitchen(here.kitchenId)).costing.day).toBe('2026-03-14');
  await run(here.pool, 'UPDATE kitchen SET zone = ? WHERE id = ?', ['Pacific/Kiritimati', here.kitchenId]);
  expect((await other.costedKitchen(here.kitchenId)).costing.day).toBe('2026-03-15');
  await run(here.pool, 'UPDATE kitchen SET zone = ? WHERE id = ?', ['Europe/Dublin', here.kitchenId]);
});

test('how far a kitchen is that is costed from nothing can be asked meanwhile, and nothing is told once it is there', async () => {
  const fresh = process();
  const told: number[] = [];
  let there = false;
  const costing = fresh.costedKitchen(here.kitchenId).finally(() => (there = true));
  expect(await fresh.costedWithin(here.kitchenId, 0)).toBe(false);
  while (!there) {
    const at = fresh.progressOf(here.kitchenId);
    if (at) told.push(at.done / at.of);
    await new Promise((done) => setImmediate(done));
  }
  const { state } = (await costing).costing;
  expect(told.length).toBeGreaterThan(2);
  expect([...told].sort((a, b) => a - b)).toEqual(told);
  expect(Math.max(...told)).toBeGreaterThan(0.5);
  expect(fresh.progressOf(state.kitchen.id)).toBeUndefined();
  expect(await fresh.costedWithin(here.kitchenId, 5000)).toBe(true);
  // An edit is no start: nobody is told that the application has just been started because somebody typed a price.
  expect(await EDITS.price?.(3, 41)).toMatchObject({ ok: true });
  expect(await fresh.costedWithin(here.kitchenId, 0)).toBe(true);
});
