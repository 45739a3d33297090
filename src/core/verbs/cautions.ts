import { litres, type LedgerRow } from '../pot';

const FIRST = 'Local food code and the site’s own plan come first.';
/** ml from which a hot pot should not be lifted by one person. */
const HEAVY_ML = 8000;
/** °C from which a liquid scalds. */
const SCALDS = 60;
/** % of alcohol from which its vapour may catch fire. */
const STRONG = 5;

/** A caution in a line, deferring to what comes first. */
export const caution = (words: string): string => `${words} ${FIRST}`;

export const isScalding = (row: LedgerRow | undefined): row is LedgerRow =>
  row !== undefined && row.celsius > SCALDS;

/** Of pouring a hot pot out. */
export function pouringHot(_row: LedgerRow, before: LedgerRow | undefined): string | undefined {
  const ml = isScalding(before) ? before.standingMl : 0;
  if (ml > HEAVY_ML) return caution(`Hot and heavy, ${litres(ml)}: lift and pour with two people.`);
  return ml > 0 ? caution('Hot liquid: pour away from yourself.') : undefined;
}

/** Of alcohol over a flame. */
export const spirits = (row: LedgerRow | undefined): string | undefined =>
  row && row.ethanolPct > STRONG
    ? caution('Alcohol vapour over a flame: keep your face and sleeves away.')
    : undefined;
