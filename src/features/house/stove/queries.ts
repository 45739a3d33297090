import 'server-only';
import { vesselOf } from '@/core/kitchen-file';
import { usesIn, type KitchenState } from '@/core/kitchen-state';
import { capacityMl, maxFillMl } from '@/core/pot';
import type { DecimalMark } from '@/core/quantity';
import { REFERENCE_HOBS, referenceVessels, type ReferenceHob, type ReferenceVessel } from '@/core/reference';
import { versionsOf } from '@/db/edits';
import { archivedRows } from '@/server/archived';
import { database } from '@/server/database';
import { standingKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { hobTyped, typedWith, vesselTyped } from './typed';
import type { HobTyped, VesselTyped } from './wire';
import * as texts from './texts';

interface Used {
  readonly users: readonly { readonly name: string; readonly href: string }[];
}

export interface VesselRow extends Used {
  readonly id: string;
  readonly version: number;
  readonly typed: VesselTyped;
  readonly says: string;
  readonly brimMl: number;
  readonly fullMl: number;
}

export interface HobRow extends Used {
  readonly id: string;
  readonly version: number;
  readonly typed: HobTyped;
  readonly netKw: number | null;
}

export interface StovePage {
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  readonly vessels: readonly VesselRow[];
  readonly hobs: readonly HobRow[];
  readonly away: {
    readonly vessels: Awaited<ReturnType<typeof archivedRows>>;
    readonly hobs: Awaited<ReturnType<typeof archivedRows>>;
  };
  /** As they are usually made, to begin from. */
  readonly usualVessels: readonly ReferenceVessel[];
  readonly usualHobs: readonly ReferenceHob[];
}

export async function stovePage(who: Worker): Promise<StovePage> {
  const { state } = await standingKitchen(who.kitchenId);
  const mark = state.kitchen.decimalMark;
  const uses = usesIn(state);
  const users = (kind: 'vessel' | 'hob', id: string) =>
    uses(kind, id).recipes.map((r) => ({ name: r.name, href: `/pot/${r.id}` }));
  const [vessels, hobs, ...versions] = await Promise.all([
    archivedRows(who, 'vessel'),
    archivedRows(who, 'hob'),
    versionsOf(database(), 'vessel', who.kitchenId),
    versionsOf(database(), 'hob', who.kitchenId),
  ]);
  return {
    mayEdit: may(who.role, 'changer'),
    mark,
    vessels: state.vessels.map((v) => ({
      ...vesselRow(v, mark),
      version: versions[0].get(v.id) ?? 1,
      users: users('vessel', v.id),
    })),
    hobs: state.hobs.map((h) => ({
      id: h.id,
      version: versions[1].get(h.id) ?? 1,
      netKw: h.netKw,
      typed: hobTyped(h, mark),
      users: users('hob', h.id),
    })),
    away: { vessels, hobs },
    usualVessels: referenceVessels(),
    usualHobs: REFERENCE_HOBS,
  };
}

function vesselRow(v: KitchenState['vessels'][number], mark: DecimalMark) {
  const typed = typedWith(mark);
  const vessel = vesselOf(v);
  const round = v.shape === 'round';
  const across = round
    ? v.baseCm === v.topCm
      ? texts.cmAcross(typed(v.baseCm))
      : texts.cmBaseRim(typed(v.baseCm), typed(v.topCm))
    : texts.cmByCm(typed(v.lengthCm), typed(v.widthCm));
  return {
    id: v.id,
    typed: vesselTyped(v, mark),
    says: texts.high(across, typed(v.heightCm)),
    brimMl: capacityMl(vessel),
    fullMl: maxFillMl(vessel),
  };
}
