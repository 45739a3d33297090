import type { Stuff } from '../larder';
import type { Hob, JointCost, Matter, PotStep, Product, ReduceTo, SupplyKey, Vessel } from '../pot';
import {
  DENSITY,
  readAmountOf,
  readNumber,
  toGrams,
  type Kind,
  type Manner,
  type Weighable,
} from '../quantity';
import { fine, refuse, under, type Outcome } from '../trouble';
import type { Of, WrittenCost, WrittenStep } from '../kitchen-file';

/** An ingredient as the pot reads it, with what is known of its measuring and counting. */
export interface OnShelf extends Omit<Weighable, 'name'> {
  readonly stuff: Stuff;
}

/** Where a written step's names and amounts are looked up. */
export interface Shelf {
  readonly manner: Manner;
  stuff(id: string): OnShelf | undefined;
  /** The product of another recipe; a refusal says why there is none. */
  product(id: string, part?: string): Outcome<{ name: string; product: Product }>;
  /** What the last batch of a recipe left. */
  lastBatch(id: string, part?: string): Outcome<{ name: string; product: Product }>;
  vessel(id: string): Vessel | undefined;
  hob(id: string): Hob | undefined;
}

export const partOf = (id: string, part: string | undefined): string =>
  part === undefined ? id : `${id}#${part}`;

/** The supply a thing is priced as. What the last batch left stands apart for each fixed value it is given. */
export function supplyOf(of: Of): SupplyKey {
  if ('ingredient' in of) return `usable:${of.ingredient}`;
  if ('stockTrimOf' in of) return `trim:${of.stockTrimOf}`;
  if ('product' in of) return `product:${partOf(of.product, of.part)}`;
  return `last:${partOf(of.lastBatchOf, of.part)}${of.perLitre === undefined ? '' : `@${of.perLitre}`}`;
}

/** A thing and how many grams an amount of it is. Litres of a product go by what that product weighs. */
export function matterOf(of: Of, amount: string, shelf: Shelf): Outcome<{ what: Matter; g: number }> {
  const thing = nameMatter(of, shelf);
  if (!thing.ok) return thing;
  const read = readAmountOf(['mass', 'volume', 'count'], amount, shelf.manner);
  if (!read.ok) return { ok: false, trouble: under('amount', read.trouble) };
  const { what, weighable } = thing.value;
  const grams = toGrams(read.value, weighable);
  if (!grams.ok) return { ok: false, trouble: under('amount', grams.trouble) };
  return fine({ what, g: grams.value.grams });
}

function nameMatter(
  of: Of,
  shelf: Shelf,
): Outcome<{
  what: Matter;
  weighable: Weighable;
}> {
  if ('product' in of || 'lastBatchOf' in of) {
    const found =
      'product' in of ? shelf.product(of.product, of.part) : shelf.lastBatch(of.lastBatchOf, of.part);
    if (!found.ok) return found;
    const { name, product } = found.value;
    return fine({
      what: { is: 'product', supply: supplyOf(of), name, product },
      weighable: { name, densityGPerMl: product.g / product.ml },
    });
  }
  const id = 'ingredient' in of ? of.ingredient : of.stockTrimOf;
  const found = shelf.stuff(id);
  if (!found) return refuse('unknown-ingredient', 'of', 'The ingredient of this line is not known.');
  const isTrim = 'stockTrimOf' in of;
  const stuff = isTrim ? { ...found.stuff, name: `${found.stuff.name}, stock trim` } : found.stuff;
  // A bunch or an each is the whole thing: trim is weighed or measured out.
  const { stuff: _s, densityGPerMl, ...pieces } = found;
  const weighable = { name: stuff.name, densityGPerMl, ...(isTrim ? {} : pieces) };
  return fine({ what: { is: 'stuff', supply: supplyOf(of), stuff }, weighable });
}

/**
 * Turns a step as written into one the pot can run. What cannot be read becomes an `unread` step
 * that says why, so that the rest can be followed and the cost is known to be incomplete.
 */
export function resolveStep(step: WrittenStep, shelf: Shelf): PotStep {
  const resolved = tryResolve(step, shelf);
  if (resolved.ok) return resolved.value;
  return { do: 'unread', said: step.do === 'unread' ? step.said : step.do, why: resolved.trouble };
}

/** The same, with the trouble handed back instead of a flagged line. */
export function tryResolve(step: WrittenStep, shelf: Shelf): Outcome<PotStep> {
  const resolved = resolveDoing(step, shelf);
  if (!resolved.ok || step.do === 'unread' || step.hands === undefined) return resolved;
  const hands = readAmountOf(['time'], step.hands, shelf.manner);
  if (!hands.ok) return { ok: false, trouble: under('hands', hands.trouble) };
  return fine({ ...resolved.value, hands: hands.value.value });
}

