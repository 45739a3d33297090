import { parentPort, workerData } from 'node:worker_threads';
import { TOLD, Trials, type Setup } from '../core/uncertainty';

/** Trials in a thread of the command line: the same that a browser draws in its workers. */
const setup = workerData as Setup;
const trials = new Trials(setup);
const width = setup.ways.length * TOLD.length;

parentPort?.on('message', ({ from, many }: { readonly from: number; readonly many: number }) => {
  const told = new Float64Array(many * width);
  for (let i = 0; i < many; i += 1) told.set(trials.tell(from + i), i * width);
  parentPort?.postMessage({ from, told });
});
