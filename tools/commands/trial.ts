import { parseArgs } from 'node:util';
import getPort, { portNumbers } from 'get-port';
import { build } from '../app';
import { ensure, NEEDS } from '../debian';
import { startInstance, type Instance } from '../instance';
import { DEMO_FILE, mustRead } from '../kitchens';
import { startDatabase } from '../mariadb';
import { placeOf, type Place } from '../place';
import { endChildrenOnSignal, takePlace } from '../processes';
import { Stop } from '../stop';
import { around, frozen, killed } from '../trial/around';
import { guesses, slow, uploads } from '../trial/crowd';
import { deaths } from '../trial/deaths';
import { fullDisk } from '../trial/full-disk';
import { hostile } from '../trial/hostile';
import { mixed } from '../trial/mixed';
import { stoveDeaths } from '../trial/stove-deaths';
import { writers, type Row } from '../trial/writers';
import { HELD_DAY } from '../test/held';

const whole = (typed: string, what: string): number => {
  const n = Number(typed);
  if (!Number.isInteger(n) || n < 0) throw new Stop(`“${typed}” is no number of ${what}.`);
  return n;
};

/** `halfpot trial`: what happens when much, or the worst, is asked of it. Not a test: a table of figures. */
export async function trial(args: readonly string[]): Promise<number> {
  const { values } = parseArgs({
    args: [...args],
    options: {
      rounds: { type: 'string', default: '20' },
      payloads: { type: 'string', default: '6000' },
      seconds: { type: 'string', default: '20' },
      only: { type: 'string' },
    },
  });
  const rounds = whole(values.rounds, 'rounds');
  const payloads = whole(values.payloads, 'payloads');
  const seconds = whole(values.seconds, 'seconds');
  const place = placeOf('bench');
  endChildrenOnSignal();
  takePlace(place, 'trial');
  ensure(NEEDS.database);
  if (values.only === 'stove') ensure(NEEDS.wholeBrowser);
  build();
  const own = await startDatabase(place);
  own.fresh('halfpot');
  await own.stop();
  const file = mustRead(DEMO_FILE);
  // Not where databases look for theirs: one that begins while the application is down would take its place.
  const port = await getPort({ host: '127.0.0.1', port: portNumbers(15_000, 19_000) });
  const startIn = (where: Place): Promise<Instance> => startInstance(where, { port, today: HELD_DAY });
  const row: Row = (what, figure) => process.stdout.write(`${what.padEnd(52)} ${figure}\n`);
  if (values.only === 'stove') {
    await stoveDeaths(rounds, file, () => startIn(place), row);
    return 0;
  }
  const app = await startIn(place);
  try {
    if (values.only === 'mixed') {
      await mixed(seconds, app, row);
      return 0;
    }
    await mixed(seconds, app, row);
    await writers(8, seconds, file, app, row);
    await writers(32, seconds, file, app, row);
    await frozen(app, row);
    await around(app, row);
    await killed(app, row);
    await guesses(seconds, file, app, row);
    await slow(200, seconds, app, row);
    await uploads(file, app, row);
    await hostile(payloads, file, app, row);
  } finally {
    await app.stop();
  }
  await fullDisk(file, startIn, row);
  await deaths(rounds, file, () => startIn(place), row);
  await stoveDeaths(rounds, file, () => startIn(place), row);
  return 0;
}
