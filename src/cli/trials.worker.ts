import { parentPort, workerData } from 'node:worker_threads';
import { SIMULATED, Simulation, type SimulationSetup } from '../core/uncertainty';

/** Trials in a thread of the command line: the same that a browser draws in its workers. */
const setup = workerData as SimulationSetup;
const trials = new Simulation(setup);
const width = setup.ways.length * SIMULATED.length;

parentPort?.on('message', ({ from, many }: { readonly from: number; readonly many: number }) => {
  const told = new Float64Array(many * width);
  for (let i = 0; i < many; i += 1) told.set(trials.tell(from + i), i * width);
  parentPort?.postMessage({ from, told });
});
