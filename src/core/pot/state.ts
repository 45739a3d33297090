import { expansion } from '../quantity';
import { copyLiquid, fatG, ethanolG, liquidG, liquidMl, noLiquid, type Liquid } from './liquid';
import { copyPiece, heapMl, pieceG, pieceMl, type Piece } from './piece';
import type { ProcessConstants } from './constants';
import { capacityMl, levelAt, type Vessel } from './vessel';

/** A heat source: kW that reach the pot; null where no limit is to be set. */
export interface Hob {
  readonly id: string;
  readonly name: string;
  readonly netKw: number | null;
}

/** Where mass goes when it leaves the pot without being a product. */
export const LOSSES = [
  'browned off',
  'fat run off',
  'evaporated',
  'skimmed',
  'held in solids',
  'clung',
  'solids discarded',
  'fat lifted',
  'dragged with fat',
  'left in the blender',
  'left in the sieve',
] as const;
export type Loss = (typeof LOSSES)[number];

/** A pot at one moment. Masses g, hours h, temperature °C. */
export interface PotState {
  vessel: Vessel;
  hob: Hob;
  liquid: Liquid;
  pieces: Piece[];
  celsius: number;
  hobHours: number;
  elapsedHours: number;
  /** g lost so far, by cause. */
  lost: Record<Loss, number>;
  allergens: Set<string>;
  /** ml it held when it was last put on the heat after something else: what it is topped up to. */
  beforeHeatMl: number | undefined;
  /** What the last sieve kept, for a second pass of it. */
  inSieve: Liquid | undefined;
  /** What the last strainer holds, and the liquid it keeps: to be picked, or washed a second time. */
  inStrainer: { pieces: Piece[]; liquid: Liquid } | undefined;
  /** g that have left as joint products. */
  partedG: number;
}

export function emptyPot(vessel: Vessel, hob: Hob, celsius: number): PotState {
  return {
    vessel,
    hob,
    liquid: noLiquid(),
    pieces: [],
    celsius,
    hobHours: 0,
    elapsedHours: 0,
    lost: Object.fromEntries(LOSSES.map((loss) => [loss, 0])) as Record<Loss, number>,
    allergens: new Set(),
    beforeHeatMl: undefined,
    inSieve: undefined,
    inStrainer: undefined,
    partedG: 0,
  };
}

export function copyPot(s: PotState): PotState {
  return {
    ...s,
    liquid: copyLiquid(s.liquid),
    pieces: s.pieces.map(copyPiece),
    lost: { ...s.lost },
    allergens: new Set(s.allergens),
    inSieve: s.inSieve && copyLiquid(s.inSieve),
    inStrainer: s.inStrainer && {
      pieces: s.inStrainer.pieces.map(copyPiece),
      liquid: copyLiquid(s.inStrainer.liquid),
    },
  };
}

/** Takes over everything of another state: how a tentative minute is kept or thrown away. */
export function becomePot(s: PotState, other: PotState): void {
  Object.assign(s, other);
}

const sum = (pieces: readonly Piece[], of: (p: Piece) => number): number => {
  let total = 0;
  for (const p of pieces) total += of(p);
  return total;
};

export const piecesG = (s: PotState): number => sum(s.pieces, pieceG);
export const piecesMl = (s: PotState): number => sum(s.pieces, pieceMl);
export const heapLevelCm = (s: PotState): number => levelAt(s.vessel, sum(s.pieces, heapMl));

/** ml that liquid and pieces take up in the vessel at its temperature: hot liquid stands higher. */
export const standingMl = (s: PotState): number => liquidMl(s.liquid) * expansion(s.celsius) + piecesMl(s);
export const levelCm = (s: PotState): number => levelAt(s.vessel, standingMl(s));
export const overBrimMl = (s: PotState): number => standingMl(s) - capacityMl(s.vessel);

/** % of the liquid's mass; 0 in an empty pot. */
const pct = (g: number, s: PotState): number => {
  const all = liquidG(s.liquid);
  return all > 0 ? (g / all) * 100 : 0;
};
export const saltPct = (s: PotState): number => pct(s.liquid.salt, s);
export const gelatinPct = (s: PotState): number => pct(s.liquid.gelatin, s);
export const fatPct = (s: PotState): number => pct(fatG(s.liquid), s);
export const ethanolPct = (s: PotState): number => pct(ethanolG(s.liquid), s);
/** Flour equivalent, g per litre of liquid. */
export function bindingGPerL(s: PotState): number {
  const ml = liquidMl(s.liquid);
  return ml > 0 ? (s.liquid.binding / ml) * 1000 : 0;
}
/** 1 coats a spoon, whatever made it: starch or gelatin. */
export const body = (s: PotState, c: ProcessConstants): number =>
  bindingGPerL(s) / c.coating.flourGPerL + gelatinPct(s) / c.coating.gelatinPct;

/** °C after putting something of another temperature in. */
export function mixedCelsius(
  s: PotState,
  c: ProcessConstants,
  addedG: number,
  addedIs: 'liquid' | 'pieces',
  celsius: number,
): number {
  const there = liquidG(s.liquid) * c.heatCapacity.liquid + piecesG(s) * c.heatCapacity.pieces;
  const added = addedG * c.heatCapacity[addedIs];
  return there + added > 0 ? (there * s.celsius + added * celsius) / (there + added) : celsius;
}
