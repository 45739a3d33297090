import fs from 'node:fs';
import path from 'node:path';
import { createGunzip } from 'node:zlib';
import { Stop } from '../stop';

/** What a backup may come to once unpacked, bytes: in all, and in one line (a price list as it came is one value). */
const UNPACKED_MOST = 1_000_000_000;
const LINE_MOST = 64_000_000;
const NEWLINE = 10;

/** What is wrong with a file that ends too early. */
export const cutShort = (name: string): Stop =>
  new Stop(`${name} is cut short or damaged: nothing was restored. Take another one.`);

/**
 * The lines of a packed file, one after the other.
 * @throws Stop where it is not packed, is cut short, or unpacks to more than a backup may
 */
export async function* unpackedLines(
  file: string,
  { all = UNPACKED_MOST, line = LINE_MOST } = {},
): AsyncGenerator<string> {
  const name = path.basename(file);
  if (!fs.existsSync(file)) throw new Stop(`There is no file ${name}.`);
  const unzipped = createGunzip();
  const packed = fs.createReadStream(file).on('error', (error) => unzipped.destroy(error));
  packed.pipe(unzipped);
  let [pending, pendingBytes, bytes] = [[] as Buffer[], 0, 0];
  const tooMuch = (most: number, what: string): Stop =>
    new Stop(`${name} ${what} more than ${most / 1e6} MB once unpacked: no backup is that large.`);
  try {
    for await (const chunk of unzipped as AsyncIterable<Buffer>) {
      bytes += chunk.length;
      if (bytes > all) throw tooMuch(all, 'is');
      let from = 0;
      for (let end = chunk.indexOf(NEWLINE); end >= 0; end = chunk.indexOf(NEWLINE, from)) {
        yield Buffer.concat([...pending, chunk.subarray(from, end)]).toString('utf8');
        [pending, pendingBytes, from] = [[], 0, end + 1];
      }
      pending.push(chunk.subarray(from));
      pendingBytes += chunk.length - from;
      if (pendingBytes > line) throw tooMuch(line, 'has a line of');
    }
  } catch (error) {
    if (error instanceof Stop) throw error;
    throw bytes === 0 ? new Stop(`${name} is not a backup of Half Pot, or damaged.`) : cutShort(name);
  } finally {
    packed.destroy();
    unzipped.destroy();
  }
  if (pendingBytes > 0) yield Buffer.concat(pending).toString('utf8');
}
