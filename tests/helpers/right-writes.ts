import fs from 'node:fs';
import path from 'node:path';
import { v7 } from 'uuid';
import { DAY, type AtWork } from './at-work';
import type { StandIn } from '../../stand-ins/listen';
import { startPriceLists } from '../../stand-ins/price-list';
import { VERDICTS } from '../../src/core/price-list';
import { referenceLarder } from '../../src/core/reference';
import { insertDevice } from '../../src/db/people/devices';
import { beginSignedIn } from '../../src/db/people/sign-ins';
import { setPassword } from '../../src/db/people/people';
import { addModelChange } from '../../src/db/kitchen/model-changes';
import { bumpRevision } from '../../src/db/revisions';
import { importById } from '../../src/db/buying/price-lists';
import { listRowsOf } from '../../src/db/buying/price-list-rows';
import type { Aggregate } from '../../src/db/edits';
import { columnsAsked } from '../../src/features/buy/lists/lists';
import { jobOf } from '../../src/features/buy/lists/jobs';
import { ACCEPT as ACCEPT_LIST, LOOK, TAKE } from '../../src/features/buy/lists/wire';
import { SUPPLIER } from '../../src/features/buy/suppliers/wire';
import { PURCHASE } from '../../src/features/buy/purchases/wire';
import { MERGE, TAKE as TAKE_INGREDIENT } from '../../src/features/buy/larder/wire';
import { PRICE } from '../../src/features/buy/wire';
import { housePage } from '../../src/features/house/queries';
import { KEEP_COSTING, STARTING_VALUES } from '../../src/features/house/wire';
import { VESSEL } from '../../src/features/house/stove/wire';
import { SHEET } from '../../src/features/pot/wire';
import { TRAY } from '../../src/features/pour/what-if/wire';
import { settingsTyped } from '../../src/features/house/settings/typed';
import { learnedPage } from '../../src/features/stove/learned';
import { BATCH, TELL } from '../../src/features/stove/wire';
import { BEGIN, FINISH } from '../../src/features/trim/bench/wire';
import { trimmingTyped } from '../../src/features/trim/schools/typed';
import { taughtPage } from '../../src/features/trim/taught/queries';
import { costedKitchen } from '../../src/server/kitchen';
import { hashSecret } from '../../src/server/passwords';
import type { Reply } from '../../src/wire';

/** What a write of some kind takes that is right in the kitchen as it is, and the version its writer has seen. */
export interface Right {
  readonly body: unknown;
  readonly seen?: number | null;
}
type Make = (here: AtWork) => Promise<Right> | Right;

const NOW = new Date('2026-03-14T12:00:00.000Z');
const PASSWORD = 'kestrel-weir-1';

const found = <T>(thing: T | undefined, what: string): T => {
  if (thing === undefined) throw new Error(`no ${what} in the demo`);
  return thing;
};
const ingredient = (here: AtWork, name: string) =>
  found(
    here.file.ingredients.find((i) => i.name === name),
    name,
  );
const recipe = (here: AtWork, name: string) =>
  found(
    here.file.recipes.find((r) => r.name === name),
    name,
  );
const plate = (here: AtWork, name: string) =>
  found(
    here.file.plates.find((p) => p.name === name),
    name,
  );
const vessel = (here: AtWork, name: string) =>
  found(
    here.file.vessels.find((v) => v.name === name),
    name,
  );
/** The article that an ingredient is bought as. */
const article = (here: AtWork, name: string) =>
  found(
    here.file.articles.find((a) => a.ingredient === ingredient(here, name).id),
    `article of ${name}`,
  );

/** An ingredient as an older edition of the program left it: without what was learned of it since. */
async function olderMutton(here: AtWork): Promise<string> {
  const { id } = ingredient(here, 'Mutton neck');
  await here.pool.query(
    "UPDATE ingredient SET physics = JSON_REMOVE(physics, '$.is.juice', '$.juice'), version = version + 1 WHERE kitchen_id = ? AND id = ?",
    [here.kitchenId, id],
  );
  await bumpRevision(here.pool, here.kitchenId);
  return id;
}

