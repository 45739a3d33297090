import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { timesFrom } from '../test/cpu';
import { finishedFiles, ledgerFile, readLedger, record, summarize, type Entry } from '../test/ledger';
import { planFrom } from '../test/plan';
import { restoreTables } from '../../tests/helpers/template';
import { besideChanged, closure, reachedFrom, reachesAll, stationsOf } from '../test/reach';
import { endLines, isGreen, lastLine, overBudget } from '../test/told';

const result = (name: string, outcome: 'passed' | 'failed' | 'interrupted', cause?: string): Entry => ({
  is: 'result',
  stage: 'unit',
  file: 'a.test.ts',
  name,
  outcome,
  cause,
});
const planned = (...files: string[]): Entry => ({ is: 'planned', stage: 'unit', files });
const names = (...of: string[]): Entry => ({ is: 'tests', stage: 'unit', file: 'a.test.ts', names: of });
const done: Entry = { is: 'done', stage: 'unit', file: 'a.test.ts' };

describe('a ledger', () => {
  test('survives a line that was cut, and counts what is there', () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-ledger-'));
    const file = ledgerFile(folder);
    for (const entry of [planned('a.test.ts'), names('x', 'y'), result('x', 'passed')]) record(file, entry);
    fs.appendFileSync(file, '{"is":"result","stage":"un');
    expect(readLedger(file)).toHaveLength(3);
    expect(readLedger(path.join(folder, 'none'))).toEqual([]);
    fs.rmSync(folder, { recursive: true });
  });

  test('of a run that was cut says what passed, what was running and what never ran', () => {
    const began: Entry = { is: 'began', stage: 'unit', file: 'a.test.ts', name: 'y' };
    const cut = summarize([
      planned('a.test.ts', 'b.test.ts'),
      names('x', 'y', 'z'),
      result('x', 'passed'),
      began,
    ]);
    expect(cut).toMatchObject({ passed: 1, failed: 0, running: ['a.test.ts › y'] });
    expect(cut.missing).toEqual(['a.test.ts › y', 'a.test.ts › z', 'b.test.ts']);
    expect(lastLine(cut)).toBe('1 passed, 0 failed, 3 skipped');
    expect(isGreen(cut, false)).toBe(false);
    expect(endLines(cut)).toContain('did not run: b.test.ts');
  });

  test('of a file that is planned again what it says then counts; a whole run without any result is a mistake', () => {
    const first = [planned('a.test.ts'), names('x'), result('x', 'failed', 'no'), done];
    const again = summarize([...first, planned('a.test.ts'), names('x'), result('x', 'passed'), done]);
    expect(lastLine(again)).toBe('1 passed, 0 failed');
    expect(isGreen(again, false)).toBe(true);
    // Planned again and cut before it came to it, it has not run.
    expect(lastLine(summarize([...first, planned('a.test.ts')]))).toBe('0 passed, 0 failed, 1 skipped');
    expect([isGreen(summarize([]), false), isGreen(summarize([]), true)]).toEqual([false, true]);
  });

  test('tests of one name in one file are as many as there are: one that passes hides none that fails', () => {
    const twice = [
      planned('a.test.ts'),
      names('x', 'x', 'y'),
      result('x', 'failed', 'no'),
      result('x', 'passed'),
    ];
    const cut = summarize(twice);
    expect(lastLine(cut)).toBe('1 passed, 1 failed, 1 skipped');
    expect(isGreen(cut, false)).toBe(false);
    expect(summarize([...twice.slice(0, 3), result('y', 'passed')]).missing).toEqual(['a.test.ts › x']);
  });

  test('an interrupted property is neither passed nor failed, and is named with how far it came', () => {
    const summary = summarize([
      names('law', 'x'),
      result('law', 'interrupted', 'stopped after 3 of 40'),
      result('x', 'passed'),
    ]);
    expect(lastLine(summary)).toBe('1 passed, 0 failed, 1 skipped');
    expect(isGreen(summary, false)).toBe(true);
    expect(endLines(summary)).toEqual(['interrupted: a.test.ts › law: stopped after 3 of 40']);
  });

  test('gone on with, files that are through and right are not run again', () => {
    const first = [planned('a.test.ts'), names('x'), result('x', 'passed')];
    expect([...finishedFiles(first, 'unit')]).toEqual([]);
    expect([...finishedFiles([...first, done], 'unit')]).toEqual(['a.test.ts']);
    expect([...finishedFiles([...first, done], 'browser')]).toEqual([]);
    expect([...finishedFiles([...first, result('x', 'failed'), done], 'unit')]).toEqual([]);
  });

  test('a failure is told with its cause, without colours and not at length', () => {
    const long = ['\u001b[31mExpected: 1\u001b[39m', '', ...Array.from({ length: 40 }, (_, n) => `at ${n}`)];
    const [told] = endLines(summarize([result('leaks', 'failed', long.join('\n'))]));
    const lines = told?.split('\n') ?? [];
    expect(lines.slice(0, 3)).toEqual(['✗ a.test.ts › leaks', '    Expected: 1', '    at 0']);
    expect(lines).toHaveLength(13);
  });

  test('what uses more than its budget is named, the dearest first', () => {
    const file = (name: string, cpuS: number): Entry => ({ is: 'done', stage: 'unit', file: name, cpuS });
    expect(overBudget([file('a', 16), file('b', 2), file('c', 40)])).toEqual([
      'over budget: c: 40.0 of 15 CPU seconds',
      'over budget: a: 16.0 of 15 CPU seconds',
    ]);
  });
});

