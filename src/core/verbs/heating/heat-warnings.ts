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
      message: `The pieces stand ${(heap - level).toFixed(1)} cm out of the liquid at ${level.toFixed(1)} cm.`,
      value: heap,
      limit: level,
      unit: 'cm',
      cure: {
        do: 'top up',
        message: `Top up with ${litres(short)} or use a narrower pot.`,
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
      message: `Boils at ${pot.celsius.toFixed(0)} °C with the bones in: above ${limit.toFixed(0)} °C scum and fat are beaten back in and the liquid clouds.`,
      value: pot.celsius,
      limit,
      unit: '°C',
      cure: {
        do: 'simmer',
        message: `Keep it at a bare simmer, ${c.heats['bare simmer'].celsius.toFixed(0)} °C.`,
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
      message: `Boils dry after ${Math.round(dry * 60)} of its ${Math.round(hours * 60)} min: it would burn.`,
      value: hours,
      limit: dry,
      unit: 'h',
      cure: {
        do: 'cook shorter',
        message: `${verb} it less than ${Math.round(dry * 60)} min, or put a lid on.`,
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
      message: `A ${heat} in the ${pot.vessel.name} would drive off ${wants.toFixed(1)} kg an hour; the ${pot.hob.netKw.toFixed(1)} kW of the ${pot.hob.name} drive off ${gives.toFixed(1)} at most, so it takes longer.`,
      value: wants,
      limit: gives,
      unit: 'kg/h',
      cure: {
        do: 'stronger hob',
        message: `It needs ${kw.toFixed(1)} kW, or two vessels on two hobs.`,
        value: kw,
        unit: 'kW',
      },
    },
  ];
}
