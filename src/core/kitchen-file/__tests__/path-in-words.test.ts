import { demoKitchen } from '../../testing/demo';
import { mistakeWords } from '../../trouble';
import { readKitchenText } from '..';

const text = JSON.stringify(demoKitchen(), null, 1);
const mistakes = (changed: string): string[] => {
  expect(changed).not.toBe(text);
  const read = readKitchenText(changed);
  return read.ok ? [] : read.mistakes.map(mistakeWords);
};

test('a mistake is told by the names in the file, and by counting from one where there are none', () => {
  expect(mistakes(text.replace('"amount": "8 kg"', '"amount": ""'))).toEqual([
    'recipe “Venison bone stock”, step 1, amount: An amount is missing.',
  ]);
  expect(mistakes(text.replace('"taxPct": 13.5', '"taxPct": 135'))[0]).toMatch(
    /^plate “[^”]+”, tax pct: Lies above 100 %\.$/,
  );
  expect(mistakes(text.replace('"zone": "Europe/Dublin"', '"zone": "Europe/Atlantis"'))).toEqual([
    'kitchen, zone: Is not a time zone such as Europe/Dublin.',
  ]);
});

test('a key that stands twice is told with its line, however deep', () => {
  const twice = text.replace('"amount": "8 kg"', '"amount": "8 kg",\n "amount": "9 kg"');
  const line = twice.slice(0, twice.indexOf('"9 kg"')).split('\n').length;
  expect(mistakes(twice)).toEqual([
    `recipe “Venison bone stock”, step 1, amount: Is there twice, the second time on line ${line}: only one can count.`,
  ]);
  // The same key in two objects beside each other is none.
  expect(readKitchenText(text).ok).toBe(true);
});
