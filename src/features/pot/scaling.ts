import { moneyStaying } from '@/core/layers';
import { chargeFactors } from '@/core/prices';
import { readAmountOf, readNumber } from '@/core/quantity';
import type { Scaled, Vessel } from '@/core/pot';
import { potOf } from '@/core/shelf';
import { refuse, type Outcome } from '@/core/trouble';
import { runPot, scaleBy, scaledSteps, scaleTo, vesselsFor, type Shelf } from '@/core/verbs';
import type { LivePot } from './components/figures/use-pot';
import type { useSheet } from './components/sheet/use-sheet';
import * as texts from './texts';

/** What a sheet is to be scaled to, as typed. */
export interface ScaleRequest {
  readonly kind: 'litres' | 'portions' | 'covers' | 'what came in';
  readonly amount: string;
  /** The supply that came in, or the plate; the first there is where it is empty. */
  readonly of: string;
  /** Empty for whichever suits best. */
  readonly vessel: string;
}

/** A sheet at another size. */
export interface ScaledSheet {
  readonly vessel: Vessel;
  readonly batches: number;
  /** What the list is multiplied with for one batch, and what one gives. */
  readonly factor: number;
  readonly eachMl: number;
  readonly hobHours: number;
  readonly portions: number | undefined;
  /** Ingredients in a litre at this size, and as the sheet stands. */
  readonly perL: number | null;
  readonly sheetPerL: number | null;
  /** What plain multiplication of the list would have given, and how much more it would have spent. */
  readonly multiplied: { readonly ml: number | undefined; readonly money: number | undefined };
}

interface On {
  readonly sheet: Pick<ReturnType<typeof useSheet>, 'known' | 'draft' | 'pot'>;
  readonly wanted: ScaleRequest;
  readonly shelf: Shelf;
  readonly plates: readonly { readonly id: string; readonly name: string; readonly ml: number }[];
}

const no = (code: string, message: string, value = 0, limit = 0): Outcome<never> =>
  refuse(code, 'amount', message, { value, limit });

/** Most portions or covers that anybody cooks for. */
const MOST = 100_000;

/** ml that are wanted, or how many times the list goes in; with what is wrong with what was typed. */
function goalOf({
  sheet,
  wanted,
  shelf,
  plates,
}: On): Outcome<{ readonly ml: number } | { readonly factor: number }> {
  const { amount, kind } = wanted;
  if (kind === 'litres') {
    const bare = readNumber(amount, shelf.manner.mark);
    const read = readAmountOf(['volume'], bare.ok ? `${amount} l` : amount, shelf.manner);
    return read.ok ? { ok: true, value: { ml: read.value.value } } : read;
  }
  if (kind === 'what came in') {
    const { inputs } = sheet.pot.run;
    const supply = wanted.of || inputs.find((i) => i.supply !== 'free')?.supply;
    const g = inputs.filter((i) => i.supply === supply).reduce((sum, i) => sum + i.g, 0);
    if (g <= 0) return no('none-in', texts.nothingGoesIntoPot);
    const bare = readNumber(amount, shelf.manner.mark);
    const read = readAmountOf(['mass'], bare.ok ? texts.kg(amount) : amount, shelf.manner);
    return read.ok ? { ok: true, value: { factor: read.value.value / g } } : read;
  }
  const count = readNumber(amount, shelf.manner.mark);
  if (!count.ok) return count;
  const n = count.value.toNumber();
  if (!(n >= 1 && n <= MOST))
    return no('count-out-of-range', texts.amountOutOfRange(amount, kind, MOST), n, MOST);
  if (kind === 'covers') {
    const plate = plates.find((p) => p.id === wanted.of) ?? plates[0];
    return plate ? { ok: true, value: { ml: plate.ml * n } } : no('no-plate', texts.noDishTakesAny);
  }
  const portions = sheet.pot.run.rows.at(-1)?.portions;
  return portions
    ? { ok: true, value: { ml: portions.pouredMl * n } }
    : no('no-portions', texts.sheetDoesNotSay);
}

