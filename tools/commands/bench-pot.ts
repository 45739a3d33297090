import fs from 'node:fs';
import fc from 'fast-check';
import { costFile } from '@/core/costing';
import { readKitchen } from '@/core/kitchen-file';
import { runPot, type Pot, type PotStep } from '@/core/verbs';
import { CONSTANTS } from '@/core/reference';
import { workingPot } from '@/core/testing/random-pot';
import { DEMO_FILE } from '../kitchens';

export type Line = (name: string, ms: number, note?: string) => void;

const RANDOM = 10_000;
const SEED = 20_260_314;

/** Twenty-five steps with ten hours of heat, out of a ten-step stock. */
function longPot(short: Pot): Pot {
  const [bones, brown, water, , roots] = short.steps as [PotStep, PotStep, PotStep, PotStep, PotStep];
  const cook = (hours: number): PotStep => ({ do: 'cook', heat: 'bare simmer', hours, lid: 'off' });
  const many = (step: PotStep, times: number): PotStep[] => Array.from({ length: times }, () => step);
  const steps: PotStep[] = [
    bones,
    brown,
    water,
    cook(3),
    { do: 'skim', ml: 100, from: 'body' },
    ...many(roots, 3).map((s) => ({ ...s, g: 300 }) as PotStep),
    cook(2),
    { do: 'top up' },
    cook(2),
    { do: 'skim', ml: 100, from: 'surface' },
    cook(1),
    { do: 'strain', pressed: false, through: 'cone sieve' },
    { do: 'second wash', as: 'spent', cost: { by: 'weight' } },
    { do: 'defat', by: 'ladle' },
    { do: 'bring', celsius: 95 },
    cook(1.2),
    ...many({ do: 'skim', ml: 20, from: 'body' }, 2),
    cook(0.8),
    { do: 'draw off', ml: 500, as: 'first', liquidOnly: true, cost: { by: 'weight' } },
    { do: 'hold', hours: 1, lossPerHour: 0.03 },
    { do: 'chill', celsius: 4, hours: 2 },
    { do: 'portion', ml: 500, overfill: 0.02 },
  ];
  return { ...short, steps };
}

/** `halfpot bench pot`: the pot's calculation. */
export function benchPot(
  short: Pot,
  median: (work: () => unknown, runs: number) => number,
  line: Line,
): void {
  const long = longPot(short);
  const run = runPot(long, CONSTANTS);
  if (run.refused) throw new Error(run.refused.trouble.message);
  const hours = run.rows.reduce((sum, row) => sum + row.heatHours, 0);
  line(
    `a pot of ${long.steps.length} steps, ${hours.toFixed(0)} hours of heat, one pass`,
    median(() => runPot(long, CONSTANTS), 200),
    'aim: under 3 ms',
  );
  const pots = fc.sample(workingPot(40), { numRuns: RANDOM, seed: SEED });
  const start = performance.now();
  for (const pot of pots) runPot(pot, CONSTANTS);
  line(
    `${RANDOM} random pots of up to 40 steps cooked to their end, seed ${SEED}`,
    performance.now() - start,
  );
  const text = fs.readFileSync(DEMO_FILE, 'utf8');
  line(
    'the whole demo book costed from file',
    median(() => {
      const read = readKitchen(JSON.parse(text));
      if (!read.ok) throw new Error('the demo has mistakes');
      return costFile(read.file, read.file.referenceDay, CONSTANTS);
    }, 15),
    'aim: under 150 ms',
  );
}
