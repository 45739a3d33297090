import { parentPort, workerData } from 'node:worker_threads';
import { readTable } from './table';

/** Rows that go over at once: copying them takes a moment, on the side that has others to answer. */
const AT_ONCE = 1000;

// The clock of reading starts here: how long a thread takes to start says nothing about the file.
parentPort?.postMessage({ began: true });
// A thread of its own for each file: whatever it takes, it takes here.
const read = await readTable(Buffer.from(workerData as Uint8Array));
if (!read.ok) parentPort?.postMessage({ trouble: read.trouble });
else {
  const { rows, ...head } = read.value;
  for (let i = 0; i < rows.length; i += AT_ONCE)
    parentPort?.postMessage({ rows: rows.slice(i, i + AT_ONCE) });
  parentPort?.postMessage({ head });
}
