import type { Circus } from '@jest/types';
import type { EnvironmentContext, JestEnvironmentConfig } from '@jest/environment';
import { TestEnvironment } from 'jest-environment-node';
import path from 'node:path';
import { record, type Outcome } from '../../tools/test/ledger';

type Block = Circus.DescribeBlock;

const LEDGER = process.env.HALFPOT_LEDGER ?? '';
const TOP = 'ROOT_DESCRIBE_BLOCK';

/** The names of the blocks around a test, outermost first. Of a bundled group the outermost is its file. */
function namesOf(test: { name: string; parent: Block }): string[] {
  const names = [test.name];
  for (let block: Block | undefined = test.parent; block && block.name !== TOP; block = block.parent)
    names.unshift(block.name);
  return names;
}

const everyTest = (block: Block): Circus.TestEntry[] =>
  block.children.flatMap((child) => (child.type === 'test' ? [child] : everyTest(child)));

const textOf = (error: unknown): string => {
  const of: unknown = Array.isArray(error) ? (error[0] ?? error[1]) : error;
  return of instanceof Error || (typeof of === 'object' && of !== null && 'stack' in of)
    ? String((of as Error).stack)
    : String(of);
};

/**
 * Node's environment, which writes each test's result into the run's ledger as soon as it is known, so that a run that is cut
 * off loses nothing; and the CPU seconds of each file, its loading included.
 */
export default class LedgerEnvironment extends TestEnvironment {
  readonly #ownFile: string;
  #loading = process.cpuUsage();
  #loaded = new Map<string, number>();
  #since = process.cpuUsage();

  constructor(config: JestEnvironmentConfig, context: EnvironmentContext) {
    super(config, context);
    const relative = path.relative(config.globalConfig.rootDir, context.testPath);
    // A group has its files as its outermost blocks; a file that runs by itself is named by its path.
    this.#ownFile = /\.group\.c?js$/.test(relative) ? '' : relative;
  }

  #name(test: { name: string; parent: Block }): { file: string; name: string } {
    const names = namesOf(test);
    return this.#ownFile === ''
      ? { file: names[0] ?? '', name: names.slice(1).join(' › ') }
      : { file: this.#ownFile, name: names.join(' › ') };
  }

  /** A block that is a file of a group. */
  #isFile(block: Block): boolean {
    return this.#ownFile === '' ? block.parent?.name === TOP : block.name === TOP;
  }

  handleTestEvent(event: Circus.Event, state: Circus.State): void {
    switch (event.name) {
      case 'start_describe_definition':
        if (state.currentDescribeBlock.parent?.name === TOP) this.#loading = process.cpuUsage();
        return;
      case 'finish_describe_definition': {
        const { user, system } = process.cpuUsage(this.#loading);
        if (state.currentDescribeBlock.name === TOP) this.#loaded.set(event.blockName, (user + system) / 1e6);
        return;
      }
      case 'run_start': {
        const byFile = new Map<string, string[]>();
        for (const test of everyTest(state.rootDescribeBlock)) {
          const { file, name } = this.#name(test);
          byFile.set(file, [...(byFile.get(file) ?? []), name]);
        }
        for (const [file, names] of byFile) record(LEDGER, { is: 'tests', stage: 'unit', file, names });
        return;
      }
      case 'run_describe_start':
        if (this.#isFile(event.describeBlock)) this.#since = process.cpuUsage();
        return;
      case 'test_start':
        record(LEDGER, { is: 'began', stage: 'unit', ...this.#name(event.test) });
        return;
      case 'test_skip':
      case 'test_todo':
        record(LEDGER, { is: 'result', stage: 'unit', ...this.#name(event.test), outcome: 'skipped' });
        return;
      case 'test_done':
        this.#report(event.test);
        return;
      case 'run_describe_finish':
        if (this.#isFile(event.describeBlock)) this.#finish(event.describeBlock);
        return;
      default:
    }
  }

  #report(test: Circus.TestEntry): void {
    const held = this.global as typeof this.global & { halfPotInterrupted?: string };
    const interrupted = held.halfPotInterrupted;
    delete held.halfPotInterrupted;
    const failed = test.errors.length > 0;
    const outcome: Outcome = failed ? 'failed' : interrupted === undefined ? 'passed' : 'interrupted';
    record(LEDGER, {
      is: 'result',
      stage: 'unit',
      ...this.#name(test),
      outcome,
      ms: test.duration ?? undefined,
      ...(failed ? { cause: test.errors.map(textOf).join('\n') } : { cause: interrupted }),
    });
  }

  #finish(block: Block): void {
    const { user, system } = process.cpuUsage(this.#since);
    const file = this.#ownFile || block.name;
    const cpuS = (user + system) / 1e6 + (this.#loaded.get(block.name) ?? 0);
    record(LEDGER, { is: 'done', stage: 'unit', file, cpuS: Math.round(cpuS * 100) / 100 });
  }
}
