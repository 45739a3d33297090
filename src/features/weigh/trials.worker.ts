import { expose } from 'comlink';
import { TOLD, Trials, type Setup } from '@/core/uncertainty';

let trials: Trials | undefined;
let width = 0;

const worker = {
  begin(setup: Setup): void {
    trials = new Trials(setup);
    width = setup.ways.length * TOLD.length;
  },
  /** So many trials from one on, one after the other. */
  tell(from: number, many: number): Float64Array {
    const told = new Float64Array(many * width);
    for (let i = 0; i < many; i += 1) if (trials) told.set(trials.tell(from + i), i * width);
    return told;
  },
};
export type TrialWorker = typeof worker;

expose(worker);
