import fs from 'node:fs';
import { loadKitchen } from '@/db/kitchen/load-kitchen';
import { migrate } from '@/db/migrate';
import { openPool } from '@/db/sql';
import { readTemplate } from '../../tests/helpers/template';
import type { Templates } from '../../tests/helpers/test-database';
import { DEMO_FILE, mustRead } from '../kitchens';

/** Makes the databases that unit tests clone, and writes down in a file how. */
export async function makeTemplates(fresh: (name: string) => string, file: string): Promise<void> {
  const [tables, demo] = [fresh('halfpot_template_tables'), fresh('halfpot_template_demo')];
  await migrate(tables);
  await migrate(demo);
  const pool = openPool(demo);
  await loadKitchen(pool, mustRead(DEMO_FILE), new Map());
  await pool.end();
  const made: Templates = { tables: await readTemplate(tables), demo: await readTemplate(demo) };
  fs.writeFileSync(file, JSON.stringify(made));
}
