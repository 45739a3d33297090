import fc from 'fast-check';
import { WATER, type Stuff } from '../larder';
import {
  BANDS,
  DEFATS,
  HEATS,
  LIDS,
  ROUX,
  runPot,
  STRAINERS,
  type JointCost,
  type Matter,
  type Pot,
  type PotStep,
} from '../pot';
import { CONSTANTS } from '../reference';
import { hob, of, round, stuff } from './stuff';

/** Ingredients that between them have every property a pot follows. */
const STUFFS: readonly Stuff[] = [
  stuff(
    'bones',
    'piece',
    { water: 0.5, fat: 0.08, salt: 0.003 },
    {
      gelatinPool: 0.04,
      gelatinHalfLifeH: 3,
      renderedFat: 0.03,
      retention: 110,
      retentionPressed: 90,
      packing: 0.55,
    },
  ),
  stuff(
    'leaves',
    'piece',
    { water: 0.92, sugar: 0.01, salt: 0.002 },
    { givesWater: 0.3, retention: 200, retentionPressed: 60, packing: 0.12, allergens: ['celery'] },
  ),
  stuff(
    'grain',
    'piece',
    { water: 0.11, starch: 0.6, sugar: 0.02 },
    { takesWater: 1.9, retention: 100, retentionPressed: 80, allergens: ['gluten'] },
  ),
  stuff('wine', 'liquid', { water: 0.885, ethanol: 0.1, sugar: 0.005 }, { allergens: ['sulphites'] }),
  stuff(
    'cream',
    'liquid',
    { water: 0.6, fat: 0.35, salt: 0.001, sugar: 0.03 },
    { fatBound: true, allergens: ['milk'] },
  ),
  stuff('oil', 'liquid', { fat: 1 }),
  stuff('roux', 'liquid', { water: 0.14, fat: 0.41, starch: 0.36 }, { fatBound: true, binding: 0.5 }),
  stuff('salt', 'liquid', { salt: 1 }),
  WATER,
];
const pick = <T>(...all: readonly T[]): fc.Arbitrary<T> => fc.constantFrom(...all);
const num = (min: number, max: number): fc.Arbitrary<number> =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });

const matter: fc.Arbitrary<Matter> = pick(...STUFFS).map(of);
const pans = [
  round(36, 36, 36),
  round(24, 30, 20),
  round(40, 40, 16),
  { ...round(1, 1, 1), shape: 'box' as const, lengthCm: 50, widthCm: 30, heightCm: 14 },
];
const hobs = [hob(), { ...hob(3), draught: true }, hob(0.8)];

const jointCost: fc.Arbitrary<JointCost> = fc.oneof(
  fc.constant<JointCost>({ by: 'weight' }),
  num(0, 0.0005).map((perG): JointCost => ({ by: 'credit', perG })),
  fc.record({ by: fc.constant('market' as const), perG: num(0, 0.05), restPerG: num(0, 0.05) }),
);

/** One step, as likely to make sense as not: what cannot be done is refused, and that is part of the test. */
const step: fc.Arbitrary<PotStep> = fc.oneof(
  { weight: 5, arbitrary: fc.record({ do: fc.constant('add' as const), what: matter, g: num(1, 4000) }) },
  {
    weight: 2,
    arbitrary: num(100, 9000).map((value): PotStep => ({ do: 'water', to: { by: 'ml', value } })),
  },
  num(0.1, 5).map((value): PotStep => ({ do: 'water', to: { by: 'cover', value } })),
  fc.record({
    do: fc.constant('brown' as const),
    vapour: num(0.01, 0.3),
    fatRunOff: num(0, 0.02),
    hours: num(0, 1),
    fatKept: fc.boolean(),
    as: pick(undefined, 'dripping'),
    cost: jointCost,
  }),
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant('cook' as const),
      heat: pick(...HEATS),
      hours: num(0.01, 3),
      lid: pick(...LIDS),
      underFat: pick(undefined, undefined, true),
    }),
  },
  fc.record({
    do: fc.constant('skim' as const),
    ml: num(1, 400),
    from: pick('body' as const, 'surface' as const),
  }),
  fc.record({ do: fc.constant('strain' as const), pressed: fc.boolean(), through: pick(...STRAINERS) }),
  fc.record({ do: fc.constant('into' as const), vessel: pick(...pans), hob: pick(...hobs) }),
  fc.record({
    do: fc.constant('defat' as const),
    by: pick(...DEFATS),
    as: pick(undefined, 'lifted fat'),
    cost: jointCost,
  }),
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('split' as const),
      part: fc.oneof(
        num(0.05, 0.95).map((value) => ({ by: 'share' as const, value })),
        num(50, 4000).map((value) => ({ by: 'ml' as const, value })),
      ),
      liquidOnly: fc.boolean(),
      vessel: pick(...pans),
      hob: pick(...hobs),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ do: pick('turn to' as const, 'combine' as const), vessel: pick(...pans) }),
  },
  {
    weight: 3,
    arbitrary: fc
      .tuple(
        pick(...HEATS),
        fc.oneof(
          num(0.1, 0.95).map((value) => ({ until: 'share' as const, value })),
          num(0.2, 8).map((value) => ({ until: 'gelatin' as const, value })),
          num(0.05, 3).map((value) => ({ until: 'salt' as const, value })),
          num(0.05, 1).map((value) => ({ until: 'hours' as const, value })),
        ),
      )
      .map(([heat, to]): PotStep => ({ do: 'reduce', heat, lid: 'off', to })),
  },
  fc.record({
    do: fc.constant('thicken' as const),
    what: fc.constant(of(STUFFS[6] as Stuff)),
    g: num(1, 300),
  }),
  fc.record({
    do: pick('deglaze' as const, 'to taste' as const, 'loosen' as const, 'enrich' as const),
    what: pick(of(STUFFS[3] as Stuff), of(STUFFS[4] as Stuff), of(WATER)),
    g: num(1, 800),
  }),
  fc.record({
    do: fc.constant('thicken to' as const),
    what: fc.constant(of(STUFFS[6] as Stuff)),
    band: pick(...BANDS),
  }),
  fc.record({
    do: fc.constant('loosen to' as const),
    what: pick(of(STUFFS[4] as Stuff), of(WATER)),
    band: pick(...BANDS),
  }),
  fc.constant<PotStep>({ do: 'top up' }),
  fc.record({
    do: fc.constant('pick' as const),
    share: num(0.05, 1),
    as: pick(undefined, 'picked', 'meat'),
    cost: jointCost,
  }),
  fc.record({ do: fc.constant('second wash' as const), as: fc.constant('spent'), cost: jointCost }),
  fc.record({
    do: fc.constant('draw off' as const),
    ml: num(50, 3000),
    as: fc.constant('drawn'),
    liquidOnly: fc.boolean(),
    cost: jointCost,
  }),
  fc.record({ do: fc.constant('roux' as const), to: pick(...ROUX), hours: num(0, 0.5) }),
  fc.record({ do: pick('puree' as const, 'sieve' as const), loss: num(0, 0.3) }),
  fc.record({ do: fc.constant('second pass' as const), share: num(0.05, 1) }),
  fc.record({ do: fc.constant('chill' as const), celsius: num(0, 60), hours: num(0, 4) }),
  fc.record({ do: fc.constant('hold' as const), hours: num(0.1, 5), lossPerHour: num(0, 0.1) }),
  fc.record({
    do: fc.constant('season to' as const),
    what: fc.constant(of(STUFFS[7] as Stuff)),
    saltPct: num(0.1, 2),
  }),
);

