import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { costOfProduct, isRead } from '../../core/costing';
import { costedKitchen } from '../../server/kitchen';
import { NEW_SHEET } from '../../features/pot/wire';
import { ALLERGENS, FIRST_PRICE, INGREDIENT_AWAY, ONE_WEIGHS, OWN } from '../../features/buy/own/wire';
import { SUPPLIER, SUPPLIER_AWAY } from '../../features/buy/suppliers/wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const NONE = {
  per: '100 g' as const,
  energyKj: '',
  fat: '',
  carbohydrate: '',
  sugars: '',
  fibre: '',
  protein: '',
  salt: '',
  alcoholVolPct: '',
};
const own = (
  name: string,
  label: Partial<typeof NONE> = { fat: '11', carbohydrate: '4', sugars: '2', salt: '5.5' },
) => ({
  name,
  role: 'liquid' as const,
  label: { ...NONE, ...label },
  allergens: ['mustard'],
  eachUnit: 'each',
  eachWeighs: '',
  usable: '',
});

test('from nothing to a cost: an own ingredient, its first price from somebody new, and a pot that takes it', async () => {
  const made = await here.send(OWN, own('House mustard'));
  if (!made.ok) throw new Error(made.message);
  const priced = await here.send(FIRST_PRICE, {
    ingredient: made.value.id,
    supplier: { called: 'Harbour Dry' },
    pack: '2 x 1 kg',
    price: '12.40',
    eachWeighs: '',
  });
  expect(priced).toMatchObject({ ok: true });
  const sheet = await here.send(NEW_SHEET, {
    name: 'Mustard water',
    vessel: { like: 'Saucepan 20 cm' },
    hob: { like: 'Electric plate' },
    like: null,
    lines: '- 1 l water\n• 100 g house mustard\n\n',
  });
  if (!sheet.ok) throw new Error(sheet.message);
  expect(sheet.value.unread).toBe(0);
  const { costing } = await costedKitchen(here.kitchenId);
  // By hand: 100 g at 6.20 a kilo.
  expect(costOfProduct(costing, sheet.value.id).total).toBeCloseTo(0.62, 6);
  const { vessels, hobs, suppliers } = await here.read();
  expect(vessels.map((v) => v.name)).toContain('Saucepan 20 cm');
  expect(hobs.map((h) => h.name)).toContain('Electric plate');
  expect(suppliers.map((s) => s.name)).toContain('Harbour Dry');
});

test('every mistake is told with its field, the number and the limit, and nothing is written', async () => {
  const before = await here.read();
  const refused = async (typed: ReturnType<typeof own>) => here.send(OWN, typed);
  expect(await refused(own('Too much', { fat: '60', carbohydrate: '50', sugars: '1' }))).toMatchObject({
    path: 'label.fat',
    message: 'The table adds up to 110 g: at most 100 g are in 100 g.',
  });
  expect(await refused(own('Words', { fat: 'much' }))).toMatchObject({ path: 'label.fat' });
  expect(await refused({ ...own('x'.repeat(5000)) })).toMatchObject({
    path: 'name',
    message: 'A name has at most 120 characters; this has 5000.',
  });
  expect(await refused(own('butter'))).toMatchObject({ code: 'name-twice' });
  expect(await refused({ ...own('None of it'), usable: '0' })).toMatchObject({ path: 'usable' });
  const first = {
    ingredient: before.ingredients[0]!.id,
    supplier: { called: '' },
    pack: '5 kg',
    price: '3',
    eachWeighs: '',
  };
  expect(await here.send(FIRST_PRICE, first)).toMatchObject({ path: 'name', message: 'Who sells it?' });
  expect(await here.send(FIRST_PRICE, { ...first, supplier: { called: 'A' }, pack: 'a lot' })).toMatchObject({
    path: 'pack',
  });
  expect(await here.send(FIRST_PRICE, { ...first, supplier: { called: 'A' }, price: 'cheap' })).toMatchObject(
    { path: 'price' },
  );
  expect(await here.send(SUPPLIER, { id: null, name: 'B', priceList: 'ftp:list' })).toMatchObject({
    path: 'priceList',
  });
  expect(
    await here.send(ONE_WEIGHS, { id: before.ingredients[0]!.id, unit: 'each', typed: '0 g' }),
  ).toMatchObject({
    code: 'weight-out-of-range',
  });
  expect((await here.read()).ingredients).toEqual(before.ingredients);
  expect((await here.read()).suppliers).toEqual(before.suppliers);
});

test('before it is archived its uses are named; another takes its place everywhere, and it comes back', async () => {
  const { ingredients } = here.file;
  const [butter, other] = [
    ingredients.find((i) => i.name === 'Butter')!,
    ingredients.find((i) => i.name !== 'Butter' && i.role === 'liquid')!,
  ];
  const answer = await here.send(INGREDIENT_AWAY, { id: butter.id, away: true, instead: null });
  expect(answer).toMatchObject({ code: 'in-use' });
  expect((answer as unknown as { theirs: { users: string[] } }).theirs.users.length).toBeGreaterThan(1);
  expect(await here.send(INGREDIENT_AWAY, { id: butter.id, away: true, instead: other.id })).toMatchObject({
    ok: true,
  });
  const after = await here.read();
  expect(JSON.stringify([after.recipes, after.plates, after.ingredients])).not.toContain(butter.id);
  expect(after.articles.some((a) => a.ingredient === butter.id)).toBe(false);
  expect(await here.send(INGREDIENT_AWAY, { id: butter.id, away: false, instead: null })).toMatchObject({
    ok: true,
  });
  const back = await here.read();
  expect(back.ingredients.map((i) => i.id)).toContain(butter.id);
  expect(back.articles.filter((a) => a.ingredient === butter.id)).toEqual(
    here.file.articles.filter((a) => a.ingredient === butter.id),
  );
});

test('a supplier of whom something is bought stays, and it is said what', async () => {
  const id = here.file.articles[0]!.supplier;
  expect(await here.send(SUPPLIER_AWAY, { id, away: true })).toMatchObject({
    code: 'in-use',
    message: expect.stringMatching(/bought from/) as string,
  });
});

test('what an ingredient carries is not known until somebody has read its label; read, it stands in what is made from it', async () => {
  const made = await here.send(OWN, { ...own('Fish sauce of ours'), allergens: [] });
  if (!made.ok) throw new Error(made.message);
  const { id } = made.value;
  const found = async () => (await here.read()).ingredients.find((i) => i.id === id);
  expect(await found()).toMatchObject({ allergens: [] });
  expect(isRead((await found()) ?? { allergens: ['x'] })).toBe(false);
  expect(
    await here.send(ALLERGENS, { id, allergens: ['fish', 'fish', ' soya '] }, { seen: 1 }),
  ).toMatchObject({
    ok: true,
  });
  expect(await found()).toMatchObject({ allergens: ['fish', 'soya'], allergensRead: true });
  // At an older version somebody else's reading is not written over.
  expect(await here.send(ALLERGENS, { id, allergens: [] }, { seen: 1 })).toMatchObject({
    ok: false,
    code: 'stale',
    theirs: { allergens: ['fish', 'soya'] },
  });
  // That it names none is a reading too.
  expect(await here.send(ALLERGENS, { id, allergens: [] }, { seen: 2 })).toMatchObject({ ok: true });
  expect(isRead((await found()) ?? { allergens: [] })).toBe(true);
  expect(
    await here.send(ALLERGENS, { id: '019cabd9-0000-7000-8000-00000000ffff', allergens: [] }),
  ).toMatchObject({
    ok: false,
    code: 'gone',
  });
});
