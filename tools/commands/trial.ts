import fs from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import type { KitchenFile } from '@/core/kitchen-file';
import { many, openPool } from '@/db/sql';
import { build } from '../app';
import { ensure, NEEDS } from '../debian';
import { startInstance, type Instance } from '../instance';
import { DEMO_FILE, mustRead } from '../kitchens';
import { startDatabase } from '../mariadb';
import { person } from '../person';
import { placeOf } from '../place';
import { freePort, sleep, takePlace } from '../processes';
import { say, Stop } from '../stop';
import { HELD_DAY } from './test';

type Row = (what: string, figure: string) => void;
type Article = KitchenFile['articles'][number];

/** One who writes prices of an article of their own, each another, until told to stop. */
async function writer(address: string, article: Article, state: WriterState): Promise<void> {
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

interface WriterState {
  stop: boolean;
  seen: number;
  next: number;
  silent: number;
  readonly kept: string[];
  readonly refused: string[];
  readonly ms: number[];
}
const fresh = (seen: number, next: number): WriterState => ({
  stop: false,
  seen,
  next,
  silent: 0,
  kept: [],
  refused: [],
  ms: [],
});

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

const tally = (codes: readonly string[]): string =>
  codes.length === 0
    ? 'none refused'
    : [...new Set(codes)].map((c) => `${codes.filter((x) => x === c).length} ${c}`).join(', ');

/** Prices of an article as they stand, and its version. */
async function standsOf(url: string, article: string): Promise<{ prices: Set<string>; version: number }> {
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
async function writers(
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

/** Kills the application or the database in the midst of writing, starts everything again, and looks for what was promised. */
async function deaths(
  rounds: number,
  file: KitchenFile,
  start: () => Promise<Instance>,
  row: Row,
): Promise<void> {
  const seen = { acknowledged: 0, lost: 0, torn: 0 };
  const back: number[] = [];
  const place = placeOf('bench');
  const articles = file.articles.slice(40, 44);
  for (let round = 0; round < rounds; round += 1) {
    const app = await start();
    const states: WriterState[] = [];
    for (const a of articles)
      states.push(fresh((await standsOf(app.databaseUrl, a.id)).version, 10_000 + round * 1000));
    const all = articles.map((a, i) => writer(app.address, a, states[i] as WriterState));
    await sleep(1200 + ((round * 137) % 1500));
    const victim =
      round % 2 === 0 ? app.pid : Number(fs.readFileSync(path.join(place.folder, 'mariadbd.pid'), 'utf8'));
    process.kill(victim, 'SIGKILL');
    for (const s of states) s.stop = true;
    await Promise.all(all);
    await app.stop();
    const began = performance.now();
    const again = await start();
    back.push((performance.now() - began) / 1000);
    for (const [i, a] of articles.entries()) {
      const { prices } = await standsOf(again.databaseUrl, a.id);
      const { kept } = states[i] as WriterState;
      seen.acknowledged += kept.length;
      seen.lost += kept.filter((typed) => !prices.has(typed)).length;
    }
    const whole = await person(again.address).then((p) => p.get('/buy'));
    if (whole < 10_000) seen.torn += 1;
    await again.stop();
    if (round % 10 === 9) say(`${round + 1} rounds …`);
  }
  back.sort((a, b) => a - b);
  row(
    `kill −9 in the midst of writing, ${rounds} rounds`,
    `${seen.acknowledged} writes acknowledged, ${seen.lost} lost, ${seen.torn} kitchens torn; back after ${at(back, 0.5).toFixed(1)} s, ${at(back, 1).toFixed(1)} s at the longest`,
  );
}

/** The database stops answering, and goes on: how soon a page says so. */
async function frozen(app: Instance, row: Row): Promise<void> {
  const pid = Number(fs.readFileSync(path.join(placeOf('bench').folder, 'mariadbd.pid'), 'utf8'));
  await sleep(2500);
  process.kill(pid, 'SIGSTOP');
  try {
    const began = performance.now();
    const page = await fetch(`${app.address}/buy`, { headers: { accept: 'text/html' }, redirect: 'manual' });
    row(
      'database frozen',
      `a page says so (${page.status}) after ${((performance.now() - began) / 1000).toFixed(1)} s`,
    );
    const asked = performance.now();
    await fetch(`${app.address}/health`);
    row('… the application says that it is alive', `after ${Math.round(performance.now() - asked)} ms`);
  } finally {
    process.kill(pid, 'SIGCONT');
  }
}

/** What a page carries with it, and what is answered to whoever comes under another name. */
async function around(app: Instance, row: Row): Promise<void> {
  const html = await fetch(`${app.address}/sign-in?out`, { headers: { accept: 'text/html' } }).then((r) =>
    r.text(),
  );
  const scripts = html.match(/<script\b[^>]*>/g) ?? [];
  const marked = scripts.filter((s) => s.includes('nonce='));
  row('scripts of the door that carry its nonce', `${marked.length} of ${scripts.length}`);
  const status = await new Promise<number | undefined>((done, fail) => {
    http
      .get(`${app.address}/buy`, { headers: { host: 'evil.example' } }, (answer) => {
        answer.resume();
        done(answer.statusCode);
      })
      .on('error', fail);
  });
  row('a page asked for under a name that is not ours', `answered ${status}`);
}

/** `halfpot trial`: what happens when much, or the worst, is asked of it. Not a test: a table of figures. */
export async function trial(args: readonly string[]): Promise<number> {
  const { values } = parseArgs({ args: [...args], options: { rounds: { type: 'string', default: '20' } } });
  const rounds = Number(values.rounds);
  if (!Number.isInteger(rounds) || rounds < 1) throw new Stop(`“${values.rounds}” is no number of rounds.`);
  const place = placeOf('bench');
  takePlace(place, 'trial');
  ensure(NEEDS.database);
  build();
  const own = await startDatabase(place);
  own.fresh('halfpot');
  await own.stop();
  const file = mustRead(DEMO_FILE);
  const port = await freePort();
  const start = (): Promise<Instance> => startInstance(place, { port, today: HELD_DAY });
  const row: Row = (what, figure) => process.stdout.write(`${what.padEnd(48)} ${figure}\n`);
  const app = await start();
  try {
    await writers(8, 20, file, app, row);
    await writers(32, 20, file, app, row);
    await frozen(app, row);
    await around(app, row);
  } finally {
    await app.stop();
  }
  await deaths(rounds, file, start, row);
  return 0;
}
