import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Stop } from './stop';

/** Root of the project. */
export const ROOT = path.resolve(import.meta.dirname, '..');

/** Everything one running instance keeps for itself: its database, its secrets, its pids. */
export interface Place {
  readonly name: 'kitchen' | 'demo' | 'test' | 'mutate' | 'pictures' | 'bench';
  readonly folder: string;
  readonly data: string;
  readonly socket: string;
  /** Whether its data may be lost with the machine: it lies in memory, and nothing waits for a disk. */
  readonly passing: boolean;
}

const LEAST_FREE = 600 * 1024 * 1024;
const MEMORY = '/dev/shm';
/** Bytes free in memory from which the database of the tests lies there. */
const LEAST_MEMORY = 2 * 1024 * 1024 * 1024;

const shortHash = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 12);

/** A folder in memory for the tests' database, whose every kitchen is made and dropped; undefined where there is no room. */
function inMemory(folder: string): string | undefined {
  const at = path.join(MEMORY, `halfpot-${shortHash(folder)}`);
  try {
    const { bavail, bsize } = fs.statfsSync(MEMORY);
    if (bavail * bsize < LEAST_MEMORY) return undefined;
    fs.mkdirSync(at, { recursive: true });
    return at;
  } catch {
    return undefined;
  }
}
/** A socket's whole path must stay under about 107 characters. */
const LONGEST_SOCKET = 100;

export function placeOf(name: Place['name']): Place {
  const folder = path.join(ROOT, '.halfpot', name);
  fs.mkdirSync(folder, { recursive: true });
  const { bavail, bsize } = fs.statfsSync(folder);
  if (bavail * bsize < LEAST_FREE)
    throw new Stop(
      `Only ${Math.round((bavail * bsize) / 1e6)} MB are free on the disk; Half Pot wants ${LEAST_FREE / 1024 / 1024} MB. Free some space and start again.`,
    );
  const near = path.join(folder, 'db.sock');
  const far = path.join(os.tmpdir(), `halfpot-${shortHash(folder)}.sock`);
  const passing = name === 'test' || name === 'mutate';
  const memory = passing ? inMemory(folder) : undefined;
  return {
    name,
    folder,
    data: path.join(memory ?? folder, 'data'),
    passing,
    socket: near.length <= LONGEST_SOCKET ? near : far,
  };
}

/** A secret that is made once and then kept, readable by its owner alone. */
export function keptSecret(place: Place, name: string, make: () => string): string {
  const file = path.join(place.folder, name);
  if (fs.existsSync(file)) {
    const kept = fs.readFileSync(file, 'utf8').trim();
    if (kept !== '') return kept;
  }
  const value = make();
  fs.writeFileSync(file, value, { mode: 0o600 });
  return value;
}
