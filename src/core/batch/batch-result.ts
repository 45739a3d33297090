import {
  gelatinPct,
  liquidG,
  liquidMl,
  servedMl,
  type Fuel,
  type PotRun,
  type PotState,
  type ProcessConstants,
} from '../pot';
import { potOfBatch } from './estimate';
import type { RunningBatch } from './pot-filter';
import { varianceOf, type Variance } from './variance';

/** What a batch was to be: its sheet run at the size it was put on at. */
export interface PlannedBatch {
  readonly run: Pick<PotRun, 'inputs' | 'product' | 'rows'>;
}

/** How a batch ended beside what it should have been. Money in the kitchen’s currency. */
export interface BatchResult {
  readonly got: number;
  readonly should: number;
  /** Litres got, brought to the strength of the standard: what is water in excess is no gain. */
  readonly atStrength: number;
  /** Litres of water too many; 0 where it is as strong as it should be, or stronger. */
  readonly thin: number;
  /** What went in cost, over the litres at strength; null where a price is not known. */
  readonly perL: number | null;
  readonly shouldPerL: number | null;
  /** Which line made how many of the litres that are more or less than by the sheet; what was read in the end comes last. Without remainder. */
  readonly byLine: readonly { readonly line: number | undefined; readonly l: number }[];
  /** h on the hob and of hands, as they were and by the sheet; hands as they were told, else as usual. */
  readonly hobHours: readonly [was: number, should: number];
  readonly handsHours: readonly [was: number, should: number];
  /** What the hob took off the meter, kWh of its fuel, its own losses counted. */
  readonly kWh: readonly [was: number, should: number];
  readonly fuel: Fuel;
  /** Difference of the whole batch, split without remainder; null where a price is not known. */
  readonly variance: Variance | null;
}

/** Water out of the tap. */
const FREE = 'free';

type Key = PotRun['inputs'][number]['supply'];

/** Gelatin under which a thing has no strength that could be told by it, %. */
const STRENGTHLESS = 0.3;

/** g of gelatin in a litre. */
const perLitre = (pot: PotState): number => (pot.liquid.gelatin / Math.max(1, liquidMl(pot.liquid))) * 1000;

/**
 * What a batch truly cost beside what it should have. Litres are first brought to the standard’s strength by gelatin: as many grams as
 * came out, at the grams a litre that the standard has. A weaker pot that was pulled early is thin, never a gain.
 * @param gotL litres got; undefined for what the pot should hold by what was read
 * @param followed the batch as it was followed, where that is known already: prices move without it
 * @param price money a g; null where it is not known
 * @returns undefined where a line could not be done, or the sheet makes nothing
 */
export function batchResult(
  of: RunningBatch,
  standard: PlannedBatch,
  gotL: number | undefined,
  price: (supply: Key) => number | null,
  c: ProcessConstants,
  followed: ReturnType<typeof potOfBatch> = potOfBatch(of, c),
): BatchResult | undefined {
  const { pot, inputs, after } = followed;
  const { run } = standard;
  const should = (run.product?.ml ?? 0) / 1000;
  if (!pot || should === 0) return undefined;
  const got = gotL ?? servedMl(pot) / 1000;
  const standardGelatin = run.rows.at(-1)?.gelatinPct ?? 0;
  const density = liquidG(pot.liquid) / Math.max(1, liquidMl(pot.liquid));
  // What is there in excess of what the pot should hold by what was read was water, what is missing boiled away: gelatin stays.
  const strong = standardGelatin > STRENGTHLESS && gelatinPct(pot) > 0;
  const standardPerL = standardGelatin * 10 * density;
  // Pieces that are served are as strong as they are: only the liquid between them can be thin.
  const piecesL = (servedMl(pot) - liquidMl(pot.liquid)) / 1000;
  const atStrength = strong ? piecesL + (perLitre(pot) * (liquidMl(pot.liquid) / 1000)) / standardPerL : got;
  const counted = strong ? Math.min(got, atStrength) : got;
  const lines = (taken: readonly { supply: Key; name: string; g: number }[]) => {
    const paid = taken.filter((t) => t.supply !== FREE);
    const found = paid.map((t) => ({ name: t.name, kg: t.g / 1000, price: price(t.supply) }));
    return found.some((l) => l.price === null)
      ? undefined
      : found.map((l) => ({ ...l, price: (l.price as number) * 1000 }));
  };
  const [meant, used] = [lines(run.inputs), lines(inputs)];
  const variance =
    meant && used && meant.length > 0 && counted > 0
      ? varianceOf({ litres: should, lines: meant }, { litres: counted, lines: used })
      : null;
  return {
    got,
    should,
    atStrength: counted,
    thin: Math.max(0, got - counted),
    perL: variance ? variance.standardPerL + variance.difference / counted : null,
    shouldPerL: variance?.standardPerL ?? null,
    byLine: linesOf(after, run.rows, got, should),
    hobHours: [pot.hobHours, run.rows.at(-1)?.hobHours ?? 0],
    handsHours: handsOf(of, run.rows),
    kWh: [
      pot.netKj / 3600 / (pot.hob.efficiency ?? c.efficiency[pot.hob.fuel]),
      run.rows.reduce((sum, r) => sum + r.energy.kWh, 0),
    ],
    fuel: pot.hob.fuel,
    variance,
  };
}

/** Litres under which a line is not said to have made a difference. */
const HARDLY_L = 0.005;

/** Which line made how many litres more or less than by the sheet. */
function linesOf(
  after: readonly number[],
  rows: PlannedBatch['run']['rows'],
  got: number,
  should: number,
): BatchResult['byLine'] {
  let off = 0;
  const lines: { line: number | undefined; l: number }[] = [];
  for (const [line, ml] of after.entries()) {
    const row = rows[line];
    const now = row ? (ml - row.ml - row.piecesMl) / 1000 : off;
    if (Math.abs(now - off) > HARDLY_L) {
      lines.push({ line, l: now - off });
      off = now;
    }
  }
  const rest = got - should - off;
  if (Math.abs(rest) > HARDLY_L || lines.length === 0) lines.push({ line: undefined, l: rest });
  else
    lines[lines.length - 1] = {
      ...(lines.at(-1) as (typeof lines)[number]),
      l: (lines.at(-1)?.l ?? 0) + rest,
    };
  return lines;
}

/** h of hands: as they were told, else as the sheet has them. */
function handsOf(
  { events, lines }: RunningBatch,
  rows: PlannedBatch['run']['rows'],
): BatchResult['handsHours'] {
  const told = new Map(
    events.flatMap((e) =>
      e.is === 'done' && e.handsMin !== undefined ? [[e.step, e.handsMin / 60] as const] : [],
    ),
  );
  const should = rows.reduce((sum, row) => sum + row.handsHours, 0);
  return [rows.reduce((sum, row, i) => sum + (told.get(lines[i] ?? '') ?? row.handsHours), 0), should];
}
