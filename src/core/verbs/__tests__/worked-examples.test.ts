import { sharePrice, WATER } from '../../larder';
import { readingAt20 } from '../../quantity';
import { CONSTANTS } from '../../reference';
import worked from '../../testing/worked-examples.json';
import { hob, of, round, stuff } from '../../testing/stuff';
import { runningBook } from '../../layers';
import {
  capacityMl,
  dipAt,
  levelAt,
  openAreaM2,
  type PotRun,
  type ProcessConstants,
  type Vessel,
} from '../../pot';
import { runPot, type PotStep } from '..';

/* The examples state their own rates and take no account of temperature: every heat is at 20 °C. */
const rates = (
  rate: Partial<Record<keyof ProcessConstants['heats'], number>>,
  more: Partial<ProcessConstants> = {},
): ProcessConstants => ({
  ...CONSTANTS,
  addedCelsius: 20,
  heats: Object.fromEntries(
    Object.keys(CONSTANTS.heats).map((heat) => [
      heat,
      { rate: rate[heat as keyof typeof rate] ?? 0, celsius: 20 },
    ]),
  ) as ProcessConstants['heats'],
  ...more,
});

type Case = Record<string, any>; // eslint-disable-line @typescript-eslint/no-explicit-any
const example = (id: string): Case => worked.cases.find((c) => c.id === id) as Case;
const near = (got: number, want: number, share = 0.002): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(Math.max(Math.abs(want) * share, 1e-6));

/**
 * The examples let all of a piece's salt and sugar pass into the liquid; here they pass until both are equally salty and sweet, so that
 * pieces which stay in keep some: half a percent of their weight, and the liquid's salt is held against the law and not the example.
 */
const BALANCED = 0.006;

function matches(run: PotRun, expected: Case, cost: readonly number[], share = 0.002): void {
  expect(run.refused).toBeUndefined();
  expect(run.rows).toHaveLength(expected.rows.length);
  for (const [i, row] of run.rows.entries()) {
    const want = expected.rows[i];
    near(row.ml, want.ml, share);
    near(row.g, want.mass, share);
    near(row.piecesG, want.pieces, share);
    near(row.coldLevelCm, want.level, share);
    if (share !== BALANCED) near(row.saltPct, want.salt);
    near(row.gelatinPct, want.gelatin, share);
    if (want.evaporated) near(row.lost.evaporated ?? 0, want.evaporated, share);
    if (want.hours) near(row.heatHours, want.hours, 0.005);
    const spent = cost.slice(0, row.inputsSoFar).reduce((a, b) => a + b, 0);
    expect(spent).toBeCloseTo(want.cost, 2);
    if (want.cost_l) near((spent / row.ml) * 1000, want.cost_l, share);
  }
}

const cylinder = (d: number, h: number): Vessel => round(d, d, h);
const totals = (run: PotRun): Record<string, number> => {
  const sum: Record<string, number> = {};
  for (const row of run.rows)
    for (const [cause, g] of Object.entries(row.lost)) sum[cause] = (sum[cause] ?? 0) + g;
  return sum;
};

