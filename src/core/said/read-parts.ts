import { STRAINERS, type Strainer } from '../pot';
import type { WrittenCost, WrittenStep } from '../kitchen-file';
import { fine, refuse, type Outcome } from '../trouble';
import { at, step } from './match';
import { findNamed, type Names } from './names';

/** How a joint product is costed, behind a comma at the end of a line: a group of a pattern. */
export const COST = String.raw`(,\s*(?:by weight|at .+ a kilo|market .+ a kilo))?`;

export function readPick(
  share: string,
  piece: string,
  as: string | undefined,
  cost: string,
  names: Names,
): Outcome<WrittenStep> {
  const found = piece === '' ? undefined : findNamed(piece, names.ingredients, 'ingredient');
  if (found && !found.ok) return found;
  return withCost(cost, { by: 'weight' }, (how) => ({
    do: 'pick',
    share,
    ...(found ? { piece: found.value.id } : {}),
    ...(as === undefined ? {} : { as }),
    cost: how,
  }));
}

/** How a joint product shares the cost, as it is said behind a comma; the usual way where nothing is said. */
export function withCost(
  said: string,
  usual: WrittenCost,
  make: (cost: WrittenCost) => WrittenStep,
): Outcome<WrittenStep> {
  const words = said.replace(/^,\s*/, '');
  if (words === '') return step(make(usual));
  if (/^by weight$/i.test(words)) return step(make({ by: 'weight' }));
  const credit = /^at (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (credit) return step(make({ by: 'credit', perKg: at(credit, 1) }));
  const market = /^market (\d+(?:\.\d{1,4})?) to (\d+(?:\.\d{1,4})?) a kilo$/i.exec(words);
  if (market) return step(make({ by: 'market', perKg: at(market, 1), restPerKg: at(market, 2) }));
  return refuse(
    'not-understood',
    '',
    `“${words}” is no way to share a cost: “by weight”, “at 12.00 a kilo” or “market 38.00 to 2.00 a kilo”.`,
  );
}

export function readStrain(
  through: string,
  pressed: string,
  kept: string,
  names: Names,
): Outcome<WrittenStep> {
  const strainer = (through === '' ? 'cone sieve' : through.toLowerCase()) as Strainer;
  if (!STRAINERS.includes(strainer))
    return refuse('name-unknown', '', `“${through}” is not a strainer: ${STRAINERS.join(', ')}.`);
  const keep: string[] = [];
  for (const name of kept === '' ? [] : kept.split(/\s+and\s+(?:the\s+)?/i)) {
    const found = findNamed(name, names.ingredients, 'ingredient');
    if (!found.ok) return found;
    keep.push(found.value.id);
  }
  return step({
    do: 'strain',
    pressed: pressed !== '' && !/not/i.test(pressed),
    through: strainer,
    ...(keep.length > 0 ? { keep } : {}),
  });
}

/** Fat that is taken off and goes on under a name; with no name it is gone. */
export function withFat(
  name: string,
  cost: string,
  make: (fat: { as?: string; cost?: WrittenCost }) => WrittenStep,
): Outcome<WrittenStep> {
  if (name === '') return step(make({}));
  if (cost === '') return step(make({ as: name }));
  return withCost(cost, { by: 'credit', perKg: '0' }, (how) => make({ as: name, cost: how }));
}

/** A vessel on a hob; the kitchen's first hob where none is said. */
export function readStand(
  vessel: string,
  hob: string,
  names: Names,
  make: (vessel: string, hob: string) => WrittenStep,
): Outcome<WrittenStep> {
  const v = findNamed(vessel, names.vessels, 'vessel');
  if (!v.ok) return v;
  const first = names.hobs[0];
  const h =
    hob !== ''
      ? findNamed(hob, names.hobs, 'hob')
      : first
        ? fine(first)
        : refuse('name-unknown', '', 'The kitchen has no hob.');
  return h.ok ? step(make(v.value.id, h.value.id)) : h;
}

export function readPortion(
  size: string,
  overfill: string,
  container: string,
  names: Names,
): Outcome<WrittenStep> {
  const found = container === '' ? undefined : findNamed(container, names.ingredients, 'ingredient');
  if (found && !found.ok) return found;
  return step({
    do: 'portion',
    size,
    ...(overfill === '' ? {} : { overfill }),
    ...(found ? { container: found.value.id } : {}),
  });
}
