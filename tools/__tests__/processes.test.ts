import { once } from 'node:events';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { spawn } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';
import { buildSync } from 'esbuild';
import type { Place } from '../place';
import { end, freePort, isAlive, isFree, takePlace, rotateLog, rotateOpenLog } from '../processes';

test('a log goes on where it was until it is full; then it is put aside, and the oldest of those goes', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-log-'));
  const log = path.join(folder, 'app.log');
  const write = (text: string): void => fs.appendFileSync(log, text);
  const all = (): Record<string, string> =>
    Object.fromEntries(
      fs
        .readdirSync(folder)
        .sort()
        .map((name) => [name, fs.readFileSync(path.join(folder, name), 'utf8')]),
    );
  rotateLog(log, 10);
  write('one');
  rotateLog(log, 10);
  write(' and on');
  expect(all()).toEqual({ 'app.log': 'one and on' });
  for (const text of ['second run', 'third run.', 'fourth run', 'fifth run.']) {
    rotateLog(log, 10);
    write(text);
  }
  expect(all()).toEqual({
    'app.log': 'fifth run.',
    'app.log.1': 'fourth run',
    'app.log.2': 'third run.',
    'app.log.3': 'second run',
  });
  fs.rmSync(folder, { recursive: true });
});

test('a full log of a process that goes on writing is put aside, and nothing goes on into what was put aside', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-log-'));
  const log = path.join(folder, 'app.log');
  const writer = fs.openSync(log, 'a');
  for (const text of ['first page', 'another one', 'short', 'and on it goes', 'last']) {
    fs.writeSync(writer, text);
    rotateOpenLog(log, 10);
  }
  fs.closeSync(writer);
  const read = (name: string): string => fs.readFileSync(path.join(folder, name), 'utf8');
  expect(fs.readdirSync(folder).sort()).toEqual(['app.log', 'app.log.1', 'app.log.2', 'app.log.3']);
  expect(['app.log', 'app.log.1', 'app.log.2', 'app.log.3'].map(read)).toEqual([
    'last',
    'shortand on it goes',
    'another one',
    'first page',
  ]);
  fs.rmSync(folder, { recursive: true });
});

test('Ctrl-C before a command has a way of stopping ends what it has started, and then the command', async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-stop-'));
  const script = `
    import { endChildrenOnSignal, start } from '${path.resolve('tools/processes.ts')}';
    endChildrenOnSignal();
    start({ folder: '${folder}' } as never, 'child', process.execPath, ['-e', 'setInterval(() => {}, 1000)'], process.env);
    setInterval(() => {}, 1000);`;
  const bundle = path.join(folder, 'run.mjs');
  buildSync({
    stdin: { contents: script, loader: 'ts', resolveDir: process.cwd() },
    outfile: bundle,
    bundle: true,
    platform: 'node',
    format: 'esm',
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
    logLevel: 'error',
  });
  const command = spawn(process.execPath, [bundle], { stdio: 'ignore' });
  const pidFile = path.join(folder, 'child.pid');
  while (!fs.existsSync(pidFile) || fs.readFileSync(pidFile, 'utf8') === '') await pause(50);
  const child = Number(fs.readFileSync(pidFile, 'utf8'));
  command.kill('SIGINT');
  expect(await once(command, 'exit')).toEqual([130, null]);
  expect(isAlive(child)).toBe(false);
  fs.rmSync(folder, { recursive: true });
});

test('a port that was handed out is still free, and not one the system gives to outgoing connections', async () => {
  const port = await freePort();
  expect(port).toBeLessThan(32_768);
  expect(await isFree(port)).toBe(true);
  const server = net.createServer().listen(port, '127.0.0.1');
  await once(server, 'listening');
  expect(await isFree(port)).toBe(false);
  server.close();
});

test('a place that another run has taken is refused with its process; one whose run has gone, or was never ours, is taken', async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-place-'));
  const place: Place = { name: 'test', folder, data: path.join(folder, 'data'), socket: '', passing: true };
  const running = (...args: string[]) =>
    spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60_000)', '--', ...args], { stdio: 'ignore' });
  // As `halfpot` starts its commands.
  const launcher = fs.readFileSync('halfpot', 'utf8');
  const started = /exec node .*?(\S+main\.mjs)/.exec(launcher)?.[1] ?? '';
  const [ours, theirs] = [running(started, 'demo'), running('something else')];
  const taken = (pid: number | undefined): void =>
    fs.writeFileSync(path.join(folder, 'run.pid'), `${pid} demo`);
  try {
    await Promise.all([once(ours, 'spawn'), once(theirs, 'spawn')]);
    taken(ours.pid);
    await new Promise((done) => setTimeout(done, 200));
    expect(() => takePlace(place, 'demo')).toThrow(`already running here as process ${ours.pid}`);
    taken(theirs.pid);
    expect(() => takePlace(place, 'demo')).not.toThrow();
    taken(ours.pid);
    await end(ours.pid ?? 0);
    expect(() => takePlace(place, 'demo')).not.toThrow();
  } finally {
    ours.kill('SIGKILL');
    theirs.kill('SIGKILL');
    fs.rmSync(folder, { recursive: true });
  }
});
