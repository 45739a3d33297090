import 'server-only';
import { readBatches } from '@/db/cooking/batches';
import { database } from '@/server/database';
import { readProbe, readScale } from '@/server/instruments';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';

/** A reading taken from an instrument, or a sentence that says why there is none. */
export type InstrumentReading =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

const no = (message: string): InstrumentReading => ({ ok: false, message });

/** °C that the kitchen's probe shows. */
export async function readCelsius(who: Worker): Promise<InstrumentReading> {
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  const { probe } = state.kitchen.rules ?? {};
  if (probe === undefined)
    return no('This kitchen has no probe yet: a manager says in House where it answers.');
  const read = await readProbe(probe);
  return read.ok ? { ok: true, value: read.value } : no(read.trouble.message);
}

/** kg of what lies on the scale: what came in for a batch that is not on yet. */
export async function readScaleKg(who: Worker): Promise<InstrumentReading> {
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  if (state.kitchen.scale === undefined)
    return no('This kitchen has no scale yet: a manager says in Trim where it answers.');
  const read = await readScale(state.kitchen.scale);
  if (!read.ok) return no(read.trouble.message);
  const { g } = read.value;
  if (g === undefined) return no('The scale is overloaded: weigh it in parts, and type the kilos.');
  return g > 0 ? { ok: true, value: Number((g / 1000).toFixed(3)) } : no('Nothing lies on the scale.');
}

/** kg of what is in the pot of a batch that stands on the scale: what the vessel weighs empty is taken off. */
export async function readPotKg(who: Worker, id: string): Promise<InstrumentReading> {
  const [batch] = await readBatches(database(), who.kitchenId, { are: 'one', id });
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  const vessel = state.vessels.find((v) => v.id === batch?.vessel);
  if (!vessel) return no('The vessel of this batch is archived.');
  if (state.kitchen.scale === undefined)
    return no('This kitchen has no scale yet: a manager says in Trim where it answers.');
  if (vessel.emptyG === undefined)
    return no(
      `Nobody has said what ${vessel.name} weighs empty: a manager says so in House, at its vessels.`,
    );
  const read = await readScale(state.kitchen.scale);
  if (!read.ok) return no(read.trouble.message);
  const { g } = read.value;
  if (g === undefined) return no('The scale is overloaded: this pot is too heavy for it.');
  if (g <= vessel.emptyG)
    return no(
      `The scale shows ${(g / 1000).toFixed(2)} kg; ${vessel.name} alone weighs ${(vessel.emptyG / 1000).toFixed(2)} kg.`,
    );
  return { ok: true, value: Number(((g - vessel.emptyG) / 1000).toFixed(3)) };
}
