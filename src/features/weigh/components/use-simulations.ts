'use client';

import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { SIMULATED, type SimulationSetup } from '@/core/uncertainty';
import type { SimulationWorker } from '../simulation.worker';

/** Trials that are drawn at once and when somebody wants more, and trials that a worker is asked for at a time: few at first, so that there is a band at once. */
export const SIMULATIONS = 1000;
export const MANY_SIMULATIONS = 10_000;
const FIRST = 4;
const AT_A_TIME = 24;
/** Workers: more than there are cores only wait for each other. */
const MOST_WORKERS = 6;
/** ms between two looks at what has come in. */
const SHOWN_EVERY = 250;

/** What has been drawn so far: `values` trial after trial, those of a trial way after way in the order of `TOLD`. */
export interface SimulatedValues {
  readonly done: number;
  readonly of: number;
  readonly running: boolean;
  /** Somebody has stopped it: what has been drawn counts, and is shown as such. */
  readonly stopped: boolean;
  readonly values: Float64Array;
  /** ms since it began. */
  readonly ms: number;
}

const widthOf = (setup: SimulationSetup | undefined): number => (setup?.ways.length ?? 0) * SIMULATED.length;

/** As a page opens: what was drawn already, while its workers are on their way. */
const atFirst = (setup: SimulationSetup | undefined, first: readonly number[]): SimulatedValues => ({
  done: setup && first.length > 0 ? first.length / widthOf(setup) : 0,
  of: SIMULATIONS,
  running: setup !== undefined,
  stopped: false,
  values: Float64Array.from(first),
  ms: 0,
});

/**
 * Draws trials in workers, as long as the page shows their setup. Whatever the number of workers, trial n is the same.
 * @param first the first trials, drawn already
 */
export function useSimulations(setup: SimulationSetup | undefined, first: readonly number[], many: number) {
  const [drawn, setDrawn] = useState<SimulatedValues>(() => atFirst(setup, first));
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => {
    if (!setup || setup.ways.length === 0) return undefined;
    const run = new Run(setup, first, many, setDrawn);
    stop.current = () => run.end(true);
    void run.begin();
    return () => run.end(false);
  }, [setup, first, many]);
  return { drawn, stop: useCallback(() => stop.current(), []) };
}

/** One run of trials: hands them out to workers, block after block, and puts what comes back where it belongs. */
class Run {
  private readonly values: Float64Array;
  private readonly width: number;
  private readonly workers: Worker[] = [];
  /** Blocks that have come back, by where they begin: only what is whole from the first on is shown. */
  private readonly came = new Map<number, number>();
  private next: number;
  private done: number;
  private over = false;
  private readonly began = performance.now();
  private shownAt = 0;

  constructor(
    private readonly setup: SimulationSetup,
    first: readonly number[],
    private readonly trials: number,
    private readonly show: (drawn: SimulatedValues) => void,
  ) {
    this.width = widthOf(setup);
    this.values = new Float64Array(trials * this.width);
    this.values.set(first);
    this.next = this.done = first.length / this.width;
  }

  async begin(): Promise<void> {
    const workers = Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 2));
    this.tell();
    await Promise.all(Array.from({ length: workers }, () => this.work()));
    if (!this.over) this.end(false, true);
  }

  private async work(): Promise<void> {
    const worker = new Worker(new URL('../simulation.worker.ts', import.meta.url), { type: 'module' });
    this.workers.push(worker);
    const far: Remote<SimulationWorker> = wrap<SimulationWorker>(worker);
    await far.begin(this.setup);
    for (let block = FIRST; !this.over && this.next < this.trials; block = AT_A_TIME) {
      const from = this.next;
      const many = Math.min(block, this.trials - from);
      this.next = from + many;
      const told = await far.tell(from, many);
      if (this.over) return;
      this.values.set(told, from * this.width);
      this.came.set(from, many);
      for (let n = this.came.get(this.done); n !== undefined; n = this.came.get(this.done)) {
        this.came.delete(this.done);
        this.done += n;
      }
      if (performance.now() - this.shownAt > SHOWN_EVERY) this.tell();
    }
  }

  private tell(running = true, stopped = false): void {
    this.shownAt = performance.now();
    this.show({
      done: this.done,
      of: this.trials,
      running,
      stopped,
      values: this.values.slice(0, this.done * this.width),
      ms: performance.now() - this.began,
    });
  }

  /** @param stopped by somebody, who wants to see what has been drawn; @param done all of them have been */
  end(stopped: boolean, done = false): void {
    if (this.over) return;
    this.over = true;
    for (const worker of this.workers) worker.terminate();
    if (stopped || done) this.tell(false, stopped);
  }
}
