import { isIP } from 'node:net';
import os from 'node:os';
import { Stop } from '../stop';

const EVERYWHERE = new Set(['0.0.0.0', '::']);

/** Whether a host is reached from this machine alone: then nothing has to be secured on the way. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127\./.test(host);

/** Addresses this machine has in its networks, those of version 4 first. */
function own(): string[] {
  const all = Object.values(os.networkInterfaces()).flatMap((list) => list ?? []);
  return all
    .filter((a) => !a.internal && !a.address.startsWith('fe80'))
    .sort((a, b) => a.family.localeCompare(b.family))
    .map((a) => a.address);
}

/**
 * What people on the kitchen's own network reach this machine by.
 * @param host the address that is listened on; 0.0.0.0 for all there are
 * @throws Stop where it is no address of this machine
 */
export function reachedAs(host: string): {
  readonly ips: readonly string[];
  readonly names: readonly string[];
} {
  const here = own();
  if (!EVERYWHERE.has(host) && (isIP(host) === 0 || !here.includes(host)))
    throw new Stop(
      `“${host}” is not an address of this machine: 0.0.0.0 for all it has, or one of ${here.join(', ') || 'none'}.`,
    );
  const name = os.hostname().toLowerCase();
  const ips = EVERYWHERE.has(host) ? here : [host];
  return { ips, names: name.includes('.') ? [name] : [name, `${name}.local`] };
}

/** A host as it is in an address. */
export const inAddress = (host: string): string => (isIP(host) === 6 ? `[${host}]` : host);
