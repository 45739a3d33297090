import { readKitchen } from '../../kitchen-file';
import { demoKitchen } from '../../testing/demo';
import { CONSTANTS } from '../../reference';
import { costFile, costOfPlate } from '..';

/* A count is of the thing as bought: what is cut off it is paid for and does not go in. */
const file = demoKitchen();
const day = '2026-03-14';
type Demo = typeof file;

/** The demo with a sheet of one line and a plate of one line of an ingredient. */
function withLine(of: Demo['plates'][number]['lines'][number]['of'], amount: string): Demo {
  const recipe = {
    ...(file.recipes[0] as Demo['recipes'][number]),
    id: '019cabd9-0000-7000-8000-000000000001',
  };
  const plate = { ...(file.plates[0] as Demo['plates'][number]), id: '019cabd9-0000-7000-8000-000000000002' };
  return {
    ...file,
    recipes: [...file.recipes, { ...recipe, name: 'Counted', steps: [{ do: 'add', of, amount }] }],
    plates: [...file.plates, { ...plate, name: 'Counted dish', lines: [{ of, amount }] }],
  };
}
function costed(kitchen: Demo) {
  const read = readKitchen(JSON.parse(JSON.stringify(kitchen)));
  if (!read.ok) throw new Error(read.mistakes[0]?.message);
  const costing = costFile(read.file, day, CONSTANTS);
  return {
    g: costing.recipes.get('019cabd9-0000-7000-8000-000000000001')?.run?.inputs[0]?.g ?? NaN,
    plate: costOfPlate(costing, '019cabd9-0000-7000-8000-000000000002').cost ?? NaN,
    supply: (id: string) => costing.supplies.get(id),
  };
}
const crab = file.ingredients.find((i) => i.name === 'Brown crab, live');
const each = crab?.eachG ?? NaN;

describe('a count is of the thing as bought', () => {
  test('two live crabs cost what two live crabs cost, and their usable part goes in', () => {
    const { g, plate, supply } = costed(withLine({ ingredient: crab?.id ?? '' }, '2 each'));
    const s = supply(crab?.id ?? '');
    expect(s?.usable).toBeLessThan(0.6);
    expect(g).toBeCloseTo(2 * each * (s?.usable ?? NaN), 9);
    // What shells and trim carry away goes to anyone who takes them: no more than what was paid, and most of it.
    const paid = ((s?.price?.perKg.toNumber() ?? NaN) * 2 * each) / 1000;
    expect(plate).toBeCloseTo(((s?.usablePerKg ?? NaN) * g) / 1000, 9);
    expect(plate).toBeLessThanOrEqual(paid + 1e-9);
    expect(plate).toBeGreaterThan(paid * 0.9);
  });

  test('a weight stays what it is: usable', () => {
    const { g } = costed(withLine({ ingredient: crab?.id ?? '' }, '300 g'));
    expect(g).toBeCloseTo(300, 9);
  });

  test('a file of version 1 keeps its meaning, marked, and a mark can be taken off', () => {
    const then = withLine({ ingredient: crab?.id ?? '' }, '2 each');
    const read = readKitchen({ ...JSON.parse(JSON.stringify(then)), version: 1 });
    if (!read.ok) throw new Error(read.mistakes[0]?.message);
    expect(read.file.plates.at(-1)?.lines[0]?.of).toEqual({ ingredient: crab?.id, counted: 'trimmed' });
    expect(costed(read.file).g).toBeCloseTo(2 * each, 9);
    // What is weighed out has no mark.
    const weighed = file.recipes
      .flatMap((r) => r.steps)
      .filter((s) => s.do === 'add' && /kg|g$/.test(s.amount));
    expect(weighed.length).toBeGreaterThan(10);
    const again = read.file.recipes.flatMap((r) => r.steps);
    expect(again.filter((s) => s.do === 'add' && /kg|\bg$/.test(s.amount) && 'counted' in s.of)).toEqual([]);
  });
});
