import { parseArgs } from 'node:util';
import { dayIn } from '@/core/day';
import { build, mustBeFree } from '../app';
import { endChildrenOnSignal, endLeftover, takePlace } from '../processes';
import { startInstance, type Instance } from '../instance';
import { DEMO_FILE, mustRead } from '../kitchens';
import { placeOf } from '../place';
import { say, Stop } from '../stop';
import type { StandIn } from '../../stand-ins/listen';
import { startPriceLists, STAND_IN_PORT } from '../../stand-ins/price-list';
import { PROBE_PORT, startProbe } from '../../stand-ins/probe';
import { SCALE_PORT, startScale } from '../../stand-ins/scale';
import { potsOn } from '../pots-on';

const PORT = 4180;
const ZONE = 'Europe/Dublin';

/** Today where the demo kitchen stands. */
export const demoToday = (now: Date): string => dayIn(ZONE, now);

/** Where it is served, and the address people reach it by where something stands in front of it. */
export function whereFrom(
  args: readonly string[],
  usual = PORT,
): { port: number; origin: string | undefined; host?: string; cert?: string; key?: string } {
  const { values } = parseArgs({
    args: [...args],
    options: {
      port: { type: 'string', default: String(usual) },
      origin: { type: 'string' },
      ...(usual === PORT
        ? {}
        : { host: { type: 'string' }, cert: { type: 'string' }, key: { type: 'string' } }),
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`“${values.port}” is not a port: a whole number from 1 to 65535.`);
  const { origin, host, cert, key } = values as Partial<Record<'origin' | 'host' | 'cert' | 'key', string>>;
  const by = {
    ...(host === undefined ? {} : { host }),
    ...(cert === undefined ? {} : { cert }),
    ...(key === undefined ? {} : { key }),
  };
  if (origin === undefined) return { port, origin, ...by };
  const url = URL.canParse(origin) ? new URL(origin) : undefined;
  if (!url || !/^https?:$/.test(url.protocol) || url.pathname !== '/' || url.search !== '')
    throw new Stop(
      `“${origin}” is not where a kitchen is reached: the address alone, like https://kitchen.example`,
    );
  return { port, origin: url.origin, ...by };
}

/** `halfpot demo`, and `halfpot dev`, which serves the source as it is edited. */
export async function demo(args: readonly string[], how: 'start' | 'dev' = 'start'): Promise<number> {
  const { port, origin } = whereFrom(args);
  const place = placeOf('demo');
  const handOver = endChildrenOnSignal();
  takePlace(place, how === 'dev' ? 'dev' : 'demo');
  await endLeftover(place, 'app', 'next');
  await mustBeFree(port);
  if (how === 'start') build();
  const instance = await startInstance(place, { port, today: demoToday(new Date()), how, origin });
  const on = potsOn(instance.databaseUrl, mustRead(DEMO_FILE).kitchen.id, demoToday(new Date()));
  const standIns = [
    await standIn(STAND_IN_PORT, "the suppliers' price lists cannot be fetched", () =>
      startPriceLists(mustRead(DEMO_FILE), STAND_IN_PORT, () => new Date()),
    ),
    await standIn(SCALE_PORT, 'there is no scale on the bench', () => startScale(SCALE_PORT)),
    await standIn(PROBE_PORT, 'there is no probe at the stove', () => startProbe(PROBE_PORT, on.pots)),
  ];
  process.stdout.write(`Half Pot is at ${instance.address}\n`);
  if (origin !== undefined) say(`It expects to be reached by ${origin}.`);
  if (standIns[1])
    say(`The scale on the bench is simulated: put something on it at http://127.0.0.1:${SCALE_PORT}/`);
  if (standIns[2]) say(`The probe at the stove is simulated too: http://127.0.0.1:${PROBE_PORT}/`);
  const code = await untilStopped(instance, handOver);
  await on.end();
  for (const s of standIns) await s?.stop();
  await instance.stop();
  return code;
}

/** Waits until somebody stops it, or until it cannot be kept going. */
export function untilStopped(instance: Instance, handOver: () => void): Promise<number> {
  say('Ctrl-C stops it.');
  return new Promise<number>((done) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
      process.on(signal, () => {
        done(0);
      });
    handOver();
    // What ends by itself is started again; what cannot be kept going ends the command.
    void instance.keep().then(() => done(1));
  });
}

/** What stands in for other machines: the suppliers' computers, the scale. The demo runs without them, too. */
async function standIn(
  port: number,
  without: string,
  begin: () => Promise<StandIn>,
): Promise<StandIn | undefined> {
  try {
    return await begin();
  } catch {
    say(`Port ${port} is taken: ${without} in this demo.`);
    return undefined;
  }
}
