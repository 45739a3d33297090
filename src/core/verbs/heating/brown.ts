import { z } from 'zod';
import {
  browned,
  chosenPieces,
  kilos,
  litres,
  partFat,
  pieceG,
  piecesG,
  trouble,
  type Doing,
  type JointCost,
  type Piece,
  type PotState,
  type Warning,
  type PieceChoice,
} from '../../pot';
import { asks, matchAt, whichSaid, whichWords } from '../../said';
import { readAmountOf } from '../../quantity';
import { fine, type Trouble } from '../../trouble';
import { Cost, doing, Name, Typed } from '../../written';
import { COST, fatIn, fatWords } from '../joint-words';
import { jointCost, maybeIn, then, valueIn } from '../resolving';
import { asItIs, nothing, usually, type Verb } from '../verb';
import { idsOfPieces, Pieces } from '../moving/which-form';
import * as texts from './texts';

const Brown = doing('brown', {
  loss: Typed,
  pieces: Pieces.describe('only these of what is in the pot; left out, all of it'),
  fatRunOff: Typed.optional(),
  fatKept: z.boolean().optional().describe('the fat stays in the pot; else it is poured off'),
  as: Name.optional().describe('the name under which the fat goes on to another use'),
  cost: Cost.optional().describe('of that fat; nothing where it is left out'),
  time: Typed.optional(),
});
type Written = z.infer<typeof Brown>;

export interface BrownStep extends Doing {
  readonly do: 'brown';
  /** Only these of what is in the pot. */
  readonly pieces?: PieceChoice;
  /** Shares of the pieces' current mass. */
  readonly vapour: number;
  readonly fatRunOff: number;
  readonly hours: number;
  /** Whether the fat that runs off stays in the pot; else it is poured off, for another use where it has a name. */
  readonly fatKept?: boolean | undefined;
  readonly as?: string | undefined;
  readonly cost?: JointCost | undefined;
}

/** °C at which water leaves what browns: the least heat that goes into it. */
const BROWNING = 100;
/** Share of the pieces' weight from which water stews them instead. */
const WET = 0.25;

/**
 * What a pan takes off vegetables in a minute, % of their weight, and at most, where only the time is said. Judgement: onions sweated soft
 * in ten minutes keep 75 %, mushrooms and onions fried for as long about 60 % (docs/constants.md, `onion_yield_sweated`, `roast_loss_veg_brown`).
 */
const SWEATING = { aMinute: 2.5, most: 25 };
const FRYING = { aMinute: 4, most: 45 };

function lossIn(time: string, { aMinute, most }: typeof SWEATING): string {
  const read = readAmountOf(['time'], time);
  const minutes = read.ok ? read.value.value * 60 : 10;
  return `${Math.max(1, Math.round(Math.min(most, aMinute * minutes)))} %`;
}

/** What the pieces hold too little of for it. */
function cannot(pot: PotState, step: BrownStep, chosen: readonly Piece[]): Trouble | undefined {
  const share = step.vapour + step.fatRunOff;
  if (pot.pieces.length === 0)
    return trouble('nothing-to-brown', 'Brown: there are no pieces in the pot to brown.', 0, 0);
  if (!(step.vapour >= 0 && step.fatRunOff >= 0 && share > 0 && share < 1))
    return trouble(
      'brown-out-of-range',
      `Brown ${(share * 100).toFixed(0)} % cannot be: the loss lies above 0 and below 100 % of the weight.`,
      share,
      1,
    );
  for (const piece of chosen) {
    const g = pieceG(piece);
    const vapour = g * step.vapour;
    const fat = g * step.fatRunOff;
    if (vapour > piece.parts.water)
      return trouble(
        'brown-too-far',
        `Brown ${(step.vapour * 100).toFixed(0)} %: ${piece.stuff.name} would give off ${kilos(vapour)} of vapour but hold only ${kilos(piece.parts.water)} of water.`,
        vapour,
        piece.parts.water,
      );
    if (fat > piece.parts.fat)
      return trouble(
        'too-little-fat',
        `Brown, fat run off ${(step.fatRunOff * 100).toFixed(0)} %: ${piece.stuff.name} would lose ${kilos(fat)} but holds only ${kilos(piece.parts.fat)} of fat.`,
        fat,
        piece.parts.fat,
      );
  }
  return undefined;
}

function tooWet(pot: PotState): Warning[] {
  const most = piecesG(pot) * WET;
  if (pot.liquid.water <= most) return [];
  return [
    {
      code: 'water-stops-browning',
      message: texts.waterPiecesWaterStops(litres(pot.liquid.water), kilos(piecesG(pot))),
      value: pot.liquid.water,
      limit: most,
      unit: 'g',
      cure: {
        do: 'pour the water off',
        message: texts.brownFirstThenPut,
        value: pot.liquid.water,
        unit: 'g',
      },
    },
  ];
}

const fatWay = (step: Written, name: Parameters<Verb<Written, BrownStep>['says']>[1]): string =>
  step.fatRunOff
    ? `, fat run off ${step.fatRunOff}${step.fatKept ? ' kept in the pot' : fatWords(step, name)}`
    : '';

