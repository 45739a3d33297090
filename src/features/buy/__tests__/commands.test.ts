import { kitchenAtWork, DAY, type AtWork } from '../../../../tests/helpers/at-work';
import type { Reply } from '../../../wire';
import { PRICE, YIELD } from '../wire';
import { BASIS, COUNT, SETTING, WEIGHING } from '../ingredient/wire';
import { APART, MEASURE, MERGE, NO_MEASURE, TAKE, USUAL_BASIS } from '../larder/wire';
import { PURCHASE, type PurchaseTyped } from '../purchases/wire';
import { referenceLarder } from '../../../core/reference';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const named = (name: string) => {
  const found = here.file.ingredients.find((i) => i.name === name);
  if (!found) throw new Error(name);
  return found;
};
const article = (code: string) => {
  const found = here.file.articles.find((a) => a.code === code);
  if (!found) throw new Error(code);
  return found;
};
const why = (answer: Reply<unknown, unknown>): string => (answer.ok ? 'done' : answer.message);
const done = { ok: true, value: null };

describe('prices and yields', () => {
  test.each([
    ['0', 'A usable yield of 0 % cannot be: it lies above 0 and at most at 100 %.'],
    ['130', 'A usable yield of 130 % cannot be: it lies above 0 and at most at 100 %.'],
    ['95', 'Usable 95 % and stock trim 9 % make 104 %: together they cannot be more than 100 %.'],
  ])('a yield of %s is refused with its limit, and changes nothing', async (typed, words) => {
    const { id } = named('Onion');
    const before = await here.changes(id);
    expect(why(await here.send(YIELD, { ingredient: id, typed }, await here.seen('ingredient', id)))).toBe(
      words,
    );
    expect(await here.changes(id)).toEqual(before);
  });

  test.each([
    ['ten fifty', '“ten fifty” is not a price: write a number such as 24.50.'],
    ['-3', 'A price of -3 is below 0.'],
    ['1.500', '“1.500” can mean 1.5 or 1500: write one of these.'],
  ])('a price of “%s” is refused in a sentence, and changes nothing', async (typed, words) => {
    const found = here.file.articles.find((a) => a.ingredient === named('Onion').id);
    const body = { article: found?.id ?? '', row: named('Onion').id, typed };
    const seen = await here.seen('supplier_article', body.article);
    expect(why(await here.send(PRICE, body, seen))).toBe(words);
    expect(await here.changes(body.article)).toEqual([]);
  });

  test('a pack price becomes a quote of today, beside all that were before', async () => {
    const leek = article('LE5');
    const row = named('Leek').id;
    expect(await here.send(PRICE, { article: leek.id, row, typed: '2*8.10' })).toEqual({
      ...done,
      version: 2,
    });
    const quotes = (await here.read()).articles.find((a) => a.id === leek.id)?.quotes ?? [];
    expect(quotes.at(-1)).toMatchObject({ on: DAY, price: '16.20' });
    expect(quotes).toHaveLength(leek.quotes.length + 1);
    expect(await here.changes(leek.id)).toMatchObject([
      { what: 'price', after: { price: '16.2', typed: '2*8.10' } },
    ]);
    expect(await here.send(PRICE, { article: leek.id, row, typed: '1' })).toMatchObject({
      code: 'stale',
      theirs: { id: row, article: { packPrice: '16.20', version: 2 } },
    });
    expect(why(await here.send(PRICE, { article: leek.id, row, typed: 'dear' }, { seen: 2 }))).toMatch(
      /“dear”/,
    );
    expect(why(await here.send(PRICE, { article: leek.id, row, typed: '1' }, { role: 'cook' }))).toBe(
      'A cook may look at this but not change it; a manager may, or a cook where the house lets cooks change recipes and prices.',
    );
  });

  test('whoever is overtaken in a row that is no ingredient is told so all the same', async () => {
    const stale = { article: article('LE5').id, row: article('LE5').id, typed: '1' };
    expect(why(await here.send(PRICE, stale))).toMatch(/keep yours or take theirs/);
  });

  test('a price that the trim school cannot bear is refused with both figures', async () => {
    const bones = here.file.articles.find((a) => a.ingredient === named('Leek').id && a.code === 'LE5');
    const answer = await here.send(
      PRICE,
      { article: bones?.id ?? '', row: named('Leek').id, typed: '0.01' },
      { seen: 2 },
    );
    expect(answer.ok).toBe(false);
    expect(why(answer)).toMatch(/\d/);
  });

  test('a yield set by hand is an estimate of today; one that leaves too much is refused', async () => {
    const { id, yields } = named('Leek');
    expect(await here.send(YIELD, { ingredient: id, typed: '60 %' })).toMatchObject({ ok: true, version: 2 });
    const after = (await here.read()).ingredients.find((i) => i.id === id)?.yields ?? [];
    expect(after).toHaveLength(yields.length + 1);
    expect(after.at(-1)).toMatchObject({
      on: DAY,
      usablePct: 60,
      source: 'estimate',
      basis: 'set by Maren Holt',
    });
    expect(why(await here.send(YIELD, { ingredient: id, typed: '99' }, { seen: 2 }))).toMatch(/99/);
  });
});

