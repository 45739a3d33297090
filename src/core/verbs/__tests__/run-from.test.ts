import fc from 'fast-check';
import { workingPot } from '../../testing/random-pot';
import { CONSTANTS } from '../../reference';
import { runPot, runPotFrom, type Pot, type PotTrace } from '../steps';

/** One thing after another that is done to the steps of a pot: taken out, doubled, put elsewhere, more of it. */
type Edit = readonly ['out' | 'twice' | 'move' | 'more', number, number];
const edits = fc.array(
  fc.tuple(fc.constantFrom<Edit[0]>('out', 'twice', 'move', 'more'), fc.nat(30), fc.nat(30)),
  { minLength: 1, maxLength: 6 },
);

function edited(pot: Pot, [what, a, b]: Edit): Pot {
  const { steps } = pot;
  if (steps.length === 0) return pot;
  const i = a % steps.length;
  const step = steps[i] as Pot['steps'][number];
  const rest = steps.filter((_, j) => j !== i);
  const to = b % (rest.length + 1);
  switch (what) {
    case 'out':
      return { ...pot, steps: rest };
    case 'twice':
      return { ...pot, steps: [...steps.slice(0, i), step, ...steps.slice(i)] };
    case 'move':
      return { ...pot, steps: [...rest.slice(0, to), step, ...rest.slice(to)] };
    case 'more':
      return { ...pot, steps: steps.map((s, j) => (j === i && 'g' in s ? { ...s, g: s.g * 1.1 } : s)) };
  }
}

test('gone on with from an earlier run it says what a run from nothing says, through any edits', () => {
  fc.assert(
    fc.property(workingPot(), edits, (first, all) => {
      let pot = first;
      let trace: PotTrace | undefined;
      for (const edit of [undefined, ...all]) {
        if (edit) pot = edited(pot, edit);
        // Steps come again from their lines at every keystroke: the same in what they say, not the same objects.
        trace = runPotFrom(structuredClone(pot), CONSTANTS, trace);
        expect(trace.run).toEqual(runPot(pot, CONSTANTS));
      }
    }),
  );
});

test('an earlier run stays what it was, whatever goes on from it', () => {
  fc.assert(
    fc.property(workingPot(), edits, (pot, all) => {
      const before = runPotFrom(pot, CONSTANTS);
      const said = structuredClone(before.run);
      for (const edit of all) runPotFrom(edited(pot, edit), CONSTANTS, before);
      expect(before.run).toEqual(said);
      expect(runPotFrom(pot, CONSTANTS, before).run).toEqual(said);
    }),
    { numRuns: 40 },
  );
});
