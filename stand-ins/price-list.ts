import http from 'node:http';
import { listen, type StandIn } from './listen';
import type { KitchenFile } from '../src/core/kitchen-file';

/** Where the demo's suppliers say their lists are. */
export const STAND_IN_PORT = 4190;

const WEEK_MS = 7 * 86_400_000;

/** A number from 0 to 1 that is always the same for the same words. */
function chance(words: string): number {
  let hash = 2166136261;
  for (const char of words) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619);
  return ((hash >>> 0) % 100_000) / 100_000;
}

/** A price that moves by the week: a slow wave of its own and a little noise, to five cents. */
export function priceInWeek(base: number, code: string, week: number): number {
  const wave = 0.06 * Math.sin(week / 3 + 6.3 * chance(code));
  const noise = 0.03 * (chance(`${code} ${week}`) - 0.5);
  return Math.max(0.05, Math.round(base * (1 + wave + noise) * 20) / 20);
}

const slug = (name: string): string => name.toLowerCase().replace(/[^a-z]+/g, '-');

/**
 * A supplier's price list as its computer would send it: the same all week, other prices the next.
 * @returns undefined for a supplier the kitchen does not have
 */
export function listOf(file: KitchenFile, list: string, at: Date): string | undefined {
  const supplier = file.suppliers.find((s) => slug(s.name) === list);
  if (!supplier) return undefined;
  const week = Math.floor(at.getTime() / WEEK_MS);
  const rows = file.articles
    .filter((a) => a.supplier === supplier.id)
    .map((a) => {
      const last = [...file.purchases]
        .reverse()
        .flatMap((p) => p.lines)
        .find((l) => l.is === 'goods' && l.article === a.id);
      const base = last?.is === 'goods' ? Number(last.packPrice) : Number(a.quotes.at(-1)?.price ?? 10);
      return [
        a.code ?? '',
        a.name,
        a.pack,
        priceInWeek(base, a.code ?? a.name, week)
          .toFixed(2)
          .replace('.', ','),
      ];
    });
  const head = [`${supplier.name};;;week ${week % 52}`, '', 'Art.;Description;Packed;Price EUR'];
  return [...head, ...rows.map((r) => r.map((c) => (c.includes(';') ? `"${c}"` : c)).join(';'))].join('\r\n');
}

const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/**
 * Serves price lists on loopback: `/weirside-game.csv` and so on. `?as=slow` sends nothing for longer than
 * anybody waits, `?as=broken` breaks off in the middle, `?as=error` answers 503.
 */
export function startPriceLists(file: KitchenFile, port: number, now: () => Date): Promise<StandIn> {
  const server = http.createServer((request, response) => {
    void (async () => {
      const url = new URL(request.url ?? '/', 'http://127.0.0.1');
      const as = url.searchParams.get('as');
      const list = listOf(file, url.pathname.replace(/^\/|\.csv$/g, ''), now());
      if (list === undefined || as === 'error') {
        response.writeHead(list === undefined ? 404 : 503).end();
        return;
      }
      if (as === 'slow') await sleep(30_000);
      response.writeHead(200, { 'content-type': 'text/csv; charset=windows-1252' });
      // These lists come as Latin-1, as old tills send them.
      const bytes = Buffer.from(list, 'latin1');
      if (as === 'broken') {
        response.write(bytes.subarray(0, bytes.length / 2));
        await sleep(50);
        response.destroy();
        return;
      }
      response.end(bytes);
    })();
  });
  return listen(server, port);
}
