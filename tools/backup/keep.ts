/** Backups that are kept: of the last days each, of the last weeks and months one. */
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 6;
const DAY_MS = 86_400_000;
/** Of the day before the newest as many stay, however close together they were made: one of them may be wanted back this minute. */
const FRESH = 24;

export interface Made {
  readonly file: string;
  readonly at: Date;
}

/** Which backups are kept: what is fresh, and the newest of each of the last 7 days, 4 weeks and 6 months that have one; never none. */
export function kept(all: readonly Made[]): ReadonlySet<string> {
  const newest = [...all].sort((a, b) => b.at.getTime() - a.at.getTime());
  const found = new Set<string>();
  for (const { file, at } of newest.slice(0, FRESH))
    if ((newest[0]?.at.getTime() ?? 0) - at.getTime() < DAY_MS) found.add(file);
  const one = (many: number, period: (at: Date) => string): void => {
    const seen = new Set<string>();
    for (const { file, at } of newest) {
      const key = period(at);
      if (seen.has(key)) continue;
      if (seen.size >= many) return;
      seen.add(key);
      found.add(file);
    }
  };
  one(DAYS, (at) => at.toISOString().slice(0, 10));
  // Weeks begin on Monday: 1 January 1970 was a Thursday.
  one(WEEKS, (at) => String(Math.floor((at.getTime() / DAY_MS + 3) / 7)));
  one(MONTHS, (at) => at.toISOString().slice(0, 7));
  return found;
}

/** The hour of the night, by this machine's clock, after which the day's backup is made. */
const HOUR = 3;

/** Whether a backup is due: none yet, or none since the last three in the morning. */
export function isDue(last: Date | undefined, now: Date): boolean {
  if (!last) return true;
  const night = new Date(now);
  night.setHours(HOUR, 0, 0, 0);
  if (night > now) night.setDate(night.getDate() - 1);
  return last < night;
}
