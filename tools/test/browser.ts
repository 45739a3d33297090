import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { TestedKitchen } from '../../tests/helpers/here';
import { startPriceLists } from '../../stand-ins/price-list';
import { startProbe } from '../../stand-ins/probe';
import { startScale } from '../../stand-ins/scale';
import { build, hostsAt } from '../app';
import { startInstance } from '../instance';
import { DEMO_FILE, mustRead } from '../kitchens';
import { houseCertificate } from '../lan/authority';
import { serveLan } from '../lan/serve';
import { placeOf, ROOT } from '../place';
import { potsOn } from '../pots-on';
import { endLeftover, freePort } from '../processes';
import { runCommand, wasCut } from './child';
import { HELD_CLOCK, HELD_DAY } from './held';
import { readLedger, record, summarize } from './ledger';

/** A kitchen that browser tests have to themselves: an application on a database, a scale, the suppliers' computers. */
interface TestKitchen extends TestedKitchen {
  stop(): Promise<void>;
}

/** A name that browsers of tests are told to look for on loopback. */
const SECURE_NAME = 'stove.kitchen.test';

/** The word by which a test begins a kitchen, once it has emptied its own. */
const FIRST_WORD = 'TEST-WORD';

const appName = (n: number): string => (n === 0 ? 'app' : `app-${n + 1}`);

async function startKitchen(n: number, databaseUrl: string): Promise<TestKitchen> {
  const place = placeOf('test');
  const [port, securePort] = [await freePort(), await freePort()];
  const instance = await startInstance(place, {
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
  const { cert, key } = houseCertificate(place.folder, { ips: [], names: [SECURE_NAME] });
  const lan = await serveLan(
    {
      host: '127.0.0.1',
      port: securePort,
      secured: { cert, key },
      address: `https://${SECURE_NAME}:${securePort}`,
    },
    port,
  );
  const demo = mustRead(DEMO_FILE);
  const lists = await startPriceLists(demo, 0, () => new Date(HELD_CLOCK));
  const scale = await startScale(0);
  const on = potsOn(databaseUrl, demo.kitchen.id, HELD_DAY);
  const probe = await startProbe(0, on.pots, () => Date.parse(HELD_CLOCK));
  return {
    address: instance.address,
    databaseUrl,
    listsPort: lists.port,
    scalePort: scale.port,
    probePort: probe.port,
    secure: `https://${SECURE_NAME}:${securePort}`,
    pidFile: path.join(place.folder, `${appName(n)}.pid`),
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

export const specFiles = (): string[] =>
  fs
    .readdirSync(path.join(ROOT, 'tests/e2e'))
    .filter((name) => name.endsWith('.spec.ts'))
    .map((name) => `tests/e2e/${name}`)
    .sort();

interface BrowserRun {
  readonly ledger: string;
  readonly specs: readonly string[];
  /** Makes an empty database and gives its address. */
  readonly fresh: (name: string) => string;
  readonly log: string;
}

/** Kitchens beside the one per core: a test waits for about a third of its time, and another fills the gap. */
const BESIDE_CORES = 1;

/** Browser tests run in one kitchen more than there are cores; one file runs in two. */
export async function runBrowserTests({ ledger, specs, fresh, log }: BrowserRun): Promise<void> {
  record(ledger, { is: 'planned', stage: 'browser', files: specs });
  if (specs.length === 0) return;
  const place = placeOf('test');
  const most = os.availableParallelism() + BESIDE_CORES;
  const many = Math.min(specs.length + 1, most);
  for (let n = 0; n < most; n += 1) await endLeftover(place, appName(n), 'next');
  build();
  const kitchens: TestKitchen[] = [];
  try {
    for (let n = 0; n < many; n += 1) kitchens.push(await startKitchen(n, fresh(`halfpot_browser_${n + 1}`)));
    const given = kitchens.map(({ stop: _stop, ...kitchen }): TestedKitchen => kitchen);
    const run = await runCommand('playwright', ['test', ...specs], {
      ...process.env,
      HALFPOT_KITCHENS: JSON.stringify(given),
      HALFPOT_LEDGER: ledger,
    });
    fs.writeFileSync(log, run.output);
    const { results } = summarize(readLedger(ledger));
    if (!run.ok && !wasCut() && !results.some((r) => r.stage === 'browser' && r.outcome === 'failed'))
      record(ledger, {
        is: 'result',
        stage: 'browser',
        file: 'playwright',
        name: '',
        outcome: 'failed',
        cause: run.output.slice(-4000),
      });
  } finally {
    for (const kitchen of kitchens) await kitchen.stop();
  }
}
