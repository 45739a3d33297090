import type { WrittenMenu } from '../kitchen-file';
import { refuse, type Trouble } from '../trouble';
import * as texts from './texts';

/** A plate on a menu: what is sold of it, and what one costs and brings. Money in currency, prices net of tax. */
export interface Sold {
  readonly id: string;
  readonly name: string;
  /** Portions, or per cent of all; undefined where nobody has said. */
  readonly sold: number | undefined;
  readonly cost: number | null;
  readonly net: number | null;
}

/** What a plate is on its menu. */
export interface InMix {
  readonly id: string;
  /** Share of all that is sold, 0 to 1. */
  readonly share: number;
  readonly foodCostPct: number | null;
  /** What it leaves after its ingredients, of all that the menu leaves; null where that is not known. */
  readonly ofWhatIsLeft: number | null;
  /** By how many points the menu's food cost is higher with it than it would be without it. */
  readonly moves: number | null;
}

export interface MenuMix {
  /** Of what the menu brings net of tax, how much its ingredients are; null while that is not known. */
  readonly foodCostPct: number | null;
  /** What one plate of the mix brings, costs and leaves. */
  readonly net: number | null;
  readonly cost: number | null;
  readonly left: number | null;
  readonly plates: readonly InMix[];
  /** Why a figure is not there, or not of all of it. */
  readonly troubles: readonly Trouble[];
}

/** Points by which shares in per cent may miss a hundred: they are rounded where they come from. */
const ROUNDED = 0.5;

const listed = (names: readonly string[]): string => names.join(', ');

/** Why a mix says nothing of some plates, or of none. */
function troublesOf(
  mixIn: WrittenMenu['mixIn'],
  plates: readonly Sold[],
): { readonly stops: boolean; readonly troubles: Trouble[] } {
  const troubles: Trouble[] = [];
  const named = (of: (p: Sold) => boolean): string[] => plates.filter(of).map((p) => p.name);
  const unsaid = named((p) => p.sold === undefined);
  const all = plates.reduce((sum, p) => sum + (p.sold ?? 0), 0);
  const counts = (p: Sold): boolean => (p.sold ?? 0) > 0;
  const noPrice = named((p) => counts(p) && p.net === null);
  const noCost = named((p) => counts(p) && p.net !== null && p.cost === null);
  if (unsaid.length > 0)
    troubles.push(refuse('not-said', 'sold', texts.howManySoldNot(listed(unsaid))).trouble);
  const misses = mixIn === '%' && plates.length > 0 && Math.abs(all - 100) > ROUNDED;
  if (misses)
    troubles.push(refuse('mix-not-whole', 'sold', texts.sharesMake(all), { value: all, limit: 100 }).trouble);
  if (noPrice.length > 0)
    troubles.push(refuse('no-menu-price', 'plates', texts.withoutPriceMenuLeft(listed(noPrice))).trouble);
  if (noCost.length > 0)
    troubles.push(refuse('incomplete', 'plates', texts.whatCostsNotKnown(listed(noCost))).trouble);
  return { stops: misses || noCost.length > 0 || all <= 0, troubles };
}

/** What a menu costs of what it brings, and which of its plates carry it. Plates without a price are left out, and it says so. */
export function menuMix(mixIn: WrittenMenu['mixIn'], plates: readonly Sold[]): MenuMix {
  const { stops, troubles } = troublesOf(mixIn, plates);
  const counted = plates.filter((p) => (p.sold ?? 0) > 0 && p.net !== null);
  const all = plates.reduce((sum, p) => sum + (p.sold ?? 0), 0);
  const sums = { sold: 0, net: 0, cost: 0 };
  for (const { sold = 0, net, cost } of counted) {
    sums.sold += sold;
    sums.net += sold * (net ?? 0);
    sums.cost += sold * (cost ?? 0);
  }
  const known = !stops && sums.net > 0;
  const pct = (cost: number, net: number): number => (cost / net) * 100;
  const left = sums.net - sums.cost;
  return {
    foodCostPct: known ? pct(sums.cost, sums.net) : null,
    net: known ? sums.net / sums.sold : null,
    cost: known ? sums.cost / sums.sold : null,
    left: known ? left / sums.sold : null,
    plates: plates.map(({ id, sold = 0, net, cost }): InMix => {
      const ownPct = net === null || cost === null || net <= 0 ? null : pct(cost, net);
      const restNet = sums.net - sold * (net ?? 0);
      const moves =
        known && ownPct !== null && restNet > 1e-9
          ? pct(sums.cost, sums.net) - pct(sums.cost - sold * (cost ?? 0), restNet)
          : null;
      return {
        id,
        share: all > 0 ? sold / all : 0,
        foodCostPct: ownPct,
        ofWhatIsLeft:
          known && ownPct !== null && left > 0 ? (sold * ((net ?? 0) - (cost ?? 0))) / left : null,
        moves: sold > 0 ? moves : null,
      };
    }),
    troubles,
  };
}
