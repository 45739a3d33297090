import fc from 'fast-check';
import { WATER, type Stuff } from '../larder';
import {
  BANDS,
  copyPot,
  DEFATS,
  doStep,
  emptyPot,
  HEATS,
  isIdle,
  LIDS,
  noReport,
  ROUX,
  STRAINERS,
  type JointCost,
  type Matter,
  type PieceChoice,
} from '../pot';
import { VERBS, type Pot, type PotDoing, type PotStep } from '../verbs';
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
  stuff(
    'meat',
    'piece',
    { water: 0.7, fat: 0.06, salt: 0.02 },
    {
      juice: 0.3,
      juiceHalfLifeH: 0.6,
      gelatinPool: 0.02,
      gelatinHalfLifeH: 2,
      renderedFat: 0.04,
      pulp: 0.02,
    },
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

const which = pick<PieceChoice>(undefined, undefined, 'bones', 'meat', 'vegetables', ['meat']);
const [WINE, CREAM, ROUX_STUFF, SALT, MEAT] = ['wine', 'cream', 'roux', 'salt', 'meat'].map((name) =>
  of(STUFFS.find((s) => s.name === name) as Stuff),
) as [Matter, Matter, Matter, Matter, Matter];

/** What random steps of a verb are like, and how often there is one beside the others. */
interface Likely<Do extends PotDoing['do']> {
  readonly weight: number;
  readonly of: fc.Arbitrary<Omit<Extract<PotDoing, { readonly do: Do }>, 'do'>>;
}
const often = <Do extends PotDoing['do']>(weight: number, arbitrary: Likely<Do>['of']): Likely<Do> => ({
  weight,
  of: arbitrary,
});

/** Every verb, so that the laws see it: the table does not compile while one is missing. */
const STEPS: { readonly [Do in PotDoing['do']]: Likely<Do> } = {
  add: often(5, fc.record({ what: matter, g: num(1, 4000) })),
  deglaze: often(0.4, fc.record({ what: pick(WINE, CREAM, of(WATER)), g: num(1, 800) })),
  'to taste': often(0.4, fc.record({ what: pick(WINE, CREAM, of(WATER)), g: num(1, 800) })),
  loosen: often(0.4, fc.record({ what: pick(WINE, CREAM, of(WATER)), g: num(1, 800) })),
  enrich: often(0.4, fc.record({ what: pick(WINE, CREAM, of(WATER)), g: num(1, 800) })),
  mount: often(0.4, fc.record({ what: pick(CREAM, ROUX_STUFF), g: num(1, 300) })),
  season: often(0.4, fc.record({ what: fc.constant(SALT), g: num(0.1, 30) })),
  water: often(
    3,
    fc.oneof(
      num(100, 9000).map((value) => ({ to: { by: 'ml' as const, value } })),
      num(0.1, 5).map((value) => ({ to: { by: 'cover' as const, value } })),
      num(1, 30).map((value) => ({ to: { by: 'level' as const, value } })),
    ),
  ),
  brown: often(
    1,
    fc.record({
      pieces: pick<PieceChoice>(undefined, undefined, 'bones', 'vegetables'),
      vapour: num(0.01, 0.3),
      fatRunOff: num(0, 0.02),
      hours: num(0, 1),
      fatKept: fc.boolean(),
      as: pick(undefined, 'dripping'),
      cost: jointCost,
    }),
  ),
  cook: often(
    4,
    fc.record({
      heat: pick(...HEATS),
      hours: num(0.01, 3),
      lid: pick(...LIDS),
      underFat: pick(undefined, undefined, true),
    }),
  ),
  bring: often(0.5, fc.record({ celsius: num(20, 100) })),
  skim: often(1, fc.record({ ml: num(1, 400), from: pick('body' as const, 'surface' as const) })),
  strain: often(1, fc.record({ pressed: fc.boolean(), through: pick(...STRAINERS) })),
  into: often(1, fc.record({ vessel: pick(...pans), hob: pick(...hobs) })),
  defat: often(1, fc.record({ by: pick(...DEFATS), as: pick(undefined, 'lifted fat'), cost: jointCost })),
  split: often(
    2,
    fc.record({
      part: fc.oneof(
        num(0.05, 0.95).map((value) => ({ by: 'share' as const, value })),
        num(50, 4000).map((value) => ({ by: 'ml' as const, value })),
      ),
      liquidOnly: fc.boolean(),
      vessel: pick(...pans),
      hob: pick(...hobs),
    }),
  ),
  'turn to': often(1, fc.record({ vessel: pick(...pans) })),
  combine: often(1, fc.record({ vessel: pick(...pans) })),
  reduce: often(
    3,
    fc.record({
      heat: pick(...HEATS),
      lid: fc.constant('off' as const),
      to: fc.oneof(
        num(0.1, 0.95).map((value) => ({ until: 'share' as const, value })),
        num(0.2, 8).map((value) => ({ until: 'gelatin' as const, value })),
        num(0.05, 3).map((value) => ({ until: 'salt' as const, value })),
        num(0.05, 1).map((value) => ({ until: 'hours' as const, value })),
      ),
    }),
  ),
  thicken: often(1, fc.record({ what: fc.constant(ROUX_STUFF), g: num(1, 300) })),
  'thicken to': often(1, fc.record({ what: fc.constant(ROUX_STUFF), band: pick(...BANDS) })),
  'loosen to': often(1, fc.record({ what: pick(CREAM, of(WATER)), band: pick(...BANDS) })),
  'top up': often(1, fc.constant({})),
  drain: often(0.6, fc.record({ as: pick(undefined, undefined, 'liquor'), cost: jointCost })),
  blanch: often(0.6, fc.record({ hours: num(0.01, 0.3) })),
  clarify: often(0.5, fc.record({ what: pick(CREAM, of(WATER), MEAT), g: num(10, 600), hours: num(0.1, 1) })),
  'set aside': often(1, fc.record({ pieces: which, share: pick(undefined, 0.4, 1) })),
  return: often(
    1,
    fc.oneof(
      fc.record({ pieces: which, share: pick(undefined, 0.4, 1) }),
      fc.constant({ juicesOnly: true as const }),
    ),
  ),
  'take out': often(0.5, fc.record({ pieces: which })),
  rest: often(0.5, fc.record({ hours: num(0.05, 1) })),
  pick: often(1, fc.record({ share: num(0.05, 1), as: pick(undefined, 'picked', 'meat'), cost: jointCost })),
  'second wash': often(1, fc.record({ as: fc.constant('spent'), cost: jointCost })),
  'draw off': often(
    1,
    fc.record({
      ml: num(50, 3000),
      as: fc.constant('drawn'),
      liquidOnly: fc.boolean(),
      cost: jointCost,
    }),
  ),
  roux: often(1, fc.record({ to: pick(...ROUX), hours: num(0, 0.5) })),
  puree: often(0.5, fc.record({ loss: num(0, 0.3) })),
  sieve: often(0.5, fc.record({ loss: num(0, 0.3) })),
  'second pass': often(1, fc.record({ share: num(0.05, 1) })),
  chill: often(1, fc.record({ celsius: num(0, 60), hours: num(0, 4) })),
  hold: often(1, fc.record({ hours: num(0.1, 5), lossPerHour: num(0, 0.1) })),
  'season to': often(1, fc.record({ what: fc.constant(SALT), saltPct: num(0.1, 2) })),
  // It ends a pot: anyone who wants one puts it last.
  portion: often(0, fc.record({ ml: num(10, 400), overfill: num(0, 0.2) })),
};

/** Weights are whole numbers to the library. */
const TENTHS = 10;

/** One step, as likely to make sense as not: what cannot be done is refused, and that is part of the test. */
const step: fc.Arbitrary<PotStep> = fc.oneof(
  ...Object.entries(STEPS)
    .filter(([, { weight }]) => weight > 0)
    .map(([verb, { weight, of: rest }]) => ({
      weight: Math.round(weight * TENTHS),
      // The verb and the rest of its step stand in one row of the table.
      arbitrary: (rest as fc.Arbitrary<object>).map((made) => ({ ...made, do: verb }) as PotStep),
    })),
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
  fc
    .tuple(which, pick(undefined, 0.5), num(0.05, 1), fc.boolean())
    .map(([pieces, share, hours, picks]): PotStep[] => [
      { do: 'set aside', pieces, share },
      { do: 'brown', vapour: 0.05, fatRunOff: 0, hours },
      { do: 'rest', hours },
      ...(picks ? [{ do: 'pick' as const, share: 0.6, cost: { by: 'weight' as const } }] : []),
      { do: 'return', juicesOnly: true },
      { do: 'return', pieces },
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
    const steps: PotStep[] = [];
    let state = emptyPot(pot.vessel, pot.hob, CONSTANTS.addedCelsius);
    // Each step is tried on what the ones before it have left, so that none is cooked more than once.
    for (const next of [...pot.steps, ...portioned]) {
      if (isIdle(next)) continue;
      const tried = copyPot(state);
      if (doStep(VERBS, tried, next, CONSTANTS, noReport())) continue;
      state = tried;
      steps.push(next);
    }
    return { ...pot, steps };
  });

/** Both kinds. */
export const anyPot = (most = 20): fc.Arbitrary<Pot> => fc.oneof(randomPot(most), workingPot(most));
