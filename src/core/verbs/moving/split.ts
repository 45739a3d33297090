import { z } from 'zod';
import {
  capacityMl,
  copyLiquid,
  liquidMl,
  litres,
  mustBeFree,
  overBrimMl,
  percent,
  piecesMl,
  scaleLiquid,
  shareOfPiece,
  standingMl,
  standingOf,
  trouble,
  type Doing,
  type Hob,
  type PotState,
  type StandLevel,
  type Vessel,
} from '../../pot';
import { readNumber } from '../../quantity';
import { matchAt } from '../../said';
import { fine, type Outcome, type Trouble } from '../../trouble';
import { doing, Id, Typed } from '../../written';
import { amountIn, standIn, then } from '../resolving';
import type { Shelf } from '../shelf';
import { standSaid, standWords } from '../stand-words';
import { noWarnings, nothing, usually, type Verb } from '../verb';

const Split = doing('split', {
  amount: Typed.describe('what goes into the other vessel: "2 l", "1/3", "40 %"'),
  liquidOnly: z.boolean().default(false),
  vessel: Id,
  hob: Id,
});
type Written = z.infer<typeof Split>;

export interface SplitStep extends Doing {
  readonly do: 'split';
  readonly part: { readonly by: 'share' | 'ml'; readonly value: number };
  readonly liquidOnly: boolean;
  readonly vessel: Vessel;
  readonly hob: Hob;
}

/** What is split off: a share (`1/3`, `40 %`), or a volume. */
function partIn(shelf: Shelf, amount: string): Outcome<SplitStep['part']> {
  const bare = readNumber(amount, shelf.manner.mark);
  if (bare.ok) return fine({ by: 'share', value: bare.value.toNumber() });
  return then(amountIn(shelf, ['share', 'volume'], amount, 'amount'), ({ kind, value }) => ({
    by: kind === 'share' ? 'share' : 'ml',
    value,
  }));
}

/** The share of the pot that is split off, or why it cannot be. */
function shareOf(pot: PotState, { part, liquidOnly }: SplitStep): number | Trouble {
  const there = liquidMl(pot.liquid) + (liquidOnly ? 0 : piecesMl(pot));
  const share = part.by === 'share' ? part.value : there > 0 ? part.value / there : Infinity;
  if (share > 0 && share < 1) return share;
  return part.by === 'share'
    ? trouble(
        'share-out-of-range',
        `Split off ${percent(share * 100)}: above 0 and below 100 % of what is in the pot.`,
        share * 100,
        100,
      )
    : trouble(
        'splits-too-much',
        `Split off ${litres(part.value)}: above 0 l and less than the ${litres(there)} there are.`,
        part.value,
        there,
      );
}

/** Splits some of the pot off into another vessel, liquid and pieces alike or the liquid alone; it stands there at its own heat. */
export const split: Verb<Written, SplitStep> = {
  written: [Split],
  ids: (step, each) => ({
    ...step,
    vessel: each('vessel', step.vessel, 'vessel'),
    hob: each('hob', step.hob, 'hob'),
  }),
  takes: nothing,
  parts: nothing,
  amount: (step) => step.amount,
  flaw: nothing,
  says: (step, name) =>
    `split ${step.amount}${step.liquidOnly ? ' of the liquid' : ''} into ${standWords(step, name)}`,
  reads: [
    [
      /^split\s+(.+?)(\s+of the liquid)?\s+into\s+(.+?)(?:\s+on\s+(.+))?$/i,
      (m, names) =>
        then(standSaid(matchAt(m, 3), matchAt(m, 4), names), (stand) => ({
          do: 'split',
          amount: matchAt(m, 1),
          liquidOnly: m[2] !== undefined,
          ...stand,
        })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve(step, shelf) {
    const stand = standIn(shelf, step);
    if (!stand.ok) return stand;
    const { liquidOnly } = step;
    return then(partIn(shelf, step.amount), (part) => ({ do: 'split', part, liquidOnly, ...stand.value }));
  },
  run(pot, step) {
    const taken = mustBeFree('Split into', pot, step.vessel);
    if (taken) return taken;
    const share = shareOf(pot, step);
    if (typeof share !== 'number') return share;
    const liquid = copyLiquid(pot.liquid);
    scaleLiquid(liquid, share);
    const pieces = step.liquidOnly ? [] : pot.pieces.map((p) => shareOfPiece(p, share));
    const off: StandLevel = {
      ...standingOf(pot),
      vessel: step.vessel,
      hob: step.hob,
      liquid,
      pieces,
      beforeHeatMl: undefined,
      inSieve: undefined,
      inStrainer: undefined,
    };
    if (overBrimMl(off) > 1e-6)
      return trouble(
        'runs-over',
        `Split off ${litres(standingMl(off))}: the ${step.vessel.name} holds ${litres(capacityMl(step.vessel))} to the brim.`,
        standingMl(off),
        capacityMl(step.vessel),
      );
    scaleLiquid(pot.liquid, 1 - share);
    if (!step.liquidOnly) pot.pieces = pot.pieces.map((p) => shareOfPiece(p, 1 - share));
    pot.aside.push(off);
    return undefined;
  },
  scale: (step, factor) =>
    step.part.by === 'ml' ? { ...step, part: { by: 'ml', value: step.part.value * factor } } : step,
  hands: usually('split'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
