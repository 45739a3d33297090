import type { WrittenAsks, WrittenRecipe } from '../../kitchen-file';
import { levelAt, maxFillMl } from '../../pot';
import { CONSTANTS } from '../../reference';
import { costedDemo } from '../../testing/demo';
import {
  snapshotOf,
  suggestedQuestions,
  waysOf,
  cookWays,
  flipOf,
  figuresOfWays,
  costSources,
  SnapshotPots,
  changedPrices,
  isSummaryCurrent,
  summaryOf,
  type Way,
} from '..';

/* What each kind of question makes of a sheet, line by line, and what a way says of itself beside litres and money. */

const { state, costing, c } = costedDemo();
const called = (name: string): WrittenRecipe => state.recipes.find((r) => r.name === name)!;
const ingredient = (name: string): string => state.ingredients.find((i) => i.name === name)!.id;
const NOWHERE = '019cabd9-ffff-7000-8000-000000000000';

function made(asks: WrittenAsks) {
  const answer = waysOf(costing, [], asks, CONSTANTS);
  if (!answer.ok) throw new Error(answer.trouble.message);
  return answer.value;
}
const trouble = (asks: WrittenAsks): string => {
  const answer = waysOf(costing, [], asks, CONSTANTS);
  return answer.ok ? '' : answer.trouble.message;
};
/** The lines of the sheet that a way is about, each by what it does. */
const linesOf = (way: Way, recipe: string): string[] =>
  (way.recipes.find((r) => r.id === recipe) ?? state.recipes.find((r) => r.id === recipe)!).steps.map(
    (s) => s.do,
  );

test('a way says in which vessel it ends, how full that ever was, and what a litre is on its ruler', () => {
  for (const recipe of state.recipes) {
    const way: Way = { name: '', recipes: [], product: recipe.id, prices: 0 };
    const [one] = figuresOfWays(new SnapshotPots(snapshotOf([costing], [way])), [way], c);
    const { rows } = costing.recipes.get(recipe.id)!.run;
    const end = rows.at(-1)!;
    const fullest = rows.map((r) => r.standingMl / maxFillMl(r.vessel)).sort((a, b) => b - a)[0]!;
    const rise = levelAt(end.vessel, end.standingMl + 1000) - levelAt(end.vessel, end.standingMl);
    expect(one).toMatchObject({
      vessel: end.vessel.name,
      fullest: expect.closeTo(fullest, 9) as number,
      mmPerL: expect.closeTo(rise * 10, 9) as number,
      hobHours: expect.closeTo(end.hobHours, 9) as number,
      elapsedHours: expect.closeTo(end.elapsedHours, 9) as number,
      handsHours: expect.closeTo(
        rows.reduce((n, r) => n + r.handsHours, 0),
        9,
      ) as number,
    });
  }
});

test('a way of a pot that is not there says so, and stands nowhere', () => {
  const way: Way = { name: '', recipes: [], product: NOWHERE, prices: 0 };
  const [one] = figuresOfWays(new SnapshotPots(snapshotOf([costing], [way])), [way], c);
  expect(one).toMatchObject({ litres: 0, vessel: '', fullest: 0, mmPerL: 0 });
  expect(one!.trouble).toMatch(/not here/);
  const pots = new SnapshotPots(snapshotOf([costing], [way]));
  expect(costSources(pots, way, cookWays(pots, [way], c)[0]!, ['ingredients'])).toEqual([]);
});

test('what stands alike in several ways is cooked once: the very same run is in both', () => {
  const sauce = called('Juniper sauce');
  const strain = sauce.steps.find((s) => s.do === 'strain')!.id!;
  const { ways, apart } = made({ of: 'press', recipe: sauce.id, line: strain });
  const [a, b] = cookWays(new SnapshotPots(apart), ways, c);
  const below = called('Reduced game base').id;
  expect(a!.runs.get(below)).toBe(b!.runs.get(below));
  expect(a!.runs.get(sauce.id)).not.toBe(b!.runs.get(sauce.id));
});

test('a price that flips is told between one price and the next only of what is in one of them', () => {
  const sauce = called('Juniper sauce');
  const strain = sauce.steps.find((s) => s.do === 'strain')!.id!;
  const { ways, apart } = made({ of: 'press', recipe: sauce.id, line: strain });
  const pots = new SnapshotPots(apart);
  const [a, b] = cookWays(pots, ways, c);
  const pair = [ways[0]!, ways[1]!] as const;
  expect(flipOf(pots, pair, [a!, b!], ingredient('Trout frames'), ['ingredients'])).toBeUndefined();
  // Pressed is cheaper at any price: the lines never cross above 0.
  const flip = flipOf(pots, pair, [a!, b!], ingredient('Venison bones'), ['ingredients'])!;
  expect(flip.times).toBeUndefined();
  expect(flip.lines.every((l) => l.paid > 0 && l.rest > 0)).toBe(true);
});

