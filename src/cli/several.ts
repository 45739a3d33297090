import { once } from 'node:events';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { SIMULATED, type SimulationSetup } from '../core/uncertainty';

const AT_A_TIME = 16;

/** Draws in several threads: whatever their number, trial n is the same. */
export class SeveralWorkers {
  private constructor(
    private readonly workers: readonly Worker[],
    private readonly width: number,
  ) {}

  /** @param folder where the bundled thread lies */
  static begin(setup: SimulationSetup, many: number, folder: string): SeveralWorkers {
    const file = path.join(folder, 'trials.worker.mjs');
    const workers = Array.from({ length: many }, () => new Worker(file, { workerData: setup }));
    return new SeveralWorkers(workers, setup.ways.length * SIMULATED.length);
  }

  /** The first so many trials, one after the other. @param came told after each block that has come back */
  async tell(many: number, came: () => void = () => undefined): Promise<Float64Array> {
    const values = new Float64Array(many * this.width);
    let next = 0;
    const work = async (worker: Worker): Promise<void> => {
      while (next < many) {
        const from = next;
        const block = Math.min(AT_A_TIME, many - from);
        next += block;
        worker.postMessage({ from, many: block });
        const [answer] = (await once(worker, 'message')) as [{ from: number; told: Float64Array }];
        values.set(answer.told, answer.from * this.width);
        came();
      }
    };
    await Promise.all(this.workers.map(work));
    return values;
  }

  async end(): Promise<void> {
    await Promise.all(this.workers.map((w) => w.terminate()));
  }
}
