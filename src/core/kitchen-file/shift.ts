import { daysBetween, shiftDay, shiftInstant } from '../day';
import { SEASONS, seasonOf, type Season } from '../learning';
import type { KitchenFile } from './schema';

/** A season moved with its day, by as many seasons as the day has moved. */
const seasonMoved = (season: Season, from: string, to: string): Season => {
  const place = (s: Season): number => SEASONS.indexOf(s);
  const moved = place(season) + place(seasonOf(to)) - place(seasonOf(from));
  return SEASONS[(moved + SEASONS.length) % SEASONS.length] as Season;
};

/** ms between what was told last of a running pot and now. */
const TOLD_AGO_MS = 6 * 60_000;

/** Pots that are on, as if the last that was told of each had happened a few minutes before `now` (ms): a demo opens with them under way. */
export const underWayAt = (file: KitchenFile, now: number): KitchenFile => ({
  ...file,
  batches: file.batches.map((b) => {
    if (b.events.some((e) => e.is === 'ended')) return b;
    const last = Math.max(Date.parse(b.startedAt), ...b.events.map((e) => Date.parse(e.at)));
    const moved = (at: string): string => new Date(Date.parse(at) + now - TOLD_AGO_MS - last).toISOString();
    return {
      ...b,
      startedAt: moved(b.startedAt),
      events: b.events.map((e) => ({ ...e, at: moved(e.at), recordedAt: moved(e.recordedAt) })),
    };
  }),
});

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
    vessels: file.vessels.map((v) =>
      v.boils ? { ...v, boils: v.boils.map((b) => ({ ...b, on: shiftDay(b.on, days) })) } : v,
    ),
    batches: file.batches.map((b) => ({
      ...b,
      startedAt: shiftInstant(b.startedAt, days),
      events: b.events.map((e) => ({
        ...e,
        at: shiftInstant(e.at, days),
        recordedAt: shiftInstant(e.recordedAt, days),
      })),
    })),
    questions: file.questions.map((q) => ({
      ...q,
      ...(q.told ? { told: { ...q.told, on: shiftDay(q.told.on, days) } } : {}),
    })),
  };
}
