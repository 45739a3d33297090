import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** kJ to warm a litre of water by a degree, near enough from 5 to 100 °C. */
const KJ_PER_L_K = 4.19 * 0.98;
/** kW that a hob can give to a pot at the most: what the file takes too. */
const MOST_KW = 200;
const LEAST_KW = 0.05;

/** kW that reach the pot, of what the label says. @param share of its kind, 0 to 1 */
export const netKwByLabel = (labelKw: number, share: number): Outcome<number> =>
  inRange(labelKw * share, 'label');

/**
 * kW that reach the pot, by how long so much water took from cold to the boil, the lid on: the heat in the water over the time.
 * What the pot itself and the air took is not in it, as it is not for the sauce either.
 * @param litres of water
 * @param fromC as it came from the tap, °C
 * @param minutes until it boiled
 */
export function netKwByBoiling(litres: number, fromC: number, minutes: number): Outcome<number> {
  if (!(litres > 0 && litres <= 500))
    return refuse('litres-out-of-range', 'litres', texts.litresOutOfRange(litres), {
      value: litres,
      limit: 500,
    });
  if (!(fromC >= 0 && fromC <= 90))
    return refuse('from-out-of-range', 'fromC', texts.waterCCannotStart(fromC), {
      value: fromC,
      limit: 90,
    });
  if (!(minutes > 0 && minutes <= 600))
    return refuse('minutes-out-of-range', 'minutes', texts.minutesOutOfRange(minutes), {
      value: minutes,
      limit: 600,
    });
  return inRange((litres * KJ_PER_L_K * (100 - fromC)) / (minutes * 60), 'minutes');
}

/** Minutes in which so much water boils with so many kW in it: what a cook can check with a watch. */
export const boilingMinutes = (litres: number, fromC: number, netKw: number): number =>
  (litres * KJ_PER_L_K * (100 - fromC)) / netKw / 60;

function inRange(kw: number, path: string): Outcome<number> {
  return kw >= LEAST_KW && kw <= MOST_KW
    ? fine(kw)
    : refuse('power-out-of-range', path, texts.kwIntoPotCannot(kw.toFixed(2), LEAST_KW, MOST_KW), {
        value: kw,
        limit: kw > MOST_KW ? MOST_KW : LEAST_KW,
      });
}
