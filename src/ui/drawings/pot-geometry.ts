import type { Vessel } from '@/core/pot';

/** Drawing units: the inside of the pot, left of the dips. */
export const WIDTH = { left: 22, inner: 242 };
const HEIGHT = 310;
const LABEL_GAP = 20;
const NOW_GAP = 25;

const widest = (v: Vessel): number => (v.shape === 'box' ? v.lengthCm : Math.max(v.baseCm, v.topCm));

/** Drawing units per cm: the same both ways, so that the pot is to scale. */
export const scaleFor = (v: Vessel): number => Math.min(WIDTH.inner / widest(v), HEIGHT / v.heightCm);

/** Half the inside width at a level, cm; a box shows its long side. */
export const halfWidthAt = (v: Vessel, cm: number): number =>
  v.shape === 'box' ? v.lengthCm / 2 : (v.baseCm + ((v.topCm - v.baseCm) * cm) / v.heightCm) / 2;

export interface Label {
  readonly key: string;
  /** Where the line is. */
  readonly at: number;
  readonly now: boolean;
}

/** Moves labels apart so that none covers another, the one for now staying where it is. */
export function laidOut(labels: readonly Label[], floor: number): (Label & { readonly y: number })[] {
  const sorted = [...labels].sort((a, b) => a.at - b.at);
  const ys = sorted.map((l) => l.at);
  const now = sorted.findIndex((l) => l.now);
  const gap = (i: number, j: number): number => (sorted[i]?.now || sorted[j]?.now ? NOW_GAP : LABEL_GAP);
  for (let i = now - 1; i >= 0; i -= 1)
    ys[i] = Math.min(ys[i] as number, (ys[i + 1] as number) - gap(i, i + 1));
  for (let i = now + 1; i < ys.length; i += 1)
    ys[i] = Math.max(ys[i] as number, (ys[i - 1] as number) + gap(i - 1, i));
  return sorted.map((l, i) => ({ ...l, y: Math.min(ys[i] as number, floor + 18) }));
}