test('what one litre was paid for adds up to its cost; with one price missing nothing is said', () => {
  const sauce = called('Juniper sauce');
  const way: Way = { name: '', recipes: [], product: sauce.id, prices: 0 };
  const apart = snapshotOf([costing], [way]);
  const pots = new SnapshotPots(apart);
  const [cooked] = cookWays(pots, [way], c);
  const sources = costSources(pots, way, cooked!, ['ingredients']);
  const [figures] = figuresOfWays(pots, [way], c);
  const sum = sources.reduce((n, s) => n + s.perL, 0);
  expect(sum / figures!.perL.ingredients!).toBeCloseTo(1, 6);
  const bones = costing.recipes.get(sauce.id)!.run.inputs.find((i) => i.supply.startsWith('usable:'))!;
  const unpriced = {
    ...apart,
    prices: apart.prices.map((p) => ({
      ...p,
      sources: p.sources.filter((s) => `usable:${s.id}` !== bones.supply),
      layers: {
        ...p.layers,
        ingredients: p.layers.ingredients.map(
          ([key, perG]) => [key, key === bones.supply ? null : perG] as const,
        ),
      },
    })),
  };
  const poor = new SnapshotPots(unpriced as typeof apart);
  expect(costSources(poor, way, cookWays(poor, [way], c)[0]!, ['ingredients'])).toEqual([]);
});

test('a line that a draw or another base has done already is left out, and the rest is cooked', () => {
  const sauce = called('Juniper sauce');
  const at = sauce.steps.findIndex((s) => s.do === 'season to');
  const salty = sauce.steps.map((s, i) => (i === at ? { ...s, salt: '0.01 %' } : s));
  const as = (steps: WrittenRecipe['steps']): Way => ({
    name: '',
    recipes: [{ ...sauce, steps }],
    product: sauce.id,
    prices: 0,
  });
  const figures = (way: Way) => figuresOfWays(new SnapshotPots(snapshotOf([costing], [way])), [way], c)[0]!;
  const done = figures(as(salty as WrittenRecipe['steps']));
  const without = figures(as(sauce.steps.filter((_, i) => i !== at) as WrittenRecipe['steps']));
  expect(done.trouble).toBeUndefined();
  expect(done.litres).toBeCloseTo(without.litres, 9);
  expect(done.saltPct).toBeCloseTo(without.saltPct, 9);
});

