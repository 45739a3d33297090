// Loaded into the application by `halfpot bench kitchen`: on SIGUSR2 it writes down how late the event loop ran since the last
// time it was asked, and begins again.
import fs from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';

const file = process.env.HALFPOT_LOOP_DELAY;
const delay = monitorEventLoopDelay({ resolution: 1 });
delay.enable();
process.on('SIGUSR2', () => {
  fs.writeFileSync(file, JSON.stringify({ p99: delay.percentile(99) / 1e6, max: delay.max / 1e6 }));
  delay.reset();
});
