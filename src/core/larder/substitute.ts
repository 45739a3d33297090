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
  const list = (names: readonly string[]): string => names.join(', ');
  const comes = other.allergens.filter((a) => !usual.allergens.includes(a));
  const goes = usual.allergens.filter((a) => !other.allergens.includes(a));
  if (comes.length > 0)
    found.push({
      what: 'allergen',
      grave: true,
      message: `Brings ${list(comes)}, which ${usual.name} does not carry.`,
    });
  if (goes.length > 0)
    found.push({
      what: 'allergen',
      grave: false,
      message: `Does not carry ${list(goes)}: the label decides before anybody is told so.`,
    });
  const salt = other.saltPct - usual.saltPct;
  if (Math.abs(salt) >= SALT_POINTS)
    found.push({
      what: 'salt',
      grave: false,
      message: `${salt > 0 ? 'Saltier' : 'Less salty'}: ${pct(other.saltPct)} instead of ${pct(usual.saltPct)}.`,
    });
  const most = Math.max(usual.gelatinPct, other.gelatinPct);
  if (Math.abs(other.gelatinPct - usual.gelatinPct) > most * SHARE)
    found.push({
      what: 'gelatin',
      grave: false,
      message: `${other.gelatinPct > usual.gelatinPct ? 'More' : 'Less'} gelatin: ${pct(other.gelatinPct)} instead of ${pct(usual.gelatinPct)}.`,
    });
  if (usual.usablePerKg === undefined || other.usablePerKg === undefined)
    found.push({
      what: 'cost',
      grave: false,
      message: `What it costs beside the other is not known: ${usual.usablePerKg === undefined ? usual.name : other.name} has no price.`,
    });
  else if (Math.abs(other.usablePerKg - usual.usablePerKg) > usual.usablePerKg * SHARE) {
    const by = other.usablePerKg - usual.usablePerKg;
    found.push({
      what: 'cost',
      grave: false,
      message: `${by > 0 ? 'Dearer' : 'Cheaper'} by ${money(Math.abs(by))} a usable kilo: ${money(other.usablePerKg)} instead of ${money(usual.usablePerKg)}.`,
    });
  }
  return found;
}
