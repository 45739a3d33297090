import type { WrittenBatchEvent } from '../../kitchen-file';
import type { WrittenStep } from '../../verbs';
import { ownConstants } from '../../kitchen-state';
import { isIdle, type ProcessConstants } from '../../pot';
import { CONSTANTS } from '../../reference';
import { potOf } from '../../shelf';
import { costedDemo } from '../../testing/demo';
import { batchFigures, leftToldOf, timesTaught, type RunningBatch } from '..';

const { state, costing, c } = costedDemo();
const MINUTE = 60_000;
const START = Date.parse('2026-03-14T06:00:00.000Z');
const recipe = state.recipes.find((r) => r.name === 'Venison bone stock')!;
const pot = potOf(recipe, costing.shelf);
const strain = recipe.steps.findIndex((s) => s.do === 'strain');
const bones = state.ingredients.find((i) => i.name === 'Venison bones')!;

/** The same pot, its bones keeping so many times as much. */
const keeping = (times: number): RunningBatch['pot'] => ({
  ...pot,
  steps: pot.steps.map((s) => {
    if (s.do !== 'add' || s.what.is !== 'stuff' || s.what.stuff.id !== bones.id) return s;
    const { stuff } = s.what;
    const more = { retention: stuff.retention * times, retentionPressed: stuff.retentionPressed * times };
    return { ...s, what: { ...s.what, stuff: { ...stuff, ...more } } };
  }),
});

const event = (minutes: number, id: string, of: object) =>
  ({
    id,
    at: new Date(START + minutes * MINUTE).toISOString(),
    recordedAt: new Date(START + minutes * MINUTE).toISOString(),
    ...of,
  }) as WrittenBatchEvent;

/** When each line up to the strain is done: the simmer as long as it says. */
function ticks(): WrittenBatchEvent[] {
  let at = 0;
  return pot.steps.slice(0, strain + 1).flatMap((s, i) => {
    if (isIdle(s)) return [];
    at += s.do === 'cook' ? s.hours * 60 : 2;
    return [event(at, `d${i}`, { is: 'done', step: recipe.steps[i]!.id })];
  });
}
const running = (of: RunningBatch['pot'], events: readonly WrittenBatchEvent[]): RunningBatch => ({
  pot: of,
  lines: recipe.steps.map((s) => s.id!),
  startedAt: START,
  rescues: {},
  events,
});

/** Litres read before and after the strain of a pot whose bones truly keep so much. */
function read(times: number, constants: ProcessConstants): RunningBatch {
  const done = ticks();
  const strained = Date.parse(done.at(-1)!.at);
  const ml = (events: readonly WrittenBatchEvent[], ms: number): number =>
    batchFigures(running(keeping(times), events), ms, constants).pot!.ml;
  const before = ml(done.slice(0, -1), strained - MINUTE);
  const after = ml(done, strained + MINUTE);
  const minutes = (strained - START) / MINUTE;
  return running(pot, [
    ...done,
    event(minutes - 1, 'before', { is: 'litres', l: before / 1000 }),
    event(minutes + 1, 'after', { is: 'litres', l: after / 1000 }),
  ]);
}

test('there is such a pot: bones, that keep some, and a strainer', () => {
  expect(bones.retentionMlPerKg).toBeGreaterThan(0);
  expect(JSON.stringify(keeping(2)) === JSON.stringify(pot)).toBe(false);
});

test.each([0.7, 1, 1.5])('bones that keep %s times as much are told to, and by which they are', (times) => {
  const [told, ...more] = leftToldOf(read(times, c), c);
  expect(more).toEqual([]);
  expect(told).toMatchObject({ kind: 'keeps', of: bones.id });
  expect(Math.abs(told!.times - times)).toBeLessThan(0.15);
});

test('a strain that was read on one side alone says nothing', () => {
  const of = read(1.5, c);
  for (const side of ['before', 'after'])
    expect(leftToldOf({ ...of, events: of.events.filter((e) => e.id !== side) }, c)).toEqual([]);
});

