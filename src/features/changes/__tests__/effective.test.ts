import fc from 'fast-check';
import { cases } from '../../../core/testing/cases';
import { builtOn, counting, type Link } from '../effective';

/** Some changes in their order: each may undo one before it. */
const history = fc
  .array(fc.option(fc.nat(), { nil: null }), { maxLength: 12 })
  .map((picks) =>
    picks.map((pick, i): Link => ({ id: `c${i}`, undoes: pick === null || i === 0 ? null : `c${pick % i}` })),
  );

/** The same from its definition: a change counts unless an undo of it counts. */
const countsPlainly = (changes: readonly Link[], id: string): boolean =>
  !changes.some((c) => c.undoes === id && countsPlainly(changes, c.id));

test('a change counts until an undo of it counts, however often it is undone and redone', () => {
  fc.assert(
    fc.property(history, (changes) => {
      const counts = counting(changes);
      for (const { id } of changes) expect([id, counts.has(id)]).toEqual([id, countsPlainly(changes, id)]);
    }),
    { numRuns: cases(200) },
  );
});

test('what counts is built on; undone, it is not; an undo of something older is a change of its own', () => {
  const done = { id: 'a', undoes: null };
  expect(builtOn([done])).toEqual([done]);
  expect(builtOn([done, { id: 'b', undoes: 'a' }])).toEqual([]);
  const redone = { id: 'c', undoes: 'b' };
  expect(builtOn([done, { id: 'b', undoes: 'a' }, redone])).toEqual([done]);
  const ofOlder = { id: 'd', undoes: 'long ago' };
  expect(builtOn([ofOlder])).toEqual([ofOlder]);
});
