import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import { costOfPlate, costOfProduct } from '../../core/costing';
import { ARTICLE, ARTICLE_AWAY, BASIS, COUNT, SETTING, WEIGHING } from '../../features/buy/ingredient/wire';
import { PURCHASE, PURCHASE_BACK } from '../../features/buy/purchases/wire';
import { changedWithout } from '../../features/buy/purchases/queries';
import { UNDO } from '../../features/changes/wire';
import { CUPS, KEEP_COSTING } from '../../features/house/wire';
import { PERSON, PERSON_AWAY } from '../../features/people/wire';
import { SHEET, VERSION_NAMED } from '../../features/pot/wire';
import { versionsOf } from '../../features/pot/versions/queries';
import { BEGIN, BY_PRODUCT, DROP, FINISH, SAVE, type TestTyped } from '../../features/trim/bench/wire';
import { BATCHES, TAKEN, WASTE } from '../../features/trim/flow/wire';
import { TRIMMING } from '../../features/trim/schools/wire';
import { ACCEPT, COMES_OFF, LEARN_FROM, LEFT_OUT, TRIM } from '../../features/trim/taught/wire';
import { taughtPage } from '../../features/trim/taught/queries';
import { costedKitchen } from '../../server/kitchen';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
  // Nothing here is of batches, and they are half of what is read again and again.
  for (const table of ['batch_event', 'batch']) await here.pool.query(`DELETE FROM ${table}`);
});
afterAll(() => here.end());

const named = (name: string) => {
  const found = here.file.ingredients.find((i) => i.name === name);
  if (!found) throw new Error(`no ${name} in the demo`);
  return found;
};
const seen: AtWork['seen'] = (table, id) => here.seen(table, id);

/** The demo's sheet that can be done in two ways. */
const gravy = () => {
  const found = here.file.recipes.find((r) => r.choices !== undefined);
  if (!found) throw new Error('no sheet of the demo has two ways');
  return found;
};

/** Everything that counts in the kitchen. What stood in force before stays written down: of that, what it comes to. */
async function stands() {
  const { costing } = await costedKitchen(here.kitchenId);
  const file = await here.read();
  return JSON.parse(
    JSON.stringify({
      kitchen: file.kitchen,
      ingredients: file.ingredients.map(({ yields: _y, cooked: _c, ...i }) => i),
      articles: file.articles,
      purchases: file.purchases,
      counts: file.counts,
      wastes: file.wastes,
      tests: file.tests.map(({ leftOut, ...t }) => ({ ...t, leftOut: leftOut?.why })),
      measures: file.measures,
      recipes: file.recipes,
      versions: (await versionsOf(here.as('manager'), gravy().id, [])).rows.flatMap((r) => r.name ?? []),
      people: (await here.people()).filter((p) => p.leftAt === null).map(({ name, role }) => [name, role]),
      kept: (await here.kept(file.plates[0]?.id ?? '')).filter((k) => !k.away).length,
      stock: await here.stock(),
      supplies: [...costing.supplies.values()].map((s) => [
        s.ingredient.name,
        s.usable.toFixed(6),
        s.usablePerKg?.toFixed(6),
      ]),
      costs: [
        ...file.recipes.map((r) => costOfProduct(costing, r.id).perL?.toFixed(6)),
        ...file.plates.map((p) => costOfPlate(costing, p.id).cost?.toFixed(6)),
      ],
    }),
  ) as unknown;
}

const weighed = (over: Partial<TestTyped> = {}): TestTyped => ({
  kind: 'trim',
  season: 'spring',
  start: '10 kg',
  parts: [
    { name: 'white and pale green', fate: 'usable', amount: '6.2 kg' },
    { name: 'tops', fate: 'waste', amount: '3.8 kg' },
  ],
  purchase: null,
  ...over,
});

/** Puts a test on the bench and, if wanted, finishes it. */
async function tested(ingredient: string, finish: boolean): Promise<string> {
  const made = await here.send(BEGIN, { ingredient });
  if (!made.ok) throw new Error(made.message);
  if (finish) {
    const done = await here.send(FINISH, { id: made.value.id, typed: weighed() });
    if (!done.ok) throw new Error(done.message);
  }
  return made.value.id;
}

/** Takes the last edit back, or does it again; a refusal fails with its own sentence. */
async function undo(again: boolean): Promise<void> {
  const done = await here.send(UNDO, { change: null, again });
  if (!done.ok) throw new Error(done.message);
}

