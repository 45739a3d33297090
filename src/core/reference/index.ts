import { z } from 'zod';
import type { LearningConstants } from '../learning';
import type { Effort, ProcessConstants } from '../pot';
import table from './process.json';
import { hobsFrom } from './stove';

/** One constant with where it comes from and the 90 % range it may lie in. */
const Row = z
  .object({
    key: z.string().regex(/^[a-z0-9_]+$/),
    value: z.number(),
    unit: z.string(),
    low: z.number(),
    high: z.number(),
    confidence: z.enum(['low', 'medium', 'high']),
    basis: z.string().min(1),
    note: z.string(),
  })
  .refine((r) => r.low <= r.value && r.value <= r.high, 'the value lies outside its own range');
export type ReferenceRow = z.infer<typeof Row>;

/** Thrown when the shipped table itself is broken: a programmer's mistake. */
export class ReferenceError extends Error {}

export function readReference(rows: unknown): ReadonlyMap<string, ReferenceRow> {
  const parsed = z.array(Row).safeParse(rows);
  if (!parsed.success) throw new ReferenceError(z.prettifyError(parsed.error));
  const map = new Map(parsed.data.map((row) => [row.key, row]));
  if (map.size !== parsed.data.length) throw new ReferenceError('two constants share a key');
  return map;
}

function rowOf(rows: ReadonlyMap<string, ReferenceRow>, key: string): ReferenceRow {
  const row = rows.get(key);
  if (!row) throw new ReferenceError(`the constant ${key} is missing`);
  return row;
}

/** What reads a constant: its value, its band, and pairs and triples that belong together. */
const reading = (rows: ReadonlyMap<string, ReferenceRow>) => {
  const row = (key: string) => rowOf(rows, key);
  const of = (key: string): number => row(key).value;
  return {
    of,
    // The edges of a band are the range in which most would still call it that.
    band: (key: string) => ({ low: row(key).low, middle: row(key).value, high: row(key).high }),
    heat: (rate: string, celsius: string) => ({ rate: of(rate), celsius: of(celsius) }),
    defat: (left: string, drag: string, hours: string) => ({
      left: of(left) / 100,
      drag: of(drag),
      hours: of(hours),
    }),
  };
};
type Reading = ReturnType<typeof reading>;

/** How fast it steams away and comes out, under which heat and lid. */
const cooking = ({ of, heat }: Reading) => ({
  heats: {
    'bare simmer': heat('evap_bare_simmer', 'temp_bare_simmer'),
    simmer: heat('evap_simmer', 'temp_simmer'),
    'brisk boil': heat('evap_brisk_boil', 'temp_brisk_boil'),
    'hard boil': heat('evap_hard_boil', 'temp_hard_boil'),
    'wide pan': heat('evap_wide_pan_reduction', 'temp_wide_pan'),
  },
  lids: {
    off: 1,
    ajar: of('lid_factor_ajar'),
    on: of('lid_factor_closed'),
    paper: of('lid_factor_cartouche'),
  },
  factors: { fatLayer: of('surface_fat_layer_factor'), draught: of('extractor_draught_factor') },
  halfLifeH: {
    fat: of('half_life_rendered_fat'),
    salt: of('half_life_salt_sugar'),
    gives: of('half_life_gives_water'),
    takes: of('half_life_takes_water'),
  },
  ethanolByMinutes: [
    [0, 1],
    ...[15, 30, 60, 90, 120, 150].map((m): [number, number] => [m, of(`alcohol_left_${m}min`) / 100]),
  ] as const satisfies readonly (readonly [number, number])[],
  gelatinFade: { halfLifeH: of('gelatin_degrade_half_life_95c'), celsius: 95 },
  cooling: {
    open: of('cool_evap_open') / 100,
    covered: of('cool_evap_covered') / 100,
    from: 90,
    to: 20,
  },
  boilOffExponent: of('alcohol_boil_off_exponent'),
});

/** What stays behind in strainers, ladles, sieves and on walls. */
const leaving = ({ of, defat }: Reading) => ({
  strainers: {
    colander: of('cling_colander'),
    'fine mesh': of('cling_fine_mesh'),
    'cone sieve': of('cling_cone_sieve'),
    cloth: of('cling_cloth'),
  },
  wallCling: { thin: of('cling_pot_per_m2'), coating: of('cling_reduced_sauce_per_m2') },
  defat: {
    ladle: defat('fat_left_ladle', 'skim_drag_ladle', 'hours_defat_ladle'),
    jug: defat('fat_left_separator', 'skim_drag_separator', 'hours_defat_jug'),
    cold: defat('fat_left_chill_lift', 'skim_drag_chill_lift', 'hours_defat_cold'),
  },
  skimDrag: of('skim_drag_ladle'),
  sieveLoss: of('puree_loss_fine_sieve') / 100,
  holdLossPerHour: of('hold_water_loss') / 100,
});