describe('lines', () => {
  test('a second pass: with it and without it, each by its name', () => {
    const [sheet, line] = state.recipes.flatMap((r) =>
      r.steps.flatMap((s) => (s.do === 'sieve' ? [[r, s] as const] : [])),
    )[0] ?? [undefined, undefined];
    if (!sheet || !line) throw new Error('no sheet sieves');
    const { ways } = made({ of: 'second pass', recipe: sheet.id, line: line.id! });
    expect(ways.map((w) => w.name)).toEqual(['without a second pass', 'with one, 35 % back']);
  });

  test('a base brought to its strength is reduced on the hob of what it takes the place of, in a pot that holds it', () => {
    const sauce = called('Juniper sauce');
    const line = sauce.steps.find((s) => 'of' in s && s.of && 'product' in s.of)!;
    const mother = state.recipes.find(
      (r) => 'of' in line && line.of && 'product' in line.of && r.id === line.of.product,
    )!;
    const other = called('Duck broth');
    const { ways } = made({
      of: 'base',
      recipe: sauce.id,
      line: line.id!,
      bases: [{ of: { product: other.id } }],
      body: 0.3,
      saltPct: 2,
    } as WrittenAsks);
    const brought = ways.flatMap((w) => w.recipes).find((r) => r.name.endsWith('brought to strength'));
    expect(brought?.hob).toBe(mother.hob);
    // Its own vessel where that holds it, else the smallest of the house that does.
    const holds = (id: string): number => maxFillMl(costing.shelf.vessel(id)!);
    const smaller = state.vessels.filter((v) => holds(v.id) < holds(brought!.vessel)).map((v) => v.id);
    expect(brought!.vessel === mother.vessel || smaller.includes(mother.vessel)).toBe(true);
  });

  const sauce = called('Juniper sauce');
  const lineOf = (recipe: WrittenRecipe, what: string) => recipe.steps.find((s) => s.do === what)!.id!;

  test('salt goes in where it stands on the heat first, or last of all before portions', () => {
    const soup = state.recipes.find((r) => suggestedQuestions(costing, r).some((a) => a.asks.of === 'salt'))!;
    const { asks } = suggestedQuestions(costing, soup).find((a) => a.asks.of === 'salt')!;
    const { ways } = made(asks);
    const line = 'line' in asks ? asks.line : '';
    const salted = soup.steps.find((s) => s.id === line)!;
    const others = soup.steps.filter((s) => s.id !== line).map((s) => s.do);
    const heat = others.findIndex((d) => d === 'cook' || d === 'reduce' || d === 'bring');
    const end = others.includes('portion') ? others.indexOf('portion') : others.length;
    const put = (at: number) => [...others.slice(0, at), salted.do, ...others.slice(at)];
    expect(ways.map((w) => w.name)).toEqual(['late', 'early']);
    expect(linesOf(ways[0]!, soup.id)).toEqual(put(end));
    expect(linesOf(ways[1]!, soup.id)).toEqual(put(heat));
    const without: WrittenAsks = {
      of: 'salt',
      recipe: called('White roux').id,
      line: called('White roux').steps[0]!.id!,
    };
    const roux = called('White roux').steps.map((s) => s.do);
    if (!roux.slice(1).some((d) => ['cook', 'reduce', 'bring'].includes(d)))
      expect(trouble(without)).toMatch(/[Nn]othing is cooked/);
  });

  test('salt of a sheet without portions goes in after its last line', () => {
    const broth = state.recipes.find(
      (r) => !r.steps.some((s) => s.do === 'portion') && r.steps.some((s) => s.do === 'cook'),
    )!;
    const [first] = broth.steps;
    const { ways } = made({ of: 'salt', recipe: broth.id, line: first!.id! });
    expect(linesOf(ways[0]!, broth.id).at(-1)).toBe(first!.do);
  });

  test('lids: four over a pot that cooks, two over one that reduces, none over a strainer', () => {
    const stock = called('Venison bone stock');
    const lids = (recipe: WrittenRecipe, what: string) =>
      made({ of: 'lid', recipe: recipe.id, line: lineOf(recipe, what) }).ways.map((w) => w.name);
    expect(lids(stock, 'cook')).toEqual(['lid off', 'lid ajar', 'lid on', 'under paper']);
    expect(lids(sauce, 'reduce')).toEqual(['lid off', 'lid ajar']);
    expect(trouble({ of: 'lid', recipe: sauce.id, line: lineOf(sauce, 'strain') })).toMatch(/heat/);
  });

  test('which vessel: those that are here, two at least', () => {
    const [a, b] = state.vessels;
    const ask = (...vessels: string[]): WrittenAsks => ({ of: 'pot', recipe: sauce.id, vessels });
    expect(made(ask(a!.id, NOWHERE, b!.id)).ways.map((w) => w.name)).toEqual([a!.name, b!.name]);
    expect(trouble(ask(a!.id, NOWHERE))).toMatch(/Fewer than two/);
  });

  test('a reduction that is none any more, and one for taste alone, cannot be thickened instead', () => {
    const roux = { product: called('White roux').id };
    const first = sauce.steps.find((s) => s.do !== 'reduce')!.id!;
    expect(trouble({ of: 'thicken', recipe: sauce.id, line: first, with: [roux] })).toBe(
      'This line reduces nothing any more: there is nothing to weigh up.',
    );
  });

  test('stopped at three quarters, a thickener makes it as thick as all the way did, weighed in grams', () => {
    const asksOf = state.recipes.flatMap((r) =>
      suggestedQuestions(costing, r).flatMap(({ asks }) => (asks.of === 'thicken' ? [{ asks, r }] : [])),
    );
    expect(asksOf.length).toBeGreaterThan(0);
    for (const { asks, r } of asksOf) {
      const { ways, apart } = made(asks);
      const figures = figuresOfWays(new SnapshotPots(apart), ways, c);
      for (const [n, way] of ways.entries()) {
        if (n === 0 || n > asks.with.length) continue;
        const steps = way.recipes.find((x) => x.id === r.id)!.steps;
        const thickened = steps.find(
          (s, i) => s.do === 'thicken' && !r.steps.some((x) => x.id === s.id && i === r.steps.indexOf(x)),
        );
        if (/^\d/.test(String((way as { note?: string }).note ?? ''))) expect(thickened).toBeDefined();
        if (thickened) expect(Math.abs(figures[n]!.body / figures[0]!.body - 1)).toBeLessThan(0.01);
      }
    }
  });
});

