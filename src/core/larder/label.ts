import { DENSITY } from '../quantity';
import { fine, refuse, type Outcome } from '../trouble';
import { composition, type WrittenComposition } from './ingredient';
import * as texts from './texts';

/** The table on a packet: what it states, g in 100 g or in 100 ml; what it leaves out is not there. */
export interface NutritionLabel {
  readonly per: '100 g' | '100 ml';
  readonly energyKj?: number | undefined;
  readonly fat?: number | undefined;
  /** Without fibre, as labels here state it. */
  readonly carbohydrate?: number | undefined;
  readonly sugars?: number | undefined;
  readonly fibre?: number | undefined;
  readonly protein?: number | undefined;
  readonly salt?: number | undefined;
  /** By volume, %. */
  readonly alcoholVolPct?: number | undefined;
}

/** What an ingredient is made of, by its label. */
export interface FromLabel {
  readonly composition: WrittenComposition;
  /** g per ml, where the table was per 100 ml. */
  readonly densityGPerMl: number | undefined;
  /** What does not add up, a sentence each: for anyone who holds the packet. */
  readonly remarks: readonly string[];
}

/** kJ per g, for anyone who checks a label against itself (the general factors of food labelling). */
const KJ = { fat: 37, carbohydrate: 17, protein: 17, fibre: 8, ethanol: 29 } as const;
/** Share by which a stated energy may differ: labels round, and some carbohydrate is not worth 17. */
const ENERGY_OFF = 0.15;
/** g per 100 that rounding on the label makes. */
const ROUNDING = 0.5;

const FIELDS = ['fat', 'carbohydrate', 'fibre', 'protein', 'salt'] as const;

/**
 * Composition from a nutrition table. What the table does not account for is water; protein and fibre are the rest; carbohydrate
 * that is not sugars is starch. Of 100 ml the water is what fills them up beside the densities of the parts.
 * @returns trouble `nothing-stated`, `over-whole`, `sugars-over`, `over-hundred`, with the number and the limit
 */
export function fromLabel(label: NutritionLabel): Outcome<FromLabel> {
  const wrong = flawIn(label);
  if (wrong) return wrong;
  const { carbohydrate = 0, sugars = 0, fibre = 0, protein = 0, fat = 0, salt = 0, alcoholVolPct } = label;
  const starch = Math.max(0, carbohydrate - sugars);
  const rest = fibre + protein;
  const inMl = label.per === '100 ml';
  // 100 ml are filled up with water; 100 g are made up to their weight.
  const ethanolG = ((alcoholVolPct ?? 0) / 100) * DENSITY.ethanol * 100;
  const stated = fat + carbohydrate + rest + salt;
  const fullMl =
    fat / DENSITY.fat +
    sugars / DENSITY.sugar +
    starch / DENSITY.starch +
    salt / DENSITY.salt +
    rest / DENSITY.rest +
    (inMl ? ethanolG / DENSITY.ethanol : 0);
  const waterG = inMl ? Math.max(0, (100 - fullMl) * DENSITY.water) : Math.max(0, 100 - stated);
  const wholeG = inMl ? waterG + stated + ethanolG : 100;
  if (inMl && fullMl > 100 + ROUNDING)
    return refuse('over-whole', 'label', texts.whatLabelStatesFills(fullMl.toFixed(0)), {
      value: fullMl,
      limit: 100,
    });
  // The drink's alcohol is by volume, and takes the water's place where the table is by weight.
  const water = inMl ? waterG : Math.max(0, waterG - (alcoholVolPct ?? 0) * DENSITY.ethanol);
  const made = whole(
    { water, fat, salt, sugar: sugars, starch },
    100 / wholeG,
    alcoholVolPct === 0 ? undefined : alcoholVolPct,
  );
  if (!made.ok) return made;
  return fine({
    composition: made.value,
    densityGPerMl: inMl ? round(wholeG / 100, 4) : undefined,
    remarks: remarksOn(label, stated),
  });
}

