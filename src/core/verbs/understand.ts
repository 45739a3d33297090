import { distance } from 'fastest-levenshtein';
import { HEATS, type Hob, type Product } from '../pot';
import { unitOf } from '../quantity';
import { WATER } from '../larder';
import { noLiquid } from '../pot';
import {
  amountSaid,
  findMatter,
  isAsking,
  meaningsOf,
  readStepWith,
  tokensOf,
  writeStepWith,
  type Form,
  type Names,
} from '../said';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import type { Shelf } from './shelf';
import { VERBS, verbOf, type WrittenDoing } from './table';
import * as texts from './texts';

/* How a line is understood: first in the words it would be written back in, then in everyday ones. */

const EVERYDAY: readonly Form<WrittenDoing>[] = Object.values(VERBS).flatMap(
  (verb) => verb.everyday as readonly Form<WrittenDoing>[],
);

const LITRE: Product = {
  liquid: { ...noLiquid(), water: 1000 },
  pieces: [],
  allergens: [],
  g: 1000,
  ml: 1000,
};
const HOB: Hob = { id: 'any', name: 'any', netKw: null, fuel: 'electricity' };
const VESSEL = {
  id: 'any',
  name: 'any',
  shape: 'round',
  baseCm: 30,
  topCm: 30,
  heightCm: 30,
  maxFill: 1,
} as const;

/** A shelf on which everything stands and can be weighed: whether a step's amounts can be read at all shows against it. */
const anyShelf = (mark: '.' | ',', names: Names): Shelf => ({
  manner: {
    mark,
    measures: new Map(
      names.measures?.map((m) => [m.name.toLowerCase(), { kind: 'volume', name: m.name, factor: 1 }]),
    ),
  },
  stuff: () => ({ stuff: WATER, densityGPerMl: 1, eachG: 1 }),
  product: () => fine({ name: 'any', product: LITRE }),
  lastBatch: () => fine({ name: 'any', product: LITRE }),
  vessel: () => VESSEL,
  hob: () => HOB,
});

/** Why an amount of a step cannot be read, whatever things weigh: “skim the fat” skims no amount called the fat. */
export function unsoundness(step: WrittenDoing, names: Names): Trouble | undefined {
  const [point, comma] = (['.', ','] as const).map((mark) =>
    verbOf(step).resolve(step, anyShelf(mark, names)),
  );
  return point?.ok || comma?.ok ? undefined : point?.ok === false ? point.trouble : undefined;
}
const isSound = (step: WrittenDoing, names: Names): boolean => unsoundness(step, names) === undefined;

