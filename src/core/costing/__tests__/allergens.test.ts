import { costFile } from '..';
import { carriedIn, isRead } from '../allergens';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { SIXTY, largeKitchen } from '../../testing/large-kitchen';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';

const DAY = '2026-03-14';
const sources = (carries: ReturnType<typeof carriedIn>, key: string, allergen: string): string[] => [
  ...(carries.get(key)?.allergens.get(allergen) ?? []),
];

test('what bones carry is in the stock, the sauce and the dish, and says so by the bones', () => {
  const costing = costFile(
    smallKitchen((k) => {
      Object.assign(k.ingredients.find((i) => i.id === SMALL.bones) ?? {}, { allergens: ['celery'] });
    }),
    DAY,
    CONSTANTS,
  );
  const carries = carriedIn(costing);
  for (const key of [`product:${SMALL.stock}`, `product:${SMALL.sauce}`, `plate:${SMALL.plate}`])
    expect(sources(carries, key, 'celery')).toEqual([SMALL.bones]);
});

test('an ingredient that names none is known once its label has been read, and passes on that it is not until then', () => {
  const kitchen = (read: boolean | undefined) =>
    carriedIn(
      costFile(
        smallKitchen((k) => {
          for (const i of k.ingredients) Object.assign(i, { allergensRead: true });
          Object.assign(k.ingredients.find((i) => i.id === SMALL.salt) ?? {}, { allergensRead: read });
        }),
        DAY,
        CONSTANTS,
      ),
    );
  expect([...(kitchen(undefined).get(`plate:${SMALL.plate}`)?.unread ?? [])]).toEqual([SMALL.salt]);
  expect([...(kitchen(false).get(`plate:${SMALL.plate}`)?.unread ?? [])]).toEqual([SMALL.salt]);
  expect([...(kitchen(true).get(`plate:${SMALL.plate}`)?.unread ?? [])]).toEqual([]);
  expect(isRead({ allergens: [], allergensRead: undefined, reference: 'x' })).toBe(true);
});

test.each([
  ['the demo', demoKitchen()],
  ['a house of sixty dishes', largeKitchen(SIXTY)],
])(
  'in %s every allergen that a pot’s run finds is named with where it comes from, and labels only add',
  (_name, file) => {
    const costing = costFile(file, file.referenceDay, CONSTANTS);
    const carries = carriedIn(costing);
    let found = 0;
    for (const [id, { run }] of costing.recipes)
      for (const allergen of run.product?.allergens ?? []) {
        found += 1;
        expect(sources(carries, `product:${id}`, allergen).length).toBeGreaterThan(0);
      }
    expect(found).toBeGreaterThan(20);
  },
);

test('what a label of an article adds counts, though the ingredient does not name it', () => {
  const file = demoKitchen();
  const bones = file.ingredients.find((i) => i.name === 'Venison bones');
  const article = file.articles.find((a) => a.ingredient === bones?.id);
  if (!bones || !article) throw new Error('the demo has bones');
  article.label = { ...article.label, allergens: ['mustard'] };
  const carries = carriedIn(costFile(file, file.referenceDay, CONSTANTS));
  const loin = file.plates.find((p) => p.name.startsWith('Venison loin'));
  expect(sources(carries, `plate:${loin?.id}`, 'mustard')).toEqual([bones.id]);
});

test('a line that nobody understands leaves the pot, its daughters and the dish unsure, not free of anything', () => {
  const costing = costFile(
    smallKitchen((k) => {
      k.recipes[0]?.steps.push({ do: 'unread', said: 'a splash of the brown stuff' });
    }),
    DAY,
    CONSTANTS,
  );
  const carries = carriedIn(costing);
  for (const key of [`product:${SMALL.stock}`, `product:${SMALL.sauce}`, `plate:${SMALL.plate}`])
    expect([...(carries.get(key)?.unsure ?? [])]).toEqual([SMALL.stock]);
});