test('a strain with which it ended is read by the litres that were told then; where none were told it says nothing', () => {
  const of = read(1.5, c);
  const after = of.events.find((e) => e.id === 'after') as WrittenBatchEvent & { readonly l: number };
  const whole = {
    ...of,
    lines: of.lines.slice(0, strain + 1),
    pot: { ...of.pot, steps: of.pot.steps.slice(0, strain + 1) },
  };
  const ended = (l: object) => ({
    ...whole,
    events: [
      ...of.events.filter((e) => e !== after),
      { ...after, id: 'end', is: 'ended', l: undefined, ...l } as never,
    ],
  });
  expect(Math.abs(leftToldOf(ended({ l: after.l }), c)[0]!.times - 1.5)).toBeLessThan(0.15);
  expect(leftToldOf(ended({}), c)).toEqual([]);
});

test('two batches that happen to agree do not make a third one wrong; one far from all is flagged, where it was read well', () => {
  const of = (times: number, sd = 0.05) => ({
    batch: `${times}`,
    of: 'sieve',
    times,
    sd,
    leftOut: undefined,
  });
  const far = (lessons: Parameters<typeof timesTaught>[1]) =>
    timesTaught('loses', lessons)[0]!
      .lessons.filter((l) => l.outlier)
      .map((l) => l.times);
  expect(far([of(1.43), of(1.45), of(1.11)])).toEqual([]);
  expect(far([of(1.43), of(1.45), of(1.4), of(3)])).toEqual([3]);
  expect(far([of(1.43), of(1.45), of(1.4), of(3, 0.7)])).toEqual([]);
});

test('a lesson that is less sure counts less', () => {
  const lesson = (batch: string, times: number, sd: number) => ({
    batch,
    of: 'bones',
    times,
    sd,
    leftOut: undefined,
  });
  const [sure] = timesTaught('keeps', [lesson('a', 1, 0.05), lesson('b', 1.6, 0.05)]);
  const [rough] = timesTaught('keeps', [lesson('a', 1, 0.05), lesson('b', 1.6, 0.7)]);
  expect(rough!.learned!.mean).toBeLessThan(sure!.learned!.mean);
});

/** A pot of a few lines, each ticked a minute after the other, whose lines truly leave something else behind than the sheet says. */
function little(steps: readonly WrittenStep[], truly: readonly WrittenStep[], trueC: ProcessConstants = c) {
  const { vessel, hob } = recipe;
  const lines = steps.map((_, i) => `line ${i}`);
  const done = lines.map((step, i) => event(2 * i + 1, `d${i}`, { is: 'done', step }));
  const as = (written: readonly WrittenStep[], events: readonly WrittenBatchEvent[]): RunningBatch => ({
    pot: potOf({ vessel, hob, steps: written.map((s, i) => ({ ...s, id: lines[i]! })) }, costing.shelf),
    lines,
    startedAt: START,
    rescues: {},
    events,
  });
  /** What a scale says of the pot as it truly stands after so many lines. */
  const weighed = (after: number): WrittenBatchEvent => {
    const { pot: is } = batchFigures(as(truly, done.slice(0, after)), START + 2 * after * MINUTE, trueC);
    return event(2 * after, `w${after}`, { is: 'litres', l: is!.ml / 1000 });
  };
  return { of: (events: readonly WrittenBatchEvent[]) => as(steps, [...done, ...events]), weighed };
}
const soup = (loss: string): WrittenStep[] => [
  { do: 'water', amount: '10 l' },
  { do: 'add', of: { ingredient: state.ingredients.find((i) => i.name === 'Leek')!.id }, amount: '2 kg' },
  { do: 'puree', loss },
];

