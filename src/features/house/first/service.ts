import 'server-only';
import { createHash, timingSafeEqual } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { dayIn } from '@/core/day';
import {
  FORMAT,
  FORMAT_VERSION,
  readKitchenText,
  shiftTo,
  underWayAt,
  type KitchenFile,
} from '@/core/kitchen-file';
import { isSameName } from '@/core/name';
import { refuse, type Trouble } from '@/core/trouble';
import { newId } from '@/db/mapping/ids';
import { loadKitchen, type Secrets } from '@/db/kitchen/load-kitchen';
import { newestSchema } from '@/db/migrate';
import { allPeople, archivePerson, writePerson } from '@/db/people/people';
import { firstKitchen, mustSay } from '@/db/kitchen/read-kitchen';
import { inTransaction } from '@/db/sql';
import { HistoryError, loadRows } from '@/db/kitchen/history-rows';
import { now } from '@/server/clock';
import { database } from '@/server/database';
import { env } from '@/server/env';
import { hashSecret } from '@/server/passwords';
import { withMutex } from '@/server/mutex';
import type { Mistake } from '@/wire';
import { CUPS_OF } from '../cups';
import { markOf } from '../settings/mark';
import type { FirstTyped } from './wire';
import * as texts from './texts';

/** The demo as the program brings it: what a kitchen to play in is a copy of. */
const DEMO = path.join(process.cwd(), 'demo/kestrel-weir.json');

/** Whether a kitchen can be begun here: there is none, and a word guards the beginning. */
export const canBegin = async (): Promise<boolean> =>
  env().HALFPOT_FIRST_WORD !== undefined && (await firstKitchen(database())) === undefined;

const plain = (word: string): Buffer =>
  createHash('sha256')
    .update(word.toUpperCase().replace(/[^A-Z0-9]/g, ''))
    .digest();

/** ms within which no word is tried after a wrong one: nobody guesses it. */
const WRONG_MS = 1000;
let wrongUntil = 0;

function isTheWord(typed: string): Trouble | undefined {
  const word = env().HALFPOT_FIRST_WORD ?? '';
  if (Date.now() < wrongUntil) return refuse('too-soon', 'word', texts.wrongMomentAgoTry).trouble;
  if (word !== '' && timingSafeEqual(plain(word), plain(typed))) return undefined;
  wrongUntil = Date.now() + WRONG_MS;
  return refuse('wrong-word', 'word', texts.notWordCommandPrinted).trouble;
}

type History = NonNullable<KitchenFile['history']>;
type StartedWrite =
  | { readonly ok: true; readonly kitchenId: string; readonly managerId: string }
  | {
      readonly ok: false;
      readonly message: string;
      readonly path: string;
      readonly mistakes?: readonly Mistake[];
    };

const not = ({ message, path: at }: Trouble): StartedWrite => ({ ok: false, message, path: at });

/** Begins the kitchen of this database: once. */
export const beginKitchen = (typed: FirstTyped): Promise<StartedWrite> =>
  withMutex('first kitchen', async () => {
    if (!(await canBegin())) return not(refuse('begun', '', texts.kitchenAlreadyExistsSign).trouble);
    const wrong = isTheWord(typed.word);
    if (wrong) return not(wrong);
    const file = await fileFor(typed);
    if ('ok' in file) return file;
    if (file.history) return begunWithHistory(file, file.history, typed);
    const manager = file.people.find((p) => isSameName(p.name, typed.manager))?.id ?? newId();
    const whole = withManager(file, typed, manager);
    await loadKitchen(database(), whole, await secretsOf(whole, manager, typed.password));
    return { ok: true, kitchenId: whole.kitchen.id, managerId: manager };
  });

/**
 * A kitchen with its whole history, and the person who starts it here as its manager: also where they had left it. All of it or
 * nothing.
 * @returns who that is
 */
const withHistory = (file: KitchenFile, history: History, name: string, password: string): Promise<string> =>
  inTransaction(database(), async (sql) => {
    const { id: kitchenId } = file.kitchen;
    await loadRows(sql, kitchenId, history);
    await mustSay(sql, file);
    const known = (await allPeople(sql, kitchenId)).find((p) => isSameName(p.name, name));
    const manager = { id: known?.id ?? newId(), name: known?.name ?? name, role: 'manager' as const };
    await writePerson(sql, kitchenId, manager, { password });
    await archivePerson(sql, kitchenId, manager.id, null);
    return manager.id;
  });

