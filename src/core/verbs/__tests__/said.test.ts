import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { BANDS, DEFATS, HEATS, LIDS, ROUX, STRAINERS } from '../../pot';
import { partsOf } from '../../kitchen-file';
import { type WrittenStep, readStep, writeStep } from '..';
import type { WrittenCost } from '../../written';
import { demoKitchen } from '../../testing/demo';
import type { Names } from '../../said';

const file = demoKitchen();
const names: Names = {
  ...file,
  parts: file.recipes.flatMap((r) => partsOf(r).map((part) => ({ id: r.id, part }))),
};
const id = (name: string): string =>
  file.ingredients.find((i) => i.name === name)?.id ??
  file.recipes.find((r) => r.name === name)?.id ??
  `no ${name}`;
const vessel = (name: string): string => file.vessels.find((v) => v.name === name)?.id ?? '';
const hob = (name: string): string => file.hobs.find((h) => h.name === name)?.id ?? '';
const read = (said: string): WrittenStep | string => {
  const got = readStep(said, names);
  return got.ok ? got.value : got.trouble.code;
};

describe('steps as they are said', () => {
  const bones = { ingredient: id('Venison bones') };
  test.each<[string, WrittenStep]>([
    ['8 kg venison bones', { do: 'add', of: bones, amount: '8 kg' }],
    ['2 lb 4 oz of Venison Bones', { do: 'add', of: bones, amount: '2 lb 4 oz' }],
    [
      '3 bunches sorrel, counted trimmed',
      { do: 'add', of: { ingredient: id('Sorrel'), counted: 'trimmed' }, amount: '3 bunches' },
    ],
    ['500 g stock trim of leek', { do: 'add', of: { stockTrimOf: id('Leek') }, amount: '500 g' }],
    ['2.4 l reduced game base', { do: 'add', of: { product: id('Reduced game base') }, amount: '2.4 l' }],
    ['half bottle red wine', { do: 'add', of: { ingredient: id('Red wine') }, amount: 'half bottle' }],
    ['brown 18 %', { do: 'brown', loss: '18 %' }],
    ['brown 18 %, fat run off 2 %, takes 1 h', { do: 'brown', loss: '18 %', fatRunOff: '2 %', time: '1 h' }],
    ['water 16 l', { do: 'water', amount: '16 l' }],
    ['water to 20 cm', { do: 'water', level: '20 cm' }],
    ['water to cover by 3 cm', { do: 'water', cover: '3 cm' }],
    ['water to cover', { do: 'water', cover: '0 cm' }],
    ['simmer 4 h lid ajar', { do: 'cook', heat: 'simmer', time: '4 h', lid: 'ajar' }],
    ['Bare simmer for 1 h 30', { do: 'cook', heat: 'bare simmer', time: '1 h 30', lid: 'off' }],
    ['strain, pressed', { do: 'strain', pressed: true, through: 'cone sieve' }],
    ['strain, not pressed', { do: 'strain', pressed: false, through: 'cone sieve' }],
    ['strain through cloth', { do: 'strain', pressed: false, through: 'cloth' }],
    ['reduce by half', { do: 'reduce', until: 'share', to: '1/2', heat: 'hard boil', lid: 'off' }],
    [
      'reduce to a quarter at a brisk boil',
      { do: 'reduce', until: 'share', to: '1/4', heat: 'brisk boil', lid: 'off' },
    ],
    ['reduce to 3 l', { do: 'reduce', until: 'volume', to: '3 l', heat: 'hard boil', lid: 'off' }],
    ['reduce to a dip of 33 cm', { do: 'reduce', until: 'dip', to: '33 cm', heat: 'hard boil', lid: 'off' }],
    [
      'reduce to body 1 in a wide pan',
      { do: 'reduce', until: 'body', to: '1', heat: 'wide pan', lid: 'off' },
    ],
    ['season to 0.6 %', { do: 'season to', of: { ingredient: id('Salt') }, salt: '0.6 %' }],
    ['mount with 80 g butter', { do: 'mount', of: { ingredient: id('Butter') }, amount: '80 g' }],
    [
      'thicken to coating with white roux',
      { do: 'thicken to', of: { product: id('White roux') }, band: 'coating' },
    ],
    [
      'loosen to a soup consistency with whole milk',
      { do: 'loosen to', of: { ingredient: id('Whole milk') }, band: 'soup' },
    ],
    ['deglaze with 1 lb red wine', { do: 'deglaze', of: { ingredient: id('Red wine') }, amount: '1 lb' }],
    [
      'lemon juice to taste, usually 20 ml',
      { do: 'to taste', of: { ingredient: id('Lemon juice') }, usual: '20 ml' },
    ],
    ['cook the roux blond for 8 min', { do: 'roux', to: 'blond', time: '8 min' }],
    ['knead', { do: 'roux', to: 'kneaded' }],
    ['purée', { do: 'puree' }],
    ['blend, 5 % lost', { do: 'puree', loss: '5 %' }],
    ['sieve, 7 % lost', { do: 'sieve', loss: '7 %' }],
    ['second pass, 40 % back', { do: 'second pass', back: '40 %' }],
    ['chill to 4 °C', { do: 'chill', to: '4 °C' }],
    ['hold for 2 h, 3 % an hour lost', { do: 'hold', time: '2 h', loss: '3 %' }],
    ['top up', { do: 'top up' }],
    ['take off the fat with a ladle', { do: 'defat', by: 'ladle' }],
    [
      'into rondeau 40 on induction',
      {
        do: 'into',
        vessel: vessel('Rondeau 40 cm'),
        hob: hob('Induction'),
      },
    ],
    ['portion 60 ml, 5 % over', { do: 'portion', size: '60 ml', overfill: '5 %' }],
    ['portion 500 ml, in a whole milk', { do: 'portion', size: '500 ml', container: id('Whole milk') }],
    [
      '2 l last batch of second venison stock',
      { do: 'add', of: { lastBatchOf: id('Second venison stock') }, amount: '2 l' },
    ],
    [
      '2 l of the last batch of second venison stock, at 1.20 a litre',
      { do: 'add', of: { lastBatchOf: id('Second venison stock'), perLitre: '1.20' }, amount: '2 l' },
    ],
    [
      'brown 18 %, fat run off 7 % as duck fat, at 4.00 a kilo, takes 1 h',
      {
        do: 'brown',
        loss: '18 %',
        fatRunOff: '7 %',
        as: 'duck fat',
        cost: { by: 'credit', perKg: '4.00' },
        time: '1 h',
      },
    ],
    [
      'brown 18 %, fat run off 7 % kept in the pot',
      { do: 'brown', loss: '18 %', fatRunOff: '7 %', fatKept: true },
    ],
    ['chill and lift the fat as dripping', { do: 'defat', by: 'cold', as: 'dripping' }],
    [
      'split 1/3 of the liquid into rondeau 40 on induction',
      {
        do: 'split',
        amount: '1/3',
        liquidOnly: true,
        vessel: vessel('Rondeau 40 cm'),
        hob: hob('Induction'),
      },
    ],
    ['turn to the rondeau 40', { do: 'turn to', vessel: vessel('Rondeau 40 cm') }],
    ['combine with rondeau 40 cm', { do: 'combine', vessel: vessel('Rondeau 40 cm') }],
    [
      'simmer 4 h lid ajar, 12 min of labour',
      { do: 'cook', heat: 'simmer', time: '4 h', lid: 'ajar', hands: '12 min' },
    ],
  ])('%s', (said, want) => expect(read(said)).toEqual(want));

  test.each([
    ['', 'not-understood'],
    ['fiddle about', 'not-understood'],
    ['8 kg unicorn bones', 'name-unknown'],
    ['1 kg venison', 'name-unclear'],
    ['reduce', 'asked'],
    ['reduce somewhat', 'not-understood'],
    ['strain through a hat', 'name-unknown'],
    ['mount with butter', 'not-understood'],
    ['into the bath', 'name-unknown'],
  ])('“%s” is not guessed', (said, code) => expect(read(said)).toBe(code));

  const amount = fc.constantFrom(
    '8 kg',
    '2 lb 4 oz',
    '1 1/2 l',
    '750 ml',
    '3 each',
    '2 bunches',
    '0.5 l',
    '6 x 250 g',
    'half bottle',
  );
  const of = fc.oneof(
    fc.constantFrom(...file.ingredients.map((i) => ({ ingredient: i.id }))),
    fc.constantFrom(...file.ingredients.map((i) => ({ stockTrimOf: i.id }))),
    fc.constantFrom(...file.recipes.map((r) => ({ product: r.id }))),
    fc.record(
      {
        lastBatchOf: fc.constantFrom(...file.recipes.map((r) => r.id)),
        perLitre: fc.constantFrom('0', '1.20'),
      },
      { requiredKeys: ['lastBatchOf'] },
    ),
    fc.constantFrom(...(names.parts ?? []).map((p) => ({ lastBatchOf: p.id, part: p.part }))),
  );
  const heat = fc.constantFrom(...HEATS);
  const lid = fc.constantFrom(...LIDS);
  const time = fc.constantFrom('4 h', '1 h 30', '20 min');
  const share = fc.constantFrom('18 %', '0.6 %', '2 %');
  const cost: fc.Arbitrary<WrittenCost> = fc.constantFrom<WrittenCost>(
    { by: 'weight' },
    { by: 'credit', perKg: '0' },
    { by: 'credit', perKg: '12.50' },
    { by: 'market', perKg: '38.00', restPerKg: '2' },
  );
  const step: fc.Arbitrary<WrittenStep> = fc.oneof(
    fc.record({ do: fc.constantFrom('add' as const, 'thicken' as const, 'mount' as const), of, amount }),
    fc.record({
      do: fc.constantFrom('season' as const, 'deglaze' as const, 'loosen' as const, 'enrich' as const),
      of,
      amount,
    }),
    fc.record({ do: fc.constant('to taste' as const), of, usual: amount }),
    fc.record({
      do: fc.constantFrom('thicken to' as const, 'loosen to' as const),
      of,
      band: fc.constantFrom(...BANDS),
    }),
    fc.record(
      { do: fc.constant('roux' as const), to: fc.constantFrom(...ROUX), time },
      { requiredKeys: ['do', 'to'] },
    ),
    fc.record(
      { do: fc.constantFrom('puree' as const, 'sieve' as const), loss: share },
      { requiredKeys: ['do'] },
    ),
    fc.record({ do: fc.constant('second pass' as const), back: share }),
    fc.record(
      { do: fc.constant('chill' as const), to: fc.constantFrom('4 °C', '20 °C'), time },
      { requiredKeys: ['do', 'to'] },
    ),
    fc.record({ do: fc.constant('hold' as const), time, loss: share }, { requiredKeys: ['do', 'time'] }),
    fc.constant<WrittenStep>({ do: 'top up' }),
    fc
      .record(
        {
          do: fc.constant('pick' as const),
          share: fc.constantFrom('55 %', '1/2'),
          piece: fc.constantFrom(...file.ingredients.map((i) => i.id)),
          as: fc.constantFrom('picked meat', 'brown meat'),
          cost,
        },
        { requiredKeys: ['do', 'share', 'cost'] },
      )
      // What goes back has no cost of its own to share.
      .map((s): WrittenStep => ('as' in s ? s : { ...s, cost: { by: 'weight' } })),
    fc.record({
      do: fc.constant('second wash' as const),
      as: fc.constantFrom('spent bones', 'pomace'),
      cost,
    }),
    fc.record({
      do: fc.constant('draw off' as const),
      amount: fc.constantFrom('2 l', '500 ml'),
      as: fc.constantFrom('first stock', 'clear part'),
      liquidOnly: fc.boolean(),
      cost,
    }),
    fc.record({ do: fc.constant('season to' as const), of, salt: share }),
    fc.record(
      { do: fc.constant('brown' as const), loss: share, fatRunOff: share, time },
      { requiredKeys: ['do', 'loss'] },
    ),
    fc.record(
      {
        do: fc.constant('brown' as const),
        loss: share,
        fatRunOff: share,
        as: fc.constantFrom('duck fat', 'dripping'),
        cost,
        time,
      },
      { requiredKeys: ['do', 'loss', 'fatRunOff', 'as'] },
    ),
    fc.record({
      do: fc.constant('brown' as const),
      loss: share,
      fatRunOff: share,
      fatKept: fc.constant(true),
    }),
    fc.record(
      {
        do: fc.constant('defat' as const),
        by: fc.constantFrom(...DEFATS),
        as: fc.constantFrom('duck fat', 'dripping'),
        cost,
      },
      { requiredKeys: ['do', 'by', 'as'] },
    ),
    fc.record({
      do: fc.constant('split' as const),
      amount: fc.constantFrom('2 l', '1/3', '40 %'),
      liquidOnly: fc.boolean(),
      vessel: fc.constantFrom(...file.vessels.map((v) => v.id)),
      hob: fc.constantFrom(...file.hobs.map((h) => h.id)),
    }),
    fc.record({
      do: fc.constantFrom('turn to' as const, 'combine' as const),
      vessel: fc.constantFrom(...file.vessels.map((v) => v.id)),
    }),
    fc.constantFrom<WrittenStep>(
      { do: 'water', amount: '16 l' },
      { do: 'water', level: '20.5 cm' },
      { do: 'water', cover: '3 cm' },
      { do: 'bring', to: '92 °C' },
    ),
    fc.record(
      { do: fc.constant('cook' as const), heat, time, lid, underFat: fc.constant(true) },
      { requiredKeys: ['do', 'heat', 'time', 'lid'] },
    ),
    fc.record({
      do: fc.constant('skim' as const),
      amount: fc.constantFrom('200 ml', '1 1/2 l'),
      from: fc.constantFrom('body' as const, 'surface' as const),
    }),
    fc.record({
      do: fc.constant('strain' as const),
      pressed: fc.boolean(),
      through: fc.constantFrom(...STRAINERS),
    }),
    fc.record({
      do: fc.constant('strain' as const),
      pressed: fc.boolean(),
      through: fc.constantFrom(...STRAINERS),
      keep: fc.uniqueArray(fc.constantFrom(...file.ingredients.map((i) => i.id)), {
        minLength: 1,
        maxLength: 2,
      }),
    }),
    fc.record({
      do: fc.constant('into' as const),
      vessel: fc.constantFrom(...file.vessels.map((v) => v.id)),
      hob: fc.constantFrom(...file.hobs.map((h) => h.id)),
    }),
    fc.record({ do: fc.constant('defat' as const), by: fc.constantFrom(...DEFATS) }),
    fc
      .tuple(
        fc.constantFrom(
          ['share', '1/2'],
          ['share', '1/3'],
          ['share', '0.6'],
          ['share', '35 %'],
          ['volume', '3 l'],
          ['dip', '33.1 cm'],
          ['gelatin', '8 %'],
          ['salt', '1.2 %'],
          ['body', '0.85'],
          ['time', '20 min'],
        ),
        heat,
        lid,
      )
      .map(([[until, to], h, l]): WrittenStep => ({
        do: 'reduce',
        until: until as 'share',
        to: to as string,
        heat: h,
        lid: l,
      })),
    fc.record(
      {
        do: fc.constant('portion' as const),
        size: fc.constantFrom('60 ml', '0.3 l'),
        overfill: share,
        container: fc.constantFrom(...file.ingredients.map((i) => i.id)),
      },
      { requiredKeys: ['do', 'size'] },
    ),
  );
  /** Any step may say what it takes of hands. */
  const withHands = fc
    .tuple(step, fc.constantFrom(undefined, '10 min', '1 h 30'))
    .map(([s, hands]): WrittenStep => (hands === undefined || s.do === 'unread' ? s : { ...s, hands }));

  test('read∘write is identity over all steps', () => {
    fc.assert(
      fc.property(withHands, (written) => {
        expect(read(writeStep(written, names))).toEqual(written);
      }),
      { numRuns: cases(4000) },
    );
  });

  test('every step of the demo book is said and read back', () => {
    for (const recipe of file.recipes)
      for (const step of recipe.steps) {
        // What stands beside its words is not said, and changes nothing of how it is.
        const { id: _id, note: _n, off: _o, way: _w, ...bare } = step;
        expect(read(writeStep(step, names))).toEqual(bare);
        expect(writeStep({ ...step, note: 'stir', off: true }, names)).toBe(writeStep(bare, names));
      }
  });
});