function resolveDoing(step: WrittenStep, shelf: Shelf): Outcome<PotStep> {
  const value = (kind: Kind, typed: string, field: string): Outcome<number> => {
    const read = readAmountOf([kind], typed, shelf.manner);
    return read.ok ? fine(read.value.value) : { ok: false, trouble: under(field, read.trouble) };
  };
  const maybe = (kind: Kind, typed: string | undefined, field: string): Outcome<number | undefined> =>
    typed === undefined ? fine(undefined) : value(kind, typed, field);
  const map = <T, U>(outcome: Outcome<T>, make: (t: T) => U): Outcome<U> =>
    outcome.ok ? fine(make(outcome.value)) : outcome;
  switch (step.do) {
    case 'unread':
      return refuse(
        'unread',
        '',
        step.said.trim() === '' ? 'The line is empty.' : `“${step.said}” could not be read.`,
      );
    case 'add':
    case 'deglaze':
    case 'thicken':
    case 'loosen':
    case 'enrich':
    case 'mount':
      return map(matterOf(step.of, step.amount, shelf), (m) => ({ do: step.do, ...m }));
    case 'to taste':
      return map(matterOf(step.of, step.usual, shelf), (m) => ({ do: 'to taste', ...m }));
    case 'thicken to':
    case 'loosen to':
      return map(nameMatter(step.of, shelf), ({ what }) => ({ do: step.do, what, band: step.band }));
    case 'top up':
      return fine({ do: 'top up' });
    case 'roux':
      return map(step.time === undefined ? fine(0) : value('time', step.time, 'time'), (hours) => ({
        do: 'roux',
        to: step.to,
        hours,
      }));
    case 'puree':
    case 'sieve':
      return map(maybe('share', step.loss, 'loss'), (loss) => ({ do: step.do, loss }));
    case 'second pass':
      return map(value('share', step.back, 'back'), (share) => ({ do: 'second pass', share }));
    case 'chill': {
      const to = value('temperature', step.to, 'to');
      if (!to.ok) return to;
      return map(maybe('time', step.time, 'time'), (hours) => ({ do: 'chill', celsius: to.value, hours }));
    }
    case 'hold': {
      const time = value('time', step.time, 'time');
      if (!time.ok) return time;
      return map(maybe('share', step.loss, 'loss'), (lossPerHour) => ({
        do: 'hold',
        hours: time.value,
        lossPerHour,
      }));
    }
    case 'season':
      return map(matterOf(step.of, step.amount, shelf), (m) => ({ do: 'season', ...m }));
    case 'season to': {
      const thing = nameMatter(step.of, shelf);
      if (!thing.ok) return thing;
      return map(value('share', step.salt, 'salt'), (share) => ({
        do: 'season to',
        what: thing.value.what,
        saltPct: share * 100,
      }));
    }
    case 'brown': {
      const loss = value('share', step.loss, 'loss');
      if (!loss.ok) return loss;
      const fat = step.fatRunOff === undefined ? fine(0) : value('share', step.fatRunOff, 'fatRunOff');
      if (!fat.ok) return fat;
      return map(step.time === undefined ? fine(0) : value('time', step.time, 'time'), (hours) => ({
        do: 'brown',
        vapour: loss.value,
        fatRunOff: fat.value,
        hours,
        fatKept: step.fatKept,
        as: step.as,
        cost: step.cost && jointCost(step.cost),
      }));
    }
    case 'water':
      if ('amount' in step) {
        const read = readAmountOf(['volume', 'mass'], step.amount, shelf.manner);
        if (!read.ok) return { ok: false, trouble: under('amount', read.trouble) };
        const ml = read.value.kind === 'mass' ? read.value.value / DENSITY.water : read.value.value;
        return fine({ do: 'water', to: { by: 'ml', value: ml } });
      }
      if ('level' in step)
        return map(value('length', step.level, 'level'), (cm) => ({
          do: 'water',
          to: { by: 'level', value: cm },
        }));
      return map(value('length', step.cover, 'cover'), (cm) => ({
        do: 'water',
        to: { by: 'cover', value: cm },
      }));
    case 'bring':
      return map(value('temperature', step.to, 'to'), (celsius) => ({ do: 'bring', celsius }));
    case 'cook':
      return map(value('time', step.time, 'time'), (hours) => ({
        do: 'cook',
        heat: step.heat,
        hours,
        lid: step.lid,
        underFat: step.underFat,
      }));
    case 'skim':
      return map(value('volume', step.amount, 'amount'), (ml) => ({ do: 'skim', ml, from: step.from }));
    case 'strain':
      return fine({ do: 'strain', pressed: step.pressed, through: step.through, keep: step.keep });
    case 'pick':
      return map(value('share', step.share, 'share'), (share) => ({
        do: 'pick',
        share,
        of: step.piece,
        as: step.as,
        cost: jointCost(step.cost),
      }));
    case 'second wash':
      return fine({ do: 'second wash', as: step.as, cost: jointCost(step.cost) });
    case 'draw off':
      return map(value('volume', step.amount, 'amount'), (ml) => ({
        do: 'draw off',
        ml,
        as: step.as,
        liquidOnly: step.liquidOnly,
        cost: jointCost(step.cost),
      }));
    case 'into': {
      const vessel = shelf.vessel(step.vessel);
      const hob = shelf.hob(step.hob);
      if (!vessel || !hob) return noVessel();
      return fine({ do: 'into', vessel, hob });
    }
    case 'defat':
      return fine({ do: 'defat', by: step.by, as: step.as, cost: step.cost && jointCost(step.cost) });
    case 'split': {
      const vessel = shelf.vessel(step.vessel);
      const hob = shelf.hob(step.hob);
      if (!vessel || !hob) return noVessel();
      return map(splitPart(step.amount, shelf.manner), (part) => ({
        do: 'split',
        part,
        liquidOnly: step.liquidOnly,
        vessel,
        hob,
      }));
    }
    case 'turn to':
    case 'combine': {
      const vessel = shelf.vessel(step.vessel);
      return vessel ? fine({ do: step.do, vessel }) : noVessel();
    }
    case 'reduce':
      return map(reduceTarget(step.until, step.to, shelf.manner), (to) => ({
        do: 'reduce',
        heat: step.heat,
        lid: step.lid,
        to,
      }));
    case 'portion': {
      const size = value('volume', step.size, 'size');
      if (!size.ok) return size;
      const container = step.container === undefined ? fine(undefined) : containerOf(step.container, shelf);
      if (!container.ok) return container;
      return map(
        step.overfill === undefined ? fine(0) : value('share', step.overfill, 'overfill'),
        (overfill) => ({ do: 'portion', ml: size.value, overfill, container: container.value }),
      );
    }
  }
}

