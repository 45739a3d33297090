import { partsMl } from '../quantity';
import { composition, type Stuff } from '../larder';
import { fine, type Outcome } from '../trouble';
import type { Hob, Vessel } from '../pot';
import type { KitchenFile, WrittenIngredient, WrittenVessel } from './schema';

/** The physics of an ingredient as the pot reads it, out of how a person wrote it down. */
export function stuffOf(written: WrittenIngredient): Outcome<Stuff> {
  const parts = composition(written.composition);
  if (!parts.ok) return parts;
  return fine({
    id: written.id,
    name: written.name,
    role: written.role,
    parts: parts.value,
    fatBound: written.fat === 'bound',
    binding: written.bindingGPerKg / 1000,
    gelatinPool: (written.gelatin?.gPerKg ?? 0) / 1000,
    gelatinHalfLifeH: written.gelatin?.halfLifeH ?? 0,
    renderedFat: written.renderedFatPct / 100,
    takesWater: written.takesWaterGPerG,
    givesWater: written.givesWaterGPerG,
    retention: written.retentionMlPerKg,
    retentionPressed: written.retentionPressedMlPerKg,
    packing: written.packing,
    allergens: written.allergens,
  });
}

/** g per ml for measuring out by volume: its own bulk density, or for a liquid what its parts weigh. */
export function measuringDensity(written: WrittenIngredient, stuff: Stuff): number | undefined {
  if (written.densityGPerMl !== undefined) return written.densityGPerMl;
  return stuff.role === 'liquid' ? 1 / partsMl(stuff.parts) : undefined;
}

export const vesselOf = (written: WrittenVessel): Vessel => {
  const { maxFillPct, ...shape } = written;
  return { ...shape, maxFill: maxFillPct / 100 };
};

export const hobOf = (written: KitchenFile['hobs'][number]): Hob => written;
