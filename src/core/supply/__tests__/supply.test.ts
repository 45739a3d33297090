import fc from 'fast-check';
import { lastOf, productOf, readSupply, trimOf, usableOf } from '..';

const part = fc.string({
  minLength: 1,
  maxLength: 20,
  unit: fc.constantFrom('#', '@', '%', '/', ':', '2', '3', 'F', ' ', 'é', 'x'),
});
const id = fc.uuid();

test('what a key is made of is read out of it again, whatever a part is called', () => {
  fc.assert(
    fc.property(id, part, fc.constantFrom('1.20', '0', '12.5'), (of, name, perLitre) => {
      expect(readSupply(usableOf(of))).toEqual({ is: 'usable', id: of });
      expect(readSupply(trimOf(of))).toEqual({ is: 'trim', id: of });
      expect(readSupply(productOf(of))).toEqual({ is: 'product', id: of });
      expect(readSupply(productOf(of, name))).toEqual({ is: 'product', id: of, part: name });
      expect(readSupply(lastOf(of, name, perLitre))).toEqual({ is: 'last', id: of, part: name, perLitre });
      expect(readSupply(lastOf(of, undefined, perLitre))).toEqual({ is: 'last', id: of, perLitre });
    }),
  );
});

test('parts of two names never have one key', () => {
  fc.assert(
    fc.property(id, part, part, (of, a, b) => {
      fc.pre(a !== b);
      expect(productOf(of, a)).not.toBe(productOf(of, b));
    }),
  );
});

test('what is no supply is none', () => {
  expect(readSupply('free')).toEqual({ is: 'free' });
  for (const key of ['', 'plate:1', 'usable:', 'recipe:1', 'product'])
    expect(readSupply(key)).toBeUndefined();
});
