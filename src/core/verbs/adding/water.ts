import type { z } from 'zod';
import { WATER } from '../../larder';
import {
  capacityMl,
  crossing,
  heapLevelCm,
  levelCm,
  liquidMl,
  litres,
  mixedCelsius,
  piecesMl,
  putIn,
  trouble,
  volumeAt,
  type Doing,
  type PotState,
  type ProcessConstants,
  type StepReport,
} from '../../pot';
import { DENSITY, expansion } from '../../quantity';
import { asks, matchAt } from '../../said';
import { fine, type Trouble } from '../../trouble';
import { doing, Typed } from '../../written';
import { amountIn, then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const Amount = doing('water', { amount: Typed });
const Level = doing('water', { level: Typed });
const Cover = doing('water', { cover: Typed });
type Written = z.infer<typeof Amount> | z.infer<typeof Level> | z.infer<typeof Cover>;

/** How much: ml, cm from the base, or cm over the heap of pieces. */
export interface WaterStep extends Doing {
  readonly do: 'water';
  readonly to: { readonly by: 'ml' | 'level' | 'cover'; readonly value: number };
}

const DENSE = DENSITY.water;

/** g of cold water that bring liquid (at the temperature it then has) and pieces to a volume. */
function waterToReach(pot: PotState, c: ProcessConstants, standing: number): number | undefined {
  const liquid = liquidMl(pot.liquid);
  const pieces = piecesMl(pot);
  const reached = (g: number): number =>
    (liquid + g / DENSE) * expansion(mixedCelsius(pot, c, g, 'liquid', c.addedCelsius)) + pieces;
  // Cold water may let a hot pot shrink, so that a little more than the gap goes in.
  const at = crossing((g) => reached(g) - standing, 0, standing * 1.1, standing * 1e-13);
  return at.found ? at.below : undefined;
}

/**
 * g of water to a level or over the heap, or why not.
 *
 * @param called how the trouble begins: water that is part of another step says of which
 */
function toLevel(pot: PotState, to: WaterStep['to'], c: ProcessConstants, called: string): number | Trouble {
  if (to.by === 'cover' && pot.pieces.length === 0)
    return trouble(
      'nothing-to-cover',
      `${called} to cover: there are no bones or vegetables in the pot to cover.`,
      0,
      0,
    );
  const target = to.by === 'level' ? to.value : heapLevelCm(pot) + to.value;
  const wanted = to.by === 'level' ? `to ${to.value.toFixed(1)} cm` : `to cover by ${to.value.toFixed(1)} cm`;
  const height = pot.vessel.heightCm;
  if (target > height)
    return trouble(
      'over-rim',
      `${called} ${wanted} would stand at ${target.toFixed(1)} cm; the ${pot.vessel.name} is ${height.toFixed(1)} cm high (${litres(capacityMl(pot.vessel))}).`,
      target,
      height,
    );
  const now = levelCm(pot);
  const g = target <= now ? undefined : waterToReach(pot, c, volumeAt(pot.vessel, target));
  return (
    g ??
    trouble(
      'already-higher',
      `${called} ${wanted} means a level of ${target.toFixed(1)} cm; the pot already stands at ${now.toFixed(1)} cm.`,
      target,
      now,
    )
  );
}

/** Puts water to a pot; used by other verbs that begin with it, which say what it is `called`. */
export function fillWithWater(
  pot: PotState,
  { to }: Pick<WaterStep, 'to'>,
  c: ProcessConstants,
  report: StepReport,
  called = 'Water',
): Trouble | undefined {
  if (to.by === 'ml' && !(to.value > 0))
    return trouble(
      'nothing-added',
      `${called} needs more than 0 l; ${litres(to.value)} was asked for.`,
      to.value,
      0,
    );
  const g = to.by === 'ml' ? to.value * DENSE : toLevel(pot, to, c, called);
  if (typeof g !== 'number') return g;
  putIn(pot, { is: 'stuff', supply: 'free', stuff: WATER }, g, c, report);
  return undefined;
}

/** Water to an amount, to a level, or until it stands some cm over the heap of pieces. */
export const water: Verb<Written, WaterStep> = {
  written: [Amount, Level, Cover],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => ('amount' in step ? step.amount : 'level' in step ? step.level : step.cover),
  flaw: nothing,
  says(step) {
    if ('amount' in step) return `water ${step.amount}`;
    return 'level' in step ? `water to ${step.level}` : `water to cover by ${step.cover}`;
  },
  reads: [
    [/^water\s+to\s+cover(?:\s+by\s+(.+))?$/i, (m) => fine({ do: 'water', cover: matchAt(m, 1) || '0 cm' })],
    [/^water\s+to\s+(.+\b(?:cm|mm|in|inch|inches))$/i, (m) => fine({ do: 'water', level: matchAt(m, 1) })],
    [/^water\s+(.+)$/i, (m) => fine({ do: 'water', amount: matchAt(m, 1) })],
  ],
  everyday: [
    {
      form: '[(add|pour in|put in|moisten with|cover with|top up with|fill with)] <litres> [of] [(cold|hot|boiling|warm|fresh|tap)] water',
      means: ({ litres }) => ({ do: 'water', amount: litres }),
    },
    {
      form: '[(cold|hot|boiling|warm|fresh|tap)] water [,] <litres>',
      means: ({ litres }) => ({ do: 'water', amount: litres }),
    },
    {
      form: '[add] [just] [(cold|hot|boiling|warm|fresh|tap)] water [just] to cover [by <length>]',
      means: ({ length = '0 cm' }) => ({ do: 'water', cover: length }),
    },
    {
      form: '[(just|barely)] cover [it] [the bones] with [(cold|hot|boiling|warm|fresh|tap)] water [by <length>]',
      means: ({ length = '0 cm' }) => ({ do: 'water', cover: length }),
    },
    {
      form: '(fill|water) [up] [with [(cold|hot|boiling|warm|fresh|tap)] water] to <length>',
      means: ({ length }) => ({ do: 'water', level: length }),
    },
    {
      form: '(add|pour in) [some] [(cold|hot|boiling|warm|fresh|tap)] water',
      means: () => asks('How much water?', 'water 1 l', 'water to cover'),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    if ('amount' in step)
      return then(amountIn(shelf, ['volume', 'mass'], step.amount, 'amount'), ({ kind, value }) => ({
        do: 'water',
        to: { by: 'ml', value: kind === 'mass' ? value / DENSE : value },
      }));
    if ('level' in step)
      return then(valueIn(shelf, 'length', step.level, 'level'), (value) => ({
        do: 'water',
        to: { by: 'level', value },
      }));
    return then(valueIn(shelf, 'length', step.cover, 'cover'), (value) => ({
      do: 'water',
      to: { by: 'cover', value },
    }));
  },
  run: (pot, step, c, report) => fillWithWater(pot, step, c, report),
  scale: (step, factor) =>
    step.to.by === 'ml' ? { ...step, to: { by: 'ml', value: step.to.value * factor } } : step,
  hands: usually('water'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'adds',
  caution: nothing,
  mark: 'in',
};
