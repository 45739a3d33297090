import 'server-only';
import type { PoolConnection } from 'mysql2/promise';
import {
  drainedIn,
  Ingredient,
  isDrained,
  mannerIn,
  Test,
  weighTestIn,
  type WrittenTest,
} from '@/core/kitchen-file';
import { seasonOf } from '@/core/learning';
import { adopted, referenceLarder } from '@/core/reference';
import { refuse } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { newId } from '@/db/ids';
import { insertIngredients } from '@/db/larder-rows';
import { deliveriesOf, dropTest, insertTests, writeTest } from '@/db/yield-tests';
import { now } from '@/server/clock';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';
import { waitingFor, writeProposal } from '../accept';
import { testsOf } from '../read';
import { FIRST_PARTS } from '../words';

/** What of a test is typed on the bench. */
export type TestTyped = Pick<
  WrittenTest,
  'kind' | 'season' | 'note' | 'start' | 'intoWater' | 'time' | 'parts' | 'second'
> & { readonly purchase: string | null };

/** What a refused write lays beside one's own: the test as it stands now, and its version. */
export interface TheirTest {
  readonly test: WrittenTest;
  readonly version: number;
}

const gone = (): Refused =>
  new Refused(refuse('gone', '', 'This test is no longer on the bench: somebody has dropped it.').trouble);

/** Puts an ingredient on the bench: an open test of its newest delivery, with whoever begins it. */
export function beginTest(ingredientId: string): Promise<Edited<{ id: string }>> {
  return edit('cook', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    if (!costing.supplies.has(ingredientId))
      throw new Refused(refuse('gone', '', 'This ingredient is no longer in the larder.').trouble);
    const [newest] = await deliveriesOf(sql, who.kitchenId, ingredientId, 1);
    const at = now();
    const test: WrittenTest = {
      id: newId(),
      ingredient: ingredientId,
      kind: 'trim',
      state: 'open',
      on: costing.day,
      recordedAt: at.toISOString(),
      by: who.person.id,
      ...(newest ? { purchase: newest.purchase, supplier: newest.supplier } : {}),
      season: seasonOf(costing.day),
      start: '',
      parts: [
        ...FIRST_PARTS.trim,
        // What is known to come off is asked for.
        ...costing.file.ingredients
          .filter((i) => i.comesOff?.ingredient === ingredientId)
          .map((i) => ({ name: '', fate: 'by-product' as const, amount: '', product: i.id })),
      ],
    };
    await insertTests(sql, who.kitchenId, [test], mannerIn(costing.file));
    await logged(sql, who, at, test.id, 'test begun', null, test, false);
    return { id: test.id };
  });
}

async function logged(
  sql: PoolConnection,
  who: Worker,
  at: Date,
  subjectId: string,
  what: string,
  before: unknown,
  after: unknown,
  costs: boolean,
): Promise<void> {
  await recordChange(
    sql,
    { kitchenId: who.kitchenId, personId: who.person.id, at, what, subjectId, before, after },
    costs,
  );
}

/** The test as it stands, to be written over by somebody who has seen it at a version; refused when others were first. */
async function taken(
  sql: PoolConnection,
  who: Worker,
  kitchen: CostedKitchen,
  id: string,
  seen: number,
): Promise<WrittenTest> {
  const read = await testsOf(who.kitchenId, kitchen.costing, sql);
  const test = read.tests.find((t) => t.id === id);
  if (!test) throw gone();
  const theirs: TheirTest = { test, version: read.versions.get(id) ?? 1 };
  await mustBeFresh(sql, who, 'yield_test', id, seen, () => Promise.resolve(theirs));
  if (test.state === 'kept')
    throw new Refused(
      refuse(
        'finished',
        '',
        'This test is finished: what it says stays as it was weighed. Leave it out, or make another.',
      ).trouble,
      theirs,
    );
  return test;
}

/** What was typed put onto a test; an unknown delivery is refused, its supplier follows from it. */
async function typedOnto(
  sql: PoolConnection,
  who: Worker,
  before: WrittenTest,
  { purchase, ...typed }: TestTyped,
): Promise<WrittenTest> {
  const deliveries = await deliveriesOf(sql, who.kitchenId, before.ingredient, 200);
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
  throw new Refused(
    refuse('bad-test', issue?.path.join('.') ?? '', `This could not be read: ${issue?.message ?? ''}.`)
      .trouble,
  );
}

/** Keeps an open test as it is being weighed: whatever is typed, readable or not. */
export function saveTest(id: string, seen: number, typed: TestTyped): Promise<Edited<number>> {
  return edit('cook', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const before = await taken(sql, who, kitchen, id, seen);
    const after = await typedOnto(sql, who, before, typed);
    await writeTest(sql, who.kitchenId, after, mannerIn(kitchen.costing.file));
    await logged(sql, who, now(), id, 'test weighed', null, typed, false);
    return seen + 1;
  });
}

