import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { KitchenFile } from '@/core/kitchen-file';
import { ROOT } from '../place';
import { Stop } from '../stop';

const FILE = path.join(ROOT, 'docs/kitchen-file.schema.json');

/** The kitchen file's JSON Schema, as text, from the schema the program itself reads with. */
export const schemaText = (): string =>
  `${JSON.stringify({ title: 'Half Pot kitchen file, version 1', ...z.toJSONSchema(KitchenFile, { io: 'input' }) }, null, 2)}\n`;

/** `halfpot schema` writes it; `halfpot schema --check` says whether the one in docs is current. */
export function schema(args: readonly string[]): number {
  const text = schemaText();
  if (args.includes('--check')) {
    if (!fs.existsSync(FILE) || fs.readFileSync(FILE, 'utf8') !== text)
      throw new Stop('docs/kitchen-file.schema.json is not what the schema says: run ./halfpot schema.');
    return 0;
  }
  fs.mkdirSync(path.dirname(FILE), { recursive: true });
  fs.writeFileSync(FILE, text);
  return 0;
}
