import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

/** Small libraries that every command needs: read as one file with our own code, a start takes half the time. */
const TAKEN_IN = ['@date-fns/tz', 'date-fns', 'decimal.js', 'fast-deep-equal', 'minisearch', 'uuid', 'zod'];

const root = path.resolve(import.meta.dirname, '..');
const { dependencies, devDependencies } = JSON.parse(
  fs.readFileSync(path.join(root, 'package.json'), 'utf8'),
);
const outdir = path.join(root, '.halfpot/cli');

// The commands as they are run: bundled once after each change, each command a part that is loaded when it is asked for.
fs.rmSync(outdir, { recursive: true, force: true });
await build({
  absWorkingDir: root,
  // The threads of the application begin from files of their own.
  entryPoints: [
    { in: 'tools/main.ts', out: 'main' },
    { in: 'src/features/buy/lists/read-table.worker.ts', out: 'read-table.worker' },
    { in: 'src/cli/trials.worker.ts', out: 'trials.worker' },
  ],
  outdir,
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  external: Object.keys({ ...dependencies, ...devDependencies })
    .filter((name) => !TAKEN_IN.includes(name))
    .flatMap((name) => [name, `${name}/*`]),
  // Where the project lies is asked of where a file of `tools` lies.
  define: { 'import.meta.dirname': JSON.stringify(path.join(root, 'tools')) },
});
