import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { isSameName, nameKey } from '..';

test.each([
  ['Zoé', 'zoe'],
  ['Crème brûlée', 'CREME  BRULEE'],
  ['Jus gras ', ' jus\u00a0gras'],
  ['Œuf', 'oeuf'],
  ['Straße', 'strasse'],
  ['ﬁne stock', 'fine stock'],
])('“%s” is “%s”', (a, b) => {
  expect(isSameName(a, b)).toBe(true);
});

test.each([
  ['Leek', 'Leeks'],
  ['Stock 1', 'Stock 2'],
  ['Salt', 'Malt'],
])('“%s” is not “%s”', (a, b) => {
  expect(isSameName(a, b)).toBe(false);
});

test('a name is the same as itself written otherwise, and its key is its own key', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (name) => {
      for (const other of [name.normalize('NFD'), name.normalize('NFC'), ` ${name} `])
        expect(nameKey(other)).toBe(nameKey(name));
      expect(nameKey(nameKey(name))).toBe(nameKey(name));
    }),
    { numRuns: cases(500) },
  );
});
