import { daysBetween, shiftDay, shiftInstant } from '../day';
import { SEASONS, seasonOf, type Season } from '../learning';
import type { KitchenFile } from './schema';

/** A season moved with its day, by as many seasons as the day has moved. */
const seasonMoved = (season: Season, from: string, to: string): Season => {
  const place = (s: Season): number => SEASONS.indexOf(s);
  const moved = place(season) + place(seasonOf(to)) - place(seasonOf(from));
  return SEASONS[(moved + SEASONS.length) % SEASONS.length] as Season;
};

/** The same kitchen as if it spoke from `today`: every day and instant moves by the same number of days. */
export function shiftTo(file: KitchenFile, today: string): KitchenFile {
  const days = daysBetween(file.referenceDay, today);
  const dated = <T extends { on: string; recordedAt: string }>(x: T): T => ({
    ...x,
    on: shiftDay(x.on, days),
    recordedAt: shiftInstant(x.recordedAt, days),
  });
  return {
    ...file,
    referenceDay: today,
    ingredients: file.ingredients.map((i) => ({
      ...i,
      yields: i.yields.map(dated),
      cooked: i.cooked.map(dated),
    })),
    articles: file.articles.map((a) => ({
      ...a,
      quotes: a.quotes.map(dated),
      weighings: a.weighings.map(dated),
    })),
    purchases: file.purchases.map(dated),
    counts: file.counts.map(dated),
    tests: file.tests.map((t) => ({
      ...dated(t),
      season: seasonMoved(t.season, t.on, shiftDay(t.on, days)),
      ...(t.leftOut ? { leftOut: { ...t.leftOut, at: shiftInstant(t.leftOut.at, days) } } : {}),
    })),
    wastes: file.wastes.map(dated),
  };
}
