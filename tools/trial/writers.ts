import { z } from 'zod';
import type { KitchenFile } from '@/core/kitchen-file';
import { many, openPool } from '@/db/sql';
import type { Instance } from '../instance';
import { person } from '../person';
import { sleep } from '../processes';

/** A line of the table. */
export type Row = (what: string, figure: string) => void;
export type Article = KitchenFile['articles'][number];

/** One who writes prices of an article of their own, each another, until told to stop. */
export async function writer(address: string, article: Article, state: WriterState): Promise<void> {
  const who = await person(address).catch(() => undefined);
  while (who && !state.stop) {
    const typed = (10 + state.next / 100).toFixed(2);
    state.next += 1;
    const began = performance.now();
    try {
      const body = { row: article.ingredient, article: article.id, typed };
      const answer = await who.ask('article.price', state.seen, body);
      state.ms.push(performance.now() - began);
      if (answer.ok) {
        state.kept.push(typed);
        state.seen += 1;
      } else state.refused.push(answer.code ?? 'without a code');
    } catch {
      // Nobody answered: whether it was kept is not known, and nothing was promised.
      state.silent += 1;
      return;
    }
  }
}

export interface WriterState {
  stop: boolean;
  seen: number;
  next: number;
  silent: number;
  readonly kept: string[];
  readonly refused: string[];
  readonly ms: number[];
}
export const fresh = (seen: number, next: number): WriterState => ({
  stop: false,
  seen,
  next,
  silent: 0,
  kept: [],
  refused: [],
  ms: [],
});

/** What a share of measurements lies within. */
export const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

const tally = (codes: readonly string[]): string =>
  codes.length === 0
    ? 'none refused'
    : [...new Set(codes)].map((c) => `${codes.filter((x) => x === c).length} ${c}`).join(', ');

/** Prices of an article as they stand, and its version. */
export async function standsOf(
  url: string,
  article: string,
): Promise<{ prices: Set<string>; version: number }> {
  const pool = openPool(url);
  try {
    const row = z.object({ typed: z.string(), version: z.coerce.number() });
    const rows = await many(
      pool,
      row,
      'SELECT q.price_typed AS typed, a.version FROM supplier_article a LEFT JOIN price_quote q ON q.kitchen_id = a.kitchen_id AND q.article_id = a.id WHERE a.id = ?',
      [article],
    );
    return { prices: new Set(rows.map((r) => r.typed)), version: rows[0]?.version ?? 0 };
  } finally {
    await pool.end();
  }
}

/** Many people write at once, each an article of their own. */
export async function writers(
  n: number,
  seconds: number,
  file: KitchenFile,
  app: Instance,
  row: Row,
): Promise<void> {
  const articles = file.articles.slice(0, n);
  const states: WriterState[] = [];
  for (const a of articles) states.push(fresh((await standsOf(app.databaseUrl, a.id)).version, 4000));
  const all = articles.map((a, i) => writer(app.address, a, states[i] as WriterState));
  await sleep(seconds * 1000);
  for (const s of states) s.stop = true;
  await Promise.all(all);
  const ms = states.flatMap((s) => s.ms).sort((a, b) => a - b);
  const kept = states.reduce((sum, s) => sum + s.kept.length, 0);
  let lost = 0;
  for (const [i, a] of articles.entries()) {
    const stands = await standsOf(app.databaseUrl, a.id);
    lost += (states[i] as WriterState).kept.filter((typed) => !stands.prices.has(typed)).length;
  }
  row(
    `${n} people writing for ${seconds} s`,
    `${Math.round(kept / seconds)} a second, half within ${Math.round(at(ms, 0.5))} ms, 95 % within ${Math.round(at(ms, 0.95))} ms, slowest ${Math.round(at(ms, 1))} ms; ${tally(states.flatMap((s) => s.refused))}; ${lost} lost of ${kept}`,
  );
}
