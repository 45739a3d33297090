import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { costOfProduct } from '../../core/costing';
import { namesIn } from '../../core/kitchen-file';
import { readStep, writeStep } from '../../core/verbs';
import { settingsTyped } from '../../features/house/settings/typed';
import { SETTINGS } from '../../features/house/settings/wire';
import { SHEET } from '../../features/pot/wire';
import { costedKitchen } from '../../server/kitchen';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const keep = async (strainers: string) =>
  here.send(
    SETTINGS,
    { ...settingsTyped((await here.read()).kitchen), strainers },
    await here.seen('kitchen', here.kitchenId),
  );

test('a strainer of the house’s own is said on a sheet, keeps what it is said to keep, and stays while a sheet needs it', async () => {
  expect(await keep('superbag 0 ml')).toMatchObject({ ok: true });
  const recipe = here.file.recipes.find((r) =>
    r.steps.some((s) => s.do === 'strain' && s.through === 'cone sieve'),
  );
  if (!recipe) throw new Error('nothing is strained in the demo');
  const { costing } = await costedKitchen(here.kitchenId);
  const names = namesIn(costing.state);
  const line = readStep('strain through a superbag, pressed', names);
  expect(line).toMatchObject({ ok: true, value: { do: 'strain', through: 'superbag' } });
  expect(line.ok && writeStep(line.value, names)).toBe('strain through a superbag, pressed');
  expect(readStep('strain through a moonbag', names)).toMatchObject({
    ok: false,
    trouble: { message: expect.stringContaining('cloth, superbag') as string },
  });
  // What stayed in the cone sieve stays in the pot.
  const before = costOfProduct(costing, recipe.id).ml;
  const steps = recipe.steps.map((s) => (s.do === 'strain' ? { ...s, through: 'superbag' } : s));
  const { id, vessel, hob } = recipe;
  const sheet = await here.send(SHEET, { id, vessel, hob, steps }, await here.seen('recipe', id));
  expect(sheet).toMatchObject({ ok: true });
  expect(costOfProduct((await costedKitchen(here.kitchenId)).costing, id).ml).toBeGreaterThan(before);
  expect(await keep('')).toMatchObject({
    ok: false,
    path: 'strainers',
    message: `${recipe.name} is strained through the superbag: write that line differently first.`,
  });
});
