import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from './place';
import { say, Stop } from './stop';

/**
 * A page in docs that is written by a command from what the program itself reads.
 * @param args `--check` only says whether the page is current
 */
export function keepPage(page: string, text: string, args: readonly string[], command: string): void {
  const file = path.join(ROOT, 'docs', page);
  if (args.includes('--check')) {
    if (fs.existsSync(file) && fs.readFileSync(file, 'utf8') === text) return;
    throw new Stop(`docs/${page} is not what it is written from: run ./halfpot ${command}.`);
  }
  fs.mkdirSync(path.dirname(file), { recursive: true });
  fs.writeFileSync(file, text);
  say(`Wrote docs/${page}.`);
}
