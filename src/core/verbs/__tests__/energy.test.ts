import { CONSTANTS } from '../../reference';
import worked from '../../testing/worked-examples.json';
import { hob, of, round, stuff } from '../../testing/stuff';
import { wettedAreaM2, type PotRun } from '../../pot';
import { runPot, type PotStep } from '..';

const water = stuff('Water', 'liquid', { water: 1 });
const run = (steps: PotStep[], c = CONSTANTS, efficiency?: number): PotRun =>
  runPot({ vessel: round(36, 36, 36), hob: { ...hob(), efficiency }, steps }, c);
const add = (g: number): PotStep => ({ do: 'add', what: of(water), g });
const kWh = (r: PotRun): number => r.rows.reduce((sum, row) => sum + row.energy.kWh, 0);

test('the worked example: so much water evaporated, so much warmed, over an efficiency, at a tariff', () => {
  const { given, expect: want } = worked.cases.find((c) => c.id === 'energy') as unknown as {
    given: Record<string, number>;
    expect: Record<string, number>;
  };
  const c = {
    ...CONSTANTS,
    addedCelsius: 100 - (given.by_c as number),
    wallLossKwPerM2: 0,
    heats: { ...CONSTANTS.heats, 'brisk boil': { rate: 22, celsius: 100 } },
  };
  const warm = (given.warmed_kg as number) * 1000;
  const left = warm - (given.evaporated_kg as number) * 1000;
  const r = run(
    [add(warm), { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'ml', value: left / 0.9982 } }],
    c,
    given.efficiency,
  );
  expect(r.rows[1]?.lost.evaporated).toBeCloseTo(given.evaporated_kg! * 1000, 3);
  expect(kWh(r)).toBeCloseTo(want.hob_kwh as number, 4);
  expect(kWh(r) * (given.tariff as number)).toBeCloseTo(want.cost as number, 4);
});

test('a wall gives heat to the air for as long as the pot stands on the hob', () => {
  const steps: PotStep[] = [add(10_000), { do: 'cook', heat: 'simmer', hours: 2, lid: 'on' }];
  const still = { ...CONSTANTS, wallLossKwPerM2: 0 };
  const lost = (kWh(run(steps)) - kWh(run(steps, still))) * CONSTANTS.efficiency.electricity;
  const area = wettedAreaM2(round(36, 36, 36), 10_000 / 0.9982 / (Math.PI * 18 * 18));
  expect(lost / (CONSTANTS.wallLossKwPerM2 * area * 2)).toBeCloseTo(1, 1);
});

test('longer on the hob is never cheaper, and a better hob always is', () => {
  const cooked = (hours: number) => [add(8000), { do: 'cook', heat: 'simmer', hours, lid: 'off' } as PotStep];
  for (const hours of [0.2, 1, 3])
    expect(kWh(run(cooked(hours + 0.5)))).toBeGreaterThan(kWh(run(cooked(hours))));
  expect(kWh(run(cooked(1), CONSTANTS, 0.9))).toBeLessThan(kWh(run(cooked(1), CONSTANTS, 0.4)));
});

test('browning takes the heat of its vapour and of what is warmed; chilling takes none', () => {
  const bones = stuff('Bones', 'piece', { water: 0.5 });
  const r = run([
    { do: 'add', what: of(bones), g: 8000 },
    { do: 'brown', vapour: 0.18, fatRunOff: 0, hours: 1 },
    { do: 'water', to: { by: 'ml', value: 4000 } },
    { do: 'bring', celsius: 90 },
    { do: 'chill', celsius: 4 },
  ]);
  // 8 kg × 3.3 × 85 K + 1.44 kg × 2257 kJ, over 3600 and the plate's efficiency.
  expect((r.rows[1]?.energy.kWh ?? 0) * CONSTANTS.efficiency.electricity).toBeCloseTo(
    (8 * 3.3 * 85 + 1.44 * 2257) / 3600,
    6,
  );
  expect(r.rows[4]?.energy.kWh).toBe(0);
});

test('hands: what is usual for a step unless it is told; a roux is stirred for as long as it cooks', () => {
  const flour = stuff('Flour', 'liquid', { water: 0.12, starch: 0.7 }, { binding: 1 });
  const fat = stuff('Fat', 'liquid', { fat: 1 });
  const r = run([
    { ...add(1), what: of(fat), g: 100 } as PotStep,
    { do: 'add', what: of(flour), g: 100, hands: 0.5 },
    { do: 'roux', to: 'blond', hours: 0.2 },
    { do: 'add', what: of(water), g: 1000, hands: 0 },
  ]);
  const { fixed, perKg } = CONSTANTS.hands['add']!;
  const shared = (CONSTANTS.sharedHands.perL * r.product!.ml) / 1000;
  const hours = r.rows.map((row) => row.handsHours);
  expect(hours[0]).toBeCloseTo(fixed + perKg * 0.1 + shared, 12);
  expect(hours.slice(1)).toEqual([0.5, 0.2, 0]);
});

test('hands grow with the batch and shrink to what one small pan takes', () => {
  const pan = (k: number) =>
    run([
      { ...add(1), what: of(water), g: 60 * k } as PotStep,
      { do: 'reduce', heat: 'hard boil', lid: 'off', to: { until: 'share', value: 0.75 } },
      { do: 'strain', pressed: false, through: 'fine mesh' },
      { do: 'season', what: of(stuff('Salt', 'liquid', { salt: 1 })), g: 0.4 * k },
    ]).rows.reduce((h, row) => h + row.handsHours, 0) * 60;
  // A sauce of 45 ml: two minutes and not the better part of an hour.
  expect(pan(1)).toBeGreaterThan(1);
  expect(pan(1)).toBeLessThan(3);
  expect(pan(300)).toBeGreaterThan(5 * pan(1));
  expect(pan(300)).toBeLessThan(60 * pan(1));
});
