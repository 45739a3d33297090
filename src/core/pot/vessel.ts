import type { Heat, Lid } from './constants';

/**
 * A vessel by its inside. Round ones are frustums (base and rim may differ), boxes have straight
 * walls. Levels are cm from the base, dips cm down from the rim, volumes ml.
 */
export type VesselShape =
  | { readonly shape: 'round'; readonly baseCm: number; readonly topCm: number; readonly heightCm: number }
  | { readonly shape: 'box'; readonly lengthCm: number; readonly widthCm: number; readonly heightCm: number };

/** How fast a vessel boils away at a heat under a lid, as so many times what the table says, and how far one batch scatters from it: the standard deviation of its logarithm. */
export interface Boils {
  readonly heat: Heat;
  readonly lid: Lid;
  readonly times: number;
  readonly sd: number;
}

export type Vessel = VesselShape & {
  readonly id: string;
  readonly name: string;
  /** Highest sensible fill, share of the brim capacity. */
  readonly maxFill: number;
  /** What its own batches have taught, where that was accepted. */
  readonly boils?: readonly Boils[] | undefined;
};

/** What a vessel has taught of a heat under a lid; undefined where the table holds. */
export const boilsIn = (v: Pick<Vessel, 'boils'>, heat: Heat, lid: Lid): Boils | undefined =>
  v.boils?.find((b) => b.heat === heat && b.lid === lid);

const slope = (v: Extract<VesselShape, { shape: 'round' }>): number => (v.topCm - v.baseCm) / 2 / v.heightCm;

/** ml below a level: for a frustum π/3·h·(r₀² + r₀r + r²). */
export function volumeAt(v: VesselShape, levelCm: number): number {
  if (v.shape === 'box') return v.lengthCm * v.widthCm * levelCm;
  const r0 = v.baseCm / 2;
  const r = r0 + slope(v) * levelCm;
  return (Math.PI / 3) * levelCm * (r0 * r0 + r0 * r + r * r);
}

/** cm of level for a volume in ml, the inverse of `volumeAt`; beyond the rim the walls go on. */
export function levelAt(v: VesselShape, ml: number): number {
  if (v.shape === 'box') return ml / (v.lengthCm * v.widthCm);
  const r0 = v.baseCm / 2;
  const k = slope(v);
  // Below this taper the cube roots would lose more digits than the taper is worth.
  if (Math.abs(k) < 1e-7) return ml / (Math.PI * r0 * r0);
  return (Math.cbrt(r0 ** 3 + (3 * k * ml) / Math.PI) - r0) / k;
}

export const capacityMl = (v: VesselShape): number => volumeAt(v, v.heightCm);
export const maxFillMl = (v: Vessel): number => capacityMl(v) * v.maxFill;
export const dipAt = (v: VesselShape, levelCm: number): number => v.heightCm - levelCm;

/** m² of surface open to the air at a level. */
export function openAreaM2(v: VesselShape, levelCm: number): number {
  if (v.shape === 'box') return (v.lengthCm * v.widthCm) / 1e4;
  const r = v.baseCm / 2 + slope(v) * levelCm;
  return (Math.PI * r * r) / 1e4;
}

/** m² of base and wall that have been wet up to a level: what liquid clings to when it is poured out. */
export function wettedAreaM2(v: VesselShape, levelCm: number): number {
  if (v.shape === 'box') return (v.lengthCm * v.widthCm + 2 * (v.lengthCm + v.widthCm) * levelCm) / 1e4;
  const r0 = v.baseCm / 2;
  const r = r0 + slope(v) * levelCm;
  const slant = Math.hypot(levelCm, r - r0);
  return (Math.PI * r0 * r0 + Math.PI * (r0 + r) * slant) / 1e4;
}
