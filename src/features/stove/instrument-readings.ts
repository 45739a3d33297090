import 'server-only';
import { readBatches } from '@/db/cooking/batches';
import { database } from '@/server/database';
import { readProbe, readScale } from '@/server/instruments';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import * as texts from './texts';

/** A reading taken from an instrument, or a sentence that says why there is none. */
export type InstrumentReading =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

const no = (message: string): InstrumentReading => ({ ok: false, message });

/** °C that the kitchen's probe shows. */
export async function readCelsius(who: Worker): Promise<InstrumentReading> {
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  const { probe } = state.kitchen.rules ?? {};
  if (probe === undefined) return no(texts.kitchenNoProbeYet);
  const read = await readProbe(probe);
  return read.ok ? { ok: true, value: read.value } : no(read.trouble.message);
}

/** kg of what lies on the scale: what came in for a batch that is not on yet. */
export async function readScaleKg(who: Worker): Promise<InstrumentReading> {
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  if (state.kitchen.scale === undefined) return no(texts.kitchenNoScaleYet);
  const read = await readScale(state.kitchen.scale);
  if (!read.ok) return no(read.trouble.message);
  const { g } = read.value;
  if (g === undefined) return no(texts.scaleOverloadedWeighParts);
  return g > 0 ? { ok: true, value: Number((g / 1000).toFixed(3)) } : no(texts.nothingScale);
}

/** kg of what is in the pot of a batch that stands on the scale: what the vessel weighs empty is taken off. */
export async function readPotKg(who: Worker, id: string): Promise<InstrumentReading> {
  const [batch] = await readBatches(database(), who.kitchenId, { are: 'one', id });
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  const vessel = state.vessels.find((v) => v.id === batch?.vessel);
  if (!vessel) return no(texts.vesselBatchArchived);
  if (state.kitchen.scale === undefined) return no(texts.kitchenNoScaleYet);
  if (vessel.emptyG === undefined) return no(texts.emptyWeightNotKnown(vessel.name));
  const read = await readScale(state.kitchen.scale);
  if (!read.ok) return no(read.trouble.message);
  const { g } = read.value;
  if (g === undefined) return no(texts.scaleOverloadedPotToo);
  if (g <= vessel.emptyG)
    return no(texts.scaleShowsKgAlone((g / 1000).toFixed(2), vessel.name, (vessel.emptyG / 1000).toFixed(2)));
  return { ok: true, value: Number(((g - vessel.emptyG) / 1000).toFixed(3)) };
}
