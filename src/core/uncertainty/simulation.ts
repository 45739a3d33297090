import {
  figuresOfWays,
  SnapshotPots,
  countedPerLitre,
  type Snapshot,
  type PurchaseOverride,
  type Overrides,
  type Way,
} from '../compare';
import { ownConstants } from '../kitchen-state';
import type { Layer } from '../layers';
import type { Boils, ProcessConstants, Vessel } from '../pot';
import { processConstants, REFERENCE, type ReferenceRow } from '../reference';
import type { OnShelf } from '../verbs';
import { Draws } from './draws';
import { drawn, pertOf, type Pert } from './pert';
import { boilsId, type Uncertain } from './ranges';

/** What is told of each way in each trial. */
export const SIMULATED = ['litres', 'saltPct', 'body', 'elapsedHours', 'perL', 'perPortion'] as const;
export type SimulatedFigure = (typeof SIMULATED)[number];

/** All it takes to try some ways out again and again: plain data. */
export interface SimulationSetup {
  readonly apart: Snapshot;
  readonly ways: readonly Way[];
  readonly uncertain: readonly Uncertain[];
  /** Layers that are counted in what a litre costs. */
  readonly layers: readonly Layer[];
  readonly seed: number;
  /** h that a step on the heat takes at most: a band need not be told to the minute (docs/model.md, “How sure”). */
  readonly stepH: number;
}

/** How coarse steps are where the purpose is a band. */
export const BAND_STEP_H = 2 / 60;

/** One figure of one way in every trial. */
export function simulatedFigure(
  values: Float64Array,
  ways: number,
  way: number,
  told: SimulatedFigure,
): Float64Array {
  const width = ways * SIMULATED.length;
  const at = way * SIMULATED.length + SIMULATED.indexOf(told);
  return Float64Array.from({ length: values.length / width }, (_, n) => values[n * width + at] ?? NaN);
}

/** What was drawn of everything that is not known for sure in the first so many trials: a list for each, in the order of `uncertain`. */
export function drawsOf(
  { uncertain, seed }: Pick<SimulationSetup, 'uncertain' | 'seed'>,
  many: number,
): Float64Array[] {
  const draws = new Draws(uncertain.length, seed);
  return uncertain.map((u, j) => {
    const pert = pertOf(u.value, u.low, u.high);
    return Float64Array.from({ length: many }, (_, n) => drawn(pert, draws.at(n, j)));
  });
}

/** Tries ways out with one draw of everything that is not known for sure, the same for all of them. */
export class Simulation {
  private readonly pots: SnapshotPots;
  private readonly perts: readonly Pert[];
  private readonly draws: Draws;
  private readonly rows: Map<string, ReferenceRow>;
  private readonly stuffs: ReadonlyMap<string, OnShelf>;
  /** Constants as nothing is drawn. */
  private readonly usual: ProcessConstants;

  constructor(private readonly setup: SimulationSetup) {
    this.pots = new SnapshotPots(setup.apart);
    this.perts = setup.uncertain.map((u) => pertOf(u.value, u.low, u.high));
    this.draws = new Draws(setup.uncertain.length, setup.seed);
    this.rows = new Map(REFERENCE);
    this.stuffs = new Map(setup.apart.stuffs);
    this.usual = ownConstants(setup.apart.kitchen, processConstants(REFERENCE));
  }

  /** What was drawn of everything in a trial, in the order of `uncertain`. */
  drawnIn(n: number): number[] {
    return this.perts.map((p, j) => drawn(p, this.draws.at(n, j)));
  }

  /**
   * One trial.
   * @returns of each way, one after the other, the figures of `TOLD`; NaN where nothing comes of it
   */
  tell(n: number): Float64Array {
    const { c, other } = this.world(this.drawnIn(n));
    const { ways, layers } = this.setup;
    const out = new Float64Array(ways.length * SIMULATED.length);
    for (const [w, f] of figuresOfWays(this.pots, ways, c, other).entries()) {
      const none = f.trouble !== undefined;
      const money = (of: typeof f.perL | null): number => (of && countedPerLitre(of, layers)) ?? NaN;
      const told = [f.litres, f.saltPct, f.body, f.elapsedHours, money(f.perL), money(f.perPortion)];
      for (const [k, value] of told.entries()) out[w * SIMULATED.length + k] = none ? NaN : value;
    }
    return out;
  }

