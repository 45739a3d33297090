/** What a second pass is worth, so that it can be judged. Money in currency, `extraG` in g. */
export interface SecondPassWorth {
  readonly extraG: number;
  /** What as many usable kilos would cost without it. */
  readonly saved: number;
  /** The same for an hour at it: what an hour of hands may cost before it no longer pays. Undefined while no time is given. */
  readonly savedPerHour?: number | undefined;
  /** What hands cost for it, and for each of the extra kilos; undefined while time or wage is not known. */
  readonly hands?: number | undefined;
  readonly handsPerKg?: number | undefined;
}

/**
 * Weighs a second pass up: the purchase is paid already, so its kilos cost only the hands, and save what they would
 * have been bought for.
 * @param usablePerKg a usable kilo without the second pass
 * @param hours at it; 0 or less where nobody took the time
 * @param wage money for an hour of hands, where the kitchen counts it
 * @example worthOf(800, 3.6, .2, 18) // saves 2.88, 14.40 an hour; costs 3.60, 4.50 for each extra kilo
 */
export function worthOf(extraG: number, usablePerKg: number, hours: number, wage?: number): SecondPassWorth {
  const saved = (extraG / 1000) * usablePerKg;
  if (!(hours > 0)) return { extraG, saved };
  const hands = wage === undefined ? undefined : wage * hours;
  return {
    extraG,
    saved,
    savedPerHour: saved / hours,
    hands,
    handsPerKg: hands === undefined || !(extraG > 0) ? undefined : (hands * 1000) / extraG,
  };
}
