import fs from 'node:fs';

/** Clock ticks in a second, as the kernel counts CPU time for `/proc`: fixed at 100 on Linux. */
const TICKS_PER_SECOND = 100;

interface ProcessTimes {
  readonly parent: number;
  /** s of user and system time of its own, and of children that have ended and were waited for. */
  readonly seconds: number;
}

/** Reads the `/proc/PID/stat` line of one process. The command stands in brackets and may hold spaces. */
export function timesFrom(stat: string): ProcessTimes {
  const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  // Counted from field 3 (state): 4 is the parent, 14 to 17 are utime, stime, cutime and cstime (proc(5)).
  const ticks = [11, 12, 13, 14].reduce((sum, at) => sum + Number(fields[at]), 0);
  return { parent: Number(fields[1]), seconds: ticks / TICKS_PER_SECOND };
}

function allProcesses(): Map<number, ProcessTimes> {
  const found = new Map<number, ProcessTimes>();
  for (const name of fs.readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    try {
      found.set(Number(name), timesFrom(fs.readFileSync(`/proc/${name}/stat`, 'utf8')));
    } catch {
      // It has ended between the listing and the reading.
    }
  }
  return found;
}

/**
 * CPU seconds used by processes and everything they have started, ended children included.
 * A process whose parent ended before it is not found any more: it counts for nobody.
 */
export function cpuSeconds(roots: readonly number[] = [process.pid]): number {
  const all = allProcesses();
  const children = new Map<number, number[]>();
  for (const [pid, { parent }] of all) children.set(parent, [...(children.get(parent) ?? []), pid]);
  const sum = (pid: number): number =>
    (all.get(pid)?.seconds ?? 0) + (children.get(pid) ?? []).reduce((s, child) => s + sum(child), 0);
  return roots.reduce((total, pid) => total + sum(pid), 0);
}