describe('worked examples', () => {
  test('trim-schools', () => {
    const { given: g, expect: e } = example('trim-schools');
    for (const school of ['free', 'value', 'weight'] as const) {
      const got = sharePrice(
        g.usable_yield,
        [{ name: 'Stock trim', share: g.stock_trim, setValue: g.set_value_per_kg, taken: 1 }],
        g.price_per_kg,
        school,
      );
      expect(got.ok && got.value.usable).toBeCloseTo(e[school].usable_per_kg, 6);
      expect(got.ok && got.value.others[0]).toBeCloseTo(e[school].stock_trim_per_kg, 6);
    }
  });

  test('tapered-vessel', () => {
    const { given: g, expect: e } = example('tapered-vessel');
    const v = round(g.base_cm, g.top_cm, g.height_cm);
    near(capacityMl(v), e.capacity_ml, 1e-9);
    for (const [i, ml] of g.ml.entries()) {
      near(levelAt(v, ml), e.level_cm[i], 1e-4);
      near(dipAt(v, levelAt(v, ml)), e.dip_cm[i], 1e-4);
      near(openAreaM2(v, levelAt(v, ml)), e.open_area_m2[i], 1e-4);
    }
  });

  test('hot-reading', () => {
    const { given: g, expect: e } = example('hot-reading');
    for (const [i, celsius] of g.celsius.entries())
      near(readingAt20(g.read_ml, celsius), e.ml_at_20[i], 1e-6);
  });

  test('evaporation under three lids', () => {
    const { given: g, expect: e } = example('evaporation');
    const c = rates(
      { simmer: g.rate },
      { lids: { ...CONSTANTS.lids, off: 1, ajar: g.lid.ajar, on: g.lid.on } },
    );
    for (const lid of ['off', 'ajar', 'on'] as const) {
      const run = runPot(
        {
          vessel: cylinder(g.diameter_cm, g.height_cm),
          hob: hob(),
          steps: [
            { do: 'add', what: of(WATER), g: g.water_g },
            { do: 'cook', heat: 'simmer', hours: g.hours, lid },
          ],
        },
        c,
      );
      near(run.rows[1]?.lost.evaporated ?? 0, e[lid].evaporated_g);
      near(run.rows[1]?.ml ?? 0, e[lid].ml);
      near(run.rows[1]?.coldLevelCm ?? 0, e[lid].level_cm);
    }
  });

  test('wine-by-half', () => {
    const { given: g, expect: e } = example('wine-by-half');
    const wine = stuff('wine', 'liquid', g.composition);
    const run = runPot(
      {
        vessel: round(g.base_cm, g.top_cm, g.height_cm),
        hob: hob(),
        steps: [
          { do: 'add', what: of(wine), g: g.g },
          { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'share', value: 0.5 } },
        ],
      },
      rates({ 'brisk boil': g.rate }),
    );
    matches(run, e, [g.cost]);
    near(run.rows[1]?.ethanolPct ?? 0, e.ethanol_pct);
  });

  test('bone-stock-to-a-quarter', () => {
    const { given: g, expect: e } = example('bone-stock-to-a-quarter');
    const bones = stuff(
      'bones',
      'piece',
      { water: 0.55, fat: 0.12 },
      { gelatinPool: 0.045, gelatinHalfLifeH: 3, renderedFat: 0.04, retention: 120 },
    );
    const vegetables = stuff(
      'vegetables',
      'piece',
      { water: 0.89, sugar: 0.05, salt: 0.001 },
      { retention: 250 },
    );
    const steps: PotStep[] = [
      { do: 'add', what: of(bones), g: 8000 },
      { do: 'brown', vapour: 0.18, fatRunOff: 0, hours: 0 },
      { do: 'add', what: of(WATER), g: 16000 },
      { do: 'cook', heat: 'bare simmer', hours: 4, lid: 'off' },
      { do: 'add', what: of(vegetables), g: 1500 },
      { do: 'cook', heat: 'bare simmer', hours: 1.5, lid: 'off' },
      { do: 'skim', ml: 200, from: 'body' },
      { do: 'strain', pressed: false, through: 'cloth' },
      { do: 'defat', by: 'cold' },
      { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'share', value: 0.25 } },
    ];
    const c = rates(
      { 'bare simmer': 4, 'brisk boil': 22 },
      {
        defat: { ...CONSTANTS.defat, cold: { left: 0.05, drag: 0.25, hours: 0 } },
        strainers: { ...CONSTANTS.strainers, cloth: 120 },
      },
    );
    const run = runPot({ vessel: cylinder(36, 36), hob: hob(), steps }, c);
    matches(run, e, [g.bone_cost, 0, g.vegetable_cost], BALANCED);
    for (const [cause, grams] of Object.entries(e.lost_g))
      near(totals(run)[cause] ?? 0, grams as number, BALANCED);
    near(run.rows[9]?.heatHours ?? 0, e.hours, 0.005);
  });

  test('grain-swells', () => {
    const { given: g, expect: e } = example('grain-swells');
    const broth = stuff('broth', 'liquid', { water: 0.965, gelatin: 0.012, salt: 0.003, fat: 0.004 });
    const spelt = stuff('spelt', 'piece', { water: 0.11, starch: 0.62, sugar: 0.02 }, { takesWater: 2.2 });
    const run = runPot(
      {
        vessel: cylinder(28, 24),
        hob: hob(),
        steps: [
          { do: 'add', what: of(broth), g: 5000 },
          { do: 'add', what: of(spelt), g: 300 },
          { do: 'cook', heat: 'simmer', hours: 0.6, lid: 'ajar' },
        ],
      },
      rates({ simmer: 10 }, { lids: { ...CONSTANTS.lids, ajar: 0.4 } }),
    );
    matches(run, e, [g.broth_cost, g.spelt_cost], BALANCED);
    near((run.product?.ml ?? 0) / 1000, e.litres_with_grain);
  });

  test('rich-and-thin-base', () => {
    const { given: g, expect: e } = example('rich-and-thin-base');
    const reduced = (base: Case, to: { until: 'gelatin' | 'salt'; value: number }): PotRun =>
      runPot(
        {
          vessel: cylinder(26, 18),
          hob: hob(),
          steps: [
            {
              do: 'add',
              what: of(
                stuff('base', 'liquid', {
                  water: 0.99 - base.gelatin - base.salt,
                  gelatin: base.gelatin,
                  salt: base.salt,
                  rest: 0.01,
                }),
              ),
              g: 4000,
            },
            { do: 'reduce', heat: 'brisk boil', lid: 'off', to },
          ],
        },
        rates({ 'brisk boil': 22 }),
      );
    for (const [name, to] of [
      ['rich', { until: 'gelatin', value: 8 }],
      ['thin', { until: 'gelatin', value: 8 }],
    ] as const) {
      const row = reduced(g[name], to).rows[1];
      near(row?.ml ?? 0, e[name].ml);
      near(row?.saltPct ?? 0, e[name].salt_pct);
      near(row?.heatHours ?? 0, e[name].hours, 0.005);
      near((4 * g[name].price * 1000) / (row?.ml ?? 0), e[name].cost_per_l);
    }
    const stopped = reduced(g.thin, { until: 'salt', value: g.salt_limit_pct }).rows[1];
    near(stopped?.ml ?? 0, e.thin_stopped_by_salt.ml);
    near(stopped?.gelatinPct ?? 0, e.thin_stopped_by_salt.gelatin_pct);
    near(stopped?.heatHours ?? 0, e.thin_stopped_by_salt.hours, 0.005);
    const missing = (1 - (stopped?.body ?? 0)) * CONSTANTS.coating.flourGPerL * ((stopped?.ml ?? 0) / 1000);
    near(missing, e.thin_stopped_by_salt.flour_equivalent_g_to_body_1);
  });

  test('multiplying-is-wrong, as far as multiplying goes', () => {
    const { expect: e } = example('multiplying-is-wrong');
    const broth = stuff('broth', 'liquid', { water: 0.985, gelatin: 0.01 });
    const simmered = (g: number, vessel: Vessel): number =>
      runPot(
        {
          vessel,
          hob: hob(),
          steps: [
            { do: 'add', what: of(broth), g },
            { do: 'cook', heat: 'simmer', hours: 3, lid: 'off' },
          ],
        },
        rates({ simmer: 10 }),
      ).product?.ml ?? 0;
    near(simmered(6000, cylinder(28, 20)), e.small_ml);
    near(simmered(48000, cylinder(50, 45)), e.multiplied_ml);
    near(simmered(6000 * e.right_factor, cylinder(50, 45)), e.eight_times_wanted_ml);
  });

  test('cover-move-thicken, with its running book and portions', () => {
    const { given: g, expect: e } = example('cover-move-thicken');
    const carcass = stuff(
      'carcass',
      'piece',
      { water: 0.62, fat: 0.12, salt: 0.002 },
      { gelatinPool: 0.03, gelatinHalfLifeH: 1.7, renderedFat: 0.06, retentionPressed: 140, packing: 0.45 },
    );
    const vegetables = stuff(
      'vegetables',
      'piece',
      { water: 0.89, sugar: 0.05, salt: 0.001 },
      { retentionPressed: 45, packing: 0.6 },
    );
    const roux = stuff(
      'roux',
      'liquid',
      { water: 0.1475, fat: 0.41, starch: 0.36 },
      { fatBound: true, binding: 0.5 },
    );
    const salt = stuff('salt', 'liquid', { salt: 1 });
    const steps: PotStep[] = [
      { do: 'add', what: of(carcass), g: 6000 },
      { do: 'add', what: of(vegetables), g: 900 },
      { do: 'water', to: { by: 'cover', value: 3 } },
      { do: 'cook', heat: 'bare simmer', hours: 3, lid: 'off' },
      { do: 'strain', pressed: true, through: 'fine mesh' },
      { do: 'into', vessel: cylinder(40, 16), hob: hob(3), clingMl: 35 },
      { do: 'defat', by: 'ladle' },
      { do: 'reduce', heat: 'hard boil', lid: 'off', to: { until: 'share', value: 0.5 } },
      { do: 'add', what: of(roux), g: 360 },
      { do: 'cook', heat: 'simmer', hours: 0.25, lid: 'off' },
      { do: 'season to', what: of(salt), saltPct: 0.9 },
      { do: 'portion', ml: e.portion_ml, overfill: 0 },
    ];
    const c = rates(
      { 'bare simmer': 4, 'hard boil': 38, simmer: 10 },
      {
        defat: { ...CONSTANTS.defat, ladle: { left: 0.12, drag: 1, hours: 0 } },
        strainers: { ...CONSTANTS.strainers, 'fine mesh': 40 },
      },
    );
    const run = runPot({ vessel: cylinder(34, 35), hob: hob(3), steps }, c);
    const costs = run.inputs.map(
      (i) =>
        (g.cost as Record<string, number>)[i.name === 'carcass' ? 'carcasses' : i.name.toLowerCase()] ?? 0,
    );
    matches({ ...run, rows: run.rows.slice(0, -1) }, e, costs, BALANCED);
    near(run.rows[1]?.heapCm ?? 0, e.heap_level_cm);
    near(run.inputs[2]?.g ?? 0, e.water_g);
    near(run.rows[7]?.heatHours ?? 0, e.hours_reducing, 0.005);
    // A third of the carcasses' and vegetables' 12.9 g of salt stays in them: so much more is wanted.
    near(run.inputs[4]?.g ?? 0, e.salt_added_g + 3.53, 0.02);
    const last = run.rows[10];
    near(last?.bindingGPerL ?? 0, e.binding_g_per_l, BALANCED);
    // Fat that the roux holds is body too: 0.445 × −ln(1 − φ/0.78), φ the 148 g of it in the litres there are.
    const held = 147.6 / 0.92 / (last?.ml ?? 1);
    near(last?.body ?? 0, e.body + 0.445 * -Math.log(1 - held / 0.78), 0.01);
    const portions = run.rows[11]?.portions;
    const poured = (portions?.whole ?? 0) * e.portion_ml + (portions?.remainderMl ?? 0);
    near(poured, e.whole_portions * e.portion_ml + e.remainder_ml, BALANCED);
    const book = runningBook(run, costs);
    for (const [cause, lost] of Object.entries(e.running_book.lost))
      near(book.lost[cause as 'clung'] ?? 0, lost as number, BALANCED);
    near(book.left, e.running_book.left_in_product, BALANCED);
    near((10.45 / (last?.ml ?? 1)) * e.portion_ml, e.cost_per_portion, BALANCED);
  });
});
