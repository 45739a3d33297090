import fc from 'fast-check';
import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { PRICE, YIELD } from '../../features/buy/wire';
import { INGREDIENT_NAMED } from '../../features/buy/own/wire';
import { SUPPLIER } from '../../features/buy/suppliers/wire';
import { MEASURE, TAKE } from '../../features/buy/larder/wire';
import { referenceLarder } from '../../core/reference';
import { costOfPlate, costOfProduct } from '../../core/costing';
import { costedKitchen } from '../../server/kitchen';
import { VESSEL } from '../../features/house/stove/wire';
import { NEW_SHEET, SHEET_NAMED } from '../../features/pot/wire';
import { NEW_PLATE, PLATE_HEAD } from '../../features/pour/wire';
import { changesPage } from '../../features/changes/queries';
import { counting } from '../../features/changes/effective';
import { RESTORE, UNDO } from '../../features/changes/wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

/** What stands in the kitchen and what everything costs: what prices and yields there were before stays written down. */
async function stands() {
  const { costing } = await costedKitchen(here.kitchenId);
  const { state } = costing;
  return {
    names: state.ingredients.map((i) => i.name),
    recipes: state.recipes,
    plates: state.plates,
    vessels: state.vessels,
    suppliers: state.suppliers,
    measures: state.measures.map(({ name, amount }) => ({ name, amount })),
    costs: [
      ...state.recipes.map((r) => costOfProduct(costing, r.id).perL?.toFixed(6)),
      ...state.plates.map((p) => costOfPlate(costing, p.id).cost?.toFixed(6)),
    ],
  };
}

const versionOf = async (
  list: 'recipes' | 'plates' | 'ingredients' | 'articles',
  id: string,
): Promise<number> => (await costedKitchen(here.kitchenId)).versions[list].get(id) ?? 1;

let count = 0;
const fresh = (what: string): string => `${what} ${(count += 1)}`;

/** Edits of many kinds, each of something at random. */
const EDITS: Readonly<Record<string, (n: number) => Promise<{ ok: boolean; message?: string }>>> = {
  async price(n) {
    const { supplies } = (await costedKitchen(here.kitchenId)).costing;
    const priced = [...supplies.values()].filter(
      (s) => s.price && s.ingredient.name.startsWith('V') === false,
    );
    const supply = priced[n % priced.length]!;
    const id = supply.price!.article.id;
    const typed = (Number(supply.price!.packPrice) * (1 + (n % 7) / 50) + 0.01).toFixed(2);
    return here.send(
      PRICE,
      { article: id, row: supply.ingredient.id, typed },
      { seen: await versionOf('articles', id) },
    );
  },
  async yield(n) {
    const list = (await costedKitchen(here.kitchenId)).costing.state.ingredients.filter((i) => i.reference);
    const { id } = list[n % list.length]!;
    const answer = await here.send(
      YIELD,
      { ingredient: id, typed: String(40 + (n % 30)) },
      { seen: await versionOf('ingredients', id) },
    );
    return answer;
  },
  async recipe(n) {
    const { recipes } = await here.read();
    const { id } = recipes[n % recipes.length]!;
    return here.send(
      SHEET_NAMED,
      { id, name: fresh('Pot'), note: 'tried' },
      { seen: await versionOf('recipes', id) },
    );
  },
  async copy(n) {
    const { recipes } = await here.read();
    const like = recipes[n % recipes.length]!;
    return here.send(NEW_SHEET, {
      name: fresh('Copy'),
      vessel: { own: like.vessel },
      hob: { own: like.hob },
      like: like.id,
      lines: '',
    });
  },
  async plate(n) {
    const { plates } = await here.read();
    const { id } = plates[n % plates.length]!;
    return here.send(
      PLATE_HEAD,
      { id, name: fresh('Dish'), tax: '9', target: String(20 + (n % 20)) },
      { seen: await versionOf('plates', id) },
    );
  },
  newPlate: () => here.send(NEW_PLATE, { name: fresh('New dish'), like: null }),
  async name(n) {
    const { ingredients } = await here.read();
    const { id } = ingredients[n % ingredients.length]!;
    return here.send(
      INGREDIENT_NAMED,
      { id, name: fresh('Thing') },
      { seen: await versionOf('ingredients', id) },
    );
  },
  async take(n) {
    const taken = new Set((await here.read()).ingredients.map((i) => i.reference));
    const free = [...referenceLarder().values()].filter((r) => !taken.has(r.id));
    const row = free[n % free.length]!;
    return here.send(TAKE, { reference: row.id, name: fresh('Taken') });
  },
  measure: () =>
    here.send(MEASURE, { name: `jug${'abcdefghijklmnopqrstuvwxyz'[(count += 1) % 26]}x`, amount: '1.5 l' }),
  vessel: (n) =>
    here.send(VESSEL, {
      id: null,
      name: fresh('Vessel'),
      shape: 'round',
      base: String(20 + (n % 20)),
      top: '',
      length: '',
      width: '',
      height: '20',
      fill: '85',
      empty: '',
    }),
  supplier: () => here.send(SUPPLIER, { id: null, name: fresh('Supplier'), priceList: '' }),
};

