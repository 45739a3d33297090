import { init, type ModuleInfos } from 'license-checker-rseidelsohn';
import { keepPage } from '../generated';
import { ROOT } from '../place';
import { say } from '../stop';

/** Licences under which parts may be shipped with Half Pot; another one has to be looked at by a person first. */
const LISTED = new Set([
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC-BY-4.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  'MIT-0',
  'OFL-1.1',
  'Python-2.0',
  'Unlicense',
  'Zlib',
]);
/** Parts that name no licence where a program can read it, and what a person has found. */
const READ_BY_HAND: Readonly<Record<string, string>> = { buffers: 'none stated' };
/** Licences that somebody has looked at: what they are, and why they may come along all the same. */
const LOOKED_AT: Readonly<Record<string, string>> = {
  'none stated':
    'a small part below the reader of Excel files, whose package names no licence; it goes when that reader is exchanged',
  'LGPL-3.0-or-later':
    'libvips, a library of its own beside the image tool of Next; not linked into Half Pot, and not used by it',
};

interface Part {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
}

/** What is shipped: the packages the application needs to run, each with its licence. */
async function shipped(): Promise<Part[]> {
  const found = await new Promise<ModuleInfos>((done, failed) =>
    init({ start: ROOT, production: true, excludePrivatePackages: true }, (error, modules) =>
      error ? failed(error) : done(modules),
    ),
  );
  return Object.entries(found)
    .map(([id, { licenses }]) => {
      const at = id.lastIndexOf('@');
      return {
        name: id.slice(0, at),
        version: id.slice(at + 1),
        licence:
          READ_BY_HAND[id.slice(0, at)] ?? [licenses ?? 'unknown'].flat().join(' AND ').replace(/[()*]/g, ''),
      };
    })
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
}

/** Whether one of the licences a part offers, or all that it asks for together, are listed or looked at. */
const isListed = (licence: string): boolean =>
  licence
    .split(' OR ')
    .some((one) => one.split(' AND ').every((name) => LISTED.has(name) || name in LOOKED_AT));

const page = (parts: readonly Part[]): string =>
  [
    '# Notices',
    '',
    'Half Pot is made with these parts, each under its own licence; the texts come with the packages in `node_modules/`.',
    'Written by `./halfpot notices`; a part whose licence is not listed there fails the tests.',
    '',
    ...Object.entries(LOOKED_AT).map(([licence, why]) => `- ${licence}: ${why}.`),
    '',
    '| part | version | licence |',
    '|---|---|---|',
    ...parts.map((p) => `| ${p.name} | ${p.version} | ${p.licence} |`),
    '',
    'MariaDB (GPL-2.0) and Chromium (for the tests) are programs of their own, installed from Debian and spoken to over a socket.',
    '',
  ].join('\n');

/** `halfpot notices [--check]`: writes docs/notices.md from what is installed; refuses a licence nobody has looked at. */
export async function notices(args: readonly string[]): Promise<number> {
  // Which binaries npm installs differs from machine to machine; what they are parts of is named all the same.
  const parts = (await shipped()).filter((p) => !/-(linux|darwin|win32|android|freebsd)/.test(p.name));
  const strange = parts.filter((p) => !isListed(p.licence));
  for (const p of strange) say(`${p.name} ${p.version} is under ${p.licence}, which is not listed.`);
  if (strange.length > 0) return 1;
  keepPage('notices.md', page(parts), args, 'notices');
  return 0;
}