/** Finishes a test: it must weigh up, and from then on it teaches. */
export function finishTest(id: string, seen: number, typed: TestTyped): Promise<Edited<number>> {
  return edit('cook', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const { costing } = kitchen;
    const manner = mannerIn(costing.file);
    const before = await taken(sql, who, kitchen, id, seen);
    const written = await typedOnto(sql, who, before, typed);
    const read = isDrained(written.kind) ? drainedIn(written, manner) : weighTestIn(written, manner);
    if (!read.ok) throw new Refused(read.trouble);
    const at = now();
    const weighed = (parts: WrittenTest['parts']) => parts.filter((p) => p.amount.trim() !== '');
    const { second, ...once } = written;
    const after: WrittenTest = {
      ...once,
      state: 'kept',
      on: costing.day,
      recordedAt: at.toISOString(),
      by: who.person.id,
      // Lines nobody filled in, and a second pass nobody made, are no part of what was weighed.
      parts: weighed(written.parts),
      ...(second && second.start.trim() !== ''
        ? { second: { ...second, parts: weighed(second.parts) } }
        : {}),
    };
    await writeTest(sql, who.kitchenId, after, manner);
    await logged(sql, who, at, id, 'test finished', null, after, true);
    if (costing.file.kitchen.learning === 'at once') {
      const proposal = await waitingFor(sql, who, costing, after.ingredient);
      if (proposal) await writeProposal(sql, who, costing, after.ingredient, proposal, at);
    }
    return seen + 1;
  });
}

/** Takes an open test off the bench. */
export function dropOpenTest(id: string, seen: number): Promise<Edited> {
  return edit('cook', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const before = await taken(sql, who, kitchen, id, seen);
    await dropTest(sql, who.kitchenId, id, now());
    await logged(sql, who, now(), id, 'test dropped', before, null, false);
    return null;
  });
}

/** What one has typed as a test of its own, beside one that somebody else has finished meanwhile. */
export function apartTest(of: string, typed: TestTyped): Promise<Edited<{ id: string }>> {
  return edit('cook', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const { tests } = await testsOf(who.kitchenId, costing, sql);
    const theirs = tests.find((t) => t.id === of);
    if (!theirs) throw gone();
    const { leftOut: _l, ...base } = theirs;
    const at = now();
    const test = await typedOnto(
      sql,
      who,
      {
        ...base,
        id: newId(),
        state: 'open',
        on: costing.day,
        recordedAt: at.toISOString(),
        by: who.person.id,
      },
      typed,
    );
    await insertTests(sql, who.kitchenId, [test], mannerIn(costing.file));
    await logged(sql, who, at, test.id, 'test begun', null, test, false);
    return { id: test.id };
  });
}

/**
 * A new by-product: an ingredient of its own that comes off another. It is reckoned as a starting point of the larder, or else
 * as what it comes off.
 */
export function addByProduct(of: string, name: string, like: string): Promise<Edited<{ id: string }>> {
  return edit('cook', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const mother = file.ingredients.find((i) => i.id === of);
    if (!mother) throw gone();
    const called = name.trim();
    if (called === '') throw new Refused(refuse('no-name', 'name', 'What is the by-product called?').trouble);
    if (called.length > 120)
      throw new Refused(
        refuse('name-too-long', 'name', `A name has at most 120 characters; this has ${called.length}.`, {
          value: called.length,
          limit: 120,
        }).trouble,
      );
    const twin = [...file.ingredients, ...file.recipes].find(
      (x) => x.name.toLowerCase() === called.toLowerCase(),
    );
    if (twin)
      throw new Refused(
        refuse(
          'name-twice',
          'name',
          `“${twin.name}” is in the kitchen already. Give what comes off ${mother.name} a name of its own.`,
        ).trouble,
      );
    const row = [...referenceLarder().values()].find(
      (r) => r.name.toLowerCase() === like.trim().toLowerCase(),
    );
    if (like.trim() !== '' && !row)
      throw new Refused(
        refuse(
          'unknown-like',
          'like',
          `“${like.trim()}” is not in the larder: choose a starting point, or leave it empty.`,
        ).trouble,
      );
    const at = now();
    const id = newId();
    const base = row ? adopted(row, id, file.referenceDay, at.toISOString()) : mother;
    const own = Ingredient.parse({
      ...base,
      id,
      name: called,
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
      comesOff: { ingredient: of },
      yields: [
        {
          on: '2000-01-01',
          recordedAt: at.toISOString(),
          usablePct: 100,
          stockTrimPct: 0,
          source: 'estimate',
          low: 100,
          high: 100,
          basis: `as it comes off ${mother.name}`.slice(0, 200),
        },
      ],
    });
    await insertIngredients(sql, who.kitchenId, [own], file.ingredients.length);
    await logged(sql, who, at, id, 'by-product', null, own, true);
    return { id };
  });
}
