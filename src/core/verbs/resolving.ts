import type { Hob, JointCost, Matter, Vessel } from '../pot';
import { readAmountOf, toGrams, type Kind, type Weighable } from '../quantity';
import { lastOf, productOf, trimOf, usableOf, type SupplyKey } from '../supply';
import { fine, refuse, under, type Outcome } from '../trouble';
import type { Of, WrittenCost } from '../written';
import type { Shelf } from './shelf';
import * as texts from './texts';

/** An amount as typed, in base units; trouble names the field. */
export function amountIn(
  shelf: Shelf,
  kinds: readonly Kind[],
  typed: string,
  field: string,
): Outcome<{ kind: Kind; value: number }> {
  const read = readAmountOf(kinds, typed, shelf.manner);
  return read.ok
    ? fine({ kind: read.value.kind, value: read.value.value })
    : { ok: false, trouble: under(field, read.trouble) };
}

/** The same of one kind: a number. */
export const valueIn = (shelf: Shelf, kind: Kind, typed: string, field: string): Outcome<number> =>
  then(amountIn(shelf, [kind], typed, field), ({ value }) => value);

/** The same of a field that may be left out. */
export const maybeIn = (
  shelf: Shelf,
  kind: Kind,
  typed: string | undefined,
  field: string,
): Outcome<number | undefined> =>
  typed === undefined ? fine(undefined) : valueIn(shelf, kind, typed, field);

/** What is made of a value that was fine; trouble goes on as it is. */
export const then = <T, U>(outcome: Outcome<T>, make: (value: T) => U): Outcome<U> =>
  outcome.ok ? fine(make(outcome.value)) : outcome;

/** The supply a thing is priced as. What the last batch left stands apart for each fixed value it is given. */
export function supplyOf(of: Of): SupplyKey {
  if ('ingredient' in of) return usableOf(of.ingredient);
  if ('stockTrimOf' in of) return trimOf(of.stockTrimOf);
  return 'product' in of ? productOf(of.product, of.part) : lastOf(of.lastBatchOf, of.part, of.perLitre);
}

/** A thing by what the line names, and how it is weighed. */
export function thingOf(of: Of, shelf: Shelf): Outcome<{ what: Matter; weighable: Weighable }> {
  if ('product' in of || 'lastBatchOf' in of) {
    const found =
      'product' in of ? shelf.product(of.product, of.part) : shelf.lastBatch(of.lastBatchOf, of.part);
    if (!found.ok) return found;
    const { name, product } = found.value;
    return fine({
      what: { is: 'product', supply: supplyOf(of), name, product },
      // Only a batch is counted: an each of a sauce is nothing anybody could weigh.
      weighable: {
        name,
        densityGPerMl: product.g / product.ml,
        pieceG: { batch: product.g },
        eachUnit: 'batch',
      },
    });
  }
  const id = 'ingredient' in of ? of.ingredient : of.stockTrimOf;
  const found = shelf.stuff(id);
  if (!found) return refuse('unknown-ingredient', 'of', texts.ingredientLineNotKnown);
  const isTrim = 'stockTrimOf' in of;
  const stuff = isTrim ? { ...found.stuff, name: `${found.stuff.name}, stock trim` } : found.stuff;
  // A bunch or an each is the whole thing: trim is weighed or measured out.
  const { stuff: _s, densityGPerMl, ...pieces } = found;
  const trimmed = 'ingredient' in of && of.counted !== undefined;
  const counted = isTrim ? {} : { ...pieces, ...(trimmed ? { usable: 1 } : {}) };
  const weighable = { name: stuff.name, densityGPerMl, ...counted };
  return fine({ what: { is: 'stuff', supply: supplyOf(of), stuff }, weighable });
}

/** A thing and how many grams an amount of it is. Litres of a product go by what that product weighs. */
export function matterOf(of: Of, amount: string, shelf: Shelf): Outcome<{ what: Matter; g: number }> {
  const thing = thingOf(of, shelf);
  if (!thing.ok) return thing;
  const read = readAmountOf(['mass', 'volume', 'count'], amount, shelf.manner);
  if (!read.ok) return { ok: false, trouble: under('amount', read.trouble) };
  const { what, weighable } = thing.value;
  const grams = toGrams(read.value, weighable);
  if (!grams.ok) return { ok: false, trouble: under('amount', grams.trouble) };
  return fine({ what, g: grams.value.grams });
}

/** What a count of an ingredient comes to. */
export interface Counted {
  /** g that go in. */
  readonly usableG: number;
  /** g as bought. */
  readonly wholeG: number;
  /** Whether it stands for trimmed pieces, as older sheets meant it. */
  readonly trimmed: boolean;
}

/** What a count comes to, where an amount is one and something is cut off what is counted; undefined for all else. */
export function countedIn(of: Of | undefined, amount: string | null, shelf: Shelf): Counted | undefined {
  if (of === undefined || amount === null || !('ingredient' in of)) return undefined;
  const read = readAmountOf(['mass', 'volume', 'count'], amount, shelf.manner);
  const thing = thingOf({ ingredient: of.ingredient }, shelf);
  if (!read.ok || read.value.kind !== 'count' || !thing.ok) return undefined;
  const grams = toGrams(read.value, thing.value.weighable);
  if (!grams.ok || grams.value.wholeG === undefined || grams.value.grams === grams.value.wholeG)
    return undefined;
  const { grams: usableG, wholeG } = grams.value;
  return { usableG, wholeG, trimmed: of.counted !== undefined };
}

const noVessel = () => refuse('unknown-vessel', 'vessel', texts.vesselOrHobLine);

export function vesselIn(shelf: Shelf, id: string): Outcome<Vessel> {
  const vessel = shelf.vessel(id);
  return vessel ? fine(vessel) : noVessel();
}

/** A vessel on a hob. */
export function standIn(
  shelf: Shelf,
  at: { readonly vessel: string; readonly hob: string },
): Outcome<{ vessel: Vessel; hob: Hob }> {
  const vessel = shelf.vessel(at.vessel);
  const hob = shelf.hob(at.hob);
  return vessel && hob ? fine({ vessel, hob }) : noVessel();
}

/** How a joint product shares the cost, money per g. */
export function jointCost(cost: WrittenCost): JointCost {
  if (cost.by === 'weight') return cost;
  const perG = Number(cost.perKg) / 1000;
  return cost.by === 'credit'
    ? { by: 'credit', perG }
    : { by: 'market', perG, restPerG: Number(cost.restPerKg) / 1000 };
}