test('what stays in a blender is told by litres before and after it, and as the share it was', () => {
  const { of, weighed } = little(soup('12 %'), soup('18 %'));
  const [told, ...more] = leftToldOf(of([weighed(2), weighed(3)]), c);
  expect(more).toEqual([]);
  expect(told).toMatchObject({ kind: 'loses', of: 'puree' });
  expect(told!.times).toBeCloseTo(1.5, 1);
  expect(told!.share!.was).toBeCloseTo(0.18, 1);
  expect(told!.share!.line).toBeCloseTo(0.12, 6);
  expect(leftToldOf(of([weighed(3)]), c)).toEqual([]);
});

test('of two sieves each says its own; what was poured in between, drawn off or misread says nothing', () => {
  const twice = (first: string, second: string): WrittenStep[] => [
    ...soup('3 %'),
    { do: 'sieve', loss: first },
    { do: 'sieve', loss: second },
  ];
  const { of, weighed } = little(twice('10 %', '5 %'), twice('15 %', '5 %'));
  const all = [weighed(3), weighed(4), weighed(5)];
  expect(leftToldOf(of(all), c).map((t) => [t.of, Math.round(t.share!.line * 100)])).toEqual([
    ['sieve', 10],
    ['sieve 2', 5],
  ]);
  const poured = event(7.5, 'p', { is: 'rescue', problem: 'too little', steps: [] });
  expect(leftToldOf(of([...all, poured]), c).map((t) => t.of)).toEqual(['sieve 2']);
  const answered = (as: string) => event(20, 'a', { is: 'answered', reading: 'w4', as });
  for (const as of ['lost', 'water', 'misread'])
    expect(leftToldOf(of([...all, answered(as)]), c).map((t) => t.of)).not.toContain('sieve');
});

test('what stays in a strainer without solids, and on walls, is told as such', () => {
  const other = state.vessels.find((v) => v.id !== recipe.vessel)!.id;
  const lines: WrittenStep[] = [
    { do: 'water', amount: '2 l' },
    { do: 'strain', through: 'bag', pressed: false },
    { do: 'into', vessel: other, hob: recipe.hob },
  ];
  const bag = (ml: number, walls: number) =>
    ownConstants({ rules: { strainers: [{ name: 'bag', clingsMl: ml }], walls } }, CONSTANTS);
  const { of, weighed } = little(lines, lines, bag(450, 10));
  const events = of([weighed(1), weighed(2), weighed(3)]);
  const told = leftToldOf(events, bag(300, 5));
  expect(told.map((t) => [t.kind, t.of])).toEqual([
    ['clings', 'strainer bag'],
    ['clings', 'walls'],
  ]);
  // What stood before is the reading and the model together: near the truth by as much as it says.
  for (const t of told) expect(Math.abs(t.times - (t.of === 'walls' ? 2 : 1.5))).toBeLessThan(t.sd);
  // Rough readings of a little say nothing.
  expect(leftToldOf(events, bag(20, 0.1))).toEqual([]);
});

test('how full portions were is told by litres over portions, the last one as likely full as hardly begun', () => {
  const lines: WrittenStep[] = [
    { do: 'water', amount: '12 l' },
    { do: 'portion', size: '250 ml', overfill: '3 %' },
  ];
  const { of } = little(lines, lines);
  const ended = (portions: number) => of([event(9, 'end', { is: 'ended', l: 12, portions })]);
  const [told] = leftToldOf(ended(43), c);
  expect(told).toMatchObject({ kind: 'pours', of: 'portion', share: { line: 0.03 } });
  expect(told!.share!.was).toBeCloseTo(12000 / 43.5 / 250 - 1, 6);
  expect(told!.times).toBeCloseTo((1 + told!.share!.was) / 1.03, 6);
  // Many portions say it better than few.
  expect(told!.sd).toBeLessThan(0.03);
  expect(leftToldOf(of([event(9, 'end', { is: 'ended', l: 12 })]), c)).toEqual([]);
});
