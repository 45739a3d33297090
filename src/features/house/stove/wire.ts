import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

const NAME = z.string().trim().min(1, texts.whatCalled).max(5000);

/** A vessel by its inside, as it is typed: lengths in cm where no unit is said. */
export const VesselTyped = z.object({
  name: NAME,
  shape: z.enum(['round', 'box']),
  base: TYPED,
  top: TYPED,
  length: TYPED,
  width: TYPED,
  height: TYPED,
  /** How full it is filled at the most, %. */
  fill: TYPED,
  /** What it weighs empty; nothing where nobody has weighed it. */
  empty: TYPED,
});
export type VesselTyped = z.infer<typeof VesselTyped>;
export const VESSEL = wire<{ readonly id: string }, VesselTyped>()({
  kind: 'vessel.keep',
  version: 1,
  body: VesselTyped.extend({ id: ID.nullable() }),
});

/** A heat source: what it burns, and the kW of it that reach a pot; nothing for no limit. */
export const HobTyped = z.object({
  name: NAME,
  fuel: z.enum(['electricity', 'gas']),
  netKw: TYPED,
  efficiency: TYPED,
  draught: z.boolean(),
});
export type HobTyped = z.infer<typeof HobTyped>;
export const HOB = wire<{ readonly id: string }, HobTyped>()({
  kind: 'hob.keep',
  version: 1,
  body: HobTyped.extend({ id: ID.nullable() }),
});

/** Puts a vessel or hob away, another in its place everywhere where that is said; or brings it back. */
export const STOVE_AWAY = wire<null, { readonly users: readonly string[] }>()({
  kind: 'stove.away',
  version: 1,
  body: z.object({ what: z.enum(['vessel', 'hob']), id: ID, away: z.boolean(), instead: ID.nullable() }),
});

export const saveVessel = sender(VESSEL);
export const saveHob = sender(HOB);
export const archiveStove = sender(STOVE_AWAY);
