import os from 'node:os';
import path from 'node:path';
import { ROOT } from '../place';
import { say } from '../stop';
import { whereFrom } from './demo';

/** `halfpot service [--port N] [--origin https://…]`: a systemd unit that keeps ./halfpot start running, on standard output. */
export function service(args: readonly string[]): number {
  // What start would refuse is refused here, not at the next boot.
  whereFrom(args);
  const quoted = [path.join(ROOT, 'halfpot'), 'start', ...args]
    .map((a) => (/\s/.test(a) ? `"${a}"` : a))
    .join(' ');
  process.stdout.write(`[Unit]
Description=Half Pot, the kitchen that is kept
After=network-online.target
Wants=network-online.target

[Service]
User=${os.userInfo().username}
WorkingDirectory=${ROOT}
Environment=HOME=${os.homedir()}
ExecStart=${quoted}
# It ends its own database and application before it goes.
KillMode=mixed
KillSignal=SIGTERM
TimeoutStopSec=60
Restart=on-failure
RestartSec=10

[Install]
WantedBy=multi-user.target
`);
  say('Write this to /etc/systemd/system/halfpot.service, then: systemctl enable --now halfpot');
  return 0;
}
