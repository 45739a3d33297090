import {
  heapLevelCm,
  levelCm,
  liquidG,
  liquidMl,
  litres,
  openAreaM2,
  piecesMl,
  standingMl,
  volumeAt,
  type Heat,
  type Lid,
  type PotState,
  type ProcessConstants,
  type StepReport,
  type Warning,
} from '../../pot';
import * as texts from './texts';

/** Share of the gaps in a heap that must be wet before it is a pot of liquid and not something that sweats. */
const SWEATS = 1 / 3;
/** h of hard boiling that cloud nothing yet. */
const BRIEF_H = 0.25;
/** Below this share of what a heat would drive off, the burner decides. */
const WEAK = 2 / 3;

/** Pieces that stand out of an open liquid dry out; under a lid the steam cooks them, and a sweat has no liquid to speak of. */
export function uncovered(pot: PotState, lid: Lid): Warning[] {
  if (lid !== 'off' || pot.pieces.length === 0) return [];
  const heap = heapLevelCm(pot);
  const level = levelCm(pot);
  const gaps = volumeAt(pot.vessel, heap) - piecesMl(pot);
  if (heap <= level + 0.05 || liquidMl(pot.liquid) < gaps * SWEATS) return [];
  const short = ((heap - level) / level) * standingMl(pot);
  return [
    {
      code: 'not-covered',
      message: texts.piecesStandCmOut((heap - level).toFixed(1), level.toFixed(1)),
      value: heap,
      limit: level,
      unit: 'cm',
      cure: {
        do: 'top up',
        message: texts.topUpOrUse(litres(short)),
        value: short,
        unit: 'ml',
      },
    },
  ];
}

/** A boil with bones in it clouds the liquid. */
export function clouded(pot: PotState, heat: Heat, hours: number, c: ProcessConstants): Warning[] {
  const limit = c.heats.simmer.celsius;
  const hard = c.heats[heat].celsius > limit;
  if (!hard || hours <= BRIEF_H || !pot.pieces.some((p) => p.stuff.gelatinPool > 0)) return [];
  return [
    {
      code: 'boiled-with-bones',
      message: texts.boilsCBonesAbove(pot.celsius.toFixed(0), limit.toFixed(0)),
      value: pot.celsius,
      limit,
      unit: '°C',
      cure: {
        do: 'simmer',
        message: texts.keepBareSimmerC(c.heats['bare simmer'].celsius.toFixed(0)),
        value: c.heats['bare simmer'].celsius,
        unit: '°C',
      },
    },
  ];
}

/** @param verb as the cure says it: `Cook`, `Reduce` */
export function boiledDry(verb: string, report: StepReport): Warning[] {
  const dry = report.dryAfterHours;
  if (dry === undefined) return [];
  const hours = report.heatHours;
  return [
    {
      code: 'boils-dry',
      message: texts.boilsDryAfterMin(Math.round(dry * 60), Math.round(hours * 60)),
      value: hours,
      limit: dry,
      unit: 'h',
      cure: {
        do: 'cook shorter',
        message: texts.lessThanMinOr(verb, Math.round(dry * 60)),
        value: dry,
        unit: 'h',
      },
    },
  ];
}

/** A heat that the burner cannot keep up: the time is the burner's, not the heat's. */
export function burnerLimits(pot: PotState, heat: Heat, lid: Lid, c: ProcessConstants): Warning[] {
  if (pot.hob.netKw === null || liquidG(pot.liquid) === 0) return [];
  const wants = c.heats[heat].rate * openAreaM2(pot.vessel, levelCm(pot)) * c.lids[lid];
  const gives = (pot.hob.netKw * 3600) / c.latentKj;
  if (gives >= wants * WEAK) return [];
  const kw = (wants * c.latentKj) / 3600;
  return [
    {
      code: 'burner-limits',
      message: texts.wouldDriveOffKg(
        heat,
        pot.vessel.name,
        wants.toFixed(1),
        pot.hob.netKw.toFixed(1),
        pot.hob.name,
        gives.toFixed(1),
      ),
      value: wants,
      limit: gives,
      unit: 'kg/h',
      cure: {
        do: 'stronger hob',
        message: texts.needsKwOrTwo(kw.toFixed(1)),
        value: kw,
        unit: 'kW',
      },
    },
  ];
}
