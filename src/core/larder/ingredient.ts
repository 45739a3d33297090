import { DENSITY, PARTS, noParts, partsMl, type Part, type Parts } from '../quantity';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';

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
  /** Water given up on first heating, g per g raw (leaves, mushrooms). */
  readonly givesWater: number;
  /** Net liquid kept by the drained solids, ml per kg raw, left to drain and pressed. */
  readonly retention: number;
  readonly retentionPressed: number;
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
    return refuse(
      'composition-over-whole',
      'composition',
      `The parts make ${(sum * 100).toFixed(1)} g in 100 g: at most 100.`,
      { value: sum * 100, limit: 100 },
    );
  parts.rest = Math.max(0, 1 - sum);
  return fine(parts);
}

/** What is wrong with an ingredient's physics, each a sentence; empty when it can be cooked. */
export function checkStuff(stuff: Stuff): Trouble[] {
  const found: Trouble[] = [];
  const say = (code: string, path: string, message: string, value: number, limit: number) =>
    found.push({ code, path, message, numbers: { value, limit } });
  const per100 = (x: number) => Number((x * 100).toFixed(2));
  if (stuff.gelatinPool > stuff.parts.rest + 1e-9)
    say(
      'gelatin-over-rest',
      'gelatin',
      `${stuff.name} can give ${per100(stuff.gelatinPool)} g gelatin per 100 g but has only ${per100(stuff.parts.rest)} g of protein and the like.`,
      stuff.gelatinPool,
      stuff.parts.rest,
    );
  if (stuff.renderedFat > stuff.parts.fat + 1e-9)
    say(
      'render-over-fat',
      'renderedFat',
      `${stuff.name} renders ${per100(stuff.renderedFat)} g fat per 100 g but has only ${per100(stuff.parts.fat)} g.`,
      stuff.renderedFat,
      stuff.parts.fat,
    );
  if (stuff.givesWater > stuff.parts.water + 1e-9)
    say(
      'gives-over-water',
      'givesWater',
      `${stuff.name} gives up ${per100(stuff.givesWater)} g water per 100 g but has only ${per100(stuff.parts.water)} g.`,
      stuff.givesWater,
      stuff.parts.water,
    );
  if (stuff.gelatinPool > 0 && !(stuff.gelatinHalfLifeH > 0))
    say(
      'no-half-life',
      'gelatin.halfLifeH',
      `${stuff.name} gives gelatin, so it needs the hours in which half of it has come out.`,
      stuff.gelatinHalfLifeH,
      0,
    );
  if (stuff.role === 'piece' && stuff.parts.ethanol > 0)
    say(
      'ethanol-in-piece',
      'composition.ethanolVolPct',
      `${stuff.name} is a piece: alcohol is followed in liquids only.`,
      per100(stuff.parts.ethanol),
      0,
    );
  return found;
}

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
  retention: 0,
  retentionPressed: 0,
  packing: 1,
  allergens: [],
};
