import { z } from 'zod';
import { KitchenFile } from '@/core/kitchen-file';
import { processConstants, REFERENCE, type ReferenceRow } from '@/core/reference';
import { keepPage } from '../generated';

/** The kitchen file's JSON Schema, as text, from the schema the program itself reads with. */
const schemaText = (): string =>
  `${JSON.stringify({ title: 'Half Pot kitchen file, version 1', ...z.toJSONSchema(KitchenFile, { io: 'input' }) }, null, 2)}\n`;

const figure = (x: number): string => String(Number(x.toPrecision(6)));
const row = (r: ReferenceRow): string =>
  `| ${r.key} | ${figure(r.value)} | ${figure(r.low)}–${figure(r.high)} | ${r.unit} | ${r.confidence} | ${[r.basis, r.note].filter(Boolean).join('; ').replaceAll('|', '/')} |`;
const HEAD = [
  '| constant | value | 90 % range | unit | confidence | source, and what it means |',
  '|---|---|---|---|---|---|',
];

/** Which rows the pot's constants are taken from: found by asking for them. */
function usedRows(): Set<string> {
  const used = new Set<string>();
  const watched = new Map(REFERENCE);
  watched.get = (key) => {
    used.add(key);
    return REFERENCE.get(key);
  };
  processConstants(watched);
  for (const key of REFERENCE.keys()) if (/^(?:shared_)?hands_/.test(key)) used.add(key);
  return used;
}

/** Every constant with its source and range, as a page. */
function constantsText(): string {
  const used = usedRows();
  const rows = [...REFERENCE.values()];
  return [
    '# Constants',
    '',
    'Written by `./halfpot schema` from `src/core/reference/process.json`. Every figure is a starting estimate, to be replaced by a kitchen’s',
    'own measurements; low and high are the 5 and 95 % points. What each does stands in `docs/model.md`.',
    '',
    '## What the pot is run with',
    '',
    ...HEAD,
    ...rows.filter((r) => used.has(r.key)).map(row),
    '',
    '## Known, and not yet used',
    '',
    ...HEAD,
    ...rows.filter((r) => !used.has(r.key)).map(row),
    '',
  ].join('\n');
}

/** `halfpot schema` writes both pages; `halfpot schema --check` says whether those in docs are current. */
export function schema(args: readonly string[]): number {
  keepPage('kitchen-file.schema.json', schemaText(), args, 'schema');
  keepPage('constants.md', constantsText(), args, 'schema');
  return 0;
}
