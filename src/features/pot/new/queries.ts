import 'server-only';
import { REFERENCE_HOBS, referenceVessels } from '@/core/reference';
import { standingKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { notFound } from 'next/navigation';
import * as texts from './texts';

/** Something a sheet may stand in or on: `own:` one of the kitchen's, `like:` one as they usually are. */
export interface StandChoice {
  readonly id: string;
  readonly name: string;
  readonly says?: string | undefined;
}

export interface NewSheetPage {
  readonly vessels: readonly StandChoice[];
  readonly hobs: readonly StandChoice[];
  /** The sheet it is to be like. */
  readonly like?:
    { readonly id: string; readonly name: string; readonly vessel: string; readonly hob: string } | undefined;
  readonly any: boolean;
}

const USUAL = texts.standardSizeWillAdded;

export async function newSheetPage(who: Worker, like: string | undefined): Promise<NewSheetPage> {
  if (!may(who.role, 'changer')) notFound();
  const { state } = await standingKitchen(who.kitchenId);
  const from = like === undefined ? undefined : state.recipes.find((r) => r.id === like);
  const choices = (
    own: readonly { readonly id: string; readonly name: string }[],
    usual: readonly { readonly name: string }[],
  ): StandChoice[] => {
    const there = new Set(own.map((o) => o.name.toLowerCase()));
    return [
      ...own.map((o) => ({ id: `own:${o.id}`, name: o.name })),
      ...usual
        .filter((u) => !there.has(u.name.toLowerCase()))
        .map((u) => ({ id: `like:${u.name}`, name: u.name, says: USUAL })),
    ];
  };
  return {
    vessels: choices(state.vessels, referenceVessels()),
    hobs: choices(state.hobs, REFERENCE_HOBS),
    like: from && { id: from.id, name: from.name, vessel: `own:${from.vessel}`, hob: `own:${from.hob}` },
    any: state.recipes.length > 0,
  };
}
