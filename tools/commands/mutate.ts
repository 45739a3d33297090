import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { makeTemplates } from '../test/templates';
import { EVERYDAY_CASES } from '../test/unit';
import { rankOf } from '../mutation/rank.mjs';
import { ensure, NEEDS } from '../debian';
import { startDatabase } from '../mariadb';
import { placeOf, ROOT } from '../place';
import { takePlace } from '../processes';
import { say, Stop } from '../stop';

const FOLDER = path.join(ROOT, '.halfpot/mutate');
/** Of its random cases a law is tried on as many as in everyday tests: what is caught here is caught by them. */
const CASES = String(EVERYDAY_CASES);

interface Place {
  readonly line: number;
  readonly column: number;
}
interface Mutant {
  readonly status: string;
  readonly mutatorName: string;
  readonly replacement?: string;
  readonly location: { readonly start: Place; readonly end: Place };
}
interface Report {
  readonly files: Readonly<Record<string, { readonly source: string; readonly mutants: readonly Mutant[] }>>;
}

const CAUGHT = ['Killed', 'Timeout', 'RuntimeError'];
const MISSED = ['Survived', 'NoCoverage'];

/** What stations write and ask: `commands.ts` and `queries.ts` of all of them. */
const STATIONS = 'features';

/** Plants mistakes in one room of the core, or in the stations, and has its tests look for them; counts who was caught. */
function plant(room: string, sample: number, seed: string, env: Readonly<Record<string, string>> = {}): void {
  const name = room.replaceAll('/', '-');
  const report = path.join(FOLDER, `${name}.json`);
  const config = path.join(FOLDER, `${name}.config.json`);
  fs.mkdirSync(FOLDER, { recursive: true });
  fs.writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'jest',
      jest: { projectType: 'custom', configFile: 'tools/mutation/jest.core.mjs' },
      plugins: ['@stryker-mutator/jest-runner', path.join(ROOT, 'tools/mutation/sample.mjs')],
      checkers: ['sample'],
      mutate:
        room === STATIONS
          ? ['src/features/**/commands.ts', 'src/features/**/queries.ts']
          : [`src/core/${room}/**/*.ts`, '!src/core/**/*.test.ts', '!src/core/**/index.ts'],
      ignorePatterns: [
        '.next',
        '.halfpot',
        'test-results',
        ...(room === STATIONS ? [] : ['/demo/price-lists']),
      ],
      coverageAnalysis: 'perTest',
      // What is set once when a module is loaded would need every test for each of them.
      ignoreStatic: true,
      incremental: true,
      // A sample of another seed has other gaps.
      incrementalFile: path.join(FOLDER, `${name}-${sample}-${seed}.incremental.json`),
      reporters: ['json'],
      jsonReporter: { fileName: report },
      tempDirName: path.join(FOLDER, 'sandbox'),
      cleanTempDir: 'always',
      concurrency: 2,
      dryRunTimeoutMinutes: 30,
      timeoutMS: room === STATIONS ? 120_000 : 20_000,
      allowConsoleColors: false,
    }),
  );
  const done = spawnSync(path.join(ROOT, 'node_modules/.bin/stryker'), ['run', config], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      ...env,
      HALFPOT_CASES: CASES,
      HALFPOT_MUTATE_ROOM: room,
      HALFPOT_SEED: '20260314',
      HALFPOT_MUTANTS: String(sample),
      HALFPOT_MUTANTS_SEED: seed,
      HALFPOT_MUTANTS_FILE: path.join(FOLDER, `${name}.sample.json`),
    },
  });
  if (done.status !== 0) throw new Stop(`The mistakes in ${room} could not be planted: see the lines above.`);
  told(room, JSON.parse(fs.readFileSync(report, 'utf8')) as Report, sample, seed);
}

/** Says which mistakes of the sample nobody noticed, and counts: an earlier run may have tried others besides. */
function told(room: string, { files }: Report, sample: number, seed: string): void {
  const drawn = Object.entries(files)
    .flatMap(([file, { source, mutants }]) =>
      mutants
        .filter(({ status }) => CAUGHT.includes(status) || MISSED.includes(status))
        .map((m) => ({
          ...m,
          file,
          text: source.split('\n')[m.location.start.line - 1]?.trim() ?? '',
          rank: rankOf(seed, file, m.location, m.mutatorName, m.replacement),
        })),
    )
    .sort((a, b) => (a.rank < b.rank ? -1 : 1))
    .slice(0, sample);
  const missed = drawn.filter(({ status }) => MISSED.includes(status));
  for (const { file, text, mutatorName, replacement = '', location } of missed)
    process.stdout.write(
      `${file}:${location.start.line} ${mutatorName} → ${replacement.slice(0, 60).replace(/\s+/g, ' ')}\n    ${text.slice(0, 110)}\n`,
    );
  const [caught, all] = [drawn.length - missed.length, drawn.length];
  process.stdout.write(
    `${room}: ${caught} of ${all} caught, ${all === 0 ? 100 : Math.round((100 * caught) / all)} %\n`,
  );
}

/** The same in the stations, whose tests want a database. */
async function plantInStations(sample: number, seed: string): Promise<void> {
  const place = placeOf('mutate');
  takePlace(place, 'mutate');
  ensure(NEEDS.database);
  const own = await startDatabase(place);
  try {
    const templates = path.join(place.folder, 'templates.json');
    await makeTemplates((name) => own.fresh(name), templates);
    plant(STATIONS, sample, seed, {
      HALFPOT_TEST_SERVER: own.creatorUrl('halfpot'),
      HALFPOT_TEST_TEMPLATES: templates,
    });
  } finally {
    await own.stop();
  }
}

/**
 * `halfpot mutate [FOLDER …] [--sample N] [--seed S]`: plants mistakes in rooms of the core, or in `features`, and
 * sees which of them the tests notice. Takes minutes for a hundred; no part of `test`.
 */
export async function mutate(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { sample: { type: 'string', default: '150' }, seed: { type: 'string', default: '1' } },
  });
  const sample = Number(values.sample);
  if (!Number.isInteger(sample) || sample < 1)
    throw new Stop(`A sample of “${values.sample}” cannot be: a whole number from 1.`);
  const rooms = positionals.length > 0 ? positionals : ['quantity', 'larder', 'learning', 'costing'];
  for (const room of rooms)
    if (room !== STATIONS && !fs.existsSync(path.join(ROOT, 'src/core', room)))
      throw new Stop(`There is no room “${room}” in src/core.`);
  for (const room of rooms)
    if (room === STATIONS) await plantInStations(sample, values.seed);
    else plant(room, sample, values.seed);
  say('What is equal whatever is planted there is listed in docs/mutation.md.');
  return 0;
}
