import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';
import { ROOT, type Place } from './place';
import { end, endLeftover, isFree, sleep, start } from './processes';
import { say, Stop } from './stop';

const NEXT = path.join(ROOT, 'node_modules/next/dist/bin/next');
const STAMP = path.join(ROOT, '.next/halfpot-built');

/** One figure for everything a build is made of. */
function sourceFingerprint(): string {
  const hash = createHash('sha256');
  const visit = (file: string): void => {
    const stat = fs.statSync(file);
    if (stat.isDirectory()) for (const name of fs.readdirSync(file).sort()) visit(path.join(file, name));
    else if (!/\.test\.tsx?$|\/__tests__\//.test(file))
      hash.update(path.relative(ROOT, file)).update(fs.readFileSync(file));
  };
  for (const part of ['src', 'public', 'package-lock.json', 'next.config.ts', 'tsconfig.json'])
    if (fs.existsSync(path.join(ROOT, part))) visit(path.join(ROOT, part));
  return hash.digest('hex');
}

/** One figure for the files of a build, by name and size: one of which files are missing is built again. */
function builtFingerprint(): string {
  const hash = createHash('sha256');
  for (const part of ['BUILD_ID', 'halfpot-sw.js', 'server', 'static']) {
    const at = path.join(ROOT, '.next', part);
    if (!fs.existsSync(at)) continue;
    const found = fs.statSync(at).isDirectory()
      ? fs.readdirSync(at, { recursive: true, withFileTypes: true })
      : [];
    for (const file of found
      .filter((f) => f.isFile())
      .map((f) => path.join(f.parentPath, f.name))
      .sort())
      hash.update(`${path.relative(at, file)} ${fs.statSync(file).size}\n`);
    hash.update(`${part}\n`);
  }
  return hash.digest('hex');
}

/** Builds the application unless what is built is what is here, and all of it. */
export function build(): void {
  const want = sourceFingerprint();
  if (fs.existsSync(STAMP) && fs.readFileSync(STAMP, 'utf8') === `${want} ${builtFingerprint()}`) return;
  say('Building the application (under a minute, once) …');
  fs.rmSync(STAMP, { force: true });
  const done = spawnSync(process.execPath, [NEXT, 'build'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production' },
    maxBuffer: 1 << 26,
  });
  if (done.status !== 0)
    throw new Stop(`The application could not be built:\n${done.stdout}\n${done.stderr}`);
  bundleWorker();
  fs.writeFileSync(STAMP, `${want} ${builtFingerprint()}`);
}

/** The worker that keeps the stove's pages in a browser, as one file beside the build. */
function bundleWorker(): void {
  buildSync({
    absWorkingDir: ROOT,
    entryPoints: ['src/service-worker/index.ts'],
    outfile: '.next/halfpot-sw.js',
    bundle: true,
    minify: true,
    format: 'iife',
    platform: 'browser',
    target: 'es2022',
    logLevel: 'warning',
    define: { 'process.env.NODE_ENV': '"production"' },
  });
}

export interface Serving {
  readonly address: string;
  readonly pid: number;
  /** Settles when the application ends by itself. */
  readonly ended: Promise<number | null>;
  stop(): Promise<void>;
}

export async function mustBeFree(port: number): Promise<void> {
  if (!(await isFree(port)))
    throw new Stop(
      `Port ${port} is taken by another program. Stop that program, or choose another port: ./halfpot demo --port ${port + 1}`,
    );
}

interface Serve {
  readonly how?: 'start' | 'dev' | undefined;
  /** Under which name its pid and log are kept: several may run in one place. */
  readonly as?: string | undefined;
}

/** Names this machine itself reaches a port by. */
export const hostsAt = (port: number): string[] => [`127.0.0.1:${port}`, `localhost:${port}`];

/** Serves the built application on a loopback port and waits until it answers. */
export async function serve(
  place: Place,
  port: number,
  env: Readonly<Record<string, string>>,
  { how = 'start', as = 'app' }: Serve = {},
): Promise<Serving> {
  await endLeftover(place, as, 'next');
  await mustBeFree(port);
  const child = start(place, as, process.execPath, [NEXT, how, '-p', String(port), '-H', '127.0.0.1'], {
    ...process.env,
    HALFPOT_HOSTS: hostsAt(port).join(','),
    ...env,
    NODE_ENV: how === 'dev' ? 'development' : 'production',
  });
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  const address = `http://127.0.0.1:${port}`;
  for (let waited = 0; waited < 60_000; waited += 100) {
    if (child.exitCode !== null) break;
    const answer = await fetch(`${address}/ready`, { signal: AbortSignal.timeout(5000) }).catch(
      () => undefined,
    );
    if (answer?.ok) {
      // The first to ask has the figures worked out.
      void fetch(`${address}/health`).catch(() => undefined);
      return {
        address,
        pid: child.pid ?? 0,
        ended,
        async stop() {
          if (child.pid !== undefined) await end(child.pid);
          fs.rmSync(path.join(place.folder, `${as}.pid`), { force: true });
        },
      };
    }
    await sleep(100);
  }
  if (child.pid !== undefined) await end(child.pid);
  const log = fs
    .readFileSync(path.join(place.folder, `${as}.log`), 'utf8')
    .trim()
    .split('\n')
    .slice(-5)
    .join('\n');
  throw new Stop(`The application did not come up. It said:\n${log}`);
}