/** A body with the version that the thing it changes stands at. */
const of = async (here: AtWork, table: Aggregate, id: string, body: object): Promise<Right> => ({
  body,
  ...(await here.seen(table, id)),
});
const mustSend = async <A, T>(reply: Promise<Reply<A, T>>): Promise<A> => {
  const answer = await reply;
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

const invoice = (here: AtWork, number: string) => ({
  kind: 'invoice' as const,
  supplier: article(here, 'Carrot').supplier,
  on: '2026-03-13',
  number,
  lines: [
    {
      is: 'goods' as const,
      article: article(here, 'Carrot').id,
      packs: '2',
      packPrice: '31.50',
      delivered: '',
      rejected: '',
      inPlaceOf: '',
      note: '',
    },
  ],
});

const WEIGHED = {
  kind: 'trim' as const,
  season: 'spring' as const,
  start: '10 kg',
  parts: [
    { name: 'white and pale green', fate: 'usable' as const, amount: '6.2 kg' },
    { name: 'tops', fate: 'waste' as const, amount: '3.8 kg' },
  ],
  purchase: null,
};
async function testBegun(here: AtWork, finish = false): Promise<string> {
  const { id } = await mustSend(here.send(BEGIN, { ingredient: ingredient(here, 'Leek').id }));
  if (finish) await mustSend(here.send(FINISH, { id, typed: WEIGHED }));
  return id;
}

/** Waits until what a write has begun in the background is over: lists are read and written so. */
export async function afterwards(body: unknown, reply: unknown): Promise<void> {
  for (const id of JSON.stringify([body, reply]).match(/[0-9a-f]{8}-[0-9a-f-]{27}/g) ?? []) await ended(id);
}

/** Waits until what is done in the background with a list has ended. */
async function ended(id: string): Promise<void> {
  while (jobOf(id)?.ended === false) await new Promise((done) => setImmediate(done));
}
let lists = 0;
const list = (here: AtWork) => ({
  supplier: found(here.file.suppliers[0], 'supplier').id,
  name: 'weirside.csv',
  // Each time another file: one that has been accepted is not taken again.
  base64: Buffer.concat([
    fs.readFileSync(path.join(process.cwd(), 'demo/price-lists/weirside-game-latin1.csv')),
    Buffer.from('\r\n'.repeat((lists += 1))),
  ]).toString('base64'),
});
async function columnsOf(here: AtWork, id: string) {
  const guess = await columnsAsked(here.kitchenId, id);
  if (!guess.ok) throw new Error(guess.trouble.message);
  return { id, on: DAY, odd: '15', columns: { ...guess.value.guess, price: guess.value.guess.price ?? '' } };
}
let changes = 0;
/** A list taken, and looked through unless its columns are still to be said; some of its prices are not those in the book. */
async function listTaken(here: AtWork, looked: boolean): Promise<string> {
  const bones = found(
    here.file.articles.find((a) => a.code === 'VB10'),
    'article of the list',
  );
  const body = { article: bones.id, row: bones.ingredient, typed: `26.${10 + (changes += 1)}` };
  await mustSend(here.send(PRICE, body, await here.seen('supplier_article', bones.id)));
  const { id } = await mustSend(here.send(TAKE, list(here), { seen: null }));
  await ended(id);
  if (looked && (await importById(here.pool, here.kitchenId, id))?.state === 'columns') {
    await mustSend(here.send(LOOK, await columnsOf(here, id), { seen: null }));
    await ended(id);
  }
  return id;
}
const lineOf = async (here: AtWork, id: string, code: string): Promise<number> => {
  const rows = await Promise.all(
    VERDICTS.map((verdict) => listRowsOf(here.pool, here.kitchenId, id, verdict, 0, 100)),
  );
  return found(
    rows.flat().find((r) => r.code === code),
    `row ${code}`,
  ).line;
};

async function batchOn(here: AtWork, vesselName: string): Promise<string> {
  const { id, hob } = recipe(here, 'Reduced game base');
  const batch = v7();
  await mustSend(
    here.send(BATCH, {
      id: batch,
      recipe: id,
      vessel: vessel(here, vesselName).id,
      hob,
      times: 0.1,
      startedAt: '2026-03-14T11:00:00.000Z',
    }),
  );
  return batch;
}
const note = () => ({
  id: v7(),
  is: 'note' as const,
  at: '2026-03-14T11:50:00.000Z',
  recordedAt: '2026-03-14T11:50:00.000Z',
  text: 'clear so far',
});

const VESSEL_TYPED = {
  name: 'Stockpot of the table',
  shape: 'round',
  base: '30',
  top: '',
  length: '',
  width: '',
  height: '30',
  fill: '85',
  empty: '',
};

const question = (here: AtWork) => {
  const of = recipe(here, 'Crab shell stock');
  const line = found(
    of.steps.find((s) => s.do === 'strain'),
    'strainer',
  ).id;
  return {
    id: null,
    name: 'Press them, of the table?',
    asks: { of: 'press', recipe: of.id, line },
    beside: [],
  };
};

const trial = (here: AtWork) => ({
  of: 'menu price' as const,
  plate: plate(here, 'Trout pie').id,
  price: '31.00',
});

const standIns: StandIn[] = [];
/** Ends what some of the writes need beside the kitchen. */
export const endStandIns = (): Promise<unknown> => Promise.all(standIns.map((s) => s.stop()));

/** Of every kind of write one that is right. A kind that is not here fails the test that there is one of each. */
export const RIGHT: Readonly<Record<string, Make>> = {
  'article.price': (here) => {
    const { id, ingredient: row } = article(here, 'Carrot');
    return of(here, 'supplier_article', id, { article: id, row, typed: '24.80' });
  },
  'ingredient.yield': (here) => {
    const { id } = ingredient(here, 'Celeriac');
    return of(here, 'ingredient', id, { ingredient: id, typed: '71' });
  },
  'ingredient.basis': (here) => {
    const { id } = ingredient(here, 'Carrot');
    return of(here, 'ingredient', id, { id, by: 'average', days: '14', price: '', per: '' });
  },
  'ingredient.buying': (here) => {
    const { id } = ingredient(here, 'Carrot');
    return of(here, 'ingredient', id, { id, partPack: 'whole' });
  },
  'ingredient.count': (here) => {
    const { id } = ingredient(here, 'Carrot');
    return of(here, 'ingredient', id, { id, typed: '3 kg' });
  },
  'article.weighed': (here) => {
    const { id } = ingredient(here, 'Carrot');
    const { id: bought, pack } = article(here, 'Carrot');
    return of(here, 'ingredient', id, { id, article: bought, typed: `${Number.parseFloat(pack) * 0.9} kg` });
  },
  'article.keep': (here) => {
    const { id, pack } = article(here, 'Carrot');
    return of(here, 'supplier_article', id, { id, name: 'Carrots, washed', code: 'CW', pack, price: '' });
  },
  'article.away': (here) => ({ body: { id: article(here, 'Redcurrant jelly').id, away: true } }),
  'ingredient.take': async (here) => {
    const taken = new Set((await here.read()).ingredients.map((i) => i.reference));
    const [free] = [...referenceLarder().values()].filter((r) => !taken.has(r.id));
    return { body: { reference: found(free, 'starting point').id, name: 'Taken for the table' } };
  },
  'ingredient.merge': (here) => {
    const { id } = ingredient(here, 'Shallots, banana');
    return of(here, 'ingredient', id, { id, into: ingredient(here, 'Shallot').id });
  },
  'ingredient.apart': async (here) => {
    const { id } = ingredient(here, 'Fennel');
    const merged = { id, into: ingredient(here, 'Celery').id };
    await mustSend(here.send(MERGE, merged, await here.seen('ingredient', id)));
    return of(here, 'ingredient', id, { id });
  },
  'measure.define': () => ({ body: { name: 'tableful', amount: '1.5 l' } }),
  'measure.drop': (here) => ({ body: { id: found(here.file.measures.at(-1), 'measure').id } }),
  'kitchen.basis': (here) => of(here, 'kitchen', here.kitchenId, { by: 'average', days: '21' }),

  'supplier.keep': () => ({ body: { id: null, name: 'Tableland Growers', priceList: '' }, seen: null }),
  'supplier.away': async (here) => {
    const { id } = await mustSend(
      here.send(SUPPLIER, { id: null, name: 'Gone Tomorrow', priceList: '' }, { seen: null }),
    );
    return { body: { id, away: true } };
  },
  'list.take': (here) => ({ body: list(here), seen: null }),
  'list.fetch': async (here) => {
    const standIn = await startPriceLists(here.file, 0, () => NOW);
    standIns.push(standIn);
    const priceList = `http://127.0.0.1:${standIn.port}/tarn-hatchery.csv`;
    const { id } = await mustSend(
      here.send(SUPPLIER, { id: null, name: 'Fetched From Afar', priceList }, { seen: null }),
    );
    return { body: { supplier: id }, seen: null };
  },
  'list.look': async (here) => ({ body: await columnsOf(here, await listTaken(here, false)), seen: null }),
  'list.want': async (here) => {
    const id = await listTaken(here, true);
    return { body: { id, where: { line: await lineOf(here, id, 'MN') }, wanted: false }, seen: null };
  },
  'list.assign': async (here) => {
    const id = await listTaken(here, true);
    const to = { ingredient: ingredient(here, 'Venison bones').id };
    return { body: { id, line: await lineOf(here, id, 'PH1'), to }, seen: null };
  },
  'list.accept': async (here) => ({ body: { id: await listTaken(here, true) }, seen: null }),
  'list.write': async (here) => ({ body: { id: await listTaken(here, true) }, seen: null }),
  'list.drop': async (here) => ({ body: { id: await listTaken(here, true) }, seen: null }),
  'list.undo': async (here) => {
    const id = await listTaken(here, true);
    await mustSend(here.send(ACCEPT_LIST, { id }, { seen: null }));
    await ended(id);
    return { body: { id, alsoEdited: true }, seen: null };
  },
  'purchase.write': (here) => ({ body: invoice(here, 'T-1'), seen: null }),
  'purchase.back': async (here) => {
    const { id } = await mustSend(here.send(PURCHASE, invoice(here, 'T-2'), { seen: null }));
    return { body: { id, back: true }, seen: null };
  },
  'ingredient.own': () => ({
    body: {
      name: 'Verjuice of the table',
      role: 'liquid',
      label: {
        per: '100 g',
        energyKj: '120',
        fat: '0',
        carbohydrate: '7',
        sugars: '6',
        fibre: '0',
        protein: '0.2',
        salt: '0.01',
        alcoholVolPct: '',
      },
      allergens: [],
      allergensRead: true,
      eachUnit: '',
      eachWeighs: '',
      usable: '100',
    },
    seen: null,
  }),
  'article.first': async (here) => {
    const taken = new Set((await here.read()).ingredients.map((i) => i.reference));
    const free = [...referenceLarder().values()].filter((r) => !taken.has(r.id));
    const { id } = await mustSend(
      here.send(TAKE_INGREDIENT, {
        reference: found(free[3], 'starting point').id,
        name: 'Never bought yet',
      }),
    );
    const { supplier } = article(here, 'Carrot');
    return {
      body: { ingredient: id, supplier: { own: supplier }, pack: '5 kg', price: '12.40', eachWeighs: '' },
      seen: null,
    };
  },
  'ingredient.one-weighs': (here) => {
    const { id } = ingredient(here, 'Celeriac');
    return of(here, 'ingredient', id, { id, unit: 'each', typed: '780 g' });
  },
  'ingredient.name': (here) => {
    const { id } = ingredient(here, 'Celeriac');
    return of(here, 'ingredient', id, { id, name: 'Celery root' });
  },
  'ingredient.away': (here) => {
    const { id } = ingredient(here, 'Thyme');
    return of(here, 'ingredient', id, { id, away: true, instead: ingredient(here, 'Parsley stalks').id });
  },
  'ingredient.allergens': (here) => {
    const { id } = ingredient(here, 'Leek');
    return of(here, 'ingredient', id, { id, allergens: ['sulphites'] });
  },
  'recipe.sheet': async (here) => {
    const { id, vessel: pot, hob, steps } = recipe(here, 'White roux');
    const [first, ...rest] = steps;
    return of(here, 'recipe', id, { id, vessel: pot, hob, steps: [{ ...first, amount: '600 g' }, ...rest] });
  },
  'recipe.served': (here) => {
    const { id } = recipe(here, 'Sorrel sauce');
    return of(here, 'recipe', id, { id, at: '60 °C' });
  },
  'recipe.new': (here) => {
    const { vessel: pot, hob } = recipe(here, 'White roux');
    return {
      body: {
        name: 'Roux of the table',
        vessel: { own: pot },
        hob: { own: hob },
        like: null,
        lines: '2 l water',
      },
      seen: null,
    };
  },
  'recipe.name': (here) => {
    const { id } = recipe(here, 'White roux');
    return of(here, 'recipe', id, { id, name: 'Pale roux', note: 'tried' });
  },
  'recipe.away': (here) => {
    const { id } = recipe(here, 'Passata out of paste');
    return of(here, 'recipe', id, { id, away: true, instead: recipe(here, 'Pepper passata').id });
  },
  'recipe.version.name': (here) => ({
    body: { id: recipe(here, 'Juniper sauce').id, version: 1, name: 'before the frost' },
    seen: null,
  }),
  'recipe.batches': (here) => {
    const { id } = recipe(here, 'Juniper sauce');
    return of(here, 'recipe', id, { id, typed: '9' });
  },
  'plate.amounts': (here) => {
    const { id, lines } = plate(here, 'Crab bisque, soda bread');
    const same = lines.map((l) => ({ id: l.id ?? '', amount: l.amount }));
    return of(here, 'plate', id, { id, lines: same, menuPrice: '13.50' });
  },
  'plate.new': () => ({ body: { name: 'Dish of the table', like: null }, seen: null }),
  'plate.lines': (here) => {
    const { id, lines } = plate(here, 'Pale onion soup, goat cheese');
    const fewer = lines.slice(0, -1).map((l) => ({ id: l.id ?? '', of: l.of, amount: l.amount }));
    return of(here, 'plate', id, { id, lines: fewer });
  },
  'plate.head': (here) => {
    const { id } = plate(here, 'Trout pie');
    return of(here, 'plate', id, { id, name: 'Pie of trout', tax: '9', target: '31' });
  },
  'plate.line-served': (here) => {
    const { id, lines } = plate(here, 'Trout pie');
    return of(here, 'plate', id, { id, line: lines[0]?.id ?? '', overfill: '4', taken: '' });
  },
  'plate.by-itself': (here) => {
    const { id } = plate(here, 'Child’s trout');
    return of(here, 'plate', id, { id });
  },
  'plate.finish': (here) => {
    const { id, lines } = plate(here, 'Mutton broth, bread');
    const line = found(
      lines.find((l) => 'product' in l.of),
      'line of a pot',
    );
    return of(here, 'plate', id, { id, line: line.id ?? '', name: 'Broth, hotted up' });
  },
  'plate.away': (here) => ({ body: { id: plate(here, 'Jar of game gravy').id, away: true }, seen: null }),
  'menu.keep': (here) => ({
    body: {
      id: null,
      name: 'Menu of the table',
      mixIn: 'portions',
      plates: [{ plate: plate(here, 'Trout pie').id, sold: '12' }],
    },
    seen: null,
  }),
  'menu.away': (here) => ({ body: { id: found(here.file.menus[1], 'menu').id, away: true }, seen: null }),
  'tray.keep': (here) => ({
    body: { id: null, name: 'Tray of the table', trials: [trial(here)] },
    seen: null,
  }),
  'tray.away': (here) => ({ body: { id: found(here.file.trays[0], 'tray').id, away: true }, seen: null }),
  'tray.apply': async (here) => {
    const { id } = await mustSend(
      here.send(TRAY, { id: null, name: 'To be applied', trials: [trial(here)] }, { seen: null }),
    );
    return of(here, 'tray', id, { id });
  },
  'test.begin': (here) => ({ body: { ingredient: ingredient(here, 'Leek').id }, seen: null }),
  'test.weigh': async (here) => {
    const id = await testBegun(here);
    return of(here, 'yield_test', id, { id, typed: WEIGHED });
  },
  'test.finish': async (here) => {
    const id = await testBegun(here);
    return of(here, 'yield_test', id, { id, typed: WEIGHED });
  },
  'test.drop': async (here) => {
    const id = await testBegun(here);
    return of(here, 'yield_test', id, { id });
  },
  'test.apart': async (here) => ({ body: { of: await testBegun(here), typed: WEIGHED }, seen: null }),
  'ingredient.comes-off': (here) => ({
    body: { of: ingredient(here, 'Leek').id, name: 'Leek hearts', like: '' },
    seen: null,
  }),
  'ingredient.trim-taken': (here) => {
    const { id } = ingredient(here, 'Leek');
    return of(here, 'ingredient', id, { id, what: 'stock trim', pct: 30 });
  },
  'stock.waste': (here) => ({
    body: { ingredient: ingredient(here, 'Leek').id, part: 'whole', amount: '900 g', reason: 'dropped' },
    seen: null,
  }),
  'kitchen.trimming': async (here) => {
    const { costing } = await costedKitchen(here.kitchenId);
    return of(here, 'kitchen', here.kitchenId, { ...trimmingTyped(costing.state.kitchen), wage: '31' });
  },
  'ingredient.learned': async (here) => {
    const { id } = ingredient(here, 'Leek');
    for (let n = 0; n < 4; n += 1) await testBegun(here, true);
    const page = await taughtPage(here.as('manager'), id);
    return of(here, 'ingredient', id, { id, proposed: page?.proposed ?? '' });
  },
  'test.left-out': async (here) => ({
    body: { test: await testBegun(here, true), why: 'wet leeks' },
    seen: null,
  }),
  'ingredient.learn-from': (here) => {
    const { id } = ingredient(here, 'Leek');
    return of(here, 'ingredient', id, { id, season: 'spring', supplier: null });
  },
  'ingredient.trim': (here) => {
    const { id } = ingredient(here, 'Leek');
    return of(here, 'ingredient', id, { id, school: 'weight', setValue: null, takenPct: '40' });
  },
  'ingredient.by-product': (here) => {
    const { id } = found(
      here.file.ingredients.find((i) => i.comesOff),
      'by-product',
    );
    return of(here, 'ingredient', id, { id, setValue: '0.8', sold: true });
  },
  'person.password': async (here) => {
    const who = here.as('manager').person.id;
    await setPassword(here.pool, here.kitchenId, who, await hashSecret(PASSWORD));
    return { body: { before: PASSWORD, next: 'kestrel-weir-9' }, seen: null };
  },
  'signed-in.end': async (here) => {
    const id = v7();
    const who = here.as('manager').person.id;
    const where = { deviceId: null, byPin: false, address: '127.0.0.1', browser: 'a browser' };
    await beginSignedIn(here.pool, here.kitchenId, { id, personId: who, ...where }, NOW);
    return { body: { id }, seen: null };
  },
  'device.end': async (here) => {
    const id = v7();
    await insertDevice(
      here.pool,
      here.kitchenId,
      { id, name: 'Tablet', by: here.as('manager').person.id },
      NOW,
    );
    return { body: { id }, seen: null };
  },
  'person.keep': () => ({
    body: { id: null, name: 'Nan Tully', role: 'cook', password: 'copper-pans', pin: '' },
    seen: null,
  }),
  'person.away': (here) => ({
    body: {
      id: found(
        here.file.people.find((p) => p.role === 'reader'),
        'reader',
      ).id,
      away: true,
    },
    seen: null,
  }),
  'change.undo': async (here) => {
    const { id, ingredient: row } = article(here, 'Leek');
    const body = { article: id, row, typed: '14.20' };
    await mustSend(here.send(PRICE, body, await here.seen('supplier_article', id)));
    const [last] = await here.lately(1);
    return { body: { change: found(last, 'change').id, again: false }, seen: null };
  },
  'change.restore': async (here) => {
    const { id, vessel: pot, hob, steps } = recipe(here, 'Kneaded butter');
    const [first, ...rest] = steps;
    const changed = { id, vessel: pot, hob, steps: [{ ...first, note: 'soft' } as never, ...rest] };
    await mustSend(here.send(SHEET, changed, await here.seen('recipe', id)));
    const [one] = await here.lately(1);
    const back = { id, vessel: pot, hob, steps };
    await mustSend(here.send(SHEET, back, await here.seen('recipe', id)));
    return { body: { change: found(one, 'change').id }, seen: null };
  },
  'kitchen.hands': (here) =>
    of(here, 'kitchen', here.kitchenId, {
      kinds: { strain: { fixed: '30', perKg: '', perL: '0' } },
      sharedBatch: '',
      sharedPerL: '',
    }),
  'kitchen.cups': () => ({ body: { of: 'us' }, seen: null }),
  'costing.keep': (here) => ({
    body: { what: 'plate', subject: plate(here, 'Trout pie').id },
    seen: null,
  }),
  'costing.away': async (here) => {
    const { id } = await mustSend(
      here.send(KEEP_COSTING, { what: 'product', subject: recipe(here, 'White roux').id }, { seen: null }),
    );
    return { body: { id, away: true }, seen: null };
  },
  'model.seen': async (here) => {
    const id = v7();
    await addModelChange(here.pool, here.kitchenId, {
      id,
      fromModel: 1,
      toModel: 2,
      foundAt: NOW,
      forDay: DAY,
      exact: true,
      moves: [],
    });
    return { body: { id }, seen: null };
  },
  'starting-values.take': async (here) => ({ body: { ids: [await olderMutton(here)] }, seen: null }),
  'starting-values.back': async (here) => {
    const ids = [await olderMutton(here)];
    await mustSend(here.send(STARTING_VALUES, { ids }, { seen: null }));
    const page = await housePage(here.as('manager'));
    return { body: { change: page.taken?.change ?? '' }, seen: null };
  },
  'kitchen.settings': async (here) => {
    const { costing } = await costedKitchen(here.kitchenId);
    return of(here, 'kitchen', here.kitchenId, { ...settingsTyped(costing.state.kitchen), target: '29' });
  },
  'vessel.keep': () => ({ body: { id: null, ...VESSEL_TYPED }, seen: null }),
  'hob.keep': () => ({
    body: { id: null, name: 'Hob of the table', fuel: 'gas', netKw: '4', efficiency: '45', draught: false },
    seen: null,
  }),
  'stove.away': async (here) => {
    const { id } = await mustSend(
      here.send(VESSEL, { id: null, ...VESSEL_TYPED, name: 'Pot that goes' } as never, { seen: null }),
    );
    return { body: { what: 'vessel', id, away: true, instead: null }, ...(await here.seen('vessel', id)) };
  },
  'question.keep': (here) => ({ body: question(here), seen: null }),
  'question.away': (here) => ({
    body: { id: found(here.file.questions[1], 'question').id, away: true },
    seen: null,
  }),
  'question.seen': (here) => ({ body: { id: found(here.file.questions[0], 'question').id }, seen: null }),
  'batch.start': (here) => {
    const { id, hob } = recipe(here, 'Reduced game base');
    const body = { id: v7(), recipe: id, vessel: vessel(here, 'Stockpot 50 l').id, hob, times: 1 };
    return { body: { ...body, startedAt: '2026-03-14T11:00:00.000Z' }, seen: null };
  },
  'batch.tell': async (here) => ({
    body: { batch: await batchOn(here, 'Bratt pan 60 l'), event: note() },
    seen: null,
  }),
  'batch.take-back': async (here) => {
    const batch = await batchOn(here, 'Rondeau 32 cm');
    const event = note();
    await mustSend(here.send(TELL, { batch, event }, { seen: null }));
    return { body: { batch, event: event.id }, seen: null };
  },
  'batch.away': async (here) => ({
    body: { id: await batchOn(here, 'Saucepan 24 cm'), away: true },
    seen: null,
  }),
  'batch.learn': async (here) => {
    const row = found(
      (await learnedPage(here.as('manager'))).rows.find((r) => r.waits),
      'lesson of a vessel',
    );
    return { body: { vessel: row.vessel, heat: row.heat, lid: row.lid, accept: true }, seen: null };
  },
  'batch.learn-times': async (here) => {
    const row = found(
      (await learnedPage(here.as('manager'))).times.find((r) => r.waits && r.kind !== 'gives'),
      'lesson in times',
    );
    return { body: { kind: row.kind, of: row.of }, seen: null };
  },
};
