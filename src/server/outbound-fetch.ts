import 'server-only';
import { lookup } from 'node:dns/promises';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';
import { Agent, fetch, type RequestInit, type Response } from 'undici';
import { env } from './env';
import * as texts from './texts';

/** Thrown instead of asking an address that this server is not to be sent to. */
export class OutboundRefused extends Error {}

interface Found {
  readonly address: string;
  readonly family: number;
}

/**
 * Where an address leads, or why it is not asked, whatever name leads there. A scale or a supplier's computer stands in the
 * kitchen's own network or on the internet, or beside this server as another program: never where machines are told secrets about
 * themselves (link-local, with the clouds' metadata), and never at our own doors.
 */
async function whereTo(address: string): Promise<readonly Found[] | string> {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (!url || !/^https?:$/.test(url.protocol)) return texts.notHttpAddress;
  if (url.username !== '' || url.password !== '') return texts.carriesNameOrPassword;
  const host = url.hostname.replace(/^\[|\]$/g, '');
  const found = await lookup(host, { all: true }).catch(() => []);
  if (found.length === 0) return texts.nameCannotFound;
  const port = Number(url.port || (url.protocol === 'https:' ? 443 : 80));
  for (const { address: ip } of found) {
    const range = rangeOf(ip);
    if (range === 'loopback' || range === 'unspecified') {
      if (ownPorts().has(port)) return texts.serverItself;
    } else if (!['unicast', 'private', 'uniqueLocal', 'carrierGradeNat'].includes(range))
      return texts.notAllowedNetwork;
  }
  return found;
}

/** Why an address is not asked; undefined where it may be. */
export async function outboundRefusal(address: string): Promise<string | undefined> {
  const found = await whereTo(address);
  return typeof found === 'string' ? found : undefined;
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

/** Answers every question where a name leads with what was found and looked at: a name that leads elsewhere a moment later leads nowhere. */
export const pinnedLookup =
  (found: readonly Found[]): LookupFunction =>
  (_name, options, done) => {
    if (options.all) done(null, [...found]);
    else done(null, found[0]?.address ?? '', found[0]?.family);
  };

/**
 * Asks another computer, if this server may be sent there. Redirects are refused: they lead where nobody has looked.
 * @throws NotReached
 */
export async function outboundFetch(address: URL | string, init: RequestInit): Promise<Response> {
  const found = await whereTo(String(address));
  if (typeof found === 'string') throw new OutboundRefused(found);
  const dispatcher = new Agent({ connect: { lookup: pinnedLookup(found) } });
  const answer = await fetch(address, { ...init, redirect: 'error', dispatcher });
  // Ends once the answer has been read, or let go.
  void dispatcher.close();
  return answer;
}
