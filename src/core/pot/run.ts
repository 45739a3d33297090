import equal from 'fast-deep-equal/es6/index.js';
import type { Trouble } from '../trouble';
import { gathered, trayOf } from './aside';
import type { ProcessConstants } from './constants';
import { litres, trouble } from './figures';
import { LONGEST_H } from './heat';
import { ledgerRow, type LedgerRow } from './ledger';
import { liquidMl } from './liquid';
import { lookAhead, type FillingOf } from './look-ahead';
import { productOf, type Product } from './product';
import { pieceG } from './piece';
import { noReport, type StepReport, type JointTaken } from './report';
import { copyPot, emptyPot, overBrimMl, piecesG, standingMl, type Hob, type PotState } from './state';
import { capacityMl, type Vessel } from './vessel';
import { isIdle, potVerb, type Doing, type Handled, type IdleStep, type PotTable } from './verb';
import { delicacyOf, spoiled, warningsOfAny, type Delicacy } from './warnings';

/** A recipe ready to be run. */
export interface PotOf<S extends Doing> {
  readonly vessel: Vessel;
  readonly hob: Hob;
  readonly steps: readonly (S | IdleStep)[];
}

/** Everything that is true of a pot whatever things cost. */
export interface PotRun {
  /** One row for each step done. A refused step has none, nor has any after it. */
  readonly rows: readonly LedgerRow[];
  /** What came in, in order; a row's `inputsSoFar` counts into it. */
  readonly inputs: readonly (JointTaken & { readonly step: number })[];
  /** What was packed around portions: bought, but no part of what is eaten. */
  readonly packed: readonly JointTaken[];
  /** Lines that could not be read: the cost is incomplete while there are any. */
  readonly unread: readonly { readonly step: number; readonly trouble: Trouble }[];
  /** The step that cannot be done, if one cannot; there is then no product. */
  readonly refused?: { readonly step: number; readonly trouble: Trouble };
  readonly product?: Product;
}

/** The pot after a step, and what had come in by then. */
interface Mark {
  readonly pot: PotState;
  readonly row: LedgerRow;
  readonly inputs: number;
  readonly packed: number;
  readonly portioned: boolean;
}

/** A run with the pot after each of its steps: another that begins with the same steps goes on from there (`runPotFromWith`). */
export interface TracedRun<S extends Doing> {
  readonly run: PotRun;
  readonly of: PotOf<S>;
  readonly c: ProcessConstants;
  readonly marks: readonly Mark[];
}

/** A pot on its way: what has come in, what could not be read, and where it stands. */
interface OnItsWay {
  readonly pot: PotState;
  readonly rows: LedgerRow[];
  readonly inputs: (JointTaken & { step: number })[];
  readonly packed: JointTaken[];
  readonly unread: { step: number; trouble: Trouble }[];
  portioned: boolean;
}

/**
 * Runs a pot from empty to product: the physics pass, in which money does not occur.
 *
 * Stops at the first step that cannot be done and says why; lines that could not be read are
 * passed over and counted, so that anyone who prices the pot knows that the list is not whole.
 * @param verbs every verb a step may have
 */
export const runPotWith = <S extends Doing>(verbs: PotTable<S>, of: PotOf<S>, c: ProcessConstants): PotRun =>
  runOn(verbs, of, c, setOut(of, c), () => undefined);

/**
 * The same run, gone on with from the last step it has in common with an earlier one: of a sheet that is being written only what
 * stands below the line in hand is cooked again. What it says is what `runPotWith` says, to the last bit.
 */
export function runPotFromWith<S extends Doing>(
  verbs: PotTable<S>,
  of: PotOf<S>,
  c: ProcessConstants,
  before?: TracedRun<S>,
): TracedRun<S> {
  const same = before ? inCommon(before, of, c) : 0;
  const marks: Mark[] = before ? before.marks.slice(0, same) : [];
  const last = marks.at(-1);
  const way =
    last && before
      ? {
          pot: copyPot(last.pot),
          rows: marks.map((m) => m.row),
          inputs: before.run.inputs.slice(0, last.inputs),
          packed: before.run.packed.slice(0, last.packed),
          unread: before.run.unread.filter((u) => u.step < same),
          portioned: last.portioned,
        }
      : setOut(of, c);
  const run = runOn(verbs, of, c, way, (row) => {
    const { inputs, packed, portioned, pot } = way;
    marks.push({ pot: copyPot(pot), row, inputs: inputs.length, packed: packed.length, portioned });
  });
  return { run, of, c, marks };
}

/** How many steps two pots begin with that are the same, of the same vessel on the same hob. */
function inCommon<S extends Doing>(before: TracedRun<S>, of: PotOf<S>, c: ProcessConstants): number {
  if (before.c !== c || !equal(before.of.vessel, of.vessel) || !equal(before.of.hob, of.hob)) return 0;
  const most = Math.min(before.marks.length, of.steps.length);
  let same = 0;
  while (same < most && equal(before.of.steps[same], of.steps[same])) same += 1;
  return same;
}

const setOut = <S extends Doing>({ vessel, hob }: PotOf<S>, c: ProcessConstants): OnItsWay => ({
  pot: emptyPot(vessel, hob, c.addedCelsius),
  rows: [],
  inputs: [],
  packed: [],
  unread: [],
  portioned: false,
});

