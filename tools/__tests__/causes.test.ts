import { causesOfJest, causesOfPlaywright } from '../causes';

test('of unit tests those that failed are named, without colours and not at length', () => {
  const long = ['\u001b[31mExpected: 1\u001b[39m', '', ...Array.from({ length: 40 }, (_, n) => `at ${n}`)];
  const causes = causesOfJest({
    testResults: [
      {
        name: 'a.test.ts',
        assertionResults: [
          { status: 'passed', fullName: 'adds up', failureMessages: [] },
          { status: 'failed', fullName: 'leaks', failureMessages: [long.join('\n')] },
        ],
      },
      { name: 'b.test.ts', message: 'cannot find module', assertionResults: [] },
    ],
  });
  expect(causes).toHaveLength(2);
  const lines = causes[0]?.split('\n') ?? [];
  expect(lines.slice(0, 3)).toEqual(['✗ leaks', '    Expected: 1', '    at 0']);
  expect(lines).toHaveLength(13);
  expect(causes[1]).toBe('✗ b.test.ts\n    cannot find module');
});

test('of browser tests those that failed are named, however deep they stand', () => {
  const failed = { title: 'is kept', file: 'a.spec.ts', line: 9, ok: false };
  const right = { ...failed, title: 'is well', ok: true, tests: [] };
  const tests = [{ results: [{ errors: [{ message: 'not there' }, {}] }] }];
  expect(
    causesOfPlaywright({ suites: [{ specs: [right], suites: [{ specs: [{ ...failed, tests }] }] }] }),
  ).toEqual(['✗ a.spec.ts:9 › is kept\n    not there']);
});
