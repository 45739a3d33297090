import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { comparedReport, comparedTable, compareText } from '@/cli/compare';
import { SeveralWorkers } from '@/cli/several';
import { mistakeWords } from '@/core/trouble';
import { ROOT } from '../place';
import { Stop } from '../stop';
import { textOf } from '../text-file';

const USAGE = 'Say which file: ./halfpot compare FILE [QUESTION] [--draws N] [--json]';
const USUAL_DRAWS = 1000;
const MOST_DRAWS = 100_000;

/** Where the bundled threads lie. */
export const THREADS = path.join(ROOT, '.halfpot', 'cli');

/** `halfpot compare FILE [QUESTION] [--draws N] [--json]`: a kept question laid out, with bands: 0 done, 2 refused. */
export async function compare(args: readonly string[]): Promise<number> {
  const { values, positionals } = options(args);
  const [file, ...called] = positionals;
  const draws = Number(values.draws);
  if (file === undefined) throw new Stop(USAGE);
  if (!Number.isInteger(draws) || draws < 0 || draws > MOST_DRAWS)
    throw new Stop(`“${values.draws}” draws cannot be: a whole number from 0 to ${MOST_DRAWS}.`);
  const answer = compareText(textOf(file), called.length === 0 ? undefined : called.join(' '));
  if ('mistakes' in answer) {
    process.stderr.write(`${answer.mistakes.map(mistakeWords).join('\n')}\n`);
    return 2;
  }
  const { compared } = answer;
  let told: Float64Array = new Float64Array(0);
  if (draws > 0) {
    const workers = SeveralWorkers.begin(compared.setup, os.availableParallelism(), THREADS);
    told = await workers.tell(draws);
    await workers.end();
  }
  const report = comparedReport(compared, told, draws);
  process.stdout.write(values.json ? `${JSON.stringify(report, null, 2)}\n` : comparedTable(report));
  return 0;
}

function options(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        draws: { type: 'string', default: String(USUAL_DRAWS) },
      },
    });
  } catch {
    throw new Stop(USAGE);
  }
}
