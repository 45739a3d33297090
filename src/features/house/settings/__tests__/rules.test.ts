import { kitchenAtWork, type AtWork } from '../../../../../tests/helpers/at-work';
import { settingsTyped } from '../typed';
import { SETTINGS, type SettingsTyped } from '../wire';

let here: AtWork;
let typed: SettingsTyped;
beforeAll(async () => {
  here = await kitchenAtWork();
  typed = settingsTyped((await here.read()).kitchen);
});
afterAll(() => here.end());

const keep = async (change: Partial<SettingsTyped>) =>
  here.send(SETTINGS, { ...typed, ...change }, await here.seen('kitchen', here.kitchenId));

test('what a house looks at and keeps to is kept as it is meant, and typed again it says the same', async () => {
  const own: Partial<SettingsTyped> = {
    shownIn: 'us',
    layers: ['hands'],
    strainers: 'Superbag 60 ml; cone  sieve 0.2 l',
    walls: '1.3 times',
    cooling: '5 °C within 6 h;21 °C in 120 min',
    losses: 'Banquet 6 %; à la carte 2.5%',
    weekdays: ['7', '1'],
    days: '2026-12-26, 2026-12-25,2026-12-25',
  };
  expect(await keep(own)).toMatchObject({ ok: true });
  const { kitchen } = await here.read();
  expect(kitchen).toMatchObject({
    shownIn: 'us',
    rules: {
      layers: ['hands'],
      strainers: [
        { name: 'superbag', clingsMl: 60 },
        { name: 'cone sieve', clingsMl: 200 },
      ],
      walls: 1.3,
      cooling: [
        { toC: 21, withinH: 2 },
        { toC: 5, withinH: 6 },
      ],
      serviceLoss: { banquet: 6, 'à la carte': 2.5 },
      closed: { weekdays: [1, 7], days: ['2026-12-25', '2026-12-26'] },
    },
  });
  const again = settingsTyped(kitchen);
  expect(again).toMatchObject({ cooling: '21 °C in 2 h; 5 °C in 6 h', days: '2026-12-25, 2026-12-26' });
  expect(await keep(again)).toMatchObject({ ok: true });
  expect((await here.read()).kitchen).toEqual(kitchen);
  // As it usually is, it says nothing of its own.
  expect(await keep({ cooling: '', warm: '', probe: '', night: '', walls: '' })).toMatchObject({ ok: true });
  const usual = (await here.read()).kitchen;
  expect([usual.rules, usual.shownIn]).toEqual([undefined, undefined]);
});

test.each([
  [{ cooling: 'cold quickly' }, 'cooling', /write it like “21 °C in 2 h”/],
  [{ cooling: '70 °C in 2 h' }, 'cooling', /between 0 and 60 °C, not to 70/],
  [{ cooling: '21 °C in 30 h' }, 'cooling', /within 0.1 to 24 h, not 30/],
  [
    { cooling: '21 °C in 6 h; 5 °C in 2 h' },
    'cooling',
    /5 °C within 2 h would be reached before a warmer limit/,
  ],
  [{ strainers: 'superbag' }, 'strainers', /“superbag” is not a strainer: write what it is called/],
  [{ strainers: 'bag 9 l' }, 'strainers', /9 l cannot stay in a strainer: at most 5 l/],
  [{ strainers: 'bag 9 ml; Bag 8 ml' }, 'strainers', /The bag is there twice/],
  [{ walls: 'lots' }, 'walls', /“lots” is not a number of times: write it like 1.3/],
  [{ walls: '12' }, 'walls', /12 times what is usual cannot stay on walls: from 0 to 10/],
  [{ losses: 'brunch 5 %' }, 'losses', /“brunch 5 %” is not a service loss: write it like “banquet 6 %”/],
  [{ losses: 'banquet 95 %' }, 'losses', /95 % cannot be lost in service: from 0 to 90 %/],
  [{ losses: 'staff 5 %; Staff 6 %' }, 'losses', /staff is there twice/],
  [{ days: '2026-12-25, Christmas' }, 'days', /“Christmas” is not a date/],
  [{ days: '2026-13-41' }, 'days', /“2026-13-41” is not a date/],
] as const)('%j is refused beside its field', async (change, path, message) => {
  expect(await keep(change)).toMatchObject({
    ok: false,
    path,
    message: expect.stringMatching(message) as string,
  });
});
