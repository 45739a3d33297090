import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { newId } from '../../../db/mapping/ids';
import { LINE_SERVED, PLATE, PLATE_HEAD, PLATE_LINES } from '../wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

test('a dish keeps its lines under their ids, whatever is typed over; a wrong amount is told with its line', async () => {
  const plate = here.file.plates[0];
  if (!plate) throw new Error('the demo has no dish');
  const lines = plate.lines.map((l) => ({ id: l.id ?? '', amount: l.amount }));
  const body = { id: plate.id, lines, menuPrice: 'a lot' };
  expect(await here.send(PLATE, body)).toMatchObject({ ok: false, path: 'menuPrice.price' });
  const changed = [...lines].reverse().map((l, i) => (i === 0 ? { ...l, amount: '2*35 g' } : l));
  expect(await here.send(PLATE, { ...body, lines: changed, menuPrice: '29.5' })).toMatchObject({
    ok: true,
    version: 2,
  });
  const after = (await here.read()).plates.find((p) => p.id === plate.id);
  expect(after?.menuPrice).toBe('29.50');
  expect(after?.lines.map((l) => l.id)).toEqual(plate.lines.map((l) => l.id));
  expect(after?.lines.at(-1)?.amount).toBe('2*35 g');
  expect(await here.changes(plate.id)).toMatchObject([
    { what: 'plate', before: { menuPrice: plate.menuPrice }, after: { menuPrice: '29.50' } },
  ]);
  const wrong = [{ ...(lines[0] as (typeof lines)[number]), amount: 'a bit' }, ...lines.slice(1)];
  expect(await here.send(PLATE, { ...body, lines: wrong, menuPrice: '' }, { seen: 2 })).toMatchObject({
    path: 'lines[0].amount',
  });
  // Typed while a line was on its way onto the plate, or off it: the others are as typed, that one as it is.
  const stray = { id: newId(), amount: '1 kg' };
  expect(
    await here.send(PLATE, { ...body, lines: [...lines.slice(1), stray], menuPrice: '29.5' }, { seen: 2 }),
  ).toMatchObject({ ok: true, version: 3 });
  const then = (await here.read()).plates.find((p) => p.id === plate.id);
  expect(then?.lines.map(({ id, amount }) => ({ id, amount }))).toEqual(lines);
  expect(await here.send(PLATE, { ...body, menuPrice: '' })).toMatchObject({
    code: 'stale',
    theirs: { version: 3, plate: { menuPrice: '29.50' } },
  });
  expect(await here.send(PLATE, { ...body, menuPrice: '' }, { role: 'cook' })).toMatchObject({
    code: 'not-allowed',
  });
});

test('how a line and a dish are served is kept, and stands through other portions; nonsense is told with its limit', async () => {
  const plate = here.file.plates[1];
  const line = plate?.lines[1];
  if (!plate || !line?.id) throw new Error('the demo has no second dish');
  const found = async () => (await here.read()).plates.find((p) => p.id === plate.id);
  const served = { id: plate.id, line: line.id, overfill: '5', taken: '62,5' };
  expect(await here.send(LINE_SERVED, { ...served, taken: '101' })).toMatchObject({
    path: 'taken',
    message: '101 % cannot be: from 0 to 100 %.',
  });
  expect(await here.send(LINE_SERVED, { ...served, line: newId() })).toMatchObject({ code: 'gone' });
  expect(await here.send(LINE_SERVED, { ...served, taken: '62.5' }, { seen: 1 })).toMatchObject({ ok: true });
  expect((await found())?.lines[1]).toMatchObject({ overfillPct: 5, takenPct: 62.5 });
  const lines = plate.lines.map((l) => ({ id: l.id ?? '', of: l.of, amount: '10 g' }));
  expect(await here.send(PLATE_LINES, { id: plate.id, lines }, { seen: 2 })).toMatchObject({ ok: true });
  expect((await found())?.lines[1]).toMatchObject({ amount: '10 g', overfillPct: 5, takenPct: 62.5 });
  // Taken off and put back it is served as it was; said of a line that stands there it changes nothing.
  const back = lines.map((l, i) => (i === 1 ? { ...l, overfillPct: 5, takenPct: 62.5 } : l));
  const rest = lines.filter((_, i) => i !== 1);
  expect(await here.send(PLATE_LINES, { id: plate.id, lines: rest }, { seen: 3 })).toMatchObject({
    ok: true,
  });
  expect(await here.send(PLATE_LINES, { id: plate.id, lines: back }, { seen: 4 })).toMatchObject({
    ok: true,
  });
  expect((await found())?.lines[1]).toMatchObject({ overfillPct: 5, takenPct: 62.5 });
  const head = { id: plate.id, name: plate.name, tax: '13.5', target: '30' };
  expect(await here.send(PLATE_HEAD, { ...head, loss: '95' }, { seen: 5 })).toMatchObject({
    path: 'loss',
    message: '95 % cannot be: from 0 to 90 %.',
  });
  expect(await here.send(PLATE_HEAD, { ...head, service: 'banquet', loss: '6' }, { seen: 5 })).toMatchObject({
    ok: true,
  });
  expect(await found()).toMatchObject({ service: 'banquet', serviceLossPct: 6 });
  // An older program does not say how it is served: it stays.
  expect(await here.send(PLATE_HEAD, head, { seen: 6 })).toMatchObject({ ok: true });
  expect(await found()).toMatchObject({ service: 'banquet', serviceLossPct: 6 });
  const stale = await here.send(LINE_SERVED, served, { seen: 1 });
  expect(stale).toMatchObject({ code: 'stale', theirs: { overfill: '5', taken: '62.5' } });
});
