import { parseArgs } from 'node:util';
import { coversTable, coversText, scaleTable, scaleText } from '@/cli/scale';
import { Stop } from '../stop';
import { textOf } from '../text-file';
import { mistakeWords } from '@/core/trouble';

const USAGE =
  'Use: ./halfpot scale FILE "RECIPE" "40 l" [--in "VESSEL"], or ./halfpot scale FILE "PLATE" "120 covers"';

/** `halfpot scale FILE RECIPE AMOUNT [--in VESSEL]`, or a plate and `120 covers`: the right factor, the batches, and what plain multiplication gets wrong. */
export function scale(args: readonly string[]): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { in: { type: 'string' } },
  });
  const [file, recipe, amount] = positionals;
  if (file === undefined || recipe === undefined || amount === undefined) throw new Stop(USAGE);
  const text = textOf(file);
  const covers = /^(\d+)\s*covers?$/.exec(amount.trim());
  if (covers) {
    const plates = coversText(text, recipe, Number(covers[1]));
    if ('mistakes' in plates) throw new Stop(plates.mistakes.map(mistakeWords).join('\n'));
    if (!plates.ok) throw new Stop(plates.trouble.message);
    process.stdout.write(`${coversTable(plates.value)}\n`);
    return 0;
  }
  const answer = scaleText(text, recipe, amount, values.in);
  if ('mistakes' in answer) throw new Stop(answer.mistakes.map(mistakeWords).join('\n'));
  if (!answer.ok) throw new Stop(answer.trouble.message);
  process.stdout.write(`${scaleTable(answer.value)}\n`);
  return 0;
}