  /** Constants, ingredients, hobs and prices as they were drawn. */
  private world(values: readonly number[]): { c: ProcessConstants; other: Overrides } {
    const stuffs = new Map<string, OnShelf>();
    const bought = new Map<string, PurchaseOverride>();
    const powers = new Map<string, number>();
    const boils = new Map<string, number>();
    const stuff = (id: string, change: (on: OnShelf) => OnShelf): void => {
      const on = stuffs.get(id) ?? this.stuffs.get(id);
      if (on) stuffs.set(id, change(on));
    };
    for (const [j, u] of this.setup.uncertain.entries()) {
      const value = values[j]!;
      if (u.kind === 'constant') this.rows.set(u.id, { ...(REFERENCE.get(u.id) as ReferenceRow), value });
      else if (u.kind === 'price') bought.set(u.id, { ...bought.get(u.id), times: value });
      else if (u.kind === 'power') powers.set(u.id, value);
      else if (u.kind === 'boils') boils.set(u.id, value);
      else if (u.kind === 'yield') {
        // Of what was paid less or more is usable: a usable kilo costs so much more, and a counted piece weighs so much less.
        bought.set(u.id, { ...bought.get(u.id), usable: value / 100 });
        stuff(u.id, (on) => ({ ...on, usable: value / 100 }));
      } else stuff(u.id, (on) => ({ ...on, stuff: changed(on.stuff, u, value) }));
    }
    const c = ownConstants(this.setup.apart.kitchen, processConstants(this.rows));
    return {
      c: { ...c, stepH: this.setup.stepH },
      other: {
        stuff: (id) => stuffs.get(id),
        hob: (hob) => ({ ...hob, netKw: powers.get(hob.id) ?? hob.netKw }),
        ...(boils.size > 0 && { vessel: this.boiling(boils, c) }),
        bought,
      },
    };
  }

  /**
   * Vessels that boil away as was drawn by their own batches. What was drawn of the table is taken off again: how fast a measured vessel
   * boils away is known whatever the table says.
   */
  private boiling(drawn: ReadonlyMap<string, number>, c: ProcessConstants): (vessel: Vessel) => Vessel {
    const made = new Map<string, Vessel>();
    const speed = (of: ProcessConstants, { heat, lid }: Boils): number => of.heats[heat].rate * of.lids[lid];
    return (vessel) => {
      if (!vessel.boils) return vessel;
      const known = made.get(vessel.id) ?? {
        ...vessel,
        boils: vessel.boils.map((b) => {
          const times = drawn.get(boilsId(vessel, b));
          return times === undefined ? b : { ...b, times: (times * speed(this.usual, b)) / speed(c, b) };
        }),
      };
      made.set(vessel.id, known);
      return known;
    };
  }
}

type Stuff = OnShelf['stuff'];

function changed(stuff: Stuff, { kind, value: usual, pressedToo }: Uncertain, value: number): Stuff {
  if (kind === 'gelatin') return { ...stuff, gelatinPool: value / 1000 };
  // What keeps more when it drains keeps more when it is pressed: nobody has weighed the two apart.
  if (kind === 'retention')
    return {
      ...stuff,
      retention: value,
      ...(pressedToo ? { retentionPressed: (stuff.retentionPressed * value) / usual } : {}),
    };
  if (kind === 'retention pressed') return { ...stuff, retentionPressed: value };
  // More of what is dissolved is less of the water it is dissolved in.
  const more = value / 100 - stuff.parts.gelatin;
  return { ...stuff, parts: { ...stuff.parts, gelatin: value / 100, water: stuff.parts.water - more } };
}
