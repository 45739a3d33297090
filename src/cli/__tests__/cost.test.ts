import demo from '../../../demo/kestrel-weir.json';
import { costText } from '../cost';
import { costTable } from '../table';

const text = JSON.stringify(demo);

describe('halfpot cost', () => {
  test('a sound file gives every product and dish, with the ledger when asked', () => {
    const answer = costText(text, true);
    if ('mistakes' in answer) throw new Error('the demo has mistakes');
    const { report } = answer;
    expect(report.products.map((p) => p.name)).toEqual(demo.recipes.map((r) => r.name));
    for (const [i, p] of report.products.entries()) {
      expect(p.ledger).toHaveLength(demo.recipes[i]?.steps.length ?? 0);
      const went = Object.values(p.moneyWent ?? {}).reduce(
        (sum, cents) => sum + Math.round(Number(cents) * 100),
        0,
      );
      const away = p.parts.reduce((sum, part) => sum + (part.costPerKg ?? NaN) * part.kg, 0);
      expect(went).toBe(Math.round(((p.total ?? 0) + away) * 100));
    }
    const table = costTable(report);
    for (const p of report.products) expect(table).toContain(p.name.slice(0, 29));
    expect(table).toMatch(/water 14\.2 l .* 16\.00 l/);
  });

  test('a file with mistakes is not costed at all', () => {
    const answer = costText(
      text.replace('"usablePct":71', '"usablePct":171').replace('"price":"24.00"', '"price":"x"'),
      false,
    );
    expect('mistakes' in answer && answer.mistakes.length).toBe(2);
  });

  test('a mistyped line leaves the cost incomplete in the table as in the data', () => {
    const answer = costText(text.replace('"amount":"8 kg"', '"amount":"8 kgg"'), false);
    if ('mistakes' in answer) throw new Error('should be costed');
    expect(answer.report.products[0]).toMatchObject({ costPerLitre: null, total: null });
    expect(costTable(answer.report)).toMatch(/Venison bone stock .*incomplete/);
  });
});