/** Parts in 100 g; what the label's own rounding makes of them beyond the whole is taken off all of them alike. */
function whole(
  parts: Readonly<Record<'water' | 'fat' | 'salt' | 'sugar' | 'starch', number>>,
  factor: number,
  ethanolVolPct: number | undefined,
): Outcome<WrittenComposition> {
  const by = (share: number): WrittenComposition => {
    const of = (g: number): number | undefined => (g > 0 ? round(g * share) : undefined);
    return {
      water: round(parts.water * share),
      fat: of(parts.fat),
      salt: of(parts.salt),
      sugar: of(parts.sugar),
      starch: of(parts.starch),
      ethanolVolPct,
    };
  };
  const made = by(factor);
  const checked = composition(made);
  if (checked.ok) return fine(made);
  const over = checked.trouble.numbers?.value ?? Infinity;
  if (over > 100 + 2 * ROUNDING) return { ok: false, trouble: { ...checked.trouble, path: 'label' } };
  const less = by(factor * (1 - (over - 99.98) / 100) ** 2);
  return composition(less).ok ? fine(less) : { ok: false, trouble: { ...checked.trouble, path: 'label' } };
}

const round = (x: number, places = 2): number => Number(x.toFixed(places));

function flawIn(label: NutritionLabel): ReturnType<typeof refuse> | undefined {
  const given = FIELDS.filter((f) => label[f] !== undefined);
  if (given.length === 0 && label.alcoholVolPct === undefined)
    return refuse('nothing-stated', 'fat', texts.copyLeastOneFigure);
  for (const field of [...FIELDS, 'sugars', 'alcoholVolPct'] as const) {
    const value = label[field] ?? 0;
    if (!(value >= 0 && value <= 100))
      return refuse('over-hundred', field, texts.shareOf100OutOfRange(value), {
        value,
        limit: 100,
      });
  }
  const { carbohydrate, sugars } = label;
  if (sugars !== undefined && sugars > (carbohydrate ?? 0) + ROUNDING)
    return refuse(
      'sugars-over',
      'sugars',
      carbohydrate === undefined
        ? texts.sugarsGPartCarbohydrate(sugars)
        : texts.sugarsGMoreThan(sugars, carbohydrate),
      { value: sugars, limit: carbohydrate ?? 0 },
    );
  const sum = FIELDS.reduce((all, field) => all + (label[field] ?? 0), 0);
  if (label.per === '100 g' && sum > 100 + ROUNDING)
    return refuse('over-whole', 'label', texts.tableAddsUpG(round(sum, 1)), {
      value: sum,
      limit: 100,
    });
  return undefined;
}

function remarksOn(label: NutritionLabel, stated: number): string[] {
  const remarks: string[] = [];
  const { carbohydrate, sugars, energyKj } = label;
  if (carbohydrate !== undefined && carbohydrate > 0 && sugars === undefined)
    remarks.push(`Sugars are not stated: all ${carbohydrate} g of carbohydrate are taken for starch.`);
  const missing = FIELDS.filter((f) => label[f] === undefined && f !== 'fibre');
  if (missing.length > 0) remarks.push(`Not stated and taken as none: ${missing.join(', ')}.`);
  const ethanolG = (label.alcoholVolPct ?? 0) * DENSITY.ethanol;
  const byParts =
    (label.fat ?? 0) * KJ.fat +
    (carbohydrate ?? 0) * KJ.carbohydrate +
    (label.protein ?? 0) * KJ.protein +
    (label.fibre ?? 0) * KJ.fibre +
    ethanolG * KJ.ethanol;
  if (energyKj !== undefined && Math.abs(byParts - energyKj) > Math.max(40, ENERGY_OFF * energyKj))
    remarks.push(
      `By these figures 100 would have ${byParts.toFixed(0)} kJ; the label says ${energyKj}. One of them is misread.`,
    );
  if (stated + ethanolG < 0.5) remarks.push('Next to nothing is stated: it is taken for water.');
  return remarks;
}