describe('another base', () => {
  test('things that arise as bases are liquids that are bought; concentrates by so many grams in a litre', () => {
    const asksOf = state.recipes.flatMap((r) =>
      suggestedQuestions(costing, r).flatMap(({ asks }) => (asks.of === 'base' ? [{ asks, r }] : [])),
    );
    expect(asksOf.length).toBeGreaterThan(0);
    for (const { asks, r } of asksOf) {
      const of = r.steps.find((s) => s.id === asks.line)!;
      for (const b of asks.bases) {
        const i = state.ingredients.find((x) => 'ingredient' in b.of && x.id === b.of.ingredient)!;
        expect(i.role).toBe('liquid');
        expect(costing.supplies.get(i.id)?.price).toBeDefined();
        expect(b.gPerL !== undefined).toBe((i.composition.salt ?? 0) > 8);
        if ('of' in of) expect(of.of).not.toEqual(b.of);
      }
      const row = costing.recipes.get(r.id)!.run.rows.at(-1)!;
      expect(asks.body).toBeLessThanOrEqual(Math.max(0.02, row.body));
      expect(asks.body).toBeGreaterThan(row.body - 0.02);
      const seasoned = r.steps.find((s) => s.do === 'season to');
      const least = seasoned && 'salt' in seasoned ? Number.parseFloat(seasoned.salt) : 0.9;
      expect(asks.saltPct).toBeCloseTo(Math.ceil(Math.max(least, row.saltPct) * 100 - 1e-9) / 100, 1);
    }
  });

  test('named by what stands in its place, also trim, a part of a batch and what has been archived', () => {
    const sauce = called('Juniper sauce');
    const line = sauce.steps[7]!.id!;
    const names = (...bases: object[]): string[] =>
      made({
        of: 'base',
        recipe: sauce.id,
        line,
        bases: bases.map((of) => ({ of, gPerL: 20 })),
        body: 0.3,
        saltPct: 2,
      } as WrittenAsks).ways.map((w) => w.name);
    expect(
      names(
        { ingredient: ingredient('Leek') },
        { stockTrimOf: ingredient('Leek') },
        { product: called('Duck broth').id },
        { ingredient: NOWHERE },
        { product: NOWHERE },
      ).slice(1),
    ).toEqual([
      expect.stringContaining('Leek'),
      expect.stringContaining('stock trim of Leek'),
      expect.stringContaining('Duck broth'),
      expect.stringContaining('something archived'),
      expect.stringContaining('an archived sheet'),
    ]);
  });
});

describe('what is kept of an answer', () => {
  const sauce = called('Juniper sauce');
  const asks: WrittenAsks = {
    of: 'press',
    recipe: sauce.id,
    line: sauce.steps.find((s) => s.do === 'strain')!.id!,
  };
  const { apart } = made(asks);
  const told = summaryOf(costing, apart, asks, [2, 1, null])!;

  test('the cheapest, and what a usable kilo of everything in it cost', () => {
    expect(told).toMatchObject({ on: costing.day, winner: 1, perL: [2, 1, null] });
    const priced = apart.stuffs.flatMap(([id]) => {
      const perKg = costing.supplies.get(id)?.usablePerKg;
      return perKg === undefined ? [] : [[id, perKg] as const];
    });
    expect(told.prices.length).toBeGreaterThan(3);
    expect(told.prices.map((p) => p.ingredient)).toEqual(priced.map(([id]) => id));
    for (const [n, p] of told.prices.entries()) expect(p.perKg).toBeCloseTo(priced[n]![1], 9);
    expect(summaryOf(costing, apart, asks, [null, null])).toBeUndefined();
  });

  test('stands until a price has moved by more than one in two thousand, or a sheet is written otherwise', () => {
    const moved = (times: number) => ({
      ...told,
      prices: told.prices.map((p, n) => (n === 0 ? { ...p, perKg: p.perKg / times } : p)),
    });
    expect(isSummaryCurrent(costing, asks, told)).toBe(true);
    expect(isSummaryCurrent(costing, asks, moved(1.0004))).toBe(true);
    expect(isSummaryCurrent(costing, asks, moved(1.0006))).toBe(false);
    expect(isSummaryCurrent(costing, asks, moved(0.9994))).toBe(false);
    expect(isSummaryCurrent(costing, asks, { ...told, sheets: `${told.sheets}x` })).toBe(false);
    expect(
      isSummaryCurrent(costing, asks, {
        ...told,
        prices: [...told.prices, { ingredient: NOWHERE, perKg: 1 }],
      }),
    ).toBe(false);
  });

  test('prices that moved stand with the one that moved most first', () => {
    const three = told.prices.slice(0, 3).map((p, n) => ({ ...p, perKg: p.perKg / [1.02, 0.9, 1.05][n]! }));
    const names = three.map((p) => costing.supplies.get(p.ingredient)!.ingredient.name);
    expect(changedPrices(costing, { ...told, prices: three }).map((m) => m.name)).toEqual([
      names[1],
      names[2],
      names[0],
    ]);
    expect(changedPrices(costing, { ...told, prices: [{ ingredient: NOWHERE, perKg: 2 }] })).toEqual([]);
  });
});
