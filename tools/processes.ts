import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import getPort, { clearLockedPorts, portNumbers } from 'get-port';
import { ROOT, type Place } from './place';
import { Stop } from './stop';

export { sleep };

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

/** Bytes from which a log is turned over at the next start, and how many turned ones are kept. */
const LOG_FULL = 5 * 1024 * 1024;
const LOGS_KEPT = 3;

/** A log goes on where it was; a full one is put aside under a number, and the oldest of those goes. */
export function rotateLog(file: string, full = LOG_FULL): void {
  if (!fs.existsSync(file) || fs.statSync(file).size < full) return;
  for (let i = LOGS_KEPT; i > 0; i -= 1) {
    const older = i === 1 ? file : `${file}.${i - 1}`;
    if (fs.existsSync(older)) fs.renameSync(older, `${file}.${i}`);
  }
}

const LOOK_AT_LOGS_MS = 60_000;

/** The same for a log that a running process writes at its end: what stands in it is copied, and it begins again. */
export function rotateOpenLog(file: string, full = LOG_FULL): void {
  if (!fs.existsSync(file) || fs.statSync(file).size < full) return;
  const copy = `${file}.open`;
  fs.copyFileSync(file, copy);
  fs.truncateSync(file);
  for (let i = LOGS_KEPT; i > 1; i -= 1)
    if (fs.existsSync(`${file}.${i - 1}`)) fs.renameSync(`${file}.${i - 1}`, `${file}.${i}`);
  fs.renameSync(copy, `${file}.1`);
}

/** Processes that this command has started or taken over, by pid, the oldest first. */
const ours = new Set<number>();
let stopping = false;

/** Counts a process that an earlier run left behind among those this command ends. */
export const takeOver = (pid: number): void => void ours.add(pid);

/**
 * From here on Ctrl-C ends what this command has started, the newest first, and then the command: also before it has a way of
 * stopping of its own.
 *
 * @returns hands the signals over to a command that has a way of its own
 */
export function endChildrenOnSignal(): () => void {
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    void (async () => {
      for (const pid of [...ours].reverse()) await end(pid, 30_000).catch(() => undefined);
      process.exit(130);
    })();
  };
  const signals = ['SIGINT', 'SIGTERM', 'SIGHUP'] as const;
  for (const signal of signals) process.on(signal, stop);
  return () => {
    for (const signal of signals) process.off(signal, stop);
  };
}

/** Starts a process in a group of its own, so that Ctrl-C reaches us first and we stop it in order. */
export function start(
  place: Place,
  name: string,
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv,
): ChildProcess {
  if (stopping) throw new Stop('Stopped.');
  const file = path.join(place.folder, `${name}.log`);
  rotateLog(file);
  const log = fs.openSync(file, 'a', 0o600);
  fs.fchmodSync(log, 0o600);
  fs.writeSync(log, `${JSON.stringify({ time: Date.now(), msg: `${name} started` })}\n`);
  const child = spawn(command, args, { cwd: ROOT, env, detached: true, stdio: ['ignore', log, log] });
  fs.closeSync(log);
  const { pid } = child;
  if (pid !== undefined) {
    ours.add(pid);
    fs.writeFileSync(path.join(place.folder, `${name}.pid`), String(pid));
  }
  const watch = setInterval(() => rotateOpenLog(file), LOOK_AT_LOGS_MS).unref();
  child.once('exit', () => {
    clearInterval(watch);
    if (pid !== undefined) ours.delete(pid);
  });
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

/** What every run of our command is started with (`halfpot`). */
const OURS = '.halfpot/cli/main.mjs';

/** Whether a command of ours runs in a place. */
export function isRunning(place: Place): boolean {
  const file = path.join(place.folder, 'run.pid');
  if (!fs.existsSync(file)) return false;
  const pid = Number(fs.readFileSync(file, 'utf8').split(' ')[0]);
  return pid !== process.pid && isAlive(pid) && commandOf(pid).includes(OURS);
}

/** One run at a time for each place. */
export function takePlace(place: Place, what: string): void {
  const file = path.join(place.folder, 'run.pid');
  if (fs.existsSync(file)) {
    const pid = Number(fs.readFileSync(file, 'utf8').split(' ')[0]);
    if (pid !== process.pid && isAlive(pid) && commandOf(pid).includes(OURS))
      throw new Stop(
        `Half Pot (${what}) is already running here as process ${pid}. Stop it with Ctrl-C where it runs, then start again.`,
      );
  }
  fs.writeFileSync(file, `${process.pid} ${what}`);
  process.once('exit', () => fs.rmSync(file, { force: true }));
}

const LOOPBACK = '127.0.0.1';

/** Whether a loopback port can be listened on. */
export async function isFree(port: number): Promise<boolean> {
  // get-port holds back for a while what it has handed out: anyone who was given a port may ask about it, and a question takes nothing.
  clearLockedPorts();
  const got = await getPort({ port, host: LOOPBACK });
  clearLockedPorts();
  return got === port;
}

/**
 * A port for a server that listens a little later. Taken below those that the system hands to outgoing connections (from 32768): one of
 * these may be gone again by then. Two runs at once begin to look in different places.
 */
export const freePort = (): Promise<number> =>
  getPort({ host: LOOPBACK, port: portNumbers(20_000 + ((process.pid * 61) % 10_000), 32_000) });
