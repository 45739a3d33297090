import fs from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { ROOT } from '../place';
import { say } from '../stop';
import { runCommand, wasCut, type Ended } from './child';
import { record } from './ledger';

interface Check {
  readonly name: string;
  readonly run: () => Promise<Ended>;
}

const RULES = '.dependency-cruiser.cjs';
const by =
  (command: string, ...args: string[]) =>
  (): Promise<Ended> =>
    runCommand(command, args);

/** One of our own commands that writes a page of docs, asked whether the page is what it would write. */
const isCurrent = (command: string) => by(process.execPath, process.argv[1] ?? '', command, '--check');

/** The longest first, so that the cores are done at about the same time. */
const CHECKS: readonly Check[] = [
  { name: 'lint', run: by('eslint', '--max-warnings=0', '.') },
  { name: 'format', run: by('prettier', '--check', '--log-level=warn', '.') },
  { name: 'types', run: by('tsc', '--noEmit') },
  { name: 'import rules', run: by('depcruise', 'src', 'tools', '--config', RULES) },
  { name: 'types of the core, without browser or Node', run: by('tsc', '-p', 'tsconfig.core.json') },
  { name: 'unused code', run: by('knip', '--no-progress') },
  { name: 'schema and constants in docs are current', run: isCurrent('schema') },
  { name: 'the demo book in docs is current', run: isCurrent('book') },
  { name: 'the licences of all parts are listed, and named in docs', run: isCurrent('notices') },
];

/** A file planted against the import rules is noticed, so that no rule matches nothing. Nothing else may look at the source meanwhile. */
const PLANTED: Check = {
  name: 'import rules notice a planted violation',
  async run() {
    const planted = path.join(ROOT, 'src/core/pot/planted-violation.ts');
    fs.writeFileSync(
      planted,
      "import fs from 'node:fs';\nimport { openPool } from '../../db/sql';\nexport const wrong = [fs, openPool];\n",
    );
    try {
      const { ok, output } = await runCommand('depcruise', ['src/core/pot', '--config', RULES]);
      return { ok: !ok && /core-is-pure/.test(output) && /planted-violation/.test(output), output };
    } finally {
      fs.rmSync(planted, { force: true });
    }
  },
};

/**
 * Runs the static checks, as many at once as there are cores.
 *
 * @param passed checks that need not be made again
 */
export async function runStaticChecks(ledger: string, passed: ReadonlySet<string>): Promise<void> {
  const waiting = CHECKS.filter(({ name }) => !passed.has(name));
  record(ledger, { is: 'planned', stage: 'static', files: [...waiting, PLANTED].map((c) => c.name) });
  const make = async ({ name, run }: Check): Promise<void> => {
    record(ledger, { is: 'began', stage: 'static', file: name, name: '' });
    const { ok, output } = await run();
    if (wasCut()) return;
    say(`${ok ? '✓' : '✗'} ${name}`);
    record(ledger, {
      is: 'result',
      stage: 'static',
      file: name,
      name: '',
      outcome: ok ? 'passed' : 'failed',
      ...(ok ? {} : { cause: output.trim().slice(-8000) }),
    });
    record(ledger, { is: 'done', stage: 'static', file: name });
  };
  const work = async (): Promise<void> => {
    for (let check = waiting.shift(); check; check = waiting.shift()) await make(check);
  };
  await Promise.all(Array.from({ length: availableParallelism() }, work));
  if (!passed.has(PLANTED.name)) await make(PLANTED);
}
