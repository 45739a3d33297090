import { fine, refuse, type Outcome } from '../trouble';
import type { Written } from '../written';
import { matchAt } from './match';
import type { Names } from './names';
import { lifted, plain } from './quotes';
import { rulesOf, type SaidTable } from './verb';
import * as texts from './texts';

/**
 * Reads a step as it is said: `8 kg venison bones`, `brown 18 %`, `water to cover by 3 cm`,
 * `bare simmer 4 h lid ajar`, `strain, pressed`, `reduce by half`, `season to 0.6 %`.
 *
 * Only the form of the line and its names are settled here; amounts stay as typed and are read when
 * the pot is run.
 * @param verbs every verb that can be said
 * @returns trouble `not-understood`, `name-unknown` or `name-unclear`
 */
export function readStepWith<W extends Written>(verbs: SaidTable<W>, text: string, names: Names): Outcome<W> {
  const said = lifted(text).trim().replace(/\s+/g, ' ');
  // What a step takes of hands can stand behind any of them.
  const hands = /^(.+),\s*([^,]+?)\s+(?:of\s+)?(?:hands|labou?r)$/i.exec(said);
  if (!hands) return readDoing(verbs, said, names);
  const read = readDoing(verbs, matchAt(hands, 1), names);
  return read.ok ? fine({ ...read.value, hands: matchAt(hands, 2) }) : read;
}

function readDoing<W extends Written>(verbs: SaidTable<W>, said: string, names: Names): Outcome<W> {
  for (const [form, means] of rulesOf(verbs)) {
    const match = (form instanceof RegExp ? form : form(names)).exec(said);
    if (match) return means(match, names);
  }
  return refuse(
    'not-understood',
    '',
    said === '' ? texts.sayWhatHappensSuch : texts.notUnderstoodSayLike(plain(said)),
  );
}
