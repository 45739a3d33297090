import fs from 'node:fs';
import { forecastBatch, type RunningBatch } from '@/core/batch';
import { costFile, type KitchenCosting } from '@/core/costing';
import { stepsInForce, type KitchenFile, type WrittenBatch } from '@/core/kitchen-file';
import type { Heat, Lid } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { chance, cookInEarnest, type Slip } from '@/core/testing/real-pot';
import { DEMO_FILE, mustRead } from '../kitchens';
import { say } from '../stop';

/** What the demo cooked: the sheet, days before the day the file speaks from, the hour it was put on, and what went wrong. */
const COOKED: readonly (readonly [sheet: string, ago: number, hour: number, slip?: Slip])[] = [
  ['Venison bone stock', 40, 6],
  ['Trout-frame fumet', 40, 9],
  ['Leek and oat soup', 39, 9],
  ['Reduced game base', 39, 14],
  ['Pepper passata', 37, 8],
  ['Crab shell stock', 36, 10],
  ['Duck broth', 35, 7],
  ['Venison bone stock', 33, 6, 'lid forgotten'],
  ['Mutton broth', 32, 8],
  ['Reduced game base', 32, 15],
  ['Trout-frame fumet', 30, 9],
  ['Juniper sauce', 30, 14],
  ['Leek and oat soup', 28, 9, 'oversalted'],
  ['Pepper passata', 27, 8],
  ['Venison bone stock', 26, 6],
  ['Crab shell stock', 25, 10],
  ['Reduced game base', 25, 14, 'over-reduced'],
  ['Duck broth', 23, 7, 'left to boil'],
  ['Mutton broth', 21, 8, 'slow cooling'],
  ['Juniper sauce', 20, 14],
  ['Venison bone stock', 19, 6, 'misread'],
  ['Trout-frame fumet', 18, 9],
  ['Leek and oat soup', 16, 9],
  ['Reduced game base', 15, 14],
  ['Pepper passata', 13, 8],
  ['Crab shell stock', 12, 10],
  ['Duck broth', 9, 7],
  ['Mutton broth', 7, 8],
  ['Venison bone stock', 5, 6],
  ['Juniper sauce', 2, 14],
];

/** How fast the demo’s vessels really boil away, in times of the table: what nobody told the model. Others are as the table says. */
const TRULY: Readonly<Record<string, number>> = {
  'Stockpot 36 l bare simmer': 0.78,
  'Stockpot 20 l bare simmer': 0.9,
  'Stockpot 20 l simmer': 1.12,
  'Rondeau 40 cm hard boil': 1.2,
  'Sloping saucepan 28 cm hard boil': 1.1,
  'Bratt pan 60 l wide pan': 0.88,
};
/** How much the demo’s bones really give, as a multiple of the value in use. */
const GAVE: Readonly<Record<string, number>> = { 'Venison bone stock': 0.86, 'Duck broth': 1.04 };
/** What really stays behind in them, and how full their portions really are, as a multiple of the value in use. */
const LEFT: Readonly<Record<string, number>> = { 'Pepper passata': 1.3, 'Trout-frame fumet': 1.25 };
const FULL: Readonly<Record<string, number>> = { 'Leek and oat soup': 1.06, 'Juniper sauce': 1.01 };
/** How far what stays behind, and how full portions are, scatters from batch to batch. */
const LEFT_SCATTER = 0.15;
const FULL_SCATTER = 0.01;
/** How far one batch scatters about its vessel: standard deviation of the logarithm. */
const SCATTER = 0.07;

/** Ids that are the same every time, in the order of a clock. */
function idsFrom(seed: number): () => string {
  const uniform = chance(seed);
  let n = 0;
  return () => {
    n += 1;
    const rest = Math.floor(Math.abs(uniform()) * 1e9) % 0xfff;
    return `019d2100-${n.toString(16).padStart(4, '0')}-7${rest.toString(16).padStart(3, '0')}-8b10-5f0a6c1e${seed.toString(16).padStart(4, '0')}`;
  };
}

/** `halfpot batches`: cooks the demo’s batches again and writes them into its file, beside the pots that are on. */
export function batches(): number {
  const file = mustRead(DEMO_FILE);
  const costing = costFile(file, file.referenceDay, CONSTANTS);
  const written = COOKED.map((of, i) => batchOf(file, costing, of, i + 1));
  const on = file.batches.filter((b) => !b.events.some((e) => e.is === 'ended'));
  const raw = JSON.parse(fs.readFileSync(DEMO_FILE, 'utf8')) as Record<string, unknown>;
  raw.batches = [...written, ...on];
  fs.writeFileSync(DEMO_FILE, `${JSON.stringify(raw, null, 1)}\n`);
  say(`${written.length} batches written into ${DEMO_FILE}`);
  return 0;
}

function batchOf(
  file: KitchenFile,
  costing: KitchenCosting,
  [name, ago, hour, slip]: (typeof COOKED)[number],
  n: number,
): WrittenBatch {
  const recipe = costing.state.recipes.find((r) => r.name === name);
  if (!recipe) throw new Error(`the demo has no sheet called ${name}`);
  const id = idsFrom(n);
  const normal = chance(1000 + n);
  const [own, steps] = [id(), stepsInForce(recipe).map(({ way: _w, off: _o, ...s }) => ({ ...s, id: id() }))];
  const { vessel, hob } = recipe;
  const pot = potOf({ vessel, hob, steps }, costing.shelf);
  const startedAt =
    Date.parse(`${file.referenceDay}T00:00:00.000Z`) - ago * 86_400_000 + hour * 3_600_000 + n * 60_000;
  const cooks = file.people.filter((p) => p.role === 'cook').map((p) => p.name);
  const lines = steps.map((s) => s.id);
  // One flame for a batch, whatever stands on it.
  const flame = Math.exp(SCATTER * normal());
  const times = (heat: Heat, _lid: Lid): number => (TRULY[`${pot.vessel.name} ${heat}`] ?? 1) * flame;
  const running: RunningBatch = { pot, lines, startedAt, events: [], rescues: {} };
  return {
    id: own,
    recipe: recipe.id,
    name,
    startedAt: new Date(startedAt).toISOString(),
    vessel,
    hob,
    steps: steps as WrittenBatch['steps'],
    foretold: forecastBatch(running, CONSTANTS),
    events: cookInEarnest(
      { pot, lines, startedAt, by: cooks[n % cooks.length] ?? '', id },
      {
        times,
        normal,
        slip,
        gave: GAVE[name],
        hands: n % 2 === 0 ? 1.25 : undefined,
        left: (LEFT[name] ?? 1) * Math.exp(LEFT_SCATTER * normal()),
        readsBoth: LEFT[name] !== undefined,
        over: ((full) => full && full * Math.exp(FULL_SCATTER * normal()))(FULL[name]),
      },
      CONSTANTS,
    ),
  };
}
