import lines from '../../testing/cooks-lines.json';
import { understand } from '../../../cli/understand';
import { demoKitchen } from '../../testing/demo';

/* Lines as people say them, each with the step it is in the house's form; ? where it is asked, ✗ where nobody can read it. */
const expected = lines as [string, string][];
const answer = understand(JSON.stringify(demoKitchen()), expected.map(([line]) => line).join('\n'));
if ('mistakes' in answer) throw new Error(answer.mistakes[0]);

test.each(expected.map(([line, want], i) => [line, want, answer.lines[i]] as const))(
  '%s',
  (line, want, got) => {
    expect(got?.line).toBe(line);
    expect(got?.as === 'understood' ? got.written : got?.as === 'asked' ? '?' : '✗').toBe(want);
  },
);

test('what is not understood or asked offers only lines that are understood', () => {
  const offered = answer.lines.flatMap((l) => l.instead ?? []);
  expect(offered.length).toBeGreaterThan(60);
  const again = understand(JSON.stringify(demoKitchen()), offered.join('\n'));
  const dead =
    'lines' in again ? again.lines.filter((l) => l.as !== 'understood').map((l) => l.line) : ['nothing'];
  expect(dead).toEqual([]);
});

test('of hundreds of lines nine in ten are understood or asked, and none means another thing than it says', () => {
  const share = (as: string): number => answer.lines.filter((l) => l.as === as).length / answer.lines.length;
  expect(answer.lines.length).toBeGreaterThan(400);
  expect(share('understood')).toBeGreaterThan(0.7);
  expect(share('understood') + share('asked')).toBeGreaterThan(0.85);
});
