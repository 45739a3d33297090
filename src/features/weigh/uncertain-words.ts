import type { Snapshot } from '@/core/compare';
import type { Uncertain } from '@/core/uncertainty';

/** Rows of the constants in a cook’s words; others are spelled out as they are called. */
const ROWS: Readonly<Record<string, string>> = {
  evap_bare_simmer: 'how fast a bare simmer boils away',
  evap_simmer: 'how fast a simmer boils away',
  evap_brisk_boil: 'how fast a brisk boil boils away',
  evap_hard_boil: 'how fast a hard boil boils away',
  evap_wide_pan_reduction: 'how fast a wide pan boils away',
  lid_factor_ajar: 'what gets past a lid ajar',
  lid_factor_closed: 'what gets past a lid that is on',
  lid_factor_cartouche: 'what gets past paper',
  gelatin_degrade_half_life_95c: 'how long gelatin holds in the heat',
  gelatin_coats_spoon_hot: 'the gelatin with which a sauce coats',
  flour_eq_coating: 'the flour with which a sauce coats',
  cling_cone_sieve: 'what a cone sieve keeps',
  cling_fine_mesh: 'what a fine mesh keeps',
  cling_colander: 'what a colander keeps',
  cling_cloth: 'what a cloth keeps',
  cling_pot_per_m2: 'what clings to the pot',
  cling_reduced_sauce_per_m2: 'what of a sauce clings to the pot',
  half_life_gives_water: 'how fast vegetables give their water',
  half_life_takes_water: 'how fast grain takes water',
  half_life_salt_sugar: 'how fast salt and sugar come out',
  half_life_rendered_fat: 'how fast fat renders',
  specific_heat_water: 'the heat that water takes',
  specific_heat_pieces: 'the heat that pieces take',
  wall_loss_kw_per_m2: 'the heat that the wall of the pot gives off',
  eff_gas_open: 'how much of the gas reaches the pot',
  eff_electric_plate: 'how much of the power reaches the pot',
  shared_hands_batch: 'setting up and washing up',
  shared_hands_per_l: 'setting up and washing up, per litre',
};

/** What is not known for sure, in words. */
export function uncertainWords({ kind, name, id }: Uncertain): string {
  switch (kind) {
    case 'constant': {
      const hands = /^hands_(.+?)(_per_kg|_per_l)?$/.exec(id);
      if (hands)
        return `labour minutes: ${(hands[1] ?? '').replaceAll('_', ' ')}${hands[2] === '_per_kg' ? ', per kilo' : hands[2] === '_per_l' ? ', per litre' : ''}`;
      return ROWS[id] ?? id.replaceAll('_', ' ');
    }
    case 'yield':
      return `${name}: what is usable`;
    case 'gelatin':
      return `${name}: the gelatin it gives`;
    case 'dissolved':
      return `${name}: the gelatin in it`;
    case 'retention':
      return `${name}: what it keeps when strained`;
    case 'retention pressed':
      return `${name}: what it keeps when pressed`;
    case 'price':
      return `${name}: its price`;
    case 'power':
      return `${name}: the heat that reaches the pot`;
    case 'boils':
      return `${name}: how fast it boils away`;
  }
}

/** Constants that the dips of a pot on the hob tell. */
const BY_DIPS = /^(evap|lid_factor)_/;

type Recipe = Snapshot['recipes'][number];

const takes = ({ steps }: Recipe, ingredient: string): boolean =>
  steps.some((s) => 'of' in s && s.of && 'ingredient' in s.of && s.of.ingredient === ingredient);

/**
 * Where a test of it is made, and what to do there; undefined where nothing in this kitchen weighs it yet.
 * @param pot the sheet it was asked of
 * @param recipes sheets that it is made from: one of them is cooked to see
 */
export function whereWeighed(
  { kind, id }: Uncertain,
  pot: string,
  recipes: readonly Recipe[],
): { readonly href: string; readonly words: string } | undefined {
  switch (kind) {
    case 'gelatin': {
      const from = recipes.find((r) => takes(r, id));
      return from && { href: `/stove?put=${from.id}`, words: `cook ${from.name}, and read its °Bx` };
    }
    case 'constant':
      return BY_DIPS.test(id)
        ? { href: `/stove?put=${pot}`, words: 'put it on, and read its dips' }
        : undefined;
    case 'yield':
    case 'retention':
    case 'retention pressed':
      return { href: `/trim/${id}`, words: 'weigh it' };
    case 'price':
      return { href: `/buy/${id}`, words: 'its prices' };
    case 'power':
      return { href: '/house/stove', words: 'boil water on it' };
    case 'boils': {
      const stands = recipes.find((r) => id.startsWith(`${r.vessel} `))?.id ?? pot;
      return { href: `/stove?put=${stands}`, words: 'put it on, and read its dips' };
    }
    default:
      return undefined;
  }
}

export const FROM_WORDS = {
  tests: 'own tests',
  batches: 'own batches',
  'starting value': 'starting value',
  'prices paid': 'prices of a year',
  judgement: 'nobody has weighed it',
} as const;
