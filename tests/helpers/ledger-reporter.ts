import path from 'node:path';
import type { FullConfig, Reporter, Suite, TestCase, TestResult } from '@playwright/test/reporter';
import { record, type Outcome } from '../../tools/test/ledger';

const LEDGER = process.env.HALFPOT_LEDGER ?? '';
const STATES: Readonly<Record<TestResult['status'], Outcome>> = {
  passed: 'passed',
  failed: 'failed',
  timedOut: 'failed',
  interrupted: 'interrupted',
  skipped: 'skipped',
};

/** The annotation by which a test says how many CPU seconds it and what it drove have used. */
export const CPU = 'cpu seconds';

/** Writes each browser test's result into the run's ledger as soon as it is known. */
export default class LedgerReporter implements Reporter {
  #root = process.cwd();
  #left = new Map<string, number>();

  #of = (test: TestCase): { stage: 'browser'; file: string; name: string } => ({
    stage: 'browser',
    file: path.relative(this.#root, test.location.file),
    name: test.title,
  });

  onBegin(_config: FullConfig, suite: Suite): void {
    const names = new Map<string, string[]>();
    for (const test of suite.allTests()) {
      const { file, name } = this.#of(test);
      names.set(file, [...(names.get(file) ?? []), name]);
    }
    for (const [file, of] of names) {
      this.#left.set(file, of.length);
      record(LEDGER, { is: 'tests', stage: 'browser', file, names: of });
    }
  }

  onTestBegin(test: TestCase): void {
    record(LEDGER, { is: 'began', ...this.#of(test) });
  }

  onTestEnd(test: TestCase, result: TestResult): void {
    const of = this.#of(test);
    const used = result.annotations.find((a) => a.type === CPU)?.description;
    record(LEDGER, {
      is: 'result',
      ...of,
      outcome: STATES[result.status],
      ms: result.duration,
      ...(result.errors.length > 0
        ? { cause: result.errors.map((e) => e.message ?? e.value ?? '').join('\n') }
        : {}),
      ...(used === undefined ? {} : { cpuS: Number(used) }),
    });
    const left = (this.#left.get(of.file) ?? 1) - 1;
    this.#left.set(of.file, left);
    if (left === 0) record(LEDGER, { is: 'done', stage: 'browser', file: of.file });
  }

  printsToStdio(): boolean {
    return false;
  }
}
