import * as texts from './texts';
/** One of two things that may stand for each other. Shares in % of the usable part; money per usable kilo. */
export interface Comparable {
  readonly name: string;
  readonly allergens: readonly string[];
  readonly saltPct: number;
  /** Dissolved, or what long simmering can give. */
  readonly gelatinPct: number;
  /** Undefined while it has no price. */
  readonly usablePerKg?: number | undefined;
}

/** One thing that changes when another article is used, and whether somebody must be told. */
export interface Difference {
  readonly what: 'allergen' | 'salt' | 'gelatin' | 'cost';
  readonly message: string;
  /** An allergen that comes in can hurt somebody. */
  readonly grave: boolean;
}

/** A change of salt below this many points, or of the rest below this share, is not worth a word. */
const SALT_POINTS = 0.05;
const SHARE = 0.02;

const pct = (x: number): string => `${Number(x.toFixed(2))} %`;

/**
 * What changes in allergens, salt, gelatin and cost when `other` is used in place of `usual`.
 * @param money writes money per kilo
 */
export function differences(
  usual: Comparable,
  other: Comparable,
  money: (perKg: number) => string,
): Difference[] {
  const found: Difference[] = [];
  const say = (what: Difference['what'], message: string, grave = false): void =>
    void found.push({ what, grave, message });
  const list = (names: readonly string[]): string => names.join(', ');
  const comes = other.allergens.filter((a) => !usual.allergens.includes(a));
  const goes = usual.allergens.filter((a) => !other.allergens.includes(a));
  if (comes.length > 0) say('allergen', texts.bringsWhichDoesNot(list(comes), usual.name), true);
  if (goes.length > 0) say('allergen', texts.doesNotCarryLabel(list(goes)));
  const salt = other.saltPct - usual.saltPct;
  if (Math.abs(salt) >= SALT_POINTS) say('salt', texts.instead(salt, pct(other.saltPct), pct(usual.saltPct)));
  const most = Math.max(usual.gelatinPct, other.gelatinPct);
  if (Math.abs(other.gelatinPct - usual.gelatinPct) > most * SHARE)
    say(
      'gelatin',
      texts.gelatinInstead(other.gelatinPct, usual.gelatinPct, pct(other.gelatinPct), pct(usual.gelatinPct)),
    );
  if (usual.usablePerKg === undefined || other.usablePerKg === undefined)
    say('cost', texts.whatCostsBesideOther(usual.usablePerKg === undefined ? usual.name : other.name));
  else if (Math.abs(other.usablePerKg - usual.usablePerKg) > usual.usablePerKg * SHARE) {
    const by = other.usablePerKg - usual.usablePerKg;
    say(
      'cost',
      texts.usableKiloInstead(by, money(Math.abs(by)), money(other.usablePerKg), money(usual.usablePerKg)),
    );
  }
  return found;
}
