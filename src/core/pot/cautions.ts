import type { LedgerRow } from './ledger';
import { litres } from './step';

const FIRST = 'Local food code and the site’s own plan come first.';
/** ml from which a hot pot should not be lifted by one person. */
const HEAVY_ML = 8000;

/** The usual caution where a step can hurt somebody: one line, or none. It never says that a process is safe. */
export function cautionFor(row: LedgerRow, before: LedgerRow | undefined): string | undefined {
  const hotMl = before && before.celsius > 60 ? before.standingMl : 0;
  if ((row.do === 'strain' || row.do === 'into') && hotMl > HEAVY_ML)
    return `Hot and heavy, ${litres(hotMl)}: lift and pour with two people. ${FIRST}`;
  if ((row.do === 'strain' || row.do === 'into') && hotMl > 0)
    return `Hot liquid: pour away from yourself. ${FIRST}`;
  if (row.do === 'puree' && before && before.celsius > 60)
    return `Hot liquid in a closed blender bursts out: fill it by half and hold a cloth over it. ${FIRST}`;
  if (row.do === 'chill') return `Cool fast in shallow pans or small tubs, never deep on the bench. ${FIRST}`;
  if (row.do === 'hold') return `Kept warm it stays hot, or it is a place for bacteria. ${FIRST}`;
  if (row.do === 'deglaze' && row.ethanolPct > 5)
    return `Alcohol vapour over a flame: keep your face and sleeves away. ${FIRST}`;
  if (row.do === 'defat' && row.celsius < 10)
    return `Cool fast in shallow pans before it rests overnight, never deep on the bench. ${FIRST}`;
  if (row.do === 'reduce' && before && before.ethanolPct > 5)
    return `Alcohol vapour over a flame: keep your face and sleeves away. ${FIRST}`;
  return undefined;
}

const HOT: readonly LedgerRow['do'][] = ['brown', 'cook', 'reduce', 'bring', 'roux', 'hold'];
const OUT: readonly LedgerRow['do'][] = [
  'skim',
  'strain',
  'pick',
  'second wash',
  'draw off',
  'into',
  'split',
  'turn to',
  'defat',
  'puree',
  'sieve',
  'chill',
  'portion',
];

/** What a verb does to the pot, for its mark beside the step: something comes in, it is hot, it leaves. */
export function kindOfStep(verb: LedgerRow['do']): 'in' | 'hot' | 'out' | 'unread' {
  if (verb === 'unread') return 'unread';
  if (HOT.includes(verb)) return 'hot';
  if (OUT.includes(verb)) return 'out';
  return 'in';
}