/**
 * Browns the pieces in the pot: `vapour` and `fatRunOff` are shares of their current mass. Vapour is
 * all water: first juice and water that would have come out in the pot, the fat what would have rendered there; browning costs
 * no gelatin. The fat is poured off, kept in the pot, or a product
 * of its own.
 */
export const brown: Verb<Written, BrownStep> = {
  written: [Brown],
  ids: idsOfPieces,
  takes: nothing,
  parts: (step) => step.as,
  amount: (step) => step.loss,
  flaw(step) {
    if (step.as === undefined && !step.fatKept) return undefined;
    const say = (words: string) => ({ code: 'fat-nowhere', field: 'fatRunOff', words });
    if (step.fatRunOff === undefined) return say('no fat runs off that could be kept.');
    return step.as !== undefined && step.fatKept
      ? say(`the fat cannot stay in the pot and go on as “${step.as}” as well.`)
      : undefined;
  },
  says: (step, name) =>
    `brown ${step.loss}${step.pieces === undefined ? '' : `, only ${whichWords(step.pieces, name)}`}${fatWay(step, name)}${step.time ? `, takes ${step.time}` : ''}`,
  reads: [
    [
      new RegExp(
        String.raw`^brown\s+([^,]+?)(?:,\s*only\s+(.+?))?(?:,\s*fat run off\s+(.+?)(?:\s+(kept in the pot)|\s+as\s+(.+?)${COST})?)?(?:,\s*takes\s+(.+?))?$`,
        'i',
      ),
      (m, names) => {
        const only = m[2] ? whichSaid(matchAt(m, 2), names) : fine({});
        if (!only.ok) return only;
        return then(fatIn(matchAt(m, 5), matchAt(m, 6)), (fat) => ({
          do: 'brown',
          loss: matchAt(m, 1),
          ...only.value,
          ...(m[3] ? { fatRunOff: matchAt(m, 3) } : {}),
          ...(m[4] ? { fatKept: true } : {}),
          ...fat,
          ...(m[7] ? { time: matchAt(m, 7) } : {}),
        }));
      },
    ],
  ],
  everyday: [
    {
      form: '[(dry|oven)] (brown|roast|colour|sear|fry|saute|sauté|sweat|soften|caramelise|toast) [(it|them|everything)] [(by|off)] <share> [,] [(for|takes)] [<time>]',
      means: ({ share, time }) => ({ do: 'brown', loss: share, ...(time === undefined ? {} : { time }) }),
    },
    {
      form: '(brown|roast|colour|sear|fry|sweat|toast) [only] <which> [(by|off)] <share> [,] [(for|takes)] [<time>]',
      means: ({ which, share, time }) => ({
        do: 'brown',
        loss: share,
        ...which,
        ...(time === undefined ? {} : { time }),
      }),
    },
    {
      form: '(sweat|soften) [(it|them|gently|slowly|covered)] [for] <time>',
      means: ({ time }) => ({ do: 'brown', loss: lossIn(time, SWEATING), time }),
    },
    {
      form: '(fry|saute|sauté|caramelise) [(it|them|gently|hard|well)] [for] <time>',
      means: ({ time }) => ({ do: 'brown', loss: lossIn(time, FRYING), time }),
    },
    {
      form: '(sweat|soften|fry|saute|sauté|brown|sear|colour|roast|caramelise) [(it|them|the bones|gently|well|until (golden|soft|brown))] [for] [<time>]',
      means: ({ time = '1 h' }) =>
        asks('By how much of their weight?', `brown 18 %, takes ${time}`, `brown 33 %, takes ${time}`),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const loss = valueIn(shelf, 'share', step.loss, 'loss');
    if (!loss.ok) return loss;
    const fat = maybeIn(shelf, 'share', step.fatRunOff, 'fatRunOff');
    if (!fat.ok) return fat;
    return then(maybeIn(shelf, 'time', step.time, 'time'), (hours = 0) => ({
      do: 'brown',
      vapour: loss.value,
      pieces: step.pieces,
      fatRunOff: fat.value ?? 0,
      hours,
      fatKept: step.fatKept,
      as: step.as,
      cost: step.cost && jointCost(step.cost),
    }));
  },
  run(pot, step, c, report) {
    const chosen = pot.pieces.length === 0 ? [] : chosenPieces('Brown', pot, step.pieces, 'in the pot');
    if (!Array.isArray(chosen)) return chosen as Trouble;
    const wrong = cannot(pot, step, chosen);
    if (wrong) return wrong;
    let vapour = 0;
    let fat = 0;
    for (const piece of chosen) {
      const g = pieceG(piece);
      browned(piece, g * step.vapour, g * step.fatRunOff);
      vapour += g * step.vapour;
      fat += g * step.fatRunOff;
      pot.netKj += (g / 1000) * c.heatCapacity.pieces * Math.max(0, BROWNING - pot.celsius);
    }
    pot.lost['browned off'] += vapour;
    pot.netKj += (vapour / 1000) * c.latentKj;
    if (step.fatKept) pot.liquid.freeFat += fat;
    else if (step.as !== undefined) partFat(pot, step, fat, report);
    else pot.lost['fat run off'] += fat;
    pot.elapsedHours += step.hours;
    return undefined;
  },
  scale: asItIs,
  hands: usually('brown'),
  warns: (pot) => tooWet(pot),
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'hot',
};