type Sent = Promise<{ ok: boolean; message?: string }>;
/** Each kind of work: what has to be there first, and then what is done and taken back. */
const WORK: Readonly<Record<string, () => Promise<() => Sent>>> = {
  'another way taken of a sheet': async () => async () => {
    const { id, vessel, hob, steps, choices = [] } = gravy();
    const taken = choices.map((c) => ({ ...c, house: c.ways[1]?.id ?? c.house }));
    return here.send(SHEET, { id, vessel, hob, steps, choices: taken }, await seen('recipe', id));
  },
  'a line of a sheet switched off, and a note on another': async () => async () => {
    const { id, vessel, hob, steps, choices = [] } = gravy();
    const next = steps.map((s, i) =>
      i === steps.length - 2 ? { ...s, off: true as const } : i === 1 ? { ...s, note: 'sifted' } : s,
    );
    return here.send(SHEET, { id, vessel, hob, steps: next, choices }, await seen('recipe', id));
  },
  'a version of a sheet named': async () => () =>
    here.send(VERSION_NAMED, { id: gravy().id, version: 1, name: 'before the frost' }),
  'something thrown away': async () => () =>
    here.send(WASTE, { ingredient: named('Leek').id, part: 'stock trim', amount: '2 kg', reason: 'spoiled' }),
  'the whole of something thrown away': async () => () =>
    here.send(WASTE, { ingredient: named('Leek').id, part: 'whole', amount: '900 g', reason: 'dropped' }),
  'something counted': async () => async () =>
    here.send(COUNT, { id: named('Carrot').id, typed: '3 kg' }, await seen('ingredient', named('Carrot').id)),
  'a pack weighed': async () => {
    const a = here.file.articles.find((x) => x.ingredient === named('Carrot').id);
    const of = /^[\d.]+ kg$/.test(a?.pack ?? '') ? Number.parseFloat(a?.pack ?? '') : 10;
    return async () =>
      here.send(
        WEIGHING,
        { id: named('Carrot').id, article: a?.id ?? '', typed: `${of * 0.9} kg` },
        await seen('ingredient', named('Carrot').id),
      );
  },
  'an article called otherwise': async () => {
    const a = here.file.articles.find((x) => x.ingredient === named('Carrot').id);
    return async () =>
      here.send(
        ARTICLE,
        { id: a?.id ?? '', name: 'Carrots, washed', code: 'CW', pack: a?.pack ?? '', price: '' },
        await here.seen('supplier_article', a?.id ?? ''),
      );
  },
  'an article in another pack': async () => {
    const a = here.file.articles.find((x) => x.ingredient === named('Carrot').id);
    return async () =>
      here.send(
        ARTICLE,
        { id: a?.id ?? '', name: a?.name ?? '', code: a?.code ?? '', pack: '25 kg', price: '21' },
        await here.seen('supplier_article', a?.id ?? ''),
      );
  },
  'an article archived': async () => {
    const a = here.file.articles.find((x) => x.ingredient === named('Carrot').id);
    return () => here.send(ARTICLE_AWAY, { id: a?.id ?? '', away: true });
  },
  'another price basis': async () => async () =>
    here.send(
      BASIS,
      { id: named('Carrot').id, by: 'average', days: '14', price: '', per: '' },
      await seen('ingredient', named('Carrot').id),
    ),
  'a pack costed whole': async () => async () =>
    here.send(
      SETTING,
      { id: named('Carrot').id, partPack: 'whole' },
      await seen('ingredient', named('Carrot').id),
    ),
  'batches a week': async () => async () =>
    here.send(
      BATCHES,
      { id: here.file.recipes[0]?.id ?? '', typed: '9' },
      await seen('recipe', here.file.recipes[0]?.id ?? ''),
    ),
  'trim taken': async () => async () =>
    here.send(
      TAKEN,
      { id: named('Leek').id, what: 'stock trim', pct: 30 },
      await seen('ingredient', named('Leek').id),
    ),
  'how trim is costed': async () => async () =>
    here.send(
      TRIM,
      { id: named('Leek').id, school: 'weight', setValue: null, takenPct: '40' },
      await seen('ingredient', named('Leek').id),
    ),
  'a by-product charged otherwise': async () => {
    const off = here.file.ingredients.find((i) => i.comesOff)?.id ?? '';
    return async () =>
      here.send(COMES_OFF, { id: off, setValue: '0.8', sold: true }, await seen('ingredient', off));
  },
  'a new by-product': async () => () =>
    here.send(BY_PRODUCT, { of: named('Leek').id, name: 'Leek hearts', like: '' }),
  'which tests count': async () => async () =>
    here.send(
      LEARN_FROM,
      { id: named('Leek').id, season: 'spring', supplier: null },
      await seen('ingredient', named('Leek').id),
    ),
  'how the kitchen trims': async () => async () =>
    here.send(
      TRIMMING,
      {
        school: 'free',
        setValue: '0.9',
        wage: '31',
        electricity: '',
        gas: '0.2',
        learning: 'ask',
        scale: '',
      },
      await seen('kitchen', here.kitchenId),
    ),
  'the cups of a country': async () => () => here.send(CUPS, { of: 'us' }),
  'a saved costing': async () => () =>
    here.send(KEEP_COSTING, { what: 'plate', subject: here.file.plates[0]?.id ?? '' }),
  'a test begun': async () => () => here.send(BEGIN, { ingredient: named('Leek').id }),
  'a test weighed': async () => {
    const id = await tested(named('Leek').id, false);
    return () => here.send(SAVE, { id, typed: weighed() });
  },
  'a test finished': async () => {
    const id = await tested(named('Leek').id, false);
    return () => here.send(FINISH, { id, typed: weighed() });
  },
  'a test dropped': async () => {
    const id = await tested(named('Leek').id, false);
    return () => here.send(DROP, { id });
  },
  'a test left out': async () => {
    const id = await tested(named('Leek').id, true);
    return () => here.send(LEFT_OUT, { test: id, why: 'wet leeks' });
  },
  'what tests teach': async () => {
    const { id } = named('Leek');
    for (let i = 0; i < 4; i += 1) await tested(id, true);
    const page = await taughtPage(here.as('manager'), id);
    return () => here.send(ACCEPT, { id, proposed: page?.proposed ?? '' }, { seen: page?.version ?? 1 });
  },
  'somebody new': async () => () =>
    here.send(PERSON, { id: null, name: 'Nan Tully', role: 'cook', password: 'kestrel-weir-2', pin: '' }),
  'another role': async () => {
    const cook = here.file.people.find((p) => p.role === 'cook');
    return async () =>
      here.send(
        PERSON,
        { id: cook?.id ?? '', name: cook?.name ?? '', role: 'reader', password: '', pin: '' },
        await seen('person', cook?.id ?? ''),
      );
  },
  'somebody left': async () => {
    const cook = here.file.people.find((p) => p.role === 'cook');
    return () => here.send(PERSON_AWAY, { id: cook?.id ?? '', away: true });
  },
  'an invoice': async () => () => here.send(PURCHASE, invoice()),
  'an invoice taken back': async () => {
    const made = await here.send(PURCHASE, invoice());
    return () => here.send(PURCHASE_BACK, { id: made.ok ? made.value.id : '', back: true });
  },
};

