import { readAmountOf, writeAmount, type Manner } from '../quantity';
import type { HouseRules, WrittenFollows, WrittenPlate } from './schema';

type Line = WrittenPlate['lines'][number];
type But = WrittenFollows['but'][number];

/** A portion at another size, as it is written; what cannot be read stands as it is, and is refused where it is weighed. */
export function portionAt(amount: string, size: number, manner: Manner): string {
  if (size === 1) return amount;
  const read = readAmountOf(['mass', 'volume', 'count'], amount, manner);
  if (!read.ok) return amount;
  // Four figures are more than a hand can portion.
  const value = Number((read.value.value * size).toPrecision(4));
  return writeAmount({ unit: read.value.unit, value }, manner.mark, manner.measures);
}

const followed = (line: Line, but: But | undefined, size: number, manner: Manner): Line => {
  const amount = but?.amount ?? portionAt(line.amount, size, manner);
  const overfillPct = but?.overfillPct ?? line.overfillPct;
  const takenPct = but?.takenPct ?? line.takenPct;
  return { ...line, amount, overfillPct, takenPct };
};

interface Lost {
  readonly pct: number;
  readonly as: WrittenPlate;
}
const lost = new WeakMap<WrittenPlate, Lost>();

/** A plate with what its house usually loses where it is served so, where it says nothing itself; the same object while neither changes. */
export function withUsualLoss(plate: WrittenPlate, usual: HouseRules['serviceLoss']): WrittenPlate {
  const pct = plate.service === undefined ? undefined : usual?.[plate.service];
  if (plate.serviceLossPct !== undefined || pct === undefined || pct === 0) return plate;
  const known = lost.get(plate);
  if (known?.pct === pct) return known.as;
  const as = { ...plate, serviceLossPct: pct };
  lost.set(plate, { pct, as });
  return as;
}

interface Stood {
  readonly parent: WrittenPlate;
  readonly mark: Manner['mark'];
  readonly measures: string;
  readonly as: WrittenPlate;
}
const stood = new WeakMap<WrittenPlate, Stood>();

/**
 * A plate as it is: a size has the lines of the plate it follows at its own size, but for what it says otherwise, and its own
 * after them; tax, target, service and hands are that plate's where it does not say. The very same object while neither changes.
 * @param parent the plate it follows; a plate that follows nothing is itself
 */
export function standingPlate(
  plate: WrittenPlate,
  parent: WrittenPlate | undefined,
  manner: Manner,
): WrittenPlate {
  const { follows } = plate;
  if (!follows || !parent) return plate;
  const measures = [...(manner.measures ?? [])].map(([name, u]) => `${name}=${u.kind}${u.factor}`).join();
  const known = stood.get(plate);
  if (known?.parent === parent && known.mark === manner.mark && known.measures === measures) return known.as;
  const buts = new Map(follows.but.map((b) => [b.line, b]));
  const as: WrittenPlate = {
    ...plate,
    taxPct: parent.taxPct,
    targetFoodCostPct: plate.targetFoodCostPct ?? parent.targetFoodCostPct,
    service: plate.service ?? parent.service,
    serviceLossPct: plate.serviceLossPct ?? parent.serviceLossPct,
    hands: plate.hands ?? parent.hands,
    lines: [
      ...parent.lines.flatMap((line) => {
        const but = buts.get(line.id ?? '');
        return but?.out ? [] : [followed(line, but, follows.size, manner)];
      }),
      ...plate.lines,
    ],
  };
  stood.set(plate, { parent, mark: manner.mark, measures, as });
  return as;
}

/**
 * What is to be written of a plate for it to stand with these lines: of a size only what is otherwise than the plate it follows.
 * Followed lines keep that plate's order.
 * @param lines all that is to stand on it
 */
export function writtenOver(
  plate: WrittenPlate,
  parent: WrittenPlate | undefined,
  lines: readonly Line[],
  manner: Manner,
): WrittenPlate {
  const { follows } = plate;
  if (!follows || !parent) return { ...plate, lines: [...lines] };
  const wanted = new Map(lines.map((l) => [l.id, l]));
  const theirs = new Set(parent.lines.map((l) => l.id));
  const but = parent.lines.flatMap((line): But[] => {
    const id = line.id ?? '';
    const want = wanted.get(line.id);
    if (!want) return [{ line: id, out: true }];
    const other: But = {
      line: id,
      ...(want.amount === portionAt(line.amount, follows.size, manner) ? {} : { amount: want.amount }),
      ...((want.overfillPct ?? 0) === (line.overfillPct ?? 0) ? {} : { overfillPct: want.overfillPct ?? 0 }),
      ...((want.takenPct ?? 100) === (line.takenPct ?? 100) ? {} : { takenPct: want.takenPct ?? 100 }),
    };
    return Object.keys(other).length > 1 ? [other] : [];
  });
  return { ...plate, follows: { ...follows, but }, lines: lines.filter((l) => !theirs.has(l.id)) };
}
