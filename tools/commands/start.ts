import { build, mustBeFree } from '../app';
import { startInstance } from '../instance';
import { placeOf } from '../place';
import { broughtCertificate, houseCertificate } from '../lan/authority';
import { inAddress, isLoopback, reachedAs } from '../lan/names';
import { serveLan } from '../lan/serve';
import { endChildrenOnSignal, endLeftover, freePort, takePlace } from '../processes';
import { say, sentenceFor, Stop } from '../stop';
import { backUp, backupsIn } from '../backup/backup';
import { isDue } from '../backup/keep';
import { backupsOf } from './backup';
import { untilStopped, whereFrom } from './demo';

/** Beside the demo's, so that both can run. */
const PORT = 4280;

/** `halfpot start`: the kitchen that is kept. It stands in a place of its own, which no demo touches; beyond loopback by https. */
export async function startKitchen(args: readonly string[]): Promise<number> {
  const { port, origin, host, cert, key } = whereFrom(args, PORT);
  const place = placeOf('kitchen');
  const handOver = endChildrenOnSignal();
  takePlace(place, 'start');
  await endLeftover(place, 'app', 'next');
  await mustBeFree(port);
  const lan = lanFor(place.folder, port, { host, cert, key });
  build();
  // Where others reach it, the application itself stays on loopback, behind what secures the way.
  const inside = lan ? await freePort() : port;
  const instance = await startInstance(place, {
    port: inside,
    origin: origin ?? lan?.address,
    env: lan?.env ?? {},
  });
  const open = lan && (await serveLan(lan, inside));
  process.stdout.write(`Half Pot is at ${lan?.address ?? instance.address}\n`);
  if (lan?.secured.authority) sayHowToTrust(lan);
  if (origin !== undefined) say(`It expects to be reached by ${origin}.`);
  if (instance.firstWord !== undefined)
    say(`There is no kitchen yet. Whoever begins it is asked for this word: ${instance.firstWord}`);
  const nights = everyNight(instance.databaseUrl, backupsOf(place));
  const code = await untilStopped(instance, handOver);
  clearInterval(nights);
  await open?.stop();
  await instance.stop();
  return code;
}

type Asked = Readonly<Record<'host' | 'cert' | 'key', string | undefined>>;

/** How the kitchen is reached from beyond this machine; undefined where it is not to be. */
function lanFor(folder: string, port: number, { host, cert, key }: Asked) {
  if (host === undefined || isLoopback(host)) {
    if (cert !== undefined || key !== undefined)
      throw new Stop('A certificate is for beyond this machine: --host 0.0.0.0 --cert FILE --key FILE');
    return undefined;
  }
  const reached = reachedAs(host);
  const secured =
    cert === undefined && key === undefined
      ? houseCertificate(folder, reached)
      : broughtCertificate(cert, key);
  const first = cert === undefined ? (reached.ips[0] ?? reached.names[0]) : reached.names[0];
  const at = (scheme: string, p: number): string => `${scheme}://${inAddress(first ?? 'localhost')}:${p}`;
  const hosts = [...reached.ips.map(inAddress), ...reached.names, 'localhost', '127.0.0.1'].map(
    (h) => `${h}:${port}`,
  );
  const address = at('https', port);
  const welcomeAt = secured.authority && at('http', port + 1);
  return {
    host,
    port,
    secured,
    address,
    welcomeAt,
    env: {
      HALFPOT_LAN: JSON.stringify({ address, welcomeAt, fingerprint: secured.authority?.fingerprint }),
      HALFPOT_LAN_HOSTS: hosts.join(','),
    },
  };
}

function sayHowToTrust({ welcomeAt, secured }: NonNullable<ReturnType<typeof lanFor>>): void {
  say(`To put it on a tablet, open there once: ${welcomeAt ?? ''}`);
  say(`The certificate it is given has the SHA-256 fingerprint ${secured.authority?.fingerprint ?? ''}`);
}

/** ms between two looks at whether a backup is due. */
const LOOK_MS = 10 * 60_000;

/** Backs the kitchen up every night, and at once where a night was missed. */
function everyNight(url: string, folder: string): NodeJS.Timeout {
  let busy = false;
  const look = async (): Promise<void> => {
    const last = backupsIn(folder).sort((a, b) => b.at.getTime() - a.at.getTime())[0]?.at;
    if (busy || !isDue(last, new Date())) return;
    busy = true;
    await backUp(url, folder, new Date())
      .then((made) => say(`Backed up to ${made.file}.`))
      // No kitchen yet, or a full disk: the screen says how old the last one is.
      .catch((error: unknown) => say(sentenceFor(error) ?? String(error)));
    busy = false;
  };
  void look();
  return setInterval(() => void look(), LOOK_MS);
}
