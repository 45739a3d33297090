import os from 'node:os';
import path from 'node:path';
import type { TestedKitchen } from '../../tests/helpers/here';
import { build, hostsAt } from '../app';
import {
  importRules,
  jest,
  plantedViolation,
  playwright,
  report,
  sideBySide,
  whole,
  type Check,
  type Verdict,
} from '../checks';
import { ensure, NEEDS } from '../debian';
import { startInstance } from '../instance';
import { houseCertificate } from '../lan/authority';
import { serveLan } from '../lan/serve';
import { startDatabase } from '../mariadb';
import { potsOn } from '../pots-on';
import { placeOf } from '../place';
import { endLeftover, freePort, takePlace } from '../processes';
import { DEMO_FILE, mustRead } from '../kitchens';
import { Stop } from '../stop';
import { startPriceLists } from '../../stand-ins/price-list';
import { startProbe } from '../../stand-ins/probe';
import { startScale } from '../../stand-ins/scale';

/** The instant every browser test lives in; the demo is loaded for its day. */
export const HELD_CLOCK = '2026-03-14T12:00:00.000Z';
export const HELD_DAY = HELD_CLOCK.slice(0, 10);

/** One of our own commands that writes a page of docs, asked whether the page is what it would write. */
const current = (name: string, command: string): Check =>
  whole(name, process.execPath, [process.argv[1] ?? '', command, '--check']);

/** The longest first, so that the cores are done at about the same time. */
const STATIC: readonly Check[] = [
  whole('lint', 'eslint', ['--max-warnings=0', '.']),
  whole('types', 'tsc', ['--noEmit']),
  importRules,
  whole('format', 'prettier', ['--check', '--log-level=warn', '.']),
  whole('types of the core, without browser or Node', 'tsc', ['-p', 'tsconfig.core.json']),
  whole('unused code', 'knip', ['--no-progress']),
  current('schema and constants in docs are current', 'schema'),
  current('the demo book in docs is current', 'book'),
  current('the licences of all parts are listed, and named in docs', 'notices'),
];

/** `halfpot test [static | unit [FILE …] | browser [FILE …]]`: everything, or one part, or some files of it. The demo's data is never touched. */
export async function test(args: readonly string[]): Promise<number> {
  const [part, ...only] = args;
  if (part !== undefined && !['static', 'unit', 'browser'].includes(part))
    throw new Stop(`There is no part “${part}”: static, unit or browser.`);
  const wants = (name: string): boolean => part === undefined || part === name;
  const place = placeOf('test');
  takePlace(place, 'test');
  const verdicts: Verdict[] = [];
  if (wants('static')) verdicts.push(...(await sideBySide(STATIC)), report(plantedViolation()));
  if (wants('unit') || wants('browser')) verdicts.push(...(await withDatabase(wants, only)));
  const passed = verdicts.reduce((sum, v) => sum + v.passed, 0);
  const failed = verdicts.reduce((sum, v) => sum + v.failed, 0);
  // Once more and last: what is printed of a failed run is often cut, from its beginning.
  for (const cause of verdicts.flatMap((v) => v.causes ?? [])) process.stdout.write(`${cause}\n`);
  process.stdout.write(`${passed} passed, ${failed} failed\n`);
  return failed === 0 && passed > 0 ? 0 : 1;
}

async function withDatabase(wants: (part: string) => boolean, only: readonly string[]): Promise<Verdict[]> {
  const place = placeOf('test');
  ensure(NEEDS.database);
  ensure(NEEDS.browser);
  const verdicts: Verdict[] = [];
  const own = await startDatabase(place);
  try {
    if (wants('unit'))
      verdicts.push(
        report(
          jest(
            place.folder,
            { ...process.env, HALFPOT_TEST_SERVER: own.url('halfpot_test'), NODE_ENV: 'test' },
            only,
          ),
        ),
      );
    if (wants('browser')) verdicts.push(report(await inBrowser((name) => own.fresh(name), only)));
  } finally {
    await own.stop();
  }
  return verdicts;
}

/** A kitchen that browser tests have to themselves: an application on a database, a scale, the suppliers' computers. */
interface TestKitchen extends TestedKitchen {
  stop(): Promise<void>;
}

/** A name that browsers of tests are told to look for on loopback. */
const SECURE_NAME = 'stove.kitchen.test';

/** The word by which a test begins a kitchen, once it has emptied its own. */
const FIRST_WORD = 'TEST-WORD';

async function testKitchen(n: number, databaseUrl: string): Promise<TestKitchen> {
  const [port, securePort] = [await freePort(), await freePort()];
  const instance = await startInstance(placeOf('test'), {
    port,
    today: HELD_DAY,
    clock: HELD_CLOCK,
    databaseUrl,
    as: appName(n),
    env: {
      HALFPOT_FIRST_WORD: FIRST_WORD,
      HALFPOT_HOSTS: [...hostsAt(port), `${SECURE_NAME}:${securePort}`].join(','),
    },
  });
  // A test may kill it: it is started again as a kitchen’s own would be.
  void instance.keep();
  // As a tablet in the kitchen reaches it: by https, and by a name.
  const { cert, key } = houseCertificate(placeOf('test').folder, { ips: [], names: [SECURE_NAME] });
  const lan = await serveLan(
    {
      host: '127.0.0.1',
      port: securePort,
      secured: { cert, key },
      address: `https://${SECURE_NAME}:${securePort}`,
    },
    port,
  );
  const lists = await startPriceLists(mustRead(DEMO_FILE), 0, () => new Date(HELD_CLOCK));
  const scale = await startScale(0);
  const on = potsOn(databaseUrl, mustRead(DEMO_FILE).kitchen.id, HELD_DAY);
  const probe = await startProbe(0, on.pots, () => Date.parse(HELD_CLOCK));
  return {
    address: instance.address,
    databaseUrl,
    listsPort: lists.port,
    scalePort: scale.port,
    probePort: probe.port,
    secure: `https://${SECURE_NAME}:${securePort}`,
    pidFile: path.join(placeOf('test').folder, `${appName(n)}.pid`),
    day: HELD_DAY,
    async stop() {
      await lan.stop();
      await probe.stop();
      await on.end();
      await scale.stop();
      await lists.stop();
      await instance.stop();
    },
  };
}

const appName = (n: number): string => (n === 0 ? 'app' : `app-${n + 1}`);

/** Browser tests run in as many kitchens at once as there are cores; of a few files, in one. */
async function inBrowser(fresh: (name: string) => string, only: readonly string[]): Promise<Verdict> {
  const place = placeOf('test');
  const many = only.length > 0 ? 1 : Math.max(1, os.availableParallelism());
  for (let n = 0; n < many; n += 1) await endLeftover(place, appName(n), 'next');
  build();
  const kitchens: TestKitchen[] = [];
  try {
    for (let n = 0; n < many; n += 1) kitchens.push(await testKitchen(n, fresh(`halfpot_browser_${n + 1}`)));
    const told = kitchens.map(({ stop: _stop, ...kitchen }): TestedKitchen => kitchen);
    return await playwright(place.folder, { ...process.env, HALFPOT_KITCHENS: JSON.stringify(told) }, only);
  } finally {
    for (const kitchen of kitchens) await kitchen.stop();
  }
}
