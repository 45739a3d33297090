import fs from 'node:fs';
import { scaleTable, scaleText } from '../scale';

const demo = fs.readFileSync('demo/kestrel-weir.json', 'utf8');
const scaled = (recipe: string, amount: string, vessel?: string) => {
  const answer = scaleText(demo, recipe, amount, vessel);
  if ('mistakes' in answer) throw new Error('the demo has mistakes');
  return answer;
};

test('a stock for more litres is scaled to each vessel, best first, with what multiplying would get wrong', () => {
  const answer = scaled('venison bone stock', '16 l');
  if (!answer.ok) throw new Error(answer.trouble.message);
  const [best] = answer.value.ways;
  expect((best?.run.product?.ml ?? 0) * (best?.batches ?? 0)).toBeCloseTo(16_000, 0);
  // More in the same pot loses proportionally less to the air: the list grows by less than the litres.
  expect(best?.factor).toBeLessThan(best?.multiplied.factor ?? 0);
  expect(scaleTable(answer.value)).toMatch(
    /^Venison bone stock, 16\.00 l\n[\s\S]*Stockpot \d\d l +1 +1\.\d+/,
  );
});

test('one vessel can be asked for, by a part of its name', () => {
  const answer = scaled('White roux', '3 l', 'rondeau 40');
  expect(answer.ok && answer.value.ways.map((w) => w.vessel.name)).toEqual(['Rondeau 40 cm']);
});

test.each([
  ['unicorn soup', '3 l', undefined, /no recipe called “unicorn soup”/],
  ['White roux', 'some', undefined, /some/],
  ['White roux', '3 l', 'the bath', /no vessel called “the bath”/],
  ['White roux', '0 l', 'rondeau 40', /more than 0 l/],
] as const)('%s, %s, %s is refused in a sentence', (recipe, amount, vessel, words) => {
  const answer = scaled(recipe, amount, vessel);
  expect(!answer.ok && answer.trouble.message).toMatch(words);
});
