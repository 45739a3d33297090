import 'server-only';
import { besideCost, costOfPlate, type Sold } from '@/core/costing';
import type { WrittenMenu } from '@/core/kitchen-file';
import type { DecimalMark } from '@/core/quantity';
import { menuVersions } from '@/db/recipes/menus';
import { archivedRows } from '@/server/archived';
import { countedLayers } from '@/server/counted-layers';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { menuTyped } from './typed';
import type { MenuTyped } from './wire';

/** A plate as its menu needs it. */
export type OnMenu = Omit<Sold, 'sold'> & {
  readonly target: number | undefined;
  /** What it costs in the layers that are counted beside the ingredients; null where that is not known. */
  readonly beside: number | null;
};

export interface MenusPage {
  readonly menus: readonly { readonly id: string; readonly name: string; readonly plates: number }[];
  readonly menu:
    | {
        readonly id: string;
        readonly version: number;
        readonly typed: MenuTyped;
        readonly plates: readonly OnMenu[];
      }
    | undefined;
  readonly gone: boolean;
  readonly mark: DecimalMark;
  readonly mayEdit: boolean;
  readonly away: readonly { readonly id: string; readonly name: string; readonly since: string }[];
}

/** All menus by name, and one of them whole: the first unless told. */
export async function menusPage(who: Worker, asked: string | undefined): Promise<MenusPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { menus, kitchen } = costing.state;
  const counts = await countedLayers();
  const [away, versions] = await Promise.all([
    archivedRows(who, 'menu'),
    menuVersions(database(), who.kitchenId),
  ]);
  const menu: WrittenMenu | undefined = asked === undefined ? menus[0] : menus.find((m) => m.id === asked);
  return {
    menus: menus.map((m) => ({ id: m.id, name: m.name, plates: m.plates.length })),
    menu: menu && {
      id: menu.id,
      version: versions.get(menu.id) ?? 1,
      typed: menuTyped(menu, kitchen.decimalMark),
      plates: menu.plates.flatMap(({ plate: id }): OnMenu[] => {
        const plate = costing.plates.get(id)?.plate;
        if (!plate) return [];
        const { cost, netPrice } = costOfPlate(costing, id);
        const beside = besideCost(costing, `plate:${id}`, counts);
        return [{ id, name: plate.name, cost, net: netPrice, target: plate.targetFoodCostPct, beside }];
      }),
    },
    gone: asked !== undefined && menu === undefined,
    mark: kitchen.decimalMark,
    mayEdit: may(who.role, 'changer'),
    away,
  };
}
