import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { readStep, type PotStep, tryResolve } from '../../verbs';
import { costFile } from '..';

const file = demoKitchen();
const { shelf } = costFile(file, file.referenceDay, CONSTANTS);
function resolved(said: string): PotStep {
  const step = readStep(said, file);
  if (!step.ok) throw new Error(`${said}: ${step.trouble.message}`);
  const done = tryResolve(step.value, shelf);
  if (!done.ok) throw new Error(`${said}: ${done.trouble.message}`);
  return done.value;
}

/* Every figure of a step, said as an American kitchen says it, against the same in metric. */
describe('steps in US units', () => {
  test.each<[string, string, (s: never) => number, number]>([
    ['1 lb 4 oz onion', '567 g onion', (s: { g: number }) => s.g, 3],
    ['2 us qt white wine', '1.8927 l white wine', (s: { g: number }) => s.g, 4],
    ['water 4 us gal', 'water 15.14 l', (s: { to: { value: number } }) => s.to.value, 3],
    ['water to 8 in', 'water to 20.32 cm', (s: { to: { value: number } }) => s.to.value, 6],
    ['bring to 195 °F', 'bring to 90.56 °C', (s: { celsius: number }) => s.celsius, 3],
    ['2 us cups whipping cream', '473.18 ml whipping cream', (s: { g: number }) => s.g, 4],
    ['season with 1 us tsp salt', 'season with 4.93 ml salt', (s: { g: number }) => s.g, 3],
    ['reduce to 1 us pint', 'reduce to 473.18 ml', (s: { to: { value: number } }) => s.to.value, 3],
    ['skim 6 us fl oz', 'skim 177.44 ml', (s: { ml: number }) => s.ml, 3],
    ['portion 8 us fl oz', 'portion 236.59 ml', (s: { ml: number }) => s.ml, 3],
    ['chill to 40 °F', 'chill to 4.44 °C', (s: { celsius: number }) => s.celsius, 2],
  ] as never)('%s is %s', (us, metric, of, digits) => {
    const [a, b] = [of(resolved(us) as never), of(resolved(metric) as never)];
    expect(a / b).toBeCloseTo(1, digits);
    expect(resolved(us).do).toBe(resolved(metric).do);
  });
});
