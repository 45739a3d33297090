import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import type { KitchenFile } from '@/core/kitchen-file';
import type { Instance } from '../instance';
import { person } from '../person';
import { ROOT, type Place } from '../place';
import { sleep } from '../processes';
import { standsOf, type Row } from './writers';

const SIZE_MB = 700;
const MB = 1024 * 1024;

/** Fills what is left but so many MB; a second filling goes beside the first. */
function fill(folder: string, name: string, leaveMb: number): void {
  const { bavail, bsize } = fs.statfsSync(folder);
  const file = fs.openSync(path.join(folder, name), 'w');
  const block = Buffer.alloc(MB);
  for (let left = (bavail * bsize) / MB - leaveMb; left >= 1; left -= 1) fs.writeSync(file, block);
  fs.closeSync(file);
}

/** A disk that fills up while people work on it: told before, read on, and taken up again. Where a small disk may be mounted. */
export async function fullDisk(
  file: KitchenFile,
  startIn: (place: Place) => Promise<Instance>,
  row: Row,
): Promise<void> {
  const folder = path.join(ROOT, '.halfpot/small-disk');
  fs.mkdirSync(folder, { recursive: true });
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE_MB}m`, 'none', folder]);
  if (mounted.status !== 0) {
    row('disk full', 'not tried: no small disk may be mounted here');
    return;
  }
  try {
    const place: Place = {
      name: 'bench',
      folder,
      data: path.join(folder, 'data'),
      socket: path.join(folder, 'db.sock'),
      passing: false,
    };
    const app = await startIn(place);
    try {
      await filled(file, folder, app, row);
    } finally {
      await app.stop();
    }
  } finally {
    spawnSync('umount', [folder]);
    fs.rmdirSync(folder);
  }
}

async function filled(file: KitchenFile, folder: string, app: Instance, row: Row): Promise<void> {
  const who = await person(app.address);
  const article = file.articles[0];
  if (!article) return;
  let { version } = await standsOf(app.databaseUrl, article.id);
  const write = async (typed: string): Promise<string> => {
    const answer = await who.ask('article.price', version, {
      row: article.ingredient,
      article: article.id,
      typed,
    });
    if (answer.ok) version += 1;
    return answer.ok ? 'kept' : (answer.code ?? '');
  };
  const reads = async (): Promise<string> =>
    who.get('/pot').then(
      () => 'pages are read',
      () => 'PAGES FAIL',
    );
  row('disk with room', `a write is ${await write('11.01')}`);
  fill(folder, 'fill', 120);
  await sleep(6000);
  row('… with 120 MB left', `a write is refused: ${await write('11.02')}; ${await reads()}`);
  fill(folder, 'fill-more', 0);
  await sleep(6000);
  row('… with nothing left', `a write is refused: ${await write('11.03')}; ${await reads()}`);
  for (const name of ['fill', 'fill-more']) fs.rmSync(path.join(folder, name));
  const began = performance.now();
  while ((await write('11.04')) !== 'kept' && performance.now() - began < 60_000) await sleep(250);
  const s = ((performance.now() - began) / 1000).toFixed(1);
  const { prices } = await standsOf(app.databaseUrl, article.id);
  row(
    '… with room again',
    `written after ${s} s; ${prices.has('11.01') && prices.has('11.04') ? 'nothing lost' : 'LOST'}`,
  );
}