/** Names or amounts in quotes are written as the house writes; everyday words have none. */
const QUOTED = /[“”"]/;

/**
 * Reads a line as a step. What the house form reads soundly is that; else every everyday meaning of it is looked for: one is taken,
 * several are asked, and what lacks something is asked for it.
 * @returns trouble `not-understood`, `name-unknown`, `name-unclear`, `two-readings`, `asked`; with what would be understood instead
 */
export function readStep(text: string, names: Names): Outcome<WrittenDoing> {
  const house = readStepWith<WrittenDoing>(VERBS, text, names);
  if (QUOTED.test(text) || (house.ok && isSound(house.value, names))) return house;
  const [said, hands] = withoutHands(text);
  const meant = meaningsOf(said, EVERYDAY, names);
  const steps = meant.flatMap((m) => (isAsking(m) || !isSound(m, names) ? [] : [{ ...m, ...hands }]));
  const [only, second] = steps;
  if (only && !second) return fine(only);
  if (only)
    return asked(
      'two-readings',
      `“${text.trim()}” can mean ${steps.length} things: say which.`,
      steps.map((s) => writeStepWith<WrittenDoing>(VERBS, s, names)),
    );
  const question = meant.find(isAsking);
  if (question)
    return asked(
      'asked',
      question.asks,
      question.instead.filter((line) => reads(line, names)),
    );
  for (const m of meant) {
    const doubt = isAsking(m) ? undefined : unsoundness(m, names);
    if (doubt?.code === 'doubtful-unit') return { ok: false, trouble: inCountries(text, doubt) };
  }
  if (house.ok) {
    const doubt = unsoundness(house.value, names);
    return doubt?.code === 'doubtful-unit' ? { ok: false, trouble: inCountries(text, doubt) } : house;
  }
  const named = house.trouble.code === 'not-understood' ? nameTrouble(said, names) : undefined;
  if (named?.instead) return { ok: false, trouble: named };
  const nearest = withInstead(text, house.trouble, names);
  return { ok: false, trouble: nearest.instead ? nearest : (named ?? nearest) };
}

/** The trouble of a unit that differs between countries, with the line in each of them. */
function inCountries(text: string, trouble: Trouble): Trouble {
  const unit = trouble.about ?? '';
  const at = unit === '' ? -1 : text.toLowerCase().indexOf(unit.toLowerCase());
  const instead = ['us', 'imp']
    .filter((country) => unitOf(`${country} ${unit}`) !== undefined)
    .map((country) => `${text.slice(0, at)}${country} ${text.slice(at)}`);
  const once = {
    ...trouble,
    message: texts.orSayOnceUnder(trouble.message),
  };
  return at < 0 || instead.length === 0 ? once : { ...once, instead };
}

/** Words in front of an amount. */
const PUT_IN = /^(?:add|put in|throw in|stir in|pour in|tip in|mix in)\s+/i;

/** The trouble with a name, where a line is plainly an amount of something; its amount stands in the lines it offers. */
function nameTrouble(said: string, names: Names): Trouble | undefined {
  const tokens = tokensOf(said.replace(PUT_IN, ''));
  for (let k = Math.min(4, tokens.length - 1); k > 0; k -= 1) {
    const amount = amountSaid(tokens.slice(0, k), names);
    const behind = amount === undefined ? amountSaid(tokens.slice(-k), names) : undefined;
    const rest = amount === undefined ? tokens.slice(0, -k) : tokens.slice(tokens[k] === 'of' ? k + 1 : k);
    if ((amount ?? behind) === undefined || !rest.some((w) => w.length > 2 && unitOf(w) === undefined))
      continue;
    const found = findMatter(rest.filter((w) => w !== ',').join(' '), names);
    if (found.ok) continue;
    const { instead = [], ...plain } = found.trouble;
    const lines = instead.map((n) => `${amount ?? behind ?? ''} ${n}`).filter((l) => reads(l, names));
    return lines.length > 0 ? { ...plain, instead: lines } : plain;
  }
  return undefined;
}

function withoutHands(text: string): [string, { readonly hands?: string }] {
  const found = /^(.+),\s*([^,]+?)\s+(?:of\s+)?(?:hands|labou?r)$/i.exec(text.trim());
  return found ? [found[1] ?? '', { hands: (found[2] ?? '').trim() }] : [text, {}];
}

function asked(code: string, message: string, instead: readonly string[]): Outcome<never> {
  return { ok: false, trouble: { ...refuse(code, '', message).trouble, instead } };
}

/** How many lines are offered. */
const OFFERED = 3;

/** The trouble with what would be understood: the name said whole, or a word spelled as it is known. */
function withInstead(text: string, trouble: Trouble, names: Names): Trouble {
  const lines = trouble.instead
    ? trouble.instead.map((name) => withName(text, trouble.about, name))
    : respelled(text);
  const instead = [...new Set(lines)].filter((l) => l !== undefined && reads(l, names)).slice(0, OFFERED);
  const { instead: _i, ...plain } = trouble;
  return instead.length > 0 ? { ...plain, instead: instead as string[] } : plain;
}

/** Whether a line is understood without asking again. */
function reads(line: string, names: Names): boolean {
  const house = readStepWith<WrittenDoing>(VERBS, line, names);
  if (house.ok && isSound(house.value, names)) return true;
  const meant = meaningsOf(line, EVERYDAY, names);
  return meant.filter((m) => !isAsking(m) && isSound(m, names)).length === 1;
}

/** The line with a name in place of what was said for it. */
function withName(text: string, said: string | undefined, name: string): string | undefined {
  const at = said === undefined ? -1 : text.toLowerCase().lastIndexOf(said.toLowerCase());
  return said === undefined || at < 0
    ? undefined
    : `${text.slice(0, at)}${name}${text.slice(at + said.length)}`;
}

/** Words that may begin a line, in the house's forms and in everyday ones. */
const OPENERS: readonly string[] = [
  ...new Set(
    [...Object.keys(VERBS), ...HEATS, ...EVERYDAY.map(({ form }) => form)].flatMap(
      (words) => words.match(/[\p{L}]{3,}/gu) ?? [],
    ),
  ),
];

/** Letters of a word in order: two that were typed in the wrong order are the same. */
const sorted = (word: string): string => [...word].sort().join('');

/** The line with its first word as one that is known, where that is nearly it. */
function respelled(text: string): string[] {
  const [first = ''] = tokensOf(text);
  const rest = text.trim().slice(first.length);
  if (first.length < 3) return [];
  const near = OPENERS.map((w) => ({ w, d: distance(w, first) }))
    .filter(({ w, d }) => d > 0 && (d <= (w.length > 5 ? 2 : 1) || sorted(w) === sorted(first)))
    .sort((a, b) => a.d - b.d)
    .slice(0, 12);
  return near.map(({ w }) => `${w}${rest}`);
}
