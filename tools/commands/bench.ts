import fs from 'node:fs';
import { costFile } from '@/core/costing';
import { sourcePrices } from '@/core/knife';
import { readKitchen } from '@/core/kitchen-file';
import { runPot, type PotStep } from '@/core/verbs';
import { noParts } from '@/core/quantity';
import { CONSTANTS } from '@/core/reference';
import { WATER, type Stuff } from '@/core/larder';
import { DEMO_FILE, mustRead } from '../kitchens';
import { Stop } from '../stop';
import type { Line } from './bench-pot';

/** Median ms of many runs of `work`, after as many to warm up. */
function median(work: () => unknown, runs: number): number {
  for (let i = 0; i < runs; i += 1) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)] as number;
}

/** A fixed piece of arithmetic: what everything else is a multiple of, so that machines can be compared. */
function yardstick(): number {
  let sum = 0;
  for (let i = 1; i <= 100_000; i += 1) sum += Math.sqrt(i) / (1 + (i % 7));
  return sum;
}

const bones: Stuff = {
  ...WATER,
  id: 'bones',
  name: 'Bones',
  role: 'piece',
  parts: { ...noParts(), water: 0.5, fat: 0.08, rest: 0.42 },
  gelatinPool: 0.04,
  gelatinHalfLifeH: 4,
  renderedFat: 0.03,
  retention: 100,
  retentionPressed: 90,
  packing: 0.55,
};
const roots: Stuff = {
  ...bones,
  id: 'roots',
  name: 'Roots',
  parts: { ...noParts(), water: 0.89, sugar: 0.05, rest: 0.06 },
  gelatinPool: 0,
  renderedFat: 0,
};
const stuff = (s: Stuff) => ({ is: 'stuff', supply: `usable:${s.id}`, stuff: s }) as const;

/** Ten steps with six hours of simmering, in a tapered pot so that the surface changes every minute. */
const TEN_STEPS: readonly PotStep[] = [
  { do: 'add', what: stuff(bones), g: 8000 },
  { do: 'brown', vapour: 0.18, fatRunOff: 0.01, hours: 1 },
  { do: 'water', to: { by: 'ml', value: 16000 } },
  { do: 'cook', heat: 'bare simmer', hours: 4.5, lid: 'off' },
  { do: 'add', what: stuff(roots), g: 1500 },
  { do: 'cook', heat: 'bare simmer', hours: 1.5, lid: 'off' },
  { do: 'skim', ml: 200, from: 'body' },
  { do: 'strain', pressed: false, through: 'cone sieve' },
  { do: 'defat', by: 'cold' },
  { do: 'portion', ml: 1000, overfill: 0 },
];

const VESSEL = {
  id: 'v',
  name: 'Pot',
  shape: 'round',
  baseCm: 36,
  topCm: 40,
  heightCm: 36,
  maxFill: 0.85,
} as const;
const HOB = { id: 'h', name: 'Hob', netKw: 5, fuel: 'electricity' } as const;
const TEN_STEP_POT = { vessel: VESSEL, hob: HOB, steps: TEN_STEPS };

const PARTS = ['buy', 'pot', 'graph', 'sheet', 'kitchen', 'backup', 'pages', 'lighthouse', 'trials', 'stove'];

/** `halfpot bench [buy|pot|graph|sheet|kitchen|backup|pages|lighthouse|trials|stove]`: each figure in ms and as a multiple of the yardstick of the same run. */
export async function bench(args: readonly string[]): Promise<number> {
  const [part] = args;
  if (part !== undefined && !PARTS.includes(part))
    throw new Stop(`There is no benchmark “${part}”: ${PARTS.join(', ')}, or none for the core.`);
  if (part === 'sheet') return (await import('./bench-sheet')).benchSheet();
  if (part === 'pages') return (await import('./bench-pages')).benchPages();
  if (part === 'stove') return (await import('./bench-stove')).benchStove();
  if (part === 'lighthouse') return (await import('./bench-lighthouse')).benchLighthouse();
  const unit = median(yardstick, 200);
  const line = (name: string, ms: number, note = ''): void =>
    void process.stdout.write(
      `${name.padEnd(58)}${ms.toFixed(3).padStart(9)} ms ${(ms / unit).toFixed(2).padStart(8)} ×   ${note}\n`,
    );
  line('yardstick: 100,000 roots', unit);
  if (part === 'kitchen') await (await import('./bench-kitchen')).benchKitchen(line);
  else if (part === 'backup') await (await import('./bench-buy')).benchBackup(line);
  else if (part === 'buy') await (await import('./bench-buy')).benchBuy(line);
  else if (part === 'trials') await (await import('./bench-trials')).benchTrials(line);
  else if (part === 'graph') (await import('./bench-graph')).benchGraph(median, line);
  else if (part === 'pot') (await import('./bench-pot')).benchPot(TEN_STEP_POT, median, line);
  else benchCore(line);
  return 0;
}

/** The core's own figures. */
function benchCore(line: Line): void {
  line(
    'a ten-step pot, six hours of simmering',
    median(() => runPot(TEN_STEP_POT, CONSTANTS), 200),
    'aim: under 2 ms',
  );

  const file = mustRead(DEMO_FILE);
  const json: unknown = JSON.parse(fs.readFileSync(DEMO_FILE, 'utf8'));
  line(
    'the demo kitchen file read and checked',
    median(() => readKitchen(json), 20),
  );
  const full = median(() => costFile(file, file.referenceDay, CONSTANTS), 20);
  line('the demo kitchen costed from nothing, physics and all', full);

  const costing = costFile(file, file.referenceDay, CONSTANTS);
  const first = file.ingredients[0]?.id ?? '';
  let price = 2;
  const one = median(() => {
    price = price === 2 ? 3 : 2;
    return costing.graph.set(sourcePrices([{ ingredient: { id: first }, usablePerKg: price, trimPerKg: 0 }]));
  }, 2000);
  line(
    'the demo re-costed after one price change',
    one,
    `aim: under 1 ms; ${Math.round(full / one)} times faster than from nothing`,
  );
}
