import { expose } from 'comlink';
import { SIMULATED, Simulation, type SimulationSetup } from '@/core/uncertainty';

let trials: Simulation | undefined;
let width = 0;

const worker = {
  begin(setup: SimulationSetup): void {
    trials = new Simulation(setup);
    width = setup.ways.length * SIMULATED.length;
  },
  /** So many trials from one on, one after the other. */
  tell(from: number, many: number): Float64Array {
    const told = new Float64Array(many * width);
    for (let i = 0; i < many; i += 1) if (trials) told.set(trials.tell(from + i), i * width);
    return told;
  },
};
export type SimulationWorker = typeof worker;

expose(worker);