describe('what a change can reach', () => {
  const graph = new Map([
    ['a.test.ts', ['a.ts']],
    ['a.ts', ['core.ts']],
    ['b.test.ts', ['b.ts']],
    ['b.ts', ['a.ts', 'b.ts']],
    ['c.test.ts', ['src/db/migrate.ts']],
  ]);
  const tests = ['a.test.ts', 'b.test.ts', 'c.test.ts'];

  test('is whatever imports it, however far, and through circles', () => {
    expect([...closure(graph, 'b.test.ts')].sort()).toEqual(['a.ts', 'b.test.ts', 'b.ts', 'core.ts']);
    expect(reachedFrom(graph, tests, ['core.ts'])).toEqual(['a.test.ts', 'b.test.ts']);
    expect(reachedFrom(graph, tests, ['b.ts'])).toEqual(['b.test.ts']);
    expect(reachedFrom(graph, tests, ['README.md'])).toEqual([]);
  });

  test('is whoever reads it at run time, and everything where all stands on it', () => {
    expect(reachedFrom(graph, tests, ['src/db/migrations/030.do.x.sql'])).toEqual(['c.test.ts']);
    expect(reachedFrom(graph, tests, ['package-lock.json'])).toEqual(tests);
    expect(reachesAll(['src/core/pot/run.ts'])).toBeUndefined();
  });

  test('beside a change are the tests of its folder alone', () => {
    const files = ['src/core/pot/__tests__/a.test.ts', 'src/core/day/__tests__/b.test.ts'];
    expect(besideChanged(files, ['src/core/pot/run.ts'])).toEqual([files[0]]);
  });

  test('of a browser test are the stations whose addresses it names', () => {
    expect(stationsOf("await open(page, '/pour/menus'); page.goto(`/buy`)")).toEqual(
      new Set(['pour', 'buy']),
    );
    expect(stationsOf("await openPot(page, 'Duck broth')")).toEqual(new Set(['pot']));
    expect(stationsOf('nothing')).toBeUndefined();
  });
});

test('a call says which stages, which files and since when; what cannot be is said', () => {
  expect(planFrom([])).toMatchObject({ stages: ['static', 'unit', 'browser'], files: [], since: undefined });
  expect(planFrom(['unit', 'door'])).toMatchObject({ stages: ['unit'], files: ['door'] });
  expect(planFrom(['--only', 'browser', 'buy'])).toMatchObject({ stages: ['browser'], files: ['buy'] });
  expect(planFrom(['--changed'])).toMatchObject({ since: 'HEAD', near: 'reach' });
  expect(planFrom(['--full', '--beside', '--since', 'x'])).toMatchObject({
    stages: ['unit'],
    full: true,
    since: 'x',
  });
  expect(() => planFrom(['door'])).toThrow('belongs to which stage');
  expect(() => planFrom(['--only', 'lint'])).toThrow('There is no stage “lint”');
});

test('CPU times are read from a process whose name has spaces and brackets', () => {
  const fields = ['S', '42', ...Array.from({ length: 9 }, () => '0'), '150', '50', '25', '75', '20'];
  expect(timesFrom(`7 (a (b) c) ${fields.join(' ')}`)).toEqual({ parent: 42, seconds: 3 });
});

test('a kitchen put back says that it is the old one only when all of its other rows are', async () => {
  const asked: string[] = [];
  const connection = { query: (sql: string) => Promise.resolve(void asked.push(sql)) };
  const tables = ['article', 'kitchen', 'kitchen_moved', 'price_quote', 'recipe'];
  await restoreTables(
    connection as unknown as Parameters<typeof restoreTables>[0],
    { database: 'kept', createTables: [], createTriggers: [], columns: tables.map((table) => [table, 'id']) },
    tables,
  );
  const order = [...asked.join().matchAll(/TRUNCATE TABLE `(\w+)`/g)].map(([, table]) => table);
  expect(order).toEqual(['article', 'price_quote', 'recipe', 'kitchen', 'kitchen_moved']);
});
