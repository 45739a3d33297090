import { DENSITY, expansion } from '../quantity';
import { copyLiquid, fatG, ethanolG, liquidG, liquidMl, noLiquid, type Liquid } from './liquid';
import { LOSSES, type Loss } from './losses';
import { copyPiece, heapMl, pieceG, pieceMl, type Piece } from './piece';
import type { Fuel, ProcessConstants } from './constants';
import { capacityMl, levelAt, type Vessel } from './vessel';

/** A heat source: kW that reach the pot; null where no limit is to be set. */
export interface Hob {
  readonly id: string;
  readonly name: string;
  readonly netKw: number | null;
  readonly fuel: Fuel;
  /** Share of the fuel's energy that reaches the pot; the fuel's usual one where it is not known. */
  readonly efficiency?: number | undefined;
  /** Whether it stands under a hood that pulls the steam away. */
  readonly draught?: boolean | undefined;
}

/** What stands in one vessel. Masses g, hours h, temperature °C. */
export interface StandLevel {
  vessel: Vessel;
  hob: Hob;
  liquid: Liquid;
  pieces: Piece[];
  celsius: number;
  /** Since the first step; vessels stand on their hobs at the same time. */
  elapsedHours: number;
  /** ml it held when it was last put on the heat after something else: what it is topped up to. */
  beforeHeatMl: number | undefined;
  /** What the last sieve kept, for a second pass of it. */
  inSieve: Liquid | undefined;
  /** What the last strainer holds, and the liquid it keeps: to be picked, or washed a second time. */
  inStrainer: { pieces: Piece[]; liquid: Liquid } | undefined;
}

/** A pot at one moment: the vessel at work, and others that stand aside after a split. */
export interface PotState extends StandLevel {
  aside: StandLevel[];
  /** Of all vessels together. */
  hobHours: number;
  /** kJ that have gone into pot and air so far, the hob's own losses not counted. */
  netKj: number;
  /** g lost so far, by cause. */
  lost: Record<Loss, number>;
  allergens: Set<string>;
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
    aside: [],
    hobHours: 0,
    netKj: 0,
    elapsedHours: 0,
    lost: Object.fromEntries(LOSSES.map((loss) => [loss, 0])) as Record<Loss, number>,
    allergens: new Set(),
    beforeHeatMl: undefined,
    inSieve: undefined,
    inStrainer: undefined,
    partedG: 0,
  };
}

const copyStanding = <S extends StandLevel>(s: S): S => ({
  ...s,
  liquid: copyLiquid(s.liquid),
  pieces: s.pieces.map(copyPiece),
  inSieve: s.inSieve && copyLiquid(s.inSieve),
  inStrainer: s.inStrainer && {
    pieces: s.inStrainer.pieces.map(copyPiece),
    liquid: copyLiquid(s.inStrainer.liquid),
  },
});

export const copyPot = (s: PotState): PotState => ({
  ...copyStanding(s),
  aside: s.aside.map(copyStanding),
  lost: { ...s.lost },
  allergens: new Set(s.allergens),
});

/** A copy of what heat changes; the rest is shared with the original, so nothing but heat may be done to either. */
export const copyForHeat = (s: PotState): PotState => ({
  ...s,
  liquid: copyLiquid(s.liquid),
  pieces: s.pieces.map(copyPiece),
  lost: { ...s.lost },
});

/** Takes over everything of another state: how a tentative minute is kept or thrown away. */
export function becomePot(s: PotState, other: PotState): void {
  Object.assign(s, other);
}

/** What stands in the vessel at work, apart from the rest of the pot. */
export const standingOf = ({
  vessel,
  hob,
  liquid,
  pieces,
  celsius,
  elapsedHours,
  ...s
}: StandLevel): StandLevel => ({
  vessel,
  hob,
  liquid,
  pieces,
  celsius,
  elapsedHours,
  beforeHeatMl: s.beforeHeatMl,
  inSieve: s.inSieve,
  inStrainer: s.inStrainer,
});

const sum = (pieces: readonly Piece[], of: (p: Piece) => number): number => {
  let total = 0;
  for (const p of pieces) total += of(p);
  return total;
};

export const piecesG = (s: StandLevel): number => sum(s.pieces, pieceG);
export const piecesMl = (s: StandLevel): number => sum(s.pieces, pieceMl);
export const heapLevelCm = (s: StandLevel): number => levelAt(s.vessel, sum(s.pieces, heapMl));

