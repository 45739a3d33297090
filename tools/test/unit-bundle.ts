import fs from 'node:fs';
import path from 'node:path';
import { build, type BuildOptions, type Metafile } from 'esbuild';
import { ROOT } from '../place';

/** Packages that are bundled with our own code: each is read once instead of file by file for every group of tests. */
const BUNDLED = [
  '@date-fns/tz',
  'csv-parse',
  'date-fns',
  'decimal.js',
  'fake-indexeddb',
  'fast-check',
  'fast-deep-equal',
  'fastest-levenshtein',
  'get-port',
  'httpxy',
  'idb',
  'jsonc-parser',
  'lru-cache',
  'minisearch',
  'postgrator',
  'server-only',
  'uuid',
  'zod',
];
/** Drivers of other databases that postgrator names and nobody here has. */
const NEVER_THERE = ['better-sqlite3', 'mssql', 'mysql', 'pg'];

const FOLDER = path.join(ROOT, '.halfpot/test/unit');
const BUNDLE = path.join(FOLDER, 'bundle.cjs');

/** Modules that a test loads once more, as another process would have them (tests/helpers/another-process.ts). */
const AGAIN = ['src/server/kitchen.ts'];

/** Files that replace modules by `jest.mock`: Jest has to see their imports, so they are compiled one by one. */
export const needsMocks = (file: string): boolean =>
  /\bjest\.mock\(/.test(fs.readFileSync(path.join(ROOT, file), 'utf8'));

export function unitTestFiles(): string[] {
  const found: string[] = [];
  const visit = (folder: string): void => {
    for (const entry of fs.readdirSync(path.join(ROOT, folder), { withFileTypes: true })) {
      const at = `${folder}/${entry.name}`;
      if (entry.isDirectory()) visit(at);
      else if (/\.test\.tsx?$/.test(entry.name)) found.push(at);
    }
  };
  for (const room of ['src', 'tools', 'stand-ins']) visit(room);
  return found.sort();
}

const external = (): string[] => {
  const { dependencies, devDependencies } = JSON.parse(
    fs.readFileSync(path.join(ROOT, 'package.json'), 'utf8'),
  ) as Record<'dependencies' | 'devDependencies', Record<string, string>>;
  return [
    ...Object.keys({ ...dependencies, ...devDependencies })
      .filter((name) => !BUNDLED.includes(name))
      .flatMap((name) => [name, `${name}/*`]),
    ...NEVER_THERE,
  ];
};

const common: BuildOptions & { bundle: true } = {
  absWorkingDir: ROOT,
  bundle: true,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
  mainFields: ['module', 'main'],
  sourcemap: true,
  sourcesContent: false,
  logLevel: 'error',
  define: { 'import.meta.dirname': JSON.stringify(path.join(ROOT, 'tools')) },
};

/**
 * Bundles all unit tests into one file, in which each test file is a function that runs when it is asked for. Jest then
 * compiles and resolves nothing itself. Takes about two seconds.
 *
 * @returns esbuild's description of which file imports which
 */
export async function bundleUnitTests(files: readonly string[]): Promise<Metafile> {
  fs.rmSync(FOLDER, { recursive: true, force: true });
  fs.mkdirSync(FOLDER, { recursive: true });
  const table = (of: readonly string[]): string =>
    of.map((file) => `${JSON.stringify(file)}: () => require(${JSON.stringify(`./${file}`)})`).join(',\n');
  const alias = { 'server-only': path.join(ROOT, 'tests/helpers/nothing.cjs') };
  const { metafile } = await build({
    ...common,
    stdin: {
      contents: `exports.tests = {${table(files)}};\nexports.modules = {${table(AGAIN)}};\n`,
      resolveDir: ROOT,
      loader: 'js',
    },
    outfile: BUNDLE,
    alias,
    metafile: true,
    external: external(),
  });
  await build({
    ...common,
    entryPoints: [
      { in: 'tests/unit/environment.ts', out: 'environment' },
      { in: 'tests/unit/setup.ts', out: 'setup' },
      { in: 'tests/unit/source-maps.ts', out: 'source-maps' },
    ],
    outdir: FOLDER,
    outExtension: { '.js': '.cjs' },
    alias,
    external: [...external(), 'jest-environment-node'],
  });
  return metafile;
}

/** Rooms whose files are many and small run together; what works with the database runs by its room. */
function groupOf(file: string): string {
  const [top, room = '', inner = ''] = file.split('/');
  // What a process is started with is read once: a test that sets it has modules of its own.
  if (/process\.env\b/.test(fs.readFileSync(path.join(ROOT, file), 'utf8'))) return file.replace(/\W+/g, '-');
  if (top !== 'src') return 'tools';
  if (room === 'core') return `core-${inner}`;
  if (room === 'features' || room === 'app' || room === 'db') return room;
  return 'other';
}

/** A test file for Jest that runs some of ours one after the other, each in a block of its own. */
const groupSource = (files: readonly string[]): string =>
  [
    `const { tests } = require(${JSON.stringify(BUNDLE)});`,
    `for (const file of ${JSON.stringify(files)})`,
    '  describe(file, () => {',
    '    try {',
    '      tests[file]();',
    '    } catch (error) {',
    "      test('the file can be loaded', () => { throw error; });",
    '    }',
    '  });',
    '',
  ].join('\n');

/**
 * Writes the groups that Jest is to run. Files of one group share their modules and what the machine has learned of them:
 * a hundred and forty files that each start afresh spend more time on that than on testing.
 *
 * @returns paths of the groups, relative to the project
 */
export function writeGroups(files: readonly string[]): string[] {
  const groups = new Map<string, string[]>();
  for (const file of files) groups.set(groupOf(file), [...(groups.get(groupOf(file)) ?? []), file]);
  return [...groups].map(([name, members]) => {
    const at = path.join(FOLDER, `${name}.group.cjs`);
    fs.writeFileSync(at, groupSource(members));
    return path.relative(ROOT, at);
  });
}