/** Does the steps that have not been done yet. `mark` is told of each that has. */
function runOn<S extends Doing>(
  verbs: PotTable<S>,
  { steps }: PotOf<S>,
  c: ProcessConstants,
  way: OnItsWay,
  mark: (row: LedgerRow) => void,
): PotRun {
  const { pot, rows, inputs, packed, unread } = way;
  const filling: FillingOf = (row) =>
    isIdle(row) ? 'no' : potVerb(verbs, { do: row.do as S['do'] }).filling;
  for (let index = rows.length; index < steps.length; index += 1) {
    const step = steps[index] as S | IdleStep;
    const report = noReport();
    const before = { lost: { ...pot.lost }, netKj: pot.netKj, ...atHand(pot), ...delicacyOf(pot) };
    if (isIdle(step)) {
      if (step.do === 'unread') unread.push({ step: index, trouble: step.why });
    } else {
      const cannot = way.portioned ? afterPortion(index) : doStep(verbs, pot, step, c, report);
      if (cannot)
        return {
          rows: lookAhead(rows, filling),
          inputs,
          packed,
          unread,
          refused: { step: index, trouble: cannot },
        };
      way.portioned = report.portions !== undefined;
    }
    for (const input of report.inputs) inputs.push({ ...input, step: index });
    packed.push(...report.packed);
    const told = {
      step: index,
      do: step.do,
      ...besides(verbs, pot, step, c, report, before),
      inputsSoFar: inputs.length,
    };
    const row = ledgerRow(pot, told, c, report, before);
    rows.push(row);
    mark(row);
  }
  const ahead = lookAhead(rows, filling, pot);
  gathered(pot);
  if (liquidMl(pot.liquid) === 0 && piecesG(pot) === 0) return { rows: ahead, inputs, packed, unread };
  const product = productOf(pot);
  return { rows: withShared(ahead, product, c), inputs, packed, unread, product };
}

const afterPortion = (index: number): Trouble =>
  trouble('after-portion', 'Nothing can follow the portioning: it is the last step.', index + 1, index);

/** g of pieces, g in the strainer and on the tray, and ml of liquid. */
interface AtHand {
  readonly pieces: number;
  readonly held: number;
  readonly ml: number;
}
function atHand(pot: PotState): AtHand {
  const tray = trayOf(pot);
  const held = pot.inStrainer?.pieces.reduce((g, p) => g + pieceG(p), 0) ?? 0;
  return { pieces: piecesG(pot), held: held + (tray ? piecesG(tray) : 0), ml: liquidMl(pot.liquid) };
}

function handledIn(pot: PotState, report: StepReport, before: AtHand): Handled {
  const came = report.inputs.reduce((g, input) => g + input.g, 0);
  return {
    kg: (came > 0 ? came : Math.max(before.pieces, piecesG(pot))) / 1000,
    heldKg: before.held / 1000,
    l: Math.max(before.ml, liquidMl(pot.liquid)) / 1000,
  };
}

/** Setting up and washing up goes with the batch: on its first step, so that what parts from it bears its share. */
function withShared(rows: readonly LedgerRow[], product: Product, c: ProcessConstants): LedgerRow[] {
  const shared = Math.min(c.sharedHands.batch, (c.sharedHands.perL * product.ml) / 1000);
  return rows.map((row, i) =>
    i === 0 ? { ...row, handsHours: row.handsHours + shared, sharedHandsHours: shared } : row,
  );
}

/** The hands a step takes and what is to be watched for after it; of one that was not read, what any pot says of itself; of one left out, nothing. */
function besides<S extends Doing>(
  verbs: PotTable<S>,
  pot: PotState,
  step: S | IdleStep,
  c: ProcessConstants,
  report: StepReport,
  before: AtHand & Delicacy,
) {
  if (isIdle(step))
    return { handsHours: 0, warnings: step.do === 'unread' ? warningsOfAny(pot, false, c) : [] };
  const verb = potVerb(verbs, step);
  return {
    handsHours: step.hands ?? verb.hands(step, c, handledIn(pot, report, before)),
    warnings: [
      ...warningsOfAny(pot, verb.seasons, c),
      ...spoiled(pot, before, verb.heats || report.heatHours > 0, c),
      ...verb.warns(pot, step, c, report),
    ],
  };
}

/**
 * Does one step on a pot, in place.
 * @returns why it cannot be done; what the pot then holds is not to be used
 */
export function doStep<S extends Doing>(
  verbs: PotTable<S>,
  pot: PotState,
  step: S,
  c: ProcessConstants,
  report: StepReport,
): Trouble | undefined {
  const unsound = handsRefused(step.hands);
  if (unsound) return unsound;
  const verb = potVerb(verbs, step);
  const before = verb.heats ? liquidMl(pot.liquid) : undefined;
  const cannot = verb.run(pot, step, c, report);
  // Several heats one after the other are topped up together, to where the first of them began.
  if (cannot) return cannot;
  pot.beforeHeatMl = before === undefined ? undefined : (pot.beforeHeatMl ?? before);
  return runsOver(pot);
}

function handsRefused(hands: number | undefined): Trouble | undefined {
  if (hands === undefined || (hands >= 0 && hands <= LONGEST_H)) return undefined;
  return trouble(
    'hands-out-of-range',
    `${hands.toFixed(1)} h of labour cannot be: from 0 to ${LONGEST_H} h for one step.`,
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
