import fs from 'node:fs';
import path from 'node:path';
import { Stop } from './stop';

/** The text of a file somebody names, from the folder they stand in; told in a sentence where it is none. */
export function textOf(file: string): string {
  const at = path.resolve(process.env.HALFPOT_FROM ?? '.', file);
  if (!fs.existsSync(at)) throw new Stop(`There is no file ${file}.`);
  if (fs.statSync(at).isDirectory()) throw new Stop(`${file} is a folder: name the file in it.`);
  return decoded(fs.readFileSync(at), file);
}

/** UTF-8, or a sentence that names what it is instead. */
export function decoded(bytes: Uint8Array, file: string): string {
  const [a, b] = bytes;
  if ((a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff))
    throw new Stop(`${file} is written in UTF-16: save it as UTF-8.`);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Stop(`${file} is not written in UTF-8 (Latin-1, perhaps): save it as UTF-8.`);
  }
}
