import 'server-only';
import { Ingredient, mannerIn, type WrittenIngredient } from '@/core/kitchen-file';
import { drainedIn, isDrained, Test, weighTestIn, type WrittenTest } from '@/core/bench';
import type { KitchenState } from '@/core/kitchen-state';
import { seasonOf } from '@/core/learning';
import { adopted, referenceLarder } from '@/core/reference';
import { refuse } from '@/core/trouble';
import { newId } from '@/db/mapping/ids';
import { insertIngredients } from '@/db/buying/larder-rows';
import { testDeliveries, dropTest, insertTests, writeTest } from '@/db/cooking/yield-tests';
import { database } from '@/server/database';
import { Refused, declare, refused, type Looking } from '@/server/door';
import { newLarderName } from '@/server/unique-name';
import { learnedAtOnce, writeProposal } from '../accept';
import { testResults } from '../test-results';
import { FIRST_PARTS } from '../words';
import { APART, BEGIN, BY_PRODUCT, DROP, FINISH, SAVE, type TestTyped, type TheirTest } from './wire';
import * as texts from './texts';

const gone = (): Refused => refused('gone', '', texts.testNoLongerBench);

/** Every test, with the state its ingredients stand in. */
async function benchOf(looking: Looking) {
  const { costing } = await looking.costed();
  return { costing, ...(await testResults(looking.who.kitchenId, costing)) };
}

async function theirTest({ id }: { readonly id: string }, looking: Looking): Promise<TheirTest | undefined> {
  const { tests, versions } = await benchOf(looking);
  const test = tests.find((t) => t.id === id);
  return test && { test, version: versions.get(id) ?? 1 };
}

/** An open test at the version seen; somebody else's is handed back. */
const ONE_TEST = {
  table: 'yield_test' as const,
  id: (body: { readonly id: string }) => body.id,
  theirs: theirTest,
};

/** The test that is being weighed. A finished one stays as it was weighed. */
async function openTest(id: string, looking: Looking) {
  const bench = await benchOf(looking);
  const test = bench.tests.find((t) => t.id === id);
  if (!test) throw gone();
  const version = bench.versions.get(id) ?? 1;
  // Where others were first, that is told before anything else.
  if (test.state === 'kept' && version === looking.seen)
    throw new Refused(refuse('finished', '', texts.testFinishedWhatSays).trouble, {
      theirs: { test, version } satisfies TheirTest,
    });
  return { ...bench, test };
}

/** What was typed put onto a test; an unknown delivery is left out, its supplier follows from it. */
async function typedOnto(
  before: WrittenTest,
  { purchase, ...typed }: TestTyped,
  { who }: Looking,
): Promise<WrittenTest> {
  const deliveries = await testDeliveries(database(), who.kitchenId, before.ingredient, 200);
  const delivery = deliveries.find((d) => d.purchase === purchase);
  const { purchase: _p, supplier: _s, note: _n, second: _2, intoWater: _w, time: _t, ...rest } = before;
  const read = Test.safeParse(
    JSON.parse(
      JSON.stringify({
        ...rest,
        ...typed,
        ...(delivery ? { purchase: delivery.purchase, supplier: delivery.supplier } : {}),
      }),
    ),
  );
  if (read.success) return read.data;
  const issue = read.error.issues[0];
  throw refused('bad-test', issue?.path.join('.') ?? '', texts.couldNotRead(issue?.message ?? ''));
}

/** Puts an ingredient on the bench: an open test of its newest delivery, with the person who starts it. */
const begin = declare({
  wire: BEGIN,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ ingredient }, { state, who, at, today }) {
    const here = await state();
    if (!here.ingredients.some((i) => i.id === ingredient))
      throw refused('gone', '', texts.ingredientNoLongerLarder);
    const [newest] = await testDeliveries(database(), who.kitchenId, ingredient, 1);
    const test: WrittenTest = {
      id: newId(),
      ingredient,
      kind: 'trim',
      state: 'open',
      on: today,
      recordedAt: at.toISOString(),
      by: who.person.id,
      ...(newest ? { purchase: newest.purchase, supplier: newest.supplier } : {}),
      season: seasonOf(today),
      start: '',
      parts: [
        ...FIRST_PARTS.trim,
        // What is known to come off is asked for.
        ...here.ingredients
          .filter((i) => i.comesOff?.ingredient === ingredient)
          .map((i) => ({ name: '', fate: 'by-product' as const, amount: '', product: i.id })),
      ],
    };
    return { test, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId }, _body, { test, manner }) {
    await insertTests(sql, kitchenId, [test], manner);
    return { value: { id: test.id }, what: 'test begun', subject: test.id, before: null, after: test };
  },
});

/** Keeps an open test as it is being weighed: whatever is typed, readable or not. */
const save = declare({
  wire: SAVE,
  role: 'cook',
  moves: 'nothing that is costed',
  changes: ONE_TEST,
  async look({ id, typed }, looking) {
    const { test, costing } = await openTest(id, looking);
    return { before: test, after: await typedOnto(test, typed, looking), manner: mannerIn(costing.state) };
  },
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await writeTest(sql, kitchenId, after, manner);
    return { value: null, what: 'test weighed', subject: id, before, after };
  },
});