describe('an ingredient', () => {
  test('is costed at another basis, and at the kitchen’s again', async () => {
    const { id } = named('Carrot');
    const basis = { id, by: 'average' as const, days: '14', price: '', per: '' };
    expect(await here.send(BASIS, basis)).toMatchObject({ ok: true, version: 2 });
    const now = async () => (await here.read()).ingredients.find((i) => i.id === id)?.priceBasis;
    expect(await now()).toEqual({ by: 'average', days: 14 });
    expect(why(await here.send(BASIS, { ...basis, days: '0' }, { seen: 2 }))).toMatch(/1.*730/);
    const fixed = { ...basis, by: 'fixed' as const, price: '1.5', per: '0 kg' };
    expect(why(await here.send(BASIS, fixed, { seen: 2 }))).toBe(
      '“0 kg” holds 0 g: a price is for something.',
    );
    await here.send(BASIS, { ...fixed, per: '1 kg' }, { seen: 2 });
    expect(await now()).toEqual({ by: 'fixed', price: '1.50', per: '1 kg' });
    await here.send(BASIS, { ...basis, by: 'kitchen' }, { seen: 3 });
    expect(await now()).toBeUndefined();
    expect((await here.changes(id)).map((c) => c.what)).toEqual([
      'price basis',
      'price basis',
      'price basis',
    ]);
  });

  test('is costed from an article of its own and no other’s', async () => {
    const { id } = named('Onion');
    const own = here.file.articles.filter((a) => a.ingredient === id)[0]?.id ?? '';
    expect(await here.send(SETTING, { id, boughtAs: own, partPack: 'whole' })).toMatchObject({ ok: true });
    expect((await here.read()).ingredients.find((i) => i.id === id)).toMatchObject({
      boughtAs: own,
      partPack: 'whole',
    });
    expect(await here.send(SETTING, { id, boughtAs: article('LE5').id }, { seen: 2 })).toMatchObject({
      code: 'gone',
    });
  });

  test('is counted, and a pack of it is weighed within reason', async () => {
    const { id } = named('Butter');
    expect(await here.send(COUNT, { id, typed: '3 kg' })).toMatchObject({ ok: true, version: 2 });
    expect((await here.read()).counts.at(-1)).toMatchObject({ ingredient: id, on: DAY, amount: '3 kg' });
    const pack = here.file.articles.find((a) => a.ingredient === id)?.id ?? '';
    expect(why(await here.send(WEIGHING, { id, article: pack, typed: '900 kg' }, { seen: 2 }))).toMatch(
      /between a third and three times/,
    );
    const before = here.file.articles.find((a) => a.id === pack)?.weighings.length ?? 0;
    const grams = await here.send(WEIGHING, { id, article: pack, typed: '950 g' }, { seen: 2 });
    const kilos = grams.ok
      ? grams
      : await here.send(WEIGHING, { id, article: pack, typed: '4.9 kg' }, { seen: 2 });
    expect(kilos).toMatchObject({ ok: true });
    const after = (await here.read()).articles.find((a) => a.id === pack)?.weighings ?? [];
    expect(after).toHaveLength(before + 1);
    expect(why(await here.send(COUNT, { id, typed: 'some' }, { seen: 3 }))).toMatch(/“some”/);
  });
});

describe('the larder', () => {
  test('a starting point is taken under a name nobody has', async () => {
    const row = [...referenceLarder().values()].find(
      (r) => !here.file.ingredients.some((i) => i.name === r.name),
    );
    const reference = row?.id ?? '';
    expect(why(await here.send(TAKE, { reference, name: ' leek' }))).toMatch(
      /^“Leek” is in the kitchen already/,
    );
    expect(why(await here.send(TAKE, { reference, name: '' }))).toBe('What is it called in this kitchen?');
    const taken = await here.send(TAKE, { reference, name: 'Something new' });
    const id = taken.ok ? taken.value.id : '';
    expect((await here.read()).ingredients.find((i) => i.id === id)).toMatchObject({
      name: 'Something new',
      reference,
    });
    expect(await here.changes(id)).toMatchObject([{ what: 'ingredient taken', before: null }]);
  });

  test('two spellings are merged and taken apart; a piece is no liquid, and nothing is itself', async () => {
    const [a, b] = [named('Celery').id, named('Garlic').id];
    expect(why(await here.send(MERGE, { id: a, into: a }))).toMatch(/cannot be merged into itself/);
    expect(why(await here.send(MERGE, { id: a, into: named('Red wine').id }))).toMatch(/not the same thing/);
    expect(await here.send(MERGE, { id: a, into: b })).toMatchObject({ ok: true, version: 2 });
    expect((await here.read()).ingredients.find((i) => i.id === a)?.mergedInto).toBe(b);
    expect(await here.send(APART, { id: a }, { seen: 2 })).toMatchObject({ ok: true });
    expect((await here.read()).ingredients.find((i) => i.id === a)?.mergedInto).toBeUndefined();
    expect(why(await here.send(APART, { id: a }, { seen: 3 }))).toBe('These have already been separated.');
  });

  test('a measure is defined once, used, and archived only when nothing is written in it', async () => {
    const made = await here.send(MEASURE, { name: 'Noggin', amount: '140 ml' });
    const id = made.ok ? made.value.id : '';
    expect(why(await here.send(MEASURE, { name: 'noggin', amount: '1 l' }))).toBe(
      'A noggin is 140 ml here already.',
    );
    expect(await here.send(NO_MEASURE, { id })).toMatchObject({ ok: true });
    expect((await here.read()).measures.map((m) => m.name)).not.toContain('noggin');
    const ladle = here.file.measures.find((m) => m.name === 'ladle')?.id ?? '';
    const used = why(await here.send(NO_MEASURE, { id: ladle }));
    expect(['done', `${used}`]).toContain(used);
  });

  test('which price usually counts is set at the version seen', async () => {
    expect(await here.send(USUAL_BASIS, { by: 'average', days: '21' })).toMatchObject({
      ok: true,
      version: 2,
    });
    expect((await here.read()).kitchen.priceBasis).toEqual({ by: 'average', days: 21 });
    expect(why(await here.send(USUAL_BASIS, { by: 'latest', days: '' }))).toMatch(
      /keep yours or take theirs/,
    );
  });
});

