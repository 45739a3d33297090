import 'server-only';
import { lookup } from 'node:dns/promises';
import ipaddr from 'ipaddr.js';
import { env } from './env';

/** Thrown instead of asking an address that this server is not to be sent to. */
export class NotReached extends Error {}

/**
 * Why an address is not asked, whatever name leads there; undefined where it may be. A scale or a supplier's computer stands in the
 * kitchen's own network or on the internet, or beside this server as another program: never where machines are told secrets about
 * themselves (link-local, with the clouds' metadata), and never at our own doors.
 */
export async function whyNot(address: string): Promise<string | undefined> {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (!url || !/^https?:$/.test(url.protocol)) return 'it is no http address';
  if (url.username !== '' || url.password !== '') return 'it carries a name or password';
  const host = url.hostname.replace(/^\[|\]$/g, '');
  const found = await lookup(host, { all: true }).catch(() => []);
  if (found.length === 0) return 'nobody knows where it is';
  const port = Number(url.port || (url.protocol === 'https:' ? 443 : 80));
  for (const { address: ip } of found) {
    const range = rangeOf(ip);
    if (range === 'loopback' || range === 'unspecified') {
      if (ownPorts().has(port)) return 'it is this server itself';
    } else if (!['unicast', 'private', 'uniqueLocal', 'carrierGradeNat'].includes(range))
      return 'it lies where no scale and no supplier is';
  }
  return undefined;
}

/** What kind of address it is; one that is written as IPv6 and is IPv4 is what that is. */
function rangeOf(ip: string): string {
  const parsed = ipaddr.process(ip);
  return parsed.range();
}

/** Ports of the application and of its database. */
function ownPorts(): ReadonlySet<number> {
  const { DATABASE_URL, HALFPOT_HOSTS = '' } = env();
  const hosts = HALFPOT_HOSTS.split(',').map((host) => Number(host.split(':').at(-1)));
  return new Set([Number(new URL(DATABASE_URL).port || 3306), ...hosts.filter((p) => p > 0)]);
}

/**
 * Asks another computer, if this server may be sent there. Redirects are refused: they lead where nobody has looked.
 * @throws NotReached
 */
export async function askOutside(address: URL | string, init: RequestInit): Promise<Response> {
  const why = await whyNot(String(address));
  if (why !== undefined) throw new NotReached(why);
  return fetch(address, { ...init, redirect: 'error', cache: 'no-store' });
}
