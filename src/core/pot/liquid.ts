import { DENSITY } from '../quantity';
import type { Stuff } from '../larder';

/** One addition of alcohol and what has happened to it since (docs/model.md, "Ethanol"). */
export interface EthanolSource {
  /** What it came with: `Red wine`. */
  of: string;
  /** g of ethanol as added, scaled down by whatever share of the liquid has left since. */
  added: number;
  minutes: number;
  /** Product over its stay of (1 − evaporated mass / liquid mass). */
  phi: number;
  /** g still there. */
  left: number;
}

/** The liquid in a pot, in g. Fat floats (free) or is held (bound). Binding is flour equivalent in g; pulp the part of the rest that thickens. */
export interface Liquid {
  water: number;
  freeFat: number;
  boundFat: number;
  salt: number;
  sugar: number;
  starch: number;
  gelatin: number;
  rest: number;
  binding: number;
  pulp: number;
  /** °C above which something in it curdles or splits, and what; `NEVER` where nothing does. */
  curdlesAt: number;
  curdler: string;
  sources: EthanolSource[];
}

/** °C that no pot reaches. */
export const NEVER = 999;

export const noLiquid = (): Liquid => ({
  water: 0,
  freeFat: 0,
  boundFat: 0,
  salt: 0,
  sugar: 0,
  starch: 0,
  gelatin: 0,
  rest: 0,
  binding: 0,
  pulp: 0,
  curdlesAt: NEVER,
  curdler: '',
  sources: [],
});

/** g of ethanol in it. */
export function ethanolG(l: Liquid): number {
  let sum = 0;
  for (const source of l.sources) sum += source.left;
  return sum;
}

export const fatG = (l: Liquid): number => l.freeFat + l.boundFat;

export const liquidG = (l: Liquid): number =>
  l.water + ethanolG(l) + l.freeFat + l.boundFat + l.salt + l.sugar + l.starch + l.gelatin + l.rest;

/** ml at 20 °C. */
export const liquidMl = (l: Liquid): number =>
  l.water / DENSITY.water +
  ethanolG(l) / DENSITY.ethanol +
  (l.freeFat + l.boundFat) / DENSITY.fat +
  l.salt / DENSITY.salt +
  l.sugar / DENSITY.sugar +
  l.starch / DENSITY.starch +
  (l.gelatin + l.rest) / DENSITY.rest;

/** Multiplies everything in it, binding and alcohol included. */
export function scaleLiquid(l: Liquid, k: number): void {
  l.freeFat *= k;
  scaleUnderFat(l, k);
}

/** Multiplies everything but the floating fat: what goes with fat that is lifted off. */
export function scaleUnderFat(l: Liquid, k: number): void {
  l.water *= k;
  l.boundFat *= k;
  l.salt *= k;
  l.sugar *= k;
  l.starch *= k;
  l.gelatin *= k;
  l.rest *= k;
  l.binding *= k;
  l.pulp *= k;
  for (const source of l.sources) {
    source.added *= k;
    source.left *= k;
  }
}

export function copyLiquid(l: Liquid): Liquid {
  return { ...l, sources: l.sources.map((s) => ({ ...s })) };
}

/** Something that curdles or splits above a temperature comes in: the most delicate of all counts. */
export function delicate(l: Liquid, celsius: number, what: string): void {
  if (celsius >= l.curdlesAt) return;
  l.curdlesAt = celsius;
  l.curdler = what;
}

/** Puts a share `k` of `from` into `into`; alcohol from different additions stays apart. */
export function pourShare(into: Liquid, from: Liquid, k: number): void {
  into.water += from.water * k;
  into.freeFat += from.freeFat * k;
  into.boundFat += from.boundFat * k;
  into.salt += from.salt * k;
  into.sugar += from.sugar * k;
  into.starch += from.starch * k;
  into.gelatin += from.gelatin * k;
  into.rest += from.rest * k;
  into.binding += from.binding * k;
  into.pulp += from.pulp * k;
  if (k > 0) delicate(into, from.curdlesAt, from.curdler);
  for (const s of from.sources)
    into.sources.push({ of: s.of, added: s.added * k, minutes: s.minutes, phi: s.phi, left: s.left * k });
}

/** Puts `g` of an ingredient that joins the liquid into it. `bindFat` holds its fat (roux, mounting). */
export function addStuff(l: Liquid, stuff: Stuff, g: number, bindFat = false): void {
  const { parts } = stuff;
  l.water += parts.water * g;
  if (stuff.fatBound || bindFat) l.boundFat += parts.fat * g;
  else l.freeFat += parts.fat * g;
  l.salt += parts.salt * g;
  l.sugar += parts.sugar * g;
  l.starch += parts.starch * g;
  l.gelatin += parts.gelatin * g;
  l.rest += parts.rest * g;
  l.binding += stuff.binding * g;
  l.pulp += stuff.pulp * g;
  if (stuff.curdlesAt !== undefined) delicate(l, stuff.curdlesAt, stuff.name);
  if (parts.ethanol > 0)
    l.sources.push({ of: stuff.name, added: parts.ethanol * g, minutes: 0, phi: 1, left: parts.ethanol * g });
}
