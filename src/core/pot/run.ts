import { liquidMl } from './liquid';
import type { Trouble } from '../trouble';
import type { ProcessConstants } from './constants';
import { ledgerRow, type LedgerRow } from './ledger';
import { productOf, type Product } from './product';
import { emptyPot, overBrimMl, piecesG, standingMl, type Hob, type PotState } from './state';
import {
  litres,
  noReport,
  trouble,
  type PotStep,
  type StepReport,
  type StepRunner,
  type SupplyKey,
} from './step';
import { brown } from './steps/brown';
import { bring, cook, LONGEST_H } from './steps/cook';
import { defat } from './steps/defat';
import { loosenTo, thickenTo } from './steps/bands';
import { add, topUp, water } from './steps/fill';
import { enrich, loosen, mount, portion, roux, season, seasonTo, thicken } from './steps/finish';
import { into } from './steps/into';
import { drawOff, pick, secondWash } from './steps/part';
import { chill, hold } from './steps/keep';
import { reduce } from './steps/reduce';
import { puree, secondPass, sieve } from './steps/refine';
import { skim } from './steps/skim';
import { combine, gathered, split, turnTo } from './steps/split';
import { strain } from './steps/strain';
import { capacityMl, type Vessel } from './vessel';
import { lookAhead } from './look-ahead';

/** A recipe ready to be run. */
export interface Pot {
  readonly vessel: Vessel;
  readonly hob: Hob;
  readonly steps: readonly PotStep[];
}

/** Everything that is true of a pot whatever things cost. */
export interface PotRun {
  /** One row for each step done. A refused step has none, nor has any after it. */
  readonly rows: readonly LedgerRow[];
  /** What came in, in order; a row's `inputsSoFar` counts into it. */
  readonly inputs: readonly {
    readonly supply: SupplyKey;
    readonly name: string;
    readonly g: number;
    readonly step: number;
  }[];
  /** What was packed around portions: bought, but no part of what is eaten. */
  readonly packed: readonly { readonly supply: SupplyKey; readonly name: string; readonly g: number }[];
  /** Lines that could not be read: the cost is incomplete while there are any. */
  readonly unread: readonly { readonly step: number; readonly trouble: Trouble }[];
  /** The step that cannot be done, if one cannot; there is then no product. */
  readonly refused?: { readonly step: number; readonly trouble: Trouble };
  readonly product?: Product;
}

const runners: { readonly [Do in Exclude<PotStep['do'], 'unread'>]: StepRunner<Do> } = {
  add,
  // What lifts the pan's sediment, and what goes in by the spoon, come in like anything else.
  deglaze: (pot, step, c, report) => add(pot, { ...step, do: 'add' }, c, report),
  'to taste': (pot, step, c, report) => add(pot, { ...step, do: 'add' }, c, report),
  brown,
  water,
  'top up': topUp,
  bring,
  cook,
  skim,
  strain,
  pick,
  'second wash': secondWash,
  'draw off': drawOff,
  into,
  split,
  'turn to': turnTo,
  combine,
  defat,
  reduce,
  thicken,
  'thicken to': thickenTo,
  roux,
  loosen,
  'loosen to': loosenTo,
  enrich,
  puree,
  sieve,
  'second pass': secondPass,
  chill,
  hold,
  mount,
  season,
  'season to': seasonTo,
  portion,
};

const onHeat = (verb: PotStep['do']): boolean => verb === 'bring' || verb === 'cook' || verb === 'reduce';

function runStep(
  pot: PotState,
  step: Exclude<PotStep, { do: 'unread' }>,
  c: ProcessConstants,
  report: StepReport,
): Trouble | undefined {
  // One runner per verb, so the pairing is sound; the compiler cannot follow it through the union.
  const runner = runners[step.do] as StepRunner<typeof step.do>;
  const before = onHeat(step.do) ? liquidMl(pot.liquid) : undefined;
  const cannot = runner(pot, step as never, c, report);
  // Several heats one after the other are topped up together, to where the first of them began.
  if (!cannot) pot.beforeHeatMl = before === undefined ? undefined : (pot.beforeHeatMl ?? before);
  return cannot;
}

/**
 * Runs a pot from empty to product: the physics pass, in which money does not occur.
 *
 * Stops at the first step that cannot be done and says why; lines that could not be read are
 * passed over and counted, so that whoever prices the pot knows that the list is not whole.
 */
export function runPot({ vessel, hob, steps }: Pot, c: ProcessConstants): PotRun {
  const pot = emptyPot(vessel, hob, c.addedCelsius);
  const rows: LedgerRow[] = [];
  const inputs: { supply: SupplyKey; name: string; g: number; step: number }[] = [];
  const unread: { step: number; trouble: Trouble }[] = [];
  const packed: { supply: SupplyKey; name: string; g: number }[] = [];
  let portioned = false;
  for (const [index, step] of steps.entries()) {
    const report = noReport();
    const before = { lost: { ...pot.lost }, netKj: pot.netKj };
    if (step.do === 'unread') unread.push({ step: index, trouble: step.why });
    else {
      const cannot = portioned
        ? trouble(
            'after-portion',
            'Nothing can follow the portioning: it is the last step.',
            index + 1,
            index,
          )
        : (handsRefused(step.hands) ?? runStep(pot, step, c, report) ?? runsOver(pot));
      if (cannot)
        return { rows: lookAhead(rows), inputs, packed, unread, refused: { step: index, trouble: cannot } };
      portioned = step.do === 'portion';
    }
    for (const input of report.inputs) inputs.push({ ...input, step: index });
    packed.push(...report.packed);
    rows.push(ledgerRow(pot, step, index, c, report, before, inputs.length));
  }
  const ahead = lookAhead(rows, pot);
  gathered(pot);
  if (liquidMl(pot.liquid) === 0 && piecesG(pot) === 0) return { rows: ahead, inputs, packed, unread };
  return { rows: ahead, inputs, packed, unread, product: productOf(pot) };
}

function handsRefused(hands: number | undefined): Trouble | undefined {
  if (hands === undefined || (hands >= 0 && hands <= LONGEST_H)) return undefined;
  return trouble(
    'hands-out-of-range',
    `${hands.toFixed(1)} h of hands cannot be: from 0 to ${LONGEST_H} h for one step.`,
    hands,
    LONGEST_H,
  );
}

function runsOver(pot: PotState): Trouble | undefined {
  if (overBrimMl(pot) <= 1e-6) return undefined;
  const brim = capacityMl(pot.vessel);
  return trouble(
    'runs-over',
    `The pot would run over: ${litres(standingMl(pot))} in the ${pot.vessel.name}, which holds ${litres(brim)} to the brim.`,
    standingMl(pot),
    brim,
  );
}
