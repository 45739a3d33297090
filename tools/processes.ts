import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { ROOT, type Place } from './place';
import { Stop } from './stop';

export const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return !/^State:\s+Z/m.test(fs.readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** What a process was started with; empty for one that has gone. */
const commandOf = (pid: number): string => {
  try {
    return fs.readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
};

/** Ends a process and waits until it has gone; harder after a while. */
export async function end(pid: number, patience = 15_000): Promise<void> {
  if (!isAlive(pid)) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; waited < patience; waited += 50) {
    if (!isAlive(pid)) return;
    await sleep(50);
  }
  if (isAlive(pid)) process.kill(pid, 'SIGKILL');
}

/** Starts a process in a group of its own, so that Ctrl-C reaches us first and we stop it in order. */
export function start(
  place: Place,
  name: string,
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv,
): ChildProcess {
  const log = fs.openSync(path.join(place.folder, `${name}.log`), 'w');
  const child = spawn(command, args, { cwd: ROOT, env, detached: true, stdio: ['ignore', log, log] });
  fs.closeSync(log);
  if (child.pid !== undefined) fs.writeFileSync(path.join(place.folder, `${name}.pid`), String(child.pid));
  return child;
}

/** Ends what an earlier run that was killed outright has left running: only if it is really ours. */
export async function endLeftover(place: Place, name: string, sign: string): Promise<void> {
  const file = path.join(place.folder, `${name}.pid`);
  if (!fs.existsSync(file)) return;
  const pid = Number(fs.readFileSync(file, 'utf8').trim());
  if (Number.isInteger(pid) && pid > 1 && isAlive(pid) && commandOf(pid).includes(sign)) await end(pid);
  fs.rmSync(file, { force: true });
}

/** One run at a time for each place. */
export function takePlace(place: Place, what: string): void {
  const file = path.join(place.folder, 'run.pid');
  if (fs.existsSync(file)) {
    const pid = Number(fs.readFileSync(file, 'utf8').split(' ')[0]);
    if (pid !== process.pid && isAlive(pid) && commandOf(pid).includes('tools/main.ts'))
      throw new Stop(
        `Half Pot (${what}) is already running here as process ${pid}. Stop it with Ctrl-C where it runs, then start again.`,
      );
  }
  fs.writeFileSync(file, `${process.pid} ${what}`);
  process.once('exit', () => fs.rmSync(file, { force: true }));
}

/** Whether a loopback port can be listened on. */
export const isFree = (port: number): Promise<boolean> =>
  new Promise((answer) => {
    const probe = net.createServer();
    probe.once('error', () => answer(false));
    probe.listen({ port, host: '127.0.0.1', exclusive: true }, () => probe.close(() => answer(true)));
  });

export const freePort = (): Promise<number> =>
  new Promise((answer, fail) => {
    const probe = net.createServer();
    probe.once('error', fail);
    probe.listen({ port: 0, host: '127.0.0.1' }, () => {
      const address = probe.address();
      probe.close(() =>
        address && typeof address === 'object' ? answer(address.port) : fail(new Error('no port')),
      );
    });
  });
