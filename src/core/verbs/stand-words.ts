import { findNamed, type Namer, type Names } from '../said';
import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** A vessel on a hob; the kitchen's first hob where none is said. */
export function standSaid(
  vessel: string,
  hob: string,
  names: Names,
): Outcome<{ vessel: string; hob: string }> {
  const v = findNamed(vessel, names.vessels, 'vessel', 'taken');
  if (!v.ok) return v;
  const first = names.hobs[0];
  const h =
    hob !== ''
      ? findNamed(hob, names.hobs, 'hob', 'taken')
      : first
        ? fine(first)
        : refuse('name-unknown', '', texts.kitchenNoHob);
  return h.ok ? fine({ vessel: v.value.id, hob: h.value.id }) : h;
}

export const standWords = (at: { readonly vessel: string; readonly hob: string }, name: Namer): string =>
  `${name.vessel(at.vessel)} on ${name.hob(at.hob)}`;
