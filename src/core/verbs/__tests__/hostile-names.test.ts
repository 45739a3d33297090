import fc from 'fast-check';
import type { Names } from '../../said';
import { demoKitchen } from '../../testing/demo';
import { readStep, writeStep, type WrittenStep } from '..';

const file = demoKitchen();
const [bones, stock, pan, hob] = [file.ingredients[0]!, file.recipes[0]!, file.vessels[0]!, file.hobs[0]!];

/** The kitchen with one ingredient, product, vessel and hob called as somebody might, and a part that parts from it. */
const called = (name: string): Names => ({
  ...file,
  ingredients: [{ ...bones, name: `${name} i` }, ...file.ingredients.slice(1)],
  recipes: [{ ...stock, name: `${name} r` }, ...file.recipes.slice(1)],
  vessels: [{ ...pan, name: `${name} v` }, ...file.vessels.slice(1)],
  hobs: [{ ...hob, name: `${name} h` }, ...file.hobs.slice(1)],
  parts: [{ id: stock.id, part: name }],
});

/** Every way a name stands in a line. */
const steps = (name: string): WrittenStep[] => [
  { do: 'add', of: { ingredient: bones.id }, amount: '2 kg' },
  { do: 'add', of: { stockTrimOf: bones.id }, amount: '2 kg' },
  { do: 'add', of: { product: stock.id }, amount: '2 l' },
  { do: 'add', of: { product: stock.id, part: name }, amount: '2 kg' },
  { do: 'add', of: { lastBatchOf: stock.id, perLitre: '1.20' }, amount: '2 l' },
  { do: 'deglaze', of: { ingredient: bones.id }, amount: '1 l' },
  { do: 'to taste', of: { ingredient: bones.id }, usual: '20 ml' },
  { do: 'season to', of: { ingredient: bones.id }, salt: '0.9 %' },
  { do: 'mount', of: { ingredient: bones.id }, amount: '40 g' },
  { do: 'thicken to', of: { product: stock.id }, band: 'coating' },
  { do: 'into', vessel: pan.id, hob: hob.id },
  { do: 'turn to', vessel: pan.id },
  { do: 'combine', vessel: pan.id },
  { do: 'portion', size: '500 ml', container: bones.id },
];

const survives = (name: string): void => {
  const names = called(name);
  for (const step of steps(name)) {
    const said = writeStep(step, names);
    const back = readStep(said, names);
    expect([said, back.ok ? back.value : back.trouble.message]).toEqual([said, step]);
  }
};

test.each([
  'Pan on the left',
  'Stock trim of leeks',
  'meat, by weight',
  'last batch of broth',
  'half a duck',
  '2 kg of bones',
  'salt to taste, usually 20 g',
  'fond as glaze, at 4.00 a kilo',
  'with lid ajar',
  'Chef “Ned” stock',
  'one, 15 min of labour',
  'thing in jar',
  'unread',
  'strain',
])('“%s” survives being written and read, wherever a name may stand', survives);

test('so does any name made of the words and marks of the language', () => {
  const word = fc.constantFrom(
    'on',
    'of',
    'with',
    'to',
    'as',
    'at',
    'in',
    'by',
    ',',
    ' at 2 a kilo',
    '2 kg',
    'stock',
    'trim',
    'lid',
    '“',
    '”',
    '%',
    '·',
    'x',
  );
  fc.assert(
    fc.property(
      fc
        .array(word, { minLength: 1, maxLength: 5 })
        .map((words) => words.join(' ').replace(/\s+/g, ' ').trim()),
      survives,
    ),
  );
});
