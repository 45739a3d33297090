import { partsMl } from '../quantity';
import { composition, type Stuff } from '../larder';
import type { Cooked } from '../learning';
import { fine, type Outcome } from '../trouble';
import type { Hob, Vessel } from '../pot';
import type { KitchenFile, WrittenIngredient, WrittenVessel } from './schema';

/** What own cooking tests say of a figure on a day: the latest accepted to take effect, of two the one recorded last. */
export function cookedOn(
  written: WrittenIngredient,
  figure: Cooked,
  day: string,
): WrittenIngredient['cooked'][number] | undefined {
  let best: WrittenIngredient['cooked'][number] | undefined;
  for (const c of written.cooked)
    if (
      c.figure === figure &&
      c.on <= day &&
      (!best || c.on > best.on || (c.on === best.on && c.recordedAt >= best.recordedAt))
    )
      best = c;
  return best;
}

/** The yield in force on a day: the latest to take effect, and of two the one recorded last. */
export function yieldOn(written: WrittenIngredient, day: string): WrittenIngredient['yields'][number] {
  let best: WrittenIngredient['yields'][number] | undefined;
  for (const y of written.yields)
    if (y.on <= day && (!best || y.on > best.on || (y.on === best.on && y.recordedAt >= best.recordedAt)))
      best = y;
  // A kitchen that looks back before its first estimate still needs one: the earliest.
  return best ?? (written.yields[0] as WrittenIngredient['yields'][number]);
}

/**
 * The physics of an ingredient as the pot reads it, out of how a person wrote it down and what own cooking tests have
 * taught by a day: retention, and the water it gives up when it wilts.
 */
export function stuffOf(written: WrittenIngredient, day = '9999-12-31'): Outcome<Stuff> {
  const tested = (figure: Cooked): number | undefined => cookedOn(written, figure, day)?.value;
  const wilted = tested('wilted off');
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
    // More water than it has cannot be given up, whatever the scale said.
    givesWater: wilted === undefined ? written.givesWaterGPerG : Math.min(wilted / 100, parts.value.water),
    givesHalfLifeH: written.givesHalfLifeH,
    juice: (written.juice?.pct ?? 0) / 100,
    juiceHalfLifeH: written.juice?.halfLifeH ?? 0,
    pulp: written.pulpPct / 100,
    ...(written.curdlesAtC === undefined ? {} : { curdlesAt: written.curdlesAtC }),
    retention: tested('retention') ?? written.retentionMlPerKg,
    retentionPressed: tested('retention pressed') ?? written.retentionPressedMlPerKg,
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
  const { maxFillPct, boils, ...shape } = written;
  return {
    ...shape,
    maxFill: maxFillPct / 100,
    ...(boils ? { boils: boils.map(({ heat, lid, times, sd }) => ({ heat, lid, times, sd })) } : {}),
  };
};

export const hobOf = ({ efficiencyPct, ...hob }: KitchenFile['hobs'][number]): Hob => ({
  ...hob,
  efficiency: efficiencyPct === undefined ? undefined : efficiencyPct / 100,
});
