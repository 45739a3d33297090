import type { KitchenFile } from '@/core/kitchen-file';
import { firstKitchen, readKitchenFrom, type Versions } from '@/db/kitchen/read-kitchen';
import { openPool } from '@/db/sql';
import { v7 } from 'uuid';
import type { Instance } from '../instance';
import { person, type Answer } from '../person';
import { sleep } from '../processes';
import { at as within, type Row } from './writers';

/** ms after which a write counts as unanswered. */
const UNANSWERED_MS = 30_000;
/** Times of a write alone within which 95 % of them are to be answered beside 31 others. */
const TIMES_ALONE = 15;

/** Things that the writers of one kind share. */
const SHARED = 6;

interface Write {
  readonly seen: number | null;
  readonly body: object;
}

/** One kind of write: what is sent the nth time, and what its answer means for the next. */
interface Writes {
  readonly kind: string;
  /** Writers share things: the same one is written by several of them. */
  readonly next: (n: number) => { readonly thing: string; readonly write: Write };
}

/** Versions of things as the last answers told them. */
type Seen = Map<string, number>;

const WEIGHED = /^([\d.]+) (k?g)$/;

/** An amount up to 2 % larger than it was typed. */
const varied = (amount: string, n: number): string =>
  amount.replace(
    WEIGHED,
    (_, figure, unit) => `${(Number(figure) * (1 + (n % 20) / 1000)).toFixed(3)} ${unit}`,
  );

/* eslint-disable max-lines-per-function -- a table of what each kind sends. */
/** Kinds of all sorts, each on a few things that its writers share. */
function kindsOf(file: KitchenFile, versions: Versions, seen: Seen): Writes[] {
  const versioned = (id: string, from: ReadonlyMap<string, number>): number =>
    seen.get(id) ?? from.get(id) ?? 1;
  const pick = <T>(of: readonly T[], n: number): T => of[n % Math.min(SHARED, of.length)] as T;
  // Sheets that still work out when a line of theirs is another: none that aims at a body or at salt.
  const recipes = file.recipes.filter(
    (r) =>
      r.steps.some((s) => s.do === 'add' && WEIGHED.test(s.amount)) &&
      r.steps.every((s) => s.do !== 'reduce' && s.do !== 'season to'),
  );
  const plates = file.plates.filter((p) => p.follows === undefined && p.lines.length > 1);
  const supplier = file.suppliers[0]?.id ?? '';
  const goods = file.articles.filter((a) => a.supplier === supplier);
  const running = file.batches?.find((b) => b.events.every((e) => e.is !== 'ended'));
  const at = running?.startedAt ?? '';
  return [
    {
      kind: 'article.price',
      next(n) {
        const a = pick(file.articles, n);
        const typed = (10 + (n % 500) / 100).toFixed(2);
        return {
          thing: a.id,
          write: {
            seen: versioned(a.id, versions.articles),
            body: { row: a.ingredient, article: a.id, typed },
          },
        };
      },
    },
    {
      kind: 'recipe.sheet',
      next(n) {
        const r = pick(recipes, n);
        const line = r.steps.findIndex((s) => s.do === 'add' && WEIGHED.test(s.amount));
        const steps = r.steps.map((s, i) =>
          i === line && s.do === 'add' ? { ...s, amount: varied(s.amount, n) } : s,
        );
        return {
          thing: r.id,
          write: {
            seen: versioned(r.id, versions.recipes),
            body: { id: r.id, vessel: r.vessel, hob: r.hob, steps },
          },
        };
      },
    },
    {
      kind: 'plate.amounts',
      next(n) {
        const p = pick(plates, n);
        const lines = p.lines.map((l) => ({ id: l.id, amount: l.amount }));
        return {
          thing: p.id,
          write: {
            seen: versioned(p.id, versions.plates),
            body: { id: p.id, lines, menuPrice: (20 + (n % 300) / 100).toFixed(2) },
          },
        };
      },
    },
    {
      kind: 'purchase.write',
      next(n) {
        const a = pick(goods, n);
        const line = {
          is: 'goods',
          article: a.id,
          packs: '2',
          packPrice: (8 + (n % 300) / 100).toFixed(2),
          delivered: '',
          rejected: '',
          inPlaceOf: '',
          note: '',
        };
        const body = {
          kind: 'invoice',
          supplier,
          on: file.referenceDay,
          number: `mixed ${v7()}`,
          lines: [line],
        };
        return { thing: '', write: { seen: null, body } };
      },
    },
    {
      kind: 'ingredient.count',
      next(n) {
        const { id } = pick(file.ingredients, n);
        return {
          thing: id,
          write: { seen: versioned(id, versions.ingredients), body: { id, typed: `${1 + (n % 40)} kg` } },
        };
      },
    },
    {
      kind: 'recipe.served',
      next: (n) => ({
        thing: '',
        write: { seen: null, body: { id: pick(recipes, n).id, at: String(60 + (n % 20)) } },
      }),
    },
    {
      kind: 'batch.tell',
      next: (n) => ({
        thing: '',
        write: {
          seen: null,
          body: {
            batch: running?.id ?? '',
            event: { id: v7(), is: 'note', at, recordedAt: at, text: `stirred ${n}` },
          },
        },
      }),
    },
    {
      kind: 'ingredient.yield',
      next(n) {
        const i = pick(
          file.ingredients.filter((x) => x.yields.length > 0),
          n,
        );
        return {
          thing: i.id,
          write: {
            seen: versioned(i.id, versions.ingredients),
            body: { ingredient: i.id, typed: String(60 + (n % 20)) },
          },
        };
      },
    },
  ];
}