/** What thickens, and where it begins to coat or is too much. */
const binding = ({ of, band }: Reading) => ({
  coating: { flourGPerL: of('flour_eq_coating'), gelatinPct: of('gelatin_coats_spoon_hot') },
  held: { factor: of('held_fat_factor'), splitsAt: of('held_fat_splits') },
  bodyPerPulpPct: of('pulp_body'),
  delicate: {
    mountedC: of('mounted_butter_max_temp'),
    butterSauceC: of('butter_sauce_max_temp'),
    butterSauceShare: of('butter_sauce_fat_share'),
    guardGPerL: of('curdle_guard_flour_eq'),
    guardedC: of('curdle_guarded_temp'),
    boilGPerL: of('curdle_boil_flour_eq'),
    thickYolkC: of('yolk_thick_temp'),
    heldWarns: of('held_fat_warns'),
  },
  cold: {
    starch: of('cold_starch_per_10c'),
    gelatin: of('cold_gelatin_per_10c'),
    held: of('cold_held_per_10c'),
    setsC: of('gelatin_sets_temp'),
    setPct: of('gelatin_coats_set'),
  },
  gels: { wobbles: band('gelatin_set_soft'), cuts: band('gelatin_set_firm') },
  oversaltedPct: of('salt_threshold_oversalted'),
  bands: {
    soup: band('flour_eq_soup'),
    pouring: band('flour_eq_pouring'),
    coating: band('flour_eq_coating'),
    binding: band('flour_eq_binding'),
  },
  roux: {
    white: of('thick_white_roux'),
    blond: of('thick_blond_roux'),
    brown: of('thick_brown_roux'),
    dark: of('thick_dark_roux'),
    kneaded: of('thick_beurre_manie'),
  },
  puree: { loss: of('puree_loss_blender_pass') / 100, starchBinding: of('puree_starch_binding') },
});

/** Active work by kind of step, out of its rows in minutes. */
function handsIn(rows: ReadonlyMap<string, ReferenceRow>): ProcessConstants['hands'] {
  const found: Record<string, Effort> = {};
  for (const { key } of rows.values()) {
    const kind = /^hands_(.+?)(?:_per_kg|_per_l)?$/.exec(key)?.[1];
    if (kind === undefined) continue;
    const hours = (suffix: string): number => (rows.get(`hands_${kind}${suffix}`)?.value ?? 0) / 60;
    found[kind.replaceAll('_', ' ')] = { fixed: hours(''), perKg: hours('_per_kg'), perL: hours('_per_l') };
  }
  return found;
}

/** The constants the pot is run with, out of a table of reference rows. */
export function processConstants(rows: ReadonlyMap<string, ReferenceRow>): ProcessConstants {
  const read = reading(rows);
  const { of } = read;
  return {
    ...cooking(read),
    ...leaving(read),
    ...binding(read),
    addedCelsius: of('temp_added'),
    clarify: {
      held: of('clarification_raft_loss') / 100,
      fatCaught: of('clarification_fat_caught') / 100,
      pulpCaught: of('clarification_pulp_caught') / 100,
      hours: of('hours_clarify'),
    },
    resting: { celsius: of('temp_resting'), cooler: of('infusing_cooler') },
    chillHours: of('hours_chill'),
    leastDepthCm: of('least_depth'),
    wallLossKwPerM2: of('wall_loss_kw_per_m2'),
    efficiency: { electricity: of('eff_electric_plate'), gas: of('eff_gas_open') },
    hands: handsIn(rows),
    sharedHands: { batch: of('shared_hands_batch') / 60, perL: of('shared_hands_per_l') / 60 },
    latentKj: of('latent_heat_100c'),
    heatCapacity: { liquid: of('specific_heat_water'), pieces: of('specific_heat_pieces') },
  };
}

/** The shipped table, checked once when the program starts. */
export const REFERENCE = readReference(table);
export const CONSTANTS: ProcessConstants = processConstants(REFERENCE);

/** How tests fade, and how sure an estimate without a range is of itself. */
export const LEARNING: LearningConstants = {
  fadeHalfLifeDays: rowOf(REFERENCE, 'test_fade_half_life').value,
  bareRange: rowOf(REFERENCE, 'range_of_bare_estimate').value / 100,
};

export {
  adopted,
  groupOf,
  readReferenceLarder,
  referenceLarder,
  type ReferenceIngredient,
} from './ingredients';
export { MODEL, MODEL_VERSIONS } from './model';
export { improvedBy, LATER_FIELDS, type LaterValues } from './improved';
export { hobLike, referenceVessels, vesselLike, type ReferenceHob, type ReferenceVessel } from './stove';

/** Heat sources as they usually are, to begin from. */
export const REFERENCE_HOBS = hobsFrom((key) => rowOf(REFERENCE, key));
