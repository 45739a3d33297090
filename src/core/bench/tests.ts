import { readAmountOf, type Manner } from '../quantity';
import { weighTest, type TestPart, type TestPass, type TestWeighed } from '../learning';
import { fine, refuse, under, type Outcome } from '../trouble';
import type { WrittenTest } from './schema';
import * as texts from './texts';

/** What of a test is weighed and read: also of one still being typed. */
export type TestAsTyped = Pick<WrittenTest, 'kind' | 'start' | 'parts' | 'second' | 'intoWater' | 'time'>;

/** A weight as typed, g. */
function grams(typed: string, manner: Manner, path: string): Outcome<number> {
  if (typed.trim() === '') return refuse('no-weight', path, texts.weightMissingPutScale);
  const read = readAmountOf(['mass'], typed, manner);
  return read.ok ? fine(read.value.value) : { ok: false, trouble: under(path, read.trouble) };
}

/** Hours as typed. */
export function hoursIn(typed: string, manner: Manner, path: string): Outcome<number> {
  const read = readAmountOf(['time'], typed, manner);
  return read.ok ? fine(read.value.value) : { ok: false, trouble: under(path, read.trouble) };
}

/** Parts with their weights; lines that nobody has filled in are passed over. */
function partsOf(parts: WrittenTest['parts'], manner: Manner, at: string): Outcome<TestPart[]> {
  const read: TestPart[] = [];
  for (const [i, part] of parts.entries()) {
    if (part.amount.trim() === '') continue;
    const g = grams(part.amount, manner, `${at}parts[${i}].amount`);
    if (!g.ok) return g;
    if (part.fate === 'by-product' && part.product === undefined)
      return refuse('no-product', `${at}parts[${i}].product`, texts.productNeedsProductBecomes);
    read.push({ fate: part.fate, g: g.value, product: part.product });
  }
  return fine(read);
}

function passOf(
  pass: { readonly start: string; readonly parts: WrittenTest['parts'] },
  manner: Manner,
  at: string,
): Outcome<TestPass> {
  const startG = grams(pass.start, manner, `${at}start`);
  if (!startG.ok) return startG;
  const parts = partsOf(pass.parts, manner, at);
  return parts.ok ? fine({ startG: startG.value, parts: parts.value }) : parts;
}

/** Whether anything of a second pass has been filled in. */
const begun = (second: NonNullable<WrittenTest['second']>): boolean =>
  second.start.trim() !== '' || second.parts.some((p) => p.amount.trim() !== '');

/** Spent solids as they were weighed. */
export interface Drained {
  readonly rawG: number;
  readonly intoWaterG: number;
  readonly hours: number;
  readonly drainedG: number;
}

/** Whether a test weighs spent solids: they may come out heavier than they went in. */
export const isDrained = (kind: WrittenTest['kind']): boolean => kind === 'drain' || kind === 'press';

/**
 * Reads a test of spent solids: raw, what went into the water, how long, and what was drained off them.
 * @returns trouble `no-weight`, `nothing-weighed`, `no-time`, `into-water-over-raw`
 */
export function drainedIn(test: TestAsTyped, manner: Manner): Outcome<Drained> {
  const pass = passOf(test, manner, '');
  if (!pass.ok) return pass;
  const { startG, parts } = pass.value;
  if (!(startG > 0)) return noStart(startG);
  const drainedG = parts.reduce((sum, p) => sum + p.g, 0);
  if (!(drainedG > 0))
    return refuse('nothing-weighed', 'parts', texts.testSpentSolidsNeeds, {
      value: drainedG,
      limit: 0,
    });
  const typed = test.intoWater?.trim() ?? '';
  const intoWater = typed === '' ? fine(startG) : grams(typed, manner, 'intoWater');
  if (!intoWater.ok) return intoWater;
  if (intoWater.value > startG)
    return refuse(
      'into-water-over-raw',
      'intoWater',
      texts.wentIntoWaterBut(kilos(intoWater.value), kilos(startG)),
      { value: intoWater.value, limit: startG },
    );
  if ((test.time?.trim() ?? '') === '') return refuse('no-time', 'time', texts.howLongCookedMissing);
  const hours = hoursIn(test.time as string, manner, 'time');
  return hours.ok ? fine({ rawG: startG, intoWaterG: intoWater.value, hours: hours.value, drainedG }) : hours;
}

const kilos = (g: number): string => `${(g / 1000).toFixed(2)} kg`;
const noStart = (g: number) =>
  refuse('no-weight', 'start', texts.testNeedsWeightWent, {
    value: g,
    limit: 0,
  });

/**
 * Weighs a test up as it is written.
 * @returns trouble with the path of the field it is about, as `weighTest` has it
 */
export function weighTestIn(test: TestAsTyped, manner: Manner): Outcome<TestWeighed> {
  const first = passOf(test, manner, '');
  if (!first.ok) return first;
  const second = test.second && begun(test.second) ? passOf(test.second, manner, 'second.') : undefined;
  if (second && !second.ok) return second;
  return weighTest(first.value, second?.value);
}

/** A weight while it is being typed: what it comes to, or what is wrong with it; neither while the field is empty. */
export interface LiveWeight {
  readonly g?: number | undefined;
  readonly wrong?: string | undefined;
}

/** Every weight of a test as far as it can be read, for showing while it is typed. */
export interface LiveTest {
  readonly start: LiveWeight;
  readonly parts: readonly LiveWeight[];
  readonly secondStart: LiveWeight;
  readonly secondParts: readonly LiveWeight[];
}

export function weighLive(test: TestAsTyped, manner: Manner): LiveTest {
  const live = (typed: string): LiveWeight => {
    if (typed.trim() === '') return {};
    const read = grams(typed, manner, '');
    return read.ok ? { g: read.value } : { wrong: read.trouble.message };
  };
  return {
    start: live(test.start),
    parts: test.parts.map((p) => live(p.amount)),
    secondStart: live(test.second?.start ?? ''),
    secondParts: (test.second?.parts ?? []).map((p) => live(p.amount)),
  };
}
