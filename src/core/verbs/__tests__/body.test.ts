import { stuffOf } from '../../kitchen-file';
import { WATER, type Stuff } from '../../larder';
import { adopted, CONSTANTS, referenceLarder } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import { runPot, type PotStep } from '..';

/* Things everybody knows, and what the model reads of each (docs/model.md, "Body": the same table). */
const row = (name: string): Stuff => {
  const found = [...referenceLarder().values()].find((r) => r.name === name);
  const read = found && stuffOf(adopted(found, found.id, '2026-01-01', '2026-01-01T00:00:00.000Z'));
  if (!read?.ok) throw new Error(`${name} is not in the larder`);
  return read.value;
};
const add = (what: Stuff | string, g: number): PotStep => ({
  do: 'add',
  what: of(typeof what === 'string' ? row(what) : what),
  g,
});
const roux = (flour: number): PotStep => ({
  do: 'thicken',
  what: of(stuff('Roux', 'liquid', { water: 0.14, fat: 0.41, starch: 0.36 }, { binding: 0.5 })),
  g: flour * 2,
});
const blend: PotStep = { do: 'puree' };
const reduce = (share: number): PotStep => ({
  do: 'reduce',
  heat: 'simmer',
  lid: 'off',
  to: { until: 'share', value: share },
});
/** Body of what steps make, 1 coats a spoon. */
function bodyOf(...steps: PotStep[]): number {
  const run = runPot({ vessel: round(36, 36, 36, 1), hob: hob(), steps }, CONSTANTS);
  if (run.refused) throw new Error(run.refused.trouble.message);
  return run.rows[run.rows.length - 1]?.body ?? NaN;
}
const gelatin = (share: number): Stuff => stuff('Jus', 'liquid', { water: 1 - share, gelatin: share });

const anchors: readonly (readonly [string, number, number, () => number])[] = [
  ['a clear consommé, under 1 % gelatin', 0, 0.12, () => bodyOf(add(gelatin(0.008), 1000))],
  ['whole milk', 0, 0.06, () => bodyOf(add('Whole milk', 1000))],
  ['single cream', 0.08, 0.2, () => bodyOf(add('Cream, 18% fat', 1000))],
  ['whipping cream', 0.22, 0.4, () => bodyOf(add('Cream, 35% fat whipping', 1000))],
  ['double cream', 0.4, 0.65, () => bodyOf(add('Cream, 48% fat double', 1000))],
  [
    'whipping cream reduced by half',
    1.2,
    2.6,
    () => bodyOf(add('Cream, 35% fat whipping', 1000), reduce(0.5)),
  ],
  [
    'a butter sauce, 60 % fat',
    0.7,
    1.1,
    () => {
      const wine = stuff('Reduction', 'liquid', { water: 0.96, sugar: 0.02 });
      return bodyOf(add(wine, 100), { do: 'mount', what: of(row('Butter, unsalted')), g: 275 });
    },
  ],
  ['a jus with 6 % gelatin', 0.65, 0.85, () => bodyOf(add(gelatin(0.06), 1000))],
  ['a glaze with 20 % gelatin', 2, 3, () => bodyOf(add(gelatin(0.2), 1000))],
  ['a thin soup, 22 g flour a litre', 0.28, 0.38, () => bodyOf(add(WATER, 970), roux(22))],
  ['a coating sauce, 66 g flour a litre', 0.9, 1.1, () => bodyOf(add(WATER, 900), roux(66))],
  ['tomato passata', 0.5, 0.8, () => bodyOf(add('Tomato passata', 1000))],
  ['tomato passata reduced to half', 1.1, 1.6, () => bodyOf(add('Tomato passata', 1000), reduce(0.5))],
  ['tomato paste, double', 2.3, 3.5, () => bodyOf(add('Tomato paste, double concentrate', 1000))],
  [
    'carrot soup, 900 g carrots in 1 l water',
    0.45,
    0.75,
    () => bodyOf(add(WATER, 1000), add('Carrot', 900), blend),
  ],
  [
    'pea soup, 600 g peas in 1 l stock, blended and sieved',
    0.7,
    1.3,
    () => bodyOf(add(WATER, 1000), add('Pea, frozen', 600), blend, { do: 'sieve' }),
  ],
  [
    'avocado and cucumber, 1 to 2',
    0.6,
    1.1,
    () => bodyOf(add(WATER, 300), add('Cucumber', 700), add('Avocado', 500), blend),
  ],
  [
    'potato and leek soup, 300 g and 300 g in 1 l',
    0.5,
    1.1,
    () => bodyOf(add(WATER, 1000), add('Potato, floury', 300), add('Leek', 300), blend),
  ],
  [
    'mushroom soup, 200 g in 1 l',
    0.08,
    0.25,
    () => bodyOf(add(WATER, 1000), add('White button mushroom', 200), blend),
  ],
  [
    'a cheese sauce, 60 g flour a litre and 25 % hard cheese',
    1.4,
    2.4,
    () => bodyOf(add('Whole milk', 660), roux(60), add('Hard aged grating cheese', 250)),
  ],
];

test.each(anchors)('%s reads between %f and %f', (_name, low, high, reading) => {
  const got = reading();
  expect(got).toBeGreaterThanOrEqual(low);
  expect(got).toBeLessThanOrEqual(high);
});
