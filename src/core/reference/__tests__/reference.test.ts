import { adopted, readReferenceLarder, referenceLarder, REFERENCE, readReference } from '..';
import { stuffOf } from '../../kitchen-file';
import table from '../ingredients.json';

describe('the reference larder', () => {
  const larder = referenceLarder();
  test('has its 492 starting points, each with id, role, range and confidence', () => {
    expect(larder.size).toBe(492);
    for (const row of larder.values()) {
      expect(row.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7/);
      expect(['liquid', 'piece']).toContain(row.role);
      expect(row.usable.low).toBeLessThanOrEqual(row.usable.high);
    }
  });
  test('taken into a kitchen, each can be cooked, and is an estimate with its range', () => {
    for (const row of larder.values()) {
      const own = adopted(row, row.id, '2026-03-14', '2026-03-14T00:00:00.000Z');
      expect(stuffOf(own).ok).toBe(true);
      expect(own.reference).toBe(row.id);
      expect(own.yields[0]).toMatchObject({ source: 'estimate', low: row.usable.low, high: row.usable.high });
    }
  });
  const broken = (change: (row: Record<string, unknown>) => void): unknown[] => {
    const rows = structuredClone(table) as Record<string, unknown>[];
    change(rows[0] as Record<string, unknown>);
    return rows;
  };
  test.each([
    ['two of one name', (row: Record<string, unknown>) => (row.name = 'beef MARROW bone'), /stands twice/],
    [
      'a yield outside its range',
      (row: Record<string, unknown>) => (row.usable = { pct: 50, low: 60, high: 70, stockTrimPct: 0 }),
      /outside its range/,
    ],
    [
      'more gelatin than protein',
      (row: Record<string, unknown>) => {
        row.gelatin = { gPerKg: 299, halfLifeH: 4 };
        delete row.gelatinRange;
        row.composition = { water: 90 };
      },
      /gelatin/,
    ],
    ['no confidence', (row: Record<string, unknown>) => delete row.confidence, /confidence/],
  ])('%s is noticed when it is loaded', (_, change, words) =>
    expect(() => readReferenceLarder(broken((row) => void change(row)))).toThrow(words),
  );
});

test('the process constants are validated when loaded', () => {
  const rows = [...REFERENCE.values()];
  expect(() => readReference([...rows, rows[0]])).toThrow(/share a key/);
  expect(() => readReference([{ ...rows[0], value: 1e9 }])).toThrow(/outside its own range/);
});
