import type { z } from 'zod';
import {
  liquidMl,
  litres,
  percent,
  piecesMl,
  standingMl,
  trouble,
  type Doing,
  type PotState,
} from '../../pot';
import { asks, matchAt, findNamed } from '../../said';
import { usableOf, type SupplyKey } from '../../supply';
import { fine, refuse, type Outcome, type Trouble } from '../../trouble';
import { doing, Id, Typed } from '../../written';
import { maybeIn, then, valueIn } from '../resolving';
import type { Shelf } from '../shelf';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const Portion = doing('portion', {
  size: Typed,
  overfill: Typed.optional(),
  container: Id.optional().describe(
    'the jar, tub or carton each is packed in: an ingredient bought by the piece',
  ),
});
type Written = z.infer<typeof Portion>;

export interface PortionStep extends Doing {
  readonly do: 'portion';
  readonly ml: number;
  readonly overfill: number;
  /** What each portion is packed in, and what one of them weighs. */
  readonly container?: { readonly supply: SupplyKey; readonly name: string; readonly g: number } | undefined;
}

/** No ladle pours more than this share beyond what it is meant to. */
const MOST_OVER = 1;

/** A jar, tub or carton: what one of it weighs carries its price. */
function containerIn(shelf: Shelf, id: string | undefined): Outcome<PortionStep['container']> {
  if (id === undefined) return fine(undefined);
  const found = shelf.stuff(id);
  if (!found) return refuse('unknown-ingredient', 'container', texts.whatPackedNotKnown);
  const { name } = found.stuff;
  const g = found.pieceG?.each ?? found.eachG;
  return g === undefined
    ? refuse('each-unknown', 'container', texts.whatOneWeighsNot(name))
    : fine({ supply: usableOf(id), name, g });
}

function cannot(pot: PotState, step: PortionStep, there: number, poured: number): Trouble | undefined {
  if (!(step.ml > 0))
    return trouble(
      'portion-out-of-range',
      `A portion of ${step.ml.toFixed(0)} ml cannot be: it is above 0 ml.`,
      step.ml,
      0,
    );
  if (!(step.overfill >= 0 && step.overfill <= MOST_OVER))
    return trouble(
      'overfill-out-of-range',
      `Portion: ${percent(step.overfill * 100)} over cannot be: from 0 to ${MOST_OVER * 100} %.`,
      step.overfill * 100,
      MOST_OVER * 100,
    );
  if (poured > there)
    return trouble(
      'portion-too-large',
      `A portion of ${poured.toFixed(0)} ml: there are only ${there.toFixed(0)} ml in the pot.`,
      poured,
      there,
    );
  return pot.aside.length > 0
    ? trouble(
        'stands-aside',
        `Portion: ${pot.aside.map((s) => `${litres(standingMl(s))} stand in the ${s.vessel.name}`).join(' and ')}: combine them first.`,
        pot.aside.length,
        0,
      )
    : undefined;
}

/** Portions what is in the pot, pieces and all; a remainder too small for a portion goes back to store. */
export const portion: Verb<Written, PortionStep> = {
  written: [Portion],
  ids: (step, each) =>
    step.container === undefined
      ? step
      : { ...step, container: each('ingredient', step.container, 'container') },
  takes: (step) => (step.container === undefined ? undefined : { ingredient: step.container }),
  parts: nothing,
  amount: (step) => step.size,
  flaw: nothing,
  says: (step, name) =>
    `portion ${step.size}${step.overfill ? `, ${step.overfill} over` : ''}${step.container === undefined ? '' : `, in ${name.ingredient(step.container)}`}`,
  reads: [
    [
      /^portion\s+(.+?)(?:,\s*(.+?)\s+over)?(?:,\s*in\s+(?:an?\s+)?(.+))?$/i,
      (m, names) => {
        const [size, overfill, container] = [matchAt(m, 1), matchAt(m, 2), matchAt(m, 3)];
        const found = container === '' ? undefined : findNamed(container, names.ingredients, 'ingredient');
        if (found && !found.ok) return found;
        return fine({
          do: 'portion',
          size,
          ...(overfill === '' ? {} : { overfill }),
          ...(found ? { container: found.value.id } : {}),
        });
      },
    ],
  ],
  everyday: [
    {
      form: '(portion|portions|ladle|bottle|fill) [(out|into|of|up)] [(portions|tubs|bags|jars)] [of] <litres> [each]',
      means: ({ litres }) => ({ do: 'portion', size: litres }),
    },
    { form: '<number> portions of <litres>', means: ({ litres }) => ({ do: 'portion', size: litres }) },
    {
      form: '([(makes|serves)] <number> (portions|covers|people)|(makes|serves) <number>)',
      means: () => asks('Of how much each?', 'portion 60 ml', 'portion 250 ml', 'portion 300 ml'),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const size = valueIn(shelf, 'volume', step.size, 'size');
    if (!size.ok) return size;
    const container = containerIn(shelf, step.container);
    if (!container.ok) return container;
    return then(maybeIn(shelf, 'share', step.overfill, 'overfill'), (overfill = 0) => ({
      do: 'portion',
      ml: size.value,
      overfill,
      container: container.value,
    }));
  },
  run(pot, step, _c, report) {
    const there = liquidMl(pot.liquid) + piecesMl(pot);
    const poured = step.ml * (1 + step.overfill);
    const wrong = cannot(pot, step, there, poured);
    if (wrong) return wrong;
    // A hair of rounding must not swallow the last whole portion.
    const whole = Math.floor(there / poured + 1e-9);
    report.portions = {
      ml: step.ml,
      pouredMl: poured,
      whole,
      remainderMl: Math.max(0, there - whole * poured),
    };
    if (step.container) report.packed.push({ ...step.container, g: step.container.g * whole });
    return undefined;
  },
  scale: asItIs,
  hands: usually('portion'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