const invoice = (number = 'A-7711', packPrice = '31.50') => {
  const article = here.file.articles.find((a) => a.ingredient === named('Carrot').id);
  return {
    kind: 'invoice' as const,
    supplier: article?.supplier ?? '',
    on: '2026-03-13',
    number,
    lines: [
      {
        is: 'goods' as const,
        article: article?.id ?? '',
        packs: '2',
        packPrice,
        delivered: '',
        rejected: '',
        inPlaceOf: '',
        note: '',
      },
    ],
  };
};

test.each(Object.keys(WORK))(
  '%s: taken back it is as it was before, done again as it was after',
  async (kind) => {
    const act = await WORK[kind]!();
    const before = await stands();
    expect(await act()).toMatchObject({ ok: true });
    const after = await stands();
    expect(after).not.toEqual(before);
    await undo(false);
    expect(await stands()).toEqual(before);
    await undo(true);
    expect(await stands()).toEqual(after);
    await undo(false);
  },
);

test('an invoice taken back: what it moves is said before, its number is free, and what was known before still counts it', async () => {
  const made = await here.send(PURCHASE, invoice('B-12', '37.20'));
  if (!made.ok) throw new Error(made.message);
  const { id } = made.value;
  const who = here.as('manager');
  const moved = await changedWithout(who, id);
  expect(moved.length).toBeGreaterThan(0);
  await here.send(PURCHASE_BACK, { id, back: true });
  const without = (await costedKitchen(here.kitchenId)).costing;
  for (const m of moved) {
    const now = m.key.startsWith('plate:')
      ? costOfPlate(without, m.key.slice(6)).cost
      : m.key.startsWith('product:')
        ? costOfProduct(without, m.key.slice(8)).perL
        : without.supplies.get(m.key.slice(7))?.usablePerKg;
    expect(now).toBeCloseTo(m.after ?? NaN, 9);
  }
  // Entered again under the same number, the old one cannot stand again beside it.
  expect(await here.send(PURCHASE, invoice('B-12', '37.20'))).toMatchObject({ ok: true });
  expect(await here.send(PURCHASE_BACK, { id, back: false })).toMatchObject({
    ok: false,
    message: 'B-12 has been entered again, for 2026-03-13: undo that first.',
  });
});

test('the last manager stays one, also by an undo', async () => {
  const managers = (await here.people()).filter((p) => p.role === 'manager' && !p.leftAt);
  const [boss] = managers;
  if (!boss) throw new Error('nobody manages');
  const made = { id: null, name: 'Nora Tull', role: 'manager' as const, password: 'kestrel-weir-2', pin: '' };
  expect(await here.send(PERSON, made)).toMatchObject({ ok: true });
  for (const p of managers)
    expect(await here.send(PERSON_AWAY, { id: p.id, away: true })).toMatchObject({ ok: true });
  const acts = await here.lately(managers.length + 1);
  const begun = acts.at(-1);
  expect(begun).toMatchObject({ what: 'person', before: null });
  expect(await here.send(UNDO, { change: begun?.id ?? '', again: false })).toMatchObject({
    ok: false,
    message: expect.stringContaining('This was the last manager') as string,
  });
});
