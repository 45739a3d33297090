import type { Fuel, ProcessConstants } from './constants';
import { fatG, liquidG, liquidMl } from './liquid';
import { asideOf, type Aside } from './aside';
import { LOSSES, type Loss } from './losses';
import type { Joint, Portions, StepReport } from './report';
import {
  bindingGPerL,
  bodyParts,
  ethanolPct,
  fatPct,
  gelatinPct,
  heapLevelCm,
  levelCm,
  piecesG,
  piecesMl,
  saltPct,
  standingMl,
  type BodyParts,
  type PotState,
} from './state';
import { dipAt, levelAt, type Vessel } from './vessel';
import type { Warning } from './warnings';

/** The pot after a step. Masses g, volumes ml at 20 °C, levels cm, shares in %, times h. */
export interface LedgerRow {
  readonly step: number;
  readonly do: string;
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
  /** Hot; and what it is made of, for `bodyAt`. */
  readonly body: number;
  readonly bodyOf: BodyParts;
  /** % of liquid and pieces together, where there are pieces: what a spoonful holds. */
  readonly spoonful?: { readonly saltPct: number; readonly fatPct: number } | undefined;
  readonly allergens: readonly string[];
  /** g lost in this step, by cause; below 0 where a second pass won some back. Causes that lost nothing are left out. */
  readonly lost: Readonly<Partial<Record<Loss, number>>>;
  /** Shares of the liquid lost in this step, in order (for the running book); below 0 for a share of the last such loss that came back. */
  readonly shares: StepReport['shares'];
  /** How many of the pot's inputs have gone in up to here. */
  readonly inputsSoFar: number;
  readonly portions?: Portions | undefined;
  readonly aside: Aside;
  /** What this step takes off the meter: kWh of a fuel, the hob's own losses counted. */
  readonly energy: { readonly fuel: Fuel; readonly kWh: number };
  /** h of active work in this step. */
  readonly handsHours: number;
  /** h of these that are the batch's share of setting up and washing up: on its first step. */
  readonly sharedHandsHours?: number | undefined;
  /** What left for another use in this step. */
  readonly parted: readonly Joint[];
  readonly warnings: readonly Warning[];
}

/** What a row says of its step rather than of the pot. */
export interface RowOf {
  readonly step: number;
  readonly do: string;
  readonly handsHours: number;
  readonly warnings: readonly Warning[];
  readonly inputsSoFar: number;
}

/** Salt and fat of liquid and pieces together, %: what is eaten where pieces are served. */
function spoonful(pot: PotState): LedgerRow['spoonful'] {
  if (pot.pieces.length === 0) return undefined;
  const { liquid, pieces } = pot;
  const g = liquidG(liquid) + piecesG(pot);
  const salt = pieces.reduce((sum, p) => sum + p.parts.salt, liquid.salt);
  const fat = pieces.reduce((sum, p) => sum + p.parts.fat, fatG(liquid));
  return { saltPct: (salt / g) * 100, fatPct: (fat / g) * 100 };
}

export function ledgerRow(
  pot: PotState,
  of: RowOf,
  c: ProcessConstants,
  report: StepReport,
  before: { readonly lost: Readonly<Record<Loss, number>>; readonly netKj: number },
): LedgerRow {
  const lost: Partial<Record<Loss, number>> = {};
  for (const loss of LOSSES)
    if (pot.lost[loss] !== before.lost[loss]) lost[loss] = pot.lost[loss] - before.lost[loss];
  const ml = liquidMl(pot.liquid);
  const solidMl = piecesMl(pot);
  const level = levelCm(pot);
  const thick = bodyParts(pot, c);
  return {
    // Field by field: spread into so large an object, what a row is made of costs more than what the pot does.
    step: of.step,
    do: of.do,
    handsHours: of.handsHours,
    warnings: of.warnings,
    inputsSoFar: of.inputsSoFar,
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
    body: thick.starch + thick.gelatin + thick.held + thick.pulp,
    bodyOf: thick,
    spoonful: spoonful(pot),
    allergens: [...pot.allergens].sort(),
    lost,
    shares: report.shares,
    portions: report.portions,
    aside: asideOf(pot),
    energy: {
      fuel: pot.hob.fuel,
      kWh: (pot.netKj - before.netKj) / 3600 / (pot.hob.efficiency ?? c.efficiency[pot.hob.fuel]),
    },
    parted: report.joints,
  };
}

/** Body from which something is a paste: nobody thinks of it in litres. */
const PASTE = 2.5;

/** Whether a cook thinks of what a pot gives in kilos: roux, kneaded butter, pastes, and pieces without a liquid to speak of. */
export const isInKilos = (last: LedgerRow | undefined): boolean =>
  last !== undefined && last.g + last.piecesG > 0 && (last.body >= PASTE || last.ml < last.piecesMl * 0.05);
