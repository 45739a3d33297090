import type { Unread, Written } from '../written';
import { namerOf, type Names } from './names';
import { readStepWith } from './read';
import type { SaidTable, SaidVerb } from './verb';

/**
 * Writes a step the way it is said in a kitchen. Reading it gives the step again, whatever things are called: where plain names
 * would be read as something else, all of them stand in quotes.
 * @param verbs every verb that can be said
 */
export function writeStepWith<W extends Written>(
  verbs: SaidTable<W>,
  step: W | Unread,
  names: Names,
): string {
  if (isUnread(step)) return step.said;
  // One verb per kind of step, so the pairing is sound; the compiler cannot follow it through the union.
  const verb = verbs[step.do as W['do']] as unknown as SaidVerb<W>;
  const hands = step.hands === undefined ? '' : `, ${step.hands} of labour`;
  const plainly = `${verb.says(step, namerOf(names, false))}${hands}`;
  const back = readStepWith(verbs, plainly, names);
  return back.ok && same(back.value, step) ? plainly : `${verb.says(step, namerOf(names, true))}${hands}`;
}

const isUnread = (step: Written | Unread): step is Unread => step.do === 'unread';

/** What stands beside a step's words and is said by none of them. */
const BESIDE = new Set(['id', 'note', 'off', 'way']);

/** Whether two steps say the same, what stands beside their words aside. */
function same(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].every(
    (key) => BESIDE.has(key) || same(x[key], y[key]),
  );
}