/** Share of the liquid that is free fat from which pieces fry in it; and share of the pieces' weight below which there is no liquid to speak of. */
const FRIES = { fat: 0.5, liquid: 0.15 };
/** Whether pieces fry rather than boil: in fat, or all but dry. */
export const fries = (s: StandLevel): boolean => {
  if (s.pieces.length === 0) return false;
  const g = liquidG(s.liquid);
  return s.liquid.freeFat > g * FRIES.fat || g < piecesG(s) * FRIES.liquid;
};

/** ml that liquid and pieces take up in the vessel at its temperature: hot liquid stands higher. */
export const standingMl = (s: StandLevel): number => liquidMl(s.liquid) * expansion(s.celsius) + piecesMl(s);
export const levelCm = (s: StandLevel): number => levelAt(s.vessel, standingMl(s));
export const overBrimMl = (s: StandLevel): number => standingMl(s) - capacityMl(s.vessel);

/** % of the liquid's mass; 0 in an empty pot. */
const pct = (g: number, s: StandLevel): number => {
  const all = liquidG(s.liquid);
  return all > 0 ? (g / all) * 100 : 0;
};
export const saltPct = (s: StandLevel): number => pct(s.liquid.salt, s);
export const gelatinPct = (s: StandLevel): number => pct(s.liquid.gelatin, s);
export const fatPct = (s: StandLevel): number => pct(fatG(s.liquid), s);
export const ethanolPct = (s: StandLevel): number => pct(ethanolG(s.liquid), s);
/** Flour equivalent, g per litre of liquid. */
export function bindingGPerL(s: StandLevel): number {
  const ml = liquidMl(s.liquid);
  return ml > 0 ? (s.liquid.binding / ml) * 1000 : 0;
}
/** Share of the liquid's volume that is fat held in it (cream, mounted butter, what was blended). */
export function heldFatShare(s: StandLevel): number {
  const ml = liquidMl(s.liquid);
  return ml > 0 ? s.liquid.boundFat / DENSITY.fat / ml : 0;
}
/** g of insoluble solids in 100 g of liquid, once blended or milled. */
export const pulpPct = (s: StandLevel): number => pct(s.liquid.pulp, s);

/** A body that nothing goes beyond: a paste. Held fat this close together splits. */
const THICKEST = 5;

/** What fat that is held adds to the body: the logarithm of how much thicker a dispersion of so much of it is. */
function heldBody(s: StandLevel, { factor, splitsAt }: ProcessConstants['held']): number {
  const share = heldFatShare(s) / splitsAt;
  return share < 1 ? Math.min(THICKEST, (factor * -Math.log(1 - share)) / Math.log(100)) : THICKEST;
}

/** What the body of a liquid is made of, hot: each its share of it, and the gelatin in % besides. */
export interface BodyParts {
  readonly starch: number;
  readonly gelatin: number;
  readonly held: number;
  readonly pulp: number;
  readonly gelatinPct: number;
}

export const bodyParts = (s: StandLevel, c: ProcessConstants): BodyParts => ({
  starch: bindingGPerL(s) / c.coating.flourGPerL,
  gelatin: gelatinPct(s) / c.coating.gelatinPct,
  held: heldBody(s, c.held),
  pulp: pulpPct(s) * c.bodyPerPulpPct,
  gelatinPct: gelatinPct(s),
});

/** 1 coats a spoon, whatever made it: starch, gelatin, fat that is held, or pulp (docs/model.md, "Body"). Hot. */
export function body(s: StandLevel, c: ProcessConstants): number {
  const { starch, gelatin, held, pulp } = bodyParts(s, c);
  return starch + gelatin + held + pulp;
}

/** °C at which a body is told, and at which set gelatin gives what it gives. */
const HOT = 80;
const SET = 5;

/**
 * The body at another temperature: cold thickens. Starch, gelatin and held fat gain with every 10 °C below 80; below where it sets,
 * gelatin goes over from coating to holding (docs/model.md, "Body"). Pulp stays what it is.
 */
export function bodyAt(of: BodyParts, celsius: number, { cold }: ProcessConstants): number {
  const tens = Math.max(0, HOT - celsius) / 10;
  const flowing = of.gelatin * (1 + cold.gelatin * tens);
  const set = Math.min(1, Math.max(0, (cold.setsC - celsius) / (cold.setsC - SET)));
  const gelatin = flowing + set * Math.max(0, of.gelatinPct / cold.setPct - flowing);
  return of.starch * (1 + cold.starch * tens) + gelatin + of.held * (1 + cold.held * tens) + of.pulp;
}

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
