import { spawnSync } from 'node:child_process';
import { say, Stop } from './stop';

const has = (command: string): boolean =>
  spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;

/** What we need from Debian: the command that shows it is there, its package, and what else would do. */
export const NEEDS = {
  database: {
    command: 'mariadbd',
    package: 'mariadb-server',
    instead: 'or name a MariaDB of your own in DATABASE_URL',
  },
  openssl: {
    command: 'openssl',
    package: 'openssl',
    instead: 'or bring a certificate of your own: --cert FILE --key FILE',
  },
  // Chromium without windows or a profile: a page of it costs a third of the processor that a page of the whole browser does.
  browser: {
    command: 'chromium-headless-shell',
    package: 'chromium-headless-shell',
    orElse: 'chromium',
    instead: 'it is needed for tests and pictures only',
  },
  wholeBrowser: {
    command: 'chromium',
    package: 'chromium',
    instead: 'it is needed for trials only',
  },
} as const satisfies Record<string, Need>;

interface Need {
  readonly command: string;
  readonly package: string;
  /** A command that does instead, where it is installed and the package cannot be. */
  readonly orElse?: string;
  readonly instead: string;
}

/** Installs a Debian package if its command is missing, or says who must do what. */
export function ensure({ command, package: name, orElse, instead }: Need): void {
  if (has(command)) return;
  const another = orElse !== undefined && has(orElse);
  if (another && (process.getuid?.() !== 0 || !has('apt-get'))) return;
  if (process.getuid?.() !== 0 || !has('apt-get'))
    throw new Stop(
      `${name} is not installed, and only root on Debian can have it installed. Run: sudo apt-get install ${name} (${instead}).`,
    );
  say(`Installing ${name} from Debian's packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = () =>
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', name], { env, encoding: 'utf8' });
  spawnSync('apt-get', ['update'], { env, stdio: 'ignore' });
  const done = install();
  if (done.status !== 0 || !has(command)) {
    if (another) return;
    const why = (done.stderr || done.stdout || '').trim().split('\n').slice(-3).join(' ');
    throw new Stop(
      `${name} could not be installed: ${why} Install it by hand with apt-get install ${name} (${instead}).`,
    );
  }
}
