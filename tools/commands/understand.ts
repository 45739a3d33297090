import fs from 'node:fs';
import { parseArgs } from 'node:util';
import { understand as understood, understoodWords } from '@/cli/understand';
import { Stop } from '../stop';
import { decoded, textOf } from '../text-file';

const USAGE =
  'Say which kitchen and which lines: ./halfpot understand FILE [LINES.txt] [--json]; without LINES.txt they are read from the input';

/** `halfpot understand FILE [LINES.txt] [--json]`: 0 all understood, 1 something is asked or not understood, 2 the file was refused. */
export function understand(args: readonly string[]): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { json: { type: 'boolean', default: false } },
  });
  const [file, lines] = positionals;
  if (file === undefined || positionals.length > 2) throw new Stop(USAGE);
  if (lines === undefined && process.stdin.isTTY) throw new Stop(USAGE);
  const answer = understood(
    textOf(file),
    lines === undefined ? decoded(fs.readFileSync(0), 'the input') : textOf(lines),
  );
  if ('mistakes' in answer) {
    process.stderr.write(`${[`${file} cannot be read as a kitchen.`, ...answer.mistakes].join('\n  ')}\n`);
    return 2;
  }
  process.stdout.write(
    values.json ? `${JSON.stringify(answer.lines, null, 2)}\n` : `${understoodWords(answer.lines)}\n`,
  );
  return answer.lines.every((l) => l.as === 'understood') ? 0 : 1;
}