/** A test as it is kept: lines nobody filled in, and a second pass nobody made, are no part of what was weighed. */
function asKept(written: WrittenTest, { who, at, today }: Looking): WrittenTest {
  const weighed = (parts: WrittenTest['parts']) => parts.filter((p) => p.amount.trim() !== '');
  const { second, ...once } = written;
  return {
    ...once,
    state: 'kept',
    on: today,
    recordedAt: at.toISOString(),
    by: who.person.id,
    parts: weighed(written.parts),
    ...(second && second.start.trim() !== '' ? { second: { ...second, parts: weighed(second.parts) } } : {}),
  };
}

/** Finishes a test: it must weigh up, and from then on it teaches. */
const finish = declare({
  wire: FINISH,
  role: 'cook',
  moves: 'costs',
  changes: ONE_TEST,
  async look({ id, typed }, looking) {
    const { test, tests, costing } = await openTest(id, looking);
    const manner = mannerIn(costing.state);
    const written = await typedOnto(test, typed, looking);
    const read = isDrained(written.kind) ? drainedIn(written, manner) : weighTestIn(written, manner);
    if (!read.ok) throw new Refused(read.trouble);
    const after = asKept(written, looking);
    const taughtBy = tests.map((t) => (t.id === id ? after : t));
    const ingredient = costing.supplies.get(after.ingredient)?.ingredient;
    return { before: test, after, manner, costing, learned: learnedAtOnce(costing, ingredient, taughtBy) };
  },
  async write({ sql, kitchenId, at }, { id }, { before, after, manner, costing, learned }) {
    await writeTest(sql, kitchenId, after, manner);
    const also = learned ? [await writeProposal(sql, kitchenId, costing, after.ingredient, learned, at)] : [];
    return { value: null, what: 'test finished', subject: id, before, after, also };
  },
});

/** Takes an open test off the bench. */
const drop = declare({
  wire: DROP,
  role: 'cook',
  moves: 'nothing that is costed',
  changes: ONE_TEST,
  look: async ({ id }, looking) => (await openTest(id, looking)).test,
  async write({ sql, kitchenId, at }, { id }, before) {
    await dropTest(sql, kitchenId, id, at);
    return { value: null, what: 'test dropped', subject: id, before, after: null };
  },
});

/** What one has typed as a test of its own, beside one that somebody else has finished meanwhile. */
const apart = declare({
  wire: APART,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ of, typed }, looking) {
    const { tests, costing } = await benchOf(looking);
    const theirs = tests.find((t) => t.id === of);
    if (!theirs) throw gone();
    const { leftOut: _l, ...base } = theirs;
    const { who, at, today } = looking;
    const own: WrittenTest = {
      ...base,
      id: newId(),
      state: 'open',
      on: today,
      recordedAt: at.toISOString(),
      by: who.person.id,
    };
    return { test: await typedOnto(own, typed, looking), manner: mannerIn(costing.state) };
  },
  async write({ sql, kitchenId }, _body, { test, manner }) {
    await insertTests(sql, kitchenId, [test], manner);
    return { value: { id: test.id }, what: 'test begun', subject: test.id, before: null, after: test };
  },
});

/** The starting point of the larder that something is to be treated like; undefined where none is named. */
function startingPoint(like: string) {
  const wanted = like.trim().toLowerCase();
  if (wanted === '') return undefined;
  const row = [...referenceLarder().values()].find((r) => r.name.toLowerCase() === wanted);
  if (!row) throw refused('unknown-like', 'like', texts.notLarderChooseStarting(like.trim()));
  return row;
}

/** An ingredient that comes off another: like a starting point of the larder, or else like what it comes off. */
function comingOff(
  mother: WrittenIngredient,
  name: string,
  like: string,
  { at, today }: Looking,
): WrittenIngredient {
  const row = startingPoint(like);
  const id = newId();
  const base = row ? adopted(row, id, today, at.toISOString()) : mother;
  return Ingredient.parse({
    ...base,
    id,
    name,
    mergedInto: undefined,
    boughtAs: undefined,
    priceBasis: undefined,
    trim: undefined,
    learnFrom: undefined,
    // What one of the other weighs says nothing of this.
    eachG: undefined,
    eachUnit: undefined,
    pieceG: undefined,
    reference: row?.id,
    cooked: [],
    comesOff: { ingredient: mother.id },
    yields: [
      {
        on: '2000-01-01',
        recordedAt: at.toISOString(),
        usablePct: 100,
        stockTrimPct: 0,
        source: 'estimate',
        low: 100,
        high: 100,
        basis: texts.comesOff(mother.name).slice(0, 200),
      },
    ],
  });
}

/** A new by-product: an ingredient of its own that comes off another. */
const addByProduct = declare({
  wire: BY_PRODUCT,
  role: 'cook',
  moves: 'costs',
  async look({ of, name, like }, looking) {
    const here: KitchenState = await looking.state();
    const mother = here.ingredients.find((i) => i.id === of);
    if (!mother) throw gone();
    const called = newLarderName(here, name, {
      none: texts.whatProductCalled,
      twice: (twin) => texts.kitchenAlreadyGiveWhat(twin, mother.name),
    });
    return { own: comingOff(mother, called, like, looking), place: here.ingredients.length };
  },
  async write({ sql, kitchenId }, _body, { own, place }) {
    await insertIngredients(sql, kitchenId, [own], place);
    return { value: { id: own.id }, what: 'by-product', subject: own.id, before: null, after: own };
  },
});

export const commands = [begin, save, finish, drop, apart, addByProduct];
