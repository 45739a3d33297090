import fs from 'node:fs';
import { costText } from '../cost';
import { coversTable, coversText } from '../scale';
import { costTable, layersFrom } from '../table';

const demo = fs.readFileSync('demo/kestrel-weir.json', 'utf8');

describe('halfpot cost --layers', () => {
  const answer = costText(demo, true);
  if ('mistakes' in answer) throw new Error('the demo has mistakes');
  const { report } = answer;
  const line = (table: string, name: string): string =>
    table.split('\n').find((l) => l.startsWith(name)) ?? '';

  test('layers are understood as they are typed, and nothing else is', () => {
    expect(layersFrom('all')).toEqual(['ingredients', 'packaging', 'energy', 'hands']);
    expect(layersFrom('hands, ingredients')).toEqual(['ingredients', 'hands']);
    expect(layersFrom('rent')).toBeUndefined();
    expect(layersFrom('ingredients,rent')).toBeUndefined();
  });

  test('the table says which layers stand in its figures, and adds up those', () => {
    expect(costTable(report)).toContain('ingredients only');
    const all = costTable(report, ['ingredients', 'energy', 'hands']);
    expect(all).toContain('ingredients, energy and labour');
    for (const p of report.products) {
      const { ingredients, energy, hands } = p.layersPerLitre;
      const sum = (ingredients ?? NaN) + (energy ?? NaN) + (hands ?? NaN);
      expect(line(all, p.name.slice(0, 29))).toContain(` ${sum.toFixed(2)} `);
      expect(ingredients).toBeCloseTo(p.costPerLitre ?? NaN, 9);
    }
    for (const p of report.plates) {
      const { ingredients, energy, hands } = p.layers;
      // Plates stand below the pots, some of which are called alike.
      expect(line(all.slice(all.indexOf(report.plates[0]?.name ?? '')), p.name)).toContain(
        ` ${((ingredients ?? NaN) + (energy ?? NaN) + (hands ?? NaN)).toFixed(3)} `,
      );
      expect(ingredients).toBeCloseTo(p.cost ?? NaN, 9);
    }
  });

  test('a portion is its share of the litre in every layer', () => {
    const bisque = report.products.find((p) => p.name === 'Crab bisque');
    const table = costTable(report, ['energy']);
    const want = ((bisque?.layersPerLitre.energy ?? NaN) * (bisque?.pouredMl ?? NaN)) / 1000;
    expect(line(table, 'Crab bisque')).toContain(want.toFixed(3));
  });

  test('an hour without a wage leaves hands out of the sum as unknown, never as nothing', () => {
    const unpaid = costText(demo.replace(/"wagePerHour": "17\.50",/, ''), false);
    if ('mistakes' in unpaid) throw new Error('should be costed');
    expect(unpaid.report.products.every((p) => p.layersPerLitre.hands === null)).toBe(true);
    expect(line(costTable(unpaid.report, ['hands']), 'Crab bisque')).toContain(' – ');
    expect(line(costTable(unpaid.report), 'Crab bisque')).not.toContain(' – ');
  });

  test('a ledger’s warnings are data: a code, the number beside its limit, and what cures it', () => {
    const second = report.products.find((p) => p.name === 'Second venison stock');
    const rows = (second?.ledger ?? []) as {
      warnings: { code: string; value: number; limit: number; cure: { do: string; value: number } }[];
    }[];
    const found = rows.flatMap((r) => r.warnings);
    expect(found[0]).toMatchObject({ code: 'not-covered', cure: { do: 'top up' } });
    expect(found[0]?.value).toBeGreaterThan(found[0]?.limit ?? Infinity);
    expect(costTable(report)).toMatch(/! The pieces stand .* Top up with/);
  });
});

describe('halfpot scale, for covers', () => {
  test('a dish by a part of its name, mothers first, with what is bought', () => {
    const found = coversText(demo, 'mutton broth', 60);
    if ('mistakes' in found || !found.ok) throw new Error('should be scaled');
    const table = coversTable(found.value);
    expect(table).toMatch(/^Mutton broth, bread, 60 covers\n/);
    expect(table).toMatch(/Mutton broth +21\.\d\d l +\d × /);
    expect(table).toMatch(/Mutton neck +\d+\.\d\d kg/);
    expect(table).not.toContain('!');
  });

  test.each([
    ['nothing of the kind', 10, /no plate called/],
    ['mutton broth', 0, /0 covers: from 1 to 100000/],
  ])('%s for %d is refused in a sentence', (plate, covers, words) => {
    const found = coversText(demo, plate, covers);
    expect(!('mistakes' in found) && !found.ok && found.trouble.message).toMatch(words);
  });

  test('a file with mistakes is not scaled', () => {
    const spoilt = demo.replace('"fuel": "gas"', '"fuel": "coal"');
    const found = coversText(spoilt, 'mutton', 10);
    expect('mistakes' in found && found.mistakes.map((m) => m.path)).toEqual(['hobs[0].fuel']);
  });
});
