import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from '../place';

const binary = (command: string): string => {
  const bin = path.join(ROOT, 'node_modules/.bin', command);
  return fs.existsSync(bin) ? bin : command;
};

/** What is running for this test run, so that an interrupted run can end it. */
const running = new Set<ChildProcess>();

let ended = false;

/** Ends whatever is running; nothing is begun any more. */
export function endChildren(): void {
  ended = true;
  for (const child of running) child.kill('SIGKILL');
}

/** Whether the run was cut off: what a child says after that is no result. */
export const wasCut = (): boolean => ended;

export interface Ended {
  readonly ok: boolean;
  readonly output: string;
}

/**
 * Runs a command to its end while this process goes on.
 *
 * @param seen is given the child, for anyone who may have to end it
 */
export function runCommand(
  command: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv = process.env,
  seen?: (child: ChildProcess) => void,
): Promise<Ended> {
  if (ended) return Promise.resolve({ ok: false, output: 'the run was cut off' });
  return new Promise((done) => {
    const child = spawn(binary(command), args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
    running.add(child);
    seen?.(child);
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text: string) => (output += text));
    child.once('error', (error) => done({ ok: false, output: `${output}${String(error)}` }));
    child.once('close', (code) => {
      running.delete(child);
      done({ ok: code === 0, output });
    });
  });
}
