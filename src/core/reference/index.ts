import { z } from 'zod';
import type { LearningConstants } from '../learning';
import type { ProcessConstants } from '../pot';
import table from './process.json';

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

/** The constants the pot is run with, out of a table of reference rows. */
export function processConstants(rows: ReadonlyMap<string, ReferenceRow>): ProcessConstants {
  const of = (key: string): number => {
    const row = rows.get(key);
    if (!row) throw new ReferenceError(`the constant ${key} is missing`);
    return row.value;
  };
  // The edges of a band are the range in which most would still call it that.
  const band = (key: string) => {
    const row = rows.get(key);
    if (!row) throw new ReferenceError(`the constant ${key} is missing`);
    return { low: row.low, middle: row.value, high: row.high };
  };
  const heat = (rate: string, celsius: string) => ({ rate: of(rate), celsius: of(celsius) });
  const defat = (left: string, drag: string, hours: string) => ({
    left: of(left) / 100,
    drag: of(drag),
    hours: of(hours),
  });
  return {
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
    addedCelsius: of('temp_added'),
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
    coating: { flourGPerL: of('flour_eq_coating'), gelatinPct: of('gelatin_coats_spoon_hot') },
    oversaltedPct: of('salt_threshold_oversalted'),
    halfLifeH: {
      fat: of('half_life_rendered_fat'),
      salt: of('half_life_salt_sugar'),
      gives: of('half_life_gives_water'),
      takes: of('half_life_takes_water'),
    },
    ethanolByMinutes: [
      [0, 1],
      ...[15, 30, 60, 90, 120].map((m): [number, number] => [m, of(`alcohol_left_${m}min`) / 100]),
      [150, of('alcohol_left_150min') / 100],
    ],
    boilOffExponent: of('alcohol_boil_off_exponent'),
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
    sieveLoss: of('puree_loss_fine_sieve') / 100,
    chillHours: of('hours_chill'),
    holdLossPerHour: of('hold_water_loss') / 100,
    leastDepthCm: of('least_depth'),
    wallLossKwPerM2: of('wall_loss_kw_per_m2'),
    efficiency: { electricity: of('eff_electric_plate'), gas: of('eff_gas_open') },
    hands: Object.fromEntries(
      [...rows.values()]
        .filter((row) => row.key.startsWith('hands_'))
        .map((row) => [row.key.slice('hands_'.length).replaceAll('_', ' '), row.value / 60]),
    ),
    latentKj: of('latent_heat_100c'),
    heatCapacity: { liquid: of('specific_heat_water'), pieces: of('specific_heat_pieces') },
  };
}

/** The shipped table, checked once when the program starts. */
export const REFERENCE = readReference(table);
export const CONSTANTS: ProcessConstants = processConstants(REFERENCE);

const rowOf = (key: string): number => {
  const row = REFERENCE.get(key);
  if (!row) throw new ReferenceError(`the constant ${key} is missing`);
  return row.value;
};

/** How tests fade, and how sure an estimate without a range is of itself. */
export const LEARNING: LearningConstants = {
  fadeHalfLifeDays: rowOf('test_fade_half_life'),
  bareRange: rowOf('range_of_bare_estimate') / 100,
};

export { adopted, readReferenceLarder, referenceLarder, type ReferenceIngredient } from './ingredients';