/* eslint-enable max-lines-per-function */

interface Told {
  readonly ms: number[];
  /** Codes of refusals that say two people wrote the same thing, and of all others. */
  conflicts: number;
  readonly refused: string[];
  unanswered: number;
}

/** Writes of one kind until told to stop. */
async function write(
  address: string,
  { kind, next }: Writes,
  seen: Seen,
  told: Told,
  going: { stop: boolean },
  offset: number,
): Promise<void> {
  const who = await person(address);
  for (let n = offset; !going.stop; n += 1) {
    const { thing, write: w } = next(n);
    const began = performance.now();
    const answer = await Promise.race([
      who.ask(kind, w.seen as number, w.body),
      sleep(UNANSWERED_MS).then((): Answer | undefined => undefined),
    ]);
    if (!answer) {
      told.unanswered += 1;
      continue;
    }
    const version = (answer as { version?: number | null }).version;
    if (thing !== '' && typeof version === 'number') seen.set(thing, Math.max(seen.get(thing) ?? 0, version));
    if (answer.ok) told.ms.push(performance.now() - began);
    else if (answer.code === 'stale') told.conflicts += 1;
    else told.refused.push(`${answer.code ?? ''}: ${answer.message ?? ''}`);
  }
}

const none = (): Told => ({ ms: [], conflicts: 0, refused: [], unanswered: 0 });

/** So many writers of these kinds at once, for a while. */
async function together(app: Instance, kinds: readonly Writes[], n: number, seconds: number, seen: Seen) {
  const told = new Map(kinds.map((k) => [k.kind, none()]));
  const going = { stop: false };
  const all = Array.from({ length: n }, (_, i) => {
    const kind = kinds[i % kinds.length] as Writes;
    return write(app.address, kind, seen, told.get(kind.kind) as Told, going, i * 1000);
  });
  await sleep(seconds * 1000);
  going.stop = true;
  await Promise.all(all);
  return told;
}

const sorted = (ms: readonly number[]): number[] => [...ms].sort((a, b) => a - b);

/** Writers of mixed kinds on things they share; and a pot sheet beside eight who write prices. */
export async function mixed(seconds: number, app: Instance, row: Row): Promise<void> {
  const pool = openPool(app.databaseUrl);
  const kitchen = await firstKitchen(pool);
  const { file, versions } = await readKitchenFrom(pool, kitchen?.id ?? '').finally(() => pool.end());
  const seen: Seen = new Map();
  const kinds = kindsOf(file, versions, seen);
  const [price, sheet] = kinds as [Writes, Writes];
  const alone = new Map<string, number>();
  for (const kind of kinds) {
    const told = (await together(app, [kind], 1, 5, seen)).get(kind.kind) as Told;
    alone.set(kind.kind, within(sorted(told.ms), 0.5));
    for (const words of new Set(told.refused)) row(`${kind.kind} alone was refused`, words);
  }
  const beside = async (n: number): Promise<number> => {
    const going = { stop: false };
    const prices = Array.from({ length: n }, (_, i) =>
      write(app.address, price, seen, none(), going, i * 1000),
    );
    const told = (await together(app, [sheet], 1, 12, seen)).get(sheet.kind) as Told;
    going.stop = true;
    await Promise.all(prices);
    return told.ms.length;
  };
  const [before, with8] = [await beside(0), await beside(8)];
  row('a pot sheet, changes saved in 12 s', `alone ${before}, beside eight who write prices ${with8}`);
  const all = await together(app, kinds, 32, seconds, seen);
  for (const [kind, told] of all) {
    const ms = sorted(told.ms);
    const own = alone.get(kind) ?? 0;
    const p95 = within(ms, 0.95);
    const refused = [...new Set(told.refused)].map(
      (w) => `${told.refused.filter((x) => x === w).length} × ${w}`,
    );
    row(
      `32 mixed writers, ${seconds} s: ${kind}`,
      `${ms.length} kept, ${told.conflicts} stale, ${told.refused.length} refused, ${told.unanswered} unanswered; alone ${Math.round(own)} ms, 95 % within ${Math.round(p95)} ms (${(p95 / own).toFixed(1)} times, ${TIMES_ALONE} allowed), slowest ${Math.round(within(ms, 1))} ms ${refused.join('; ')}`,
    );
  }
}