test('an old spelling of a merged ingredient is understood as the one it counts as', () => {
  const id = '019cabd8-0000-7000-8000-000000000001';
  const names = {
    ingredients: [
      { id, name: 'Shallot' },
      { id, name: 'Shallots, banana' },
    ],
    recipes: [],
    vessels: [],
    hobs: [],
    measures: [{ name: 'crate' }],
  };
  for (const said of ['2 kg shallots, banana', '2 kg shallot']) {
    const step = readStep(said, names);
    expect(step.ok && step.value).toEqual({ do: 'add', of: { ingredient: id }, amount: '2 kg' });
  }
  const crates = readStep('1 1/2 crates shallot', names);
  if (!crates.ok) throw new Error(crates.trouble.message);
  expect(crates.value).toEqual({ do: 'add', of: { ingredient: id }, amount: '1 1/2 crates' });
  expect(writeStep(crates.value, names)).toBe('1 1/2 crates shallot');
});

test('every word of a name counts: what lacks one is asked, what only adds “cold” or “chopped” is not', () => {
  const things = [
    'Hot-smoked trout',
    'Prawn, raw peeled',
    'Prawn, head-on raw',
    'Dry cider',
    'Butter',
    'Thyme, fresh',
  ];
  const names: Names = {
    ingredients: things.map((name) => ({ id: name, name })),
    recipes: [],
    vessels: [],
    hobs: [],
  };
  const meant = (said: string): unknown => {
    const got = readStep(`100 g ${said}`, names);
    return got.ok ? (got.value as { of: { ingredient: string } }).of.ingredient : got.trouble.code;
  };
  for (const rough of ['smoked trout', 'prawns', 'cider', 'trout'])
    expect([rough, meant(rough)]).toEqual([rough, 'name-unclear']);
  expect(meant('dry cider')).toBe('Dry cider');
  expect(meant('cold butter')).toBe('Butter');
  expect(meant('fresh thyme')).toBe('Thyme, fresh');
  expect(meant('chopped thyme')).toBe('Thyme, fresh');
});
