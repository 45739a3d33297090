import fs from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { ROOT } from '../place';
import { say } from '../stop';
import { runCommand, wasCut } from './child';
import { readLedger, record, summarize } from './ledger';
import { bundleUnitTests, needsMocks, unitTestFiles, writeGroups } from './unit-bundle';

/** Share of their full number of random cases that properties run in everyday tests; `--full` runs all of them. */
export const EVERYDAY_CASES = 0.2;

/** ms without a sign of life after which the unit tests are taken to hang: the longest test takes less than a minute. */
const SILENT_MS = 10 * 60_000;

interface UnitRun {
  readonly ledger: string;
  /** Test files to run, relative to the project. */
  readonly files: readonly string[];
  /** Share of their random cases that properties run. */
  readonly cases: number;
  readonly seed: number;
  readonly env: NodeJS.ProcessEnv;
  /** Where what Jest prints is kept. */
  readonly log: string;
}

/** Runs unit tests on two workers; each result is in the ledger as soon as it is known. */
export async function runUnitTests({ ledger, files, cases, seed, env, log }: UnitRun): Promise<void> {
  record(ledger, { is: 'planned', stage: 'unit', files });
  if (files.length === 0) return;
  await bundleUnitTests(unitTestFiles());
  const [mocked, plain] = [files.filter(needsMocks), files.filter((file) => !needsMocks(file))];
  say(
    `… unit tests: ${files.length} files (random cases with seed ${seed}, ${Math.round(cases * 100)} % of each property's)`,
  );
  const run = await watched(ledger, (seen) =>
    runCommand(
      'jest',
      // A slow machine is no mistake; and a failed file that leaves a connection open must not hold up the rest.
      ['--testTimeout=120000', '--forceExit', '--runTestsByPath', ...writeGroups(plain), ...mocked],
      {
        ...env,
        NODE_ENV: 'test',
        HALFPOT_LEDGER: ledger,
        HALFPOT_SEED: String(seed),
        HALFPOT_CASES: String(cases),
        HALFPOT_UNIT_BUNDLE: path.join(ROOT, '.halfpot/test/unit/bundle.cjs'),
      },
      seen,
    ),
  );
  fs.writeFileSync(log, run.output);
  // Jest that failed although no test did: a file that cannot be compiled, a worker that crashed.
  const { results } = summarize(readLedger(ledger));
  if (!run.ok && !wasCut() && !results.some((r) => r.stage === 'unit' && r.outcome === 'failed'))
    record(ledger, {
      is: 'result',
      stage: 'unit',
      file: 'jest',
      name: '',
      outcome: 'failed',
      cause: run.output.slice(-4000),
    });
}

/** Ends a run that has shown no sign of life for too long; what had begun and not ended is then named by the summary. */
async function watched<T>(
  ledger: string,
  begin: (seen: (child: { kill: (signal: 'SIGKILL') => unknown }) => void) => Promise<T>,
): Promise<T> {
  const over = new AbortController();
  let child: { kill: (signal: 'SIGKILL') => unknown } | undefined;
  const run = begin((seen) => (child = seen)).finally(() => over.abort());
  const watch = async (): Promise<void> => {
    let [size, since] = [0, performance.now()];
    while (!over.signal.aborted) {
      await pause(1000, undefined, { signal: over.signal }).catch(() => undefined);
      const now = fs.statSync(ledger).size;
      if (now !== size) [size, since] = [now, performance.now()];
      if (performance.now() - since > SILENT_MS) {
        say(`Unit tests have shown no sign of life for ${SILENT_MS / 60_000} minutes and are ended.`);
        child?.kill('SIGKILL');
        return;
      }
    }
  };
  const [done] = await Promise.all([run, watch()]);
  return done;
}