/** The same for the first visit: what cannot be taken is said beside the file. */
async function begunWithHistory(
  file: KitchenFile,
  history: History,
  typed: FirstTyped,
): Promise<StartedWrite> {
  const [step, ours] = [history.schema, newestSchema()];
  const no = (message: string): StartedWrite => not(refuse('bad-history', 'file', message).trouble);
  if (step !== ours) return no(texts.filesHistoryWrittenStep(step, ours));
  try {
    const managerId = await withHistory(file, history, typed.manager, await hashSecret(typed.password));
    return { ok: true, kitchenId: file.kitchen.id, managerId };
  } catch (error) {
    if (error instanceof HistoryError) return no(texts.nothingTaken(error.message));
    throw error;
  }
}

async function fileFor(typed: FirstTyped): Promise<KitchenFile | StartedWrite> {
  const today = dayIn(typed.zone, now());
  if (typed.begins === 'empty') return emptyKitchen(typed, today);
  const text = typed.begins === 'demo' ? await readFile(DEMO, 'utf8') : typed.file;
  if (text.trim() === '') return not(refuse('no-file', 'file', texts.chooseKitchenFileFirst).trouble);
  const read = readKitchenText(text);
  if (!read.ok) {
    const first = read.mistakes[0];
    const more = read.mistakes.length - 1;
    const where = first?.path ? `${first.path}: ` : '';
    return not(refuse('bad-file', 'file', texts.fileCannotTaken(where, first?.message ?? '', more)).trouble);
  }
  return typed.begins === 'demo'
    ? toPlayIn(underWayAt(shiftTo(read.file, today), now().getTime()), typed)
    : read.file;
}

const ownRow = (typed: FirstTyped) => ({
  name: typed.name,
  locale: typed.locale,
  zone: typed.zone,
  decimalMark: markOf(typed.locale),
});

/** Nothing yet but what its cups hold. */
const emptyKitchen = (typed: FirstTyped, today: string): KitchenFile => ({
  format: FORMAT,
  version: FORMAT_VERSION,
  referenceDay: today,
  kitchen: {
    id: newId(),
    ...ownRow(typed),
    currency: typed.currency,
    ...(typed.units === 'metric' ? {} : { shownIn: typed.units }),
    trim: { school: 'free', setValuePerKg: '0' },
    priceBasis: { by: 'latest' },
    learning: 'ask',
    energyPerKwh: {},
  },
  measures: Object.entries(CUPS_OF[typed.units]).map(([name, amount]) => ({ id: newId(), name, amount })),
  people: [],
  suppliers: [],
  vessels: [],
  hobs: [],
  ingredients: [],
  articles: [],
  purchases: [],
  counts: [],
  tests: [],
  wastes: [],
  recipes: [],
  plates: [],
  menus: [],
  trays: [],
  questions: [],
  batches: [],
});

/** The demo under another name: its prices stay in the demo's own currency, and nobody of the demo can sign in. */
const toPlayIn = (file: KitchenFile, typed: FirstTyped): KitchenFile => ({
  ...file,
  kitchen: { ...file.kitchen, name: typed.name, zone: typed.zone },
  people: file.people.map(({ id, name }) => ({ id, name, role: 'reader' as const })),
});

/** With the person who starts it as its manager; those whom the file calls managers stay managers. */
const withManager = (file: KitchenFile, typed: FirstTyped, id: string): KitchenFile => ({
  ...file,
  people: [...file.people.filter((p) => p.id !== id), { id, name: typed.manager, role: 'manager' as const }],
});

async function secretsOf(file: KitchenFile, manager: string, password: string): Promise<Secrets> {
  const secrets = new Map<string, { password: string | null; pin: string | null }>();
  for (const p of file.people)
    secrets.set(p.id, {
      password: p.firstPassword === undefined ? null : await hashSecret(p.firstPassword),
      pin: p.firstPin === undefined ? null : await hashSecret(p.firstPin),
    });
  return secrets.set(manager, { password: await hashSecret(password), pin: null });
}
