import fs from 'node:fs';
import path from 'node:path';
import type { KitchenFile } from '@/core/kitchen-file';
import type { Instance } from '../instance';
import { person } from '../person';
import { placeOf } from '../place';
import { sleep } from '../processes';
import { say } from '../stop';
import { at, fresh, standsOf, writer, type Row, type WriterState } from './writers';

/** Kills the application or the database in the midst of writing, starts everything again, and looks for what was promised. */
export async function deaths(
  rounds: number,
  file: KitchenFile,
  start: () => Promise<Instance>,
  row: Row,
): Promise<void> {
  const seen = { acknowledged: 0, lost: 0, torn: 0 };
  const back: number[] = [];
  const place = placeOf('bench');
  const articles = file.articles.slice(40, 44);
  for (let round = 0; round < rounds; round += 1) {
    const app = await start();
    const states: WriterState[] = [];
    for (const a of articles)
      states.push(fresh((await standsOf(app.databaseUrl, a.id)).version, 10_000 + round * 1000));
    const all = articles.map((a, i) => writer(app.address, a, states[i] as WriterState));
    await sleep(2500 + ((round * 137) % 1500));
    const victim =
      round % 2 === 0 ? app.pid : Number(fs.readFileSync(path.join(place.folder, 'mariadbd.pid'), 'utf8'));
    process.kill(victim, 'SIGKILL');
    for (const s of states) s.stop = true;
    await Promise.all(all);
    await app.stop();
    const began = performance.now();
    const again = await start();
    back.push((performance.now() - began) / 1000);
    for (const [i, a] of articles.entries()) {
      const { prices } = await standsOf(again.databaseUrl, a.id);
      const { kept } = states[i] as WriterState;
      seen.acknowledged += kept.length;
      seen.lost += kept.filter((typed) => !prices.has(typed)).length;
    }
    const whole = await person(again.address).then((p) => p.get('/buy'));
    if (whole < 10_000) seen.torn += 1;
    await again.stop();
    if (round % 10 === 9) say(`${round + 1} rounds …`);
  }
  back.sort((a, b) => a - b);
  row(
    `kill −9 in the midst of writing, ${rounds} rounds`,
    `${seen.acknowledged} writes acknowledged, ${seen.lost} lost, ${seen.torn} kitchens torn; back after ${at(back, 0.5).toFixed(1)} s, ${at(back, 1).toFixed(1)} s at the longest`,
  );
}
