import 'server-only';
import path from 'node:path';
import { fine, refuse, type Outcome, type Trouble } from '@/core/trouble';
import { log } from '@/server/log';
import type { ListTable } from './table';
import * as texts from './texts';

export { MOST_BYTES } from './table';
export type { ListTable } from './table';

/** ms that a file may take to be read: what takes longer is refused, and the person waiting is told. */
const LONGEST_MS = 4500;
/** ms that the thread may take to start, which says nothing about the file: a busy machine is slow. */
const LONGEST_START_MS = 30_000;
/** MB of the thread's own memory, and of what it holds beside that. */
const MOST_MB = 384;
const MOST_BESIDE_MB = 700;

// Asked for so, the bundler of the application leaves the thread alone: it would begin it from a copy that is told nothing.
const { Worker } = process.getBuiltinModule('node:worker_threads');

/** Bundled with our commands (`tools/bundle.mjs`), since a thread begins from a file. */
const THREAD = path.join(process.cwd(), '.halfpot', 'cli', 'read-table.worker.mjs');

type Said =
  | { readonly began: true }
  | { readonly rows: readonly (readonly string[])[] }
  | { readonly head: Omit<ListTable, 'rows'> }
  | { readonly trouble: Trouble };

/**
 * Reads a price list in a thread of its own, with a limit on time and memory: a file made to do harm is refused like any other, and
 * nobody waits for it meanwhile.
 * @returns trouble of `readTable` (table.ts), or `takes-too-long`, `takes-too-much`
 */
export function readTable(bytes: Buffer): Promise<Outcome<ListTable>> {
  const thread = new Worker(THREAD, {
    workerData: bytes,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: 64, stackSizeMb: 4 },
    stdout: true,
    stderr: true,
  });
  const heldBefore = process.memoryUsage().rss;
  return new Promise((done) => {
    const rows: (readonly string[])[] = [];
    const end = (outcome: Outcome<ListTable>): void => {
      clearTimeout(late);
      clearInterval(watch);
      done(outcome);
      void thread.terminate();
    };
    let late = setTimeout(() => end(TOO_LONG), LONGEST_START_MS);
    const watch = setInterval(() => {
      if (process.memoryUsage().rss - heldBefore > (MOST_MB + MOST_BESIDE_MB) * 1024 * 1024) end(TOO_MUCH);
    }, 100);
    thread.on('message', (said: Said) => {
      if ('began' in said) {
        clearTimeout(late);
        late = setTimeout(() => end(TOO_LONG), LONGEST_MS);
      } else if ('rows' in said) rows.push(...said.rows);
      else end('head' in said ? fine({ ...said.head, rows }) : { ok: false, trouble: said.trouble });
    });
    thread.on('error', (error: Error & { code?: string }) => {
      if (error.code !== 'ERR_WORKER_OUT_OF_MEMORY') log.error({ err: error }, 'a list could not be read');
      end(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? TOO_MUCH : NOT_A_LIST);
    });
    // One that ends without having said anything has said enough.
    thread.on('exit', () => end(NOT_A_LIST));
  });
}

const TOO_LONG = refuse('takes-too-long', '', texts.readingFileTakesLonger(LONGEST_MS / 1000), {
  limit: LONGEST_MS,
});
const TOO_MUCH = refuse('takes-too-much', '', texts.unpackedFileLargerThan);
const NOT_A_LIST = refuse('not-a-list', '', texts.fileCannotReadListSaveAgain);
