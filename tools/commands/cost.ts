import fs from 'node:fs';
import path from 'node:path';
import { costText, type CostReport } from '@/cli/cost';
import { costTable } from '@/cli/table';
import { Stop } from '../stop';

/** `halfpot cost FILE [--json] [--ledger]`: 0 costed, 1 something is incomplete, 2 the file was refused. */
export function cost(args: readonly string[]): number {
  const file = args.find((a) => !a.startsWith('--'));
  const unknown = args.find((a) => a.startsWith('--') && a !== '--json' && a !== '--ledger');
  if (unknown || file === undefined)
    throw new Stop('Say which file: ./halfpot cost FILE [--json] [--ledger]');
  const at = path.resolve(process.env.HALFPOT_FROM ?? '.', file);
  if (!fs.existsSync(at)) throw new Stop(`There is no file ${file}.`);
  const answer = costText(fs.readFileSync(at, 'utf8'), args.includes('--ledger'));
  if ('mistakes' in answer) {
    if (args.includes('--json'))
      process.stdout.write(`${JSON.stringify({ mistakes: answer.mistakes }, null, 2)}\n`);
    else
      process.stderr.write(
        `${[`${file} has ${answer.mistakes.length === 1 ? 'a mistake' : `${answer.mistakes.length} mistakes`}; nothing was costed.`, ...answer.mistakes.map((m) => `  ${m.path || '(file)'}: ${m.message}`)].join('\n')}\n`,
      );
    return 2;
  }
  process.stdout.write(
    args.includes('--json') ? `${JSON.stringify(answer.report, null, 2)}\n` : costTable(answer.report),
  );
  return isWhole(answer.report) ? 0 : 1;
}

const isWhole = (report: CostReport): boolean =>
  [...report.products, ...report.plates].every((x) => x.incomplete.length === 0);