const cook: PotStep = { do: 'cook', heat: 'simmer', hours: 0.3, lid: 'off' };

/** Steps that only make sense one after the other. */
const phrase: fc.Arbitrary<PotStep[]> = fc.oneof(
  fc
    .record({
      share: num(0.05, 1),
      as: pick(undefined, 'picked', 'meat'),
      cost: jointCost,
      wash: fc.boolean(),
    })
    .map(({ wash, ...picked }): PotStep[] => [
      { do: 'strain', pressed: false, through: 'cone sieve' },
      { do: 'pick', ...picked },
      ...(wash ? [{ do: 'second wash' as const, as: 'spent', cost: picked.cost }] : []),
    ]),
  num(0.05, 1).map((share): PotStep[] => [
    { do: 'puree' },
    { do: 'sieve', loss: 0.1 },
    { do: 'second pass', share },
  ]),
  fc
    .tuple(num(0.1, 0.9), fc.boolean(), pick(...pans), pick(...pans), matter)
    .map(([value, liquidOnly, vessel, back, what]): PotStep[] => [
      { do: 'split', part: { by: 'share', value }, liquidOnly, vessel, hob: hob(3) },
      cook,
      { do: 'turn to', vessel },
      { do: 'add', what, g: 200 },
      cook,
      { do: 'turn to', vessel: back },
      { do: 'combine', vessel },
    ]),
  fc.record({ what: matter, g: num(1, 300) }).map(({ what, g }): PotStep[] => [
    { do: 'mount', what, g },
    { do: 'season', what, g: g / 50 },
    { do: 'bring', celsius: 85 },
  ]),
);

/** Pots of up to `most` steps that begin with something in them: many run into a refusal, and that is part of the test. */
export const randomPot = (most = 20): fc.Arbitrary<Pot> =>
  fc
    .tuple(
      pick(...pans),
      pick(...hobs),
      num(200, 6000),
      matter,
      fc
        .array(fc.oneof({ weight: 12, arbitrary: step.map((s) => [s]) }, { weight: 3, arbitrary: phrase }), {
          minLength: 1,
          maxLength: most,
        })
        .map((steps) => steps.flat().slice(0, most)),
    )
    .map(([vessel, on, g, what, steps]) => ({ vessel, hob: on, steps: [{ do: 'add', what, g }, ...steps] }));

/** The same without the steps that cannot be done: pots that are cooked to their end, a portioning now and then. */
export const workingPot = (most = 20): fc.Arbitrary<Pot> =>
  fc.tuple(randomPot(most), fc.integer({ min: 0, max: 3 })).map(([pot, last]) => {
    const portioned: PotStep[] = last === 0 ? [{ do: 'portion', ml: 20, overfill: 0.03 }] : [];
    let steps = [...pot.steps, ...portioned];
    for (;;) {
      const { refused } = runPot({ ...pot, steps }, CONSTANTS);
      if (!refused) return { ...pot, steps };
      steps = steps.filter((_, i) => i !== refused.step);
    }
  });

/** Both kinds. */
export const anyPot = (most = 20): fc.Arbitrary<Pot> => fc.oneof(randomPot(most), workingPot(most));
