import { DENSITY, PARTS, noParts, partsMl, type Part, type Parts } from '../quantity';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import * as texts from './texts';

/** `liquid` joins the liquid at once; `piece` stays one until strained out, puréed or served. */
export type Role = 'liquid' | 'piece';

/**
 * What the pot needs to know about a thing, per g of its usable part.
 * Everything the physics reads, nothing that costs money.
 */
export interface Stuff {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Shares of mass, adding up to 1. */
  readonly parts: Parts;
  /** Fat of milk, cream, cheese, egg and roux does not float: it is bound. */
  readonly fatBound: boolean;
  /** Flour equivalent, g per g, that it binds with once it is in the liquid. */
  readonly binding: number;
  /** Gelatin that long simmering draws out, g per g raw, carved out of the rest. */
  readonly gelatinPool: number;
  readonly gelatinHalfLifeH: number;
  /** Fat that ends up floating, g per g raw. */
  readonly renderedFat: number;
  /** Pure water taken up, g per g raw (grains, noodles, dried mushrooms). */
  readonly takesWater: number;
  /** Water given up on first heating, g per g raw (leaves, mushrooms), and the h in which half of it has; the usual ones where undefined. */
  readonly givesWater: number;
  readonly givesHalfLifeH?: number | undefined;
  /** Juice that heat presses out of meat, fish and shellfish, g of water per g raw, and the h in which half of it has come out near the boil. */
  readonly juice: number;
  readonly juiceHalfLifeH: number;
  /** Insoluble solids that thicken once it is blended or milled, g per g raw; of a liquid, what it has been milled to. */
  readonly pulp: number;
  /** Net liquid kept by the drained solids, ml per kg raw, left to drain and pressed. */
  readonly retention: number;
  readonly retentionPressed: number;
  /** °C above which it curdles in a pot that no starch guards: yolk, sour cream. */
  readonly curdlesAt?: number | undefined;
  /** True volume of the pieces over the volume of their heap. */
  readonly packing: number;
  readonly allergens: readonly string[];
}

/** How an ingredient's composition is written down: g per 100 g of the usable part. */
export interface WrittenComposition {
  readonly water: number;
  readonly fat?: number | undefined;
  readonly salt?: number | undefined;
  readonly sugar?: number | undefined;
  readonly starch?: number | undefined;
  /** Gelatin already dissolved (bought bases), not the pool of a bone. */
  readonly gelatin?: number | undefined;
  /** Ethanol by volume, %, as on the label. */
  readonly ethanolVolPct?: number | undefined;
}

/**
 * Composition per g from what is written per 100 g; the remainder becomes the rest.
 *
 * Ethanol on a label is by volume. By weight it is vol × 0.7893 / density of the drink, and the
 * density is taken from the parts themselves (three rounds settle it).
 *
 * @returns trouble `composition-over-whole` where the parts make more than 100 g
 */
export function composition(written: WrittenComposition): Outcome<Parts> {
  const parts = noParts();
  for (const part of PARTS)
    if (part !== 'rest' && part !== 'ethanol')
      parts[part] = (written[part as Exclude<Part, 'rest' | 'ethanol'>] ?? 0) / 100;
  const vol = (written.ethanolVolPct ?? 0) / 100;
  const known = PARTS.reduce((sum, part) => sum + parts[part], 0);
  for (let round = 0; round < 3; round += 1) {
    parts.rest = Math.max(0, 1 - known - parts.ethanol);
    parts.ethanol = vol * DENSITY.ethanol * partsMl(parts);
  }
  const sum = known + parts.ethanol;
  if (sum > 1 + 1e-9)
    return refuse('composition-over-whole', 'composition', texts.partsMakeG100((sum * 100).toFixed(1)), {
      value: sum * 100,
      limit: 100,
    });
  parts.rest = Math.max(0, 1 - sum);
  return fine(parts);
}

/** A share that a thing cannot have: what it is of whom, and what there is of it. */
interface Beyond {
  readonly code: string;
  readonly path: string;
  readonly value: number;
  readonly limit: number;
  readonly words: (value: number, limit: number) => string;
}

/** What is wrong with an ingredient's physics, each a sentence; empty when it can be cooked. */
export function checkStuff(stuff: Stuff): Trouble[] {
  const { name, parts } = stuff;
  const per100 = (x: number) => Number((x * 100).toFixed(2));
  const found = beyond(stuff)
    .filter(({ value, limit }) => value > 0 && value > limit + 1e-9)
    .map(({ code, path, value, limit, words }): Trouble => ({
      code,
      path,
      message: `${name} ${words(per100(value), per100(limit))}`,
      numbers: { value, limit },
    }));
  if (stuff.gelatinPool > 0 && !(stuff.gelatinHalfLifeH > 0))
    found.push({
      code: 'no-half-life',
      path: 'gelatin.halfLifeH',
      message: texts.givesGelatinNeedsHours(name),
      numbers: { value: stuff.gelatinHalfLifeH, limit: 0 },
    });
  if (stuff.role === 'piece' && parts.ethanol > 0)
    found.push({
      code: 'ethanol-in-piece',
      path: 'composition.ethanolVolPct',
      message: texts.pieceAlcoholFollowedLiquids(name),
      numbers: { value: per100(parts.ethanol), limit: 0 },
    });
  return found;
}

/** What a thing can give or has, beside what there is of it. */
const beyond = ({ parts, ...stuff }: Stuff): Beyond[] => [
  {
    code: 'gelatin-over-rest',
    path: 'gelatin',
    value: stuff.gelatinPool,
    limit: parts.rest,
    words: (g, most) => `can give ${g} g gelatin per 100 g but has only ${most} g of protein and the like.`,
  },
  {
    code: 'render-over-fat',
    path: 'renderedFat',
    value: stuff.renderedFat,
    limit: parts.fat,
    words: (g, most) => `renders ${g} g fat per 100 g but has only ${most} g.`,
  },
  {
    code: 'gives-over-water',
    path: 'givesWater',
    value: stuff.givesWater,
    limit: parts.water,
    words: (g, most) => `gives up ${g} g water per 100 g but has only ${most} g.`,
  },
  {
    code: 'juice-over-water',
    path: 'juice',
    value: stuff.juice,
    limit: Math.max(0, parts.water - stuff.givesWater),
    words: (g, most) => `gives ${g} g of juice per 100 g but has only ${most} g of water for it.`,
  },
  {
    code: 'pulp-over-rest',
    path: 'pulpPct',
    value: stuff.pulp,
    limit: Math.max(0, parts.rest - stuff.gelatinPool),
    words: (g, most) => `has ${g} g of pulp per 100 g but only ${most} g of fibre and the like.`,
  },
];

/** Water from the tap: free, and the one ingredient every kitchen has. */
export const WATER: Stuff = {
  id: 'water',
  name: 'Water',
  role: 'liquid',
  parts: { ...noParts(), water: 1 },
  fatBound: false,
  binding: 0,
  gelatinPool: 0,
  gelatinHalfLifeH: 0,
  renderedFat: 0,
  takesWater: 0,
  givesWater: 0,
  juice: 0,
  juiceHalfLifeH: 0,
  pulp: 0,
  retention: 0,
  retentionPressed: 0,
  packing: 1,
  allergens: [],
};
