import type { ProcessConstants } from './constants';
import { liquidG, liquidMl } from './liquid';
import {
  bindingGPerL,
  body,
  ethanolPct,
  fatPct,
  gelatinPct,
  heapLevelCm,
  levelCm,
  LOSSES,
  piecesG,
  piecesMl,
  saltPct,
  standingMl,
  type Loss,
  type PotState,
} from './state';
import { litres, percent, type Joint, type Portions, type PotStep, type StepReport } from './step';
import { dipAt, levelAt, maxFillMl, type Vessel } from './vessel';

/** Something a cook should know about a step that can nevertheless be done. */
export interface Warning {
  readonly code: 'over-max-fill' | 'no-room-ahead' | 'not-covered' | 'oversalted' | 'water-stops-browning';
  readonly message: string;
  readonly value: number;
  readonly limit: number;
}

/** The pot after a step. Masses g, volumes ml at 20 °C, levels cm, shares in %, times h. */
export interface LedgerRow {
  readonly step: number;
  readonly do: PotStep['do'];
  readonly vessel: Vessel;
  readonly ml: number;
  readonly g: number;
  readonly piecesG: number;
  readonly piecesMl: number;
  /** Level at the pot's temperature, and the dip a ruler reads from the rim. */
  readonly levelCm: number;
  readonly dipCm: number;
  /** Level the same pot would have at 20 °C. */
  readonly coldLevelCm: number;
  readonly heapCm: number;
  readonly standingMl: number;
  readonly celsius: number;
  readonly upHours: number;
  readonly heatHours: number;
  readonly hobHours: number;
  readonly elapsedHours: number;
  readonly saltPct: number;
  readonly gelatinPct: number;
  readonly fatPct: number;
  readonly ethanolPct: number;
  readonly bindingGPerL: number;
  readonly body: number;
  readonly allergens: readonly string[];
  /** g lost in this step, by cause; below 0 where a second pass won some back. Causes that lost nothing are left out. */
  readonly lost: Readonly<Partial<Record<Loss, number>>>;
  /** Shares of the liquid lost in this step, in order (for the running book); below 0 for a share of the last such loss that came back. */
  readonly shares: StepReport['shares'];
  /** How many of the pot's inputs have gone in up to here. */
  readonly inputsSoFar: number;
  readonly portions?: Portions | undefined;
  /** What left for another use in this step. */
  readonly parted: readonly Joint[];
  readonly warnings: readonly Warning[];
}

export function ledgerRow(
  pot: PotState,
  step: PotStep,
  index: number,
  c: ProcessConstants,
  report: StepReport,
  before: Readonly<Record<Loss, number>>,
  inputsSoFar: number,
): LedgerRow {
  const lost: Partial<Record<Loss, number>> = {};
  for (const loss of LOSSES) if (pot.lost[loss] !== before[loss]) lost[loss] = pot.lost[loss] - before[loss];
  const ml = liquidMl(pot.liquid);
  const solidMl = piecesMl(pot);
  const level = levelCm(pot);
  return {
    step: index,
    do: step.do,
    vessel: pot.vessel,
    ml,
    g: liquidG(pot.liquid),
    piecesG: piecesG(pot),
    piecesMl: solidMl,
    levelCm: level,
    dipCm: dipAt(pot.vessel, level),
    coldLevelCm: levelAt(pot.vessel, ml + solidMl),
    heapCm: pot.pieces.length > 0 ? heapLevelCm(pot) : 0,
    standingMl: standingMl(pot),
    celsius: pot.celsius,
    upHours: report.upHours,
    heatHours: report.heatHours,
    hobHours: pot.hobHours,
    elapsedHours: pot.elapsedHours,
    saltPct: saltPct(pot),
    gelatinPct: gelatinPct(pot),
    fatPct: fatPct(pot),
    ethanolPct: ethanolPct(pot),
    bindingGPerL: bindingGPerL(pot),
    body: body(pot, c),
    allergens: [...pot.allergens].sort(),
    lost,
    shares: report.shares,
    inputsSoFar,
    portions: report.portions,
    parted: report.joints,
    warnings: warningsOf(pot, step, c, level),
  };
}

function warningsOf(pot: PotState, step: PotStep, c: ProcessConstants, level: number): Warning[] {
  const found: Warning[] = [];
  const standing = standingMl(pot);
  const most = maxFillMl(pot.vessel);
  if (standing > most * (1 + 1e-9))
    found.push({
      code: 'over-max-fill',
      message: `Stands at ${litres(standing)}, ${litres(standing - most)} above the ${litres(most)} to which the ${pot.vessel.name} should be filled: it cannot be stirred or skimmed.`,
      value: standing,
      limit: most,
    });
  const heap = pot.pieces.length > 0 ? heapLevelCm(pot) : 0;
  if (step.do === 'cook' && heap > level + 0.05)
    found.push({
      code: 'not-covered',
      message: `The pieces stand ${(heap - level).toFixed(1)} cm out of the liquid at ${level.toFixed(1)} cm: top up with ${litres(((heap - level) / level) * standing)} or use a narrower pot.`,
      value: heap,
      limit: level,
    });
  const salt = saltPct(pot);
  if (salt > c.oversaltedPct)
    found.push({
      code: 'oversalted',
      message: `Salt ${percent(salt)}: above ${percent(c.oversaltedPct)} most tasters call it too salty.`,
      value: salt,
      limit: c.oversaltedPct,
    });
  if (step.do === 'brown' && pot.liquid.water > piecesG(pot) * 0.25)
    found.push({
      code: 'water-stops-browning',
      message: `There are ${litres(pot.liquid.water)} of water with the pieces: water stops browning.`,
      value: pot.liquid.water,
      limit: piecesG(pot) * 0.25,
    });
  return found;
}

/**
 * Looks ahead from every filling: where what follows in the same vessel will stand above the
 * maximum fill, the step that filled it says so while something can still be done.
 */
export function roomAhead(rows: readonly LedgerRow[]): LedgerRow[] {
  return rows.map((row, i) => {
    if (row.do !== 'water' || row.warnings.some((w) => w.code === 'over-max-fill')) return row;
    const until = rows.findIndex(
      (later, j) => j > i && (later.vessel !== row.vessel || later.do === 'strain'),
    );
    const ahead = rows.slice(i + 1, until === -1 ? undefined : until);
    const worst = ahead.find((later) => later.warnings.some((w) => w.code === 'over-max-fill'));
    if (!worst) return row;
    const most = maxFillMl(row.vessel);
    const over = worst.standingMl - most;
    const warning: Warning = {
      code: 'no-room-ahead',
      message: `Leaves no room for step ${worst.step + 1}, which will stand ${litres(over)} above the maximum fill: fill ${litres(over)} less here.`,
      value: worst.standingMl,
      limit: most,
    };
    return { ...row, warnings: [...row.warnings, warning] };
  });
}
