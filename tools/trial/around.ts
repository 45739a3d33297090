import fs from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import type { Instance } from '../instance';
import { placeOf } from '../place';
import { sleep } from '../processes';
import type { Row } from './writers';

/** The database stops answering, and goes on: how soon a page says so. */
export async function frozen(app: Instance, row: Row): Promise<void> {
  const pid = Number(fs.readFileSync(path.join(placeOf('bench').folder, 'mariadbd.pid'), 'utf8'));
  await sleep(2500);
  process.kill(pid, 'SIGSTOP');
  try {
    const began = performance.now();
    const page = await fetch(`${app.address}/buy`, { headers: { accept: 'text/html' }, redirect: 'manual' });
    row(
      'database frozen',
      `a page says so (${page.status}) after ${((performance.now() - began) / 1000).toFixed(1)} s`,
    );
    const asked = performance.now();
    await fetch(`${app.address}/health`);
    row('… the application says that it is alive', `after ${Math.round(performance.now() - asked)} ms`);
  } finally {
    process.kill(pid, 'SIGCONT');
  }
}

/** What a page carries with it, and what is answered to anyone who comes under another name. */
export async function around(app: Instance, row: Row): Promise<void> {
  const html = await fetch(`${app.address}/sign-in?out`, { headers: { accept: 'text/html' } }).then((r) =>
    r.text(),
  );
  const scripts = html.match(/<script\b[^>]*>/g) ?? [];
  const marked = scripts.filter((s) => s.includes('nonce='));
  row('scripts of the door that carry its nonce', `${marked.length} of ${scripts.length}`);
  const status = await new Promise<number | undefined>((done, fail) => {
    http
      .get(`${app.address}/buy`, { headers: { host: 'evil.example' } }, (answer) => {
        answer.resume();
        done(answer.statusCode);
      })
      .on('error', fail);
  });
  row('a page asked for under a name that is not ours', `answered ${status}`);
}

/** The application and the database killed outright while both are watched: how soon everything is ready again. */
export async function killed(app: Instance, row: Row): Promise<void> {
  void app.keep();
  const database = (): number =>
    Number(fs.readFileSync(path.join(placeOf('bench').folder, 'mariadbd.pid'), 'utf8'));
  const ready = async (): Promise<boolean> =>
    fetch(`${app.address}/ready`, { signal: AbortSignal.timeout(2000) }).then(
      (a) => a.ok,
      () => false,
    );
  for (const [what, pid] of [
    ['the application', app.pid],
    ['the database', database()],
  ] as const) {
    process.kill(pid, 'SIGKILL');
    const began = performance.now();
    await sleep(200);
    const page = await fetch(`${app.address}/buy`, {
      headers: { accept: 'text/html' },
      redirect: 'manual',
    }).then(
      (a) => `a page is answered ${a.status}`,
      () => 'nobody answers',
    );
    while (!(await ready())) await sleep(100);
    const s = ((performance.now() - began) / 1000).toFixed(1);
    row(`${what} killed outright`, `${page}; ready again by itself after ${s} s`);
  }
}