const noVessel = () => refuse('unknown-vessel', 'vessel', 'The vessel or hob of this line is not known.');

/** What is split off: a share (`1/3`, `40 %`), or a volume. */
function splitPart(amount: string, manner: Manner): Outcome<Extract<PotStep, { do: 'split' }>['part']> {
  const bare = readNumber(amount, manner.mark);
  if (bare.ok) return fine({ by: 'share', value: bare.value.toNumber() });
  const read = readAmountOf(['share', 'volume'], amount, manner);
  if (!read.ok) return { ok: false, trouble: under('amount', read.trouble) };
  return fine({ by: read.value.kind === 'share' ? 'share' : 'ml', value: read.value.value });
}

/** A jar, tub or carton: what one of it weighs carries its price. */
function containerOf(id: string, shelf: Shelf): Outcome<Extract<PotStep, { do: 'portion' }>['container']> {
  const found = shelf.stuff(id);
  if (!found) return refuse('unknown-ingredient', 'container', 'What this is packed in is not known.');
  const { name } = found.stuff;
  const g = found.pieceG?.each ?? found.eachG;
  if (g === undefined)
    return refuse(
      'each-unknown',
      'container',
      `What one ${name} weighs is not known: it cannot be counted out.`,
    );
  return fine({ supply: `usable:${id}`, name, g });
}

function jointCost(cost: WrittenCost): JointCost {
  if (cost.by === 'weight') return cost;
  const perG = Number(cost.perKg) / 1000;
  return cost.by === 'credit'
    ? { by: 'credit', perG }
    : { by: 'market', perG, restPerG: Number(cost.restPerKg) / 1000 };
}

function reduceTarget(
  until: Extract<WrittenStep, { do: 'reduce' }>['until'],
  to: string,
  manner: Manner,
): Outcome<ReduceTo> {
  const at = (trouble: Parameters<typeof under>[1]) => ({
    ok: false as const,
    trouble: under('to', trouble),
  });
  const amount = (kind: Kind, make: (value: number) => ReduceTo): Outcome<ReduceTo> => {
    const read = readAmountOf([kind], to, manner);
    return read.ok ? fine(make(read.value.value)) : at(read.trouble);
  };
  switch (until) {
    case 'volume':
      return amount('volume', (value) => ({ until: 'ml', value }));
    case 'dip':
      return amount('length', (value) => ({ until: 'dip', value }));
    case 'time':
      return amount('time', (value) => ({ until: 'hours', value }));
    case 'gelatin':
    case 'salt':
      return amount('share', (value) => ({ until, value: value * 100 }));
    case 'share':
    case 'body': {
      const share =
        until === 'share' && to.trim().endsWith('%') ? readAmountOf(['share'], to, manner) : undefined;
      if (share) return share.ok ? fine({ until: 'share', value: share.value.value }) : at(share.trouble);
      const read = readNumber(to, manner.mark);
      return read.ok ? fine({ until, value: read.value.toNumber() }) : at(read.trouble);
    }
  }
}
