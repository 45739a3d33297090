import { COUNT_UNITS, doubtfulUnits, unitOf, type Kind } from '../quantity';
import type { Names } from './names';

/* Numbers and amounts in words, each as the field of a step writes it: “a couple of litres” is “2 l”. */

const NUMBERS: Readonly<Record<string, string>> = {
  a: '1',
  an: '1',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
  thirty: '30',
  forty: '40',
  fifty: '50',
  sixty: '60',
  couple: '2',
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  half: '1/2',
  quarter: '1/4',
};
const PARTS: Readonly<Record<string, string>> = {
  half: '1/2',
  third: '1/3',
  thirds: '1/3',
  quarter: '1/4',
  quarters: '1/4',
  fifth: '1/5',
  fifths: '1/5',
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
};

const isNumber = (word: string): boolean => /^\d/.test(word);
const numberOf = (word: string | undefined): string | undefined =>
  word === undefined ? undefined : isNumber(word) ? word : NUMBERS[word];

/** A number at the front of some words, as it is written, and how many words it took. */
function leading(words: readonly string[]): { readonly n: string; readonly took: number } | undefined {
  const [first, second, third] = words;
  if (first === undefined) return undefined;
  // “half a”, “a half”, “a couple of”, “a dozen”.
  if (first === 'half' && (second === 'a' || second === 'an')) return { n: 'half', took: 2 };
  if ((first === 'a' || first === 'an') && second === 'half') return { n: 'half', took: 2 };
  if (first === 'a' && second === 'couple') return { n: '2', took: third === 'of' ? 3 : 2 };
  if (first === 'a' && second === 'dozen') return { n: '12', took: 2 };
  if (first === 'dozen') return { n: '12', took: 1 };
  const n = numberOf(first);
  if (n === undefined) return undefined;
  if (second === 'dozen') return { n: String(Number(n) * 12), took: 2 };
  // “one and a half”, “2 1/2”, “2 ½”.
  if (second === 'and' && third === 'a' && words[3] === 'half') return { n: `${n} 1/2`, took: 4 };
  if (
    /^\d+$/.test(n) &&
    second !== undefined &&
    /^\d+[/⁄]\d+$/.test(NUMBERS[second] ?? second) &&
    second !== 'half' &&
    second !== 'quarter'
  )
    return { n: `${n} ${NUMBERS[second] ?? second}`, took: 2 };
  return { n, took: 1 };
}

/** Words that stand before a number and change nothing of it. */
const ABOUT = new Set(['about', 'around', 'roughly', 'another', 'some', 'say', 'just']);
const withoutAbout = (words: readonly string[]): readonly string[] =>
  ABOUT.has(words[0] ?? '') ? words.slice(1) : words;

const unitIn = (kinds: readonly Kind[], words: readonly string[], names?: Names): string | undefined => {
  const word = words.join(' ');
  const unit = unitOf(word);
  if (unit && kinds.includes(unit.kind)) return unit.name;
  if (word in doubtfulUnits && kinds.includes('volume')) return word;
  const own = names?.measures?.find(
    (m) => m.name.toLowerCase() === word || `${m.name.toLowerCase()}s` === word,
  );
  return own && kinds.includes('volume') ? own.name : undefined;
};

/** A number and a unit of some kinds, and nothing else. */
function measured(kinds: readonly Kind[], said: readonly string[], names?: Names): string | undefined {
  const words = withoutAbout(said);
  const lead = leading(words);
  if (!lead) return undefined;
  const unit = unitIn(kinds, words.slice(lead.took), names);
  return unit === undefined ? undefined : `${lead.n} ${unit}`;
}

/** Something weighed, measured out or counted; a bare number counts pieces. */
export function amountSaid(words: readonly string[], names: Names): string | undefined {
  const whole = measured(['mass', 'volume', 'count'], words, names);
  if (whole !== undefined) return whole;
  // “2 lb 4 oz”.
  if (words.length === 4) {
    const [big, small] = [measured(['mass'], words.slice(0, 2)), measured(['mass'], words.slice(2))];
    if (big !== undefined && small !== undefined) return `${big} ${small}`;
  }
  const bare = withoutAbout(words);
  const lead = leading(bare);
  // “Half the butter” is no half piece of it.
  const part = bare[0] === 'quarter' || (bare[0] === 'half' && lead?.took === 1);
  return lead && lead.took === bare.length && !part ? `${lead.n} ${COUNT_UNITS[0]}` : undefined;
}

/** A whole number, in figures or a word. */
export function numberSaid(words: readonly string[]): string | undefined {
  const n = words.length === 1 ? numberOf(words[0]) : undefined;
  return n !== undefined && /^\d+$/.test(n) ? n : undefined;
}

export const litresSaid = (words: readonly string[], names: Names): string | undefined =>
  measured(['volume'], words, names);
export const lengthSaid = (words: readonly string[]): string | undefined => measured(['length'], words);

const TIMES: Readonly<Record<string, string>> = {
  overnight: '12 h',
  'a quarter of an hour': '15 min',
  'quarter of an hour': '15 min',
  'three quarters of an hour': '45 min',
  'half an hour': '30 min',
  'a half hour': '30 min',
};

export function timeSaid(said: readonly string[]): string | undefined {
  const words = withoutAbout(said);
  const known = TIMES[words.join(' ')];
  if (known !== undefined) return known;
  const one = measured(['time'], words);
  if (one !== undefined) return one;
  // “an hour and a half”, “1 h 30”, “2 hours 20 minutes”, “1 hour and 20 minutes”.
  const hour = words.findIndex((w) => unitOf(w)?.name === 'h');
  if (hour < 1) return undefined;
  const hours = measured(['time'], words.slice(0, hour + 1));
  const rest = words.slice(hour + 1).filter((w) => w !== 'and');
  if (hours === undefined || rest.length === 0) return undefined;
  if (rest.join(' ') === 'a half') return hours.replace(/^(\d+) h$/, '$1 h 30');
  if (rest.join(' ') === 'a quarter') return hours.replace(/^(\d+) h$/, '$1 h 15');
  const minutes =
    rest.length === 1 && isNumber(rest[0] ?? '') ? `${rest[0] ?? ''} min` : measured(['time'], rest);
  return minutes === undefined || !/min$/.test(minutes) ? undefined : `${hours} ${minutes}`;
}

/** A share: “17 %”, “a third”, “two thirds”, “half”, “2/3”. */
export function shareSaid(said: readonly string[]): string | undefined {
  const words = withoutAbout(said);
  const [first, second] = words;
  if (words.length === 1 && first !== undefined) {
    if (/^\d+[/⁄]\d+$/.test(first)) return first;
    return PARTS[first];
  }
  if (words.length !== 2 || first === undefined || second === undefined) return undefined;
  if (second === '%' || second === 'percent') return isNumber(first) ? `${first} %` : undefined;
  const part = PARTS[second];
  const n = numberOf(first);
  return part && n && /^\d+$/.test(n) ? part.replace(/^1/, n) : undefined;
}

/** A temperature: “95 °C”, “the boil”, “a simmer”. */
export function temperatureSaid(words: readonly string[]): string | undefined {
  const text = words.join(' ');
  if (/^(?:the |a )?(?:rolling |full )?boil$/.test(text)) return '100 °C';
  if (/^(?:the |a )?simmer$/.test(text)) return '96 °C';
  return measured(
    ['temperature'],
    words.length === 2 && /^°/.test(words[1] ?? '')
      ? [words[0] ?? '', (words[1] ?? '').toUpperCase()]
      : words,
  );
}
