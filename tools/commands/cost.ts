import { parseArgs } from 'node:util';
import { costText, type CostReport } from '@/cli/cost';
import { costTable, layersFrom } from '@/cli/table';
import { LAYERS } from '@/core/layers';
import { Stop } from '../stop';
import { textOf } from '../text-file';
import { mistakeWords } from '@/core/trouble';

const USAGE =
  'Say which file: ./halfpot cost FILE [--json] [--ledger] [--layers all|ingredients,packaging,energy,hands]';

/** `halfpot cost FILE [--json] [--ledger] [--layers …]`: 0 costed, 1 something is incomplete, 2 the file was refused. */
export function cost(args: readonly string[]): number {
  const { values, positionals } = options(args);
  const [file] = positionals;
  if (file === undefined || positionals.length > 1) throw new Stop(USAGE);
  const layers = layersFrom(values.layers);
  if (!layers) throw new Stop(`There is no layer “${values.layers}”: all, or some of ${LAYERS.join(', ')}.`);
  const answer = costText(textOf(file), values.ledger);
  if ('mistakes' in answer) {
    if (values.json) process.stdout.write(`${JSON.stringify({ mistakes: answer.mistakes }, null, 2)}\n`);
    else
      process.stderr.write(
        `${[`${file} has ${answer.mistakes.length === 1 ? 'a mistake' : `${answer.mistakes.length} mistakes`}; nothing was costed.`, ...answer.mistakes.map((m) => `  ${mistakeWords(m)}`)].join('\n')}\n`,
      );
    return 2;
  }
  process.stdout.write(
    values.json ? `${JSON.stringify(answer.report, null, 2)}\n` : costTable(answer.report, layers),
  );
  return isWhole(answer.report) ? 0 : 1;
}

function options(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        ledger: { type: 'boolean', default: false },
        layers: { type: 'string', default: 'ingredients' },
      },
    });
  } catch {
    throw new Stop(USAGE);
  }
}

const isWhole = (report: CostReport): boolean =>
  [...report.products, ...report.plates].every((x) => x.incomplete.length === 0);