/** A sheet for another amount, in the vessel asked for or the one that suits best, with its cost and what plain multiplication gets wrong. */
export function scaledSheet(on: On): Outcome<ScaledSheet> {
  const { sheet, wanted, shelf } = on;
  const { known, draft, pot } = sheet;
  if (pot.refusedAt !== undefined)
    return no('cannot-be-scaled', texts.stepCannotDoneCorrect(pot.refusedAt + 1));
  const goal = goalOf(on);
  if (!goal.ok) return goal;
  const written = potOf({ ...draft, choices: [...draft.choices], steps: [...pot.steps] }, shelf);
  const vessel = known.vessels.find((v) => v.id === wanted.vessel);
  const scaled = sized(goal.value, written, known, vessel);
  if (!scaled.ok) return scaled;
  const { batches, factor, run, multiplied } = scaled.value;
  const eachMl = run.product?.ml ?? 0;
  const perL = perLitre(run, pot, known, batches);
  const sheetMl = pot.run.product?.ml ?? 0;
  const sheetPerL = perLitre(pot.run, pot, known, 1);
  const own = sheetPerL === null ? undefined : (sheetPerL * sheetMl) / 1000;
  // Anyone who multiplies takes so many times the list, and cooks that in as many batches.
  const all = eachMl * batches;
  const plain = 'factor' in goal.value ? goal.value.factor : sheetMl > 0 ? all / sheetMl : multiplied.factor;
  const each = runPot(
    { ...written, vessel: scaled.value.vessel, steps: scaledSteps(written.steps, plain / batches) },
    known.constants,
  );
  const spent = own === undefined ? undefined : own * plain;
  const real = perL === null ? undefined : (perL * all) / 1000;
  return {
    ok: true,
    value: {
      vessel: scaled.value.vessel,
      batches,
      factor,
      eachMl,
      hobHours: run.rows.at(-1)?.hobHours ?? 0,
      portions: run.rows.at(-1)?.portions?.whole,
      perL,
      sheetPerL,
      multiplied: {
        // To what came in the list is the same: what is wrong is what one would have promised.
        ml:
          'factor' in goal.value
            ? sheetMl * plain
            : each.refused || !each.product
              ? undefined
              : each.product.ml * batches,
        money: spent === undefined || real === undefined ? undefined : spent - real,
      },
    },
  };
}

function sized(
  goal: { readonly ml: number } | { readonly factor: number },
  written: ReturnType<typeof potOf>,
  { constants, vessels }: On['sheet']['known'],
  vessel: Vessel | undefined,
): Outcome<Scaled> {
  if ('factor' in goal) return scaleBy(written, goal.factor, constants, vessel);
  if (vessel) return scaleTo(written, goal.ml, constants, vessel);
  const [best] = vesselsFor(written, goal.ml, constants, vessels);
  return best ? { ok: true, value: best } : scaleTo(written, goal.ml, constants);
}

/** Ingredients in a litre of a run at the prices of the sheet, packs opened for all batches together; null while one is missing. */
function perLitre(
  run: LivePot['run'],
  pot: LivePot,
  known: On['sheet']['known'],
  batches: number,
): number | null {
  const opens = new Map(known.opens);
  const charged = chargeFactors(pot.run.inputs, (id) => opens.get(id));
  const perG = new Map(
    pot.run.inputs.flatMap(({ supply, g }, i) => {
      const money = pot.inputMoney[i];
      return typeof money === 'number' && g > 0
        ? [[supply, money / g / (charged.get(supply) ?? 1)] as const]
        : [];
    }),
  );
  const all = run.inputs.map((input) => ({ ...input, g: input.g * batches }));
  const factors = chargeFactors(all, (id) => opens.get(id));
  const costs = run.inputs.map(({ supply, g }) => {
    const price = perG.get(supply);
    return price === undefined ? null : price * g * (factors.get(supply) ?? 1);
  });
  if (costs.includes(null) || !run.product || run.product.ml <= 0 || pot.run.unread.length > 0) return null;
  return (moneyStaying(run.rows, costs as number[]).reduce((a, b) => a + b, 0) / run.product.ml) * 1000;
}
