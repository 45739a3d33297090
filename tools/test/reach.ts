import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { build, type Metafile } from 'esbuild';
import { ROOT } from '../place';
import { Stop } from '../stop';

/** Files that are read at run time and not imported: a test that imports the second is reached by the first. */
const READ_BY: readonly (readonly [RegExp, string])[] = [
  [/^src\/db\/migrations\//, 'src/db/migrate.ts'],
  [/^tests\/dumps\//, 'src/db/__tests__/dumps.test.ts'],
  [/^demo\/price-lists\//, 'src/features/buy/lists/table.ts'],
  [/^demo\/kestrel-weir\.json$/, 'src/features/house/first/service.ts'],
  [/^docs\/kitchen-file\.schema\.json$/, 'src/core/kitchen-file/index.ts'],
];
/** What every test stands on: a change there reaches all of them. */
const UNDER_ALL =
  /^(package(-lock)?\.json|jest\.config\.mjs|playwright\.config\.ts|next\.config\.ts|tsconfig.*|halfpot|tests\/unit\/|tests\/helpers\/|tests\/e2e\/kitchen\.ts|tools\/(test\/|instance|mariadb|processes|app|kitchens|commands\/test))/;

const git = (...args: string[]): string[] => {
  const { status, stdout, stderr } = spawnSync('git', args, { cwd: ROOT, encoding: 'utf8' });
  if (status !== 0) throw new Stop(`git ${args.join(' ')}: ${stderr.trim().split('\n')[0]}`);
  return stdout.split('\n').filter((line) => line !== '');
};

/** Files that differ from a revision, relative to the project: changed, removed, or not yet known to git. */
export const changedSince = (revision: string): string[] =>
  [
    ...new Set([
      ...git('diff', '--name-only', revision),
      ...git('ls-files', '--others', '--exclude-standard'),
    ]),
  ].sort();

/** Which files import which, from esbuild's own reading of them. */
export type Graph = ReadonlyMap<string, readonly string[]>;

export const graphFrom = ({ inputs }: Pick<Metafile, 'inputs'>): Graph =>
  new Map(Object.entries(inputs).map(([file, { imports }]) => [file, imports.map((i) => i.path)]));

/** Everything a file imports, itself included, however far. */
export function closure(graph: Graph, file: string): Set<string> {
  const seen = new Set<string>();
  const open = [file];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...(graph.get(next) ?? []));
  }
  return seen;
}

/** Changed files as the graph knows them: a file that is read counts as the file that reads it. */
const inGraph = (changed: readonly string[]): string[] =>
  changed.flatMap((file) => [file, ...READ_BY.flatMap(([read, by]) => (read.test(file) ? [by] : []))]);

export const reachesAll = (changed: readonly string[]): string | undefined =>
  changed.find((file) => UNDER_ALL.test(file) && !/\.test\.ts$/.test(file));

/** Of some files those that import anything that has changed. */
export function reachedFrom(graph: Graph, files: readonly string[], changed: readonly string[]): string[] {
  if (reachesAll(changed) !== undefined) return [...files];
  const moved = new Set(inGraph(changed));
  return files.filter((file) => [...closure(graph, file)].some((imported) => moved.has(imported)));
}

/** Of some test files those that stand in a folder in which something has changed. */
export function besideChanged(files: readonly string[], changed: readonly string[]): string[] {
  const folder = (file: string): string => path.dirname(file).replace(/\/__tests__$/, '');
  const folders = new Set(changed.map(folder));
  return files.filter((file) => folders.has(folder(file)));
}

/** First part of an address: what stands between the first two strokes. */
const stationOf = (address: string): string => address.split('/')[1] ?? '';

/** Stations a browser test goes to, by the addresses it names. One that names none may go anywhere. */
export function stationsOf(source: string): Set<string> | undefined {
  const named = [...source.matchAll(/['"`](\/[a-z][a-z-]*)/g)].map((m) => stationOf(m[1] ?? ''));
  if (/\bopenPot\(/.test(source)) named.push('pot');
  return named.length > 0 ? new Set(named) : undefined;
}

const filesBelow = (folder: string): string[] =>
  fs
    .readdirSync(path.join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .map((name) => `${folder}/${name}`)
    .filter((name) => fs.statSync(path.join(ROOT, name)).isFile());

/** Pages, routes and writes: what a browser can ask of the application, each with the station it is of. */
function entries(): { file: string; station: string }[] {
  const routes = filesBelow('src/app')
    .filter((file) => /\/(page|layout|route)\.tsx?$/.test(file) && !file.startsWith('src/app/command/'))
    .map((file) => ({ file, station: file.replace(/^src\/app\/(\([^)]*\)\/)?/, '').split('/')[0] ?? '' }))
    // What lies around all pages stands in the folder itself.
    .map(({ file, station }) => ({ file, station: /\.tsx?$/.test(station) ? '*' : station }));
  const writes = filesBelow('src/features')
    .filter((file) => file.endsWith('/commands.ts'))
    .map((file) => ({ file, station: file.split('/')[2] ?? '' }));
  return [...routes, ...writes];
}

/**
 * Of browser tests those that go to a station that a change can reach.
 *
 * @param specs each with its source
 */
export async function reachedSpecs(
  specs: ReadonlyMap<string, string>,
  changed: readonly string[],
): Promise<string[]> {
  const all = [...specs.keys()];
  if (reachesAll(changed) !== undefined) return all;
  const known = entries();
  const { metafile } = await build({
    absWorkingDir: ROOT,
    entryPoints: known.map(({ file }) => file),
    outdir: path.join(ROOT, '.halfpot/test/reach'),
    write: false,
    bundle: true,
    metafile: true,
    packages: 'external',
    logLevel: 'silent',
    jsx: 'automatic',
    loader: { '.scss': 'empty', '.css': 'empty', '.woff2': 'empty' },
    external: ['*.woff2'],
  });
  const graph = graphFrom(metafile);
  const moved = new Set(inGraph(changed));
  const stations = new Set(
    known.filter(({ file }) => [...closure(graph, file)].some((f) => moved.has(f))).map((e) => e.station),
  );
  return all.filter((spec) => {
    if (changed.includes(spec) || stations.has('*')) return true;
    const goes = stationsOf(specs.get(spec) ?? '');
    return goes === undefined ? stations.size > 0 : [...goes].some((station) => stations.has(station));
  });
}
