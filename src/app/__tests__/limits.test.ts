import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { BATCHES, TAKEN } from '../../features/trim/flow/wire';
import { MENU } from '../../features/pour/menus/wire';

/* Figures at the edge of what a write takes, and one beyond it. */

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

test('how much of the trim is taken is kept to the point; all of it is nothing to keep', async () => {
  const leek = here.file.ingredients.find((i) => i.name === 'Leek')!;
  const taken = async (pct: number) => {
    const how = await here.seen('ingredient', leek.id);
    expect(await here.send(TAKEN, { id: leek.id, what: 'stock trim', pct }, how)).toMatchObject({ ok: true });
    return (await here.read()).ingredients.find((i) => i.id === leek.id)?.trim?.takenPct;
  };
  expect(await taken(60)).toBe(60);
  expect(await taken(99)).toBe(99);
  expect(await taken(100)).toBeUndefined();
});

test('a menu sells up to a million of a dish, and batches of a week have their limit: both said with the number', async () => {
  const menu = here.file.menus[0]!;
  const plate = menu.plates[0]!.plate;
  const sells = async (sold: string) =>
    here.send(
      MENU,
      { id: menu.id, name: menu.name, mixIn: menu.mixIn, plates: [{ plate, sold }] },
      await here.seen('menu', menu.id),
    );
  expect(await sells('1000000')).toMatchObject({ ok: true });
  const beyond = await sells('1000001');
  expect(!beyond.ok && beyond.message).toMatch(/1000001 sold cannot be: from 0 to 1000000/);
  expect((await sells('-1')).ok).toBe(false);
  const recipe = here.file.recipes[0]!;
  const often = await here.send(
    BATCHES,
    { id: recipe.id, typed: '-1' },
    await here.seen('recipe', recipe.id),
  );
  expect(!often.ok && often.message).toMatch(/between 0 and \d+/);
});
