import { litres, type LedgerRow } from '../pot';
import { cautions } from '../safety';

/** ml from which a hot pot should not be lifted by one person. */
const HEAVY_ML = 8000;
/** °C from which a liquid scalds. */
const SCALDS = 60;
/** % of alcohol from which its vapour may catch fire. */
const STRONG = 5;

export const isScalding = (row: LedgerRow | undefined): row is LedgerRow =>
  row !== undefined && row.celsius > SCALDS;

/** Of pouring a hot pot out. */
export function pouringHot(_row: LedgerRow, before: LedgerRow | undefined): string | undefined {
  const ml = isScalding(before) ? before.standingMl : 0;
  if (ml > HEAVY_ML) return cautions.hotAndHeavy(litres(ml));
  return ml > 0 ? cautions.hotLiquid : undefined;
}

/** Of alcohol over a flame. */
export const spirits = (row: LedgerRow | undefined): string | undefined =>
  row && row.ethanolPct > STRONG ? cautions.spirits : undefined;
