import fc from 'fast-check';
import { merge } from '../merge';
import type { Draft, SheetLine } from '../components/sheet/sheet-lines';

const line = (id: string, text = id): SheetLine => ({ id, text });
const draft = (lines: readonly SheetLine[], vessel = 'pot'): Draft => ({
  lines,
  choices: [],
  vessel,
  hob: 'hob',
});
const ids = (d: Draft): string[] => d.lines.map((l) => l.id);
const texts = (d: Draft): Record<string, string> => Object.fromEntries(d.lines.map((l) => [l.id, l.text]));

/** Edits of a sheet: said otherwise, taken out, put in, moved. */
type Edit = readonly ['say' | 'out' | 'in' | 'move', number, number];
const edits = fc.array(
  fc.tuple(fc.constantFrom<Edit[0]>('say', 'out', 'in', 'move'), fc.nat(20), fc.nat(20)),
  { maxLength: 6 },
);
const edited = (from: Draft, by: string, all: readonly Edit[]): Draft =>
  draft(
    all.reduce<readonly SheetLine[]>((lines, [what, a, b], n) => {
      if (what === 'in') return [...lines.slice(0, a), line(`${by}${n}`), ...lines.slice(a)];
      if (lines.length === 0) return lines;
      const i = a % lines.length;
      if (what === 'out') return lines.filter((_, j) => j !== i);
      if (what === 'say') return lines.map((l, j) => (j === i ? line(l.id, `${l.text} ${by}${n}`) : l));
      const rest = lines.filter((_, j) => j !== i);
      return [...rest.slice(0, b % lines.length), lines[i] as SheetLine, ...rest.slice(b % lines.length)];
    }, from.lines),
  );
const base = draft(['a', 'b', 'c', 'd', 'e'].map((id) => line(id)));

test('where one has done nothing, the other’s sheet stands', () => {
  fc.assert(
    fc.property(edits, (all) => {
      const next = edited(base, 'm', all);
      expect(merge(base, next, base)).toMatchObject({ draft: next, touched: [], both: [], arrived: [] });
      expect(merge(base, base, next)).toMatchObject({ draft: next, touched: [], both: [] });
      expect(merge(base, next, next)).toMatchObject({ draft: next, touched: [], both: [] });
    }),
  );
});

test('nothing that either has typed is lost, and no line stands twice', () => {
  fc.assert(
    fc.property(edits, edits, (one, two) => {
      const [mine, theirs] = [edited(base, 'm', one), edited(base, 't', two)];
      const { draft: both, touched } = merge(base, mine, theirs);
      expect(new Set(ids(both)).size).toBe(both.lines.length);
      const open = new Map(touched.map((t) => [t.id, t]));
      const was = texts(base);
      for (const [of, side] of [
        [mine, 'mine'],
        [theirs, 'theirs'],
      ] as const)
        for (const l of of.lines) {
          const changed = was[l.id] !== l.text;
          if (!changed) continue;
          // It stands there, or both stand beside each other for a person to choose.
          const there = texts(both)[l.id] === l.text;
          expect(there || open.get(l.id)?.[side]?.text === l.text).toBe(true);
        }
      // What is to be chosen has a line to be chosen at.
      for (const id of open.keys()) expect(ids(both)).toContain(id);
    }),
  );
});

test('who merges does not matter for lines that only one has touched', () => {
  fc.assert(
    fc.property(edits, edits, (one, two) => {
      const [mine, theirs] = [edited(base, 'm', one), edited(base, 't', two)];
      const [here, there] = [merge(base, mine, theirs), merge(base, theirs, mine)];
      expect(new Set(here.touched.map((t) => t.id))).toEqual(new Set(there.touched.map((t) => t.id)));
      if (here.touched.length === 0) expect(texts(here.draft)).toEqual(texts(there.draft));
    }),
  );
});

test('a line put in stands behind what it was put behind, in the order the other has made', () => {
  const mine = draft([...base.lines.slice(0, 2), line('new'), ...base.lines.slice(2)]);
  const theirs = draft([...base.lines].reverse());
  expect(ids(merge(base, mine, theirs).draft)).toEqual(['e', 'd', 'c', 'b', 'new', 'a']);
});

test('a line one took out and the other said otherwise is asked about; so is another vessel', () => {
  const mine = draft(base.lines.slice(1), 'wide');
  const theirs = draft([line('a', 'a, hotter'), ...base.lines.slice(1)], 'tall');
  const { draft: both, touched, both: fields } = merge(base, mine, theirs);
  expect(touched).toEqual([{ id: 'a', mine: undefined, theirs: line('a', 'a, hotter') }]);
  expect(ids(both)[0]).toBe('a');
  expect(fields).toEqual(['vessel']);
  expect(both.vessel).toBe('wide');
});
