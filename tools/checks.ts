import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { causesOfJest, causesOfPlaywright } from './causes';
import { ROOT } from './place';
import { say } from './stop';

/** One thing the test command looks at: how many it counted as right and as wrong. */
export interface Verdict {
  readonly name: string;
  readonly passed: number;
  readonly failed: number;
  readonly output: string;
  /** Of tests that failed, each with its cause in a few lines. */
  readonly causes?: readonly string[];
}

/** @param most ms after which it is killed; left out, it may take as long as it likes */
export function execute(
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv = process.env,
  most?: number,
): { ok: boolean; output: string } {
  const bin = path.join(ROOT, 'node_modules/.bin', command);
  const done = spawnSync(fs.existsSync(bin) ? bin : command, args, {
    cwd: ROOT,
    encoding: 'utf8',
    env,
    maxBuffer: 1 << 28,
    ...(most === undefined ? {} : { timeout: most, killSignal: 'SIGKILL' as const }),
  });
  return {
    ok: done.status === 0,
    output: `${done.stdout ?? ''}${done.stderr ?? ''}${done.error ? String(done.error) : ''}`,
  };
}

/** The same, while other things go on. */
function executing(command: string, args: readonly string[]): Promise<{ ok: boolean; output: string }> {
  const bin = path.join(ROOT, 'node_modules/.bin', command);
  return new Promise((done) => {
    const child = spawn(fs.existsSync(bin) ? bin : command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text: string) => (output += text));
    child.once('error', (error) => done({ ok: false, output: `${output}${String(error)}` }));
    child.once('close', (code) => done({ ok: code === 0, output }));
  });
}

/** A check that has not been made yet. */
export type Check = () => Promise<Verdict>;

/** A check that is right or wrong as a whole. */
export const whole =
  (name: string, command: string, args: readonly string[]): Check =>
  async () => {
    const { ok, output } = await executing(command, args);
    return { name, passed: ok ? 1 : 0, failed: ok ? 0 : 1, output };
  };

/** Makes checks side by side, as many at once as there are cores, each told as it is done. */
export async function sideBySide(checks: readonly Check[]): Promise<Verdict[]> {
  const verdicts: Verdict[] = [];
  const waiting = [...checks];
  const work = async (): Promise<void> => {
    for (let check = waiting.shift(); check; check = waiting.shift()) verdicts.push(report(await check()));
  };
  await Promise.all(Array.from({ length: availableParallelism() }, work));
  return verdicts;
}

const RULES = '.dependency-cruiser.cjs';

export const importRules = whole('import rules', 'depcruise', ['src', 'tools', '--config', RULES]);

/**
 * A file planted against the import rules is noticed, so that no rule matches nothing. To be made when no other check looks at
 * the source.
 */
export function plantedViolation(): Verdict {
  const planted = path.join(ROOT, 'src/core/pot/planted-violation.ts');
  fs.writeFileSync(
    planted,
    "import fs from 'node:fs';\nimport { openPool } from '../../db/sql';\nexport const wrong = [fs, openPool];\n",
  );
  try {
    const { ok, output } = execute('depcruise', ['src/core/pot', '--config', RULES]);
    const noticed = !ok && /core-is-pure/.test(output) && /planted-violation/.test(output);
    return {
      name: 'import rules notice a planted violation',
      passed: noticed ? 1 : 0,
      failed: noticed ? 0 : 1,
      output,
    };
  } finally {
    fs.rmSync(planted, { force: true });
  }
}

type JestSummary = Parameters<typeof causesOfJest>[0] & {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numRuntimeErrorTestSuites: number;
};

/** ms after which unit tests hang: they take ten minutes. A loop without an end in a random case would hold up everything, and say nothing. */
const HANGS_MS = 40 * 60_000;

/** Unit tests, counted one by one. A suite that could not start counts as one failure. */
export function jest(place: string, env: NodeJS.ProcessEnv, only: readonly string[] = []): Verdict {
  const file = path.join(place, 'jest.json');
  fs.rmSync(file, { force: true });
  // A slow machine is no mistake; and a failed suite that leaves a connection open must not hold up the rest.
  const manner = ['--testTimeout=120000', '--forceExit'];
  const seed = env.HALFPOT_SEED ?? String(Date.now() % 2 ** 31);
  say(`… unit tests (random cases with seed ${seed})`);
  const { output } = execute(
    'jest',
    ['--json', `--outputFile=${file}`, '--silent=false', ...manner, ...only],
    {
      ...env,
      HALFPOT_SEED: seed,
    },
    HANGS_MS,
  );
  if (!fs.existsSync(file)) return { name: `unit tests (seed ${seed})`, passed: 0, failed: 1, output };
  const sum = JSON.parse(fs.readFileSync(file, 'utf8')) as JestSummary;
  const failed = sum.numFailedTests + sum.numRuntimeErrorTestSuites;
  fs.appendFileSync(
    path.join(place, 'seeds.txt'),
    `${new Date().toISOString()} seed ${seed}: ${sum.numPassedTests} passed, ${failed} failed\n`,
  );
  return {
    name: `unit tests (random cases with seed ${seed})`,
    passed: sum.numPassedTests,
    failed,
    output,
    causes: causesOfJest(sum),
  };
}

type PlaywrightSummary = Parameters<typeof causesOfPlaywright>[0] & {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number };
};

/** The same without standing still: for tests that ask this process something while they run. */
function executeBeside(
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv,
): Promise<{ ok: boolean; output: string }> {
  return new Promise((done) => {
    const child = spawn(path.join(ROOT, 'node_modules/.bin', command), args, { cwd: ROOT, env });
    let output = '';
    const hear = (part: Buffer): void => void (output += part.toString());
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('error', (error) => done({ ok: false, output: String(error) }));
    child.once('close', (code) => done({ ok: code === 0, output }));
  });
}

/** Browser tests, counted one by one. A flaky one is a failed one. */
export async function playwright(
  place: string,
  env: NodeJS.ProcessEnv,
  only: readonly string[],
): Promise<Verdict> {
  const file = path.join(place, 'playwright.json');
  fs.rmSync(file, { force: true });
  const { ok, output } = await executeBeside('playwright', ['test', ...only], {
    ...env,
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  });
  if (!fs.existsSync(file)) return { name: 'browser tests', passed: 0, failed: 1, output };
  const summary = JSON.parse(fs.readFileSync(file, 'utf8')) as PlaywrightSummary;
  const { expected, unexpected, flaky } = summary.stats;
  const failed = unexpected + flaky;
  return {
    name: 'browser tests',
    passed: expected,
    failed: failed === 0 && !ok ? 1 : failed,
    output,
    causes: causesOfPlaywright(summary),
  };
}

export function report(verdict: Verdict): Verdict {
  say(
    `${verdict.failed === 0 ? '✓' : '✗'} ${verdict.name}${verdict.passed + verdict.failed > 1 ? `: ${verdict.passed} passed, ${verdict.failed} failed` : ''}`,
  );
  if (verdict.failed > 0) say(verdict.output.trim());
  return verdict;
}