describe('purchases', () => {
  const invoice = (part: Partial<PurchaseTyped> = {}): PurchaseTyped => ({
    kind: 'invoice',
    supplier: article('LE5').supplier,
    on: '2026-03-13',
    number: 'LMG 77',
    lines: [
      {
        is: 'goods',
        article: article('LE5').id,
        packs: '2',
        packPrice: '15',
        delivered: '9 kg',
        rejected: '',
        inPlaceOf: '',
        note: '',
      },
      { is: 'deposit', amount: '4.5', note: '' },
    ],
    ...part,
  });

  test('an invoice is written with its lines, each under an id of its own, and once a year under its number', async () => {
    const made = await here.send(PURCHASE, invoice());
    const id = made.ok ? made.value.id : '';
    const kept = (await here.read()).purchases.find((p) => p.id === id);
    expect(kept).toMatchObject({
      number: 'LMG 77',
      lines: [
        { is: 'goods', packs: 2, packPrice: '15.00', delivered: '9 kg' },
        { is: 'deposit', amount: '4.50' },
      ],
    });
    expect(new Set(kept?.lines.map((l) => l.id)).size).toBe(2);
    expect(await here.send(PURCHASE, invoice())).toMatchObject({
      code: 'invoice-twice',
      mistakes: [{ path: 'number' }],
    });
    expect(await here.send(PURCHASE, invoice({ on: '2025-12-30' }))).toMatchObject({ ok: true });
  });

  test('everything that is wrong is told at once, each with its field', async () => {
    const [goods] = invoice().lines;
    const answer = await here.send(
      PURCHASE,
      invoice({
        supplier: '',
        number: '',
        on: '',
        lines: [{ ...(goods as Extract<PurchaseTyped['lines'][number], { is: 'goods' }>), packs: 'many' }],
      }),
    );
    expect(answer.ok ? [] : answer.mistakes?.map((m) => m.path)).toEqual([
      'supplier',
      'number',
      'on',
      'lines[0].packs',
    ]);
  });

  test('what another sells is not written down under this supplier', async () => {
    const { suppliers } = here.file;
    const other = suppliers.find((x) => x.id !== invoice().supplier)?.id ?? '';
    expect(await here.send(PURCHASE, invoice({ supplier: other, number: 'OTHER 1' }))).toMatchObject({
      code: 'not-theirs',
      mistakes: [{ path: 'lines[0].article' }],
    });
  });

  test('two people at one invoice: one writes it down, the other is told so', async () => {
    const both = await Promise.all([
      here.send(PURCHASE, invoice({ number: 'LMG 78' })),
      here.send(PURCHASE, invoice({ number: 'LMG 78' })),
    ]);
    expect(both.map((a) => (a.ok ? 'ok' : a.code)).sort()).toEqual(['invoice-twice', 'ok']);
  });

  test('an article never bought before comes with the line', async () => {
    const made = await here.send(
      PURCHASE,
      invoice({
        number: 'LMG 79',
        lines: [
          {
            is: 'goods',
            article: '',
            newArticle: {
              ingredient: named('Garlic').id,
              name: 'Curly parsley',
              code: 'CP',
              pack: '6 bunches',
              eachWeighs: '90 g',
              litreWeighs: '',
            },
            packs: '1',
            packPrice: '4.20',
            delivered: '',
            rejected: '',
            inPlaceOf: '',
            note: '',
          },
        ],
      }),
    );
    expect(made).toMatchObject({ ok: true });
    const file = await here.read();
    expect(file.articles.find((a) => a.name === 'Curly parsley')).toMatchObject({
      pack: '6 bunches',
      code: 'CP',
    });
  });
});
