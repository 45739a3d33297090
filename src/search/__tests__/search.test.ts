import fc from 'fast-check';
import { referenceLarder } from '@/core/reference';
import { searcher } from '..';

const larder = [...referenceLarder().values()].map(({ id, name, group }) => ({ id, name, words: group }));
const find = searcher(larder);
const names = (wanted: string): string[] => find(wanted).map((t) => t.name);

describe('search', () => {
  test('nothing typed is everything, in its order', () => {
    expect(find('  ')).toEqual(larder);
  });

  test('every thing is found by its whole name, first of all that are found', () => {
    for (const { name } of larder) expect(names(name).slice(0, 3)).toContain(name);
  });

  test('by any word of it, in any order, and by the beginning of a word', () => {
    expect(names('mushroom chestnut')).toContain('Chestnut mushroom');
    expect(names('juni')).toContain('Juniper berry');
    expect(names('wine-beer red')).toContain('Red wine, dry');
  });

  test('spelling is forgiven in longer words, accents and case always', () => {
    expect(names('jeruslem artichoke')).toContain('Jerusalem artichoke');
    expect(names('CELRIAC')).toContain('Celeriac');
    expect(names('crème fraîche')).toContain('Creme fraiche, 30% fat');
    expect(names('xylophone')).toEqual([]);
  });

  test('one or two letters begin a word', () => {
    const found = find('le');
    expect(found.length).toBeGreaterThan(3);
    for (const { name, words } of found)
      expect(
        `${name} ${words}`
          .toLowerCase()
          .split(/[^\p{L}\p{N}]+/u)
          .some((w) => w.startsWith('le')),
      ).toBe(true);
  });

  test('never the same thing twice, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), (wanted) => {
        const found = find(wanted).map((t) => t.id);
        expect(new Set(found).size).toBe(found.length);
      }),
    );
  });
});
