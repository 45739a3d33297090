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
  browser: { command: 'chromium', package: 'chromium', instead: 'it is needed for tests and pictures only' },
} as const;

/** Installs a Debian package if its command is missing, or says who must do what. */
export function ensure({ command, package: name, instead }: (typeof NEEDS)[keyof typeof NEEDS]): void {
  if (has(command)) return;
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
    const why = (done.stderr || done.stdout || '').trim().split('\n').slice(-3).join(' ');
    throw new Stop(
      `${name} could not be installed: ${why} Install it by hand with apt-get install ${name} (${instead}).`,
    );
  }
}