test('whatever was edited, all of it taken back one by one leaves what stood there; and done again it is as it was', async () => {
  const edits = fc.array(fc.tuple(fc.constantFrom(...Object.keys(EDITS)), fc.nat(1000)), {
    minLength: 1,
    maxLength: 7,
  });
  await fc.assert(
    fc.asyncProperty(edits, async (list) => {
      const before = await stands();
      let done = 0;
      for (const [kind, n] of list) if ((await EDITS[kind]!(n)).ok) done += 1;
      const after = await stands();
      for (let i = 0; i < done; i += 1)
        expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
      expect(await stands()).toEqual(before);
      for (let i = 0; i < done; i += 1)
        expect(await here.send(UNDO, { change: null, again: true })).toMatchObject({ ok: true });
      expect(await stands()).toEqual(after);
      for (let i = 0; i < done; i += 1)
        expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
      expect(await stands()).toEqual(before);
    }),
    { numRuns: 8 },
  );
});

test('what somebody has built on is not taken back, and it is said on what; nor is another’s', async () => {
  const made = await here.send(NEW_SHEET, {
    name: 'Base of it all',
    vessel: { own: here.file.vessels[0]!.id },
    hob: { own: here.file.hobs[0]!.id },
    like: null,
    lines: '2 l water',
  });
  if (!made.ok) throw new Error(made.message);
  const { id } = made.value;
  const change = (await changesPage(here.as('manager'), { of: id })).rows[0]!.id;
  const daughter = await here.send(NEW_SHEET, {
    name: 'Made from it',
    vessel: { own: here.file.vessels[0]!.id },
    hob: { own: here.file.hobs[0]!.id },
    like: null,
    lines: '1 l Base of it all\nreduce by half',
  });
  expect(daughter).toMatchObject({ ok: true, value: { unread: 0 } });
  expect(await here.send(UNDO, { change, again: false })).toMatchObject({
    code: 'cannot-undo',
    message: 'Made from it has been built on this since: undo that first.',
  });
  await here.send(SHEET_NAMED, { id, name: 'Base called otherwise', note: '' });
  expect(await here.send(UNDO, { change, again: false })).toMatchObject({
    code: 'built-on',
    message: expect.stringMatching(
      /^You have built on this since, at \d\d:\d\d: .*called Base called otherwise/,
    ) as string,
  });
  expect(await here.send(UNDO, { change, again: false }, { role: 'cook' })).toMatchObject({
    code: 'not-own',
  });
  expect(await here.send(UNDO, { change: null, again: false }, { role: 'reader' })).toMatchObject({
    code: 'not-allowed',
  });
});

test('a sheet stands again as it stood after any of its changes, and the history says who, what from and what to', async () => {
  const recipe = here.file.recipes[0]!;
  const seen = async (): Promise<number> => versionOf('recipes', recipe.id);
  await here.send(SHEET_NAMED, { id: recipe.id, name: 'First name', note: '' }, { seen: await seen() });
  await here.send(SHEET_NAMED, { id: recipe.id, name: 'Second name', note: '' }, { seen: await seen() });
  const { rows } = await changesPage(here.as('manager'), { of: recipe.id });
  expect(rows[0]).toMatchObject({
    words: ['Second name: called Second name, not First name'],
    undone: false,
    mayUndo: true,
  });
  const first = rows.find((r) => r.words[0]?.includes('called First name'))!;
  expect(await here.send(RESTORE, { change: first.restores! })).toMatchObject({ ok: true });
  expect((await here.read()).recipes.find((r) => r.id === recipe.id)?.name).toBe('First name');
  expect((await changesPage(here.as('manager'), { of: recipe.id })).rows).toHaveLength(rows.length + 1);
  await here.send(
    SHEET_NAMED,
    { id: recipe.id, name: recipe.name, note: recipe.note ?? '' },
    { seen: await seen() },
  );
});

describe('which changes count', () => {
  const link = (id: string, undoes: string | null = null) => ({ id, undoes });
  test('one taken back does not, until the taking back is taken back', () => {
    expect([...counting([link('a'), link('b', 'a')])]).toEqual(['b']);
    expect([...counting([link('a'), link('b', 'a'), link('c', 'b')])]).toEqual(['a', 'c']);
    expect([...counting([link('a'), link('b', 'a'), link('c', 'b'), link('d', 'c')])]).toEqual(['b', 'd']);
  });
});
